import { inLab, type LabRaster, type Raster } from '../../../../core/thumbnail/raster'

type Colour = readonly [red: number, green: number, blue: number]

/** A picture painted pixel by pixel. */
export function painted(width: number, height: number, colour: (x: number, y: number) => Colour): LabRaster {
  const picture: Raster = { width, height, rgb: new Uint8Array(width * height * 3) }
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) picture.rgb.set(colour(x, y), 3 * (y * width + x))
  return inLab(picture)
}
export const plain = (colour: Colour) => painted(48, 27, () => colour)
export const WHITE: Colour = [255, 255, 255]
export const BLACK: Colour = [0, 0, 0]
