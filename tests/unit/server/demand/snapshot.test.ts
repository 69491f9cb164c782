import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { seeded } from '../../../../core/random'
import { fittingSnapshot, indexSnapshotStore, MOST_FOLLOWED } from '../../../../server/data/indexSnapshots'
import { indexRows } from '../../../../server/data/indexRows'
import { IndexKeeping } from '../../../../server/demand/indexKeeping'
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
  /** As a server that starts: an index over what was kept, which keeps itself. */
  function started(least = 1) {
    const held = new KeptSnapshot(given.db, path)
    const index = new PhraseIndex(given.db, undefined, held)
    const keeping = new IndexKeeping(index, indexRows(given.db), held, path, least)
    async function keepAs(mark: string, giveUp = never): Promise<boolean> {
      const begun = snapshots.begin()
      if (!(await keeping.keep(mark, giveUp))) return false
      snapshots.fits(mark, begun)
      return true
    }
    /** Tells it what changed, as the server does. */
    const changed = (ids: number[]) => {
      held.note(ids)
      index.changed(ids)
    }
    return { held, index, keeping, keepAs, changed }
  }
  return { ...given, path, snapshots, keep, reopened, started }
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

/** Phrases that came between the same two others tie in text: searches are compared in order, phrases as a set. */
function inRegion(given: ReturnType<typeof kept>, region: string, index: PhraseIndex): void {
  const fresh = new PhraseIndex(given.db)
  for (const question of QUESTIONS) {
    const [a, b] = [index, fresh].map(each => ask({ ...given, index: each }, { ...question, region }).rows)
    expect(a!.map(({ volume }) => volume)).toEqual(b!.map(({ volume }) => volume))
    const known = (rows: typeof a) => rows!.map(row => `${row.phrase} ${JSON.stringify(row.volume)}`).sort()
    expect(known(a)).toEqual(known(b))
  }
}
const elsewhere = (random: () => number, n: number, region: string) =>
  someFigures(random, n).map(each => ({ ...each, region }))

test('large regions nobody has looked at are kept as well, small ones are not', async () => {
  const given = kept('ahead')
  const random = seeded(7)
  given.phrases.save([...someFigures(random, 200), ...elsewhere(random, 150, 'US')], 'en', service, 1)
  given.phrases.save(elsewhere(random, 20, 'IE'), 'en', service, 1)
  const first = given.started(50)
  expect(await first.keeping.isDue()).toBe(false)
  first.index.load('en', 'GB')
  expect(await first.keeping.isDue()).toBe(true)
  expect(await first.keepAs('first')).toBe(true)
  expect(openSnapshot(given.path, 'first')!.names).toEqual(['en', 'en/ volumes', 'en/GB', 'en/US'])
  expect(first.index.held()[0]!.regions.has('US')).toBe(false)
  expect(await first.keeping.isDue()).toBe(false)
  // In the same run from the file just written, and after a start.
  inRegion(given, 'US', first.index)
  inRegion(given, 'US', given.started().index)
  inRegion(given, 'IE', given.started().index)
  // An import that brings another large region.
  given.phrases.save(elsewhere(random, 150, 'AU'), 'en', service, 2)
  const second = given.started(50)
  second.index.load('en', 'GB')
  expect(await second.keepAs('second')).toBe(true)
  expect(openSnapshot(given.path, 'second')!.names).toContain('en/AU')
  inRegion(given, 'AU', given.started().index)
})

test('what nobody looked at stays kept, with all that changed since it was written', async () => {
  const given = kept('taken over')
  const random = seeded(8)
  given.phrases.save([...someFigures(random, 200), ...elsewhere(random, 150, 'US')], 'en', service, 1)
  const first = given.started()
  first.index.load('en', 'US')
  await first.keepAs('round 0')
  for (let round = 1; round < 5; round++) {
    given.phrases.save([...someFigures(random, 10), ...elsewhere(random, 20, 'US')], 'en', service, 1 + round)
    const again = given.started(1000)
    again.index.load('en', 'GB')
    expect(await again.keepAs(`round ${round}`)).toBe(true)
    expect(again.held.holds('en/US')).toBe(true)
    // A start that looks at it goes on from there.
    inRegion(given, 'US', given.started().index)
    given.phrases.save(elsewhere(random, 5, 'US'), 'en', service, 1 + round)
    inRegion(given, 'US', given.started().index)
  }
})

test('what changes while the file is written is taken in again by whoever reads it in the same run', async () => {
  const given = kept('meanwhile')
  const random = seeded(9)
  given.phrases.save([...someFigures(random, 100), ...elsewhere(random, 100, 'US')], 'en', service, 1)
  const { index, held, keepAs, changed } = given.started()
  index.load('en', 'GB')
  await keepAs('first')
  expect(held.isBehind).toBe(false)
  const id = given.phrases.phraseId('bike chain', 'en')
  const written = await held.moveOn('first', () => {
    given.phrases.save([{ ...figure('bike chain', 4321), region: 'US' }], 'en', service, 2)
    changed([id])
    return Promise.resolve(true)
  })
  expect(written).toBe(true)
  expect(held.isBehind).toBe(true)
  inRegion(given, 'US', index)
  expect(ask({ ...given, index }, { region: 'US', seed: 'bike chain' }).rows[0]!.volume).toBe(4321)
})

test('where one part is damaged no other is read: they count phrases as it did', async () => {
  const given = kept('one part')
  const random = seeded(10)
  given.phrases.save(someFigures(random, 100), 'en', service, 1)
  same(given, given.index)
  // Phrases that come later have other numbers than the tables would give them.
  given.phrases.save(someFigures(random, 100), 'en', service, 2)
  await given.keep()
  const bytes = readFileSync(given.path)
  // The first part begins behind sixteen bytes.
  bytes[20] = bytes[20]! ^ 0xff
  writeFileSync(given.path, bytes)
  expect(openSnapshot(given.path, 'one part')!.section('en')).toBeNull()
  expect(openSnapshot(given.path, 'one part')!.section('en/GB')).not.toBeNull()
  same(given, given.reopened())
})

test('what is asked or changed meanwhile ends the writing, also while a region is read for it', async () => {
  const given = kept('asked')
  const random = seeded(12)
  given.phrases.save([...someFigures(random, 100), ...elsewhere(random, 100, 'US')], 'en', service, 1)
  const { index, keepAs } = given.started()
  index.load('en', 'GB')
  for (let after = 0; after < 200; after += 7) {
    let steps = 0
    if (await keepAs(`after ${after}`, () => ++steps > after)) break
    expect(existsSync(given.path)).toBe(false)
    expect(existsSync(`${given.path}.part`)).toBe(false)
  }
  expect(existsSync(given.path)).toBe(true)
  inRegion(given, 'US', given.started().index)
})
