import { buildSync } from 'esbuild'
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { briefStore } from '../../../../server/data/briefs'
import { openUserData } from '../../../../server/data/open'
import { drawn } from '../../../e2e/drawn'
import { MIGRATIONS, temporaryFolder } from '../files'

const ROUNDS = 10
const folder = temporaryFolder()
const file = join(folder, 'killed.sqlite')
// Beside the packages it loads.
const writer = join(process.cwd(), 'node_modules/.cache/fonetra-killed-writer.mjs')

beforeAll(() => {
  buildSync({
    entryPoints: [join(__dirname, 'killedWriter.ts')],
    outfile: writer,
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
  })
})

/** Lets a process save until it has said so many edits, kills it, and tells the last revision it called saved. */
function saveAndKill(id: string, edits: number): Promise<number> {
  const child = spawn(process.execPath, [writer, file, MIGRATIONS, id], { stdio: ['ignore', 'pipe', 'inherit'] })
  let said = ''
  child.stdout.on('data', (chunk: Buffer) => {
    said += chunk.toString()
    if (said.split('\n').length > edits) child.kill('SIGKILL')
  })
  return new Promise((resolve, reject) => {
    child.once('error', reject)
    child.once('close', (_code, signal) => {
      if (signal === 'SIGKILL') resolve(Number(said.trimEnd().split('\n').at(-1)))
      else reject(new Error(`The writer ended by itself after ${said.length} characters.`))
    })
  })
}

test('killed while it saves, again and again, the store has all it called saved and the file is whole', async () => {
  const random = drawn(11)
  const first = openUserData(file, { migrations: MIGRATIONS })
  const { id } = briefStore(first).create({ topic: 'Killed' })
  first.close()
  for (let round = 0; round < ROUNDS; round++) {
    const acknowledged = await saveAndKill(id, 1 + Math.floor(30 * random()))
    const db = openUserData(file, { migrations: MIGRATIONS })
    try {
      const { fields, revisions } = briefStore(db).get(id)!
      // The edit under way may have reached the disk without its answer.
      expect([acknowledged, acknowledged + 1]).toContain(revisions.description)
      expect(fields.description.startsWith(`edit ${revisions.description - 1} `)).toBe(true)
      expect(db.pragma('integrity_check', { simple: true })).toBe('ok')
    } finally {
      db.close()
    }
  }
}, 60_000)
