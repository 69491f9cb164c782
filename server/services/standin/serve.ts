import { createServer, type Server } from 'node:http'
import { createHash, timingSafeEqual } from 'node:crypto'
import { callOf } from '../wire'
import type { Services } from '../contract'

const MAX_BODY = 4 * 1024 * 1024

const digest = (text: string) => createHash('sha256').update(text).digest()
const same = (a: string, b: string) => timingSafeEqual(digest(a), digest(b))

/**
 * The simulated services over HTTP, as docs/services.md describes: for trying the product against a
 * service of its own, and as an example to write a real one by.
 * @param key asked for as a bearer token; `null` asks for none.
 */
export function serveStandin(services: Services, key: string | null): Server {
  return createServer((request, response) => {
    const answer = (status: number, body: unknown) => {
      response.writeHead(status, { 'Content-Type': 'application/json; charset=utf-8' })
      response.end(JSON.stringify(body))
    }
    const problem = (status: number, code: string, message: string) => {
      answer(status, { error: { code, message, details: null } })
    }
    const [, version, service = '', method = ''] = (request.url ?? '').split('?')[0]!.split('/')
    if (key !== null && !same(request.headers.authorization ?? '', `Bearer ${key}`)) {
      problem(401, 'no-key', 'Send the key as a bearer token.')
      return
    }
    if (version !== 'v1') {
      problem(404, 'not-found', 'There is nothing at this address.')
      return
    }
    const call = request.method === 'POST' ? callOf(service, method) : undefined
    if (!call) {
      problem(404, 'no-such-call', 'There is no such call; docs/services.md lists them.')
      return
    }
    let body = ''
    request.setEncoding('utf8')
    request.on('data', (chunk: string) => {
      body += chunk
      if (body.length > MAX_BODY) {
        problem(413, 'too-long', 'This is more than can be taken in one go.')
        request.destroy()
      }
    })
    request.on('end', () => {
      void (async () => {
        try {
          const input = call.input.safeParse(JSON.parse(body || '{}'))
          if (!input.success) {
            problem(400, 'bad-input', input.error.issues[0]!.message)
            return
          }
          const given = input.data as Record<string, unknown>
          const work = (
            services[service as keyof Services] as unknown as Record<string, (...args: unknown[]) => Promise<unknown>>
          )[method]!
          answer(200, await work(...call.args.map(name => given[name])))
        } catch (error) {
          if (error instanceof SyntaxError) problem(400, 'no-json', 'The body is not JSON.')
          else if ((error as Error).name === 'ServiceRefused') problem(429, 'refused', (error as Error).message)
          else problem(500, 'failed', (error as Error).message)
        }
      })()
    })
  })
}
