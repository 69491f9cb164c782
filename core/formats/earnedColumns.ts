import { plainHeader } from './plainHeader'

/** What is counted for a video beyond its views. */
export const EARNED_KINDS = ['click', 'call', 'coupon', 'order'] as const
export type EarnedKind = (typeof EARNED_KINDS)[number]

/** What a column of a table of earnings can mean: `kind` and `count` together, or a column for each kind. */
export const EARNED_COLUMNS = [
  'day',
  'video',
  'link',
  'kind',
  'count',
  'clicks',
  'calls',
  'coupons',
  'orders',
  'value',
] as const
export type EarnedColumn = (typeof EARNED_COLUMNS)[number]
/** Column index for each meaning; `day` and one that counts are needed. */
export type EarnedColumnMap = Partial<Record<EarnedColumn, number>>

/** The column that counts each kind. */
export const COLUMN_OF = { click: 'clicks', call: 'calls', coupon: 'coupons', order: 'orders' } as const

/** Common spellings of headers, compared without case, accents, marks and what stands in brackets. */
const SPELLINGS: Record<EarnedColumn, string[]> = {
  day: ['day', 'date', 'datum', 'tag', 'fecha', 'dia', 'jour', 'data', 'giorno'],
  video: ['video', 'video id', 'videoid', 'video title', 'title', 'titel', 'titulo', 'titre'],
  link: ['link', 'url', 'address', 'landing page', 'page', 'adresse', 'enlace', 'lien', 'short link'],
  kind: ['kind', 'type', 'event', 'event name', 'action', 'conversion action', 'art', 'ereignis', 'tipo', 'evento'],
  count: [
    'count',
    'number',
    'amount of events',
    'events',
    'event count',
    'total events',
    'anzahl',
    'cantidad',
    'nombre',
  ],
  clicks: ['clicks', 'visits', 'sessions', 'klicks', 'besuche', 'clics', 'visitas', 'visites'],
  calls: ['calls', 'phone calls', 'anrufe', 'llamadas', 'appels'],
  coupons: ['coupons', 'coupon uses', 'codes', 'redemptions', 'gutscheine', 'einlosungen', 'cupones'],
  orders: [
    'orders',
    'sales',
    'purchases',
    'conversions',
    'bookings',
    'bestellungen',
    'kaufe',
    'verkaufe',
    'pedidos',
    'ventas',
    'commandes',
    'ventes',
  ],
  value: [
    'value',
    'revenue',
    'turnover',
    'amount',
    'order value',
    'umsatz',
    'wert',
    'betrag',
    'ingresos',
    'importe',
    'montant',
  ],
}

/** What a cell may call each kind, by the singular or plural. */
const KIND_WORDS: Record<EarnedKind, string[]> = {
  click: ['click', 'visit', 'session', 'klick', 'besuch', 'clic', 'visita', 'visite'],
  call: ['call', 'phone call', 'phone', 'anruf', 'llamada', 'appel'],
  coupon: ['coupon', 'code', 'redemption', 'gutschein', 'cupon'],
  order: [
    'order',
    'sale',
    'purchase',
    'conversion',
    'booking',
    'bestellung',
    'kauf',
    'verkauf',
    'pedido',
    'venta',
    'commande',
    'vente',
  ],
}

/** Which kind a cell names; `null` for one that is not known. */
export function earnedKindOf(cell: string): EarnedKind | null {
  const name = plainHeader(cell)
  return (
    EARNED_KINDS.find(
      kind =>
        SPELLINGS[COLUMN_OF[kind]].includes(name) ||
        KIND_WORDS[kind].some(word => name === word || name === `${word}s`),
    ) ?? null
  )
}

/** Which column means what, by a line of headers; `null` when none is named as the day, or none counts anything. */
export function recogniseEarnedColumns(headers: readonly string[]): EarnedColumnMap | null {
  const plain = headers.map(plainHeader)
  const map: EarnedColumnMap = {}
  for (const column of EARNED_COLUMNS) {
    const at = plain.findIndex(
      (header, index) => SPELLINGS[column].includes(header) && !Object.values(map).includes(index),
    )
    if (at >= 0) map[column] = at
  }
  return map.day === undefined || !countsAnything(map) ? null : map
}

/** Whether a table with these columns counts anything. */
export const countsAnything = (map: EarnedColumnMap) =>
  (map.kind !== undefined && map.count !== undefined) || EARNED_KINDS.some(kind => map[COLUMN_OF[kind]] !== undefined)
