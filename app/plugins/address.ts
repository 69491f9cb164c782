import { followScreens } from '~/composables/address'

export default defineNuxtPlugin(() => {
  followScreens(useRouter())
})
