import fc from 'fast-check'
import { apart, paletteOf } from '../../../../core/thumbnail/palette'
import { pageLookOf, type PictureLook } from '../../../../core/thumbnail/page'
import { palettesApart, pageStandsOut, standOutOf, standsOutMoreThan } from '../../../../core/thumbnail/standOut'
import { hueOf, lightOf, tonesOf } from '../../../../core/thumbnail/tones'
import { BLACK, painted, plain, WHITE } from './pictures'

describe('the palette of a picture', () => {
  test('of one colour is that colour', () => {
    const [only, ...others] = paletteOf(plain([12, 52, 199]))
    expect(others).toEqual([])
    expect(only).toMatchObject({ share: 1, hex: '#0c34c7' })
  })

  test('tells each colour with the share it covers, the largest first', () => {
    const found = paletteOf(painted(40, 20, x => (x < 28 ? [200, 20, 20] : x < 38 ? WHITE : [10, 10, 120])))
    expect(found.map(({ hex, share }) => [hex, Math.round(share * 100)])).toEqual([
      ['#c81414', 70],
      ['#ffffff', 25],
      ['#0a0a78', 5],
    ])
  })

  test('joins what an eye cannot part, and leaves out what hardly covers anything', () => {
    const found = paletteOf(
      painted(100, 10, (x, y) => (x === 0 && y < 5 ? [255, 0, 0] : x % 2 ? [80, 80, 80] : [83, 83, 83])),
    )
    expect(found).toHaveLength(1)
    expect(found[0]!.share).toBe(1)
  })

  test('is the same for the same picture, its shares make 1, and no two of its colours are one', () => {
    const channel = fc.integer({ min: 0, max: 255 })
    fc.assert(
      fc.property(fc.array(fc.tuple(channel, channel, channel), { minLength: 1, maxLength: 12 }), colours => {
        const picture = painted(24, 12, (x, y) => colours[(x * 7 + y * 3) % colours.length]!)
        const found = paletteOf(picture)
        expect(paletteOf(picture)).toEqual(found)
        expect(found.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 6)
        found.forEach((one, i) => {
          for (const other of found.slice(0, i)) expect(apart(one, other)).toBeGreaterThan(0.02)
        })
      }),
    )
  })
})

describe('tones', () => {
  test('hues by their angle, greys apart, lightness in three', () => {
    const hueAt = (degrees: number) => hueOf(Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180))
    expect([5, 29, 60, 110, 142, 195, 264, 300, 340, 359].map(hueAt)).toEqual([
      'pink',
      'red',
      'orange',
      'yellow',
      'green',
      'teal',
      'blue',
      'violet',
      'pink',
      'pink',
    ])
    expect([0, 0.39, 0.4, 0.74, 0.75, 1].map(lightOf)).toEqual(['dark', 'dark', 'middle', 'middle', 'light', 'light'])
    const { hues, grey, lights } = tonesOf(painted(10, 10, x => (x < 3 ? [255, 0, 0] : x < 5 ? BLACK : WHITE)))
    expect(hues.red).toBeCloseTo(0.3)
    expect(grey).toBeCloseTo(0.7)
    expect(lights.dark).toBeCloseTo(0.2)
    expect(lights.light).toBeCloseTo(0.5)
  })
})

const look = (red: number, green: number, blue: number): PictureLook => {
  const lab = plain([red, green, blue])
  return { palette: paletteOf(lab), tones: tonesOf(lab), parts: [1, 0, 0, 0, 0, 0, 0, 0, 0] }
}

describe('standing out', () => {
  const black = look(0, 0, 0).palette
  const white = look(255, 255, 255).palette
  const half = paletteOf(painted(20, 10, x => (x < 10 ? BLACK : WHITE)))

  test('two palettes are apart by the nearest colours, both ways; recomputed by hand', () => {
    expect(palettesApart(black, black)).toBe(0)
    // Black and white are a whole lightness apart.
    expect(palettesApart(black, white)).toBeCloseTo(1, 3)
    // From black to the half: nothing. From the half to black: half of it a whole lightness. The mean is a quarter.
    expect(palettesApart(black, half)).toBeCloseTo(0.25, 3)
    expect(palettesApart(half, black)).toBeCloseTo(0.25, 3)
  })

  test('a picture is told against each of the page, and the page against itself', () => {
    const page = [black, black, black, black, half]
    const found = standOutOf(white, page)!
    expect(found.distances.map(Math.round)).toEqual([100, 100, 100, 100, 25])
    expect(found.value).toBeCloseTo(85, 1)
    // Each black one is nothing from three others and 25 from the half; the half is 25 from all.
    expect(found.theirs.map(each => Math.round(100 * each) / 100)).toEqual([6.25, 6.25, 6.25, 6.25, 25])
    expect(standsOutMoreThan(found)).toBe(5)
    expect(standsOutMoreThan(standOutOf(black, page)!)).toBe(4 - 4)
  })

  test('among fewer than five there is nothing to stand out from', () => {
    expect(pageStandsOut([black, white, half, black])).toBeNull()
    expect(standOutOf(white, [black, white, half, black])).toBeNull()
    expect(standOutOf(white, [])).toBeNull()
  })
})

describe('the look of a page', () => {
  test('says which hues, lightness and parts are free', () => {
    const found = pageLookOf([look(200, 0, 0), look(190, 10, 0), look(0, 90, 40), look(30, 30, 30), look(200, 0, 10)])!
    expect(found.pictures).toBe(5)
    expect(found.tones.hues.red).toBeCloseTo(0.6, 5)
    expect(found.freeHues).toEqual(['orange', 'yellow', 'teal', 'blue', 'violet', 'pink'])
    expect(found.freeLights).toEqual(['light'])
    expect(found.freeParts).toEqual([1, 2, 3, 4, 5, 6, 7, 8])
    expect(found.standOut).toHaveLength(5)
    // Red before green, grey last; the reds that an eye takes for one are one.
    expect(found.palette).toHaveLength(3)
    expect(found.palette.map(({ share }) => Math.round(100 * share))).toEqual([60, 20, 20])
  })
  test('without pictures is unknown', () => {
    expect(pageLookOf([])).toBeNull()
  })
})
