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

const FORM: Record<string, Rule> = {
  'title-length': { weight: 4 },
  'title-signs': { weight: 2 },
  'description-limit': { weight: 3 },
  'description-signs': { weight: 2 },
  'link-scheme': { weight: 3 },
  'no-gaps': { weight: 6 },
  'tag-limit': { weight: 3 },
  'tag-repeats': { weight: 2 },
  'hashtag-limit': { weight: 2 },
  'standing-lines': { weight: 3 },
}

/** The lead near the front, then a reason to click; a description that reads, tags that fit. */
export const BALANCED: RuleSet = {
  format: 1,
  id: 'balanced',
  name: 'Balanced',
  note: 'The lead near the front of a natural title, repeated at the start of the description; support phrases used; tags close to the subject.',
  checks: {
    ...FORM,
    'title-lead': { weight: 14 },
    'title-front': { weight: 7 },
    'title-spoken': { weight: 6 },
    'title-width': { weight: 4, settings: { aim: 'long', least: 45, most: 100 } },
    'description-begin': { weight: 8, settings: { where: 'sentences' } },
    'description-first': { weight: 4, settings: { first: 'benefit' } },
    'description-length': { weight: 4, settings: { least: 600, most: 5000 } },
    'support-told': { weight: 8 },
    'viewer-request': { weight: 3 },
    'title-kept': { weight: 5 },
    'title-hook': { weight: 4 },
    'title-apart': { weight: 4 },
    'title-words': { weight: 2 },
    'title-promise': { weight: 3 },
    'opening-plain': { weight: 2 },
    'contact-first': { weight: 4 },
    'comment-question': { weight: 2 },
    'tag-lead': { weight: 4, settings: { position: 'first' } },
    'tag-count': { weight: 3, settings: { least: 8, most: 30 } },
    'tag-support': { weight: 4 },
    'first-tags': { weight: 3 },
    'tag-searches': { weight: 3 },
    'tag-filler': { weight: 1 },
    'hashtag-count': { weight: 2 },
    'hashtag-support': { weight: 2 },
    'own-name': { weight: 1 },
    'other-names': { weight: 4 },
  },
}

/** The phrase and nothing else. */
export const EXACT_LINE: RuleSet = {
  format: 1,
  id: 'exact-line',
  name: 'Exact line',
  note: 'The title is exactly the phrase, the first line of the description is the phrase alone, and a few tags repeat it.',
  checks: {
    ...FORM,
    'title-is-lead': { weight: 20 },
    'title-lead': { weight: 8 },
    'title-front': { weight: 4 },
    'title-width': { weight: 4, settings: { aim: 'short', least: 10, most: 60 } },
    'description-begin': { weight: 12, settings: { where: 'alone' } },
    'description-length': { weight: 3, settings: { least: 150, most: 5000 } },
    'support-told': { weight: 4 },
    'title-kept': { weight: 3 },
    'title-promise': { weight: 2 },
    'first-tags': { weight: 2 },
    'other-names': { weight: 3 },
    'tag-lead': { weight: 6, settings: { position: 'first' } },
    'tag-count': { weight: 3, settings: { least: 3, most: 15 } },
    'tag-support': { weight: 4 },
  },
}

/** Every character a title may have, and a description that tells everything. */
export const FULL_WIDTH: RuleSet = {
  format: 1,
  id: 'full-width',
  name: 'Full width',
  note: 'The title uses most of its hundred characters for several phrases; the description is long and holds every phrase; tags fill their space.',
  checks: {
    ...FORM,
    'title-lead': { weight: 14 },
    'title-front': { weight: 5 },
    'title-spoken': { weight: 4 },
    'title-width': { weight: 10, settings: { aim: 'long', least: 75, most: 100 } },
    'description-begin': { weight: 8, settings: { where: 'opening' } },
    'description-length': { weight: 8, settings: { least: 1500, most: 5000 } },
    'support-told': { weight: 12 },
    'viewer-request': { weight: 3 },
    'title-kept': { weight: 4 },
    'title-hook': { weight: 2 },
    'title-apart': { weight: 2 },
    'title-words': { weight: 3, settings: { least: 9, most: 20 } },
    'title-format': { weight: 2 },
    'title-promise': { weight: 2 },
    'contact-first': { weight: 4 },
    'comment-question': { weight: 2 },
    'tag-lead': { weight: 4, settings: { position: 'first' } },
    'tag-count': { weight: 6, settings: { least: 15, most: 60 } },
    'tag-support': { weight: 6 },
    'first-tags': { weight: 3, settings: { first: 5 } },
    'tag-searches': { weight: 4, settings: { least: 5000 } },
    'tag-title': { weight: 2 },
    'tag-misspelling': { weight: 2 },
    'hashtag-count': { weight: 3, settings: { least: 3, most: 15 } },
    'hashtag-support': { weight: 2 },
    'own-name': { weight: 2 },
    'other-names': { weight: 4 },
  },
}

/** The sets that ship, the first being the one a new brief begins with. */
export const RULE_SETS: readonly RuleSet[] = [BALANCED, FULL_WIDTH, EXACT_LINE]

/** A set that ships by its id; the first one for an id that none has. */
export const ruleSetOf = (id: string): RuleSet => RULE_SETS.find(each => each.id === id) ?? RULE_SETS[0]!
