import { readFileSync } from 'node:fs'

interface Package {
  version: string
  dev?: boolean
  license?: string
}
const { packages } = JSON.parse(readFileSync('package-lock.json', 'utf8')) as { packages: Record<string, Package> }
const { dependencies } = JSON.parse(readFileSync('package.json', 'utf8')) as { dependencies: Record<string, string> }
const told = readFileSync('docs/licences.md', 'utf8')

test('every package that is used directly is listed as it is locked; none that is not', () => {
  const rows = [...told.matchAll(/^\| (\S+) \| (\d\S*) \| (.+) \|$/gmu)].map(([, name, version]) => [name, version])
  expect(rows).toEqual(
    [...Object.keys(dependencies)].sort().map(name => [name, packages[`node_modules/${name}`]!.version]),
  )
})

test('each of the others is named, and none is under a licence that binds whoever uses it', () => {
  for (const [path, { dev, license }] of Object.entries(packages)) {
    if (!path || dev) continue
    const name = path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length)
    expect(told).toContain(name)
    // Where one may choose, the freer one is chosen.
    const bound = !/ OR /u.test(license ?? '') && /(?:^|[^L])GPL|SSPL|BUSL|UNLICENSED/u.test(license ?? '')
    expect(bound ? `${name}: ${license}` : '').toBe('')
  }
})
