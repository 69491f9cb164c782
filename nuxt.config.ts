import { purgeCSSPlugin } from '@fullhuman/postcss-purgecss'
import type { Plugin } from 'postcss'
import vuetify, { transformAssetUrls } from 'vite-plugin-vuetify'

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
  /vuetify[\\/]lib[\\/]components[\\/](VCalendar|VFileInput|VPagination|VDataTable|VCombobox|VSlideGroup|VSwitch|VTextarea|VDialog|VIconBtn|VNavigationDrawer)[\\/]/u

/** What makes Vuetify's components, and Nuxt's own ways of fetching, does nothing else: unused ones are left out. */
const PURE = ['genericComponent', 'propsFactory', 'createUseAsyncData', 'createUseFetch']

/**
 * What most screens need comes in one file, without what none of them uses: some sixty small ones took longer to fetch
 * than all of their code to run.
 */
const firstLoad = {
  name: 'fonetra:first-load',
  applyToEnvironment: (environment: { name: string }) => environment.name === 'client',
  options: (options: { treeshake?: object }) => ({
    ...options,
    treeshake: { ...options.treeshake, manualPureFunctions: PURE },
  }),
  outputOptions: (options: object) => ({
    ...options,
    manualChunks: (id: string) =>
      !SELDOM.test(id) &&
      /node_modules[\\/](@?vue|@?vuetify|@?nuxt|pinia|vue-router|@vueuse|@mdi|@?unhead|ofetch|hookable|ufo|devalue|defu|destr)[\\/]/u.test(
        id,
      )
        ? 'frame'
        : undefined,
  }),
}

export default defineNuxtConfig({
  compatibilityDate: '2026-11-01',
  ssr: false,
  devtools: { enabled: false },
  telemetry: false,
  modules: [
    '@pinia/nuxt',
    (_options, nuxt) => {
      nuxt.hooks.hook('vite:extendConfig', config => {
        ;(config.plugins as unknown[]).push(vuetify({ autoImport: true }), firstLoad)
        if (typeof config.css?.postcss === 'object') config.css.postcss.plugins?.push(helpersInUse)
      })
    },
  ],
  imports: { scan: true },
  components: [{ path: '~/components', pathPrefix: true }],
  // Another area's code is fetched when its link is pointed at: at the start it would be in the way of the first
  // screen.
  experimental: {
    defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } },
    // For pages made on the server, which there are none of.
    renderJsonPayloads: false,
    payloadExtraction: false,
    appManifest: false,
  },
  build: { transpile: ['vuetify'] },
  hooks: {
    // The page would fetch the code of every area beforehand: four times what the first screen needs.
    'build:manifest': manifest => {
      for (const file of Object.values(manifest)) file.prefetch = false
    },
  },
  css: ['vuetify/styles', '~/assets/fonetra.css'],
  app: {
    head: {
      title: 'Fonetra',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'description', content: 'From a topic to a published, tracked video text.' },
      ],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' },
        // What every screen begins with is fetched while the program's own code is on its way.
        ...['session', 'workspaces', 'briefs'].map(name => ({
          rel: 'preload' as const,
          as: 'fetch' as const,
          crossorigin: 'anonymous' as const,
          href: `/api/${name}`,
        })),
      ],
    },
  },
  vite: {
    vue: { template: { transformAssetUrls } },
    worker: { format: 'es' },
    build: { chunkSizeWarningLimit: 900 },
    // No component here, in Vuetify or in the other packages uses the options API: Vue need not look for it in each.
    define: { __VUE_OPTIONS_API__: 'false' },
  },
  nitro: {
    errorHandler: '~~/server/http/errorPage.ts',
    preset: 'node-server',
    compressPublicAssets: { gzip: true, brotli: false },
    // The server and its threads must load the very same driver: two copies of SQLite in one process do not see each
    // other's locks. Left out of the bundle's own packages, it is found in the project's by both.
    rollupConfig: { external: ['better-sqlite3', 'sharp'] } as never,
  },
  typescript: {
    strict: true,
    tsConfig: { compilerOptions: { resolveJsonModule: true, noUncheckedIndexedAccess: true } },
  },
})
