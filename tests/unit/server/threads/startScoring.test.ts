import { buildSync } from 'esbuild'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { startScoring } from '../../../../server/threads/startScoring'
import type { BriefToScore } from '../../../../server/threads/scoringThread'
import { temporaryFolder } from '../files'

const folder = temporaryFolder()
const entry = join(folder, 'scoring.mjs')
beforeAll(() => {
  // A thread that never comes to an end with one of the briefs.
  writeFileSync(
    join(folder, 'scoring.ts'),
    `
    import * as Comlink from '${require.resolve('comlink')}'
    import nodeEndpoint from '${join(process.cwd(), 'node_modules/comlink/dist/esm/node-adapter.mjs')}'
    import { parentPort } from 'node:worker_threads'
    Comlink.expose({ percents(list) { for (const each of list) while (each === 'endless'); return list.map(each => each.length) } }, nodeEndpoint(parentPort))`,
  )
  buildSync({
    entryPoints: [join(folder, 'scoring.ts')],
    outfile: entry,
    bundle: true,
    platform: 'node',
    format: 'esm',
  })
})

const log = jest.spyOn(console, 'error').mockImplementation(() => undefined)
afterAll(() => {
  log.mockRestore()
})

test('a brief that takes too long is unknown, and those around it have their percent', async () => {
  const scoring = startScoring(entry, 1500)
  const briefs = ['a', 'bb', 'endless', 'dddd'] as unknown as BriefToScore[]
  expect(await scoring.percents(briefs)).toEqual([1, 2, null, 4])
  expect(await scoring.percents([])).toEqual([])
  await scoring.close()
}, 30_000)
