import { plainHeader } from './plainHeader'

/** What a column of a table of day figures can mean. */
export const DAY_COLUMNS = [
  'day',
  'video',
  'impressions',
  'clicks',
  'clickRate',
  'views',
  'watchedHours',
  'watchedMinutes',
  'watchedSeconds',
  'averageView',
  'search',
  'suggested',
  'subscribers',
  'web',
  'elsewhere',
  'source',
  'referrer',
] as const
/** Where views come from. */
export const VIEW_SOURCES = ['search', 'suggested', 'subscribers', 'web', 'elsewhere'] as const
export type ViewSource = (typeof VIEW_SOURCES)[number]
export type DayColumn = (typeof DAY_COLUMNS)[number]
/** Column index for each meaning; only `day` is needed. */
export type DayColumnMap = Partial<Record<DayColumn, number>>

/** Common spellings of headers, compared without case, accents, marks and what stands in brackets. */
const SPELLINGS: Record<DayColumn, string[]> = {
  day: [
    'day',
    'date',
    'datum',
    'tag',
    'fecha',
    'dia',
    'jour',
    'data',
    'giorno',
    'tarih',
    'дата',
    '日付',
    '날짜',
    '日期',
  ],
  video: [
    'video',
    'video id',
    'videoid',
    'content',
    'video title',
    'title',
    'titel',
    'titulo',
    'titre',
    'inhalt',
    'contenido',
  ],
  impressions: [
    'impressions',
    'thumbnail impressions',
    'shown',
    'impressionen',
    'impresiones',
    'impressioni',
    'weergaven',
  ],
  clicks: ['clicks', 'klicks', 'clics', 'clicks on impressions', 'clic'],
  clickRate: [
    'click rate',
    'click through rate',
    'impressions click through rate',
    'ctr',
    'clickrate',
    'klickrate',
    'taux de clics',
    'tasa de clics',
    'porcentaje de clics',
  ],
  views: ['views', 'aufrufe', 'vistas', 'visualizaciones', 'vues', 'visualizzazioni', 'visualizacoes', 'просмотры'],
  watchedHours: ['watch time hours', 'watched hours', 'hours watched', 'wiedergabezeit stunden', 'hours'],
  watchedMinutes: ['watch time minutes', 'watched minutes', 'minutes watched', 'wiedergabezeit minuten', 'minutes'],
  watchedSeconds: [
    'watch time seconds',
    'watched seconds',
    'seconds watched',
    'watchedseconds',
    'wiedergabezeit sekunden',
  ],
  averageView: [
    'average view',
    'average view duration',
    'avg view duration',
    'average watch time',
    'durchschnittliche wiedergabedauer',
    'duracion media de las visualizaciones',
    'duree moyenne des vues',
  ],
  search: ['search', 'views from search', 'site search', 'suche', 'busqueda', 'recherche', 'ricerca'],
  suggested: ['suggested', 'suggested videos', 'beside another video', 'views from suggestions', 'vorgeschlagen'],
  subscribers: [
    'subscribers',
    'home and feeds',
    'feeds',
    'subscribers and feeds',
    'views from subscribers',
    'browse',
    'abonnenten',
  ],
  web: ['web', 'external', 'other sites', 'views from other sites', 'extern', 'externas', 'externe'],
  elsewhere: ['elsewhere', 'other', 'other sources', 'direct or unknown', 'direct', 'sonstige', 'autres', 'otros'],
  source: ['source', 'traffic source', 'source of views', 'zugriffsquelle', 'fuente de trafico', 'source de trafic'],
  referrer: ['referrer', 'referring site', 'external site', 'source site', 'verweisende website'],
}
/** Units that stand in brackets, or on a line below. */
const UNIT = /\((?:in )?(hours|hrs?|h|stunden|horas|heures|minutes|mins?|minuten|minutos|seconds|secs?|s|sekunden)\)/iu
const UNITS: Record<string, string> = { h: 'hours', m: 'minutes', s: 'seconds' }
const WATCH = /^(?:watch time|watchtime|wiedergabezeit|wiedergabedauer|tiempo de visualizacion|duree de visionnage)$/u

/** Which column means what, by a line of headers; `null` when none is named as the day. */
export function recogniseDayColumns(headers: readonly string[]): DayColumnMap | null {
  const plain = headers.map(header => {
    const name = plainHeader(header)
    const unit = UNIT.exec(header)?.[1]
    // Time that was watched means nothing without its unit.
    return WATCH.test(name) && unit ? `watch time ${UNITS[plainUnit(unit)]}` : name
  })
  const map: DayColumnMap = {}
  for (const column of DAY_COLUMNS)
    for (const spelling of SPELLINGS[column]) {
      const at = plain.findIndex((header, index) => header === spelling && !Object.values(map).includes(index))
      if (at < 0) continue
      map[column] = at
      break
    }
  return map.day === undefined ? null : map
}
const plainUnit = (unit: string) => (/^m/iu.test(unit) ? 'm' : /^s/iu.test(unit) ? 's' : 'h')

/** A title, an empty line and a line of units may stand above the figures: so many lines are looked through. */
export const HEADER_LINES = 12

/**
 * Where a table's figures begin, and what its columns are called: a second line without a figure belongs to the first.
 * @param lines the first ones of a file. @returns `null` when no line names a day.
 */
export function dayHeader(
  lines: readonly (readonly string[])[],
): { headers: string[]; map: DayColumnMap; lines: number } | null {
  let best: { headers: string[]; map: DayColumnMap; lines: number } | null = null
  const better = (headers: string[], lines: number) => {
    const map = recogniseDayColumns(headers)
    if (map && Object.keys(map).length > Object.keys(best?.map ?? {}).length) best = { headers, map, lines }
  }
  lines.slice(0, HEADER_LINES).forEach((cells, i) => {
    better([...cells], i + 1)
    const next = lines[i + 1]
    if (!next || next.some(cell => isFigure(cell))) return
    const both = Array.from({ length: Math.max(cells.length, next.length) }, (_, k) => [cells[k] ?? '', next[k] ?? ''])
    better(
      both.map(([above, below]) =>
        UNIT.test(`(${below!.trim().replace(/^\(|\)$/gu, '')})`)
          ? `${above} (${below!.trim().replace(/^\(|\)$/gu, '')})`
          : `${above} ${below}`.trim(),
      ),
      i + 2,
    )
    // A name that spans columns stands above the first of them only: the lower line alone may name all.
    better(
      both.map(([above, below]) => below! || above!),
      i + 2,
    )
  })
  return best
}
const isFigure = (cell: string) => /\d/u.test(cell)

/** Which source of views a cell names; `null` for one that is not known. */
export function viewSourceOf(cell: string): ViewSource | null {
  const name = plainHeader(cell)
  return VIEW_SOURCES.find(each => SPELLINGS[each].includes(name)) ?? null
}
