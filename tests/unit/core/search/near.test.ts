import fc from 'fast-check'
import { intersectGroups } from '../../../../core/search/intersect'
import { mostWords } from '../../../../core/search/mostWords'
import { nearSeed } from '../../../../core/search/near'
import { Vocabulary } from '../../../../core/search/vocabulary'

const WORDS: [string, number][] = [
  ['bike', 900],
  ['chain', 400],
  ['brake', 300],
  ['squeaking', 20],
  ['flat', 30],
  ['tire', 200],
  ['hydraulic', 40],
  ['derailleur', 80],
  ['chian', 1],
  ['chair', 60],
  ['gear', 50],
  ['gears', 30],
  ['cable', 40],
  ['9', 50],
]
const vocabulary = new Vocabulary(WORDS, 'en')
const first = (seed: string) => nearSeed(seed.split(' '), vocabulary).readings[0]

describe('what a word may have been meant to be', () => {
  test.each([
    ['chian', 'chain'],
    ['hydrolic', 'hydraulic'],
    ['derailer', 'derailleur'],
    ['brkae', 'brake'],
  ])('“%s” is “%s”', (wrong, right) => {
    expect(vocabulary.corrections(wrong)[0]).toBe(right)
  })
  test('letters in each other’s place are one mistake', () => {
    expect(vocabulary.corrections('chian')).toEqual(['chain'])
  })
  test.each([
    ['short', 'gea'],
    ['a number', '99'],
    ['one that many phrases hold', 'chain'],
    ['one nothing is like', 'zzqxblorb'],
  ])('%s is left alone', (_, word) => {
    expect(vocabulary.corrections(word)).toEqual([])
  })
  test('a word run together is split where both parts are known', () => {
    expect(vocabulary.split('bikechain')).toEqual(['bike', 'chain'])
    expect(vocabulary.split('bikeblorb')).toBeNull()
  })
})

test('other forms come first, then spelling, joined and split words', () => {
  expect(first('bike brakes')).toEqual({ groups: [['bike'], ['brake']], why: '“brakes” also as “brake”' })
  expect(first('bike chian')).toEqual({ groups: [['bike'], ['chain']], why: '“chian” read as “chain”' })
  expect(first('bikechain')).toEqual({ groups: [['bike'], ['chain']], why: '“bikechain” split' })
  expect(first('derail leur')).toEqual({ groups: [['derailleur']], why: '“derail leur” joined' })
  expect(first('flat tyre')).toEqual({ groups: [['flat'], ['tire']], why: '“tyre” read as “tire”' })
  expect(nearSeed(['zzqx', 'bike', 'chian'], vocabulary)).toEqual({
    readings: [],
    words: [[], ['bike'], ['chain']],
    changes: [null, null, '“chian” read as “chain”'],
  })
})

test('a seed of which nothing is known has no near one', () => {
  expect(nearSeed(['zzqx', 'blorb'], vocabulary).readings).toEqual([])
  expect(nearSeed([], vocabulary)).toEqual({ readings: [], words: [], changes: [] })
  expect(nearSeed(['chain'], vocabulary).readings).toEqual([])
})

describe('most of a seed’s words', () => {
  const at = (...numbers: number[]) => Uint32Array.from(numbers)
  const sets = (groups: Uint32Array[][], size: number) =>
    [...mostWords(groups, size)].map(({ left, numbers }) => [left, [...numbers]])

  test('the rarer the words that a phrase holds, the earlier it comes', () => {
    const [flat, tyre, the, wheel] = [at(0, 1), at(0, 2, 3, 5), at(0, 1, 2, 3, 4, 5, 6, 7), at(1, 4)]
    expect(sets([[flat], [tyre], [the], [wheel]], 10)).toEqual([
      [[1], [1]],
      [[3], [0]],
    ])
  })
  test('half of the words are the least, whatever they weigh', () => {
    expect(sets([[at(0)], [], []], 100)).toEqual([])
    expect(sets([[at(0)], []], 100)).toEqual([[[1], [0]]])
  })
  test('a phrase that holds two forms of a word holds it once', () => {
    expect(sets([[at(0, 1), at(1, 2)], [at(6, 7, 8, 9)]], 100)).toEqual([
      [[1], [0, 1, 2]],
      [[0], [6, 7, 8, 9]],
    ])
  })
  test('nothing known, nothing found', () => {
    expect(sets([[], []], 10)).toEqual([])
    expect(sets([], 10)).toEqual([])
  })
})

describe('numbers that stand in a list of every group', () => {
  const numbers = fc.uniqueArray(fc.nat(60)).map(list => Uint32Array.from(list.sort((a, b) => a - b)))
  test('are those that plain sets find', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(numbers, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 5 }),
        groups => {
          const plain = Array.from({ length: 61 }, (_, n) => n).filter(n =>
            groups.every(group => group.some(list => list.includes(n))),
          )
          expect([...intersectGroups(groups)]).toEqual(plain)
        },
      ),
      { seed: 7, numRuns: 500 },
    )
  })
  test('of no group there are none', () => {
    expect([...intersectGroups([])]).toEqual([])
  })
})
