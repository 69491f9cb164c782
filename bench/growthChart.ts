import { scaleLog } from 'd3-scale'

const [WIDTH, HEIGHT] = [760, 420]
const MARGIN = { left: 64, right: 190, top: 24, bottom: 46 }
const LOOKS = [
  { colour: '#0F5E63', dash: '' },
  { colour: '#B7791F', dash: '6 3' },
  { colour: '#6B3E75', dash: '2 3' },
  { colour: '#2F6FA8', dash: '8 3 2 3' },
  { colour: '#1D2733', dash: '' },
  { colour: '#5C6773', dash: '4 4' },
]

/** How long things take at some sizes. */
export interface GrowthOf {
  /** What there is more and more of. */
  what: string
  sizes: readonly number[]
  /** Milliseconds at each size; `null` where it was not measured. */
  lines: readonly { name: string; ms: readonly (number | null)[] }[]
}

/** How times grow, both axes logarithmic: an SVG for docs/. */
export function growthChart({ what, sizes, lines: measured }: GrowthOf): string {
  const lines = measured.map((line, i) => ({ ...line, ...LOOKS[i % LOOKS.length]! }))
  const values = lines.flatMap(({ ms }) => ms.filter(value => value !== null))
  const x = scaleLog()
    .domain([sizes[0]!, sizes.at(-1)!])
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
      const value = line.ms.at(-1)
      return value == null ? [] : [{ line, value, at: y(value) }]
    })
    .sort((a, b) => a.at - b.at)
  for (let i = 1; i < ends.length; i++) ends[i]!.at = Math.max(ends[i]!.at, ends[i - 1]!.at + 16)
  const point = (size: number, value: number) => `${x(size).toFixed(1)},${y(value).toFixed(1)}`
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" font-family="IBM Plex Sans, system-ui, sans-serif" font-size="12">
<rect width="${WIDTH}" height="${HEIGHT}" fill="#FAF7F0"/>
${ticks.map(tick => `<line x1="${MARGIN.left}" x2="${WIDTH - MARGIN.right}" y1="${y(tick).toFixed(1)}" y2="${y(tick).toFixed(1)}" stroke="#DDD6C8"/><text x="${MARGIN.left - 8}" y="${(y(tick) + 4).toFixed(1)}" text-anchor="end" fill="#5C6773">${label(tick)}</text>`).join('\n')}
${sizes.map(size => `<line y1="${MARGIN.top}" y2="${HEIGHT - MARGIN.bottom}" x1="${x(size).toFixed(1)}" x2="${x(size).toFixed(1)}" stroke="#DDD6C8"/><text x="${x(size).toFixed(1)}" y="${HEIGHT - MARGIN.bottom + 18}" text-anchor="middle" fill="#5C6773">${size.toLocaleString('en')}</text>`).join('\n')}
<text x="${(MARGIN.left + WIDTH - MARGIN.right) / 2}" y="${HEIGHT - 8}" text-anchor="middle" fill="#5C6773">${what}; medians; both axes logarithmic</text>
${ends
  .map(
    ({ line, value, at }) =>
      `<polyline fill="none" stroke="${line.colour}" stroke-width="2" stroke-dasharray="${line.dash}" points="${line.ms.flatMap((value, i) => (value === null ? [] : [point(sizes[i]!, value)])).join(' ')}"/><text x="${WIDTH - MARGIN.right + 10}" y="${(at + 4).toFixed(1)}" fill="${line.colour}">${line.name}, ${value < 1000 ? `${value.toFixed(value < 10 ? 2 : 0)} ms` : `${(value / 1000).toFixed(1)} s`}</text>`,
  )
  .join('\n')}
</svg>
`
}
