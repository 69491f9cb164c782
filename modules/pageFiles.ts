import type { NuxtOptions, NuxtPage } from '@nuxt/schema'
import { defineNuxtModule } from 'nuxt/kit'

type Manifest = Parameters<NuxtOptions['hooks']['build:manifest'] & object>[0]

/** Built files by the address of their page; the fonts of the first texts. */
export interface PageFiles {
  pages: Record<string, { scripts: string[]; styles: string[] }>
  fonts: string[]
}

/** The two cuts that every screen begins with. */
const FIRST_FONTS = /ibm-plex-sans-latin-(?:400|600)-normal\.[\w-]+\.woff2$/u

/** What each page needs beside the frame, which the page's head names already. */
function filesOf(manifest: Manifest, routes: NuxtPage[]): PageFiles {
  const closure = (from: string, found = new Set<string>()): Set<string> => {
    if (found.has(from)) return found
    found.add(from)
    for (const each of manifest[from]?.imports ?? []) closure(each, found)
    return found
  }
  const entry = Object.keys(manifest).find(key => manifest[key]!.isEntry)!
  const frame = closure(entry)
  const pages: PageFiles['pages'] = {}
  for (const { name, path } of routes) {
    const key = Object.keys(manifest).find(each => manifest[each]!.isDynamicEntry && manifest[each]!.name === name)
    if (!key) continue
    const own = [...closure(key)].filter(each => !frame.has(each)).map(each => manifest[each]!)
    pages[path] = {
      scripts: own.map(({ file }) => file),
      styles: [...new Set(own.flatMap(({ css }) => css ?? []))],
    }
  }
  return { pages, fonts: (manifest[entry]!.assets ?? []).filter(each => FIRST_FONTS.test(each)) }
}

/**
 * Tells the server which built files each page is made of, so that the browser asks for them with the frame and not
 * after it has run (`server/plugins/pageFiles.ts`).
 */
export default defineNuxtModule((_options, nuxt) => {
  let files: PageFiles = { pages: {}, fonts: [] }
  let routes: NuxtPage[] = []
  nuxt.hook('pages:resolved', found => {
    routes = found
  })
  nuxt.hook('build:manifest', manifest => {
    files = filesOf(manifest, routes)
  })
  nuxt.hook('nitro:config', config => {
    config.virtual = {
      ...config.virtual,
      '#page-files': () => `export const pageFiles = ${JSON.stringify(files)}`,
    }
  })
})
