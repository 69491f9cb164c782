import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { SessionAnswer, Who } from '../../shared/access'
import { api, keyNeeded, messageOf } from '~/composables/api'
import { setClock } from '~/composables/clock'

/** Who works in this window. On the machine itself nobody is asked, and everything is allowed. */
export const useAccess = defineStore('access', () => {
  const needed = ref(false)
  const who = ref<Who | null>(null)
  /** Whether it was loaded once, or loading failed. */
  const loaded = ref(false)
  const problem = ref('')
  /** Whether the key reads only. */
  const reads = computed(() => who.value?.role === 'reader')
  /** How routes that may ask a live service are called: only who may write spends its calls. */
  const askMethod = computed(() => (reads.value ? 'GET' : 'POST'))
  const owns = computed(() => who.value?.role === 'owner')

  function take(answer: SessionAnswer) {
    needed.value = answer.needed
    who.value = answer.who
    setClock(answer.now)
    keyNeeded.value = answer.needed && !answer.who
  }

  async function refresh() {
    try {
      take(await api('GET /api/session'))
      problem.value = ''
    } catch (error) {
      problem.value = messageOf(error)
    } finally {
      loaded.value = true
    }
  }

  /** @throws ApiProblem when the key is not known. */
  async function signIn(key: string) {
    await api('POST /api/session', { body: { key } })
    // What was asked for without a key was refused: everything is asked anew.
    location.reload()
  }

  async function signOut() {
    await api('DELETE /api/session')
    location.reload()
  }

  return { needed, who, loaded, problem, reads, askMethod, owns, refresh, signIn, signOut }
})
