import type { SourceFigure } from '../../../../server/data/figures'
import { phraseStore } from '../../../../server/data/phrases'
import { packMonths, unpackMonths } from '../../../../server/data/months'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const clock = standingClock()
const service = { name: 'demand data', kind: 'service' as const }
const list = (name: string) => ({ name, kind: 'import' as const })
const store = () => phraseStore(freshData(folder), clock)
const figure = (phrase: string, volume: number | null, more: Partial<SourceFigure> = {}): SourceFigure => ({
  phrase,
  region: 'GB',
  volume,
  ...more,
})
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
    expect(phrases.figuresOf('a', 'en').map(each => [each.source, each.volume])).toEqual([
      ['new.csv', 30],
      ['old.csv', 20],
      ['demand data', 11],
    ])
  })

  test('a service that is new is believed before those known, after every list', () => {
    const phrases = store()
    phrases.save([figure('a', 10)], 'en', service, 1)
    phrases.save([figure('b', 20)], 'en', list('mine.csv'), 2)
    phrases.save([figure('a', 30), figure('b', 31)], 'en', { name: 'demand data by a.example', kind: 'service' }, 3)
    phrases.save([figure('a', 40)], 'en', service, 4)
    expect(phrases.figuresOf('a', 'en').map(each => each.volume)).toEqual([30, 40])
    expect(phrases.known('b', 'GB', 'en')!.volume).toBe(20)
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
    expect(phrases.save([figure('a', 5), figure('b', 2), figure('c', 3)], 'en', service, 2)).toEqual({
      accepted: 1,
      updated: 2,
    })
    expect(db.prepare('SELECT volume, at FROM figure_past').all()).toEqual([{ volume: 1, at: 1 }])
  })
})

describe('the phrases of a seed', () => {
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

test('whoever asks is told which phrases changed, once it is committed', () => {
  const told: number[][] = []
  const db = freshData(folder)
  const phrases = phraseStore(db, clock, ids => told.push([...ids]))
  phrases.save([figure('a', 1), figure('b', 2)], 'en', service, 1)
  phrases.saveVia(['b'], 'en', 'web', 1)
  phrases.saveLook('a', '', 'en', ['c'], [], 1)
  phrases.phraseId('c', 'en')
  phrases.phraseId('d', 'en')
  expect(told).toEqual([[1, 2], [2], [3], [4]])
})

test('season and spike are told with the months', () => {
  const phrases = store()
  const wave = Array.from({ length: 36 }, (_, i) =>
    Math.round(1000 * Math.exp(0.5 * Math.cos((2 * Math.PI * (i - 3)) / 12))),
  )
  phrases.save(
    [
      figure('wave', null, { months: wave, monthsEnd: '2026-12' }),
      figure('flat', null, { months: year(9), monthsEnd: '2026-12' }),
    ],
    'en',
    service,
    1,
  )
  expect(phrases.known('wave', 'GB', 'en')).toMatchObject({
    seasonPeaks: 0b11100,
    spiked: 0,
    seasonStrength: expect.closeTo(1, 2),
  })
  expect(phrases.known('flat', 'GB', 'en')).toMatchObject({ seasonPeaks: null, seasonStrength: null })
  const ids = ['wave', 'flat', 'wave'].map(text => phrases.phraseId(text, 'en'))
  const row = (text: string) => ({
    known: phrases.known(text, 'GB', 'en')!,
    origin: phrases.originOf(phrases.known(text, 'GB', 'en')!, 'GB'),
  })
  expect(phrases.rowsById(ids, 'GB')).toEqual([row('wave'), row('flat'), row('wave')])
  expect(phrases.textsById(ids)).toEqual(['wave', 'flat', 'wave'])
})

test('the cap is what was worked out, the least until then', () => {
  const phrases = store()
  expect(phrases.cap('GB')).toEqual({ cap: 1000, at: null })
  phrases.putCap('GB', 90_000, 2000)
  expect(phrases.cap('GB')).toMatchObject({ cap: 90_000, at: clock.at })
})
