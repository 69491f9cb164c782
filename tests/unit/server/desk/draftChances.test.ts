import { draftChances } from '../../../../server/desk/draftChances'
import { assess } from '../../../../server/demand/assess'
import { SPREAD } from '../../../../core/rivals/forecast'
import { chanceFor } from '../../../../server/demand/rows'
import { all, deps } from '../demand/standin'

const own = { strength: 0.6, reach: 0.5, pull: 0.4, spread: SPREAD }
const question = (title: string) => ({
  draft: { title, description: '', tags: [] },
  phrases: ['bike chain', 'zzqx blorb'],
  region: 'GB',
  language: 'en',
})

test('the chance grows with the wording, up to the one every row shows; what is not known stays unknown', async () => {
  const given = deps()
  await all(assess(given, ['bike chain'], 'GB', 'en'))
  const [bare, unknown] = draftChances(given.phrases, question('A film'), own)
  const [worded] = draftChances(given.phrases, question('Bike chain'), own)
  expect(unknown).toEqual({ phrase: 'zzqx blorb', asWorded: null, inFull: null, known: false })
  expect(bare!.known).toBe(true)
  expect(worded!.asWorded!).toBeGreaterThan(bare!.asWorded!)
  expect(worded!.asWorded!).toBeLessThan(worded!.inFull!)
  expect(bare!.inFull).toBe(chanceFor(given.phrases.known('bike chain', 'GB', 'en')!, own, 'GB'))
  expect(draftChances(given.phrases, question('A film'), null)[0]).toEqual({
    phrase: 'bike chain',
    asWorded: null,
    inFull: null,
    known: true,
  })
})

test('for a misspelling a text worded for the right spelling is found as well', async () => {
  const given = deps()
  await all(assess(given, ['bike chain'], 'GB', 'en'))
  const page = given.phrases.known('bike chain', 'GB', 'en')!
  const phrases = { known: () => ({ ...page, text: 'bike chian', readAs: 'bike chain' }) }
  const worded = (title: string) =>
    draftChances(phrases, { ...question(title), phrases: ['bike chian'] }, own)[0]!.asWorded!
  expect(worded('Bike chain')).toBe(worded('Bike chian'))
  expect(worded('Bike chain')).toBeGreaterThan(worded('A film'))
})
