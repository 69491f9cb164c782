// Writes docs/licences.md: under which licences the packages come that a running Fonetra consists of.
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { HOME, stop } from './prepare.mjs'

const lock = JSON.parse(readFileSync(join(HOME, 'package-lock.json'), 'utf8')).packages
const direct = Object.keys(JSON.parse(readFileSync(join(HOME, 'package.json'), 'utf8')).dependencies)

/** As the lockfile tells it; older packages say it in their own file alone. */
function licenceOf(path, { license }) {
  if (license) return license
  const told = JSON.parse(readFileSync(join(HOME, path, 'package.json'), 'utf8'))
  const found = (told.licenses ?? [told.license]).map(each => each?.type ?? each).filter(Boolean)
  if (!found.length) stop(`${path} says nothing of its licence. Look at it by hand.`)
  return found.join(' OR ')
}

const packages = Object.entries(lock)
  .filter(([path, { dev }]) => path && !dev)
  .map(([path, entry]) => ({
    name: path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length),
    version: entry.version,
    licence: licenceOf(path, entry),
    own: false,
  }))
for (const each of packages)
  each.own = direct.includes(each.name) && lock[`node_modules/${each.name}`]?.version === each.version

const byName = (a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : a.version < b.version ? -1 : 1)
const groups = new Map()
for (const each of packages.sort(byName)) {
  const list = groups.get(each.licence) ?? new Set()
  groups.set(each.licence, list.add(each.name))
}
const rows = packages
  .filter(({ own }) => own)
  .map(({ name, version, licence }) => `| ${name} | ${version} | ${licence} |`)
const others = [...groups]
  .sort(([a, { size: m }], [b, { size: n }]) => n - m || (a < b ? -1 : 1))
  .map(([licence, names]) => `**${licence}** (${names.size}): ${[...names].join(', ')}`)

writeFileSync(
  join(HOME, 'docs/licences.md'),
  `# Licences of the packages

Written by \`npm run licences\` from the lockfile. Fonetra itself is under the MIT licence. LGPL is the image library that \`sharp\` loads as a file of its own.

## Used directly

| package | version | licence |
|---|---|---|
${rows.join('\n')}

## All that come with them

${others.join('\n\n')}
`,
)
console.log(`docs/licences.md: ${packages.length} packages, ${groups.size} licences.`)
