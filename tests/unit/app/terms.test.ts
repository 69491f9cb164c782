import { readdirSync, readFileSync } from 'node:fs'
import { parse, type SFCTemplateBlock } from 'vue/compiler-sfc'

/** Words that docs/terms.md says are not used, each with the term that stands for it. */
const NOT_USED = readFileSync('docs/terms.md', 'utf8')
  .split('\n')
  .filter(line => line.startsWith('| **'))
  .flatMap(line => {
    const [, term = '', , not = ''] = line.split('|').map(cell => cell.trim())
    return not.split(', ').map(word => ({ word, term, pattern: new RegExp(`\\b${word}s?\\b(?![:_-])`, 'iu') }))
  })

const filesOf = (folder: string, ending: string) =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter(file => file.endsWith(ending))
    .map(file => `${folder}/${file}`)

/** Texts within a piece of code: what a person may read begins with a capital, a quote or a space. */
const textsIn = (code: string) =>
  [...code.matchAll(/'((?:[^'\\\n]|\\.)+)'|`((?:[^`\\]|\\.)+)`/gu)]
    .map(([, plain, pattern]) => plain ?? pattern!.replace(/\$\{[^}]*\}/gu, '…'))
    .filter(text => /^[“ ]?\p{Lu}/u.test(text) || / .* /u.test(text))
    .filter(text => !/^(?:GET|POST|PUT|PATCH|DELETE|SELECT|INSERT|UPDATE|WITH) /u.test(text))

interface Node {
  type: number
  content?: unknown
  name?: string
  value?: { content: string }
  exp?: { loc: { source: string } }
  props?: Node[]
  children?: Node[]
  branches?: Node[]
}
/** All that a template says: its texts, names and hints. */
function textsOf(node: Node): string[] {
  const [TEXT, INTERPOLATION, ATTRIBUTE, DIRECTIVE] = [2, 5, 6, 7]
  const own =
    node.type === TEXT
      ? [String(node.content)]
      : node.type === INTERPOLATION
        ? textsIn((node.content as { loc: { source: string } }).loc.source)
        : []
  const said = (node.props ?? []).flatMap(prop =>
    prop.type === ATTRIBUTE && /^(?:label|title|aria-label|placeholder|hint|no-data-text)$/u.test(prop.name!)
      ? [prop.value?.content ?? '']
      : prop.type === DIRECTIVE && prop.exp
        ? textsIn(prop.exp.loc.source)
        : [],
  )
  return [...own, ...said, ...[...(node.children ?? []), ...(node.branches ?? [])].flatMap(textsOf)]
}
const ofComponent = (file: string) => {
  const { template, scriptSetup } = parse(readFileSync(file, 'utf8')).descriptor
  return [
    ...(template ? textsOf((template as SFCTemplateBlock).ast as unknown as Node) : []),
    ...textsIn(scriptSetup?.content ?? ''),
  ]
}

/** Names of what others made stay theirs: headers of files, columns of tables, and the made-up site. */
const THEIRS = /core\/formats\/(?:phraseList|videoTexts|videoRecord)\.ts$|server\/data\/|\/standin\//u

test('screens and messages call things by the names of docs/terms.md', () => {
  const said = [
    ...filesOf('app', '.vue').map(file => ({ file, texts: ofComponent(file) })),
    ...['app', 'server', 'shared', 'core']
      .flatMap(folder => filesOf(folder, '.ts'))
      .filter(file => !THEIRS.test(file))
      .map(file => ({ file, texts: textsIn(readFileSync(file, 'utf8').replace(/^\s*(?:\/\*\*|\*|\/\/).*$/gmu, '')) })),
  ]
  expect(said.flatMap(({ texts }) => texts).length).toBeGreaterThan(2000)
  const found = said.flatMap(({ file, texts }) =>
    texts.flatMap(text =>
      NOT_USED.filter(({ pattern }) => pattern.test(text)).map(
        ({ word, term }) => `${file}: “${text.replace(/\s+/gu, ' ').trim().slice(0, 90)}” says ${word}, not ${term}`,
      ),
    ),
  )
  expect(found).toEqual([])
})

test('the terms are told once each, in a sentence', () => {
  const lines = readFileSync('docs/terms.md', 'utf8')
    .split('\n')
    .filter(line => line.startsWith('| **'))
  expect(lines.length).toBeGreaterThan(25)
  const terms = lines.map(line => line.split('|')[1]!.trim())
  expect(new Set(terms).size).toBe(terms.length)
  for (const line of lines) expect(line.split('|')[2]!.trim()).toMatch(/\.$/u)
})
