import { MAX_PHRASE, PLAIN_PHRASE, phraseKey, wordCount } from '../text/words'
import { looseNumber } from './number'
import { plainHeader } from './plainHeader'

/** What a column of an imported list can mean. */
export const LIST_COLUMNS = ['phrase', 'volume', 'region', 'change', 'competition', 'advertiser', 'months'] as const
export type ListColumn = (typeof LIST_COLUMNS)[number]

/** Column index for each meaning; only `phrase` is needed. */
export type ColumnMap = Partial<Record<ListColumn, number>>

export interface ListedPhrase {
  phrase: string
  volume: number | null
  /** Upper-case ISO 3166 alpha-2, '' for everywhere, or `null` when the list has no such column. */
  region: string | null
  change: number | null
  competition: number | null
  /** 0 to 1, or a bid; proof that a phrase earns, never mixed with competition. */
  advertiser: number | null
  months: (number | null)[] | null
}

/** Most words of a phrase taken from a list. */
const MAX_WORDS = 30

/** Common spellings of headers, compared without case, marks and spaces. */
const SPELLINGS: Record<ListColumn, string[]> = {
  phrase: [
    'phrase',
    'keyword',
    'keywords',
    'key word',
    'search term',
    'searchterm',
    'term',
    'query',
    'queries',
    'search query',
    'suchbegriff',
    'suchbegriffe',
    'suchwort',
    'suchanfrage',
    'begriff',
    'mot cle',
    'mots cles',
    'requete',
    'palabra clave',
    'palabras clave',
    'consulta',
    'palavra chave',
    'parola chiave',
    'zoekterm',
    'zoekwoord',
    'tag',
    'top queries',
    'text',
  ],
  volume: [
    'volume',
    'search volume',
    'searches',
    'monthly searches',
    'avg monthly searches',
    'average monthly searches',
    'searches a month',
    'monthly volume',
    'avg searches',
    'suchvolumen',
    'suchvolumen pro monat',
    'monatliches suchvolumen',
    'suchanfragen',
    'suchanfragen pro monat',
    'monatliche suchanfragen',
    'durchschnittliche suchanfragen pro monat',
    'volume de recherche',
    'recherches',
    'recherches mensuelles',
    'recherches par mois',
    'volumen de busqueda',
    'busquedas',
    'busquedas mensuales',
    'volume de buscas',
    'buscas mensais',
    'volume di ricerca',
    'ricerche mensili',
    'zoekvolume',
    'sv',
    'msv',
    'global volume',
    'vol',
  ],
  region: ['region', 'country', 'country code', 'market', 'location', 'geo', 'land'],
  change: ['change', 'yoy change', 'year over year change', 'trend change', 'growth', 'change 12 months', 'yoy'],
  competition: ['videos', 'results', 'title matches', 'competing videos', 'number of results', 'video count'],
  advertiser: [
    'competition',
    'wettbewerb',
    'concurrence',
    'competencia',
    'concorrencia',
    'concorrenza',
    'competition indexed value',
    'ad competition',
    'advertiser competition',
    'advertiser interest',
    'competition index',
    'cpc',
    'bid',
    'top of page bid low range',
    'cost per click',
  ],
  months: ['months', 'monthly trend', 'history', 'trend', 'searches by month'],
}

/**
 * Which column means what, by header. Advertisers' “competition” is taken for advertiser
 * interest, never for competition among videos.
 * @returns `null` when no header names a phrase: the columns must then be mapped by hand.
 */
export function recogniseColumns(headers: readonly string[]): ColumnMap | null {
  const plain = headers.map(plainHeader)
  const map: ColumnMap = {}
  for (const column of LIST_COLUMNS) {
    for (const spelling of SPELLINGS[column]) {
      const at = plain.findIndex((header, index) => header === spelling && !Object.values(map).includes(index))
      if (at >= 0) {
        map[column] = at
        break
      }
    }
  }
  return map.phrase === undefined ? null : map
}

/** Whether a list has columns that nothing is read of, and none that tells searches: a person may know which does. */
export const isAmbiguous = (headers: readonly string[], map: ColumnMap): boolean =>
  map.volume === undefined && headers.length > Object.keys(map).length

/**
 * A guess at unknown columns from a few lines: the wordiest holds the phrase, the first of numbers its searches. To be
 * shown, not trusted.
 */
export function guessColumns(sample: readonly (readonly string[])[]): ColumnMap {
  const width = Math.max(0, ...sample.map(line => line.length))
  const share = (column: number, is: (cell: string) => boolean) =>
    sample.filter(line => is(line[column] ?? '')).length / Math.max(1, sample.length)
  const columns = Array.from({ length: width }, (_, i) => ({
    i,
    words: share(i, cell => /\p{L}{2}/u.test(cell)),
    numbers: share(i, cell => Number.isFinite(looseNumber(cell) ?? Number.NaN)),
  }))
  const phrase = [...columns].sort((a, b) => b.words - a.words || a.i - b.i).find(column => column.words >= 0.5)
  const volume = columns.find(column => column !== phrase && column.numbers >= 0.5)
  return { ...(phrase ? { phrase: phrase.i } : {}), ...(volume ? { volume: volume.i } : {}) }
}

const CONTROL = /[\p{Cc}\p{Co}\p{Cn}]/u

/** Reads one row. @returns the phrase with its figures, or why the line is refused. */
export function readListRow(cells: readonly string[], map: ColumnMap): ListedPhrase | { reason: string } {
  const cell = (column: ListColumn) => (map[column] === undefined ? undefined : cells[map[column]])
  const raw = cell('phrase') ?? ''
  // Most lists hold plain phrases of some words: they need no second look.
  const plain = PLAIN_PHRASE.test(raw)
  const phrase = plain ? raw : phraseKey(raw)
  if (!phrase) return { reason: 'There is no phrase in this line.' }
  if (!plain && !/[\p{L}\p{N}]/u.test(phrase)) return { reason: `“${raw.trim().slice(0, 40)}” contains no word.` }
  if (phrase.length > MAX_PHRASE)
    return { reason: `The phrase is ${phrase.length} characters long; ${MAX_PHRASE} is the most.` }
  if (!plain && CONTROL.test(phrase)) return { reason: 'The phrase contains characters that cannot be shown.' }
  if (phrase.length >= 2 * MAX_WORDS && wordCount(phrase) > MAX_WORDS)
    return { reason: `The phrase has more than ${MAX_WORDS} words.` }
  const problems: string[] = []
  const number = (column: ListColumn, least = 0) => {
    const text = cell(column)
    if (text === undefined) return null
    const value = looseNumber(text)
    if (value === null) return null
    if (Number.isNaN(value)) problems.push(`“${text.trim().slice(0, 30)}” is not a number for ${column}.`)
    else if (value < least) problems.push(`${column} cannot be ${value}.`)
    return value
  }
  const volume = number('volume')
  const change = number('change', -1)
  const competition = number('competition')
  const advertiser = number('advertiser')
  const region = regionOf(cell('region'))
  if (region === undefined)
    problems.push(`“${cell('region')!.trim().slice(0, 20)}” is not a region. Use two letters, such as GB.`)
  const history = monthsOf(cell('months'))
  if (history === undefined) problems.push('The months are not a list of numbers.')
  if (problems.length) return { reason: problems.join(' ') }
  return { phrase, volume, change, competition, advertiser, region: region ?? null, months: history ?? null }
}

function regionOf(cell: string | undefined): string | null | undefined {
  if (cell === undefined) return null
  const text = cell.trim()
  if (text === '' || /^(everywhere|global|world|worldwide|all)$/iu.test(text)) return ''
  return /^[a-z]{2}$/iu.test(text) ? text.toUpperCase() : undefined
}

function monthsOf(cell: string | undefined): (number | null)[] | null | undefined {
  if (cell === undefined || cell.trim() === '') return null
  const months = cell
    .trim()
    .replace(/^\[|\]$/gu, '')
    .split(/[\s;|,]+/u)
    .filter(Boolean)
    .map(looseNumber)
  return months.length > 36 || months.some(month => month !== null && !(month >= 0)) ? undefined : months
}

/** The list a JSON value is, or the first one it holds by name. */
export function listIn(value: unknown): unknown[] | null {
  if (Array.isArray(value)) return value
  return typeof value === 'object' && value !== null ? (Object.values(value).find(Array.isArray) ?? null) : null
}

/** One element of a JSON list as cells under the headers: a text is a phrase, the keys of an object are headers. */
export function jsonRow(element: unknown, headers: readonly string[]): string[] {
  if (typeof element === 'string') return headers.map(header => (header === 'phrase' ? element : ''))
  const text = (cell: unknown) =>
    cell === null || cell === undefined
      ? ''
      : Array.isArray(cell)
        ? cell.join(' ')
        : typeof cell === 'object'
          ? JSON.stringify(cell)
          : String(cell as string | number)
  return headers.map(header => text((element as Record<string, unknown> | null)?.[header]))
}

/** Elements of a JSON list as rows: of phrases as texts, or of objects whose keys are headers. */
export function jsonRows(list: readonly unknown[]): { headers: string[]; rows: string[][] } {
  const headers = new Set<string>()
  for (const each of list) {
    if (typeof each === 'string') headers.add('phrase')
    else if (typeof each === 'object' && each !== null) for (const key of Object.keys(each)) headers.add(key)
  }
  const all = [...headers]
  return { headers: all, rows: list.map(each => jsonRow(each, all)) }
}
