import { makeChannels } from '../../../../server/services/standin/channels'
import { grow } from '../../../../server/services/standin/grammar'
import { article, pluralOf } from '../../../../server/services/standin/wording'
import { makePhrases } from '../../../../server/services/standin/phrases'
import { TRADES } from '../../../../server/services/standin/trades'
import { makeVideos } from '../../../../server/services/standin/videos'
import { DEMO_SEED, DEMO_SIZE } from '../../../../server/services/standin/world'

const DAY = Date.UTC(2026, 9, 15)
const phrases = makePhrases(DEMO_SIZE.phrases, DEMO_SEED)
const texts = phrases.map(phrase => phrase.text)
const base = new Map(phrases.map(phrase => [`${phrase.language} ${phrase.text}`, phrase.base]))

describe('phrases', () => {
  test('only what fits goes together', () => {
    for (const odd of [
      /\bwhen to .*(tutorial|cost)\b/u,
      /\bhow to .* cost$/u,
      /\b(a|an) (a|an)\b/u,
      /\binflate .*speed\b/u,
      /\bbike .*\bbike (tyre|chain|frame)\b/u,
      /undefined|null|\{|\}/u,
    ])
      expect(texts.filter(text => odd.test(text))).toEqual([])
  })
  test('“a” and “an” are right', () => {
    const english = phrases.filter(phrase => phrase.language === 'en').map(phrase => phrase.text)
    expect(english.filter(text => /\ba (?:[aio]|e(?!u)|u(?!n[ai]|ku)|8 |11 |18)/u.test(text))).toEqual([])
    expect(english.filter(text => /\ban (?![aeiou]|8 |11 |18|hour)/u.test(text))).toEqual([])
    expect(article('inner tube')).toBe('an')
    expect(article('ukulele')).toBe('a')
    expect(article('eulogy')).toBe('a')
  })
  test('plurals are what people write', () => {
    const part = { name: 'speech', weight: 1, tasks: [] }
    expect(pluralOf(part, 'speech')).toBe('speeches')
    expect(pluralOf({ ...part, mass: true }, 'brake pads')).toBe('brake pads')
    expect(pluralOf(part, 'rear mech')).toBe('rear mechs')
    expect(pluralOf({ ...part, name: 'kitchen knife', plural: 'kitchen knives' }, 'kitchen knife')).toBe(
      'kitchen knives',
    )
  })
  test('every task and fault a part names is known to its trade', () => {
    for (const trade of TRADES) expect([...grow(trade, false)].length).toBeGreaterThan(300)
  })
  test('each is there once a language', () => {
    expect(base.size).toBe(DEMO_SIZE.phrases)
  })
})

describe('searches', () => {
  const of = (text: string) => base.get(`en ${text}`)!
  test('the general is searched more than the special', () => {
    expect(of('bike')).toBeGreaterThan(20 * of('derailleur hanger'))
    expect(of('bike chain')).toBeGreaterThan(of('bike chain replacement'))
    expect(of('how to clean a bike chain')).toBeGreaterThan(of('how to clean a bike chain for beginners'))
  })
  test('an eighth of all are below ten a month, and the first is above a million', () => {
    const few = phrases.filter(phrase => phrase.base < 10).length / phrases.length
    expect(few).toBeGreaterThan(0.1)
    expect(few).toBeLessThan(0.15)
    expect(phrases[0]!.base).toBeGreaterThan(1_000_000)
  })
  test('the tail is heavy and follows no exact power', () => {
    // Slopes of searches over rank, both in logarithms: a power law has the same one everywhere.
    const slope = (from: number, to: number) =>
      Math.log(phrases[to]!.base / phrases[from]!.base) / Math.log((to + 1) / (from + 1))
    const slopes = [slope(9, 99), slope(99, 999), slope(999, 4999), slope(4999, 19_999)]
    for (const each of slopes) expect(each).toBeLessThan(-0.4)
    expect(Math.max(...slopes) - Math.min(...slopes)).toBeGreaterThan(0.3)
  })
  test('every trade has its part, the neighbours a quarter', () => {
    const shares = new Map<string, number>()
    for (const { trade } of phrases) shares.set(trade, (shares.get(trade) ?? 0) + 1 / phrases.length)
    expect(shares.size).toBe(TRADES.length + 1)
    for (const share of shares.values()) expect(share).toBeGreaterThan(0.03)
    expect(1 - shares.get('bicycle')!).toBeGreaterThan(0.25)
  })
})

describe('what creators write', () => {
  const channels = makeChannels(DEMO_SIZE.channels, DEMO_SEED, DAY)
  const videos = makeVideos(DEMO_SIZE.videos, DEMO_SEED, channels, phrases, DAY)

  test('titles fit, and hardly any is the same as another', () => {
    for (const { title } of videos) {
      expect(title.length).toBeGreaterThan(2)
      expect([...title].length).toBeLessThanOrEqual(100)
      expect(title).not.toMatch(/undefined|\{|\}|null/u)
    }
    expect(new Set(videos.map(video => video.title)).size).toBeGreaterThan(0.7 * videos.length)
  })
  test('no sentence stands in more than 3 % of the descriptions, and more than 400 come again and again', () => {
    const count = new Map<string, number>()
    for (const { description } of videos) {
      const lines = description.split('\n').filter(line => !/^(\d+:\d+ |https|#|- )|@|: https/u.test(line))
      const sentences = lines.flatMap(line => line.replace(/^\d\. /u, '').split(/(?<=[.!?])\s+/u))
      for (const each of new Set(sentences.filter(sentence => sentence.length > 3)))
        count.set(each, (count.get(each) ?? 0) + 1)
    }
    expect(Math.max(...count.values()) / videos.length).toBeLessThan(0.03)
    expect([...count.values()].filter(n => n >= 3).length).toBeGreaterThan(400)
  })
  test('tags go from none to full', () => {
    const used = videos.map(({ tags }) => tags.join(',').length)
    expect(used.filter(each => each === 0).length / videos.length).toBeGreaterThan(0.05)
    expect(used.filter(each => each > 200).length / videos.length).toBeGreaterThan(0.05)
    expect(Math.max(...used)).toBeLessThanOrEqual(500)
  })
  test('German has channels, videos and words of its own', () => {
    const german = videos.filter(video => video.language === 'de')
    expect(german.length).toBeGreaterThan(100)
    expect(german.filter(({ title }) => /\b(how to|the|your)\b/iu.test(title))).toEqual([])
  })
  test('the demo’s own channel published over all its life', () => {
    const own = videos.filter(video => video.channel === 0).map(video => (DAY - video.publishedAt) / 86_400_000)
    expect(own).toHaveLength(63)
    expect(Math.max(...own)).toBeGreaterThan(1000)
    expect(Math.min(...own)).toBeLessThan(150)
  })
})
