import { randomBytes } from 'node:crypto'
import { send, setResponseHeader, setResponseStatus, type H3Error, type H3Event } from 'h3'
import { problemOf } from './problem'

const escaped = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')

const STYLE = `:root{color-scheme:light dark;--paper:#FAF7F0;--ink:#1D2733;--teal:#0F5E63;--line:#DDD6C8}
@media(prefers-color-scheme:dark){:root{--paper:#14191F;--ink:#E9E4D8;--teal:#62B9BD;--line:#38424D}}
body{margin:0;min-height:100vh;display:grid;place-items:center;background:var(--paper);color:var(--ink);font:16px/1.5 "IBM Plex Sans",system-ui,sans-serif}
main{max-width:34em;padding:32px;border:1px solid var(--line);border-radius:4px}h1{font-size:20px;margin:0 0 8px}p{margin:0 0 16px}a{color:var(--teal)}`

/** Errors outside the routes: JSON for programs, for people a page of our own look. */
export default function errorPage(error: H3Error, event: H3Event) {
  const { status, body } = problemOf(error.cause ?? error)
  if (status === 500) console.error(error)
  setResponseStatus(event, status)
  setResponseHeader(event, 'Cache-Control', 'no-store')
  if (event.path.startsWith('/api/') || !event.node.req.headers.accept?.includes('text/html')) {
    setResponseHeader(event, 'Content-Type', 'application/json; charset=utf-8')
    return send(event, JSON.stringify(body))
  }
  const nonce = randomBytes(16).toString('base64')
  setResponseHeader(event, 'Content-Type', 'text/html; charset=utf-8')
  setResponseHeader(
    event,
    'Content-Security-Policy',
    `default-src 'none'; style-src 'nonce-${nonce}'; img-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'`,
  )
  const title = status === 404 ? 'Page not found' : 'Something went wrong'
  return send(
    event,
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${title} · Fonetra</title><link rel="icon" href="/mark.svg"><style nonce="${nonce}">${STYLE}</style></head><body><main><h1>${title}</h1><p>${escaped(body.error.message)}</p><a href="/">Back to Fonetra</a></main></body></html>`,
  )
}
