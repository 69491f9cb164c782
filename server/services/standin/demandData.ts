import type { DemandData, Region, VolumeAnswer } from '../contract'
import type { Answering } from './answering'
import { COUNTRIES } from './places'
import { lastMonthOf, monthSeries, type SeriesRow } from './series'
import type { OpenWorld } from './openWorld'
import { spoken, terms } from './suggesting'

interface PhraseRow extends SeriesRow {
  id: number
  trade: string
  part: string
}

/** A service tells no more related phrases than this, as real ones do. */
const RELATED_LIMIT = 1500
/** A phrase with few others that hold it is told what belongs to the same thing, up to so many. */
const ENOUGH_RELATED = 400
const NAME = 'demand data'

/** What is searched how often, where, and when. */
export function demandData({ db, clock }: OpenWorld, { call, answer, behaviour }: Answering): DemandData {
  const origin = lastMonthOf(clock.madeOn)
  const lastMonth = () => lastMonthOf(clock.now())
  const monthsEnd = () => {
    const month = lastMonth()
    return `${Math.floor(month / 12)}-${String((month % 12) + 1).padStart(2, '0')}`
  }
  const mean = (months: readonly number[]) => months.slice(-12).reduce((sum, month) => sum + month, 0) / 12

  const byText = db.prepare<[string, string], PhraseRow>('SELECT * FROM phrase WHERE text = ? AND language = ?')
  const holding = db.prepare<[string, string], { text: string }>(
    `SELECT p.text FROM phrase_words w JOIN phrase p ON p.id = w.rowid WHERE phrase_words MATCH ? AND p.language = ? ORDER BY w.rowid
      LIMIT ${RELATED_LIMIT}`,
  )
  const sameParts = db.prepare<[string, string, number], { text: string }>(
    'SELECT text FROM phrase WHERE trade = ? AND part = ? ORDER BY id LIMIT ?',
  )

  return {
    volumes: call((phrases: string[], region: Region, language: string) => {
      const half = behaviour.half()
      const figures: VolumeAnswer['figures'] = []
      for (const phrase of phrases.slice(0, half ? Math.ceil(phrases.length / 2) : undefined)) {
        const row = byText.get(phrase, spoken(language))
        if (!row) continue
        const months = monthSeries(row, region, lastMonth(), { origin })
        figures.push({ phrase, months, volume: mean(months) })
      }
      return answer(NAME, { monthsEnd: monthsEnd(), figures }, !half)
    }),
    history: call((phrase: string, region: Region, language: string, count: number) => {
      const row = byText.get(phrase, spoken(language))
      const months = row ? monthSeries(row, region, lastMonth(), { origin, count }) : []
      return answer(NAME, { monthsEnd: monthsEnd(), months })
    }),
    related: call((phrase: string, _region: Region, language: string) => {
      const words = terms(phrase)
      if (!words.length) return answer(NAME, [] as string[])
      const found = new Set<string>()
      const known = byText.get(phrase, spoken(language))
      if (known) found.add(known.text)
      for (const row of holding.all(words.map(word => `"${word}"`).join(' AND '), spoken(language))) found.add(row.text)
      const first =
        known ?? (found.size ? byText.get(found.values().next().value as string, spoken(language)) : undefined)
      if (first && found.size < ENOUGH_RELATED)
        for (const row of sameParts.all(first.trade, first.part, ENOUGH_RELATED - found.size)) found.add(row.text)
      return answer(NAME, [...found])
    }),
    byRegion: call((phrase: string, language: string) => {
      const row = byText.get(phrase, spoken(language))
      const regions = row
        ? COUNTRIES.map(([region]) => ({
            region,
            volume: mean(monthSeries(row, region, lastMonth(), { origin, count: 12 })),
          }))
        : []
      return answer(NAME, regions)
    }),
  }
}
