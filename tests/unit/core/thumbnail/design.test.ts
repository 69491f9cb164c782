import { captionsOf } from '../../../../core/captions/read'
import {
  backgroundAt,
  backgroundBox,
  DESIGN,
  HEADLINE_ROOM,
  LAYOUTS,
  newDesign,
  type Design,
  type Layout,
} from '../../../../core/thumbnail/design'
import { fittedHeadline, headlineFaults, LINE_HEIGHT } from '../../../../core/thumbnail/headline'
import { thumbnailSchema } from '../../../../core/thumbnail/picture'
import { widthInEms } from '../../../../core/text/width'

const picture = { hash: 'a'.repeat(64), format: 'jpeg' as const, width: 1920, height: 1080, bytes: 1000 }
const design = (text: string, layout: Layout = 'left', size = 1): Design => {
  const made = newDesign(picture, text)
  return { ...made, layout, headline: { ...made.headline, size } }
}

describe('the headline in its room', () => {
  test('is as large as fits: no line wider, no line too many, and a step larger would not fit', () => {
    for (const layout of LAYOUTS.filter(each => each !== 'none')) {
      const { lines, size } = fittedHeadline(design('Wax your chain once', layout))!
      const room = HEADLINE_ROOM[layout]
      for (const line of lines) expect(widthInEms(line) * size).toBeLessThanOrEqual(room.width * DESIGN.width)
      expect(lines.length * size * LINE_HEIGHT).toBeLessThanOrEqual(room.height * DESIGN.height)
      expect(lines.join(' ')).toBe('Wax your chain once')
      expect(size).toBeGreaterThan(60)
    }
  })
  test('is smaller on request, keeps lines a person made, and is not there without words', () => {
    const [large, small] = [1, 0.5].map(size => fittedHeadline(design('Wax it', 'above', size))!.size)
    expect(small).toBe(Math.round(large! / 2))
    expect(fittedHeadline(design('Wax\nit'))!.lines).toEqual(['Wax', 'it'])
    expect(fittedHeadline(design('  '))).toBeNull()
    expect(fittedHeadline(design('Wax', 'none'))).toBeNull()
  })
  test('a word that no size makes fit is said', () => {
    const long = 'm'.repeat(60)
    expect(fittedHeadline(design(long))).toBeNull()
    expect(headlineFaults(design(long), { title: '' }, 'en')).toContain('It does not fit. Shorten its longest word.')
  })
})

describe('the words of the headline are a promise like any other', () => {
  const ask = async (text: string, captions?: string, layout: Layout = 'left') =>
    headlineFaults(
      design(text, layout),
      { title: 'How to wax a chain', ...(captions ? { captions: await captionsOf(captions) } : {}) },
      'en',
    )
  const SPOKEN = 'WEBVTT\n\n00:00.000 --> 00:04.000\nHeat the wax in an old pan and hang the chain in it.'
  test('what neither title nor captions bear out is named', async () => {
    expect(await ask('Diamond lasts', SPOKEN)).toEqual([
      expect.stringMatching(/^“Diamond lasts”: not in the captions/u),
    ])
    expect(await ask('Old pan, hot wax', SPOKEN)).toEqual([expect.stringMatching(/^“hot”/u)])
    expect(await ask('An old pan', SPOKEN)).toEqual([])
  })
  test('without captions nothing is known of it', async () => {
    expect(await ask('Diamond lasts')).toEqual([])
  })
  test('the title once more, and too many words', async () => {
    expect(await ask('Wax a chain', SPOKEN)).toEqual(['The headline repeats the title. Add something new.'])
    expect(await ask('Heat the wax and hang it in', SPOKEN)).toEqual([
      '7 words. Use 5 at most, so that it can be read at a glance.',
    ])
  })
  test('without words there is nothing to say against them', async () => {
    expect(await ask('Diamond', SPOKEN, 'none')).toEqual([])
  })
})

describe('the background', () => {
  test('fills the frame wherever it is moved, and no gap is left', () => {
    for (const size of [
      { width: 1920, height: 1080 },
      { width: 400, height: 900 },
      { width: 3000, height: 500 },
    ])
      for (const zoom of [1, 1.7, 4])
        for (const [x, y] of [
          [0, 0],
          [0.5, 0.5],
          [1, 0.2],
        ] as const) {
          const box = backgroundBox(size, { zoom, x, y })
          expect(box.x).toBeLessThanOrEqual(0)
          expect(box.y).toBeLessThanOrEqual(0)
          expect(box.x + box.width).toBeGreaterThanOrEqual(DESIGN.width - 1e-6)
          expect(box.y + box.height).toBeGreaterThanOrEqual(DESIGN.height - 1e-6)
          expect(box.width / box.height).toBeCloseTo(size.width / size.height)
        }
  })
  test('where it was drawn is where it lies', () => {
    const box = backgroundBox(picture, { zoom: 2, x: 0.4, y: 0.6 })
    const at = backgroundAt(picture, 2, box.x, box.y)
    expect(at.x).toBeCloseTo(0.4)
    expect(at.y).toBeCloseTo(0.6)
  })
})

test('a candidate keeps what it was made of; one from elsewhere, and one of an earlier version, has nothing', () => {
  const plain = { ...picture, name: 'One', original: null }
  expect(thumbnailSchema.parse(plain).design).toBeNull()
  expect(thumbnailSchema.parse({ ...plain, design: design('Wax it') }).design).toEqual(design('Wax it'))
  const wrong = { ...design('Wax it'), layers: Array.from({ length: 3 }, () => ({ picture, x: 0, y: 0, width: 0.2 })) }
  expect(thumbnailSchema.safeParse({ ...plain, design: wrong }).success).toBe(false)
})
