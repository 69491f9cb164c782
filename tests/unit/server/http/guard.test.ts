import { strangerIn } from '../../../../server/http/guard'
import { nesting, wellFormed } from '../../../../server/http/json'

const OWN = { host: '127.0.0.1:4310' }
const OTHER = { 'sec-fetch-site': 'cross-site' }

test.each([
  ['a program', '/api/briefs', OWN],
  ['our page', '/api/briefs', { ...OWN, 'origin': 'http://127.0.0.1:4310', 'sec-fetch-site': 'same-origin' }],
  ['an address typed in', '/api/health', { ...OWN, 'sec-fetch-site': 'none' }],
  ['a link from elsewhere to a screen', '/demand', { ...OWN, ...OTHER }],
  ['our own file', '/_nuxt/a.js', { ...OWN, referer: 'http://127.0.0.1:4310/demand' }],
])('%s may ask', (_, path, headers) => {
  expect(strangerIn(path, headers)).toBeNull()
})

test.each([
  ['a name that leads here', '/demand', { host: 'elsewhere.example' }],
  ['a file asked for under another name', '/_nuxt/a.js', { host: 'elsewhere.example:4310' }],
  ['no host', '/api/briefs', {}],
  ['another page', '/api/briefs', { ...OWN, origin: 'http://elsewhere.example' }],
  ['a page without an origin', '/api/briefs', { ...OWN, origin: 'null' }],
  ['a picture of another page', '/api/phrases?seed=x', { ...OWN, ...OTHER }],
  ['a page of another port', '/api/phrases?seed=x', { ...OWN, 'sec-fetch-site': 'same-site' }],
  ['an older browser’s other page', '/api/phrases?seed=x', { ...OWN, referer: 'https://elsewhere.example/a' }],
])('%s may not', (_, path, headers) => {
  expect(strangerIn(path, headers)).not.toBeNull()
})

test('how deep a text is nested is told from its signs, those in texts aside', () => {
  expect(nesting('{"a":[1,{"b":"[[[[\\"["}]}')).toBe(3)
  expect(nesting('['.repeat(9000))).toBe(9000)
})

test('half characters are found wherever they stand', () => {
  expect(wellFormed({ a: ['🚲', { b: 'x' }], n: 1, z: null })).toBe(true)
  for (const value of ['\ud83d', '\udeb2\ud83d', { a: [['x\ud800']] }, { '\udc00': 1 }])
    expect(wellFormed(value)).toBe(false)
})
