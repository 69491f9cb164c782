import { buildSync } from 'esbuild'
import { getPriority, platform } from 'node:os'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { giveWay } from '../../../../server/threads/giveWay'
import { temporaryFolder } from '../files'

const folder = temporaryFolder()

test('a thread gives way by itself: the one that answers stays as it was', async () => {
  const before = getPriority()
  giveWay()
  expect(getPriority()).toBe(before)

  const entry = join(folder, 'thread.mjs')
  buildSync({
    stdin: {
      contents: `
        import { getPriority } from 'node:os'
        import { parentPort } from 'node:worker_threads'
        import { giveWay } from './giveWay'
        giveWay()
        parentPort.postMessage(getPriority())`,
      resolveDir: join(process.cwd(), 'server/threads'),
    },
    outfile: entry,
    bundle: true,
    platform: 'node',
    format: 'esm',
  })
  const thread = new Worker(entry)
  const own = await new Promise<number>(tell => thread.once('message', tell))
  expect(getPriority()).toBe(before)
  if (platform() === 'linux') expect(own).toBe(4)
  else expect(own).toBe(before)
  await thread.terminate()
})
