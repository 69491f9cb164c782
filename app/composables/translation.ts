import { computed, ref, shallowRef, type Ref } from 'vue'
import { withGaps } from '../../core/translation/marked'
import type { TranslationPairs } from '../../shared/translation'
import { api, messageOf } from '~/composables/api'
import { useAccess } from '~/stores/access'
import { useNotices } from '~/stores/notices'

/** What the translation service can do, asked for once. */
const known = shallowRef<TranslationPairs | null>(null)
let asked: Promise<void> | null = null

const same = (a: string, b: string) => a.split('-')[0] === b.split('-')[0]

/** Translates texts from one language into another, where the service knows the two; what it does not know is a gap. */
export function useTranslation(from: Ref<string>, to: Ref<string>) {
  const access = useAccess()
  const notices = useNotices()
  const busy = ref(false)
  async function ask() {
    try {
      known.value = await api('POST /api/translate/languages')
    } catch (error) {
      known.value = { pairs: [], note: '', source: null, problem: messageOf(error) }
    }
    // Texts are carried over by hand until then; the next screen asks again.
    if (known.value.problem !== null) asked = null
  }
  if (!access.reads) asked ??= ask()

  return {
    busy,
    /** Whether there is anything to ask. */
    may: computed(
      () => known.value?.pairs.some(pair => same(pair.from, from.value) && same(pair.to, to.value)) ?? false,
    ),
    /** Why it is not known what can be translated; `null` where it is. */
    problem: computed(() => known.value?.problem ?? null),
    /** A description of the service, as it gives it. */
    note: computed(() => known.value?.note ?? ''),
    /** @returns the texts in their order, or `null` when they could not be translated. */
    async translate(texts: string[]): Promise<string[] | null> {
      busy.value = true
      try {
        const { texts: found } = await api('POST /api/translate', {
          body: { texts, from: from.value, to: to.value },
        })
        return found.map(withGaps)
      } catch (error) {
        notices.show(`Could not translate. ${messageOf(error)}`, { serious: true })
        return null
      } finally {
        busy.value = false
      }
    },
  }
}
