import { readdirSync, readFileSync } from 'node:fs'
import { SHELL_KEYS } from '../../../app/composables/shellKeys'
import { CHECKS } from '../../../core/draft/checks'

const doc = (name: string) => readFileSync(`docs/${name}.md`, 'utf8')
/** The cells of a document's table rows, without its head. */
const rowsIn = (text: string) =>
  text
    .split('\n')
    .filter(line => line.startsWith('| ') && !line.startsWith('|---'))
    .map(line => line.slice(2, -2).split(' | '))
const sourcesIn = (...folders: string[]) =>
  folders.flatMap(folder =>
    readdirSync(folder, { recursive: true, encoding: 'utf8' })
      .filter(file => /\.(?:vue|ts)$/u.test(file))
      .map(file => readFileSync(`${folder}/${file}`, 'utf8')),
  )
const sorted = (names: Iterable<string>) => [...new Set(names)].sort()

test('docs/keys.md lists the keys as the program does', () => {
  expect(rowsIn(doc('keys')).slice(1)).toEqual(SHELL_KEYS.map(({ keys, does }) => [keys, does]))
})

test('docs/model.md names every check, and none that is not there', () => {
  const text = doc('model')
  const table = rowsIn(text.slice(text.indexOf('| question | checks |'), text.indexOf('Some checks compare')))
  const named = table.slice(1).flatMap(([, checks]) => checks!.split(' · '))
  const capital = (name: string) => name[0]!.toUpperCase() + name.slice(1)
  expect(sorted(named.map(capital))).toEqual(sorted(CHECKS.map(({ title }) => title)))
  expect(named).toHaveLength(CHECKS.length)
})

test('docs/model.md says of every figure at the head of a table what it is, and where it is worked out', () => {
  const text = doc('model')
  const told = rowsIn(text.slice(text.indexOf('| figure |'))).slice(1)
  const heads = sourcesIn('app')
    .flatMap(source => source.match(/\{[^{}]*align: 'end'[^{}]*\}/gu) ?? [])
    .flatMap(column => /title: '([^']+)'/u.exec(column)?.[1] ?? [])
  expect(heads.length).toBeGreaterThan(30)
  expect(told.map(([name]) => name)).toEqual(sorted(heads))
  const sections = [...text.matchAll(/^#+ (.*)$/gmu)].map(([, name]) => name)
  const under = told.flatMap(([, , where]) => /^\*(.*)\*$/u.exec(where!)?.[1] ?? [])
  expect(under.filter(name => !sections.includes(name))).toEqual([])
})

test('docs/formats.md names every kind of file that is taken, and every file of a package and an archive', () => {
  const text = doc('formats')
  const taken = sourcesIn('app')
    .flatMap(source => [...source.matchAll(/accept(?:="|: ')([^"']*)/gu)])
    .flatMap(([, kinds]) => [...kinds!.matchAll(/\.([a-z]+)/gu)].map(([, kind]) => kind!))
  expect(taken.length).toBeGreaterThan(20)
  const NAMES: Record<string, RegExp> = {
    ...{ jsonl: /JSON Lines/u, jsonld: /JSON-LD/u, xml: /RSS/u, vtt: /WebVTT/u, txt: /text/u, atom: /Atom/u },
  }
  expect(sorted(taken).filter(kind => !(NAMES[kind] ?? new RegExp(`\\b${kind}\\b`, 'iu')).test(text))).toEqual([])
  const FILE = /[\w-]+\.(?:json|txt|html|jsonld|csv|vtt)(?=['`])/gu
  const written = ['core/release/package.ts', 'server/archive/writeArchive.ts', 'server/archive/about.ts']
    .flatMap(file => readFileSync(file, 'utf8').match(new RegExp(`(?<=['\`/])${FILE.source}`, 'gu')) ?? [])
    .filter(name => name !== 'package.json')
  expect(written.length).toBeGreaterThan(7)
  expect(sorted(written).filter(name => !text.includes(name))).toEqual([])
})
