import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { readdir } from 'node:fs/promises'
import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import type { BriefFields } from '../../../../core/brief/brief'
import { accountStore } from '../../../../server/data/accountChannels'
import { briefItemStore } from '../../../../server/data/briefItems'
import { briefStore } from '../../../../server/data/briefs'
import { forecastStore } from '../../../../server/data/forecasts'
import { phraseStore } from '../../../../server/data/phrases'
import { resultStore } from '../../../../server/data/results'
import { pictureStore } from '../../../../server/data/pictures'
import { publicationStore } from '../../../../server/data/publications'
import { videoChangeStore } from '../../../../server/data/videoChanges'
import { videoStore } from '../../../../server/data/videos'
import { workspaceItemStore } from '../../../../server/data/workspaceItems'
import { workspaceStore } from '../../../../server/data/workspaces'
import { Jobs } from '../../../../server/jobs/jobs'
import { apply, applyAnswer } from '../../../../server/release/apply'
import {
  openOutgoing,
  outgoingFile,
  publishing,
  publishAnswer,
  startPublishing,
} from '../../../../server/release/publish'
import { ANSWERED } from '../../../setup/sheet'
import { freshData, standingClock, temporaryFolder } from '../files'
import { actingSite } from './actingSite'

const folder = temporaryFolder()
const clock = standingClock()
const CHANNEL = 'ch-own'
const SHEET = { ...ANSWERED, recordedOn: '2026-03-14' }

let made = 0
function stores() {
  const home = join(folder, `home-${made++}`)
  mkdirSync(home)
  const db = freshData(folder)
  const briefItems = briefItemStore(db, clock)
  const publications = publicationStore(db, clock)
  const { state, services } = actingSite(CHANNEL, clock)
  const briefs = briefStore(db, clock, briefItems)
  const workspaces = workspaceStore(db, videoStore(db), clock)
  const outgoing = openOutgoing(join(home, 'outgoing'), publications.sending())
  const runtime = {
    db,
    now: clock,
    accounts: accountStore(db),
    briefs,
    chances: { hurdles: () => null } as never,
    forecasts: forecastStore(db),
    jobs: new Jobs(db),
    outgoing,
    phrases: phraseStore(db),
    results: resultStore(db),
    pictures: pictureStore(join(home, 'pictures')),
    publications,
    services: services as never,
    videoChanges: videoChangeStore(db),
    videos: videoStore(db),
    workspaceItems: workspaceItemStore(db, clock),
    workspaces,
  }
  const workspace = workspaces.list()[0]!.id
  function brief(fields: Partial<BriefFields> = {}) {
    const { id } = briefs.create(
      {
        title: 'One',
        description: 'Text',
        tags: ['a', ' A ', 'b'],
        sheet: SHEET,
        releaseAt: 'now',
        seconds: 100,
        ...fields,
      },
      undefined,
      { workspace },
    )
    return briefs.get(id)!
  }
  /** A brief with a file of some megabytes that is to be sent. */
  function begun(fields: Partial<BriefFields> = {}, bytes = 3_500_000) {
    const of = brief(fields)
    const id = uuid()
    writeFileSync(outgoingFile(outgoing, id), Buffer.alloc(bytes, 7))
    expect(
      publications.begin({ id, briefId: of.id, channel: CHANNEL, file: 'one.webm', bytes, seconds: 100 }),
    ).not.toBeNull()
    return { id, of }
  }
  async function send(id: string) {
    for await (const _ of publishing(runtime, id, new AbortController().signal)) void _
  }
  return { runtime, state, brief, begun, send, workspace }
}

describe('publishing', () => {
  test('sends the file in parts, then the texts, once; the file is gone from here afterwards', async () => {
    const { runtime, state, begun, send } = stores()
    const { id, of } = begun({ releaseAt: clock() + 1000 })
    await send(id)
    expect(runtime.publications.of(of.id)).toMatchObject({
      state: 'out',
      video: `v-${id}`,
      sent: 3_500_000,
      source: 'site',
    })
    const { draft, at } = state.videos.get(id)!
    expect(at).toBe(clock() + 1000)
    expect(draft).toMatchObject({ title: 'One', tags: ['a', 'b'], thumbnail: null, captions: null, endScreen: null })
    expect(draft.sheet).toMatchObject({ category: null, recordedAt: Date.UTC(2026, 2, 14), monetised: false })
    expect(state.parts).toBe(4)
    expect(await readdir(runtime.outgoing)).toEqual([])
    expect(publishAnswer(runtime, of).publication?.state).toBe('out')
    // A brief is out once.
    const again = { id: uuid(), briefId: of.id, channel: CHANNEL, file: 'x', bytes: 1, seconds: 1 }
    expect(runtime.publications.begin(again)).toBeNull()
  })

  test('goes on where the connection broke off, and publishes once even if the answer was lost', async () => {
    const { runtime, state, begun, send } = stores()
    const { id } = begun()
    state.breaksAfter = 2
    await expect(send(id)).rejects.toThrow('broke off')
    expect(runtime.publications.get(id)).toMatchObject({ state: 'sending', sent: 2 * 1024 * 1024 })
    state.breaksAfter = Infinity
    await send(id)
    expect(state.parts).toBe(4)
    // As after a kill between the site's answer and its being written down here.
    runtime.db.prepare("UPDATE publication SET state = 'sending', video = NULL WHERE id = ?").run(id)
    writeFileSync(outgoingFile(runtime.outgoing, id), Buffer.alloc(3_500_000, 7))
    await send(id)
    expect([...state.videos.keys()]).toEqual([id])
    expect(runtime.publications.get(id)).toMatchObject({ state: 'out', video: `v-${id}` })
  }, 60_000)

  test('asked for once more when it is out, nothing begins, and what is out stays out', async () => {
    const { runtime, state, begun, send } = stores()
    const { id } = begun()
    await send(id)
    const out = runtime.publications.get(id)
    expect(out).toMatchObject({ state: 'out', video: `v-${id}` })
    expect(startPublishing(runtime, id)).toBeNull()
    runtime.publications.end(id, { state: 'refused', problems: [{ field: 'file', message: 'It is not here.' }] })
    expect(runtime.publications.get(id)).toEqual(out)
    expect(state.videos.size).toBe(1)
  })

  test('what the site refuses comes back by field, and the brief can be sent anew', async () => {
    const { runtime, state, begun, send } = stores()
    const { id, of } = begun()
    state.refuses = [{ field: 'tags', message: 'Tags can have 500 characters in all.' }]
    await expect(send(id)).rejects.toThrow('500 characters')
    expect(runtime.publications.of(of.id)).toMatchObject({ state: 'refused', problems: state.refuses })
    expect(runtime.publications.heldOf(of.id)).toBeNull()
  })

  test('leads to playlists as the site knows them, each made once, and to nothing in what is made for children', async () => {
    const { runtime, state, begun, send, workspace } = stores()
    const playlist = uuid()
    const value = {
      title: 'Chains',
      description: '',
      lead: '',
      region: null,
      language: 'en',
      order: 'hand' as const,
      entries: [],
    }
    runtime.workspaceItems.save(workspace, { id: playlist, kind: 'playlist', revision: 0, value })
    const cards = [
      { id: 'b', at: 40, kind: 'playlist' as const, target: playlist, title: 'Chains', message: '', teaser: 'All' },
      { id: 'a', at: 20, kind: 'video' as const, target: 'v-1', title: 'V', message: '', teaser: 'One' },
    ]
    const element = {
      kind: 'video' as const,
      pick: 'newest' as const,
      target: 'ignored',
      title: '',
      x: 0,
      y: 0,
      width: 0.3,
    }
    const endScreen = { from: 85, elements: [{ id: 'e', ...element }] }
    const first = begun({ cards, endScreen })
    await send(first.id)
    const { draft } = state.videos.get(first.id)!
    expect(draft.cards.map(({ at, target }) => [at, target])).toEqual([
      [20, 'v-1'],
      [40, `p-playlist/${playlist}`],
    ])
    expect(draft.endScreen).toEqual({ from: 85, elements: [{ kind: 'video', target: null }] })
    const second = begun({ cards, endScreen, sheet: { ...SHEET, madeForChildren: true, comments: null } })
    await send(second.id)
    expect(state.videos.get(second.id)!.draft).toMatchObject({ cards: [], endScreen: null })
    expect(state.videos.get(second.id)!.draft.sheet.comments).toBe('closed')
    expect(state.playlists.size).toBe(1)
  })

  test('says what is owed before anything is sent', () => {
    const { runtime, brief } = stores()
    const owed = brief({ title: '', releaseAt: null, sheet: { ...SHEET, licence: null, monetised: null } })
    expect(publishAnswer(runtime, owed).problems.map(({ field }) => field)).toEqual([
      'title',
      'licence',
      'monetised',
      'hour',
    ])
    expect(publishAnswer(runtime, owed)).toMatchObject({ publication: null, job: null, channel: null })
  })

  test('says so where the file is gone, or the brief', async () => {
    const { runtime, begun, send } = stores()
    const gone = begun()
    rmSync(outgoingFile(runtime.outgoing, gone.id))
    await expect(send(gone.id)).rejects.toThrow('not here')
    expect(runtime.publications.get(gone.id)).toMatchObject({ state: 'refused', problems: [{ field: 'file' }] })
    const deleted = begun()
    runtime.briefs.remove(deleted.of.id)
    await expect(send(deleted.id)).rejects.toThrow('was deleted')
  })

  test('a file that belongs to nothing under way is removed when the program starts', async () => {
    const { runtime, begun } = stores()
    const { id } = begun()
    writeFileSync(join(runtime.outgoing, uuid()), 'left over')
    openOutgoing(runtime.outgoing, runtime.publications.sending())
    expect(await readdir(runtime.outgoing)).toEqual([id])
  })
})

describe('applying to a video that is there', () => {
  async function out() {
    const given = stores()
    const { id, of } = given.begun({
      sheet: { ...SHEET, automaticCaptions: 'remove' },
      captions: 'WEBVTT\n\n00:00.000 --> 00:02.000\nHello.',
    })
    await given.send(id)
    return { ...given, of, video: `v-${id}` }
  }

  test('shows part by part what differs, and changes what is chosen alone', async () => {
    const { runtime, state, of, video } = await out()
    const draft = { ...of, fields: { ...of.fields, title: 'Two', description: 'Other', tags: ['c'] } }
    const before = await applyAnswer(runtime, draft, video)
    const differing = before.rows.filter(row => row.differs && row.there !== null).map(row => row.field)
    expect(differing.join()).toBe('title,description,tags')
    expect(before.rows.find(row => row.field === 'thumbnail')!.there).toBeNull()
    const after = await apply(runtime, draft, { videoId: video, fields: ['title'], seen: { title: 'One' } })
    expect(after.rows[0]).toMatchObject({ field: 'title', there: 'Two', differs: false })
    expect(state.videos.get(video.slice(2))!.draft).toMatchObject({ title: 'Two', description: 'Text' })
    // What was changed is known afterwards, with its time; what was the same already was not changed.
    await apply(runtime, draft, { videoId: video, fields: ['title'], seen: { title: 'Two' } })
    expect(runtime.videoChanges.of(video)).toEqual([{ at: clock(), field: 'title', before: 'One', after: 'Two' }])
  })

  test('writes nothing over what changed there meanwhile', async () => {
    const { runtime, state, of, video } = await out()
    state.videos.get(video.slice(2))!.draft.title = 'Changed there'
    const draft = { ...of, fields: { ...of.fields, title: 'Two' } }
    await expect(
      apply(runtime, draft, { videoId: video, fields: ['title'], seen: { title: 'One' } }),
    ).rejects.toMatchObject({ code: 'changed-there' })
    expect(state.videos.get(video.slice(2))!.draft.title).toBe('Changed there')
  })

  test('says what the site refuses, and that there is no such video', async () => {
    const { runtime, state, of, video } = await out()
    state.refuses = [{ field: 'title', message: 'A title can have 100 characters.' }]
    await expect(
      apply(runtime, of, { videoId: video, fields: ['title'], seen: { title: 'One' } }),
    ).rejects.toMatchObject({ code: 'refused', message: 'A title can have 100 characters.' })
    expect(runtime.videoChanges.of(video)).toEqual([])
    await expect(applyAnswer(runtime, of, 'v-none')).rejects.toMatchObject({ status: 404 })
  })
})
