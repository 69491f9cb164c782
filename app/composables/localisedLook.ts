import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { lookedUp, type Localised, type LocalisedPhrase } from '../../core/brief/items/localised'
import { gapsOf } from '../../core/descriptions/gaps'
import { phraseKey } from '../../core/text/words'
import type { PhraseRow } from '../../shared/phrases'
import { api, messageOf } from '~/composables/api'
import type { Revised } from '~/composables/savedItem'
import { useNotices } from '~/stores/notices'

/** Looks the phrases of a localised text up where they would be searched; those with figures count from then on. */
export function useLocalisedLook(text: Ref<Revised<Localised>>, counted: (phrases: LocalisedPhrase[]) => void) {
  const notices = useNotices()
  const figures = shallowRef(new Map<string, PhraseRow>())
  const asked = shallowRef<ReadonlySet<string>>(new Set())
  const looking = ref(false)
  const isWhole = (phrase: LocalisedPhrase) => !gapsOf(phrase.text).length
  const keys = computed(() => text.value.phrases.filter(isWhole).map(phrase => phraseKey(phrase.text)))

  async function look() {
    const { id, region, language } = text.value
    if (!keys.value.length) return
    const phrases = keys.value
    looking.value = true
    try {
      const { rows, missing } = await api('POST /api/phrases/figures', { body: { phrases, region, language } })
      if (text.value.id !== id || text.value.region !== region) return
      figures.value = new Map(rows.map(row => [row.phrase, row]))
      // What could not be loaded is not known to be unknown.
      if (missing.length) notices.show(`Could not load ${missing.join(', ')}.`, { serious: true })
      else asked.value = new Set(phrases)
      const next = lookedUp(text.value.phrases, said =>
        rows.some(row => row.phrase === phraseKey(said) && row.volume !== null),
      )
      if (JSON.stringify(next) !== JSON.stringify(text.value.phrases)) counted(next)
    } catch (error) {
      notices.show(`Could not look the phrases up. ${messageOf(error)}`, { serious: true })
    } finally {
      looking.value = false
    }
  }
  watch([() => text.value.id, () => text.value.region, () => keys.value.join('\n')], () => void look(), {
    immediate: true,
  })

  return {
    figureOf: (phrase: LocalisedPhrase) => figures.value.get(phraseKey(phrase.text)),
    /** Why a phrase does not count, in words. */
    stateOf: (phrase: LocalisedPhrase) =>
      !isWhole(phrase)
        ? 'a word is missing'
        : looking.value
          ? 'looking'
          : asked.value.has(phraseKey(phrase.text))
            ? 'no searches known'
            : '',
  }
}
