import { convertLrgbToOklab, convertRgbToLrgb } from 'culori/fn'

/** A picture as rows of pixels, red, green and blue from 0 to 255 one after the other. */
export interface Raster {
  width: number
  height: number
  rgb: Uint8Array
}

/** A picture in OKLab: lightness from 0 to 1, and the two axes of colour, row by row. */
export interface LabRaster {
  width: number
  height: number
  l: Float32Array
  a: Float32Array
  b: Float32Array
}

/** Light by the value of a channel: the curve between them is the same for each of the three. */
const LINEAR = Float64Array.from({ length: 256 }, (_, value) => convertRgbToLrgb({ r: value / 255, g: 0, b: 0 }).r)

/** A picture as equal steps of seeing: a distance there is a difference an eye would call as large anywhere. */
export function inLab({ width, height, rgb }: Raster): LabRaster {
  const size = width * height
  const lab: LabRaster = {
    width,
    height,
    l: new Float32Array(size),
    a: new Float32Array(size),
    b: new Float32Array(size),
  }
  for (let i = 0; i < size; i++) {
    const r = LINEAR[rgb[3 * i]!]!
    const g = LINEAR[rgb[3 * i + 1]!]!
    const b = LINEAR[rgb[3 * i + 2]!]!
    const found = convertLrgbToOklab({ r, g, b })
    lab.l[i] = found.l
    lab.a[i] = found.a
    lab.b[i] = found.b
  }
  return lab
}
