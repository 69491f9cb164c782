import type { RouteLocationRaw } from 'vue-router'

/**
 * Goes to a place of the program. Nuxt's own way (`navigateTo`) goes nowhere while another change of the address is on
 * its way, as when the brief that opens is written into it: a key pressed then was lost.
 */
export const goTo = (to: RouteLocationRaw) => useRouter().push(to)
