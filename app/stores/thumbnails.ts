import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Design } from '../../core/thumbnail/design'
import { pictureName, type Picture } from '../../core/thumbnail/picture'
import type { BriefItem } from '../../shared/briefItems'
import type { ResultsAnswer, RivalRow } from '../../shared/rivals'
import type { ThumbnailsAnswer } from '../../shared/thumbnails'
import { api, ApiProblem, messageOf } from '~/composables/api'
import { useBrief } from './brief'
import { useChanges } from './changes'
import { useNotices } from './notices'
import { useWorkspace } from './workspace'

export type Candidate = BriefItem<'thumbnail'>
/** What a picture is as the brief names it. */
const pictureOf = ({ hash, format, width, height, bytes }: Picture): Picture => ({ hash, format, width, height, bytes })

/** Where a kept picture is asked for. @param width pixels it is scaled down to; as it is unless given. */
export const pictureAddress = (picture: Pick<Picture, 'hash' | 'format'>, width?: 320 | 640 | 1280) =>
  `/api/pictures/${pictureName(picture)}${width ? `?width=${width}` : ''}`

/** The pictures that may become the open brief's thumbnail, among those of its lead's page. */
export const useThumbnails = defineStore('thumbnails', () => {
  const brief = useBrief()
  const notices = useNotices()
  const workspace = useWorkspace()
  const changes = useChanges()
  const items = shallowRef<Candidate[] | null>(null)
  const answer = shallowRef<ThumbnailsAnswer | null>(null)
  const page = shallowRef<ResultsAnswer | null>(null)
  const problem = ref('')
  /** What is being done, in words; '' while nothing is. */
  const busy = ref('')
  const asking = ref(false)
  const lead = computed(() => brief.fields?.tray.lead ?? '')

  const chosen = computed(() => brief.fields?.thumbnail ?? null)
  /** The seats of the page with a picture that was looked at, in rank order. */
  const rows = computed<RivalRow[]>(() => {
    const shown = new Set(answer.value?.page?.videoIds)
    return (page.value?.rows ?? []).filter(({ videoId }) => shown.has(videoId))
  })

  const still = (of: string) => brief.brief?.id === of
  const pageQuery = () => ({
    phrase: lead.value,
    region: brief.fields!.region,
    language: brief.fields!.language,
    workspace: workspace.id,
  })

  async function load() {
    const of = brief.brief?.id
    if (!of) return
    try {
      const found = await api('GET /api/briefs/:id/items', { params: { id: of }, query: { kind: 'thumbnail' } })
      if (!still(of)) return
      items.value = found.items as Candidate[]
      problem.value = ''
      await look(of)
    } catch (error) {
      if (still(of)) problem.value = messageOf(error)
    }
  }

  async function look(of: string) {
    const [looks, results] = await Promise.all([
      api('GET /api/briefs/:id/thumbnails', { params: { id: of } }),
      lead.value ? keptPage() : null,
    ])
    if (!still(of)) return
    answer.value = looks
    page.value = results
  }
  /** The page of the lead as it is kept; `null` where none is. */
  async function keptPage(): Promise<ResultsAnswer | null> {
    try {
      return await api('GET /api/results', { query: pageQuery() })
    } catch (error) {
      if (error instanceof ApiProblem && error.code === 'not-kept') return null
      throw error
    }
  }
  async function askPage() {
    asking.value = true
    try {
      await api('POST /api/results', { query: pageQuery() })
      await load()
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    } finally {
      asking.value = false
    }
  }

  watch(
    () => brief.brief?.id,
    () => {
      items.value = null
      answer.value = null
      page.value = null
      problem.value = ''
    },
  )
  /** Looked at anew while a screen shows them. */
  function useWhileShown() {
    watch(
      [() => brief.brief?.id, lead, () => changes.revisions.briefs, () => changes.revisions.pages],
      () => void load(),
      {
        immediate: true,
      },
    )
  }

  async function attempt<Done>(said: string, work: (of: string) => Promise<Done>): Promise<Done | null> {
    const of = brief.brief!.id
    busy.value = said
    try {
      return await work(of)
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
      return null
    } finally {
      busy.value = ''
      if (still(of)) await load()
    }
  }

  const choose = (candidate: Candidate) => {
    brief.change(`“${candidate.value.name}” chosen as thumbnail.`, 'thumbnail', pictureOf(candidate.value))
  }

  /** Adds pictures; the first one of a brief is its thumbnail. @returns the one added last. */
  async function add(files: readonly { name: string; file: Blob }[]): Promise<Candidate | null> {
    let last: Candidate | null = null
    for (const [i, { name, file }] of files.entries()) {
      const said = files.length > 1 ? `Reading picture ${i + 1} of ${files.length} …` : 'Reading the picture …'
      const item = await attempt(said, of =>
        api('POST /api/briefs/:id/thumbnails', { params: { id: of }, query: { name }, file }),
      )
      if (!item) return last
      last = item
      if (!chosen.value) brief.set('thumbnail', pictureOf(item.value), true)
    }
    return last
  }

  /** Adds a picture that was made here, with what it was made of, so that it can be changed later. */
  async function keepMade(name: string, file: Blob, design: Design): Promise<Candidate | null> {
    const of = brief.brief!.id
    const made = await add([{ name, file }])
    if (!made) return null
    await attempt('Keeping the picture …', () =>
      api('PUT /api/briefs/:id/items/:item', {
        params: { id: of, item: made.id },
        body: { kind: 'thumbnail', revision: made.revision, value: { ...made.value, design } },
      }),
    )
    return made
  }

  /** Makes a candidate fit the site's rules, and chooses what came of it where it was the chosen one. */
  async function mend({ id, value }: Candidate, focus: { x: number; y: number }): Promise<Candidate | null> {
    const made = await attempt('Mending the picture …', of =>
      api('POST /api/briefs/:id/thumbnails/:item', { params: { id: of, item: id }, body: { focus } }),
    )
    if (!made) return null
    if (chosen.value?.hash === value.hash) choose(made)
    else notices.show(`“${made.value.name}” mended. The original stays.`)
    return made
  }

  async function remove({ id, value, revision }: Candidate) {
    await attempt('Removing the picture …', async of => {
      const wasChosen = chosen.value?.hash === value.hash
      await api('DELETE /api/briefs/:id/items/:item', { params: { id: of, item: id } })
      if (wasChosen) brief.set('thumbnail', null, true)
      notices.show(`“${value.name}” removed.`, {
        undo: async () => {
          await api('PUT /api/briefs/:id/items/:item', {
            params: { id: of, item: id },
            body: { kind: 'thumbnail', value, revision: revision + 1 },
          })
          if (wasChosen && still(of) && !chosen.value) brief.set('thumbnail', pictureOf(value), true)
          await load()
        },
      })
    })
  }

  return {
    items,
    answer,
    page,
    rows,
    problem,
    busy,
    asking,
    lead,
    chosen,
    load,
    askPage,
    useWhileShown,
    choose,
    add,
    keepMade,
    mend,
    remove,
  }
})
