import { join } from 'node:path'
import { PlaceNames } from '../../../../core/demand/placeNames'
import { askedStore, type AskedStore } from '../../../../server/data/asked'
import { phraseStore } from '../../../../server/data/phrases'
import { resultStore } from '../../../../server/data/results'
import { keptPage, type AssessDeps } from '../../../../server/demand/assess'
import { PhraseIndex } from '../../../../server/demand/phraseIndex'
import { answerPhrases } from '../../../../server/demand/rows'
import { readHere } from '../../../../server/rivals/pageReader'
import { type Db } from '../../../../server/data/open'
import { type Services } from '../../../../server/services/contract'
import { openStandin } from '../../../../server/services/standin/standin'
import { makeWorld } from '../../../../server/services/standin/world'
import { phrasesQuerySchema, type AssessedRow, type PhrasesQuery } from '../../../../shared/phrases'
import { settingsSchema } from '../../../../shared/workspace'
import { freshData, standingClock, temporaryFolder } from '../files'

export const folder = temporaryFolder()
const world = join(folder, 'world.sqlite')
export let standin: ReturnType<typeof openStandin>
beforeAll(() => {
  makeWorld(world, { phrases: 6000, videos: 1200, channels: 120 }, 3, Date.UTC(2026, 9, 15))
  standin = openStandin(world)
})
afterAll(() => {
  standin.close()
})

export const clock = standingClock(Date.now())
/** The services with some calls replaced, and a count of what was asked. */
export function services(
  replaced: {
    search?: Services['site']['search']
    volumes?: Services['demand']['volumes']
    suggest?: Services['web']['suggest']
  } = {},
) {
  const asked = { search: 0, related: 0 }
  return {
    asked,
    site: {
      ...standin.site,
      search: (...args: Parameters<Services['site']['search']>) => {
        asked.search++
        return (replaced.search ?? standin.site.search)(...args)
      },
    },
    demand: {
      ...standin.demand,
      volumes: replaced.volumes ?? standin.demand.volumes,
      related: (...args: Parameters<Services['demand']['related']>) => {
        asked.related++
        return standin.demand.related(...args)
      },
    },
    web: { ...standin.web, suggest: replaced.suggest ?? standin.web.suggest },
    otherWeb: standin.otherWeb,
    translation: standin.translation,
  }
}
export function deps(given = services(), db = freshData(folder)) {
  return {
    db,
    phrases: phraseStore(db, clock),
    results: resultStore(db),
    asked: askedStore(db, clock),
    services: given,
    reader: readHere,
    now: clock,
  } satisfies AssessDeps & { db: Db; asked: AskedStore }
}
/** The rows of a seed, from an index made for the question; caps worked out on the way are kept. */
export function answer(
  { db, phrases }: { db: Db; phrases: ReturnType<typeof phraseStore> },
  query: PhrasesQuery,
  look: { id: number | null; missing: string[] } | null,
) {
  const told = answerPhrases(new PhraseIndex(db), phrases, {
    query: { ...query, region: query.region ?? '' },
    looks: [look?.id ?? null],
    missing: look?.missing ?? [],
    without: [],
    own: null,
  })
  for (const each of told.caps) phrases.putCap(each.region, each.cap, each.known)
  return told
}
/** The page of a phrase as its seats stand. */
export async function pageOf(given: AssessDeps, phrase: string, depth = 20) {
  const { page } = await keptPage(given, phrase, 'GB', 'en', depth)
  return { page, seats: given.results.seats(page, depth) }
}
export const anyone = { own: null, settings: settingsSchema.parse({}), places: new PlaceNames() }
export const ask = (more: Record<string, unknown> = {}) =>
  phrasesQuerySchema.parse({ seed: 'bike chain', region: 'GB', limit: 1000, ...more })
export async function all(rows: AsyncGenerator<AssessedRow>): Promise<AssessedRow[]> {
  const list: AssessedRow[] = []
  for await (const row of rows) list.push(row)
  return list
}
