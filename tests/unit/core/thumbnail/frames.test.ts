import { framesWorth } from '../../../../core/thumbnail/frames'
import { BLACK, painted, WHITE } from './pictures'

const plain = (at: number, grey: number) => ({ at, picture: painted(32, 18, () => [grey, grey, grey]) })
const striped = (at: number, every: number) => ({
  at,
  picture: painted(32, 18, x => (Math.floor(x / every) % 2 ? BLACK : WHITE)),
})

test('the sharpest and most different frames are offered, in the order of the video', () => {
  const frames = [plain(0, 0), striped(10, 2), striped(20, 2), striped(30, 8), plain(40, 128), plain(50, 255)]
  expect(framesWorth(frames, 2).map(({ at }) => at)).toEqual([10, 30])
  // The same picture again shows nothing new; one without anything on it is nothing to look at.
  expect(framesWorth(frames, 9).map(({ at }) => at)).toEqual([10, 30])
})
test('of a dark video nothing is', () => {
  expect(framesWorth([plain(0, 0), plain(1, 20)], 9)).toEqual([])
  expect(framesWorth([], 9)).toEqual([])
})
