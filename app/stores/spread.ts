import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef, watch } from 'vue'
import { draftOf } from '../../core/brief/brief'
import type { Post } from '../../core/brief/items/post'
import type { ItemValue } from '../../core/brief/items'
import { POST_KINDS, postKind, type PostKind } from '../../core/posts/kinds'
import { firstHour, inTime, type SpreadStep } from '../../core/posts/plan'
import { taggedAddress } from '../../core/posts/address'
import { tagFor, type Outlet } from '../../core/posts/outlet'
import type { BriefItem } from '../../shared/briefItems'
import type { OutletLine } from '../../shared/workspaceItems'
import { api, messageOf } from '~/composables/api'
import { now } from '~/composables/clock'
import { counted } from '~/composables/figures'
import { useSavedItem, type Revised } from '~/composables/savedItem'
import { useBrief } from './brief'
import { useChanges } from './changes'
import { useNotices } from './notices'
import { useWorkspace } from './workspace'

type PostItem = BriefItem<'post'>
export type StepItem = BriefItem<'spreadStep'>
type Kind = 'post' | 'spreadStep'
const flat = ({ id, revision, value }: PostItem): Revised<Post> => ({ id, revision, ...value })

/** The word that is spread about the open brief's video: its texts, the plan of its first hour, and the outlets. */
export const useSpread = defineStore('spread', () => {
  const brief = useBrief()
  const workspace = useWorkspace()
  const changes = useChanges()
  const notices = useNotices()
  const posts = shallowRef<PostItem[] | null>(null)
  const steps = shallowRef<StepItem[] | null>(null)
  const outlets = shallowRef<OutletLine[]>([])
  const problem = ref('')
  const writing = ref(false)
  const briefId = computed(() => brief.brief?.id ?? null)

  async function fetchItems(of: string, kind: Kind) {
    return (await api('GET /api/briefs/:id/items', { params: { id: of }, query: { kind } })).items
  }
  async function load() {
    const of = briefId.value
    if (!of) return
    try {
      const [texts, plan, lines] = await Promise.all([
        fetchItems(of, 'post'),
        fetchItems(of, 'spreadStep'),
        api('GET /api/outlets', { query: { workspace: workspace.id } }),
      ])
      if (of !== briefId.value) return
      posts.value = texts as PostItem[]
      steps.value = plan as StepItem[]
      outlets.value = lines.outlets
      problem.value = ''
    } catch (error) {
      if (of === briefId.value) problem.value = messageOf(error)
    }
  }
  watch(briefId, () => {
    posts.value = null
    steps.value = null
  })
  /** Looked at anew while a screen shows it. */
  function useWhileShown() {
    watch(
      [briefId, () => workspace.id, () => changes.revisions.briefs, () => changes.revisions.workspaces],
      () => void Promise.all([load(), text.loadOpen()]),
      { immediate: true },
    )
  }

  async function put<Of extends Kind>(
    kind: Of,
    id: string,
    revision: number,
    value: ItemValue<Of>,
    { of = briefId.value!, keepalive = false }: { of?: string; keepalive?: boolean } = {},
  ) {
    return (await api('PUT /api/briefs/:id/items/:item', {
      params: { id: of, item: id },
      body: { kind, revision, value } as never,
      keepalive,
    })) as BriefItem<Of>
  }
  const drop = (id: string, of = briefId.value!) =>
    api('DELETE /api/briefs/:id/items/:item', { params: { id: of, item: id } })
  /** Runs a change and reads all anew; why it failed is said. @returns whether it went through. */
  async function attempt(work: () => Promise<unknown>): Promise<boolean> {
    try {
      await work()
      return true
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
      return false
    } finally {
      await load()
    }
  }

  /** Whose a text is: what was typed for one brief is saved there, also when another one is open by then. */
  const owners = new Map<string, string>()
  const ownerOf = (id: string) => owners.get(id) ?? briefId.value!
  watch(posts, list => {
    for (const { id } of list ?? []) owners.set(id, briefId.value!)
  })
  const text = useSavedItem<Post, Revised<Post>>({
    async read(id) {
      const found = ((await fetchItems(ownerOf(id), 'post')) as PostItem[]).find(each => each.id === id)
      if (!found) throw new Error('This text was deleted.')
      return flat(found)
    },
    async save({ id, revision, ...before }, change, keepalive) {
      return flat(await put('post', id, revision, { ...before, ...change }, { of: ownerOf(id), keepalive }))
    },
    theirs: details => flat((details as { theirs: PostItem }).theirs),
    after: load,
  })

  const ofKind = (kind: PostKind) => posts.value?.find(({ value }) => value.kind === kind) ?? null
  /** The texts as they follow from the brief now. */
  async function proposed(kinds: readonly PostKind[]) {
    const { fields } = brief
    await brief.flush()
    const { title, description, captions, durationSeconds } = draftOf(fields!)
    return api('POST /api/posts/write', {
      body: {
        draft: { title, description, captions, durationSeconds },
        phrases: { lead: fields!.tray.lead ?? '', support: fields!.tray.support },
        kinds: [...kinds],
        language: fields!.language,
        address: longest.value,
      },
    })
  }
  /** Writes the kinds that have no text yet. */
  async function writeAll(kinds: readonly PostKind[] = POST_KINDS.filter(kind => !ofKind(kind))) {
    const of = briefId.value!
    writing.value = true
    const made: PostItem[] = []
    await attempt(async () => {
      const found = await proposed(kinds)
      for (const { kind, text: written } of found.posts)
        made.push(await put('post', uuid(), 0, { kind, text: written }, { of }))
    })
    writing.value = false
    if (!made.length) return
    notices.show(`${counted(made.length, 'text')} written.`, {
      undo: async () => {
        await attempt(() => Promise.all(made.map(({ id }) => drop(id, of))))
      },
    })
  }
  /** Writes the open one anew; its way back is the text before. */
  async function writeAnew(kind: PostKind) {
    writing.value = true
    try {
      const [found] = (await proposed([kind])).posts
      await text.change(`${postKind(kind).name} written again.`, { text: found!.text })
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    } finally {
      writing.value = false
    }
  }
  const begin = (kind: PostKind) => attempt(() => put('post', uuid(), 0, { kind, text: '' }))
  async function removePost({ id, revision, value }: PostItem) {
    const of = briefId.value!
    await text.flush()
    if (await attempt(() => drop(id, of)))
      notices.show(`${postKind(value.kind).name} deleted.`, {
        undo: async () => {
          await attempt(() => put('post', id, revision + 1, value, { of }))
        },
      })
  }

  const address = computed(() => brief.fields?.videoAddress ?? '')
  /** What the visits of this video are told apart by. */
  const campaign = computed(() => brief.fields?.fileName || brief.fields?.tray.lead || brief.fields?.topic || '')
  const addressFor = (outlet: Pick<Outlet, 'tag' | 'kind'> | null) =>
    outlet && address.value ? taggedAddress(address.value, outlet, campaign.value) : address.value
  /** The longest address that the texts have to hold; '' while the video has none. */
  const longest = computed(() =>
    [null, ...outlets.value].map(addressFor).reduce((a, b) => (b.length > a.length ? b : a), ''),
  )

  const plan = computed(() =>
    steps.value
      ? inTime(steps.value.map(item => ({ ...item, minutes: item.value.minutes, what: item.value.what })))
      : null,
  )
  const saveStep = ({ id, revision, value }: StepItem, change: Partial<SpreadStep>) =>
    attempt(() => put('spreadStep', id, revision, { ...value, ...change }))
  async function addSteps(list: readonly SpreadStep[]) {
    const of = briefId.value!
    const made: string[] = []
    await attempt(async () => {
      for (const step of list) made.push((await put('spreadStep', uuid(), 0, step, { of })).id)
    })
    if (made.length > 1)
      notices.show(`${counted(made.length, 'step')} planned.`, {
        undo: async () => {
          await attempt(() => Promise.all(made.map(id => drop(id, of))))
        },
      })
  }
  async function removeStep({ id, revision, value }: StepItem) {
    const of = briefId.value!
    if (await attempt(() => drop(id, of)))
      notices.show(`“${value.what}” removed.`, {
        undo: async () => {
          await attempt(() => put('spreadStep', id, revision + 1, value, { of }))
        },
      })
  }

  return {
    posts,
    steps,
    plan,
    outlets,
    problem,
    writing,
    ...text,
    load,
    useWhileShown,
    ofKind,
    writeAll,
    writeAnew,
    begin,
    removePost,
    address,
    addressFor,
    longest,
    saveStep,
    addSteps,
    removeStep,
    /** Ticks a step with the time, or takes the tick back. */
    tick: (item: StepItem, done: boolean) => saveStep(item, { doneAt: done ? now() : null }),
    planFirstHour: () => addSteps(firstHour(outlets.value)),
    addOutlet: (name: string) =>
      attempt(() =>
        api('POST /api/outlets', {
          body: {
            name,
            kind: 'page',
            address: '',
            tag: freeTag(name, outlets.value),
            workspace: workspace.id,
          },
        }),
      ),
    setOutlet: ({ id, revision }: OutletLine, change: Partial<Outlet>) =>
      attempt(() => api('PATCH /api/outlets/:id', { params: { id }, body: { revision, ...change } })),
    async removeOutlet({ id, name, kind, address: at, audience, tag, note }: OutletLine) {
      const of = workspace.id
      if (await attempt(() => api('DELETE /api/outlets/:id', { params: { id } })))
        notices.show(`“${name}” deleted.`, {
          undo: async () => {
            await attempt(() =>
              api('POST /api/outlets', { body: { id, name, kind, address: at, audience, tag, note, workspace: of } }),
            )
          },
        })
    },
  }
})

/** A tag for an outlet that no other one has. */
function freeTag(name: string, outlets: readonly Outlet[]): string {
  const taken = new Set(outlets.map(({ tag }) => tag))
  const base = tagFor(name) || 'outlet'
  let tag = base
  for (let n = 2; taken.has(tag); n++) tag = `${base}-${n}`
  return tag
}
