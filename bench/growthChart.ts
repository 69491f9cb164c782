import { scaleLog } from 'd3-scale'
import type { Growth } from './scale'

const [WIDTH, HEIGHT] = [760, 420]
const MARGIN = { left: 64, right: 190, top: 24, bottom: 46 }

/** How times grow with the number of phrases, both axes logarithmic: an SVG for docs/. */
export function growthChart(growth: readonly Growth[]): string {
  const lines: { name: string; colour: string; dash: string; of: (each: Growth) => number | null }[] = [
    { name: 'index: a question', colour: '#0F5E63', dash: '', of: each => each.queryMs },
    { name: 'FTS5: the same', colour: '#B7791F', dash: '6 3', of: each => each.fts5Ms },
    { name: 'MiniSearch: the same', colour: '#6B3E75', dash: '2 3', of: each => each.miniSearchMs },
    { name: 'loading the index', colour: '#2F6FA8', dash: '8 3 2 3', of: each => each.loadMs },
    { name: 'importing the list', colour: '#1D2733', dash: '', of: each => each.importSeconds * 1000 },
    { name: 'sqlite3 shell: the same', colour: '#5C6773', dash: '4 4', of: each => each.shellSeconds * 1000 },
  ]
  const values = growth.flatMap(each => lines.flatMap(line => line.of(each) ?? []))
  const x = scaleLog()
    .domain([growth[0]!.size, growth.at(-1)!.size])
    .range([MARGIN.left, WIDTH - MARGIN.right])
  const y = scaleLog()
    .domain([Math.min(...values) / 1.5, Math.max(...values) * 1.5])
    .range([HEIGHT - MARGIN.bottom, MARGIN.top])
  const ticks = [0.01, 0.1, 1, 10, 100, 1000, 10_000, 100_000].filter(
    tick => tick >= y.domain()[0]! && tick <= y.domain()[1]!,
  )
  const label = (ms: number) => (ms < 1000 ? `${ms} ms` : `${ms / 1000} s`)
  // Names at the right end are moved apart where lines end close together.
  const ends = lines
    .flatMap(line => {
      const value = line.of(growth.at(-1)!)
      return value === null ? [] : [{ line, value, at: y(value) }]
    })
    .sort((a, b) => a.at - b.at)
  for (let i = 1; i < ends.length; i++) ends[i]!.at = Math.max(ends[i]!.at, ends[i - 1]!.at + 16)
  const point = (each: Growth, value: number) => `${x(each.size).toFixed(1)},${y(value).toFixed(1)}`
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" font-family="IBM Plex Sans, system-ui, sans-serif" font-size="12">
<rect width="${WIDTH}" height="${HEIGHT}" fill="#FAF7F0"/>
${ticks.map(tick => `<line x1="${MARGIN.left}" x2="${WIDTH - MARGIN.right}" y1="${y(tick).toFixed(1)}" y2="${y(tick).toFixed(1)}" stroke="#DDD6C8"/><text x="${MARGIN.left - 8}" y="${(y(tick) + 4).toFixed(1)}" text-anchor="end" fill="#5C6773">${label(tick)}</text>`).join('\n')}
${growth.map(each => `<line y1="${MARGIN.top}" y2="${HEIGHT - MARGIN.bottom}" x1="${x(each.size).toFixed(1)}" x2="${x(each.size).toFixed(1)}" stroke="#DDD6C8"/><text x="${x(each.size).toFixed(1)}" y="${HEIGHT - MARGIN.bottom + 18}" text-anchor="middle" fill="#5C6773">${each.size.toLocaleString('en')}</text>`).join('\n')}
<text x="${(MARGIN.left + WIDTH - MARGIN.right) / 2}" y="${HEIGHT - 8}" text-anchor="middle" fill="#5C6773">phrases in the store; medians; both axes logarithmic</text>
${ends
  .map(
    ({ line, value, at }) =>
      `<polyline fill="none" stroke="${line.colour}" stroke-width="2" stroke-dasharray="${line.dash}" points="${growth
        .flatMap(each => {
          const v = line.of(each)
          return v === null ? [] : [point(each, v)]
        })
        .join(
          ' ',
        )}"/><text x="${WIDTH - MARGIN.right + 10}" y="${(at + 4).toFixed(1)}" fill="${line.colour}">${line.name}, ${value < 1000 ? `${value.toFixed(value < 10 ? 2 : 0)} ms` : `${(value / 1000).toFixed(1)} s`}</text>`,
  )
  .join('\n')}
</svg>
`
}
