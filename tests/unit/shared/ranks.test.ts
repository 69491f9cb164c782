import { dropWatchesQuery, newWatchesSchema, ranksQuery } from '../../../shared/ranks'

test.each([
  [undefined, undefined],
  ['', ''],
  ['everywhere', ''],
  ['gb', 'GB'],
])('the region %s asks for %s', (region, asked) => {
  expect(ranksQuery.parse({ videoId: 'v', region }).region).toBe(asked)
})

test('a region that there is not is told', () => {
  expect(ranksQuery.safeParse({ videoId: 'v', region: 'Atlantis' }).success).toBe(false)
})

test('a watch is daily, everywhere and on the video site unless it is said otherwise', () => {
  expect(newWatchesSchema.parse({ videoId: 'v', phrases: ['bike chain'] })).toMatchObject({
    regions: [null],
    kind: 'site',
    every: 1,
    language: 'en',
  })
  for (const every of [0, 1.5, 31])
    expect(newWatchesSchema.safeParse({ videoId: 'v', phrases: ['a'], every }).success).toBe(false)
})

test('watches are named by their ids', () => {
  expect(dropWatchesQuery.parse({ ids: '3,12' }).ids).toEqual([3, 12])
  for (const ids of ['', '3,', 'a', '1e3', '-1']) expect(dropWatchesQuery.safeParse({ ids }).success).toBe(false)
})
