import { learntChance } from '../../../../core/chance/model'
import { modelFrom } from '../../../../core/chance/saved'
import { chanceModelStore } from '../../../../server/data/chanceModels'
import { videoStore } from '../../../../server/data/videos'
import { assess } from '../../../../server/demand/assess'
import { PhraseIndex } from '../../../../server/demand/phraseIndex'
import { answerPhrases, chanceFor } from '../../../../server/demand/rows'
import { lookAtChannel } from '../../../../server/rivals/channelLook'
import { Chances } from '../../../../server/rivals/chances'
import { judgePages, learnFrom } from '../../../../server/rivals/learning'
import { readPage } from '../../../../server/rivals/pageReader'
import type { Learning } from '../../../../server/threads/startLearning'
import { all, ask, clock, deps } from '../demand/standin'

const SITE = 'video site'
const own = { strength: 0.6, spread: { offset: 0, sigma: 0.3, tau: 0.08 } }

/** Data with the pages of the demo world's most searched phrases, and the lists of some channels on them. */
async function withPages(count = 60) {
  const given = deps()
  const { data } = await given.services.demand.related('bike', 'GB', 'en')
  const phrases = data.slice(0, count)
  await all(assess(given, phrases, 'GB', 'en'))
  const videos = videoStore(given.db)
  const channels = given.db
    .prepare<[], string>('SELECT channel_id FROM video GROUP BY channel_id ORDER BY count(*) DESC LIMIT 6')
    .pluck()
    .all()
  for (const channel of channels) await lookAtChannel({ ...given, videos }, channel, 'en')
  return { ...given, videos, list: phrases, channels }
}
const hereLearning = (given: { db: Parameters<typeof learnFrom>[0] }): Learning => ({
  counts: () => Promise.resolve([{ region: 'GB', source: SITE, pages: 60 }]),
  learn: (...of) => Promise.resolve(learnFrom(given.db, ...of)),
  judge: (...of) => Promise.resolve(judgePages(given.db, ...of)),
  close: () => Promise.resolve(),
})

test('what is learnt is kept, used by every row alike, and read again at the next start', async () => {
  const given = await withPages()
  const store = chanceModelStore(given.db)
  const chances = new Chances(store, hereLearning(given), clock)
  expect(chances.inUse('GB')).toBeNull()
  await chances.learnDue()
  const found = chances.inUse('GB')!
  expect(found.judged.learnt).toBeGreaterThan(found.judged.constants)
  expect(chances.inUse('GB', { source: 'a file' })).toBeNull()
  expect(chances.inUse('GB', { language: 'de' })).toBeNull()
  expect(chances.inUse('US')).toBeNull()

  const learnt = chances.ownValues(given.channels[0]!, 5000)
  const me = { ...own, learnt }
  const known = given.phrases.known(given.list[0]!, 'GB', 'en')!
  expect(known.hurdle).not.toBeNull()
  const chance = chanceFor(known, me, 'GB')!
  expect(chance).toBe(learntChance(learnt.GB!, known.hurdle!))
  expect(chance).not.toBeCloseTo(chanceFor(known, own, 'GB')!, 6)
  // The index tells the same, to the precision of its columns.
  const question = { query: { ...ask({ seed: 'bike' }), region: 'GB' }, looks: [null], missing: [], without: [] }
  const { rows } = answerPhrases(new PhraseIndex(given.db), given.phrases, { ...question, own: me })
  expect(rows.find(row => row.phrase === known.text)!.chance).toBeCloseTo(chance, 5)

  const again = new Chances(store, hereLearning(given), clock)
  expect(again.ownValues(given.channels[0]!, 5000).GB!.value).toBeCloseTo(learnt.GB!.value, 2)
})

test('a page that comes later asks what it would have asked', async () => {
  const given = await withPages()
  const kept = learnFrom(given.db, 'GB', SITE)!
  const model = modelFrom(kept.model)!
  const phrase = given.list[3]!
  const { data, at } = await given.services.site.search(phrase, 'GB', 'en', 20)
  const read = readPage({ phrase, language: 'en', at, videos: data.videos, more: data.videos.length >= 20 }, model)
  const told = kept.hurdles.find(each => each.phraseId === given.phrases.known(phrase, 'GB', 'en')!.id)!
  expect(read.hurdle!).toBeCloseTo(told.hurdle!, 1)
  expect(readPage({ phrase, language: 'en', at, videos: data.videos }).hurdle).toBeNull()
})

test('a result taken out changes what its page asks; put back it asks the same again', async () => {
  const given = await withPages()
  const chances = new Chances(chanceModelStore(given.db), hereLearning(given), clock)
  await chances.learnDue()
  const phrase = given.list[1]!
  const known = () => given.phrases.known(phrase, 'GB', 'en')!
  const before = known().hurdle!
  const page = given.results.latest(known().id, 'GB')!
  const [first] = given.results.seats(page, 1)
  const setOff = (off: boolean) => {
    given.results.setOffTopic(known().id, [first!.code], off, clock())
    expect(known().hurdle).toBeNull()
    chances.judgeAnew(given.results, known(), 'en')
    return known().hurdle!
  }
  expect(setOff(true)).not.toBeCloseTo(before, 3)
  expect(setOff(false)).toBeCloseTo(before, 1)
})

test('what a page asks is remembered until it is read again, a result is taken out, or it is asked to another depth', async () => {
  const given = await withPages()
  const chances = new Chances(chanceModelStore(given.db), hereLearning(given), clock)
  await chances.learnDue()
  const phrase = given.list[1]!
  const page = given.results.latest(given.phrases.known(phrase, 'GB', 'en')!.id, 'GB')!
  const seats = given.results.seats(page, 20)
  const judged = { page, phrase, language: 'en', seats }
  const asked = chances.hurdlesAsRead(judged, 20)!
  expect(asked).toEqual(chances.hurdles(judged, 20))
  expect(chances.hurdlesAsRead({ ...judged, seats: given.results.seats(page, 20) }, 20)).toBe(asked)
  expect(chances.hurdlesAsRead(judged, 10)).toEqual(chances.hurdles(judged, 10))
  expect(chances.hurdlesAsRead({ ...judged, seats: seats.slice(1) }, 20)).not.toEqual(asked)
  const reworded = seats.map((seat, i) => (i ? seat : { ...seat, title: `${phrase} ${phrase}`, at: seat.at + 1 }))
  const anew = chances.hurdlesAsRead({ ...judged, seats: reworded }, 20)!
  expect(anew).toEqual(chances.hurdles({ ...judged, seats: reworded }, 20))
  expect(anew).not.toEqual(asked)
  expect(chances.hurdlesAsRead({ ...judged, language: 'de' }, 20)).toBeNull()
})

test('it is learnt again only when a quarter more is known, and after it was cut off', async () => {
  const given = await withPages()
  const store = chanceModelStore(given.db)
  let pages = 60
  let learnt = 0
  const learning: Learning = {
    ...hereLearning(given),
    counts: () => Promise.resolve([{ region: 'GB', source: SITE, pages }]),
    learn: (...of) => {
      learnt++
      return Promise.resolve(learnFrom(given.db, ...of))
    },
  }
  const chances = new Chances(store, learning, clock)
  await chances.learnDue()
  await chances.learnDue()
  expect(learnt).toBe(1)
  const { kept } = store.all()[0]!
  pages = Math.ceil(kept * 1.25)
  await chances.learnDue()
  expect(learnt).toBe(2)
  // Ended while what pages ask was being written: nothing is used, and it is learnt anew.
  store.suspend('GB')
  const after = new Chances(store, learning, clock)
  expect(after.inUse('GB')).toBeNull()
  pages = kept
  await after.learnDue()
  expect(learnt).toBe(3)
  expect(after.inUse('GB')).not.toBeNull()
})

test('a page that comes while it learns asks by the new model too, without learning again', async () => {
  const given = await withPages()
  const store = chanceModelStore(given.db)
  const late = (await given.services.demand.related('bike', 'GB', 'en')).data[80]!
  const phrase = () => given.phrases.known(late, 'GB', 'en')!
  let learnt = 0
  const learning: Learning = {
    ...hereLearning(given),
    learn: async (...of) => {
      const found = learnFrom(given.db, ...of)
      if (!learnt++) {
        await all(assess(given, [late], 'GB', 'en'))
        chances.noted([phrase().id])
      }
      return found
    },
  }
  const chances = new Chances(store, learning, clock)
  await chances.learnDue()
  expect(learnt).toBe(1)
  const asked = phrase().hurdle
  expect(asked).not.toBeNull()
  const page = given.results.latest(phrase().id, 'GB')!
  const seats = given.results.seats(page, 20)
  expect(asked!).toBeCloseTo(chances.hurdle({ page, phrase: late, language: 'en', seats })!, 1)
  await chances.learnDue()
  expect(learnt).toBe(1)
  await chances.close()
})

test('pages that came in another language, or to a model that is no better, ask nothing', async () => {
  const given = await withPages()
  const kept = learnFrom(given.db, 'GB', SITE)!
  const ids = kept.hurdles.slice(0, 3).map(each => each.phraseId)
  const none = ids.map(phraseId => ({ phraseId, hurdle: null }))
  // Kept with fewer digits than it was learnt with.
  for (const [i, { phraseId, hurdle }] of judgePages(given.db, kept, ids).entries()) {
    expect(phraseId).toBe(ids[i])
    expect(hurdle!).toBeCloseTo(kept.hurdles[i]!.hurdle!, 1)
  }
  expect(judgePages(given.db, { ...kept, language: 'de' }, ids)).toEqual(none)
  expect(judgePages(given.db, { ...kept, used: false }, ids)).toEqual(none)
})

test('with few pages nothing is learnt, and chances stay those of fixed weights', async () => {
  const given = await withPages(10)
  expect(learnFrom(given.db, 'GB', SITE)).toBeNull()
  expect(given.phrases.known(given.list[0]!, 'GB', 'en')!.hurdle).toBeNull()
})
