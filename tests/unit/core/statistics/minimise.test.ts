import { minimise } from '../../../../core/statistics/minimise'
import { inverse, leastSquares, solve } from '../../../../core/statistics/solve'

describe('finding the least', () => {
  test('a long narrow valley is followed to its end', () => {
    const at = Float64Array.of(-1.2, 1)
    const least = minimise(
      ([x, y], slope) => {
        const bend = y! - x! * x!
        slope[0] = -400 * x! * bend - 2 * (1 - x!)
        slope[1] = 200 * bend
        return 100 * bend ** 2 + (1 - x!) ** 2
      },
      at,
      { most: 200, enough: 1e-14 },
    )
    expect(least).toBeLessThan(1e-8)
    expect(at[0]).toBeCloseTo(1, 3)
    expect(at[1]).toBeCloseTo(1, 3)
  })

  test('where axes differ by thousands, knowing how each bends saves most of the steps', () => {
    const bends = Float64Array.from({ length: 60 }, (_, i) => 10 ** (i % 5))
    const looks = (known: boolean) => {
      let asked = 0
      const at = new Float64Array(bends.length).fill(1)
      const least = minimise(
        (point, slope) => {
          asked++
          return point.reduce((sum, x, i) => {
            const next = point[(i + 1) % point.length]!
            slope[i] = bends[i]! * x + 0.3 * (2 * x - next - point.at(i - 1)!)
            return sum + (bends[i]! / 2) * x * x + 0.15 * (x - next) ** 2
          }, 1)
        },
        at,
        { enough: 1e-9, curvatureAt: known ? () => bends.map(bend => bend + 0.6) : undefined },
      )
      expect(least).toBeCloseTo(1, 6)
      return asked
    }
    expect(looks(true)).toBeLessThan(looks(false) / 3)
  })

  test('where it already is least, nothing moves', () => {
    const at = Float64Array.of(3)
    expect(minimise(([x], slope) => ((slope[0] = 2 * (x! - 3)), (x! - 3) ** 2), at)).toBe(0)
    expect(at[0]).toBe(3)
  })
})

describe('linear equations', () => {
  test('are solved with a pivot of 0 on the way', () => {
    const [solution] = solve(
      [
        [0, 2, 1],
        [1, 1, 0],
        [3, 0, -1],
      ],
      [[7, 3, -2]],
    )
    expect(solution![0]).toBeCloseTo(-1, 12)
    expect(solution![1]).toBeCloseTo(4, 12)
    expect(solution![2]).toBeCloseTo(-1, 12)
  })

  test('a matrix times its inverse is one', () => {
    const matrix = [
      [4, 1, 0.5],
      [1, 3, 0.2],
      [0.5, 0.2, 2],
    ]
    const back = inverse(matrix)
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++)
        expect(matrix[i]!.reduce((sum, value, k) => sum + value * back[k]![j]!, 0)).toBeCloseTo(Number(i === j), 12)
  })

  test('least squares find a line, and stay with what is expected where nothing is known', () => {
    const xs = [0, 1, 2, 3, 4]
    const rows = xs.map(x => [1, x])
    const free = leastSquares(
      rows,
      xs.map(x => 2 + 3 * x),
      [0, 0],
      [1e-9, 1e-9],
    )
    expect(free[0]).toBeCloseTo(2, 6)
    expect(free[1]).toBeCloseTo(3, 6)
    expect(leastSquares([], [], [0.6, 0.35], [2, 20])).toEqual([0.6, 0.35])
  })
})
