import type { Proposal } from '../../core/next/proposal'
import type { Stage } from '../../core/release/stage'
import { leftOf, readiness } from '../../core/release/readiness'
import { viewsToWin } from '../../core/rivals/winnings'
import { phraseKey } from '../../core/text/words'
import { DAY } from '../../core/time'
import type { Brief } from '../../shared/brief'
import { rightsFor } from '../release/account'
import { readinessFrom } from '../release/readiness'
import { stagesOf } from '../release/stages'
import type { LearntModels } from '../rivals/learntModels'
import { pageForecast } from '../rivals/pageForecast'
import type { Runtime } from '../runtime'

type Stores = Parameters<typeof stagesOf>[0] &
  Pick<Runtime, 'briefs' | 'phrases' | 'publications' | 'results' | 'watches' | 'workspaces' | 'now'> & {
    chances: LearntModels
  }

/** A release is near so long before its hour, and worth a word so long after it. */
const NEAR = 2 * DAY
const OVER = 30 * DAY
/** A brief that was worked on since is in hand: nobody needs to be told of it. */
const AT_REST = 2 * DAY

/** What is worth doing about the briefs of a workspace. @returns how many there are, and the proposals. */
export function ofBriefs(stores: Stores, workspace: string): { looked: number; proposals: Proposal[] } {
  const { listed } = stores.briefs.list(workspace)
  const stages = stagesOf(stores, listed)
  const home: Home = {
    watched: new Set(stores.watches.videos(workspace)),
    standing: stores.workspaces.standing(workspace),
  }
  return {
    looked: listed.length,
    proposals: listed.flatMap(brief => ofBrief(stores, brief, stages.get(brief.id)!, home) ?? []),
  }
}

/** What holds for all briefs of a workspace. */
interface Home {
  /** Videos with phrases that are watched. */
  watched: ReadonlySet<string>
  standing: ReturnType<Stores['workspaces']['standing']>
}

function ofBrief(stores: Stores, brief: Brief, stage: Stage, { watched, standing }: Home): Proposal | null {
  const { id, fields } = brief
  const { lead, support } = fields.tray
  const about = {
    title: fields.title || fields.topic,
    phrase: lead ?? '',
    region: fields.region ?? null,
    brief: id,
    video: null,
    due: null,
    views: null,
  }
  const phrases = (lead ? 1 : 0) + support.length
  if (stage === 'out') {
    const video = stores.publications.of(id)?.video ?? null
    if (video === null || !phrases || watched.has(video)) return null
    return { ...about, kind: 'watch', key: `watch:${video}`, video, phrases }
  }
  if (stage === 'handed over') return { ...about, kind: 'address', key: `address:${id}`, phrases }
  return releaseOf(stores, brief, about) ?? writingOf(stores, brief, about, stage, standing)
}

type About = Omit<Proposal, 'key' | 'kind'>

/** A release whose hour is near, or over. */
function releaseOf(stores: Stores, { id, workspaceId, fields }: Brief, about: About): Proposal | null {
  const { releaseAt: due } = fields
  const now = stores.now()
  if (typeof due !== 'number' || due > now + NEAR || due < now - OVER) return null
  const rights = rightsFor(stores.accounts, stores.workspaces.get(workspaceId)!.channelId)
  // The whole brief: its captions are among the points.
  const left = leftOf(readiness(readinessFrom(stores, stores.briefs.get(id)!, rights))).length
  const overdue = due < now
  if (!left && !overdue) return null
  return { ...about, kind: 'release', key: `release:${id}`, due, left, overdue }
}

/** A lead that was settled on, whose texts are not written. */
function writingOf(
  stores: Stores,
  brief: Brief,
  about: About,
  stage: Stage,
  { own, settings }: Home['standing'],
): Proposal | null {
  if (stage !== 'settled' || brief.updatedAt > Date.now() - AT_REST) return null
  const { language, region } = brief.fields
  const known = stores.phrases.known(phraseKey(about.phrase), region ?? '', language)
  const page = known && stores.results.latest(known.id, region ?? '')
  if (!known || !page?.complete || !own) return null
  const { ahead } = pageForecast(stores, page, own, { phrase: about.phrase, language })
  const won = ahead && viewsToWin(known.volume, ahead, settings.shares)
  if (!won) return null
  const views = won.expected / MONTHS_WON
  return { ...about, kind: 'write', key: `write:${brief.id}`, views, chance: ahead.pageOne, since: brief.updatedAt }
}

/** Views to win are those of ninety days. */
const MONTHS_WON = 3
