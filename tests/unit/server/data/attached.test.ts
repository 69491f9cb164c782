import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { attachedStore } from '../../../../server/data/attached'
import { freshData, temporaryFolder } from '../files'

const folder = temporaryFolder()
const keyFile = join(folder, 'service.key')
const KEY = 'a-very-secret-key-4711'
/** Whether any file of the data holds a text. */
const anywhere = (text: string) => readdirSync(folder).some(name => readFileSync(join(folder, name)).includes(text))

test('the key stands in a file that only its owner may read, and nowhere once it is taken away', () => {
  const db = freshData(folder)
  const attached = attachedStore(db, keyFile)
  attached.set('https://demand.example', KEY)
  expect(attached.get()).toEqual({ address: 'https://demand.example', key: KEY })
  expect(statSync(keyFile).mode & 0o777).toBe(0o600)
  attached.set('https://demand.example', null)
  expect(attached.get()).toEqual({ address: 'https://demand.example', key: null })
  attached.set('https://demand.example', KEY)
  attached.forget()
  expect(attached.get()).toBeNull()
  expect(existsSync(keyFile)).toBe(false)
  expect(anywhere(KEY)).toBe(false)
})

test('a key that an earlier version kept in the data file moves out of it, traces and all', () => {
  const db = freshData(folder)
  db.prepare("INSERT INTO setting (workspace_id, name, value, at) VALUES ('', 'service', ?, 1)").run(
    JSON.stringify({ address: 'https://demand.example', key: KEY }),
  )
  db.pragma('wal_checkpoint(TRUNCATE)')
  const attached = attachedStore(db, keyFile)
  expect(attached.get()).toEqual({ address: 'https://demand.example', key: KEY })
  attached.forget()
  expect(anywhere(KEY)).toBe(false)
})

test('own data alone: no service is attached, and that stays so', () => {
  const db = freshData(folder)
  const attached = attachedStore(db, keyFile)
  expect(attached.isNone()).toBe(false)
  attached.set('https://demand.example', KEY)
  attached.forget('none')
  expect(attached.isNone()).toBe(true)
  expect(attached.get()).toBeNull()
  expect(anywhere(KEY)).toBe(false)
  const again = attachedStore(db, keyFile)
  expect([again.isNone(), again.get()]).toEqual([true, null])
  again.set('https://demand.example', null)
  expect(again.isNone()).toBe(false)
  again.forget()
  expect([again.isNone(), again.get()]).toEqual([false, null])
})
