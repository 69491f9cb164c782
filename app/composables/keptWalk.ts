import { ref, watch } from 'vue'
import { remember } from './remember'

const KEY = 'fonetra.walk'

export interface KeptWalk {
  brief: string
  /** The step shown. */
  at: number
  /** Those done, by their place. */
  done: number[]
}

function kept(): KeptWalk | null {
  try {
    const found = JSON.parse(localStorage.getItem(KEY) ?? 'null') as KeptWalk | null
    return found && Array.isArray(found.done) ? found : null
  } catch {
    // Written by something else, or cut off.
    return null
  }
}

/**
 * The walk that this browser is in, or null. It stands apart from the walk's steps: they match words in many languages,
 * which a first screen need not fetch.
 */
export const keptWalk = ref<KeptWalk | null>(kept())
watch(
  keptWalk,
  value => {
    remember(KEY, JSON.stringify(value))
  },
  { deep: true },
)
