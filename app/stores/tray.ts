import { useThrottleFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import type { Tray } from '../../core/brief/fields/tray'
import type { PhraseRow } from '../../shared/phrases'
import { api, messageOf } from '~/composables/api'
import { counted, trayMark } from '~/composables/figures'
import { useBrief } from './brief'
import { useChanges } from './changes'
import { useNotices } from './notices'

export interface TrayPhrase {
  phrase: string
  mark: string
  lead: boolean
}

const EMPTY: Tray = { lead: null, support: [], setAside: [] }

/** The phrases of the open brief: one lead, support in order, and those set aside. */
export const useTray = defineStore('tray', () => {
  const brief = useBrief()
  const notices = useNotices()
  const tray = computed<Tray>(() => brief.fields?.tray ?? EMPTY)
  const figures = ref(new Map<string, PhraseRow>())
  /** Why figures are missing or old. */
  const problem = ref('')
  let asked = 0

  const phrases = computed<TrayPhrase[]>(() =>
    [
      ...(tray.value.lead ? [{ phrase: tray.value.lead, lead: true }] : []),
      ...tray.value.support.map(phrase => ({ phrase, lead: false })),
    ].map(each => ({ ...each, mark: trayMark(each.lead ? 0 : tray.value.support.indexOf(each.phrase) + 1) })),
  )
  const held = computed(() => new Set([...phrases.value.map(each => each.phrase), ...tray.value.setAside]))

  /** Changes the tray, with a way back. */
  const change = (text: string, next: Tray) => {
    brief.change(text, 'tray', next)
  }

  const without = (list: string[]): Tray => ({
    lead: tray.value.lead !== null && list.includes(tray.value.lead) ? null : tray.value.lead,
    support: tray.value.support.filter(phrase => !list.includes(phrase)),
    setAside: tray.value.setAside.filter(phrase => !list.includes(phrase)),
  })

  function add(list: string[]) {
    const fresh = list.filter(phrase => phrase !== tray.value.lead && !tray.value.support.includes(phrase))
    if (!fresh.length)
      return notices.show(
        list.length === 1 ? `“${list[0]}” is already in the tray.` : 'All of them are already in the tray.',
      )
    const rest = without(fresh)
    change(`${counted(fresh.length, 'phrase')} added to the tray.`, { ...rest, support: [...rest.support, ...fresh] })
  }

  function makeLead(phrase: string) {
    if (phrase === tray.value.lead) return
    const rest = without([phrase])
    change(`“${phrase}” is now the lead.`, {
      ...rest,
      lead: phrase,
      support: rest.lead ? [rest.lead, ...rest.support] : rest.support,
    })
  }

  function setAside(list: string[]) {
    const rest = without(list)
    change(`${counted(list.length, 'phrase')} set aside.`, {
      ...rest,
      setAside: [...new Set([...list, ...rest.setAside])],
    })
  }

  function remove(phrase: string) {
    change(`“${phrase}” removed.`, without([phrase]))
  }

  function reorder(support: string[]) {
    if (support.join('\n') !== tray.value.support.join('\n')) change('Order changed.', { ...tray.value, support })
  }

  function move(phrase: string, by: -1 | 1) {
    const support = [...tray.value.support]
    const at = support.indexOf(phrase)
    const to = at + by
    if (at < 0 || to < 0 || to >= support.length) return
    support.splice(to, 0, ...support.splice(at, 1))
    reorder(support)
  }

  async function refreshFigures() {
    // What is set aside shows none; there may be thousands of it.
    const list = phrases.value.map(each => each.phrase)
    const { fields } = brief
    if (!fields || !list.length) return
    const mine = ++asked
    try {
      const { rows } = await api('POST /api/phrases/figures', {
        body: { phrases: list, region: fields.region, language: fields.language },
      })
      if (mine !== asked) return
      figures.value = new Map(rows.map(row => [row.phrase, row]))
      problem.value = ''
    } catch (error) {
      if (mine === asked) problem.value = messageOf(error)
    }
  }
  const { revisions } = useChanges()
  // A long import or assessment changes figures several times a second.
  watch(
    () => [revisions.phrases, revisions.pages],
    useThrottleFn(() => void refreshFigures(), 2000, true),
  )
  watch(
    () => [phrases.value.map(each => each.phrase).join('\n'), brief.fields?.region],
    () => void refreshFigures(),
    { immediate: true },
  )

  return {
    tray,
    phrases,
    held,
    figures,
    problem,
    add,
    makeLead,
    setAside,
    remove,
    reorder,
    move,
    restore: (phrase: string) => add([phrase]),
    refreshFigures,
  }
})
