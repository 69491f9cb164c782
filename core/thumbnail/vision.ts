/**
 * How a picture is seen: as it is, without colour, or with one of the three kinds of cones missing. Matrices for linear
 * red, green and blue at full severity, from Machado, Oliveira and Fernandes, “A Physiologically-based Model for
 * Simulation of Color Vision Deficiency” (2009); grey by the luminance of the Rec. 709 primaries.
 */
export const VISIONS = [
  { id: 'full', name: 'As it is', matrix: null },
  {
    id: 'grey',
    name: 'In grey',
    matrix: [0.2126, 0.7152, 0.0722, 0.2126, 0.7152, 0.0722, 0.2126, 0.7152, 0.0722],
  },
  {
    id: 'no-red',
    name: 'Red missing',
    matrix: [0.152286, 1.052583, -0.204868, 0.114503, 0.786281, 0.099216, -0.003882, -0.048116, 1.051998],
  },
  {
    id: 'no-green',
    name: 'Green missing',
    matrix: [0.367322, 0.860646, -0.227968, 0.280085, 0.672501, 0.047413, -0.01182, 0.04294, 0.968881],
  },
  {
    id: 'no-blue',
    name: 'Blue missing',
    matrix: [1.255528, -0.076749, -0.178779, -0.078411, 0.930809, 0.147602, 0.004733, 0.691367, 0.3039],
  },
] as const
export type Vision = (typeof VISIONS)[number]['id']

/** A matrix as an SVG colour filter writes it: four rows of five, the transparency left alone. */
export function filterValues(matrix: readonly number[]): string {
  const rows = [0, 3, 6].map(from => `${matrix.slice(from, from + 3).join(' ')} 0 0`)
  return [...rows, '0 0 0 1 0'].join(' ')
}
