import { OPEN, PICK, phraseColumns, sparedColumns } from '../../../app/composables/columns'

const left = (perspective: 'anyone' | 'channel', width: number, spared: number) =>
  phraseColumns(perspective, false, spared).reduce((room, column) => room - (column.width ?? 0), width - PICK - OPEN)
const keys = (perspective: 'anyone' | 'channel', spared: number, narrow = false) =>
  phraseColumns(perspective, narrow, spared).map(({ key }) => key)

test.each(['anyone', 'channel'] as const)(
  '%s: the phrase has room in every table that does not scroll',
  perspective => {
    for (let width = 650; width <= 1920; width++) {
      const spared = sparedColumns(perspective, width)
      expect(left(perspective, width, spared)).toBeGreaterThanOrEqual(190)
      // No more give way than have to.
      if (spared) expect(left(perspective, width, spared - 1)).toBeLessThan(190)
    }
  },
)

test('what tells least gives way first; what a phrase is chosen by stays', () => {
  expect(keys('anyone', 0)).toEqual([
    'phrase',
    'words',
    'months',
    'volume',
    'volumeAll',
    'change',
    'competition',
    'difficulty',
    'worth',
    'via',
  ])
  expect(keys('anyone', 1)).not.toContain('words')
  expect(keys('channel', 4)).toEqual(['phrase', 'months', 'volume', 'change', 'difficulty', 'chance', 'worth'])
  expect(keys('channel', 0, true)).toEqual(['phrase', 'volume', 'difficulty', 'chance', 'worth'])
})

test('on a phone, and before its width is known, a table has all its columns', () => {
  expect([0, 350].map(width => sparedColumns('channel', width))).toEqual([0, 0])
})
