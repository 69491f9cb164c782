import { learn, LEAST_PAGES } from '../../../../core/chance/learn'
import { hurdlesOf, learntChance, ownValue } from '../../../../core/chance/model'
import { CONSTANT_WEIGHTS } from '../../../../core/chance/ranking'
import { SIGNAL } from '../../../../core/chance/signals'
import { madeUpSite } from './madeUpSite'

describe('learning from pages', () => {
  test('what a site goes by is found, and what does nothing is left at 0', () => {
    const { kept } = madeUpSite(1, { pages: 150, weights: { youth: 3, reach: 1.2, exact: 0 } })
    const { model, errors, judged, better } = learn(kept)!
    const told = (name: keyof typeof SIGNAL) => model.weights[SIGNAL[name]]!
    expect(told('youth')).toBeGreaterThan(1.5)
    expect(told('reach')).toBeGreaterThan(0.7)
    expect(Math.abs(told('length'))).toBeLessThan(2.6 * errors[SIGNAL.length]!)
    expect(errors[SIGNAL.youth]).toBeLessThan(0.6)
    expect(judged.pairs).toBe(kept.pages.reduce((sum, { seats }) => sum + (seats.length * (seats.length - 1)) / 2, 0))
    expect(judged.learnt).toBeGreaterThan(judged.constants)
    expect(judged.learntError!).toBeLessThan(judged.constantsError!)
    expect(better).toBe(true)
  })

  test('too few pages teach nothing', () => {
    const { kept } = madeUpSite(2, { pages: LEAST_PAGES })
    expect(learn({ ...kept, pages: kept.pages.slice(1) })).toBeNull()
    expect(learn(kept)).not.toBeNull()
  })

  test('the same pages teach the same', () => {
    const { kept } = madeUpSite(3, { pages: LEAST_PAGES })
    expect([...learn(kept)!.model.weights]).toEqual([...learn(kept)!.model.weights])
  })

  test('with hardly anything known weights stay near the constants, and chances are spread wide', () => {
    const { kept } = madeUpSite(4, { pages: LEAST_PAGES, videos: 300, listed: 0 })
    const { model, judged } = learn(kept)!
    expect(judged.tried).toBe(0)
    expect(judged.learntError).toBeNull()
    expect(Math.abs(model.weights[SIGNAL.reach]! - CONSTANT_WEIGHTS[SIGNAL.reach]!)).toBeLessThan(0.6)
    const unknown = ownValue(model, null, null)
    expect(unknown.spread).toBeGreaterThan(0.3)
  })

  test('a channel of ten subscribers is told something else than one of a million', () => {
    const { kept } = madeUpSite(5, { weights: { reach: 1 } })
    const { model } = learn(kept)!
    const page = kept.pages.find(({ more }) => more)!
    const results = page.seats.map(({ video, ...standing }) => ({
      text: kept.videos[video]!.text,
      standing,
      channel: `c${kept.videos[video]!.channel}`,
      video: kept.videos[video]!.id,
    }))
    const { full } = hurdlesOf(model, page.phrase, 'en', results, true)!
    const chances = [10, 1000, 1_000_000].map(subscribers => learntChance(ownValue(model, null, subscribers), full))
    expect(chances[1]!).toBeGreaterThan(chances[0]! + 0.05)
    expect(chances[2]!).toBeGreaterThan(chances[1]! + 0.1)
  })
})
