/** Steps back remembered for the curvature. */
const MEMORY = 8
/** Curvature along the axes is asked for anew after so many steps. */
const ASKED_EVERY = 10
/** A step is halved this often before it is taken as it is. */
const HALVINGS = 24

const product = (a: Float64Array, b: Float64Array) => {
  let sum = 0
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!
  return sum
}
const add = (to: Float64Array, times: number, what: Float64Array) => {
  for (let i = 0; i < to.length; i++) to[i]! += times * what[i]!
}

interface Step {
  along: Float64Array
  turned: Float64Array
  share: number
}

interface Settings {
  most?: number
  enough?: number
  curvatureAt?: (at: Float64Array) => Float64Array
}

/**
 * Finds where a smooth function is least, from a starting point which it changes in place: limited-memory BFGS (Nocedal
 * 1980) with halved steps.
 *
 * @param lossAt gives the function's value at a point and writes its slope.
 * @param most steps at most. @param enough ends when a step gains less than this part of the value. @param curvatureAt
 *   how much the function bends along each axis at a point; where axes differ much in it, far fewer steps are needed
 *   with it than without. Asked for every `ASKED_EVERY` steps.
 * @returns the least value found.
 */
export function minimise(
  lossAt: (at: Float64Array, slope: Float64Array) => number,
  at: Float64Array,
  { most = 200, enough = 1e-6, curvatureAt }: Settings = {},
): number {
  const steps: Step[] = []
  let axes: Float64Array | null = null
  let slope = new Float64Array(at.length)
  let loss = lossAt(at, slope)
  for (let n = 0; n < most; n++) {
    if (curvatureAt && n % ASKED_EVERY === 0) axes = curvatureAt(at)
    const way = direction(slope, steps, axes)
    const fall = product(way, slope)
    if (!(fall > 0)) break
    const next = new Float64Array(at.length)
    const nextSlope = new Float64Array(at.length)
    let nextLoss = Infinity
    for (let halving = 0, length = 1; halving < HALVINGS; halving++, length /= 2) {
      next.set(at)
      add(next, -length, way)
      nextLoss = lossAt(next, nextSlope)
      if (nextLoss <= loss - 1e-4 * length * fall) break
    }
    if (!(nextLoss < loss)) break
    const along = next.map((value, i) => value - at[i]!)
    const turned = nextSlope.map((value, i) => value - slope[i]!)
    const bent = product(along, turned)
    if (bent > 1e-12) {
      steps.push({ along, turned, share: 1 / bent })
      if (steps.length > MEMORY) steps.shift()
    }
    const gain = loss - nextLoss
    at.set(next)
    slope = nextSlope
    loss = nextLoss
    if (gain < enough * Math.abs(loss)) break
  }
  return loss
}

/** The slope, turned by the curvature along the axes, if known, and by that seen on the last steps. */
function direction(slope: Float64Array, steps: readonly Step[], axes: Float64Array | null): Float64Array {
  const way = Float64Array.from(slope)
  const shares = new Float64Array(steps.length)
  for (let i = steps.length - 1; i >= 0; i--) {
    const { along, turned, share } = steps[i]!
    shares[i] = share * product(along, way)
    add(way, -shares[i]!, turned)
  }
  const scale = firstScale(slope, steps.at(-1), axes)
  for (let i = 0; i < way.length; i++) way[i]! *= axes ? scale / axes[i]! : scale
  for (const [i, { along, turned, share }] of steps.entries())
    add(way, shares[i]! - share * product(turned, way), along)
  return way
}

/** By how much the slope is multiplied, so that the last step would have been of the right length. */
function firstScale(slope: Float64Array, last: Step | undefined, axes: Float64Array | null): number {
  if (!last) return axes ? 1 : 1 / Math.sqrt(product(slope, slope) || 1)
  let square = 0
  for (let i = 0; i < slope.length; i++) square += last.turned[i]! ** 2 / (axes ? axes[i]! : 1)
  return 1 / (last.share * square)
}
