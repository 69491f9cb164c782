import { purgeCSSPlugin } from '@fullhuman/postcss-purgecss'
import * as icons from '@mdi/js'
import { minify } from '@swc/core'
import { defineNuxtModule } from 'nuxt/kit'
import type { Plugin } from 'postcss'
import vuetify from 'vite-plugin-vuetify'

const unused = purgeCSSPlugin({
  content: ['app/**/*.{vue,ts}', 'node_modules/vuetify/lib/{components,composables,directives,util}/**/*.js'],
  // Made of a property's value: `elevation="2"` is the class elevation-2.
  safelist: { standard: [/^(rounded|elevation|border|position|opacity)(-|$)/u] },
}) as Plugin
/**
 * Leaves out Vuetify's helper classes that are named nowhere, most of them a step of a distance, and all of its grid,
 * which is not used.
 */
const helpersInUse: Plugin = {
  postcssPlugin: 'fonetra:helpers-in-use',
  OnceExit(root, tools) {
    const file = root.source?.input.file ?? ''
    if (/VGrid\.css$/u.test(file)) root.removeAll()
    if (/vuetify[\\/]lib[\\/]styles[\\/]/u.test(file)) return unused.OnceExit?.(root, tools)
  },
}

/** Parts of Vuetify that one or two areas show: they come with these. */
const SELDOM =
  /vuetify[\\/]lib[\\/]components[\\/](VCalendar|VFileInput|VPagination|VDataTable|VCombobox|VSlideGroup|VSwitch|VTextarea|VDialog|VCard|VIconBtn|VNavigationDrawer)[\\/]/u

/** What makes Vuetify's components, and Nuxt's own ways of fetching, does nothing else: unused ones are left out. */
const PURE = ['genericComponent', 'propsFactory', 'createUseAsyncData', 'createUseFetch']

/**
 * What most screens need comes in one file, without what none of them uses: some sixty small ones took longer to fetch
 * than all of their code to run.
 */
const oneFile = {
  name: 'fonetra:one-file',
  applyToEnvironment: (environment: { name: string }) => environment.name === 'client',
  options: (options: { treeshake?: object }) => ({
    ...options,
    treeshake: { ...options.treeshake, manualPureFunctions: PURE },
  }),
  outputOptions: (options: object) => ({
    ...options,
    manualChunks: (id: string) =>
      !SELDOM.test(id) &&
      /node_modules[\\/](@?vue|@?vuetify|@?nuxt|pinia|vue-router|@vueuse|@?unhead|hookable|ufo|devalue|defu|destr)[\\/]/u.test(
        id,
      )
        ? 'frame'
        : undefined,
  }),
}

/** Where a package asks for what is never used here: what it says, and what it says instead. */
const LEFT_OUT = [
  {
    // Whether Vue has a name that only its next version has: to look for it, all that Vue has would be kept.
    id: /@vuetify[\\/]v0[\\/]dist[\\/]utilities[\\/]instance\.mjs$/u,
    edits: [[/const vueExports = Vue;\s+if \(.*\) return .*;/u, '']],
  },
  {
    // No page is drawn by the server first, and Nuxt's way of fetching is not ours.
    id: /nuxt[\\/]dist[\\/]app[\\/]entry\.js$/u,
    edits: [
      [/import "#build\/fetch\.mjs";/u, ''],
      [/isSSR \? createSSRApp\(RootComponent\) : createApp/u, 'createApp'],
    ],
  },
] as const
const leftOut = LEFT_OUT.map(({ id, edits }) => ({
  name: `fonetra:left-out ${id.source}`,
  transform: {
    filter: { id },
    handler: (source: string) => ({
      code: edits.reduce((code, [from, by]) => {
        if (!from.test(code)) throw new Error(`A package says it in another way than before: ${from.source}`)
        return code.replace(from, by)
      }, source),
      map: null,
    }),
  },
}))

/** An icon comes with the code that shows it, rather than with all others in the first file. */
const iconsWhereShown = {
  name: 'fonetra:icons',
  enforce: 'post' as const,
  transform: {
    filter: { code: /@mdi\/js/u },
    handler: (code: string) =>
      code.replace(/import \{([^}]*)\} from ['"]@mdi\/js['"];?/gu, (_all, names: string) =>
        names
          .split(',')
          .map(name => name.trim() as keyof typeof icons)
          .filter(name => name)
          .map(name => `const ${name} = ${JSON.stringify(icons[name])};`)
          .join('\n'),
      ),
  },
}

/** Shortens once more what the bundler has shortened: a twentieth less when compressed. */
const shorter = {
  name: 'fonetra:shorter',
  enforce: 'post' as const,
  applyToEnvironment: (environment: { name: string }) => environment.name === 'client',
  generateBundle: {
    order: 'post' as const,
    handler: async (_options: object, bundle: Record<string, { type: string; code?: string }>) => {
      for (const chunk of Object.values(bundle))
        if (chunk.code !== undefined)
          chunk.code = (
            await minify(chunk.code, { module: true, ecma: 2020, compress: { passes: 2 }, mangle: true })
          ).code
    },
  },
}

/** What the browser loads first is small: only what is used, in one file, written short. */
export default defineNuxtModule({
  meta: { name: 'fonetra-first-load' },
  setup(_options, nuxt) {
    nuxt.hook('vite:extendConfig', config => {
      ;(config.plugins as unknown[]).push(vuetify({ autoImport: true }), oneFile, ...leftOut, iconsWhereShown, shorter)
      if (typeof config.css?.postcss === 'object') config.css.postcss.plugins?.push(helpersInUse)
    })
  },
})
