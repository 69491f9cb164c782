/**
 * What is read of the page that stands for a phrase (`g`): where it is a misspelling's, of the page of the right
 * spelling (`r`).
 */
export const EFFECTIVE_PAGE = {
  join: 'LEFT JOIN standing_page r ON r.phrase_id = g.read_as AND r.region = g.region',
  difficulty: 'iif(r.phrase_id IS NULL, g.difficulty, r.difficulty)',
  titleMatches: 'iif(r.phrase_id IS NULL, g.title_matches, r.title_matches)',
  strengths: 'iif(r.phrase_id IS NULL, g.strengths, r.strengths)',
  hurdle: 'iif(r.phrase_id IS NULL, g.hurdle, r.hurdle)',
  more: 'iif(r.phrase_id IS NULL, g.more, r.more)',
} as const
