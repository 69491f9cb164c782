import { shallowRef, watch } from 'vue'
import { backgroundBox, DESIGN, type Design } from '../../core/thumbnail/design'
import type { Picture } from '../../core/thumbnail/picture'
import { pictureAddress } from '~/stores/thumbnails'

const loaded = (address: string) =>
  new Promise<HTMLImageElement>((resolve, reject) => {
    const image = new Image()
    image.onload = () => {
      resolve(image)
    }
    image.onerror = () => {
      reject(new Error('Could not load the picture. It may have been removed.'))
    }
    image.src = address
  })

/** Kept pictures as the browser draws them, each loaded once; undefined until it is there. */
export function useDrawnPictures(pictures: () => readonly Picture[], failed: (message: string) => void) {
  const images = shallowRef(new Map<string, HTMLImageElement>())
  watch(
    pictures,
    async list => {
      for (const picture of list) {
        if (images.value.has(picture.hash)) continue
        try {
          const image = await loaded(pictureAddress(picture, 1280))
          images.value = new Map(images.value).set(picture.hash, image)
        } catch (error) {
          failed((error as Error).message)
        }
      }
    },
    { immediate: true },
  )
  return images
}

/** The background as it lies in the frame, with its light, contrast and colours. */
export function drawnBackground(
  image: HTMLImageElement,
  { picture, light, contrast, saturation, ...at }: Design['background'],
): HTMLCanvasElement {
  const canvas = document.createElement('canvas')
  canvas.width = DESIGN.width
  canvas.height = DESIGN.height
  const context = canvas.getContext('2d')!
  context.filter = `brightness(${1 + light}) contrast(${1 + contrast}) saturate(${1 + saturation})`
  const { x, y, width, height } = backgroundBox(picture, at)
  context.drawImage(image, x, y, width, height)
  return canvas
}
