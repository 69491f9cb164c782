import { readdirSync, readFileSync } from 'node:fs'
import { calls } from '../../../shared/api'

const FOLDER = 'server/api'

/** The calls that have a route, by the files' names. */
function routed(): string[] {
  return readdirSync(FOLDER, { recursive: true, encoding: 'utf8' })
    .filter(file => file.endsWith('.ts') && !file.includes('[...]'))
    .map(file => {
      const [path, method] = file.slice(0, -'.ts'.length).split(/\.(?=[a-z]+$)/u) as [string, string]
      return `${method.toUpperCase()} /api/${path.replace(/\/index$/u, '').replace(/\[(\w+)\]/gu, ':$1')}`
    })
    .sort()
}

test('every declared call has a route, and every route is declared', () => {
  expect(Object.keys(calls).sort()).toEqual(routed())
})

test('each route is given to the call of its own path', () => {
  const wrong = readdirSync(FOLDER, { recursive: true, encoding: 'utf8' })
    .filter(file => file.endsWith('.ts') && !file.includes('[...]'))
    .filter(file => {
      const named = /oute\('(\w+ \S+)'/u.exec(readFileSync(`${FOLDER}/${file}`, 'utf8'))?.[1]
      const path = `/api/${file
        .replace(/\.\w+\.ts$/u, '')
        .replace(/\/index$/u, '')
        .replace(/\[(\w+)\]/gu, ':$1')}`
      return named !== undefined && named.split(' ')[1] !== path
    })
  expect(wrong).toEqual([])
})

test('the documentation names each call by its path, with its method', () => {
  const text = readFileSync('docs/api.md', 'utf8')
  const missing = Object.keys(calls).filter(name => {
    const [method, path] = name.split(' ') as [string, string]
    // Methods of one path stand together, as in `GET|POST /api/lists`; a query may follow.
    return !new RegExp(`(?:[A-Z]+\\|)*${method}(?:\\|[A-Z]+)* ${path.replaceAll('/', '\\/')}(?![\\w/:-])`, 'u').test(
      text,
    )
  })
  // The same call by POST is told of once, for all of them.
  const byPost = missing.filter(name => name.startsWith('POST') && name.replace('POST', 'GET') in calls)
  expect(missing.filter(name => !byPost.includes(name))).toEqual([])
  for (const name of byPost) expect(text).toContain(name.replace('POST ', '').replace('/api/results/', '/'))
})
