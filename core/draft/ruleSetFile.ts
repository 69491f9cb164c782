import { readJsonFile } from '../formats/jsonFile'
import { CHECKS } from './checks'
import type { RuleSet } from './ruleset'
import { ruleSetSchema, type OwnRuleSet } from './ruleSetSchema'

/** A rule set as a file: itself, and the versions of the checks it was made for. */
export function writeRuleSet(set: RuleSet): string {
  const versions = Object.fromEntries(
    CHECKS.filter(check => set.checks[check.id]).map(check => [check.id, check.version]),
  )
  return `${JSON.stringify({ ...set, versions }, null, 2)}\n`
}

/** A rule set that was read, and what is to be known of it. */
export interface ReadRuleSet {
  set: OwnRuleSet
  /** Checks that this version does not have; they are left out. */
  unknown: string[]
  /** Checks that look at their subject otherwise than when the file was made. */
  changed: string[]
}

/** @throws FileFault that names each fault with its line. */
export function readRuleSet(text: string): ReadRuleSet {
  // Of a setting, the line of its check is where to look.
  const { value, given } = readJsonFile(text, ruleSetSchema, names => (names[0] === 'checks' ? names[1] : names[0]))
  const versions = (given as { versions?: Record<string, unknown> }).versions ?? {}
  const known = new Map(CHECKS.map(check => [check.id, check.version]))
  const { name, note, checks } = value
  return {
    set: {
      name: name.trim() || 'Rule set',
      note,
      checks: Object.fromEntries(Object.entries(checks).filter(([id]) => known.has(id))),
    },
    unknown: Object.keys(checks).filter(id => !known.has(id)),
    changed: Object.entries(versions)
      .filter(([id, version]) => known.has(id) && known.get(id) !== version)
      .map(([id]) => id),
  }
}
