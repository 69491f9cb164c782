import { execFileSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { cpSync, existsSync, mkdtempSync, readdirSync, rmSync, rmdirSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { call, expect, startApp, test } from './app'
import { DEMO } from './startApp'

/** A disk of its own, of some megabytes; `null` where none can be made, as without root. */
function smallDisk(megabytes: number): string | null {
  const folder = mkdtempSync(join(tmpdir(), 'fonetra-disk-'))
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${megabytes}m`, 'tmpfs', folder], { stdio: 'ignore' })
    return folder
  } catch {
    rmdirSync(folder)
    return null
  }
}
function takeAway(disk: string): void {
  execFileSync('umount', [disk])
  rmdirSync(disk)
}

test('a disk that runs full during an import is told plainly, loses nothing acknowledged, and with space all goes on', async () => {
  const world = statSync(join(DEMO, 'world.sqlite')).size / 2 ** 20
  const disk = smallDisk(Math.ceil(world) + 14)
  test.skip(disk === null, 'No disk of its own can be made here.')
  cpSync(join(DEMO, 'world.sqlite'), join(disk!, 'world.sqlite'))
  const app = await startApp({ data: disk! })
  const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'On a small disk' } } }))
    .json
  let revision = 0
  let refused = 0
  const write = async () => {
    const { status, json } = await call(app, `/api/briefs/${id}`, {
      method: 'PATCH',
      body: { editId: randomUUID(), fields: { title: { revision, value: `Title ${revision}` } } },
    })
    if (status === 200) revision++
    else {
      refused++
      expect({ status, code: json.error.code }).toEqual({ status: 507, code: 'disk-full' })
      expect(json.error.message).toMatch(/The disk is full.*Free some space/u)
    }
  }
  let done = false
  const importing = call(app, '/api/import/phrases?region=GB&name=large.csv', {
    method: 'POST',
    raw: `phrase,volume\n${Array.from({ length: 200_000 }, (_, i) => `how to fit part number ${i},${i}`).join('\n')}\n`,
  }).finally(() => {
    done = true
  })
  while (!done) await write()
  expect(await importing).toMatchObject({ status: 507, json: { error: { code: 'disk-full' } } })
  expect(readdirSync(disk!).filter(name => name.startsWith('upload-'))).toEqual([])
  // Every byte that is left, taken too.
  const filler = join(disk!, 'filler')
  try {
    writeFileSync(filler, Buffer.alloc(64 * 2 ** 20))
  } catch {
    /* It is full now. */
  }
  for (let i = 0; i < 60 && !refused; i++) await write()
  expect((await call(app, `/api/briefs/${id}`)).json.fields.title).toBe(`Title ${revision - 1}`)
  expect((await call(app, '/api/health')).status).toBe(200)
  rmSync(filler)
  const before = revision
  await write()
  expect(revision).toBe(before + 1)
  expect(app.errors()).not.toContain('    at ')
  await app.kill()
  const db = new Database(join(disk!, 'fonetra.sqlite'))
  expect(db.pragma('integrity_check', { simple: true })).toBe('ok')
  expect(
    JSON.parse(
      db
        .prepare<[string], string>("SELECT value FROM brief_field WHERE brief_id = ? AND field = 'title'")
        .pluck()
        .get(id)!,
    ),
  ).toBe(`Title ${revision - 1}`)
  db.close()
  takeAway(disk!)
})

test('a folder that cannot be written to is told plainly, in the terminal and to whoever asks', async () => {
  const disk = smallDisk(64)
  test.skip(disk === null, 'No disk of its own can be made here.')
  for (const name of ['world.sqlite', 'fonetra.sqlite']) cpSync(join(DEMO, name), join(disk!, name))
  execFileSync('mount', ['-o', 'remount,ro', disk!])
  const app = await startApp({ data: disk!, closed: true })
  expect(await call(app, '/api/briefs')).toMatchObject({
    status: 503,
    json: { error: { code: 'data-not-writable', message: expect.stringContaining('writable') } },
  })
  expect(app.errors()).toContain('Make the file and its folder writable')
  expect(app.errors()).not.toContain('    at ')
  execFileSync('mount', ['-o', 'remount,rw', disk!])
  expect((await call(app, '/api/data/open', { method: 'POST' })).status).toBe(200)
  expect((await call(app, '/api/briefs')).json.briefs.length).toBeGreaterThan(0)
  await app.close()
  expect(existsSync(join(disk!, 'fonetra.sqlite'))).toBe(true)
  takeAway(disk!)
})
