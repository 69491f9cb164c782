import { ownValue } from '../core/chance/model'
import { modelFrom } from '../core/chance/saved'
import { chancePages } from '../server/data/chancePages'
import type { Db } from '../server/data/open'
import { phraseStore } from '../server/data/phrases'
import { packStrengths } from '../server/data/strengths'
import { PhraseIndex } from '../server/demand/phraseIndex'
import { answerPhrases } from '../server/demand/rows'
import { learnFrom } from '../server/rivals/learning'
import { SPREAD } from '../core/rivals/forecast'
import { phrasesQuerySchema } from '../shared/phrases'
import { timing, type Timing } from './measure'

const REGION = 'GB'
/** Subscribers of the channel whose chance is asked for. */
const SUBSCRIBERS = 4870

/**
 * Learning from all pages of a large store, and its table by the chance that comes of it. Nobody keeps a million pages:
 * what each phrase's page asks is drawn, so that every row has a chance.
 *
 * @param seeds asked for, one after the other.
 */
export function learntTimings(db: Db, seeds: readonly string[]): Timing[] {
  const kept = chancePages(db)
    .counts.all()
    .find(each => each.region === REGION)!
  const startedAt = performance.now()
  const { model: json, pages, used } = learnFrom(db, REGION, kept.source)!
  const learnt = performance.now() - startedAt
  const model = modelFrom(json)!

  db.prepare(
    `INSERT OR REPLACE INTO standing_page (phrase_id, region, page_id, difficulty, strengths, more, hurdle)
      SELECT p.id, :region, (SELECT max(id) FROM result_page), abs(random() % 1000) / 10.0, :strengths, 1,
        (random() % 1000) / 100.0 FROM phrase p`,
  ).run({ region: REGION, strengths: packStrengths(Array.from({ length: 20 }, (_, i) => 0.7 - i / 100)) })
  const own = { strength: 0.42, spread: SPREAD, learnt: { [REGION]: ownValue(model, null, SUBSCRIBERS) } }
  const index = new PhraseIndex(db)
  const phrases = phraseStore(db)
  const ask = (seed: string, direction: string) => {
    const query = phrasesQuerySchema.parse({
      seed,
      region: REGION,
      limit: 200,
      sort: `chance:${direction}`,
      for: 'channel',
    })
    const begun = performance.now()
    const { rows } = answerPhrases(index, phrases, {
      query: { ...query, region: REGION },
      looks: query.seed.map(() => null),
      missing: [],
      without: [],
      own,
    })
    if (!rows.length || rows.some(row => row.chance === null)) throw new Error(`“${seed}”: rows without a chance.`)
    return performance.now() - begun
  }
  const first = performance.now()
  index.load('en', REGION)
  for (const direction of ['asc', 'desc']) ask(seeds[0]!, direction)
  const firstLook = performance.now() - first
  const asked = Array.from({ length: 5 }, () =>
    seeds.flatMap(seed => ['asc', 'desc'].map(direction => ask(seed, direction))),
  ).flat()
  const sizes = '1,000,000 phrases, each with a page'
  return [
    timing(
      `learning how results are ordered${used ? '' : ' (not used: no better than the constants)'}`,
      `${kept.pages.toLocaleString('en')} pages kept, the newest ${pages.toLocaleString('en')} learnt from`,
      [learnt],
      null,
    ),
    timing('the table by the learnt chance, 200 rows', sizes, asked, 10),
    timing('the same for the first time, with the index read', sizes, [firstLook], null),
  ]
}
