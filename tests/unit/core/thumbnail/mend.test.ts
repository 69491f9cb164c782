import fc from 'fast-check'
import { DEFAULT_PROFILE as profile, PROFILES } from '../../../../core/draft/limits'
import { limitProfileSchema } from '../../../../core/draft/profileSchema'
import { faultInWords, mendPlan, thumbnailFaults, type PictureFacts } from '../../../../core/thumbnail/mend'
import { filterValues, VISIONS } from '../../../../core/thumbnail/vision'

const facts = (more: Partial<PictureFacts> = {}): PictureFacts => ({
  format: 'jpeg',
  width: 1280,
  height: 720,
  bytes: 180_000,
  ...more,
})

describe('what a site says of a picture', () => {
  test.each<[string, Partial<PictureFacts>, string[]]>([
    ['as advised', {}, []],
    ['just large enough', { width: 640, height: 360 }, []],
    ['a pixel row short', { width: 1280, height: 719 }, []],
    ['too small', { width: 639, height: 359 }, ['small']],
    ['square', { width: 900, height: 900 }, ['ratio']],
    ['too heavy', { bytes: 2_000_001 }, ['bytes']],
    ['of another kind', { format: 'avif' }, ['format']],
    ['all at once', { format: 'webp', width: 300, height: 300, bytes: 3e6 }, ['format', 'small', 'ratio', 'bytes']],
  ])('%s', (_, more, faults) => {
    expect(thumbnailFaults(facts(more), profile)).toEqual(faults)
  })
  test('is said in words with what it wants', () => {
    expect(faultInWords('ratio', facts({ width: 900, height: 900 }), profile)).toContain('900×900 is not 16:9')
    expect(faultInWords('format', facts({ format: 'avif' }), profile)).toContain('JPEG, PNG, GIF')
    expect(faultInWords('bytes', facts({ bytes: 2_600_000 }), profile)).toBe('It weighs 2.6 MB; the site takes 2.0 MB.')
    expect(faultInWords('small', facts({ width: 500 }), profile)).toContain('at least 640')
  })
  test('is part of every limit profile, also of a file from before', () => {
    for (const each of PROFILES) expect(limitProfileSchema.parse(each).thumbnail).toEqual(each.thumbnail)
    const { thumbnail: _, ...before } = profile
    expect(limitProfileSchema.parse(before).thumbnail).toEqual(profile.thumbnail)
  })
})

describe('mending', () => {
  test('cuts to the ratio about the middle and scales down, never up', () => {
    expect(mendPlan(facts({ width: 3000, height: 3000 }), profile)).toEqual({
      crop: { left: 0, top: 656, width: 3000, height: 1688 },
      width: 1280,
      height: 720,
      format: 'jpeg',
    })
    expect(mendPlan(facts({ width: 800, height: 200, format: 'png' }), profile)).toMatchObject({
      crop: { left: 222, top: 0, width: 356, height: 200 },
      width: 356,
      height: 200,
      format: 'png',
    })
  })
  test('keeps what is pointed at', () => {
    expect(mendPlan(facts({ width: 2000, height: 500 }), profile, { x: 1, y: 0 }).crop).toMatchObject({ left: 1111 })
    expect(mendPlan(facts({ width: 2000, height: 500 }), profile, { x: 0, y: 0 }).crop).toMatchObject({ left: 0 })
  })
  test('whatever the picture, the cut lies within it, and a wide enough one has no fault of form left', () => {
    const side = fc.integer({ min: 1, max: 20_000 })
    const share = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(side, side, share, share, (width, height, x, y) => {
        const { crop, ...plan } = mendPlan(facts({ width, height }), profile, { x, y })
        expect(crop.left).toBeGreaterThanOrEqual(0)
        expect(crop.top).toBeGreaterThanOrEqual(0)
        expect(crop.left + crop.width).toBeLessThanOrEqual(width)
        expect(crop.top + crop.height).toBeLessThanOrEqual(height)
        expect(plan.width).toBeLessThanOrEqual(crop.width)
        if (crop.width < 640) return
        expect(thumbnailFaults({ ...plan, bytes: 1000 }, profile)).toEqual([])
      }),
    )
  })
})

test('what an eye without one kind of cone sees keeps white white and black black', () => {
  for (const { matrix } of VISIONS) {
    if (!matrix) continue
    for (const row of [0, 3, 6]) expect(matrix[row]! + matrix[row + 1]! + matrix[row + 2]!).toBeCloseTo(1, 4)
    expect(filterValues(matrix).split(' ')).toHaveLength(20)
  }
})
