import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { seeded } from '../../../../core/random'
import { fittingSnapshot, indexSnapshotStore, MOST_FOLLOWED } from '../../../../server/data/indexSnapshots'
import { KeptSnapshot } from '../../../../server/demand/keptSnapshot'
import { PhraseIndex } from '../../../../server/demand/phraseIndex'
import { openSnapshot, writeSnapshot } from '../../../../server/demand/snapshotFile'
import { temporaryFolder } from '../files'
import { ask, figure, page, service, setUp, texts } from './indexed'

const folder = temporaryFolder()
const never = () => false
const { floor } = Math

const WORDS = ['bike', 'chain', 'wax', 'brake', 'köln', 'мост', 'repair', 'how', 'to', 'why', 'shop', '用']
function someFigures(random: () => number, n: number) {
  const word = () => WORDS[floor(random() * WORDS.length)]!
  return Array.from({ length: n }, () => {
    const text = Array.from({ length: 1 + floor(random() * 4) }, word).join(' ')
    return figure(text, random() < 0.1 ? null : floor(random() * 1000))
  })
}

function kept(name: string) {
  const given = setUp()
  const path = join(folder, name)
  const snapshots = indexSnapshotStore(given.db)
  async function keep(mark = name, index: PhraseIndex = given.index): Promise<boolean> {
    const begun = snapshots.begin()
    if (!(await writeSnapshot(path, mark, index.sections(), never))) return false
    snapshots.fits(mark, begun)
    return true
  }
  const reopened = () => new PhraseIndex(given.db, undefined, new KeptSnapshot(given.db, path))
  return { ...given, path, snapshots, keep, reopened }
}

const assessed = ({ results, phrases }: ReturnType<typeof kept>, phrase: string, strength: number) =>
  results.save([page(phrases.phraseId(phrase, 'en'), strength)])

const QUESTIONS = [
  { seed: 'bike', sort: 'volume:desc' },
  { seed: 'chain', sort: 'phrase:asc' },
  { seed: 'bike chain', sort: 'worth:desc' },
  { seed: 'wax', sort: 'difficulty:asc', minVolume: '200' },
  { seed: 'repair', questions: '1' },
  { seed: 'köln' },
  { seed: 'мост', sort: 'volumeAll:desc' },
]
function same(given: ReturnType<typeof kept>, index: PhraseIndex, fresh = new PhraseIndex(given.db)): void {
  for (const question of QUESTIONS) {
    const [a, b] = [index, fresh].map(each => ask({ ...given, index: each }, question))
    expect(texts(a!)).toEqual(texts(b!))
    expect([a!.total, a!.rows.map(({ worth }) => worth.anyone), a!.near]).toEqual([
      b!.total,
      b!.rows.map(({ worth }) => worth.anyone),
      b!.near,
    ])
  }
}

test('a kept index answers as one read from the tables, also after anything changed since', async () => {
  const given = kept('same')
  const random = seeded(11)
  given.phrases.save(someFigures(random, 400), 'en', service, 1)
  assessed(given, 'bike chain', 0.4)
  same(given, given.index)
  expect(await given.keep()).toBe(true)
  same(given, given.reopened())
  for (let round = 0; round < 6; round++) {
    // What changes between two starts is told to nobody: the tables note it.
    given.phrases.save(someFigures(random, 30), 'en', service, 2 + round)
    given.phrases.saveLook('bike', 'GB', 'en', ['bike chain', `bike round ${round}`], [], 2 + round)
    if (round % 2) assessed(given, 'wax', 0.1 * round)
    const again = given.reopened()
    same(given, again)
    if (round === 3) expect(await given.keep('later', again)).toBe(true)
  }
})

test('what was kept of another state, in another form, or damaged is not read', async () => {
  const given = kept('damaged')
  given.phrases.save(someFigures(seeded(3), 200), 'en', service, 1)
  same(given, given.index)
  expect(openSnapshot(given.path, 'damaged')).toBeNull()
  await given.keep()
  expect(openSnapshot(given.path, 'another')).toBeNull()
  const whole = readFileSync(given.path)
  const names = openSnapshot(given.path, 'damaged')!.names
  expect(names).toEqual(['en', 'en/GB', 'en/ volumes'])
  const random = seeded(5)
  for (let round = 0; round < 60; round++) {
    const bytes = Buffer.from(whole)
    if (round % 3 === 0) writeFileSync(given.path, bytes.subarray(0, floor(random() * bytes.length)))
    else {
      const at = floor(random() * bytes.length)
      bytes[at] = bytes[at]! ^ (1 + floor(random() * 255))
      writeFileSync(given.path, bytes)
    }
    // Damage lies between the parts, or a part is read from the tables: never a wrong answer.
    same(given, given.reopened(), given.index)
  }
  writeFileSync(given.path, '')
  same(given, given.reopened())
})

test('what is given up, or not noted as written, leaves what fitted before', async () => {
  const given = kept('given up')
  given.phrases.save(someFigures(seeded(4), 100), 'en', service, 1)
  same(given, given.index)
  await given.keep('first')
  const before = readFileSync(given.path)
  given.phrases.save([figure('bike added', 7)], 'en', service, 2)
  given.snapshots.begin()
  let steps = 0
  expect(await writeSnapshot(given.path, 'second', given.index.sections(), () => ++steps > 3)).toBe(false)
  expect(readFileSync(given.path)).toEqual(before)
  expect(existsSync(`${given.path}.part`)).toBe(false)
  given.phrases.save([figure('bike added later', 8)], 'en', service, 3)
  expect(fittingSnapshot(given.db)!.mark).toBe('first')
  same(given, given.reopened())
  // The machine went down between the file and its note: the file fits nothing.
  await writeSnapshot(given.path, 'third', given.index.sections(), never)
  expect(openSnapshot(given.path, fittingSnapshot(given.db)!.mark)).toBeNull()
  same(given, given.reopened())
})

test('too many changes are followed no longer; a phrase that is deleted is not either', async () => {
  const given = kept('many')
  given.phrases.save(someFigures(seeded(6), 50), 'en', service, 1)
  same(given, given.index)
  await given.keep()
  given.snapshots.unfollowMany()
  expect(fittingSnapshot(given.db)).toEqual({ mark: 'many', changed: [] })
  given.db.exec(`WITH RECURSIVE n (i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i <= ${MOST_FOLLOWED})
    INSERT INTO phrase (language, text, words) SELECT 'en', 'many ' || i, 2 FROM n`)
  expect(fittingSnapshot(given.db)!.changed).toHaveLength(MOST_FOLLOWED + 1)
  given.snapshots.unfollowMany()
  expect(fittingSnapshot(given.db)).toBeNull()
  await given.keep('anew', new PhraseIndex(given.db))
  expect(fittingSnapshot(given.db)).toEqual({ mark: 'anew', changed: [] })
  given.db.exec("DELETE FROM phrase WHERE text = 'many 7'")
  expect(fittingSnapshot(given.db)).toBeNull()
})
