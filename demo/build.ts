import { DAY } from '../core/time'
import { existsSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import { askedStore } from '../server/data/asked'
import { chanceModelStore } from '../server/data/chanceModels'
import { briefItemStore } from '../server/data/briefItems'
import { briefStore } from '../server/data/briefs'
import { earnedStore } from '../server/data/earned'
import { forecastStore } from '../server/data/forecasts'
import { listStore } from '../server/data/lists'
import { openUserData } from '../server/data/open'
import { phraseStore } from '../server/data/phrases'
import { publicationStore } from '../server/data/publications'
import { rankStore } from '../server/data/ranks'
import { resultStore } from '../server/data/results'
import { videoChangeStore } from '../server/data/videoChanges'
import { videoDayStore } from '../server/data/videoDays'
import { videoStore } from '../server/data/videos'
import { watchStore } from '../server/data/watches'
import { assess } from '../server/demand/assess'
import { fetchMissingVolumes, lookUp } from '../server/demand/lookUp'
import { PhraseIndex } from '../server/demand/phraseIndex'
import { answerPhrases } from '../server/demand/rows'
import { lookAtViews } from '../server/ranks/views'
import { lookAtPlaylists } from '../server/desk/playlistLook'
import { playlistPageStore } from '../server/data/playlistPages'
import { workspaceItemStore } from '../server/data/workspaceItems'
import { lookAtChannel } from '../server/rivals/channelLook'
import { learnFrom } from '../server/rivals/learning'
import { readHere } from '../server/rivals/pageReader'
import { SITE } from '../server/services/standin/answering'
import { Behaviour } from '../server/services/standin/behaviour'
import { openStandin } from '../server/services/standin/standin'
import { TOWNS } from '../server/services/standin/places'
import { phrasesQuerySchema } from '../shared/phrases'
import { BRIEFS, LISTS, USUAL_SHEET } from './briefs'
import { LOCALISED } from './localised'
import { giveOwnCaptions } from './ownCaptions'
import { giveThumbnails, PICTURED } from './pictures'
import { OUTLETS } from './outlets'
import { PLAYLISTS } from './playlists'
import { giveEarned } from './earned'
import { giveForetold } from './foretold'
import { giveEarlierRanks, giveReleasedBrief, giveWatches } from './released'
import { withFolder } from './lockedFolder'
import { ensureWorld } from './world'

/** Seeds whose phrases the demo has looked up and assessed before the first start. */
const SEEDS = ['rear derailleur', 'bike chain', 'bike repair marrowby']
const ASSESSED = 150
const WORKSPACE = '0190a000-0000-7000-8000-000000000001'
const CHANNEL = 'ch-marrowby'
/** Days ago on which phrases were assessed, before and after a video's title was changed. */
const EARLIER_LOOKS = { before: [63, 42], after: [28, 14] } as const

/**
 * Makes the demo's user data in a folder: the briefs, and what was looked up for them.
 * @param fresh whether to delete what is there first.
 */
async function build(data: string, fresh: boolean): Promise<void> {
  const world = join(data, 'world.sqlite')
  const file = join(data, 'fonetra.sqlite')
  if (fresh)
    for (const old of [world, file]) for (const ending of ['', '-wal', '-shm']) rmSync(old + ending, { force: true })
  ensureWorld(world)
  if (existsSync(file)) return
  await giveOwnCaptions(world)
  console.log('Making the demo’s briefs and looking up their phrases:')
  const startedAt = Date.now()
  const part = `${file}.part`
  for (const ending of ['', '-wal', '-shm']) rmSync(part + ending, { force: true })
  const db = openUserData(part, { migrations: join(process.cwd(), 'server/data/migrations') })
  // Until it is whole the file is a draft: nothing in it is anybody's yet.
  db.pragma('synchronous = OFF')
  const standin = openStandin(world)
  const phrases = phraseStore(db)
  const deps = {
    phrases,
    results: resultStore(db),
    videos: videoStore(db),
    services: standin,
    asked: askedStore(db),
    reader: readHere,
  }
  const held = BRIEFS.flatMap(({ tray }) => [tray.lead, ...tray.support]).filter(phrase => phrase !== null)
  // Looks of the weeks before: the world's clock set back, so that pages show who rose and who fell.
  async function lookEarlier(days: readonly number[]): Promise<void> {
    for (const daysBack of days) {
      const then = openStandin(world, new Behaviour(), () => Date.now() - daysBack * DAY)
      then.catchUp()
      const ago = { ...deps, services: then, now: () => Date.now() - daysBack * DAY }
      for await (const row of assess(ago, held, 'GB', 'en')) if (row.problem) throw new Error(row.problem)
      then.close()
    }
  }
  await lookEarlier(EARLIER_LOOKS.before)
  const { data: ownVideos } = await standin.site.channelVideos(CHANNEL, 'en')
  if (!ownVideos) throw new Error('The workshop has no videos.')
  const ranks = rankStore(db)
  const ranking = { deps: { ...deps, ranks }, videos: ownVideos, channel: CHANNEL, now: Date.now() }
  db.prepare(
    'INSERT INTO workspace (id, name, channel_id, time_zone, created_at, region) VALUES (?, ?, ?, ?, ?, ?)',
  ).run(WORKSPACE, 'Marrowby Wheel Shed', CHANNEL, 'Europe/London', Date.now(), 'GB')
  const foretold = await giveForetold(world, forecastStore(db), ranking, WORKSPACE)
  console.log(`  ${foretold.phrases} phrases of ${foretold.videos} videos foretold before they came out.`)
  const ranked = await giveEarlierRanks(world, ranking, videoChangeStore(db))
  console.log(`  ${ranked.phrases} phrases of four videos looked up on ${ranked.days} days of twelve weeks.`)
  await lookEarlier(EARLIER_LOOKS.after)
  standin.catchUp()
  for (const seed of SEEDS) {
    const look = await lookUp(deps, seed, 'GB', 'en')
    const query = phrasesQuerySchema.parse({ seed, region: 'GB', limit: ASSESSED })
    const index = new PhraseIndex(db)
    const { rows, caps } = answerPhrases(index, phrases, {
      query: { ...query, region: 'GB' },
      looks: [look.id],
      missing: [],
      without: [],
      own: null,
    })
    for (const each of caps) phrases.putCap(each.region, each.cap, each.known)
    let done = 0
    for await (const row of assess(
      deps,
      rows.map(each => each.phrase),
      'GB',
      'en',
    ))
      if (row.difficulty !== null) done++
    console.log(`  “${seed}”: ${rows.length} phrases, ${done} assessed.`)
  }
  const briefs = briefStore(db)
  const briefItems = briefItemStore(db)
  const made = new Map<string, string>()
  giveReleasedBrief(db, briefs, { videos: ownVideos, usual: { sheet: USUAL_SHEET }, workspace: WORKSPACE })
  for (const fields of BRIEFS) {
    const { id } = briefs.create(fields)
    made.set(fields.topic, id)
    if (fields.topic === PICTURED) await giveThumbnails(data, briefItems, id)
    for (const { text } of LOCALISED.filter(each => each.of === fields.topic)) {
      briefItems.save(id, { id: uuid(), kind: 'localised', revision: 0, value: text })
      const phrases = text.phrases.map(phrase => phrase.text)
      const missing = await fetchMissingVolumes(deps, phrases, text.region ?? '', text.language)
      if (missing.length) throw new Error(`Could not load ${missing.join(', ')}.`)
    }
  }
  for await (const row of assess(deps, held, 'GB', 'en')) if (row.problem) throw new Error(row.problem)
  const lists = listStore(db, phrases)
  for (const { name, note, phrases: held } of LISTS) {
    const list = lists.create(WORKSPACE, name, held, 'en')!
    lists.patch(list.id, { note, add: [], remove: [], notes: {} }, 'en')
  }
  const problem = await lookAtChannel(deps, CHANNEL, 'en')
  if (problem) throw new Error(problem)
  const videoDays = videoDayStore(db)
  const figures = {
    ...{ videoDays, videos: deps.videos, services: standin, asked: deps.asked, now: Date.now },
    ...{ videoChanges: videoChangeStore(db), publications: publicationStore(db) },
  }
  for (const { id } of ownVideos) {
    const missing = await lookAtViews(figures, id)
    if (missing) throw new Error(missing)
  }
  const lines = giveEarned(earnedStore(db), videoDays, { videos: ownVideos, now: Date.now() }, WORKSPACE)
  console.log(`  views of ${ownVideos.length} videos, and ${lines} lines of what they brought.`)
  await giveWatches(watchStore(db, ranks), ranking, WORKSPACE)
  const learnt = learnFrom(db, 'GB', SITE)
  if (!learnt?.used) throw new Error('The pages of the demo teach nothing.')
  const models = chanceModelStore(db)
  await models.putHurdles(learnt)
  models.put(learnt, Date.now())
  console.log(`  learnt from ${learnt.pages} result pages how the site ranks.`)
  const items = workspaceItemStore(db)
  const playlistPages = playlistPageStore(db)
  const own = deps.videos.ofChannel(CHANNEL)
  for (const { holds, about, ...value } of PLAYLISTS) {
    const entries = [
      ...holds.map(topic => ({ kind: 'brief' as const, id: made.get(topic)! })),
      ...own
        .filter(video => about.test(video.title))
        .slice(0, 6)
        .map(video => ({ kind: 'video' as const, id: video.code })),
    ]
    items.save(WORKSPACE, { id: uuid(), kind: 'playlist', revision: 0, value: { ...value, entries } })
    const question = { phrase: value.lead, region: value.region ?? '', language: value.language }
    const failed = await lookAtPlaylists({ ...deps, playlistPages }, question)
    if (failed) throw new Error(failed)
  }
  for (const value of OUTLETS) items.save(WORKSPACE, { id: uuid(), kind: 'outlet', revision: 0, value })
  const place = db.prepare('INSERT INTO place (region, name, population, source) VALUES (?, ?, ?, ?)')
  for (const { name, population } of TOWNS) place.run('GB', name, population, 'demo')
  db.pragma('wal_checkpoint(TRUNCATE)')
  db.close()
  standin.close()
  renameSync(part, file)
  for (const ending of ['-wal', '-shm']) rmSync(part + ending, { force: true })
  console.log(`  done in ${((Date.now() - startedAt) / 1000).toFixed(1)} s.`)
}

const [data, fresh] = process.argv.slice(2)
await withFolder(data!, () => build(data!, fresh === '--fresh'))
