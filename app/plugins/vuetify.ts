import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import { THEME_COLOURS } from '~/composables/themeColours'

/** Vuetify with the product's roles; style elements carry the page's nonce. */
export default defineNuxtPlugin(app => {
  const nonce = document.querySelector<HTMLMetaElement>('meta[name=style-nonce]')?.content
  const stored = localStorage.getItem('fonetra.theme')
  const dark = stored ? stored === 'dark' : window.matchMedia('(prefers-color-scheme: dark)').matches
  app.vueApp.use(
    createVuetify({
      icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
      theme: {
        cspNonce: nonce,
        defaultTheme: dark ? 'dark' : 'light',
        themes: {
          light: { dark: false, colors: THEME_COLOURS.light },
          dark: { dark: true, colors: THEME_COLOURS.dark },
        },
      },
      defaults: {
        VBtn: { variant: 'text', density: 'comfortable', rounded: 'sm' },
        VTextField: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
        VTextarea: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
        VSelect: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
        VTooltip: { openDelay: 350 },
      },
    }),
  )
})
