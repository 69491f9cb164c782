/**
 * The numbers that stand in at least one list of every group.
 *
 * It begins with the group of the fewest numbers and looks each of them up in the others, so that a rare word beside
 * several common ones costs about as much as the rare word alone.
 *
 * @param groups lists of ascending numbers; a group's lists may overlap.
 * @returns ascending, each once.
 */
export function intersectGroups(groups: readonly (readonly Uint32Array[])[]): Uint32Array {
  const length = (lists: readonly Uint32Array[]) => lists.reduce((sum, list) => sum + list.length, 0)
  const [rarest, ...others] = [...groups].sort((a, b) => length(a) - length(b))
  if (!rarest) return new Uint32Array(0)
  const numbers = rarest.reduce(union)
  if (!others.length) return numbers
  const cursors = others.map(lists => lists.map(list => ({ list, at: 0 })))
  const found = new Uint32Array(numbers.length)
  let count = 0
  for (const n of numbers) if (cursors.every(group => group.some(cursor => moveTo(cursor, n)))) found[count++] = n
  return found.subarray(0, count)
}

/** All numbers of two ascending lists, ascending, each once. */
function union(a: Uint32Array, b: Uint32Array): Uint32Array {
  const all = new Uint32Array(a.length + b.length)
  let [i, j, count] = [0, 0, 0]
  while (i < a.length && j < b.length) {
    const n = Math.min(a[i]!, b[j]!)
    all[count++] = n
    if (a[i] === n) i++
    if (b[j] === n) j++
  }
  while (i < a.length) all[count++] = a[i++]!
  while (j < b.length) all[count++] = b[j++]!
  return all.subarray(0, count)
}

/** A place in an ascending list, which only moves on. */
interface Cursor {
  list: Uint32Array
  at: number
}

/** Moves to the first number not below one. @returns whether it is that number. */
function moveTo(cursor: Cursor, n: number): boolean {
  cursor.at = firstNotBelow(cursor.list, n, cursor.at)
  return cursor.list[cursor.at] === n
}

/** Where the first number not below another stands: steps that double, then halves of the last step. */
function firstNotBelow(list: Uint32Array, n: number, from: number): number {
  let step = 1
  let [low, high] = [from, from]
  while (high < list.length && list[high]! < n) {
    low = high + 1
    high += step
    step *= 2
  }
  high = Math.min(high, list.length)
  while (low < high) {
    const middle = (low + high) >>> 1
    if (list[middle]! < n) low = middle + 1
    else high = middle
  }
  return low
}
