import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Applied, ApplyAnswer, PublishAnswer } from '../../shared/publish'
import { api, ApiProblem, messageOf } from '~/composables/api'
import { useBrief } from './brief'
import { useChanges } from './changes'
import { useJobs } from './jobs'
import { useNotices } from './notices'

/** How often it is asked how far a file is, in milliseconds. */
const SOON = 600

/** The open brief on its way to the site, and beside a video that is there. */
export const usePublish = defineStore('publish', () => {
  const brief = useBrief()
  const notices = useNotices()
  const changes = useChanges()
  const jobs = useJobs()
  const answer = shallowRef<PublishAnswer | null>(null)
  const problem = ref('')
  /** Whether the file is on its way to Fonetra's own server. */
  const reading = ref(false)
  const running = computed(() => answer.value?.job?.state === 'running')
  const still = (of: string) => brief.brief?.id === of
  let timer: ReturnType<typeof setTimeout> | undefined

  function take(found: PublishAnswer) {
    clearTimeout(timer)
    answer.value = found
    problem.value = ''
    if (found.job?.state === 'running') timer = setTimeout(() => void load(), SOON)
  }
  async function load() {
    const id = brief.brief?.id
    if (!id) return
    try {
      const found = await api('GET /api/briefs/:id/publish', { params: { id } })
      if (still(id)) take(found)
    } catch (error) {
      if (still(id)) problem.value = messageOf(error)
    }
  }
  watch(
    () => brief.brief?.id,
    () => {
      clearTimeout(timer)
      answer.value = null
      beside.value = null
    },
  )
  watch([() => jobs.ended, () => changes.revisions.briefs], () => void (answer.value && load()))

  async function attempt(work: (id: string) => Promise<PublishAnswer>): Promise<boolean> {
    const id = brief.brief!.id
    try {
      const found = await work(id)
      if (still(id)) take(found)
      return true
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
      if (still(id)) await load()
      return false
    }
  }
  /** The key of what was last asked for and not answered: asked again, it is the same one. */
  let once = ''
  let of = ''
  async function publish(file: File) {
    if (of !== brief.brief!.id || !once) [once, of] = [uuid(), brief.brief!.id]
    reading.value = true
    // What was typed last goes along.
    await brief.flush()
    const done = await attempt(id =>
      api('POST /api/briefs/:id/publish', { params: { id }, query: { name: file.name }, file, once }),
    )
    reading.value = false
    if (done) once = ''
    await jobs.refresh()
  }

  /** The brief beside a video that is there; `null` until one is looked at. */
  const beside = shallowRef<ApplyAnswer | null>(null)
  const looking = ref(false)
  async function compare(videoId: string, fields: Applied[] = []) {
    const id = brief.brief!.id
    looking.value = true
    const seen = Object.fromEntries(
      (beside.value?.rows ?? [])
        .filter(({ field }) => fields.includes(field))
        .map(({ field, there }) => [field, there]),
    )
    try {
      await brief.flush()
      const found = await api('POST /api/briefs/:id/apply', { params: { id }, body: { videoId, fields, seen } })
      if (!still(id)) return
      beside.value = found
      if (fields.length) notices.show(`“${found.title}” changed on the site.`)
    } catch (error) {
      if (!still(id)) return
      notices.show(messageOf(error), { serious: true })
      // What it is now is shown, so that it can be chosen anew.
      if (error instanceof ApiProblem && error.code === 'changed-there')
        beside.value = (error.details as { now: ApplyAnswer }).now
      else if (!fields.length) beside.value = null
    } finally {
      looking.value = false
    }
  }

  return {
    answer,
    problem,
    reading,
    running,
    load,
    publish,
    async stop() {
      if (answer.value?.job) await jobs.stop(answer.value.job.id)
      await load()
    },
    async goOn() {
      if (answer.value?.job) await jobs.resume(answer.value.job.id)
      await load()
    },
    giveUp: () => attempt(id => api('DELETE /api/briefs/:id/publish', { params: { id } })),
    beside,
    looking,
    compare,
  }
})
