import vuetify, { transformAssetUrls } from 'vite-plugin-vuetify'

export default defineNuxtConfig({
  compatibilityDate: '2026-11-01',
  ssr: false,
  devtools: { enabled: false },
  telemetry: false,
  modules: ['@pinia/nuxt', (_options, nuxt) => {
    nuxt.hooks.hook('vite:extendConfig', (config) => {
      (config.plugins as unknown[]).push(vuetify({ autoImport: true }))
    })
  }],
  imports: { scan: true },
  components: [{ path: '~/components', pathPrefix: true }],
  build: { transpile: ['vuetify'] },
  css: ['vuetify/styles', '~/assets/fonetra.css'],
  app: {
    head: {
      title: 'Fonetra',
      htmlAttrs: { lang: 'en' },
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }, { name: 'description', content: 'From a topic to a published, tracked video text.' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }],
    },
  },
  vite: { vue: { template: { transformAssetUrls } }, worker: { format: 'es' }, build: { chunkSizeWarningLimit: 900 } },
  nitro: { preset: 'node-server', compressPublicAssets: { gzip: true, brotli: false }, externals: { external: ['better-sqlite3'] } },
  typescript: { strict: true, tsConfig: { compilerOptions: { resolveJsonModule: true, noUncheckedIndexedAccess: true } } },
})
