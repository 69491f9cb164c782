import fc from 'fast-check'
import { SHORTEST, beginsAt } from '../../../../core/captions/timing'

const cues = [
  { start: 0, end: 2, text: 'One' },
  { start: 2, end: 4, text: 'Two' },
  { start: 5, end: 7, text: 'Three' },
]

test('the line begins there, the one before ends there, those after keep their distance', () => {
  expect(beginsAt(cues, 1, 3.5)).toEqual([
    { start: 0, end: 3.5, text: 'One' },
    { start: 3.5, end: 5.5, text: 'Two' },
    { start: 6.5, end: 8.5, text: 'Three' },
  ])
  expect(beginsAt(cues, 0, 1)!.map(cue => cue.start)).toEqual([1, 3, 6])
  expect(beginsAt(cues, 2, 4)!.map(cue => cue.start)).toEqual([0, 2, 4])
})

test('not before the line above it, and not for a line that is not there', () => {
  expect(beginsAt(cues, 1, 0)).toBeNull()
  expect(beginsAt(cues, 3, 9)).toBeNull()
  expect(beginsAt([], 0, 1)).toBeNull()
})

test('a script timed line by line rises, whatever its times were', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0.2, max: 9, noNaN: true }), { minLength: 1, maxLength: 20 }), steps => {
      let timed = steps.map((_, i) => ({ start: i * 2, end: i * 2 + 2, text: `Line ${i}` }))
      let at = 0
      steps.forEach((step, i) => {
        at += step
        timed = beginsAt(timed, i, at)!
      })
      for (const [i, cue] of timed.entries()) {
        expect(cue.end - cue.start).toBeGreaterThanOrEqual(SHORTEST)
        if (i) expect(cue.start).toBeGreaterThanOrEqual(timed[i - 1]!.end - 1e-9)
      }
    }),
  )
})
