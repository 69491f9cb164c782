import type { Role } from '../../shared/access'

/** Requests that are sent as POST for their length, and change nothing a person wrote. */
const READING = new Set(
  [
    '/api/captions/clean',
    '/api/captions/spoken',
    '/api/chapters/cut',
    '/api/chapters/format',
    '/api/check',
    '/api/check/many',
    '/api/copied',
    '/api/descriptions/compose',
    '/api/draft/chances',
    '/api/draft/context',
    '/api/draft/cover',
    '/api/draft/own',
    '/api/hashtags/suggest',
    '/api/posts/write',
    '/api/returned',
    '/api/tags/pack',
    '/api/tags/suggest',
    '/api/thumbnails/analyse',
    '/api/titles/ideas',
    '/api/titles/measure',
    '/api/truth',
    '/api/videos/:id/views',
    '/api/videos/views',
    '/api/phrases/assess',
    '/api/phrases/clusters',
    '/api/phrases/cross',
    '/api/phrases/figures',
    '/api/phrases/found',
    '/api/phrases/longer',
    '/api/phrases/shortlist',
  ].map(path => `POST ${path}`),
)
/** What is the owner's alone: the keys, the data as a whole, the services. */
const OWNERS = ['/api/access', '/api/data', '/api/services', '/api/standin']
/** Open to whoever has not signed in: signing in itself, and whether the server is up. */
const OPEN = new Set(['/api/session', '/api/health'])

export const isOpen = (path: string) => OPEN.has(path)

/** Whether a role may send a request. @param path as the route is declared, with its parameters' names. */
export function mayDo(role: Role, method: string, path: string): boolean {
  if (role === 'owner' || isOpen(path)) return true
  if (OWNERS.some(each => path === each || path.startsWith(`${each}/`))) return false
  return role === 'editor' || method === 'GET' || method === 'HEAD' || READING.has(`${method} ${path}`)
}
