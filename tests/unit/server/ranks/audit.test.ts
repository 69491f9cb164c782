import { emptyFields } from '../../../../core/brief/brief'
import { mendsOf } from '../../../../core/draft/mends'
import { PROFILES } from '../../../../core/draft/limits'
import { readDraft } from '../../../../core/draft/read'
import { RULE_SETS } from '../../../../core/draft/ruleset'
import { rankDay } from '../../../../core/ranks/standing'
import { DAY } from '../../../../core/time'
import { aimedStore } from '../../../../server/data/aimed'
import { briefItemStore } from '../../../../server/data/briefItems'
import { briefStore } from '../../../../server/data/briefs'
import { phraseStore } from '../../../../server/data/phrases'
import { publicationStore } from '../../../../server/data/publications'
import { putOffStore } from '../../../../server/data/putOff'
import { rankStore } from '../../../../server/data/ranks'
import { resultStore } from '../../../../server/data/results'
import { videoBriefStore } from '../../../../server/data/videoBriefs'
import { videoStore } from '../../../../server/data/videos'
import { watchStore } from '../../../../server/data/watches'
import { workspaceStore } from '../../../../server/data/workspaces'
import { auditOf, type AuditQuestion } from '../../../../server/ranks/audit'
import { Chances } from '../../../../server/rivals/chances'
import { chanceModelStore } from '../../../../server/data/chanceModels'
import { ThreadLate } from '../../../../server/threads/restartingThread'
import type { TextToScore } from '../../../../server/threads/scoringThread'
import { briefIdOf, type AuditRow } from '../../../../shared/audit'
import { freshData, standingClock, temporaryFolder } from '../files'
import { pageOf, siteVideo } from '../pages'

const folder = temporaryFolder()

function setUp() {
  const clock = standingClock()
  const db = freshData(folder)
  const videos = videoStore(db)
  const phrases = phraseStore(db, clock)
  const ranks = rankStore(db)
  const results = resultStore(db)
  const workspaces = workspaceStore(db, videos, clock)
  const workspace = workspaces.create({ name: 'Shed', subscribers: 5000, channelId: 'mine', region: 'GB' }).id
  /** Titles that a thread takes too long for. */
  const late = new Set<string>()
  const stores = {
    aimed: aimedStore(db),
    chances: new Chances(chanceModelStore(db), null as never, clock),
    phrases,
    putOff: putOffStore(db),
    ranks,
    results,
    scoring: {
      lanes: 2,
      async mend(_: number, texts: TextToScore[], set: AuditQuestion['set'], profile: AuditQuestion['profile']) {
        if (texts.some(({ draft }) => late.has(draft.title!))) throw new ThreadLate('Scoring', 5000)
        return Promise.all(
          texts.map(async each => mendsOf(await readDraft(each.draft), each.phrases, set, profile, each.language)),
        )
      },
    },
    videoBriefs: videoBriefStore(db),
    videos,
    workspaces,
    now: clock,
  }
  const own = (id: string, title: string, more: Parameters<typeof siteVideo>[2] = {}) => {
    videos.saveVideos([siteVideo(id, 'mine', { title, publishedAt: clock() - 100 * DAY, ...more })], clock())
  }
  const searched = (phrase: string, volume: number) => {
    phrases.save([{ phrase, region: 'GB', volume }], 'en', { name: 'list', kind: 'import' }, clock())
    return phrases.phraseIds([phrase], 'en')[0]!
  }
  const page = (phraseId: number, mine: string | null = null) => {
    const others = Array.from({ length: 20 }, (_, i) => siteVideo(`r${phraseId}-${i}`))
    results.save([
      pageOf(phraseId, mine === null ? others : [siteVideo(mine, 'mine'), ...others], { at: clock(), more: true }),
    ])
  }
  const audit = async (more: Partial<AuditQuestion> = {}) => {
    const lines = []
    const question = { workspace, region: 'GB', set: RULE_SETS[0]!, profile: PROFILES[0]!, sort: 'views' as const }
    for await (const line of auditOf(stores, { ...question, ...more })) lines.push(line)
    const rows = lines.filter((line): line is AuditRow => 'videoId' in line)
    return { lines, rows, byId: Object.fromEntries(rows.map(row => [row.videoId, row])) }
  }
  return { db, clock, stores, workspace, own, searched, page, audit, late }
}

test('what better words would bring comes first, then what is searched most; what nothing tells stays unknown', async () => {
  const { own, searched, page, audit } = setUp()
  page(searched('bike chain', 9000))
  page(searched('rear mech', 100))
  searched('brake pads', 50_000)
  own('chain', 'Something about a bike chain', { description: 'Look.', tags: ['bicycle'] })
  own('mech', 'My rear mech and me')
  own('pads', 'All brake pads')
  own('odd', 'Hello', { views: 7 })
  const { lines, rows, byId } = await audit()
  expect(lines[0]).toEqual({ rows: 4 })
  expect(rows.map(({ videoId }) => videoId)).toEqual(['chain', 'mech', 'pads', 'odd'])
  expect(byId.chain).toMatchObject({ lead: 'bike chain', leadFrom: 'title', searches: 9000, rank: null, off: false })
  expect(byId.chain!.words!.expected).toBeGreaterThan(byId.mech!.words!.expected)
  expect(byId.chain!.words!.high).toBeGreaterThanOrEqual(byId.chain!.words!.low)
  const { edit } = byId.chain!
  expect(edit!.points).toBeGreaterThan(0)
  expect(edit!.views!.expected).toBeGreaterThan(0)
  expect(edit!.views!.expected).toBeLessThanOrEqual(byId.chain!.words!.expected)
  // No page: what it would bring is not known, and is not 0.
  expect(byId.pads).toMatchObject({ words: null, searches: 50_000 })
  expect(byId.pads!.percent).not.toBeNull()
  expect(byId.odd).toMatchObject({ lead: '', leadFrom: null, searches: null, words: null, percent: null, views: 7 })
})

test('a rank seen lately tells how lucky a video is; its own seat is none of its rivals', async () => {
  const { clock, stores, own, searched, page, audit } = setUp()
  const id = searched('bike chain', 9000)
  page(id, 'first')
  for (const name of ['first', 'last', 'long'])
    own(name, 'Something about a bike chain', { description: 'Look.', tags: ['bicycle'] })
  const seen = (video: string, rank: number | null, ago: number) =>
    stores.ranks.save(
      { phraseId: id, region: 'GB', kind: 'site' },
      rankDay(clock()) - ago,
      new Map([[video, rank]]),
      60,
    )
  seen('first', 1, 0)
  seen('last', null, 0)
  seen('long', 1, 40)
  const { byId } = await audit()
  expect(byId.first).toMatchObject({ rank: { rank: 1 }, words: { expected: 0, low: 0, high: 0 } })
  expect(byId.last!.rank).toMatchObject({ rank: null, depth: 60 })
  // What was seen long ago is told, and not reckoned with.
  expect(byId.long!.rank).toMatchObject({ rank: 1 })
  expect(byId.long!.words!.expected).toBeGreaterThan(0)
})

test('the lead is that of its brief, then what is watched, then a tag, then a phrase in the title', async () => {
  const { db, clock, stores, workspace, own, searched, audit } = setUp()
  for (const phrase of ['bike chain', 'chain wax', 'rear mech']) searched(phrase, 100)
  const ids = ['published', 'linked', 'made', 'watched', 'tagged', 'titled']
  for (const id of ids) own(id, 'My bike chain, worn', { tags: ['worn'] })
  own('titled', 'My bike chain, worn', { tags: ['nothing'] })
  const items = briefItemStore(db, clock)
  const briefs = briefStore(db, clock, items)
  const brief = (lead: string, more: object = {}) =>
    briefs.create({ ...emptyFields(), tray: { lead, support: ['x y'], setAside: [] }, ...more }, undefined, {
      workspace,
    }).id
  const publications = publicationStore(db)
  const published = brief('chain wax')
  publications.begin({ id: 'p', briefId: published, channel: 'mine', file: 'a.mp4', bytes: 1, seconds: 1 })
  publications.end('p', { state: 'out', video: 'published', visibleFrom: 0, source: 'site' })
  const linked = brief('rear mech', { videoAddress: 'https://videos.example/watch/linked?from=here' })
  watchStore(db, stores.ranks, clock).add(
    workspace,
    [
      {
        video: 'watched',
        page: { phraseId: stores.phrases.phraseIds(['rear mech'], 'en')[0]!, region: 'GB', kind: 'site' },
      },
    ],
    1,
  )
  const made = briefIdOf(workspace, 'made')
  briefs.create({ ...emptyFields(), tray: { lead: 'rear mech', support: [], setAside: [] } }, made, { workspace })
  const { byId } = await audit()
  const told = (id: string) => [byId[id]!.lead, byId[id]!.leadFrom, byId[id]!.brief]
  expect(ids.map(told)).toEqual([
    ['chain wax', 'brief', published],
    ['rear mech', 'brief', linked],
    ['rear mech', 'brief', made],
    ['rear mech', 'watch', null],
    ['worn', 'tag', null],
    ['bike chain', 'title', null],
  ])
})

test('put off for some days it is told so, and comes again; a text that takes too long has no points', async () => {
  const { clock, stores, workspace, own, audit, late } = setUp()
  for (const id of ['a', 'b', 'c']) own(id, `Title ${id}`, { tags: [`title ${id}`] })
  stores.putOff.put(workspace, 'mend:a', clock() + 7 * DAY, clock())
  stores.putOff.put(workspace, 'mend:b', null, clock())
  late.add('Title c')
  const off = async () => Object.fromEntries((await audit()).rows.map(row => [row.videoId, row.off]))
  expect(await off()).toEqual({ a: true, b: true, c: false })
  const { byId } = await audit()
  expect(byId.c).toMatchObject({ percent: null, lacks: null, edit: null })
  expect(byId.a!.percent).toBeGreaterThan(0)
  clock.pass(8 * DAY)
  expect(await off()).toEqual({ a: false, b: true, c: false })
  expect(stores.putOff.take(workspace, 'mend:b')).toBe(true)
  expect(stores.putOff.take(workspace, 'mend:b')).toBe(false)
  expect(await off()).toEqual({ a: false, b: false, c: false })
})

test('other orders; who stops reading gets no more; without a channel there is nothing', async () => {
  const { clock, stores, own, searched, audit } = setUp()
  searched('bike chain', 900)
  own('old', 'Bike chain', { publishedAt: clock() - 900 * DAY, tags: ['bike chain'] })
  own('new', 'Hello hello', { publishedAt: clock(), tags: ['hello hello'] })
  const order = async (sort: AuditQuestion['sort']) => (await audit({ sort })).rows.map(({ videoId }) => videoId)
  expect(await order('newest')).toEqual(['new', 'old'])
  expect(await order('stake')).toEqual(['old', 'new'])
  const percents = (await audit({ sort: 'percent' })).rows.map(({ percent }) => percent!)
  expect(percents).toEqual([...percents].sort((a, b) => a - b))
  const stop = new AbortController()
  const question = {
    workspace: undefined,
    region: 'GB',
    set: RULE_SETS[0]!,
    profile: PROFILES[0]!,
    sort: 'views',
  } as const
  const some = []
  for await (const line of auditOf(stores, question, stop.signal)) {
    some.push(line)
    stop.abort()
  }
  expect(some).toEqual([{ rows: 2 }])
  const none = stores.workspaces.create({ name: 'None', subscribers: 1 }).id
  expect((await audit({ workspace: none })).lines).toEqual([{ rows: 0 }])
})
