/**
 * Solves linear equations by elimination with the largest pivot: a few dozen unknowns at most.
 *
 * @param matrix rows; square, and not singular. @param rights one or more right sides, a column each.
 * @returns for each right side its solution.
 */
export function solve(matrix: readonly ArrayLike<number>[], rights: readonly ArrayLike<number>[]): number[][] {
  const size = matrix.length
  const rows = matrix.map((row, i) => [...Array.from(row), ...rights.map(right => right[i]!)])
  for (let column = 0; column < size; column++) {
    let pivot = column
    for (let i = column + 1; i < size; i++) if (Math.abs(rows[i]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = i
    ;[rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!]
    const top = rows[column]!
    for (let i = 0; i < size; i++) {
      if (i === column) continue
      const times = rows[i]![column]! / top[column]!
      if (times) for (let j = column; j < top.length; j++) rows[i]![j]! -= times * top[j]!
    }
  }
  return rights.map((_, n) => rows.map((row, i) => row[size + n]! / row[i]!))
}

/** The inverse of a matrix. */
export const inverse = (matrix: readonly ArrayLike<number>[]): number[][] =>
  solve(
    matrix,
    matrix.map((_, i) => matrix.map((__, j) => Number(i === j))),
  )

/**
 * Least squares with a penalty for leaving what was expected: the coefficients of each column.
 *
 * @param expected coefficients. @param penalty for each, times the squared distance.
 */
export function leastSquares(
  rows: readonly ArrayLike<number>[],
  values: ArrayLike<number>,
  expected: readonly number[],
  penalty: readonly number[],
): number[] {
  const size = expected.length
  const matrix = Array.from({ length: size }, (_, i) => {
    const row = new Float64Array(size)
    row[i] = penalty[i]!
    return row
  })
  const right = Float64Array.from(expected, (value, i) => penalty[i]! * value)
  rows.forEach((row, n) => {
    for (let i = 0; i < size; i++) {
      right[i]! += row[i]! * values[n]!
      for (let j = 0; j < size; j++) matrix[i]![j]! += row[i]! * row[j]!
    }
  })
  return solve(matrix, [right])[0]!
}
