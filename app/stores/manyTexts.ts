import * as Comlink from 'comlink'
import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { computed, ref, shallowRef } from 'vue'
import type { LimitProfile } from '../../core/draft/limits'
import type { RuleSet } from '../../core/draft/ruleset'
import type { BriefTexts } from '../../shared/brief'
import { api, messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { leadsOfTitles, searchesOf } from '~/composables/textLeads'
import { phraseKey } from '../../core/text/words'
import type { LedTexts, ManyRules, TextChange, TextPoints, TextsWorker } from '~/workers/texts.worker'
import { useNotices } from './notices'
import { useWorkspace } from './workspace'
import { useWorkspaceItems } from './workspaceItems'

/** One of many texts, with its points once they are worked out. */
export interface TextRow {
  /** Its place in the list as it was read. */
  at: number
  texts: LedTexts
  points: TextPoints | null
  /** The brief it is, where it is one. */
  brief: Pick<BriefTexts, 'id' | 'revisions'> | null
  changed: boolean
  /** Searches a month of its lead; `null` where they are not known. */
  searches: number | null
}

/** A file larger than this is not read. */
const MOST_BYTES = 50_000_000
/** Workers that score them side by side at most. */
const MOST_WORKERS = 4
/** Texts that go to a worker or come from it in one go. */
const AT_ONCE = 200
/** The table is drawn anew this often while they are scored, in milliseconds. */
const TOLD_EVERY = 400
type Field = TextChange['field']
type Texted = Exclude<Field, 'fileName'>

/** Many texts beside each other: briefs, or videos of a file; scored under one set, mended together. */
export const useManyTexts = defineStore('manyTexts', () => {
  const notices = useNotices()
  const workspace = useWorkspace()
  const items = useWorkspaceItems()
  const rows = shallowRef<TextRow[]>([])
  const source = ref('')
  const refused = shallowRef<{ line: number; reason: string }[]>([])
  const problem = ref('')
  const reading = ref(false)
  const scored = ref(0)
  const ruleSet = ref(items.ruleSets[0]!.id)
  /** A second set, whose percent stands beside. */
  const beside = ref<string | null>(null)
  /** Under whose limits. */
  const profile = ref(items.profiles[0]!.id)
  const language = computed(() => workspace.current?.language ?? 'en')
  const running = computed(() => reading.value || scored.value < rows.value.length)

  /** Workers that score side by side; the first one reads files too. */
  let workers: { remote: Comlink.Remote<TextsWorker>; end: () => void }[] = []
  function remotes(): Comlink.Remote<TextsWorker>[] {
    if (!workers.length)
      workers = Array.from({ length: Math.min(MOST_WORKERS, navigator.hardwareConcurrency || 1) }, () => {
        const started = new Worker(new URL('../workers/texts.worker.ts', import.meta.url), { type: 'module' })
        return { remote: Comlink.wrap<TextsWorker>(started), end: () => started.terminate() }
      })
    return workers.map(each => each.remote)
  }
  const remote = () => remotes()[0]!
  const setOf = (id: string) => JSON.parse(JSON.stringify(items.ruleSetOf(id))) as RuleSet
  const rules = (): ManyRules => ({
    ruleSet: setOf(ruleSet.value),
    profile: JSON.parse(JSON.stringify(items.profileOf(profile.value))) as LimitProfile,
  })

  /** Rows are changed in their places; whoever shows them is told by a new list. */
  const redraw = () => {
    rows.value = [...rows.value]
  }
  /** The question that is being answered; an answer to an earlier one is dropped. */
  let asked = 0
  async function take(load: () => Promise<{ rows: TextRow[]; refused?: typeof refused.value }>, from: string) {
    const mine = ++asked
    reading.value = true
    problem.value = ''
    try {
      const found = await load()
      if (mine !== asked) return
      rows.value = found.rows
      refused.value = found.refused ?? []
      source.value = from
      reading.value = false
      await score()
      if (mine + 1 === asked) await findSearches()
    } catch (error) {
      if (mine !== asked && mine + 1 !== asked) return
      problem.value = messageOf(error)
    } finally {
      if (mine === asked) reading.value = false
    }
  }

  /** Scores the rows, or those of them that are named. */
  async function score(which?: readonly number[]) {
    // Some rows are scored beside all that wait for it; only a new list, or other rules, end what is under way.
    const mine = which ? asked : ++asked
    const wanted = which ?? rows.value.map(row => row.at)
    if (!which) scored.value = 0
    const question = [language.value, rules(), beside.value === null ? null : setOf(beside.value)] as const
    // A longer table takes longer to draw.
    const between = TOLD_EVERY + wanted.length / 10
    let shown = performance.now()
    let from = 0
    let done = 0
    async function lane(each: Comlink.Remote<TextsWorker>) {
      while (from < wanted.length) {
        const some = wanted.slice(from, (from += AT_ONCE))
        const points = await each.score(
          some.map(at => rows.value[at]!.texts),
          ...question,
        )
        if (mine !== asked) return
        some.forEach((at, i) => {
          rows.value[at] = { ...rows.value[at]!, points: points[i]! }
        })
        done += some.length
        if (!which) scored.value = done
        if (performance.now() - shown < between && done < wanted.length) continue
        redraw()
        shown = performance.now()
      }
    }
    await Promise.all(remotes().map(lane))
  }

  const where = () => ({
    region: workspace.current?.region ?? null,
    language: language.value,
    workspace: workspace.id,
  })
  /** Searches of the leads, in the background: a row without them is complete but for what is at stake. */
  async function findSearches() {
    const mine = asked
    for await (const known of searchesOf(
      rows.value.map(row => row.texts.lead),
      where(),
    )) {
      if (mine !== asked) return
      for (const row of rows.value) {
        const searches = known.get(phraseKey(row.texts.lead))
        if (searches !== undefined) rows.value[row.at] = { ...row, searches }
      }
      redraw()
    }
  }

  const rowOf = (texts: LedTexts, at: number, brief: TextRow['brief'] = null): TextRow => ({
    at,
    texts,
    points: null,
    brief,
    changed: false,
    searches: null,
  })

  async function read(...files: Uint8Array[]) {
    const found: TextRow[] = []
    const faults: { line: number; reason: string }[] = []
    for (const bytes of files) {
      const { count, refused: some } = await remote().read(Comlink.transfer(bytes, [bytes.buffer]), language.value)
      faults.push(...some)
      for (let from = 0; from < count; from += AT_ONCE)
        for (const texts of await remote().part(from, from + AT_ONCE)) found.push(rowOf(texts, found.length))
    }
    // Where no tag told what a text is meant for, a known phrase in its title does.
    const unled = found.filter(row => !row.texts.lead)
    const leads = await leadsOfTitles(
      unled.map(row => row.texts.title),
      where(),
    )
    for (const [i, row] of unled.entries()) row.texts = { ...row.texts, lead: leads[i]! }
    return { rows: found, refused: faults }
  }
  const loadBriefs = () =>
    take(async () => {
      const { briefs } = await api('GET /api/briefs/texts', { query: { workspace: workspace.id } })
      return {
        rows: briefs.map(({ id, topic, title, description, tags, language: spoken, lead, support, revisions }, at) =>
          rowOf({ id, title: title || topic, description, tags, lead, support, language: spoken, guessed: false }, at, {
            id,
            revisions,
          }),
        ),
      }
    }, 'briefs')
  const loadVideos = () =>
    take(async () => {
      const { videos } = await api('GET /api/videos/texts', { query: { workspace: workspace.id } })
      if (!videos.length)
        throw new Error('No videos of your channel are known. Name it in the Library, under Channels, and look at it.')
      return read(new TextEncoder().encode(JSON.stringify(videos)))
    }, 'my videos')
  const loadFiles = (files: readonly File[]) =>
    take(
      async () => {
        const large = files.find(file => file.size > MOST_BYTES)
        if (large) throw new Error(`“${large.name}” is larger than 50 MB. Split it.`)
        return read(...(await Promise.all(files.map(async file => new Uint8Array(await file.arrayBuffer())))))
      },
      files.map(file => file.name).join(', '),
    )
  const loadText = (text: string) => take(() => read(new TextEncoder().encode(text)), 'pasted text')

  function put(at: number, changes: Partial<LedTexts>) {
    const row = rows.value[at]!
    rows.value[at] = { ...row, texts: { ...row.texts, ...changes }, changed: true }
    redraw()
  }

  /** Writes a field of a row, and of its brief where it is one. @throws what the brief says against it. */
  async function write(at: number, field: Texted, value: string | string[]) {
    const { brief } = rows.value[at]!
    if (brief) {
      const { revisions } = await api('PATCH /api/briefs/:id', {
        params: { id: brief.id },
        body: { editId: uuid(), fields: { [field]: { revision: brief.revisions[field], value } } },
      })
      rows.value[at] = {
        ...rows.value[at]!,
        brief: { ...brief, revisions: { ...brief.revisions, [field]: revisions[field] ?? brief.revisions[field] } },
      }
    }
    put(at, { [field]: value })
  }

  /** Takes changes proposed for many texts; what cannot be written is told and left as it is. */
  async function apply(changes: readonly TextChange[]) {
    const done: TextChange[] = []
    const failed: string[] = []
    for (const change of changes) {
      if (change.field === 'fileName') continue
      try {
        await write(change.at, change.field, change.after)
        done.push(change)
      } catch (error) {
        failed.push(`“${rows.value[change.at]!.texts.title}”: ${messageOf(error)}`)
      }
    }
    await score(done.map(change => change.at))
    const told = `${counted(done.length, 'text')} changed.`
    if (failed.length) notices.show(`${told} Not changed: ${failed.slice(0, 3).join(' ')}`, { serious: true })
    else
      notices.show(told, {
        undo: async () => {
          for (const { at, field, before } of done) await write(at, field as Texted, before)
          await score(done.map(change => change.at))
        },
      })
  }

  return {
    rows,
    source,
    refused,
    problem,
    reading,
    running,
    scored,
    ruleSet,
    beside,
    profile,
    loadBriefs,
    loadVideos,
    loadFiles,
    loadText,
    score,
    apply,
    /** Ends the work; what is scored stays. */
    stop() {
      asked++
      for (const each of workers) each.end()
      workers = []
      reading.value = false
      scored.value = rows.value.length
    },
    /** What one check would change in some rows. */
    async changes(which: readonly number[], check: string): Promise<TextChange[]> {
      const found = await remote().changes(
        which.map(at => rows.value[at]!.texts),
        language.value,
        rules(),
        check,
      )
      return found.map(change => ({ ...change, at: which[change.at]! }))
    },
    async setLead(at: number, lead: string) {
      put(at, { lead: lead.trim(), guessed: false })
      await Promise.all([score([at]), findSearches()])
    },
    /** Makes a brief of a row. @returns its id. */
    async makeBrief(at: number): Promise<string> {
      const { title, description, tags, lead, support, language: spoken } = rows.value[at]!.texts
      const fields = {
        topic: title.slice(0, 200),
        title,
        description: description ?? '',
        tags: tags ?? [],
        language: spoken || language.value,
        ...(workspace.current?.region ? { region: workspace.current.region } : {}),
        ruleSet: ruleSet.value,
        tray: { lead: lead || null, support, setAside: [] },
      }
      return (await api('POST /api/briefs', { body: { id: uuid(), fields, workspace: workspace.id } })).id
    },
  }
})
