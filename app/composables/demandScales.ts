import { scaleLinear, scaleLog } from 'd3-scale'
import { computed, type Ref } from 'vue'
import { DIFFICULTY_BANDS } from '../../core/demand/bands'
import { LEAST_SURE, SUREST } from '../../core/rivals/forecast'
import type { PhraseRow } from '../../shared/phrases'
import type { Perspective } from '~/stores/workspace'

const margin = { left: 52, right: 18, top: 14, bottom: 40 }
/** Above this many searches, and below this difficulty (or above this chance), is the promising area. */
const GOOD_VOLUME = 500
const GOOD_CHANCE = 0.7
const hardFrom = DIFFICULTY_BANDS.find(band => band.name === 'high')!.from

/** Most chances are close to 1: they are drawn by their odds, as far as a difference means anything. */
const odds = (chance: number) => {
  const within = Math.min(SUREST, Math.max(LEAST_SURE, chance))
  return Math.log(within / (1 - within))
}
/** Where phrases are drawn: searches across, difficulty or the chance of page one upwards. Sizes in px. */
export function useDemandScales(
  props: { rows: PhraseRow[]; perspective: Perspective },
  width: Ref<number>,
  height: Ref<number>,
) {
  const valueOf = (row: PhraseRow) =>
    props.perspective === 'channel' ? (row.chance === null ? null : odds(row.chance)) : row.difficulty
  const known = computed(() => props.rows.filter(row => row.volume !== null && row.volume > 0 && valueOf(row) !== null))
  /** The round figure at or below the least asked for: 1, 2 or 5 times a power of ten. */
  const leftEnd = computed(() => {
    const least = Math.max(1, Math.min(100, ...known.value.map(row => row.volume!)))
    const power = 10 ** Math.floor(Math.log10(least))
    return power * (least >= 5 * power ? 5 : least >= 2 * power ? 2 : 1)
  })
  const x = computed(() =>
    scaleLog()
      .domain([leftEnd.value, Math.max(1000, ...known.value.map(row => row.volume!)) * 1.2])
      .range([margin.left, width.value - margin.right]),
  )
  const y = computed(() =>
    scaleLinear()
      .domain(
        props.perspective === 'channel'
          ? [Math.min(odds(0.3), ...known.value.map(row => valueOf(row)!)) - 0.4, odds(1) + 0.4]
          : [0, Math.max(60, ...known.value.map(row => valueOf(row)!)) + 5],
      )
      .range([height.value - margin.bottom, margin.top]),
  )
  const points = computed(() => known.value.map(row => ({ row, x: x.value(row.volume!), y: y.value(valueOf(row)!) })))
  /** The promising area: at the top for a chance, at the bottom for difficulty. */
  const promising = computed(() => {
    const edge = y.value(props.perspective === 'channel' ? odds(GOOD_CHANCE) : hardFrom)
    const bottom = height.value - margin.bottom
    return {
      x: x.value(GOOD_VOLUME),
      ...(props.perspective === 'channel'
        ? { from: margin.top, to: edge, text: margin.top + 16 }
        : { from: edge, to: bottom, text: bottom - 8 }),
    }
  })
  const xTicks = computed(() =>
    [1, 10, 100, 1000, 10_000, 100_000, 1_000_000].filter(
      tick => tick >= x.value.domain()[0]! && tick <= x.value.domain()[1]!,
    ),
  )
  const yTicks = computed(() =>
    props.perspective === 'channel'
      ? [LEAST_SURE, 0.1, 0.3, 0.5, 0.7, 0.9, SUREST]
          .map(chance => ({
            at: odds(chance),
            text: `${chance === SUREST ? '> ' : chance === LEAST_SURE ? '< ' : ''}${Math.round(chance * 100)}`,
          }))
          .filter(tick => tick.at >= y.value.domain()[0]!)
      : y.value.ticks(6).map(tick => ({ at: tick, text: String(tick) })),
  )

  return { margin, known, x, y, xTicks, yTicks, points, promising }
}
