import { handful } from '../../../../core/next/proposal'

type Row = Parameters<typeof handful>[0][number] & { key: string }
const row = (key: string, kind: Row['kind'], views: number | null, due: number | null = null): Row => ({
  key,
  kind,
  views,
  due,
})
const keys = (rows: Row[]) => handful(rows).map(({ key }) => key)

test('what has a date first, then what is worth most, then what has no figure', () => {
  const rows = [
    row('unknown', 'watch', null),
    row('some', 'mend', 20),
    row('later', 'release', null, 9),
    row('more', 'fell', 300),
    row('soon', 'release', null, 5),
  ]
  expect(keys(rows)).toEqual(['soon', 'later', 'more', 'some', 'unknown'])
})

test('two of a kind and six in all; where little is at stake nothing is proposed', () => {
  const many = Array.from({ length: 5 }, (_, i) => row(`m${i}`, 'mend', 10 - i))
  expect(keys(many)).toEqual(['m0', 'm1'])
  const all = (['mend', 'fell', 'write', 'first'] as const).flatMap(kind =>
    [1, 2, 3].map(i => row(`${kind}${i}`, kind, 100 * i)),
  )
  expect(keys(all)).toHaveLength(6)
  expect(keys([row('little', 'mend', 0.4), row('none', 'fell', 0)])).toEqual([])
  expect(keys([])).toEqual([])
})
