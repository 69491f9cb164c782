import fc from 'fast-check'
import { fixed, type Draft } from '../../../../core/draft/draft'
import { CHECKS } from '../../../../core/draft/checks'
import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { BALANCED, EXACT_LINE, RULE_SETS, type RuleSet } from '../../../../core/draft/ruleset'
import { scoreDraft } from '../../../../core/draft/score'
import { runs } from '../../../setup/runs'

const score = (draft: Draft, phrases = { lead: 'bike chain', support: [] as string[] }, set: RuleSet = BALANCED) =>
  scoreDraft(draft, phrases, set, DEFAULT_PROFILE, 'en')

describe('the score', () => {
  test('points won of points that apply, worked out by hand', () => {
    // Two checks of weight 3 and 1: the title holds the lead (3 of 3); 30 of 40 characters (.75 of 1). 3.75 of 4 is
    // 93.75 %.
    const set: RuleSet = {
      ...BALANCED,
      checks: { 'title-lead': { weight: 3 }, 'title-width': { weight: 1, settings: { least: 40, most: 60 } } },
    }
    const { points, outOf, percent } = score({ title: 'Bike chain care in cold winter' }, undefined, set)
    expect([points, outOf, percent]).toEqual([3.75, 4, 93.75])
  })

  test('an absent field does not apply, an empty one is missing', () => {
    const absent = score({ title: 'Bike chain' })
    expect(absent.checks.filter(check => check.field === 'tags').every(check => check.state === 'n/a')).toBe(true)
    const empty = score({ title: 'Bike chain', tags: [] })
    expect(empty.checks.find(check => check.id === 'tag-limit')).toMatchObject({
      state: 'missing',
      points: 0,
      outOf: 3,
    })
    expect(empty.outOf).toBeGreaterThan(absent.outOf)
  })

  test('nothing that applies gives no percent rather than 0 or 100', () => expect(score({}).percent).toBeNull())

  test('nothing search-like is asked of a video that is not meant for search', () => {
    const draft = { title: 'For our friends at the mill', description: 'A film for the anniversary.', tags: [] }
    const { checks, placements, percent } = score(
      { ...draft, forSearch: false },
      { lead: 'bike chain', support: ['chain'] },
    )
    expect(checks.filter(({ question, state }) => question === 'found' && state !== 'n/a')).toEqual([])
    expect(checks.find(({ id }) => id === 'title-lead')).toMatchObject({ state: 'n/a', lacks: null })
    expect(checks.find(({ id }) => id === 'title-length')).toMatchObject({ state: 'met' })
    expect(placements).toEqual([])
    expect(percent).not.toBeNull()
    expect(score({ ...draft, forSearch: false }).percent!).toBeGreaterThan(score(draft).percent!)
  })

  test('the two sets want opposite things of one draft', () => {
    const draft = { title: 'Bike chain', description: 'Bike chain\n\nWhat you need to know about it.' }
    const ofTitle = (set: RuleSet) => score(draft, undefined, set).checks.find(check => check.id === 'title-width')!
    expect(ofTitle(EXACT_LINE).state).toBe('met')
    expect(ofTitle(BALANCED).state).toBe('partly')
    expect(score(draft, undefined, BALANCED).checks.some(check => check.id === 'title-is-lead')).toBe(false)
  })

  test('every check of a shipped set exists, and every check is used by a set', () => {
    const known = new Set(CHECKS.map(check => check.id))
    const used = new Set(RULE_SETS.flatMap(set => Object.keys(set.checks)))
    for (const id of used) expect(known).toContain(id)
    for (const id of known) expect(used).toContain(id)
    expect(known.size).toBe(CHECKS.length)
  })

  test('counts use each field’s own unit', () => {
    const { counts } = score({
      title: 'Ünï 🚲',
      description: 'é\n\n0:00 Begin\n#bike #chain',
      tags: ['bike chain', 'wax'],
    })
    expect(counts.title).toEqual({ used: 5, limit: 100, unit: 'codePoints' })
    expect(counts.description).toMatchObject({ used: 27, characters: 26, unit: 'bytes' })
    // 10 + 2 for the space, a comma, 3.
    expect(counts.tags.used).toBe(16)
    expect(counts.hashtags.used).toBe(2)
    expect(counts.chapters.used).toBe(1)
  })
})

describe('properties of any draft', () => {
  const text = fc.oneof(
    fc.string({ unit: 'grapheme', maxLength: 60 }),
    fc.constantFrom(
      'bike chain',
      'Bike CHAIN!!',
      '<script>alert(1)</script>',
      'https://x.com bike',
      'ÄÖÜ 自行车 链条',
      '\u0000\u202e chain',
    ),
  )
  const draft = fc.record({
    title: text,
    description: fc.array(text, { maxLength: 6 }).map(parts => parts.join('\n')),
    tags: fc.array(text, { maxLength: 8 }),
  })
  const phrases = fc.record({ lead: text, support: fc.array(text, { maxLength: 3 }) })

  test('fractions stay between 0 and 1, ranges inside their field, and fixes change what they name', () => {
    fc.assert(
      fc.property(draft, phrases, fc.constantFrom(...RULE_SETS), (given, asked, set) => {
        const { points, outOf, checks, placements } = score(given, asked, set)
        expect(points).toBeGreaterThanOrEqual(0)
        expect(points).toBeLessThanOrEqual(outOf + 1e-9)
        const lengthOf = (field: string, item?: number) =>
          field === 'tags' ? given.tags[item!]!.length : given[field as 'title' | 'description'].length
        for (const check of checks) {
          expect(check.points).toBeLessThanOrEqual(check.outOf)
          for (const { field, item, start, end } of check.ranges) {
            expect(start).toBeLessThanOrEqual(end)
            expect(end).toBeLessThanOrEqual(lengthOf(field, item))
          }
          for (const fix of check.fixes) expect(fixed(given, fix)).not.toEqual(given[fix.field as 'title'])
          if (check.state === 'met') expect(check.points).toBeCloseTo(check.outOf)
        }
        for (const { start, end } of placements) expect(start).toBeLessThanOrEqual(end)
      }),
      { numRuns: runs(120) },
    )
  })

  test('a fix never lowers the points of its own check', () => {
    fc.assert(
      fc.property(draft, phrases, fc.constantFrom(...RULE_SETS), (given, asked, set) => {
        for (const check of score(given, asked, set).checks) {
          for (const fix of check.fixes) {
            const after = score({ ...given, [fix.field]: fixed(given, fix) }, asked, set).checks.find(
              each => each.id === check.id,
            )!
            if (after.outOf) expect(after.points).toBeGreaterThanOrEqual(check.points - 1e-9)
          }
        }
      }),
      { numRuns: runs(80) },
    )
  })
})

describe('without a lead phrase', () => {
  test('no share is told: points are, and what needs a lead is named with its weight', () => {
    const { points, outOf, percent, checks } = score(
      { title: 'Chain care', description: 'You learn much.', tags: ['chain'] },
      { lead: '', support: [] },
    )
    expect(points).toBeGreaterThan(0)
    expect(outOf).toBeGreaterThan(points)
    expect(percent).toBeNull()
    const lacking = checks.filter(check => check.lacks === 'lead')
    expect(lacking.map(check => check.id).sort()).toEqual([
      'description-begin',
      'first-tags',
      'tag-lead',
      'title-front',
      'title-lead',
    ])
    expect(lacking.reduce((sum, check) => sum + check.weight, 0)).toBe(14 + 7 + 8 + 4 + 3)
    for (const check of lacking) expect(check).toMatchObject({ state: 'n/a', points: 0, outOf: 0 })
  })
  test('a rule set that asks for none has its share', () => {
    const set: RuleSet = { ...BALANCED, checks: { 'title-length': { weight: 4 } } }
    expect(score({ title: 'Chain care' }, { lead: '', support: [] }, set).percent).toBe(100)
  })
})
