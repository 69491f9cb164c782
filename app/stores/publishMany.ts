import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { computed, ref, shallowRef } from 'vue'
import { filesByName } from '../../core/draft/fileName'
import type { BriefLine } from '../../shared/brief'
import type { PublishAnswer } from '../../shared/publish'
import { api, messageOf } from '~/composables/api'
import { useJobs } from './jobs'
import { useLibrary } from './library'

/** How often it is asked how far those on their way are, in milliseconds. */
const SOON = 800

/** A brief that is to be published beside others. */
export interface ToPublish {
  line: BriefLine
  /** How it stands; `null` while that is not known. */
  answer: PublishAnswer | null
  file: File | null
  problem: string
  /** The key under which it is sent, the same however often it is tried. */
  once: string
}

/** Several briefs on their way to the site, one after the other. */
export const usePublishMany = defineStore('publishMany', () => {
  const jobs = useJobs()
  const library = useLibrary()
  const rows = shallowRef<ToPublish[]>([])
  /** Files that belong to none of them by their name. */
  const strangers = ref<string[]>([])
  const running = ref(false)
  let stopped = false
  const set = (id: string, change: Partial<ToPublish>) => {
    rows.value = rows.value.map(row => (row.line.id === id ? { ...row, ...change } : row))
  }
  const now = (id: string) => rows.value.find(row => row.line.id === id)
  const stateOf = ({ answer }: ToPublish) => answer?.publication?.state ?? null

  async function ask(id: string) {
    try {
      set(id, { answer: await api('GET /api/briefs/:id/publish', { params: { id } }), problem: '' })
    } catch (error) {
      set(id, { problem: messageOf(error) })
    }
  }
  async function load(lines: readonly BriefLine[]) {
    // Those that are on their way stay where they are.
    if (running.value) return
    rows.value = lines.map(line => ({ line, answer: null, file: null, problem: '', once: uuid() }))
    strangers.value = []
    await Promise.all(lines.map(({ id }) => ask(id)))
  }

  /** Takes files to the briefs they are named after. */
  function give(files: readonly File[]) {
    const at = filesByName(
      rows.value.map(({ line }) => line.fileName),
      files.map(({ name }) => name),
    )
    rows.value = rows.value.map((row, i) => (at[i] === null ? row : { ...row, file: files[at[i]!]! }))
    const taken = new Set(at)
    strangers.value = files.filter((_, i) => !taken.has(i)).map(({ name }) => name)
  }

  /** Those that can be sent as they are. */
  const sendable = computed(() =>
    rows.value.filter(
      row =>
        row.file &&
        row.answer?.channel &&
        !row.answer.problems.length &&
        stateOf(row) !== 'out' &&
        stateOf(row) !== 'sending',
    ),
  )

  /** Waits until one is out, refused, or no longer worked on. */
  async function follow(id: string) {
    while (now(id)?.answer?.job?.state === 'running') {
      await new Promise(resolve => setTimeout(resolve, SOON))
      await ask(id)
      if (now(id)?.problem) return
    }
  }
  async function start() {
    running.value = true
    stopped = false
    for (const { line, file, once } of sendable.value) {
      if (stopped) break
      try {
        const answer = await api('POST /api/briefs/:id/publish', {
          params: { id: line.id },
          query: { name: file!.name },
          file: file!,
          once,
        })
        set(line.id, { answer, problem: '' })
        await jobs.refresh()
        await follow(line.id)
        // Mended, it is sent anew: under the same key the answer would be the same.
        if (now(line.id)?.answer?.publication?.state === 'refused') set(line.id, { once: uuid() })
      } catch (error) {
        // The next one may fare better; this one says what was wrong with it.
        set(line.id, { problem: messageOf(error) })
      }
    }
    running.value = false
    await library.refresh()
  }
  /** Ends after the part that is on its way; what is out stays out. */
  async function stop() {
    stopped = true
    for (const { answer } of rows.value) if (answer?.job?.state === 'running') await jobs.stop(answer.job.id)
  }

  return { rows, strangers, running, sendable, stateOf, load, give, start, stop }
})
