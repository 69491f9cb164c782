import type { ApexOptions } from 'apexcharts'
import { computed } from 'vue'
import { usePreferredReducedMotion } from '@vueuse/core'
import { useTheme } from 'vuetify'
import { rankDay } from '../../core/ranks/standing'
import { DAY } from '../../core/time'

/** Letters of a mark that has room beside its line. */
const MOST_MARK = 22

/** What every chart shares: the product's type and colours, the page's style nonce, no tools of its own. */
export function useChart() {
  const theme = useTheme()
  const motion = usePreferredReducedMotion()
  const nonce = document.querySelector<HTMLMetaElement>('meta[name=style-nonce]')?.content
  const colours = computed(() => {
    const { colors } = theme.current.value
    return {
      teal: String(colors.primary),
      ink: String(colors['on-surface']),
      muted: String(colors.muted),
      line: String(colors.line),
      ochre: String(colors.ochre),
      plum: String(colors.plum),
      blue: String(colors.info),
      surface: String(colors.surface),
    }
  })
  const base = computed((): ApexOptions => ({
    chart: {
      nonce,
      fontFamily: "'IBM Plex Sans', system-ui, sans-serif",
      foreColor: colours.value.muted,
      background: 'transparent',
      toolbar: { show: false },
      zoom: { enabled: false },
      animations: { enabled: motion.value !== 'reduce', speed: 250 },
    },
    theme: { mode: theme.current.value.dark ? 'dark' : 'light' },
    grid: { borderColor: colours.value.line, padding: { left: 6, right: 6, top: -14, bottom: -6 } },
    legend: { show: false },
    dataLabels: { enabled: false },
  }))
  /** A line across a chart of days, for what happened on one. @param at UTC milliseconds. */
  const mark = (at: number, text: string, colour: string) => ({
    x: rankDay(at) * DAY,
    borderColor: colour,
    strokeDashArray: 3,
    label: {
      text: text.length > MOST_MARK ? `${text.slice(0, MOST_MARK - 1)}…` : text,
      orientation: 'vertical',
      textAnchor: 'start',
      position: 'top',
      borderColor: 'transparent',
      offsetY: 4,
      style: { background: 'transparent', color: colour, fontSize: '11px' },
    },
  })
  return { base, colours, mark }
}
