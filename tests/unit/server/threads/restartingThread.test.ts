import { buildSync } from 'esbuild'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { setFlagsFromString } from 'node:v8'
import { runInNewContext } from 'node:vm'
import { restartingThread, ThreadEnded, ThreadLate } from '../../../../server/threads/restartingThread'
import { temporaryFolder } from '../files'

interface Counter {
  count: () => number
  hang: () => Promise<never>
  work: (ms: number) => void
  texts: (n: number) => string[]
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
    Comlink.expose({ count: () => ++n, hang: () => new Promise(() => undefined), texts: n => Array(n).fill('text'), work: ms => { for (const end = Date.now() + ms; Date.now() < end; ); }, end: (code) => process.exit(code), fail: () => { setImmediate(() => { throw new Error('broken') }) } }, nodeEndpoint(parentPort))`,
  )
  buildSync({
    entryPoints: [join(folder, 'counter.ts')],
    outfile: entry,
    bundle: true,
    platform: 'node',
    format: 'esm',
  })
})

/** What nobody holds is gone after it. */
function collectGarbage(): void {
  setFlagsFromString('--expose-gc')
  ;(runInNewContext('gc') as () => void)()
}

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

test('how long a question takes counts from when the thread has started, however long that takes', async () => {
  // Starting takes it longer than a question may.
  const slow = join(folder, 'slow.mjs')
  writeFileSync(slow, `const end = Date.now() + 2500\nwhile (Date.now() < end);\nawait import('./counter.mjs')`)
  const thread = restartingThread<Counter>('The counter', slow)
  expect(await thread.ask(remote => remote.count(), 2000)).toBe(1)
  await expect(thread.ask(remote => remote.hang(), 100)).rejects.toThrow(ThreadLate)
  expect(thread.running()).toBe(false)
  await thread.close()
}, 20_000)

test('what waits behind a question that takes too long is asked again, and not counted as long itself', async () => {
  const thread = restartingThread<Counter>('The counter', entry)
  expect(await thread.ask(remote => remote.count(), 5000)).toBe(1)
  const late = thread.ask(remote => remote.work(60_000), 300)
  const behind = [1, 2].map(() => thread.ask(remote => remote.count(), 5000))
  await expect(late).rejects.toThrow(ThreadLate)
  // By another thread, which counts anew.
  expect(await Promise.all(behind)).toEqual([1, 2])
  // Together these take longer than one may.
  const each = [1, 2, 3].map(() => thread.ask(remote => remote.work(800), 2000))
  await expect(Promise.all(each)).resolves.toHaveLength(3)
  await thread.close()
}, 30_000)

test('an answer is not kept once it is given', async () => {
  const thread = restartingThread<Counter>('The counter', entry)
  const long = async (n: number) => new WeakRef(await thread.ask(remote => remote.texts(n), n % 2 ? 5000 : undefined))
  const refs = [await long(1), await long(2), await long(3)]
  await thread.ask(remote => remote.count(), 5000)
  // The last message is let go of a moment after it came.
  let kept = refs
  for (let i = 0; i < 100 && kept.length; i++) {
    await new Promise(wake => setTimeout(wake, 20))
    collectGarbage()
    kept = refs.filter(ref => ref.deref())
  }
  await thread.close()
  expect(kept).toHaveLength(0)
}, 20_000)
