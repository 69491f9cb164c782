import { looseNumber } from './number'

export interface ListedPlace {
  name: string
  region: string
  population: number | null
}

const SPELLINGS = {
  name: ['name', 'place', 'town', 'city', 'ort', 'stadt', 'ville', 'municipality'],
  population: ['population', 'inhabitants', 'pop', 'einwohner'],
  region: ['region', 'country', 'countrycode', 'land', 'iso'],
} as const
const plain = (header: string) => header.toLowerCase().replace(/[^a-z]/gu, '')

/** Which column holds what; `null` when none names a place. */
export function placeColumns(headers: readonly string[]): { name: number; population: number; region: number } | null {
  const at = (names: readonly string[]) => headers.findIndex(header => names.includes(plain(header)))
  const columns = { name: at(SPELLINGS.name), population: at(SPELLINGS.population), region: at(SPELLINGS.region) }
  return columns.name < 0 ? null : columns
}

/** One line of a list of places. @param region for lines without one. */
export function placeRow(
  cells: readonly string[],
  columns: { name: number; population: number; region: number },
  region: string,
): ListedPlace | { reason: string } {
  const name = (cells[columns.name] ?? '').normalize('NFKC').replace(/\s+/gu, ' ').trim()
  if (!name) return { reason: 'There is no name in this line.' }
  if (name.length > 100 || !/\p{L}/u.test(name)) return { reason: `“${name.slice(0, 40)}” is not a place name.` }
  const given = (cells[columns.region] ?? '').trim() || region
  if (!/^[a-z]{2}$/iu.test(given))
    return {
      reason: given
        ? `“${given.slice(0, 20)}” is not a region. Use two letters, such as GB.`
        : 'The line has no region, and none was chosen.',
    }
  const population = columns.population < 0 ? null : looseNumber(cells[columns.population] ?? '')
  if (population !== null && !(population >= 0))
    return { reason: `“${(cells[columns.population] ?? '').slice(0, 20)}” is not a population.` }
  return { name, region: given.toUpperCase(), population: population === null ? null : Math.round(population) }
}
