import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

const ROOT = join(__dirname, '../../../..')
const INSIDE = join('server', 'services', 'standin')
/** It starts the thread in which the simulated services run, and knows of it no more than how to call it. */
const STARTS = join('server', 'services', 'connect.ts')

const sources = (dir: string): string[] =>
  readdirSync(join(ROOT, dir), { withFileTypes: true }).flatMap(entry => {
    const path = join(dir, entry.name)
    if (entry.isDirectory()) return path === INSIDE ? [] : sources(path)
    return /\.(?:ts|vue|mjs)$/u.test(entry.name) ? [path] : []
  })
const imports = (path: string) =>
  [...readFileSync(join(ROOT, path), 'utf8').matchAll(/(?:from|import\()\s*['"]([^'"]+)['"]/gu)].map(found => found[1]!)

test('nothing of the product reads how the simulated site ranks, or what it hides', () => {
  const files = ['core', 'shared', 'app', 'server'].flatMap(sources)
  expect(files.length).toBeGreaterThan(300)
  const reading = files.filter(path => imports(path).some(from => /\/standin(?:\/|$)/u.test(from)))
  expect(reading).toEqual([STARTS])
  expect(imports(STARTS).filter(from => from.includes('standin'))).toEqual(['./standin/thread'])
})

test('what the product is told of a video is no more than its own kind of record', () => {
  // Clicks, watching and standing are the site's own; a record that held them would give the order away.
  const record = readFileSync(join(ROOT, 'core/formats/videoRecord.ts'), 'utf8')
  for (const hidden of ['clicks', 'watched', 'standing']) expect(record).not.toContain(hidden)
})
