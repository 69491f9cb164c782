import { nearReadings } from '../../../../core/search/near'
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
const first = (seed: string) => nearReadings(seed.split(' '), vocabulary)[0]

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

test('other forms come first, then spelling, joined and split words, and at last a word is left out', () => {
  expect(first('bike brakes')).toEqual({ groups: [['bike'], ['brake']], why: '“brakes” also as “brake”' })
  expect(first('bike chian')).toEqual({ groups: [['bike'], ['chain']], why: '“chian” read as “chain”' })
  expect(first('bikechain')).toEqual({ groups: [['bike'], ['chain']], why: '“bikechain” split' })
  expect(nearReadings(['derail', 'leur'], vocabulary)[0]).toEqual({
    groups: [['derailleur']],
    why: '“derail leur” joined',
  })
  expect(first('flat tyre')).toEqual({ groups: [['flat'], ['tire']], why: '“tyre” read as “tire”' })
  const readings = nearReadings(['zzqx', 'bike', 'chain'], vocabulary)
  expect(readings[0]).toEqual({ groups: [['bike'], ['chain']], why: 'without “zzqx”' })
})

test('a seed of which nothing is known has no near one', () => {
  expect(nearReadings(['zzqx', 'blorb'], vocabulary)).toEqual([])
  expect(nearReadings([], vocabulary)).toEqual([])
  expect(nearReadings(['chain'], vocabulary)).toEqual([])
})
