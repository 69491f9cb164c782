import { ref, shallowRef, watch, type ShallowRef, type WatchSource } from 'vue'
import { messageOf } from './api'

/**
 * An answer that is asked for whenever what it follows from changes: of several questions under way only the latest one
 * is answered.
 */
export function latestAnswer<Answer>(ask: () => Promise<Answer>) {
  const answer: ShallowRef<Answer | null> = shallowRef(null)
  const problem = ref('')
  let asked = 0
  /** @param isOther whether what is shown is of something else, and goes at once. */
  async function load(isOther = false): Promise<void> {
    const mine = ++asked
    problem.value = ''
    if (isOther) answer.value = null
    try {
      const found = await ask()
      if (mine === asked) answer.value = found
    } catch (error) {
      if (mine === asked) problem.value = messageOf(error)
    }
  }
  /**
   * Asks from now on when what it is of changes, and anew when what it follows from does.
   * @returns how to stop.
   */
  function follow(of: WatchSource[], from: WatchSource[]): () => void {
    const ends = [watch(of, () => void load(true), { immediate: true }), watch(from, () => void load())]
    return () => {
      for (const end of ends) end()
    }
  }
  return { answer, problem, load, follow }
}
