import { draftOf } from '../../core/brief/brief'
import type { BriefFields } from '../../core/brief/brief'
import { fileNameFor } from '../../core/draft/fileName'
import { packSuggested } from '../../core/tags/packable'
import type { BodyOf } from '../../shared/api'
import type { Brief } from '../../shared/brief'
import { api } from '~/composables/api'
import type { LimitProfile } from '../../core/draft/limits'

/** What a description is composed from, but for the phrases and the wording. */
export type ComposeGiven = Omit<BodyOf<'POST /api/descriptions/compose'>, 'phrases' | 'seed'>

/**
 * The texts a brief lacks, composed from its phrases: title, description, tags and file name. What is written stays.
 *
 * @param seed another number words them otherwise.
 * @returns nothing for a brief without a lead.
 */
export async function composedTexts(
  { fields, workspaceId, seriesPlace: town }: Brief,
  given: ComposeGiven,
  profile: LimitProfile,
  seed: number,
): Promise<Partial<Pick<BriefFields, 'title' | 'description' | 'tags' | 'fileName'>>> {
  const { lead, support } = fields.tray
  if (!lead) return {}
  const phrases = { lead, support: [...support] }
  const { language, region, ruleSet } = fields
  const made: Awaited<ReturnType<typeof composedTexts>> = {}
  if (!fields.title.trim()) {
    const question = { phrases, language, region, ruleSet, profile: profile.id, workspace: workspaceId, town }
    const { ideas } = await api('POST /api/titles/ideas', { body: { ...question, seed, count: 1 } })
    if (ideas[0]) made.title = ideas[0].title
  }
  if (!fields.description.trim())
    made.description = (
      await api('POST /api/descriptions/compose', { body: { ...given, language, phrases, town, seed } })
    ).description
  if (!fields.tags.length) {
    const { title = '', description = '' } = { ...draftOf(fields), ...made }
    const { suggestions, current } = await api('POST /api/tags/suggest', {
      body: {
        draft: { title, description, tags: [] },
        phrases,
        language,
        region,
        workspace: workspaceId,
        profile: profile.id,
        all: false,
      },
    })
    made.tags = packSuggested(current, suggestions, lead, profile).tags
  }
  if (!fields.fileName.trim()) made.fileName = fileNameFor(lead, '', language)
  return made
}
