import { hash, seeded } from './chance'

/** The colours of a channel's pictures: ground, shape, accent. */
const PALETTES = [
  ['#12343b', '#e1b382', '#c89666'],
  ['#2d2a32', '#ddd92a', '#eee5e9'],
  ['#7b2d26', '#f0f3f5', '#19535f'],
  ['#0b5563', '#f7f5ee', '#d9822b'],
  ['#44355b', '#ecc30b', '#ee5622'],
  ['#20302a', '#a3c9a8', '#ddd8c4'],
  ['#1c3144', '#d00000', '#ffba08'],
  ['#5b5f97', '#fffffb', '#ff6b6c'],
  ['#3a2e39', '#f15152', '#edb183'],
  ['#264027', '#ffcb69', '#e8ac65'],
  ['#f4f1de', '#e07a5f', '#3d405b'],
  ['#0d1b2a', '#778da9', '#e0e1dd'],
] as const

/** A video's picture, drawn from its channel's palette: the same every time. */
export function thumbnail(code: string, palette: number): string {
  const [ground, shape, accent] = PALETTES[palette % PALETTES.length]!
  const random = seeded(hash(code))
  const n = (most: number) => Math.round(random() * most)
  const svg = `<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 160 90'><path fill='${ground}' d='M0 0h160v90H0z'/><circle cx='${30 + n(100)}' cy='${20 + n(50)}' r='${14 + n(22)}' fill='${shape}'/><path fill='${accent}' d='M0 ${50 + n(25)}L160 ${40 + n(40)}V90H0z'/></svg>`
  return `data:image/svg+xml,${encodeURIComponent(svg).replace(/%20/gu, ' ').replace(/%3D/gu, '=').replace(/%2F/gu, '/').replace(/%3A/gu, ':')}`
}
