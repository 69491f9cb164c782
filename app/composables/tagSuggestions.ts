import { watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, type Ref } from 'vue'
import { draftOf } from '../../core/brief/brief'
import type { HashtagSuggestion, TagSuggestion } from '../../core/tags/suggest'
import type { Brief } from '../../shared/brief'
import { api, messageOf } from '~/composables/api'
import { useChanges } from '~/stores/changes'

/** Suggestions are asked for this long after the last change, in milliseconds. */
const REST = 600

/** Tags and hashtags for the open brief, asked for anew when its texts or phrases rest. */
export function useTagSuggestions(brief: Ref<Brief | null>) {
  const { revisions } = useChanges()
  const suggestions = shallowRef<TagSuggestion[] | null>(null)
  /** What is known of the tags that are there, in their order. */
  const current = shallowRef<TagSuggestion[]>([])
  const hashtags = shallowRef<HashtagSuggestion[]>([])
  const heldBack = ref(0)
  /** Whether those held back are shown too. */
  const all = ref(false)
  const problem = ref('')
  const limits = useLimits()
  const question = computed(() => {
    if (!brief.value) return null
    const { fields, workspaceId } = brief.value
    const { title, description, tags } = draftOf(fields)
    return {
      draft: { title: title ?? '', description: description ?? '', tags: tags ?? [] },
      phrases: { lead: fields.tray.lead ?? '', support: [...fields.tray.support] },
      region: fields.region,
      language: fields.language,
      workspace: workspaceId,
      profile: limits.value.id,
    }
  })
  let asked = 0
  async function load() {
    if (!question.value) return
    const mine = ++asked
    try {
      const [tags, found] = await Promise.all([
        api('POST /api/tags/suggest', { body: { ...question.value, all: all.value } }),
        api('POST /api/hashtags/suggest', { body: question.value }),
      ])
      if (mine !== asked) return
      suggestions.value = tags.suggestions
      current.value = tags.current
      heldBack.value = tags.heldBack
      hashtags.value = found.suggestions
      problem.value = ''
    } catch (error) {
      if (mine === asked) problem.value = messageOf(error)
    }
  }
  watchDebounced([() => JSON.stringify(question.value), all, () => revisions.pages, () => revisions.phrases], load, {
    debounce: REST,
  })
  void load()
  return { suggestions, current, hashtags, heldBack, all, problem, load }
}
