import { THEME_COLOURS } from '../../../app/composables/themeColours'

type Role = keyof typeof THEME_COLOURS.light

/** Relative luminance of a colour as WCAG 2 defines it. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map(at => {
    const part = parseInt(hex.slice(at, at + 2), 16) / 255
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4
  })
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!
}
const contrast = (a: string, b: string) => {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x)
  return (light! + 0.05) / (dark! + 0.05)
}
/** A colour mixed into another, as rows that are picked or pointed at are drawn. */
const mixed = (part: number, into: string, colour: string) =>
  `#${[1, 3, 5]
    .map(at =>
      Math.round(parseInt(colour.slice(at, at + 2), 16) * part + parseInt(into.slice(at, at + 2), 16) * (1 - part))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`

const TEXT: Role[] = ['on-surface', 'on-background', 'muted', 'primary', 'plum', 'error']

test('black on white is 21 to 1', () => expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21))

describe.each(Object.entries(THEME_COLOURS))('%s', (_, colours) => {
  const grounds = {
    surface: colours.surface,
    background: colours.background,
    picked: mixed(0.09, colours.surface, colours.primary),
    pointed: mixed(0.04, colours.surface, colours['on-surface']),
  }
  test.each(TEXT.flatMap(role => Object.entries(grounds).map(([ground, colour]) => [role, ground, colour] as const)))(
    '%s can be read on %s',
    (role, _ground, colour) => {
      expect(contrast(colours[role], colour)).toBeGreaterThanOrEqual(4.5)
    },
  )
  test('a button’s text can be read on it, and shapes are told from the ground', () => {
    expect(contrast(colours.surface, colours.primary)).toBeGreaterThanOrEqual(4.5)
    for (const role of ['primary', 'plum', 'info', 'ochre'] as const)
      expect(contrast(colours[role], colours.surface)).toBeGreaterThanOrEqual(3)
  })
})
