import { diffLines } from 'diff'
import type { DraftContext } from './context'
import { fixed, type Draft, type DraftPhrases } from './draft'
import { applyText, textEdits } from './edits'
import { withHelpfulFixes } from './helpful'
import type { LimitProfile } from './limits'
import type { RuleSet } from './ruleset'
import { pointsOf, scoreDraft } from './score'

/**
 * One piece of a proposal. In a text `start` and `end` are UTF-16 offsets, half-open, and `insert` takes the place of
 * what stands between; in tags they count tags, and `insert` is tags separated by commas.
 */
export interface CoverEdit {
  field: 'title' | 'description' | 'tags'
  start: number
  end: number
  insert: string
  /** What it brings by itself under the rule set. */
  points: number
}

export interface Cover {
  edits: CoverEdit[]
  /** Points of the draft as it is, and with all edits. */
  before: number
  after: number
}

/** Checks by which a rule set asks for a phrase in a place. */
const ASKING = new Set(['title-lead', 'title-front', 'title-is-lead', 'description-begin', 'support-told', 'tag-lead'])
/** No draft needs more steps; each puts at least one phrase where it is asked for. */
const MOST_STEPS = 12

/**
 * The fewest ready-made edits that put every phrase where the rule set asks for it: the fix that brings most is taken
 * again and again, until none of these checks has one that helps.
 */
export function coverEverything(
  draft: Draft,
  phrases: DraftPhrases,
  ruleSet: RuleSet,
  profile: LimitProfile,
  language: string,
  context?: DraftContext,
): Cover {
  const score = (of: Draft) => scoreDraft(of, phrases, ruleSet, profile, language, context)
  const before = score(draft)
  let [covered, now] = [draft, before]
  for (let step = 0; step < MOST_STEPS; step++) {
    const asked = { ...now, checks: now.checks.filter(check => ASKING.has(check.id)) }
    const fixes = withHelpfulFixes(asked, covered, phrases, ruleSet, profile, language, context).checks.flatMap(
      check => check.fixes,
    )
    const best = fixes.sort((a, b) => (b.gain ?? 0) - (a.gain ?? 0))[0]
    if (!best) break
    covered = { ...covered, [best.field]: fixed(covered, best) }
    now = score(covered)
  }
  const edits = piecesOf(draft, covered).map(piece => ({
    ...piece,
    points: pointsOf(withPiece(draft, piece), phrases, ruleSet, profile, language, context).points - before.points,
  }))
  return { edits, before: before.points, after: now.points }
}

type Piece = Omit<CoverEdit, 'points'>

/** What differs between two drafts, field by field and stretch by stretch. */
function piecesOf(from: Draft, to: Draft): Piece[] {
  const pieces: Piece[] = []
  const [titles, texts] = [
    [from.title ?? '', to.title ?? ''],
    [from.description ?? '', to.description ?? ''],
  ] as const
  for (const edit of textEdits(...titles)) pieces.push({ field: 'title', ...edit })
  for (const { start, end, insert } of lineEdits(...texts)) {
    const old = texts[0].slice(start, end)
    for (const edit of textEdits(old, insert))
      pieces.push({ field: 'description', start: start + edit.start, end: start + edit.end, insert: edit.insert })
  }
  const [old, tags] = [from.tags ?? [], to.tags ?? []]
  let head = 0
  while (head < old.length && head < tags.length && old[head] === tags[head]) head++
  let tail = 0
  while (
    tail < old.length - head &&
    tail < tags.length - head &&
    old[old.length - 1 - tail] === tags[tags.length - 1 - tail]
  )
    tail++
  if (head + tail < Math.max(old.length, tags.length))
    pieces.push({
      field: 'tags',
      start: head,
      end: old.length - tail,
      insert: tags.slice(head, tags.length - tail).join(', '),
    })
  return pieces
}

/** Stretches of lines in which two texts differ. */
function lineEdits(before: string, after: string): { start: number; end: number; insert: string }[] {
  const edits: { start: number; end: number; insert: string }[] = []
  let at = 0
  let open: { start: number; end: number; insert: string } | null = null
  for (const { value, added, removed } of diffLines(before, after)) {
    if (!added && !removed) {
      open = null
      at += value.length
      continue
    }
    if (!open) edits.push((open = { start: at, end: at, insert: '' }))
    if (added) open.insert += value
    else at = open.end = at + value.length
  }
  return edits
}

/** A draft with one piece of a proposal taken. */
export function withPiece(draft: Draft, { field, start, end, insert }: Piece): Draft {
  if (field === 'tags') {
    const tags = [...(draft.tags ?? [])]
    tags.splice(start, end - start, ...(insert ? insert.split(', ') : []))
    return { ...draft, tags }
  }
  return { ...draft, [field]: applyText(draft[field] ?? '', [{ start, end, insert }]) }
}
