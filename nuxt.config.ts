import { transformAssetUrls } from 'vite-plugin-vuetify'

export default defineNuxtConfig({
  compatibilityDate: '2026-11-01',
  ssr: false,
  devtools: { enabled: false },
  telemetry: false,
  modules: ['@pinia/nuxt'],
  imports: { scan: true },
  components: [{ path: '~/components', pathPrefix: true }],
  // Another area's code is fetched when somebody is about to follow its link, by a plugin: at the start it would be in
  // the way of the first screen, and where links are passed by in the way of the next key.
  experimental: {
    defaults: { nuxtLink: { prefetch: false } },
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
