import { firstAnswers } from '~/composables/firstAnswers'

/** Milliseconds that the first drawing waits at most for what it would show empty. */
const AT_MOST = 100

export default defineNuxtPlugin({
  name: 'first-answers',
  dependsOn: ['pinia'],
  setup(app) {
    const answered = firstAnswers().all.catch(() => undefined)
    app.hook('app:beforeMount', () => Promise.race([answered, new Promise<void>(end => setTimeout(end, AT_MOST))]))
  },
})
