import { computed } from 'vue'
import { useAddress } from './address'

/** What the rules are opened at: a rule set, or the limits of a site; '' for whichever is in use. */
export type RulesPlace = { set: string } | { limits: string }

/** What the rules of the Desk are open at, if they are: `rules=` or `limits=` in the address, which a link may name. */
export function useRulesPlace() {
  const route = useRoute()
  const address = useAddress()
  return {
    at: computed((): RulesPlace | null => {
      const { rules, limits } = route.query
      if (typeof limits === 'string') return { limits }
      return typeof rules === 'string' ? { set: rules } : null
    }),
    /** @param at `null` for away from them. @param step whether the back button returns to what was before. */
    turn(at: RulesPlace | null, step = false) {
      void address({ rules: null, limits: null, ...(at && ('set' in at ? { rules: at.set } : at)) }, step)
    },
  }
}
