import { defineEventHandler, setResponseHeader, setResponseStatus } from 'h3'

const LOCAL = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/u

/** Only this machine's own pages may ask: Host and Origin must be local, whatever a name server says. */
export default defineEventHandler((event) => {
  setResponseHeader(event, 'X-Content-Type-Options', 'nosniff')
  setResponseHeader(event, 'Referrer-Policy', 'no-referrer')
  const { host = '', origin } = event.node.req.headers
  const stranger = !LOCAL.test(host) || (origin !== undefined && origin !== 'null' && origin.replace(/^https?:\/\//u, '') !== host) || origin === 'null'
  if (!stranger) return
  setResponseStatus(event, 403)
  return { error: { code: 'not-local', message: 'Fonetra answers only to pages of its own on this machine.', details: null } }
})
