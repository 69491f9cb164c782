import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

const ROLES = {
  light: { background: '#FAF7F0', surface: '#FFFFFF', 'on-surface': '#1D2733', 'on-background': '#1D2733', muted: '#5C6773', line: '#DDD6C8', primary: '#0F5E63', secondary: '#5C6773', ochre: '#B7791F', plum: '#6B3E75', info: '#2F6FA8', warning: '#B7791F', error: '#6B3E75', success: '#0F5E63', paper: '#FAF7F0', 'surface-variant': '#1D2733' },
  dark: { background: '#14191F', surface: '#1C232B', 'on-surface': '#E9E4D8', 'on-background': '#E9E4D8', muted: '#A3ADB8', line: '#38424D', primary: '#62B9BD', secondary: '#A3ADB8', ochre: '#E0AE5C', plum: '#C79AD1', info: '#86B7E3', warning: '#E0AE5C', error: '#D3A6DD', success: '#62B9BD', paper: '#14191F', 'surface-variant': '#E9E4D8' },
}

/** Vuetify with the product's roles; style elements carry the page's nonce. */
export default defineNuxtPlugin((app) => {
  const nonce = document.querySelector<HTMLMetaElement>('meta[name=style-nonce]')?.content
  const kept = localStorage.getItem('fonetra.theme')
  const dark = kept ? kept === 'dark' : window.matchMedia('(prefers-color-scheme: dark)').matches
  app.vueApp.use(createVuetify({
    icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
    theme: {
      cspNonce: nonce,
      defaultTheme: dark ? 'dark' : 'light',
      themes: { light: { dark: false, colors: ROLES.light }, dark: { dark: true, colors: ROLES.dark } },
    },
    defaults: {
      VBtn: { variant: 'text', density: 'comfortable', rounded: 'sm' },
      VTextField: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
      VSelect: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
      VTooltip: { openDelay: 350 },
    },
  }))
})
