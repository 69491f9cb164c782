import fc from 'fast-check'
import { DEFAULT_PROFILE, tagsCost, type LimitProfile } from '../../../../core/draft/limits'
import { packTags, type TagCandidate } from '../../../../core/draft/tags'
import { runs } from '../../../setup/runs'

const profileOf = (limit: number): LimitProfile => ({ ...DEFAULT_PROFILE, tags: { ...DEFAULT_PROFILE.tags, limit } })

/** The best value by trying every subset. */
function byTrial(candidates: TagCandidate[], lead: string, limit: number): number {
  const leadTags = lead && tagsCost([lead], profileOf(limit)) <= limit ? [lead] : []
  const rest = candidates.filter(each => each.tag !== lead)
  const leadValue = leadTags.length ? (candidates.find(each => each.tag === lead)?.value ?? 0) : 0
  let best = 0
  for (let mask = 0; mask < 1 << rest.length; mask++) {
    const chosen = rest.filter((_, i) => (mask >> i) & 1)
    if (tagsCost([...leadTags, ...chosen.map(each => each.tag)], profileOf(limit)) <= limit)
      best = Math.max(
        best,
        chosen.reduce((sum, each) => sum + each.value, 0),
      )
  }
  return leadValue + best
}

describe('the packer', () => {
  test('fills a small limit by hand', () => {
    // 12 characters: lead "bike" 4; then "abc" costs 1 + 3 = 4 for 5, "abcdef" 1 + 6 = 7 for 8. 4 + 7 = 11 fits, 4 + 4
    // + 7 = 15 does not: 8 beats 5.
    expect(
      packTags(
        [
          { tag: 'abc', value: 5 },
          { tag: 'abcdef', value: 8 },
          { tag: 'bike', value: 1 },
        ],
        'bike',
        profileOf(12),
      ),
    ).toEqual({ tags: ['bike', 'abcdef'], used: 11, limit: 12, value: 9 })
  })

  test('is exact: never worse than trying every subset, and never over the limit', () => {
    const tag = fc
      .tuple(fc.integer({ min: 1, max: 9 }), fc.boolean())
      .map(([length, spaced]) => 'x'.repeat(length) + (spaced ? ' y' : ''))
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.record({ tag, value: fc.integer({ min: 0, max: 50 }) }), {
          maxLength: 9,
          selector: each => each.tag,
        }),
        fc.integer({ min: 0, max: 40 }),
        fc.boolean(),
        (candidates, limit, withLead) => {
          const lead = withLead && candidates[0] ? candidates[0].tag : ''
          const packed = packTags(candidates, lead, profileOf(limit))
          expect(packed.used).toBeLessThanOrEqual(limit)
          expect(packed.used).toBe(tagsCost(packed.tags, profileOf(limit)))
          expect(packed.value).toBeCloseTo(byTrial(candidates, lead, limit))
        },
      ),
      { numRuns: runs(300) },
    )
  })

  test('the lead stands first whatever its value; one that cannot fit is left out', () => {
    expect(packTags([{ tag: 'a', value: 9 }], 'lead', DEFAULT_PROFILE).tags).toEqual(['lead', 'a'])
    expect(packTags([{ tag: 'a', value: 9 }], 'far too long', profileOf(5)).tags).toEqual(['a'])
  })

  test('repeats count once, at their best value', () =>
    expect(
      packTags(
        [
          { tag: 'A', value: 1 },
          { tag: 'a ', value: 4 },
        ],
        '',
        DEFAULT_PROFILE,
      ),
    ).toMatchObject({ tags: ['a'], value: 4 }))
})
