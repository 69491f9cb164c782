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
export const UNIT =
  /\((?:in )?(hours|hrs?|h|stunden|horas|heures|minutes|mins?|minuten|minutos|seconds|secs?|s|sekunden)\)/iu
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

/** Which source of views a cell names; `null` for one that is not known. */
export function viewSourceOf(cell: string): ViewSource | null {
  const name = plainHeader(cell)
  return VIEW_SOURCES.find(each => SPELLINGS[each].includes(name)) ?? null
}
