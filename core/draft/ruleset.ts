import balanced from './ruleSets/balanced.json' with { type: 'json' }
import exactLine from './ruleSets/exact-line.json' with { type: 'json' }
import fullWidth from './ruleSets/full-width.json' with { type: 'json' }
import linkFirst from './ruleSets/link-first.json' with { type: 'json' }
import shortAndSharp from './ruleSets/short-and-sharp.json' with { type: 'json' }

/** What a rule set says of one check. A weight of 0, or no entry, leaves the check out. */
export interface Rule {
  weight: number
  settings?: Record<string, string | number>
}

/** Which checks count, how much, and with which thresholds: data, to be read, edited and shared. */
export interface RuleSet {
  format: 1
  id: string
  name: string
  /** What somebody who works this way believes. */
  note: string
  checks: Record<string, Rule>
}

/** The lead near the front, then a reason to click; a description that reads, tags that fit. */
export const BALANCED: RuleSet = balanced as RuleSet
/** A title that is read whole on a phone, a short text, few tags. */
export const SHORT_AND_SHARP: RuleSet = shortAndSharp as RuleSet
/** Every character a title may have, and a description that tells everything. */
export const FULL_WIDTH: RuleSet = fullWidth as RuleSet
/** The phrase and nothing else. */
export const EXACT_LINE: RuleSet = exactLine as RuleSet
/** The way to the shop before all else. */
export const LINK_FIRST: RuleSet = linkFirst as RuleSet

/** The sets that ship, the first being the one a new brief begins with. Each is a file of its own, to be read. */
export const RULE_SETS: readonly RuleSet[] = [BALANCED, SHORT_AND_SHARP, FULL_WIDTH, EXACT_LINE, LINK_FIRST]

/** A set that ships by its id; the first one for an id that none has. */
export const ruleSetOf = (id: string): RuleSet => RULE_SETS.find(each => each.id === id) ?? RULE_SETS[0]!
