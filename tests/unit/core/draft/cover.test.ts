import fc from 'fast-check'
import { coverEverything, withPiece, type Cover } from '../../../../core/draft/cover'
import type { Draft } from '../../../../core/draft/draft'
import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { BALANCED, RULE_SETS } from '../../../../core/draft/ruleset'
import { scoreDraft } from '../../../../core/draft/score'
import { runs } from '../../../setup/runs'

const phrases = { lead: 'wax a bike chain', support: ['chain lube', 'rusty chain'] }
const cover = (draft: Draft, set = BALANCED) => coverEverything(draft, phrases, set, DEFAULT_PROFILE, 'en')
/** All pieces, last first, so that offsets of the others stay right. */
const taken = (draft: Draft, { edits }: Cover) => [...edits].reverse().reduce<Draft>(withPiece, draft)

test('an empty draft gets every phrase where the set asks for it', () => {
  const draft = { title: '', description: '', tags: [] }
  const done = taken(draft, cover(draft))
  expect(done.title).toBe('Wax a bike chain')
  expect(done.description).toMatch(/^Wax a bike chain[\s\S]*chain lube, rusty chain/u)
  expect(done.tags).toEqual(['wax a bike chain'])
})

test('what is covered needs nothing', () => {
  const draft = { title: '', description: '', tags: [] }
  const done = taken(draft, cover(draft))
  expect(cover(done)).toMatchObject({ edits: [] })
})

test('pieces stand alone, keep what was written, and all together make the promised points', () => {
  const word = fc.constantFrom('chain', 'rusty', 'wax', 'You learn', 'bike.', '#wax', 'https://wheelshed.example', '\n')
  const text = (most: number) => fc.array(word, { maxLength: most }).map(words => words.join(' '))
  fc.assert(
    fc.property(
      fc.record({ title: text(6), description: text(30), tags: fc.array(text(3), { maxLength: 4 }) }),
      fc.constantFrom(...RULE_SETS),
      (draft, set) => {
        const found = cover(draft, set)
        const score = (of: Draft) => scoreDraft(of, phrases, set, DEFAULT_PROFILE, 'en').points
        expect(found.before).toBeCloseTo(score(draft))
        expect(found.after).toBeGreaterThanOrEqual(found.before - 1e-9)
        // Tags with a comma cannot be told apart in a piece's text; drafts here have none.
        expect(score(taken(draft, found))).toBeCloseTo(found.after)
        let end = { title: 0, description: 0, tags: 0 }
        for (const edit of found.edits) {
          expect(edit.start).toBeGreaterThanOrEqual(end[edit.field])
          end = { ...end, [edit.field]: edit.end }
          expect(edit.points).toBeCloseTo(score(withPiece(draft, edit)) - found.before)
        }
      },
    ),
    { numRuns: runs(60) },
  )
})
