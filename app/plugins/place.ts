import { rememberPlace } from '~/composables/lastPlace'

/** Whoever opens Fonetra again comes back to where they were. */
export default defineNuxtPlugin(() => {
  useRouter().afterEach(to => {
    if (to.matched.length && to.path !== '/') rememberPlace(to)
  })
})
