import { watchDebounced } from '@vueuse/core'
import * as Comlink from 'comlink'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Captions, Cue } from '../../core/captions/cue'
import type { CueFault } from '../../core/captions/read'
import { writeCaptions } from '../../core/captions/write'
import type { CaptionsWorker, LoadedCaptions } from '~/workers/captions.worker'
import { messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { useBrief } from './brief'
import { useNotices } from './notices'

/** A file larger than this is not read. */
const MOST_BYTES = 50_000_000
const NOTHING: Captions = { cues: [], timed: false }
/** Typing in the outline is read this long after the last key, in milliseconds. */
const REST = 200

/** What is spoken in the open brief's video: its captions, or the outline until there are some. */
export const useSpoken = defineStore('spoken', () => {
  const brief = useBrief()
  const notices = useNotices()
  const captions = shallowRef<Captions>(NOTHING)
  const problem = ref('')
  const busy = ref(false)
  /** What was wrong with the file loaded last; gone with the next one. */
  const faults = shallowRef<CueFault[]>([])
  /** Where the video stands that plays beside, in seconds; `null` where none does. */
  const playhead = ref<number | null>(null)
  /** The cue to be shown; a new object each time it is asked for. */
  const shown = shallowRef<{ cue: number } | null>(null)
  let worker: Comlink.Remote<CaptionsWorker> | null = null
  const remote = () =>
    (worker ??= Comlink.wrap<CaptionsWorker>(
      new Worker(new URL('../workers/captions.worker.ts', import.meta.url), { type: 'module' }),
    ))

  const source = computed<'captions' | 'outline' | null>(() =>
    brief.fields?.captions.trim() ? 'captions' : brief.fields?.outline.trim() ? 'outline' : null,
  )
  /** The text whose cues are known already: it was written here. */
  let written = ''
  let asked = 0
  async function read() {
    const { captions: text = '', outline = '', seconds = null } = brief.fields ?? {}
    const mine = ++asked
    if (text && text === written) return
    if (!source.value) {
      captions.value = NOTHING
      return
    }
    try {
      const found = await remote().read(text, outline, seconds)
      if (mine === asked) captions.value = found
      problem.value = ''
    } catch (error) {
      problem.value = messageOf(error)
    }
  }
  watchDebounced(
    () => [brief.brief?.id, brief.fields?.captions, brief.fields?.outline, brief.fields?.seconds],
    () => void read(),
    { debounce: REST, immediate: true },
  )
  watch(
    () => brief.brief?.id,
    () => {
      captions.value = NOTHING
      faults.value = []
      written = ''
      playhead.value = null
    },
  )

  /** Puts cues in place of those there are. @param said what is said of it, with a way back; nothing for typing. */
  function setCues(cues: readonly Cue[], said?: string) {
    written = cues.length ? writeCaptions(cues, 'webvtt') : ''
    captions.value = { cues, timed: true }
    if (said) brief.change(said, 'captions', written)
    else brief.set('captions', written)
  }

  function take({ cues, timed, faults: found, text, format, encoding }: LoadedCaptions) {
    faults.value = found
    const read = `${counted(cues.length, 'cue')} read${found.length ? `, ${found.length} not` : ''}`
    const how = `${format === 'text' ? 'as text' : format === 'srt' ? 'as SRT' : 'as WebVTT'}, ${encoding.toUpperCase()}`
    if (timed) setCues(cues, `${read} ${how}.`)
    else brief.change(`Text read ${how}; its times are estimated.`, 'captions', text)
  }

  /** Captions of a file, or pasted. */
  async function load(given: File | string) {
    const language = brief.fields!.language
    const of = brief.brief!.id
    if (typeof given !== 'string' && given.size > MOST_BYTES) {
      problem.value = 'This file is larger than 50 MB. Captions of one video are smaller. Nothing was changed.'
      return
    }
    busy.value = true
    problem.value = ''
    try {
      const bytes =
        typeof given === 'string' ? new TextEncoder().encode(given) : new Uint8Array(await given.arrayBuffer())
      const loaded = await remote().load(Comlink.transfer(bytes, [bytes.buffer]), language)
      if (brief.brief?.id === of) take(loaded)
      else notices.show('Another brief was opened meanwhile, so nothing was changed.')
    } catch (error) {
      problem.value = messageOf(error)
    } finally {
      busy.value = false
    }
  }

  return { captions, source, faults, problem, busy, playhead, shown, remote, setCues, load }
})
