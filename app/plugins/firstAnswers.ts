import { firstAnswers, frameReady } from '~/composables/firstAnswers'

export default defineNuxtPlugin({
  name: 'first-answers',
  dependsOn: ['pinia'],
  setup(app) {
    firstAnswers()
    app.hook('app:beforeMount', frameReady)
  },
})
