import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Candidate } from '../../core/brief/items/candidate'
import type { TitleIdea } from '../../core/titles/ideas'
import type { MeasuredTitle } from '../../core/titles/measure'
import type { BriefItem } from '../../shared/briefItems'
import { api, messageOf } from '~/composables/api'
import { useBrief } from './brief'
import { useChanges } from './changes'
import { useLimits } from '~/composables/limits'
import { useNotices } from './notices'

type Item = BriefItem<'candidate'>

/** Titles are measured this long after the last change, in milliseconds. */
const REST = 250
const sameTitle = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()

/** Candidates for the title of the open brief, what each is worth, and ideas for more. */
export const useBench = defineStore('bench', () => {
  const brief = useBrief()
  const changes = useChanges()
  const notices = useNotices()
  const items = shallowRef<Item[] | null>(null)
  const measured = shallowRef(new Map<string, MeasuredTitle>())
  const ideas = shallowRef<TitleIdea[]>([])
  const problem = ref('')
  const thinking = ref(false)
  let seed = 0

  const id = computed(() => brief.brief?.id ?? null)
  const title = computed(() => brief.fields?.title ?? '')
  const inState = (state: Candidate['state']) => (items.value ?? []).filter(item => item.value.state === state)
  /** Kept ones first; the one that stands as the title is not shown twice. */
  const shown = computed(() =>
    [...inState('kept'), ...inState('open')].filter(item => !sameTitle(item.value.title, title.value)),
  )
  const discarded = computed(() => inState('discarded'))
  /** What the phrases and the rules are asked with. */
  const limits = useLimits()
  const question = computed(() => {
    const fields = brief.fields
    if (!fields) return null
    const { tray, region, language, ruleSet } = fields
    return {
      phrases: { lead: tray.lead ?? '', support: [...tray.support] },
      region,
      language,
      ruleSet,
      profile: limits.value.id,
    }
  })
  const titles = computed(() => [
    ...new Set([title.value, ...shown.value.map(item => item.value.title), ...ideas.value.map(idea => idea.title)]),
  ])

  async function load() {
    const of = id.value
    if (!of) return
    try {
      const answer = await api('GET /api/briefs/:id/items', { params: { id: of }, query: { kind: 'candidate' } })
      if (of === id.value) items.value = answer.items as Item[]
      problem.value = ''
    } catch (error) {
      problem.value = messageOf(error)
    }
  }
  watch(
    id,
    () => {
      items.value = null
      ideas.value = []
      measured.value = new Map()
      seed = 0
      void load()
    },
    { immediate: true },
  )
  watch(
    () => changes.revisions.briefs,
    () => {
      if (!changes.briefs || (id.value && changes.briefs.includes(id.value))) void load()
    },
  )

  async function measure() {
    if (!question.value || !titles.value.length) return
    const { region, ...rest } = question.value
    try {
      const answer = await api('POST /api/titles/measure', { body: { ...rest, region, titles: titles.value } })
      measured.value = new Map(answer.titles.map(each => [each.title, each]))
    } catch (error) {
      problem.value = messageOf(error)
    }
  }
  watchDebounced([titles, question], measure, { debounce: REST, immediate: true })

  /**
   * Saves an item as it shall be; the list shows it at once, and the server's answer when it came.
   *
   * @returns whether it was saved.
   */
  async function save(item: Item, value: Candidate): Promise<boolean> {
    const of = id.value!
    const before = items.value ?? []
    const known = before.some(each => each.id === item.id)
    const next = { ...item, value }
    items.value = known ? before.map(each => (each.id === item.id ? next : each)) : [...before, next]
    try {
      const saved = (await api('PUT /api/briefs/:id/items/:item', {
        params: { id: of, item: item.id },
        body: { kind: 'candidate', revision: item.revision, value },
      })) as Item
      items.value = (items.value ?? []).map(each => (each.id === saved.id ? saved : each))
      return true
    } catch (error) {
      // What was not saved is not shown as if it were.
      items.value = before
      notices.show(messageOf(error), { serious: true })
      await load()
      return false
    }
  }

  /** The item as it is known now: an undo comes after its revision has grown. */
  const current = (item: Item) => items.value?.find(each => each.id === item.id) ?? item

  /** @returns whether it is on the bench now. */
  async function add(
    text: string,
    pattern: Candidate['pattern'] = null,
    state: Candidate['state'] = 'open',
  ): Promise<boolean> {
    const wanted = text.trim()
    if (!wanted || !id.value) return false
    const known = items.value?.find(item => sameTitle(item.value.title, wanted))
    if (known) return save(known, { ...known.value, state })
    const at = Date.now()
    return save(
      {
        id: uuid(),
        kind: 'candidate',
        position: 0,
        revision: 0,
        createdAt: at,
        savedAt: at,
        value: { title: wanted, pattern, state },
      },
      { title: wanted, pattern, state },
    )
  }

  async function setState(item: Item, state: Candidate['state']) {
    const before = item.value.state
    if (!(await save(item, { ...item.value, state })) || state !== 'discarded') return
    notices.show('Title discarded.', {
      undo: async () => {
        await save(current(item), { ...item.value, state: before })
      },
    })
  }

  /** Makes a title the video's; the one that stood there goes to the bench. */
  async function use(text: string) {
    const before = title.value
    if (before.trim() && !sameTitle(before, text)) await add(before, null, 'kept')
    brief.change('Title changed.', 'title', text)
  }

  /** Asks for ideas; again gives others. */
  async function think() {
    if (!question.value) return
    thinking.value = true
    seed++
    const { region, ...rest } = question.value
    try {
      ideas.value = (
        await api('POST /api/titles/ideas', {
          body: { ...rest, region, seed, ...(brief.brief ? { workspace: brief.brief.workspaceId } : {}) },
        })
      ).ideas
      problem.value = ''
    } catch (error) {
      problem.value = messageOf(error)
    } finally {
      thinking.value = false
    }
  }

  /** Ideas that are not on the bench yet, discarded ones left out. */
  const fresh = computed(() =>
    ideas.value.filter(
      idea =>
        !sameTitle(idea.title, title.value) &&
        !(items.value ?? []).some(item => sameTitle(item.value.title, idea.title)),
    ),
  )

  return {
    items,
    shown,
    discarded,
    ideas: fresh,
    measured,
    problem,
    thinking,
    title,
    lead: computed(() => question.value?.phrases.lead ?? ''),
    load,
    add,
    setState,
    use,
    think,
  }
})
