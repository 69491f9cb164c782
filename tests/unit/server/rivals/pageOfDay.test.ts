import { DAY } from '../../../../core/time'
import { resultsQuerySchema } from '../../../../shared/rivals'
import { phraseStore } from '../../../../server/data/phrases'
import { resultStore } from '../../../../server/data/results'
import { pageOfDay } from '../../../../server/rivals/pageOfDay'
import { freshData, standingClock, temporaryFolder } from '../files'
import { pageOf, siteVideo } from '../pages'

const folder = temporaryFolder()

test('the last page of a day is told as it was kept; a day without one says so', () => {
  const clock = standingClock()
  const db = freshData(folder)
  const stores = { phrases: phraseStore(db, clock), results: resultStore(db) }
  stores.phrases.save(
    [{ phrase: 'bike chain', region: 'GB', volume: 5 }],
    'en',
    { name: 'list', kind: 'import' },
    clock(),
  )
  const [id] = stores.phrases.phraseIds(['bike chain'], 'en')
  const midnight = Date.UTC(2026, 4, 2)
  for (const [at, video] of [
    [midnight - 1, 'before'],
    [midnight, 'first'],
    [midnight + DAY - 1, 'last'],
    [midnight + DAY, 'after'],
  ] as const)
    stores.results.save([pageOf(id!, [siteVideo(video)], { at })])
  const query = resultsQuerySchema.parse({ phrase: 'Bike chain', region: 'GB' })
  const page = pageOfDay(stores, query, '2026-05-02')
  expect(stores.results.seats(page, 5).map(({ code }) => code)).toEqual(['last'])
  expect(() => pageOfDay(stores, query, '2026-05-09')).toThrow('No page of this day is kept')
  expect(() => pageOfDay(stores, { ...query, from: 'web' }, '2026-05-02')).toThrow('No page')
  expect(() => pageOfDay(stores, { ...query, phrase: 'unknown' }, '2026-05-02')).toThrow('No page')
  expect(resultsQuerySchema.safeParse({ phrase: 'x', day: '2026-02-31' }).success).toBe(false)
})
