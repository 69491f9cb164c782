import { createApp, eventHandler, toNodeListener } from 'h3'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { open, readFile, readdir } from 'node:fs/promises'
import { problemOf } from '../../../../server/http/problem'
import { withUpload, type Upload } from '../../../../server/http/upload'
import { temporaryFolder } from '../files'

jest.mock('node:fs/promises', () => {
  const real = jest.requireActual<typeof import('node:fs/promises')>('node:fs/promises')
  return { ...real, open: jest.fn(real.open) }
})

const folder = temporaryFolder()
let server: Server
let work: (upload: Upload) => Promise<unknown>

beforeAll(async () => {
  const app = createApp().use(
    eventHandler(async event => {
      try {
        return await withUpload(event, folder, upload => work(upload))
      } catch (error) {
        const { status, body } = problemOf(error)
        event.node.res.statusCode = status
        return body
      }
    }),
  )
  server = createServer(toNodeListener(app)).listen(0, '127.0.0.1')
  await new Promise(tell => server.once('listening', tell))
})
afterAll(() => {
  server.close()
})

const send = async (body: string) => {
  const { port } = server.address() as AddressInfo
  const answer = await fetch(`http://127.0.0.1:${port}/`, { method: 'POST', body })
  return { status: answer.status, json: (await answer.json()) as { text?: string; error?: { code: string } } }
}

test('a body comes as a file, which is gone afterwards', async () => {
  work = async ({ file }) => ({ text: await readFile(file, 'utf8') })
  expect(await send('One line.\n'.repeat(5000))).toEqual({ status: 200, json: { text: 'One line.\n'.repeat(5000) } })
  expect(await readdir(folder)).toEqual([])
})

test('where the last piece of it finds no room, it is not taken', async () => {
  work = async ({ file }) => ({ text: await readFile(file, 'utf8') })
  const real = jest.requireActual<typeof import('node:fs/promises')>('node:fs/promises')
  jest.mocked(open).mockImplementationOnce(async (...given) => {
    const handle = await real.open(...given)
    // As a disk that is asked, and after a while says that it is full.
    const full = () =>
      new Promise<never>((_, refuse) =>
        setTimeout(() => {
          refuse(Object.assign(new Error('no space left on device'), { code: 'ENOSPC' }))
        }, 30),
      )
    return Object.assign(handle, { write: full, writeFile: full })
  })
  const { status, json } = await send('A short one.')
  expect([status, json.error?.code]).toEqual([507, 'disk-full'])
  expect(await readdir(folder)).toEqual([])
})

test.each([
  ['what a reader says of it', new Error('The file is empty.'), 422, 'unreadable'],
  ['what the disk says', Object.assign(new Error('no space'), { code: 'ENOSPC' }), 507, 'disk-full'],
])('%s is answered as such, said at once or later', async (_, error, status, code) => {
  for (const thrown of [
    () => {
      throw error
    },
    () => Promise.reject(error),
  ]) {
    work = thrown
    const told = await send('x')
    expect([told.status, told.json.error?.code]).toEqual([status, code])
  }
})
