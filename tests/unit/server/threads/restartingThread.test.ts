import { buildSync } from 'esbuild'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { restartingThread, ThreadEnded } from '../../../../server/threads/restartingThread'
import { temporaryFolder } from '../files'

interface Counter {
  count: () => number
  hang: () => Promise<never>
  end: (code: number) => void
  fail: () => void
}

const folder = temporaryFolder()
const entry = join(folder, 'counter.mjs')
beforeAll(() => {
  writeFileSync(
    join(folder, 'counter.ts'),
    `
    import * as Comlink from '${require.resolve('comlink')}'
    import nodeEndpoint from '${join(process.cwd(), 'node_modules/comlink/dist/esm/node-adapter.mjs')}'
    import { parentPort } from 'node:worker_threads'
    let n = 0
    Comlink.expose({ count: () => ++n, hang: () => new Promise(() => undefined), end: (code) => process.exit(code), fail: () => { setImmediate(() => { throw new Error('broken') }) } }, nodeEndpoint(parentPort))`,
  )
  buildSync({
    entryPoints: [join(folder, 'counter.ts')],
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

test.each([
  ['ends', (thread: ReturnType<typeof restartingThread<Counter>>) => thread.ask(remote => remote.end(3))],
  ['throws', (thread: ReturnType<typeof restartingThread<Counter>>) => thread.ask(remote => remote.fail())],
])(
  'a thread that %s leaves nobody waiting and is started anew',
  async (_, end) => {
    const thread = restartingThread<Counter>('The counter', entry)
    expect(thread.running()).toBe(false)
    expect(await thread.ask(remote => remote.count())).toBe(1)
    expect(await thread.ask(remote => remote.count())).toBe(2)
    const waiting = thread.ask(remote => remote.hang())
    end(thread).catch(() => undefined)
    await expect(waiting).rejects.toThrow(ThreadEnded)
    await expect(waiting).rejects.toThrow('The counter had to be restarted. Try again.')
    expect(log).toHaveBeenCalled()
    expect(thread.running()).toBe(false)
    expect(await thread.ask(remote => remote.count())).toBe(1)
    await thread.close()
  },
  20_000,
)

test('closing is no failure', async () => {
  log.mockClear()
  const thread = restartingThread<Counter>('The counter', entry)
  await thread.ask(remote => remote.count())
  await thread.close()
  expect(log).not.toHaveBeenCalled()
})
