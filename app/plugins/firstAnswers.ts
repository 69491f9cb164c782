import { firstAnswers } from '~/composables/firstAnswers'

export default defineNuxtPlugin({
  name: 'first-answers',
  dependsOn: ['pinia'],
  setup() {
    firstAnswers()
  },
})
