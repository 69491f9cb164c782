import fc from 'fast-check'
import { misspellings, misspeltPhrases } from '../../../../core/tags/misspell'
import { runs } from '../../../setup/runs'

const none = () => false

describe('misspellings', () => {
  test('by ear and doubled letters first, and never the word itself', () => {
    const found = misspellings('derailleur', 'en', none, 12).map(each => each.word)
    expect(found).toEqual(expect.arrayContaining(['derailer', 'derailler']))
    expect(found).not.toContain('derailleur')
    expect(misspellings('bicycle', 'en', none, 20).map(each => each.word)).toContain('bicicle')
    expect(misspellings('receive', 'en', none)[0]!.word).toBe('recieve')
  })
  test('a correct word is none', () => {
    const without = misspellings('brakes', 'en', word => word === 'breaks' || word === 'braks', 60)
    expect(without.map(each => each.word)).not.toContain('braks')
  })
  test('short words and other scripts have none', () => {
    expect(misspellings('bike', 'en', none)).toEqual([])
    expect(misspellings('велосипед', 'ru', none)).toEqual([])
  })
  test('German and Spanish by their own rules', () => {
    expect(misspellings('schaltung', 'de', none, 60).map(each => each.word)).toContain('schalung')
    expect(misspellings('bicicleta', 'es', none, 60).map(each => each.word)).toContain('bisicleta')
  })
  test('any word: none is the word, all are different, likelihood falls from 1', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[a-z]{5,14}$/u), word => {
        const found = misspellings(word, 'en', none, 50)
        const spelt = found.map(each => each.word)
        expect(spelt).not.toContain(word)
        expect(new Set(spelt).size).toBe(spelt.length)
        found.forEach(({ likely }, i) => {
          expect(likely).toBeGreaterThan(0)
          expect(likely).toBeLessThanOrEqual(i ? found[i - 1]!.likely : 1)
        })
      }),
      { numRuns: runs(100) },
    )
  })
})

test('phrases have one word wrong each, and stop words never', () => {
  const found = misspeltPhrases(['adjust the derailleur'], 'en', none)
  expect(found.every(each => each.of === 'adjust the derailleur' && each.phrase.split(' ')[1] === 'the')).toBe(true)
  for (const { phrase } of found) {
    const [verb, , thing] = phrase.split(' ')
    expect([verb === 'adjust', thing === 'derailleur'].filter(Boolean)).toHaveLength(1)
  }
  // The long word is got wrong more often.
  expect(found[0]!.of).toBe('adjust the derailleur')
  expect(found[0]!.phrase).toMatch(/^adjust the d/u)
})
