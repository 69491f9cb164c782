import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { computed, ref, watch } from 'vue'
import type { Fix } from '../../core/draft/draft'
import { applyList, applyText } from '../../core/draft/edits'
import type { BriefField, BriefFields } from '../../core/brief/brief'
import type { Brief, FieldConflict, PatchAnswer } from '../../shared/brief'
import { api, ApiProblem, messageOf } from '~/composables/api'
import { findOrphans, holdWindowLock, storeUnsaved, type Edits } from '~/composables/unsaved'
import { WINDOW } from '~/composables/window'
import { remember } from '~/composables/remember'
import { useAccess } from './access'
import { useChanges } from './changes'
import { useNotices } from './notices'

/** Typing is saved this long after the last key, and while it goes on at least this often. */
const PAUSE = 500
const LONGEST = 2500
const RETRIES = [1000, 2000, 5000]
/** Answers that come again however often one asks. */
const FINAL = [400, 401, 403, 404, 413, 422]

interface Sent {
  editId: string
  client: string
  fields: Edits
}
type Status = 'saved' | 'waiting' | 'saving' | 'problem'

/** A copy without proxies, which can be sent and kept. */
const plain = <Value>(value: Value): Value => JSON.parse(JSON.stringify(value)) as Value
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/**
 * The brief that is open: its fields, saved as they change. An edit is sent with an id and the
 * revision it was made from, repeated with the same id until it is answered, and kept in the
 * browser's own storage until then, so that neither a crash here nor there loses it.
 */
export const useBrief = defineStore('brief', () => {
  const brief = ref<Brief | null>(null)
  const status = ref<Status>('saved')
  const savedAt = ref<number | null>(null)
  const problem = ref<string | null>(null)
  const conflicts = ref<Partial<Record<BriefField, FieldConflict>> | null>(null)
  /** Grows when a field is set from elsewhere than its own editor, which then takes the new text. */
  const outside = ref(0)
  const dirty = new Set<BriefField>()
  const client = WINDOW
  /** The brief asked for last. */
  let wanted = ''
  /** The brief that is on its way. */
  let coming: { id: string; opened: Promise<void> } | null = null
  let sent: Sent | null = null
  let timer: ReturnType<typeof setTimeout> | undefined
  let firstChange = 0
  let retries = 0
  let underWay: Promise<void> | null = null
  const notices = useNotices()
  const access = useAccess()
  const changes = useChanges()

  const fields = computed<BriefFields | null>(() => brief.value?.fields ?? null)

  /** The fields that are not saved yet, with the revision each was changed from. */
  const unsaved = (): Edits =>
    Object.fromEntries(
      [...dirty].map(field => [
        field,
        { revision: brief.value!.revisions[field], value: plain(brief.value!.fields[field]) },
      ]),
    )
  function journal() {
    if (brief.value) storeUnsaved(brief.value.id, unsaved())
  }

  /** Opens a brief; asked for again while it is on its way, it is asked for once. @throws ApiProblem */
  function load(id: string): Promise<void> {
    wanted = id
    if (brief.value?.id === id) return Promise.resolve()
    if (coming?.id === id) return coming.opened
    const opened = open(id).finally(() => {
      if (coming?.opened === opened) coming = null
    })
    coming = { id, opened }
    return opened
  }

  async function open(id: string) {
    await flush()
    const found = await api('GET /api/briefs/:id', { params: { id } })
    // Another one was asked for meanwhile: this one would stand under its address. Or it is open by now.
    if (wanted !== id || brief.value?.id === id) return
    dirty.clear()
    sent = null
    conflicts.value = null
    problem.value = null
    status.value = 'saved'
    savedAt.value = found.updatedAt
    brief.value = found
    outside.value++
    remember('fonetra.brief', id)
    await recover(found)
  }

  /** Edits that a window which is gone could not save are taken up again. */
  async function recover(found: Brief) {
    const take = await findOrphans(found.id)
    if (brief.value?.id !== found.id) return
    for (const edits of take()) {
      for (const [field, change] of Object.entries(edits) as [BriefField, { revision: number; value: unknown }][]) {
        if (same(change.value, brief.value.fields[field])) continue
        Object.assign(brief.value.revisions, { [field]: change.revision })
        assign(field, change.value)
        dirty.add(field)
      }
    }
    if (!dirty.size) return
    outside.value++
    journal()
    schedule()
  }

  function assign(field: BriefField, value: unknown) {
    Object.assign(brief.value!.fields, { [field]: value })
  }

  function set<Field extends BriefField>(field: Field, value: BriefFields[Field], fromOutside = false) {
    if (!brief.value || same(brief.value.fields[field], value)) return
    if (access.reads) return notices.show('Your key is read-only. Nothing was changed.', { serious: true })
    assign(field, plain(value))
    if (fromOutside) outside.value++
    dirty.add(field)
    journal()
    schedule()
  }

  /**
   * Changes fields in one go, says so, and offers one way back. The way back knows its brief: it leads there also when
   * another one is open by then, and overwrites nothing that was typed since.
   */
  function changeAll(text: string, values: Partial<BriefFields>) {
    if (!brief.value) return
    const { id, fields } = brief.value
    const topic = fields.topic || 'Untitled'
    const steps = (Object.keys(values) as BriefField[])
      .filter(field => !same(fields[field], values[field]))
      .map(field => ({ id, topic, field, before: plain(fields[field]), after: plain(values[field]!) }))
    for (const { field, after } of steps) set(field, after, true)
    if (!steps.length || access.reads) return
    notices.show(text, {
      undo: async () => {
        for (const step of steps) await takeBack(step)
      },
    })
  }
  const change = <Field extends BriefField>(text: string, field: Field, value: BriefFields[Field]) =>
    changeAll(text, { [field]: value })

  /**
   * Applies a ready-made change to the field it was worked out for, with a way back.
   * @param base the field as it was then: where it is another one by now, offsets would be wrong, and nothing is
   * changed.
   */
  function edit(text: string, fix: Fix, base: string | string[] | undefined) {
    if (!brief.value) return
    const { fields } = brief.value
    if (!same(fields[fix.field], base ?? ''))
      return notices.show('The text has changed since. Try again.', { serious: true })
    if (fix.field === 'tags') change(text, 'tags', applyList(fields.tags, fix.edits))
    else change(text, fix.field, applyText(fields[fix.field], fix.edits))
  }

  /** @throws Error that says why a step cannot be taken back. */
  async function takeBack<Field extends BriefField>({
    id,
    topic,
    field,
    before,
    after,
  }: {
    id: string
    topic: string
    field: Field
    before: BriefFields[Field]
    after: BriefFields[Field]
  }) {
    const changedSince = new Error(
      `“${topic}” was changed since, so nothing was undone. Earlier versions are in the history of the field.`,
    )
    if (brief.value?.id === id) {
      if (!same(brief.value.fields[field], after)) throw changedSince
      return set(field, before, true)
    }
    const found = await api('GET /api/briefs/:id', { params: { id } })
    if (!same(found.fields[field], after)) throw changedSince
    await api('PATCH /api/briefs/:id', {
      params: { id },
      body: { editId: uuid(), client, fields: { [field]: { revision: found.revisions[field], value: before } } },
    })
    notices.show(`Undone in “${topic}”.`)
  }

  function schedule() {
    if (!firstChange) firstChange = Date.now()
    if (status.value !== 'problem') status.value = 'waiting'
    clearTimeout(timer)
    timer = setTimeout(() => void save(), Math.max(0, Math.min(PAUSE, firstChange + LONGEST - Date.now())))
  }

  function save(keepalive = false): Promise<void> {
    clearTimeout(timer)
    if (underWay) return underWay
    if (!brief.value || conflicts.value) return Promise.resolve()
    if (!sent && dirty.size) sent = { editId: uuid(), client, fields: unsaved() }
    if (!sent) return Promise.resolve()
    firstChange = 0
    status.value = 'saving'
    const { id } = brief.value
    underWay = api('PATCH /api/briefs/:id', { params: { id }, body: sent, keepalive })
      .then(
        answer => ({ answer }),
        (error: unknown) => ({ error }),
      )
      .then(result => {
        underWay = null
        if (brief.value?.id !== id) return
        if ('answer' in result) acknowledged(id, result.answer)
        else failed(result.error)
      })
    return underWay
  }

  function acknowledged(id: string, answer: PatchAnswer) {
    if (!brief.value || !sent) return
    Object.assign(brief.value.revisions, answer.revisions)
    for (const [field, change] of Object.entries(sent.fields) as [BriefField, { value: unknown }][]) {
      if (same(change.value, brief.value.fields[field])) dirty.delete(field)
    }
    sent = null
    retries = 0
    problem.value = null
    savedAt.value = answer.savedAt
    status.value = dirty.size ? 'waiting' : 'saved'
    journal()
    if (dirty.size) schedule()
  }

  function failed(error: unknown) {
    status.value = 'problem'
    problem.value = messageOf(error)
    if (error instanceof ApiProblem && error.status === 409) {
      sent = null
      problem.value = null
      conflicts.value = (error.details as { conflicts: Partial<Record<BriefField, FieldConflict>> }).conflicts
      return
    }
    // A refusal of the text, or of a brief that is gone, is not answered by asking again: it stays here and is sent
    // with the next change.
    if (error instanceof ApiProblem && FINAL.includes(error.status)) sent = null
    else timer = setTimeout(() => void save(), RETRIES[Math.min(retries++, RETRIES.length - 1)])
  }

  /** Settles a conflict field by field: mine is saved over theirs, theirs replaces mine. */
  function settle(field: BriefField, keep: 'mine' | 'theirs') {
    const conflict = conflicts.value?.[field]
    if (!conflict || !brief.value) return
    brief.value.revisions[field] = conflict.revision
    if (keep === 'theirs') {
      // What gives way stays in the field's history.
      void api('POST /api/briefs/:id/history', {
        params: { id: brief.value.id },
        body: { field, value: brief.value.fields[field] },
      }).catch((error: unknown) => {
        problem.value = messageOf(error)
      })
      assign(field, conflict.theirs)
      dirty.delete(field)
      outside.value++
    }
    const { [field]: _settled, ...rest } = conflicts.value!
    conflicts.value = Object.keys(rest).length ? rest : null
    journal()
    if (!conflicts.value) {
      status.value = dirty.size ? 'waiting' : 'saved'
      if (dirty.size) schedule()
    }
  }

  /** Waits until everything is saved, as far as it can be. */
  async function flush() {
    // What is typed while one save is under way needs a second.
    for (let tries = 0; tries < 3 && brief.value && (dirty.size || sent) && !conflicts.value; tries++) await save()
  }

  /** This brief was saved elsewhere, or by another part of this window: fields that are not edited here follow. */
  async function follow() {
    const id = brief.value?.id
    if (!id || conflicts.value) return
    const found = await api('GET /api/briefs/:id', { params: { id } }).catch(() => null)
    if (!found || brief.value?.id !== id) return
    for (const field of Object.keys(found.fields) as BriefField[]) {
      if (dirty.has(field) || sent?.fields[field] || found.revisions[field] <= brief.value.revisions[field]) continue
      brief.value.revisions[field] = found.revisions[field]
      if (!same(brief.value.fields[field], found.fields[field])) {
        assign(field, found.fields[field])
        outside.value++
      }
    }
  }

  watch(
    () => changes.revisions.briefs,
    () => {
      if (brief.value && (changes.briefs?.includes(brief.value.id) ?? true)) void follow()
    },
  )
  if (typeof window !== 'undefined') {
    holdWindowLock()
    window.addEventListener('beforeunload', () => {
      if (dirty.size) void save(true)
    })
    window.addEventListener('online', () => void save())
  }

  function close() {
    wanted = ''
    brief.value = null
    dirty.clear()
    sent = null
  }

  return {
    brief,
    fields,
    status,
    savedAt,
    problem,
    conflicts,
    outside,
    load,
    set,
    change,
    changeAll,
    edit,
    settle,
    flush,
    close,
    follow,
    retry: () => save(),
  }
})
