import { join } from 'node:path'
import { accessStore, hasOwnerKey } from '../../../../server/data/accessKeys'
import { briefStore } from '../../../../server/data/briefs'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const clock = standingClock()
const DAY = 86_400_000

test('a key is known by its text alone, of which nothing is kept', async () => {
  const db = freshData(folder)
  const access = accessStore(db, clock)
  const { key, ...made } = await access.make('Ann', 'owner')
  expect(access.list()).toEqual([made])
  expect(await access.check(key)).toMatchObject({ id: made.id, name: 'Ann', role: 'owner' })
  const secret = key.split('.')[1]!
  for (const wrong of [`${made.id}.${secret.slice(1)}`, `${made.id}.`, secret, '', '.', `0.${secret}`])
    expect(await access.check(wrong)).toBeNull()
  expect(JSON.stringify(db.prepare('SELECT id, name, role, hex(salt), hex(hash) FROM access_key').all())).not.toContain(
    Buffer.from(secret, 'base64url').toString('hex').toUpperCase(),
  )
})

test('a window stays signed in while it is used, and is out when its key is taken back', async () => {
  const access = accessStore(freshData(folder), clock)
  await access.make('Ann', 'owner')
  const { id } = await access.make('Ben', 'editor')
  const token = access.begin(id)
  expect(access.whoShows(token)).toEqual({ name: 'Ben', role: 'editor' })
  expect(access.whoShows(`${token}x`)).toBeNull()
  clock.pass(29 * DAY)
  expect(access.whoShows(token)).not.toBeNull()
  clock.pass(29 * DAY)
  expect(access.whoShows(token)).not.toBeNull()
  clock.pass(31 * DAY)
  expect(access.whoShows(token)).toBeNull()
  const again = access.begin(id)
  expect(access.revoke(id, true)).toBe('revoked')
  expect(access.whoShows(again)).toBeNull()
  expect(access.holder(id)).toBeNull()
  expect(access.revoke(id, true)).toBe('absent')
  const other = access.begin(access.list()[0]!.id)
  access.end(other)
  expect(access.whoShows(other)).toBeNull()
})

test('the last owner’s key stays where everybody needs one', async () => {
  const access = accessStore(freshData(folder), clock)
  const first = await access.make('Ann', 'owner')
  await access.make('Ben', 'editor')
  expect(access.revoke(first.id, true)).toBe('last-owner')
  const second = await access.make('Cleo', 'owner')
  expect(access.revoke(first.id, true)).toBe('revoked')
  expect(access.revoke(second.id, false)).toBe('revoked')
})

test('whether a file holds an owner’s key is told before it is opened', async () => {
  const db = freshData(folder)
  expect(hasOwnerKey(db.name)).toBe(false)
  const access = accessStore(db, clock)
  await access.make('Ben', 'editor')
  expect(hasOwnerKey(db.name)).toBe(false)
  await access.make('Ann', 'owner')
  expect(hasOwnerKey(db.name)).toBe(true)
  expect(hasOwnerKey(join(folder, 'nothing.sqlite'))).toBe(false)
})

test('a version names who wrote it, and two people’s are never one', () => {
  const briefs = briefStore(freshData(folder), clock)
  const { id } = briefs.create({ title: 'First' }, undefined, { writer: 'Ann' })
  const write = (revision: number, value: string, writer: string | null) =>
    briefs.patch(id, crypto.randomUUID(), { title: { revision, value } }, { client: 'one', writer })
  write(1, 'Second', 'Ben')
  write(2, 'Third', 'Ben')
  write(3, 'Fourth', null)
  briefs.saveVersion(id, 'title', 'Lost', 'Ben')
  expect(briefs.history(id, 'title').map(({ value, writer }) => [value, writer])).toEqual([
    ['Fourth', null],
    ['Lost', 'Ben'],
    ['Fourth', null],
    ['Third', 'Ben'],
    ['First', 'Ann'],
  ])
})
