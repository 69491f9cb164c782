import { byOneVideo, topicsOf } from '../../../../core/ranks/topics'
import { finished } from '../finished'

test('words that come back in titles are topics, by their stems, written as most often; filler and numbers are none', () => {
  const titles = [
    'How to clean a bike chain',
    'Cleaning chains in 5 minutes',
    'Why chains rust: 5 reasons',
    'Clean your brakes, part 5',
    'Brakes, part 6',
  ]
  const topics = finished(topicsOf(titles, 'en'))
  expect(topics.map(({ word, videos }) => [word, videos])).toEqual([
    ['chains', 3],
    ['clean', 3],
  ])
  // Twice in one title counts once.
  expect(finished(topicsOf(['Chain, chain, chain'], 'en'))).toEqual([])
  expect(finished(topicsOf([], 'en'))).toEqual([])
  expect(finished(topicsOf(['Kette reinigen', 'Die Ketten', 'Meine Kette'], 'de'))).toMatchObject([
    { word: 'kette', videos: 3 },
  ])
})

test('phrases whose pages hold much the same results are won by one video; the first of them stands for them', () => {
  const page = (from: number) => Array.from({ length: 20 }, (_, i) => from + i)
  const of = (phrase: string, from: number) => ({ phrase, page: page(from) })
  const groups = byOneVideo([of('a', 0), of('b', 100), of('c', 12), of('d', 13), { phrase: 'e', page: [] }])
  expect(groups.map(({ first, also }) => [first.phrase, ...also.map(({ phrase }) => phrase)])).toEqual([
    ['a', 'c'],
    ['b'],
    // Seven in common are not enough.
    ['d'],
    ['e'],
  ])
})
