import { pageFiles } from '#page-files'
import { defineNitroPlugin } from 'nitropack/runtime'

const BUILT = '/_nuxt/'

/** Names in the head of a page what its area is made of: the browser fetches it beside the frame. */
export default defineNitroPlugin(nitro => {
  const fonts = pageFiles.fonts.map(
    file => `<link rel="preload" as="font" type="font/woff2" crossorigin href="${BUILT}${file}">`,
  )
  const heads = Object.fromEntries(
    Object.entries(pageFiles.pages).map(([path, { scripts, styles }]) => [
      path,
      [
        ...scripts.map(file => `<link rel="modulepreload" as="script" crossorigin href="${BUILT}${file}">`),
        ...styles.map(file => `<link rel="preload" as="style" crossorigin href="${BUILT}${file}">`),
      ],
    ]),
  )
  nitro.hooks.hook('render:html', (html, { event }) => {
    const path = event.path.split('?')[0]!
    html.head.push(...(Object.hasOwn(heads, path) ? heads[path]! : []), ...fonts)
  })
})
