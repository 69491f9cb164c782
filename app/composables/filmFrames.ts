import { inLab } from '../../core/thumbnail/raster'
import type { Frame } from '../../core/thumbnail/frames'

/** A frame as it is shown, with what it is weighed by. */
export interface ShownFrame extends Frame {
  /** A small picture of it. */
  address: string
}

/** So small a picture is weighed, and one so large shown. */
const WEIGHED = { width: 96, height: 54 }
const SHOWN = { width: 192, height: 108 }

const when = (film: HTMLVideoElement, event: 'seeked' | 'loadeddata') =>
  new Promise<void>((resolve, reject) => {
    film.addEventListener(event, () => resolve(), { once: true })
    film.addEventListener('error', () => reject(new Error('This browser cannot play the file.')), { once: true })
  })

/** A video of this machine, opened apart from what plays, to take pictures of it. */
export async function openedFilm(address: string): Promise<HTMLVideoElement> {
  const film = document.createElement('video')
  film.muted = true
  film.preload = 'auto'
  film.src = address
  await when(film, 'loadeddata')
  return film
}

async function drawn(film: HTMLVideoElement, at: number, size: { width: number; height: number }) {
  if (film.currentTime !== at) {
    const there = when(film, 'seeked')
    film.currentTime = at
    await there
  }
  const canvas = new OffscreenCanvas(size.width, size.height)
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  context.drawImage(film, 0, 0, size.width, size.height)
  return { canvas, context }
}

/** The picture at a moment, small. */
export async function frameAt(film: HTMLVideoElement, at: number): Promise<ShownFrame> {
  const { canvas } = await drawn(film, at, SHOWN)
  const { context } = await drawn(film, at, WEIGHED)
  const { data } = context.getImageData(0, 0, WEIGHED.width, WEIGHED.height)
  const rgb = new Uint8Array(WEIGHED.width * WEIGHED.height * 3)
  for (let i = 0; i < rgb.length / 3; i++) rgb.set(data.subarray(4 * i, 4 * i + 3), 3 * i)
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.8 })
  return { at, picture: inLab({ ...WEIGHED, rgb }), address: URL.createObjectURL(blob) }
}

/** The picture at a moment, as large as the video is. */
export async function pictureAt(film: HTMLVideoElement, at: number): Promise<Blob> {
  const { canvas } = await drawn(film, at, { width: film.videoWidth, height: film.videoHeight })
  return canvas.convertToBlob({ type: 'image/png' })
}
