// Makes core/text/plexSansAdvances.json: advance widths of the shipped text font.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import opentype from 'opentype.js'

const folder = new URL('../node_modules/@fontsource/ibm-plex-sans/files/', import.meta.url)
const widths = new Map()
let unitsPerEm = 1000
for (const subset of ['latin', 'latin-ext', 'cyrillic', 'greek']) {
  const file = readdirSync(folder).find(name => name === `ibm-plex-sans-${subset}-400-normal.woff`)
  if (!file) continue
  const bytes = readFileSync(new URL(file, folder))
  const font = opentype.parse(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength))
  unitsPerEm = font.unitsPerEm
  for (let i = 0; i < font.glyphs.length; i++) {
    const glyph = font.glyphs.get(i)
    for (const code of glyph.unicodes ?? []) if (code >= 32 && !widths.has(code)) widths.set(code, glyph.advanceWidth)
  }
}
const runs = []
for (const code of [...widths.keys()].sort((a, b) => a - b)) {
  const last = runs.at(-1)
  if (last && last[0] + last.length - 1 === code) last.push(widths.get(code))
  else runs.push([code, widths.get(code)])
}
writeFileSync(
  new URL('../core/text/plexSansAdvances.json', import.meta.url),
  `{"unitsPerEm":${unitsPerEm},"runs":[\n${runs.map(run => JSON.stringify(run)).join(',\n')}\n]}\n`,
)
console.log(`${widths.size} characters in ${runs.length} runs, ${unitsPerEm} units to the em`)
