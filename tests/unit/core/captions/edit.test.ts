import fc from 'fast-check'
import type { Cue } from '../../../../core/captions/cue'
import { outlineCaptions, outlineParts } from '../../../../core/captions/outline'
import { spoken } from '../../../../core/captions/spoken'
import { spread } from '../../../../core/captions/spread'
import { changed, joined, shifted, split, stretched } from '../../../../core/captions/timing'

const cues: Cue[] = [
  { start: 1, end: 3, text: 'Turn the axle' },
  { start: 4, end: 6, text: 'and listen' },
  { start: 10, end: 12, text: 'Now wax it' },
]

describe('times', () => {
  test('later and earlier: what would end before the beginning is gone', () => {
    expect(shifted(cues, 1.5)[0]).toEqual({ start: 2.5, end: 4.5, text: 'Turn the axle' })
    expect(shifted(cues, -3.5)).toEqual([
      { start: 0.5, end: 2.5, text: 'and listen' },
      { start: 6.5, end: 8.5, text: 'Now wax it' },
    ])
    expect(shifted(cues, -5)[0]).toEqual({ start: 0, end: 1, text: 'and listen' })
  })
  test('stretched between two moments; no stretch where they do not rise', () => {
    expect(stretched(cues, [1, 10], [2, 20])?.map(cue => cue.start)).toEqual([2, 8, 20])
    expect(stretched(cues, [1, 1], [2, 20])).toBeNull()
    expect(stretched(cues, [1, 10], [20, 2])).toBeNull()
  })
})

describe('cues', () => {
  test('joined with the next, and split by the length of the parts', () => {
    const one = joined(cues, 0)
    expect(one[0]).toEqual({ start: 1, end: 6, text: 'Turn the axle and listen' })
    expect(joined(cues, 2)).toEqual(cues)
    expect(split(one, 0, 'Turn the axle'.length).slice(0, 2)).toEqual([
      { start: 1, end: 3.826, text: 'Turn the axle' },
      { start: 3.826, end: 6, text: 'and listen' },
    ])
    expect(split(cues, 0, 0)).toEqual(cues)
    expect(split(cues, 9, 3)).toEqual(cues)
  })
  test('changed: emptied it is gone, moved it stands in its order, and it ends after it begins', () => {
    expect(changed(cues, 1, { text: ' ' })).toHaveLength(2)
    expect(changed(cues, 0, { start: 7, end: 8 }).map(cue => cue.text)).toEqual([
      'and listen',
      'Turn the axle',
      'Now wax it',
    ])
    expect(changed(cues, 0, { end: 0 })[0]).toMatchObject({ start: 1, end: 1.1 })
  })
})

describe('a script without times', () => {
  test('is spread over the length by its words, with a breath after each sentence', () => {
    const made = spread('Short. A much longer sentence follows here and takes its time.\n\nEnd.', 60)
    expect(made.map(cue => cue.text)).toEqual([
      'Short. A much longer sentence follows here and takes its time.',
      'End.',
    ])
    expect(made.at(-1)!.end).toBeGreaterThan(57)
    expect(made.at(-1)!.end).toBeLessThanOrEqual(60)
    // Without a length it is said at the usual speed: 300 letters take some 20 seconds.
    const usual = spread('letters and words '.repeat(17)).at(-1)!.end
    expect(usual).toBeGreaterThan(17)
    expect(usual).toBeLessThan(25)
    expect(spread(' \n… \n')).toEqual([])
  })
  test('scripts without spaces are cut at words', () => {
    const text = 'チェーンを掃除する前に乾いた布で汚れを拭き取ってください。次に油を一滴ずつ差してゆっくり回します。'
    const made = spread(text, 20)
    expect(made.length).toBeGreaterThan(1)
    expect(made.map(cue => cue.text).join('')).toBe(text)
  })
  test('nothing is lost, and cues follow each other', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('wax', 'chain.', 'a', '\n', 'long-word'), { maxLength: 200 }), list => {
        const script = list.join(' ')
        const made = spread(script, 100)
        const words = (text: string) => text.split(/\s+/u).filter(Boolean)
        if (/\p{L}/u.test(script)) expect(made.flatMap(cue => words(cue.text))).toEqual(words(script))
        made.forEach((cue, i) => {
          expect(cue.end).toBeGreaterThan(cue.start)
          if (i) expect(cue.start).toBeGreaterThanOrEqual(made[i - 1]!.end)
        })
      }),
    )
  })
})

describe('an outline', () => {
  const outline = '0:00 Hello\n[0:20] - Tools you need\n  * one brush\n2) a rag\n1:00 | Wax it\n0:30 backwards'
  test('has parts, with times where they are given', () => {
    expect(outlineParts(outline).map(({ start, text }) => [start, text])).toEqual([
      [0, 'Hello'],
      [20, 'Tools you need'],
      [null, 'one brush'],
      [null, 'a rag'],
      [60, 'Wax it'],
      [30, 'backwards'],
    ])
  })
  test('is spoken from time to time; parts without one share what lies between', () => {
    const { cues: made, timed } = outlineCaptions(outline, 90)
    expect(timed).toBe(true)
    expect(made.map(cue => cue.text)).toEqual(['Hello', 'Tools you need', 'one brush', 'a rag', 'Wax it', 'backwards'])
    expect(made[1]!.start).toBe(20)
    expect(made[3]!.end).toBeLessThan(60)
    expect(made[4]!.start).toBe(60)
    expect(made.at(-1)!.end).toBeLessThanOrEqual(90)
    expect(outlineCaptions('one\ntwo').timed).toBe(false)
    expect(outlineCaptions('').cues).toEqual([])
  })
})

test('where phrases are spoken: how often, first when, across cues too', () => {
  const captions = { cues, timed: true }
  expect(spoken(captions, ['turning axles', 'axle and listen', 'wax', 'oil'], 'en')).toEqual([
    { phrase: 'turning axles', count: 0, first: null, cue: null, grade: 'ordered' },
    { phrase: 'axle and listen', count: 1, first: 1, cue: 0, grade: 'exact' },
    { phrase: 'wax', count: 1, first: 10, cue: 2, grade: 'exact' },
    { phrase: 'oil', count: 0, first: null, cue: null, grade: 'none' },
  ])
  // Estimated times are no times.
  expect(spoken({ cues, timed: false }, ['wax'], 'en')[0]).toMatchObject({ count: 1, first: null, cue: 2 })
})
