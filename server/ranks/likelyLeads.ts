import { leadInTitle } from '../../core/demand/leadInTitle'
import { groupsIn } from '../../core/demand/phrasesIn'
import { likelyLead } from '../../core/formats/videoTexts'
import type { LeadFrom } from '../../shared/audit'
import type { AimedStore } from '../data/aimed'
import type { VideoBrief } from '../data/videoBriefs'
import type { PhraseStore } from '../data/phrases'

/** What a video is meant for. */
export interface VideoLead {
  lead: string
  support: string[]
  language: string
  /** `null` where nothing tells it. */
  from: LeadFrom | null
}

interface Question {
  /** The brief that it came of. */
  brief: VideoBrief | undefined
  /** Phrases that it is watched or was foretold for. */
  aimed: readonly string[]
  title: string
  tags: string[] | null
  /** '' for everywhere. */
  region: string
  language: string
}

/** Phrases that each video of a workspace is watched or was foretold for. @param region '' for everywhere. */
export function aimsOf(
  aimed: Pick<AimedStore, 'of'>,
  workspace: string,
  region: string,
  language: string,
): (video: string) => string[] {
  const aims = new Map<string, string[]>()
  for (const each of aimed.of(workspace))
    if (each.region === region && each.language === language)
      aims.set(each.video, [...(aims.get(each.video) ?? []), each.phrase])
  return video => aims.get(video) ?? []
}

/**
 * What a video is meant for: the lead of its brief; else of what it is watched for the phrase searched most; else a tag
 * that stands in its title; else a known phrase in its title.
 */
export function likelyLeadOf(
  phrases: Pick<PhraseStore, 'known'>,
  { brief, aimed, title, tags, region, language }: Question,
): VideoLead {
  if (brief?.lead)
    return { lead: brief.lead, support: brief.support, language: brief.language || language, from: 'brief' }
  const searched = aimed
    .map(phrase => ({ phrase, volume: phrases.known(phrase, region, language)?.volume ?? -1 }))
    .sort((a, b) => b.volume - a.volume || a.phrase.localeCompare(b.phrase))[0]
  const found = (lead: string, from: LeadFrom): VideoLead => ({ lead, support: [], language, from })
  if (searched) return found(searched.phrase, 'watch')
  const tag = likelyLead({ title, tags }, language)
  if (tag) return found(tag, 'tag')
  const known = groupsIn(title, language).flatMap(({ phrase, words }) => {
    const volume = words > 1 ? phrases.known(phrase, region, language)?.volume : null
    return volume ? [{ phrase, volume }] : []
  })
  const inTitle = leadInTitle(known)(title)
  return inTitle ? found(inTitle, 'title') : { lead: '', support: [], language, from: null }
}
