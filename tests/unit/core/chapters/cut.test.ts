import fc from 'fast-check'
import { cutChapters } from '../../../../core/chapters/cut'
import { chapterTitles } from '../../../../core/chapters/titles'
import { spread } from '../../../../core/captions/spread'
import type { Cue } from '../../../../core/captions/cue'

const PARTS = [
  'Look at the chain first. A worn chain skips. Lay the gauge on the chain and read it. If the chain has stretched, a new chain is due. Count the links of the old chain before you cut the new chain.',
  'Now the brakes. Squeeze the brake lever and watch the pads. The pads must meet the rim at once. Worn pads have no grooves. Undo the pad bolt, turn the pad, and tighten the bolt while you hold the brake lever.',
  'The wheel comes last. Spin the wheel and watch the spokes. A loose spoke rings low. Turn the spoke nipple a quarter and spin the wheel again. When the wheel runs true, every spoke rings alike.',
]
const parts = PARTS.map(text => spread(text.replaceAll('. ', '.\n')))
function joinedUp(): { cues: Cue[]; bounds: number[] } {
  const cues: Cue[] = []
  const bounds: number[] = []
  for (const part of parts) {
    const at = cues.at(-1)?.end ?? 0
    bounds.push(cues.length)
    cues.push(...part.map(cue => ({ ...cue, start: cue.start + at, end: cue.end + at })))
  }
  return { cues, bounds }
}
const { cues, bounds } = joinedUp()
const shape = { language: 'en', minSeconds: 5 }

test('chapters begin where the words change', () => {
  const cuts = cutChapters(cues, { ...shape, count: 3 })
  expect(cuts.map(cut => cut.cue)).toEqual(bounds)
  expect(cuts[0]).toMatchObject({ start: 0, sure: 1 })
  for (const { sure } of cuts.slice(1)) expect(sure).toBeGreaterThan(0.5)
  // A place where nothing changes is told with less sureness.
  const four = cutChapters(cues, { ...shape, count: 4 })
  expect(Math.min(...four.map(cut => cut.sure))).toBeLessThan(0.3)
})

test('a pause draws a boundary to it, and no chapter begins within a sentence', () => {
  const text = Array.from({ length: 40 }, (_, i) => `word${i % 7} and word${(i * 3) % 11}`)
  const even = text.map((said, i): Cue => ({ start: i * 4, end: i * 4 + 3.5, text: said }))
  const paused = even.map((cue, i) => (i < 23 ? cue : { ...cue, start: cue.start + 8, end: cue.end + 8 }))
  expect(cutChapters(paused, { ...shape, count: 2 })[1]!.cue).toBe(23)
  const stops = cues.map((cue, i) => (i === bounds[1]! - 1 ? { ...cue, text: cue.text.replace(/\.$/u, ' and') } : cue))
  expect(cutChapters(stops, { ...shape, count: 3 }).map(cut => cut.cue)).not.toContain(bounds[1])
})

test('the shortest length and the wished count are honoured, as far as both can be', () => {
  const seconds = cues.at(-1)!.end
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 40 }), (count, minSeconds) => {
      const cuts = cutChapters(cues, { language: 'en', count, minSeconds })
      expect(cuts.length).toBeLessThanOrEqual(count)
      expect(cuts[0]!.cue).toBe(0)
      cuts.forEach((cut, i) => {
        const end = cuts[i + 1]?.start ?? seconds
        if (cuts.length > 1) expect(end - cut.start).toBeGreaterThanOrEqual(minSeconds - 1e-9)
        expect(cut.sure).toBeGreaterThanOrEqual(0)
        expect(cut.sure).toBeLessThanOrEqual(1)
      })
    }),
  )
  expect(cutChapters([], shape)).toEqual([])
  expect(cutChapters([{ start: 3, end: 4, text: '' }], shape)).toEqual([{ cue: 0, start: 3, sure: 1 }])
})

test('three hours are cut', () => {
  const long = Array.from({ length: 3600 }, (_, i): Cue => {
    const cue = cues[(Math.floor(i / 900) * 9 + (i % 9)) % cues.length]!
    return { start: i * 3, end: i * 3 + 2.8, text: cue.text }
  })
  expect(cutChapters(long, { language: 'en', count: 8 })).toHaveLength(8)
})

test('titles: a tray phrase that is spoken there, each once, else the words that tell the part', () => {
  const titles = chapterTitles(cues, bounds, ['true a wheel', 'brake lever', 'new chain'], 'en')
  expect(titles.slice(0, 2)).toEqual(['New chain', 'Brake lever'])
  expect(titles[2]).toMatch(/wheel|spoke/iu)
  const own = chapterTitles(cues, bounds, [], 'en')
  expect(own[0]).toMatch(/chain/iu)
  expect(own[1]).toMatch(/pad|brake/iu)
  expect(new Set(own).size).toBe(3)
  expect(chapterTitles([{ start: 0, end: 1, text: '…' }], [0], [], 'en')).toEqual([''])
})
