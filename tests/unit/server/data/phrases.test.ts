import { phraseStore, type ToldFigure } from '../../../../server/data/phrases'
import { packMonths, unpackMonths } from '../../../../server/data/months'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const clock = standingClock()
const service = { name: 'demand data', kind: 'service' as const }
const list = (name: string) => ({ name, kind: 'import' as const })
const store = () => phraseStore(freshData(folder), clock)
const figure = (phrase: string, volume: number | null, more: Partial<ToldFigure> = {}): ToldFigure => ({ phrase, region: 'GB', volume, ...more })
const year = (value: number) => Array<number>(36).fill(value)

test('spellings of one phrase are one phrase', () => {
  const phrases = store()
  expect(phrases.phraseId('Bike  Chain', 'en')).toBe(phrases.phraseId(' bike chain ', 'en'))
  expect(phrases.phraseId('bike chain', 'de')).not.toBe(phrases.phraseId('bike chain', 'en'))
})

test('figures stand by region, with everywhere beside it', () => {
  const phrases = store()
  phrases.save([figure('bike chain', 100), figure('bike chain', 900, { region: '' })], 'en', service, 1)
  expect(phrases.known('Bike chain', 'GB', 'en')).toMatchObject({ volume: 100, volumeAll: 900, words: 2 })
  expect(phrases.known('bike chain', 'US', 'en')).toMatchObject({ volume: null, volumeAll: 900 })
  expect(phrases.known('bike chain', 'GB', 'de')).toBeNull()
})

test('volume, change and trend come from the months where nobody tells them', () => {
  const phrases = store()
  // Each year half more than the one before: 100, 150, 225; the change of any three months is .5.
  const months = [100, 150, 225].flatMap(value => Array<number>(12).fill(value))
  phrases.save([figure('a', null, { months, monthsEnd: '2026-03' })], 'en', service, 7)
  const known = phrases.known('a', 'GB', 'en')!
  expect(known).toMatchObject({ volume: 225, change: 0.5, trend: { direction: 'rising' } })
  expect(phrases.originOf(known, 'GB')).toEqual({ months, monthsEnd: '2026-03', source: 'demand data', at: 7 })
})

test('unknown months come back as unknown', () => expect(unpackMonths(packMonths([1, null, 0]))).toEqual([1, null, 0]))

describe('several sources', () => {
  test('a list somebody imported is believed before a service, the newest list first', () => {
    const phrases = store()
    phrases.save([figure('a', 10)], 'en', service, 1)
    phrases.save([figure('a', 20)], 'en', list('old.csv'), 2)
    phrases.save([figure('a', 30)], 'en', list('new.csv'), 3)
    expect(phrases.known('a', 'GB', 'en')!.volume).toBe(30)
    phrases.save([figure('a', 11)], 'en', service, 4)
    expect(phrases.known('a', 'GB', 'en')!.volume).toBe(30)
    expect(phrases.figuresOf('a', 'en').map(each => [each.source, each.volume])).toEqual([['new.csv', 30], ['old.csv', 20], ['demand data', 11]])
  })

  test('one that does not know the volume gives way to one that does, and months still come from whoever tells them', () => {
    const phrases = store()
    phrases.save([figure('a', 10, { months: year(10), monthsEnd: '2026-03' })], 'en', service, 1)
    phrases.save([figure('a', null, { competition: 5 })], 'en', list('bare.csv'), 2)
    expect(phrases.known('a', 'GB', 'en')).toMatchObject({ volume: 10 })
    phrases.save([figure('a', 44)], 'en', list('volumes.csv'), 3)
    const known = phrases.known('a', 'GB', 'en')!
    expect(known).toMatchObject({ volume: 44, trend: { direction: 'steady' } })
    expect(phrases.originOf(known, 'GB')).toMatchObject({ months: year(10), source: 'volumes.csv', at: 3 })
  })

  test('the same source twice is an update, and what it said before is kept', () => {
    const db = freshData(folder)
    const phrases = phraseStore(db, clock)
    expect(phrases.save([figure('a', 1), figure('b', 2)], 'en', service, 1)).toEqual({ accepted: 2, updated: 0 })
    expect(phrases.save([figure('a', 5), figure('b', 2), figure('c', 3)], 'en', service, 2)).toEqual({ accepted: 1, updated: 2 })
    expect(db.prepare('SELECT volume, at FROM figure_past').all()).toEqual([{ volume: 1, at: 1 }])
  })
})

describe('the phrases of a seed', () => {
  test('those of the look, and any other that holds all its words', () => {
    const phrases = store()
    phrases.save([figure('clean bike chain', 5), figure('rear derailleur', 4)], 'en', service, 1)
    phrases.save([figure('bike chain oil', 3), figure('bike bell', 2), figure('Chaîne bike', 1)], 'en', list('mine.csv'), 1)
    const look = phrases.saveLook('bike chain', 'GB', 'en', ['clean bike chain', 'rear derailleur'], [], 1)
    const texts = (seed: string, id: number | null) => phrases.forSeed(seed, 'GB', 'en', id).map(each => each.text).sort()
    expect(texts('Bike chain', look)).toEqual(['bike chain oil', 'clean bike chain', 'rear derailleur'])
    expect(texts('bike chaine', null)).toEqual(['chaîne bike'])
    expect(texts('"bike" OR *', null)).toEqual([])
  })

  test('a look is kept with its time and what was missing, and made anew', () => {
    const phrases = store()
    const id = phrases.saveLook('a', '', 'en', ['a', 'a b'], ['web search'], 10)
    expect(phrases.look('A', '', 'en')).toEqual({ id, at: 10, missing: ['web search'] })
    expect(phrases.saveLook('a', '', 'en', ['a c'], [], 20)).toBe(id)
    expect(phrases.look('a', '', 'en')).toMatchObject({ at: 20, missing: [] })
    expect(phrases.look('a', 'GB', 'en')).toBeNull()
  })

  test('which sources suggest a phrase adds up', () => {
    const phrases = store()
    phrases.saveVia(['a', 'b'], 'en', 'video', 1)
    phrases.saveVia(['a'], 'en', 'web', 1)
    expect(phrases.known('a', '', 'en')!.via).toBe(3)
    expect(phrases.known('b', '', 'en')!.via).toBe(1)
  })
})

describe('the cap', () => {
  test('the 99.9th percentile by nearest rank, at least a thousand', () => {
    const phrases = store()
    expect(phrases.cap('GB').cap).toBe(1000)
    // 2,000 volumes of 1 … 2,000 thousands: rank ⌈2,000 × .999⌉ = 1,998.
    phrases.save(Array.from({ length: 2000 }, (_, i) => figure(`p ${i}`, (i + 1) * 1000)), 'en', service, 1)
    phrases.capDue()
    expect(phrases.cap('GB').cap).toBe(1_998_000)
  })

  test('stands until a tenth more is known, or a day has passed', () => {
    const phrases = store()
    phrases.save(Array.from({ length: 100 }, (_, i) => figure(`p ${i}`, 5000)), 'en', service, 1)
    phrases.capDue()
    const { at } = phrases.cap('GB')
    clock.pass(1000)
    phrases.save([figure('more', 90_000)], 'en', service, 1)
    phrases.capDue()
    expect(phrases.cap('GB')).toMatchObject({ cap: 5000, at })
    clock.pass(86_400_000)
    expect(phrases.cap('GB').cap).toBe(90_000)
  })
})
