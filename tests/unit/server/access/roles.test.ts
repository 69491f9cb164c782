import { mayDo } from '../../../../server/access/roles'
import { routes } from '../../../e2e/fuzz'

const may = (role: 'owner' | 'editor' | 'reader') =>
  routes().filter(({ method, path }) => mayDo(role, method, path.replace(/\[(\w+)\]/gu, ':$1')))
const names = (list: ReturnType<typeof routes>) => list.map(({ method, path }) => `${method} ${path}`)

test('an owner may do everything', () => {
  expect(may('owner')).toEqual(routes())
})

test('an editor may do all but what concerns keys, the data as a whole and the services', () => {
  const refused = names(
    routes().filter(
      route =>
        !may('editor').some(each => each === route || (each.method === route.method && each.path === route.path)),
    ),
  )
  expect(refused).toEqual([
    'GET /api/access',
    'POST /api/access',
    'DELETE /api/access/[id]',
    'GET /api/data',
    'GET /api/data/archive',
    'POST /api/data/archive',
    'POST /api/data/backups',
    'POST /api/data/open',
    'POST /api/data/restore',
    'GET /api/data/space',
    'GET /api/services',
    'PUT /api/services',
    'PUT /api/standin/behaviour',
    'DELETE /api/standin/clock',
    'GET /api/standin/clock',
    'POST /api/standin/clock',
  ])
})

test('a reader looks things up, and writes nothing', () => {
  const beyondReading = names(may('reader').filter(({ method }) => method !== 'GET'))
  expect(beyondReading).toEqual([
    'POST /api/captions/clean',
    'POST /api/captions/spoken',
    'POST /api/chapters/cut',
    'POST /api/chapters/format',
    'POST /api/check',
    'POST /api/check/many',
    'POST /api/copied',
    'POST /api/descriptions/compose',
    'POST /api/draft/chances',
    'POST /api/draft/context',
    'POST /api/draft/cover',
    'POST /api/draft/own',
    'POST /api/hashtags/suggest',
    'POST /api/phrases/assess',
    'POST /api/phrases/clusters',
    'POST /api/phrases/cross',
    'POST /api/phrases/figures',
    'POST /api/phrases/found',
    'POST /api/phrases/longer',
    'POST /api/phrases/shortlist',
    'POST /api/posts/write',
    'POST /api/returned',
    'DELETE /api/session',
    'POST /api/session',
    'POST /api/tags/pack',
    'POST /api/tags/suggest',
    'POST /api/thumbnails/analyse',
    'POST /api/titles/ideas',
    'POST /api/titles/measure',
    'POST /api/truth',
    'POST /api/videos/[id]/views',
    'POST /api/videos/views',
  ])
  for (const owned of ['/api/access', '/api/data', '/api/services']) expect(mayDo('reader', 'GET', owned)).toBe(false)
})

test('a path that only begins alike is no exception', () => {
  expect(mayDo('reader', 'POST', '/api/checking')).toBe(false)
  expect(mayDo('editor', 'PUT', '/api/servicesandmore')).toBe(true)
  expect(mayDo('reader', 'POST', '/api/phrases/assess/more')).toBe(false)
})
