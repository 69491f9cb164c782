import { playlistSchema } from '../../../../core/playlist/playlist'
import { askedStore } from '../../../../server/data/asked'
import { briefItemStore } from '../../../../server/data/briefItems'
import { briefStore } from '../../../../server/data/briefs'
import { briefTrayStore } from '../../../../server/data/briefTrays'
import { phraseStore } from '../../../../server/data/phrases'
import { playlistPageStore } from '../../../../server/data/playlistPages'
import { resultStore } from '../../../../server/data/results'
import { videoStore } from '../../../../server/data/videos'
import { workspaceItemStore } from '../../../../server/data/workspaceItems'
import { workspaceStore } from '../../../../server/data/workspaces'
import { draftContext } from '../../../../server/desk/draftContext'
import { lookAtPlaylists } from '../../../../server/desk/playlistLook'
import {
  playlistAnswer,
  playlistLines,
  playlistPageAnswer,
  playlistSuggestions,
  rescorePlaylist,
} from '../../../../server/desk/playlists'
import { told } from '../../../../server/http/workspaceItem'
import { serviceError, type Services, type SitePlaylist } from '../../../../server/services/contract'
import { emptyFields } from '../../../../core/brief/brief'
import { pageOf, siteVideo } from '../pages'
import { freshData, standingClock, temporaryFolder } from '../files'

const siteVideoOf = (id: string, channel: string) =>
  siteVideo(id, channel, {
    title: `Bike chain ${id}`,
    channel: { id: channel, title: channel, subscribers: 99_999 },
    views: 1000,
    publishedAt: 5,
  })
const folder = temporaryFolder()
const ID = '0190a000-0000-7000-8000-00000000000'
const DAY = 86_400_000
const GB = { region: 'GB', language: 'en' }

const sitePlaylist = (title: string, channel: string): SitePlaylist => ({
  id: `pl-${title}`,
  title,
  description: '',
  channel: { id: channel, title: channel },
  videos: ['a', 'b'],
  updatedAt: 7,
})

function stores() {
  const db = freshData(folder)
  const now = standingClock()
  const videos = videoStore(db)
  const phrases = phraseStore(db, now)
  const results = resultStore(db)
  const deps = {
    db,
    now,
    videos,
    phrases,
    results,
    asked: askedStore(db, now),
    briefs: briefStore(db, now),
    briefItems: briefItemStore(db, now),
    briefTrays: briefTrayStore(db),
    playlistPages: playlistPageStore(db),
    workspaces: workspaceStore(db, videos, now),
    workspaceItems: workspaceItemStore(db, now),
  }
  const workspace = deps.workspaces.get()!.id
  deps.workspaces.update(workspace, { channelId: 'mine' })
  const brief = (lead: string, support: string[] = [], title = '') =>
    deps.briefs.create({ ...emptyFields(), ...GB, topic: lead, title, tray: { lead, support, setAside: [] } }).id
  /** A phrase with its searches and the videos of its page. */
  const keep = (phrase: string, volume: number, codes: string[]) => {
    phrases.save(
      [{ phrase, region: 'GB', volume, competition: null, months: [], monthsEnd: null } as never],
      'en',
      { name: 'Test', kind: 'service' },
      1,
    )
    const videos = codes.map(code => siteVideoOf(code, code.startsWith('mine') ? 'mine' : 'other'))
    results.save([pageOf(phrases.phraseId(phrase, 'en'), videos)])
  }
  const playlist = (n: number, value: object) =>
    deps.workspaceItems.save(workspace, {
      id: `${ID}${n}`,
      kind: 'playlist',
      revision: 0,
      value: playlistSchema.parse({ ...GB, ...value }),
    })
  return { ...deps, workspace, brief, keep, playlist }
}

test('what is in a playlist is told in its order, with what is known of each', () => {
  const { workspace, brief, keep, playlist, ...deps } = stores()
  keep('clean bike chain', 300, ['x', 'mine1'])
  keep('bike chain', 900, ['x', 'mine1'])
  const id = brief('clean bike chain', [], 'Clean a bike chain')
  playlist(1, {
    title: 'Chains',
    lead: 'bike chain',
    order: 'searches',
    entries: [
      { kind: 'brief', id },
      { kind: 'video', id: 'mine1' },
      { kind: 'video', id: 'unknown' },
    ],
  })
  const item = deps.workspaceItems.get(`${ID}1`, 'playlist')!.item
  const answer = playlistAnswer(deps, workspace, told(item))
  expect(answer.rows.map(({ id: of, lead, searches, gone }) => [of, lead, searches, gone])).toEqual([
    ['mine1', 'bike chain', 900, false],
    [id, 'clean bike chain', 300, false],
    ['unknown', '', null, true],
  ])
  expect(answer.searches).toBe(900)
  expect(answer.difficulty).toBeNull()
  expect(answer.faults.map(each => each.kind)).toEqual(['few', 'gone'])
  deps.briefs.remove(id)
  expect(playlistAnswer(deps, workspace, told(item)).rows.find(row => row.id === id)!.gone).toBe(true)
})

test('the playlists found for a phrase are kept, and tell how hard it is', async () => {
  const { workspace, playlist, ...deps } = stores()
  deps.videos.saveVideos([siteVideoOf('x', 'other')], 1)
  playlist(1, { title: 'Chains', lead: 'Bike chain' })
  let asked = 0
  let broken = false
  const services = {
    site: {
      searchPlaylists: async () => {
        asked++
        if (broken) throw serviceError('NotAsked', 'The site does not answer.')
        return Promise.resolve({
          source: 'site',
          at: deps.now(),
          complete: true,
          data: { playlists: [sitePlaylist('Bike chain', 'other'), sitePlaylist('Chains', 'mine')] },
        })
      },
    },
  } as unknown as Services
  const question = { phrase: 'bike chain', region: 'GB', language: 'en' }
  const look = (anew?: boolean) => lookAtPlaylists({ ...deps, services }, question, anew)
  expect(await lookAtPlaylists({ ...deps, services, mayAsk: false }, question)).toMatch(/not contacted/u)
  expect(playlistPageAnswer(deps, { ...question, workspace }, null)).toMatchObject({
    at: null,
    difficulty: null,
    rows: [],
  })
  expect(await look()).toBeNull()
  expect(await look()).toBeNull()
  expect(asked).toBe(1)
  const page = playlistPageAnswer(deps, { ...question, workspace }, null)
  expect(page.rows.map(({ rank, title, subscribers, mine }) => [rank, title, subscribers, mine])).toEqual([
    [1, 'Bike chain', 99_999, false],
    [2, 'Chains', null, true],
  ])
  expect(page.difficulty).toBeGreaterThan(0)
  expect(playlistLines(deps, workspace)[0]!.difficulty).toBe(page.difficulty)
  // A failure is told, and what was kept stays.
  deps.now.pass(15 * DAY)
  broken = true
  expect(await look()).toBe('The site does not answer.')
  const tries = asked
  expect(await look()).toBe('The site does not answer.')
  expect(asked).toBe(tries)
  expect(playlistPageAnswer(deps, { ...question, workspace }, null).rows).toHaveLength(2)
})

test('where a brief belongs, and what could be made', async () => {
  const { workspace, brief, keep, playlist, ...deps } = stores()
  const page = ['x1', 'x2', 'x3', 'x4', 'mine1']
  keep('bike chain', 900, page)
  keep('clean bike chain', 300, page)
  keep('true a wheel', 200, ['w1', 'w2', 'w3'])
  const one = brief('clean bike chain')
  const two = brief('bike chain')
  const wheel = brief('true a wheel', ['true wheels'])
  playlist(1, { title: 'Wheels', lead: 'true a wheel', entries: [] })
  const ask = (of?: string) => playlistSuggestions(deps, { workspace, brief: of, ...GB })
  expect((await ask(wheel)).belongs).toMatchObject([{ playlist: `${ID}1`, title: 'Wheels', words: 1, shared: 0 }])
  expect((await ask(one)).belongs).toEqual([])
  expect((await ask()).groups).toEqual([
    {
      lead: 'bike chain',
      title: 'Bike chain',
      phrases: ['bike chain', 'clean bike chain'],
      searches: 1200,
      entries: expect.arrayContaining([
        { kind: 'brief', id: one, title: 'clean bike chain' },
        { kind: 'brief', id: two, title: 'bike chain' },
        { kind: 'video', id: 'mine1', title: 'Bike chain mine1' },
      ]) as unknown,
    },
  ])
  playlist(2, { title: 'Chains', lead: '', entries: [{ kind: 'brief', id: two }] })
  expect((await ask(one)).belongs).toMatchObject([{ playlist: `${ID}2`, shared: 5, with: 'bike chain' }])
  expect((await ask(two)).belongs).toEqual([])
  // Elsewhere nothing is known of it.
  expect(await playlistSuggestions(deps, { workspace, region: 'DE', language: 'de' })).toEqual({
    belongs: [],
    groups: [],
  })
})

test('a brief is scored with the first playlist it stands in, and anew when that changes', () => {
  const { workspace, brief, playlist, ...deps } = stores()
  const id = brief('bike chain', [], 'Bike chain')
  const context = () =>
    draftContext(deps, { lead: 'bike chain', title: '', tags: [], region: 'GB', language: 'en', workspace, brief: id })
  expect(context().playlist).toBeNull()
  playlist(1, { title: 'First', description: 'Text', entries: [{ kind: 'brief', id }] })
  playlist(2, { title: 'Second', entries: [{ kind: 'brief', id }] })
  expect(context().playlist).toEqual({ title: 'First', description: 'Text' })
  const { updatedAt } = deps.briefs.get(id)!
  deps.briefs.saveScores([{ id, updatedAt, percent: 50 }])
  expect(deps.briefs.list(workspace).unscored).toEqual([])
  rescorePlaylist(deps, deps.workspaceItems.get(`${ID}1`, 'playlist')!.item.value)
  expect(deps.briefs.list(workspace).unscored.map(each => each.id)).toEqual([id])
})
