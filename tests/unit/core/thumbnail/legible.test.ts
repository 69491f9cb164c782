import { detailOf } from '../../../../core/thumbnail/detail'
import { legibleOf } from '../../../../core/thumbnail/legible'
import { BLACK, painted, WHITE } from './pictures'

const both = (draw: (x: number, y: number) => boolean) => ({
  fine: painted(360, 202, (x, y) => (draw(x / 360, y / 202) ? BLACK : WHITE)),
  small: painted(120, 68, (x, y) => (draw(x / 120, y / 68) ? BLACK : WHITE)),
})

describe('edges', () => {
  test('are as long as they are times their step, at any size; recomputed by hand', () => {
    const half = (width: number, height: number) => painted(width, height, x => (x < width / 2 ? BLACK : WHITE))
    // One edge from top to bottom, a height long, a whole step of lightness; the last row has no neighbour below.
    for (const [width, height] of [
      [160, 90],
      [360, 202],
    ] as const)
      expect(detailOf(half(width, height)).edges).toBeCloseTo((height - 1) / height, 3)
  })
  test('are shared out among nine parts', () => {
    const { parts, edges } = detailOf(painted(90, 90, (x, y) => (x > 65 && x < 80 && y > 65 && y < 80 ? BLACK : WHITE)))
    expect(edges).toBeGreaterThan(0)
    expect(parts[8]).toBeCloseTo(1, 5)
    expect(parts.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 5)
  })
  test('a plain picture has none, and no share of any', () => {
    const { edges, parts, badge } = detailOf(painted(48, 27, () => [40, 90, 20]))
    expect({ edges, parts, badge }).toEqual({ edges: 0, parts: new Array(9).fill(0), badge: 0 })
  })
  test('grain that cannot be seen is none', () => {
    expect(detailOf(painted(48, 27, (x, y) => ((x + y) % 2 ? [100, 100, 100] : [101, 101, 101]))).edges).toBe(0)
  })
})

describe('legible when small', () => {
  test('a large shape survives', () => {
    const { fine, small } = both((x, y) => x > 0.2 && x < 0.6 && y > 0.2 && y < 0.7)
    const found = legibleOf(fine, small)
    expect(found.contrast).toBeCloseTo(1, 2)
    expect(found.edgesKept).toBeGreaterThan(0.9)
    expect(found.underLength).toBe(false)
  })
  test('lines that are gone at 120 pixels do not', () => {
    const fine = painted(360, 202, x => (x % 8 === 0 ? BLACK : WHITE))
    expect(
      legibleOf(
        fine,
        painted(120, 68, () => [223, 223, 223]),
      ).edgesKept,
    ).toBe(0)
  })
  test('what stands under the length is told', () => {
    const { fine, small } = both((x, y) => x > 0.84 && y > 0.86)
    const found = legibleOf(fine, small)
    expect(found.underLength).toBe(true)
    expect(found.hidden).toBeGreaterThan(0.9)
  })
  test('of a plain picture nothing is known to survive', () => {
    const { fine, small } = both(() => false)
    expect(legibleOf(fine, small)).toEqual({ contrast: 0, edgesKept: null, hidden: 0, underLength: false })
  })
})
