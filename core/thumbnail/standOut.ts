import { apart, type Swatch } from './palette'

/** With fewer pictures than this on a page there is nothing to stand out from. */
const FEWEST = 5

/** How a picture's colours stand out from those of the pictures around it. */
export interface StandOut {
  /** The mean distance of its palette to the others', times 100. */
  value: number
  /** The same of each picture of the page to the others there, in the order of the page. */
  theirs: number[]
  /** The distance to each of them, in the order of the page, times 100. */
  distances: number[]
}

/**
 * How far two palettes are apart in OKLab: from each colour to the nearest of the other, weighted by what it covers,
 * the mean of both ways.
 */
export function palettesApart(one: readonly Swatch[], other: readonly Swatch[]): number {
  return (oneWay(one, other) + oneWay(other, one)) / 2
}

const oneWay = (from: readonly Swatch[], to: readonly Swatch[]) =>
  from.reduce((sum, swatch) => sum + swatch.share * Math.min(...to.map(each => apart(swatch, each))), 0)

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

/** How far each picture of a page is from the others there, times 100; `null` where they are too few. */
export function pageStandsOut(page: readonly (readonly Swatch[])[]): number[] | null {
  if (page.length < FEWEST) return null
  const between = page.map(() => new Array<number>(page.length).fill(0))
  for (let i = 0; i < page.length; i++)
    for (let j = 0; j < i; j++) between[i]![j] = between[j]![i] = 100 * palettesApart(page[i]!, page[j]!)
  return between.map(row => row.reduce((sum, gap) => sum + gap, 0) / (page.length - 1))
}

/** @param theirs how far each of the page's own is from the others. @returns `null` where they are too few. */
export function standOutOf(
  mine: readonly Swatch[],
  page: readonly (readonly Swatch[])[],
  theirs: readonly number[] | null = pageStandsOut(page),
): StandOut | null {
  if (!theirs) return null
  const distances = page.map(each => 100 * palettesApart(mine, each))
  return { value: mean(distances), theirs: [...theirs], distances }
}

/** How many of the page's own stand out less. */
export const standsOutMoreThan = ({ value, theirs }: Pick<StandOut, 'value' | 'theirs'>) =>
  theirs.filter(each => each < value).length
