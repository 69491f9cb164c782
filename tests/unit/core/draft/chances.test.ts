import { strengthAsWorded } from '../../../../core/draft/chances'
import { ownStrength } from '../../../../core/rivals/ownStrength'

const AT = Date.UTC(2026, 9, 1)
const own = ownStrength({ subscribers: 4870, videos: [{ views: 9000, publishedAt: AT - 300 * 86_400_000 }] }, AT)!
const worded = (title: string, description?: string, tags?: string[], parts = own) =>
  strengthAsWorded(parts, 'clean bike chain', { title, description, tags }, 'en')

test('worded in full it is the strength of a well-worded video', () => {
  expect(worded('Clean bike chain', 'Clean bike chain\nmore', ['clean bike chain'])).toBeCloseTo(own.strength, 12)
})

test('what the wording lacks is taken off by its weight', () => {
  const without = worded('A film', 'Nothing', ['film'])
  expect(own.strength - without).toBeCloseTo(0.45, 12)
  // By hand: title exact .7, first line none, tag none, of 1: a wording of .7 lacks .3 × .45.
  expect(own.strength - worded('Clean bike chain', 'Nothing', [])).toBeCloseTo(0.3 * 0.45, 12)
  // A part the draft does not have leaves its weight to the others.
  expect(worded('Clean bike chain')).toBeCloseTo(own.strength, 12)
})

test('where reach or pull is not known, wording weighs more', () => {
  const half = { ...own, strength: 0.6, reach: 0.5, pull: null }
  expect(0.6 - worded('A film', '', [], half)).toBeCloseTo(0.45 / 0.7, 12)
})
