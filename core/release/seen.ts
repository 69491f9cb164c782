import type { BriefFields } from '../brief/brief'
import { NO_CONTEXT } from '../draft/context'
import type { LimitProfile } from '../draft/limits'
import type { RuleSet } from '../draft/ruleset'
import { pointsOf, stateOf, type TriedCheck } from '../draft/score'
import { linksOf } from '../draft/links'
import { gapsOf } from '../descriptions/gaps'
import { clock } from '../captions/cue'
import { listed } from '../text/inWords'
import { faultInWords, formatName, megabytes, thumbnailFaults } from '../thumbnail/mend'
import { cardFaults } from './cards'
import { elementFaults, endScreenFaults } from './endScreen'
import { done, na, notAllowed, open, type Found, type SeenId } from './point'
import { LACKING, type ChannelRight } from './rights'

/** What is known around a brief that its release depends on. */
export interface ReleaseAround {
  profile: LimitProfile
  /** Titles of the playlists it stands in. */
  playlists: readonly string[]
  /** The pictures kept for it, by their SHA-256; a brief that came as a text alone has none. */
  pictures: readonly string[]
  /** What the account may do for the channel; `null` where nobody told. */
  rights: readonly ChannelRight[] | null
}

/** The checks of a text that a site goes by: what fails them is refused, cut or shown wrong. */
const RULES: RuleSet = {
  format: 1,
  id: 'release',
  name: 'Release',
  note: '',
  checks: Object.fromEntries(
    [
      'title-length',
      'title-signs',
      'description-limit',
      'description-signs',
      'tag-limit',
      'hashtag-limit',
      'chapter-form',
      'link-scheme',
      'file-name-lead',
    ].map(id => [id, { weight: 1 }]),
  ),
}

/** Whether captions carry times, as SRT and WebVTT mark them. */
const timed = (captions: string) => captions.includes('-->')

const lacks = ({ rights }: ReleaseAround, right: ChannelRight) => rights !== null && !rights.includes(right)

/** What Fonetra sees for itself, point by point. */
export const SEEN_POINTS: readonly {
  id: SeenId
  title: string
  look: (fields: BriefFields, around: ReleaseAround, checks: ReadonlyMap<string, TriedCheck>) => Found
}[] = [
  { id: 'title', title: 'Title', look: (_, __, checks) => byChecks(checks, 'title-length', 'title-signs') },
  {
    id: 'description',
    title: 'Description',
    look: (fields, _, checks) =>
      fields.description.trim()
        ? byChecks(checks, 'description-limit', 'description-signs')
        : open('There is no description yet.'),
  },
  { id: 'gaps', title: 'No gaps left', look: ({ description }) => gapsLeft(description) },
  { id: 'links', title: 'Links', look: ({ description }, around, checks) => linksIn(description, around, checks) },
  {
    id: 'tags',
    title: 'Tags',
    look: ({ tags }, _, checks) => (tags.length ? byChecks(checks, 'tag-limit') : open('There are no tags yet.')),
  },
  {
    id: 'hashtags',
    title: 'Hashtags',
    look: (_, __, checks) => byChecks(checks, 'hashtag-limit'),
  },
  { id: 'chapters', title: 'Chapters', look: (_, __, checks) => byChecks(checks, 'chapter-form') },
  { id: 'file', title: 'File named after the lead', look: (fields, _, checks) => fileNamed(fields, checks) },
  {
    id: 'captions',
    title: 'Captions',
    look: ({ captions }) =>
      !captions.trim()
        ? open('There are no captions yet. Without them viewers get automatic ones.')
        : timed(captions)
          ? done('Loaded, with times.')
          : open('They have no times yet. Time them under Spoken.'),
  },
  { id: 'thumbnail', title: 'Thumbnail', look: (fields, around) => thumbnailFits(fields, around) },
  { id: 'cards', title: 'Cards', look: (fields, around) => cardsFit(fields, around) },
  { id: 'endScreen', title: 'End screen', look: (fields, around) => endScreenFits(fields, around) },
  {
    id: 'playlist',
    title: 'Playlist',
    look: (_, { playlists }) =>
      playlists.length ? done(`In ${listed(playlists)}.`) : open('It is in no playlist yet.'),
  },
]

/** The first of some checks that is not met decides; those with nothing to look at are left out. */
function byChecks(checks: ReadonlyMap<string, TriedCheck>, ...ids: string[]): Found {
  const tried = ids.map(id => checks.get(id)!.outcome)
  const applies = tried.filter(({ fraction }) => fraction !== null)
  if (!applies.length) return na(tried[0]!.message)
  const fault = applies.find(({ fraction }) => stateOf(fraction) !== 'met')
  return fault ? open(fault.message) : done(applies[0]!.message)
}

function gapsLeft(description: string): Found {
  const gaps = gapsOf(description)
  if (!description.trim()) return na('There is no description yet.')
  return gaps.length
    ? open(`${gaps.length === 1 ? 'One gap is' : `${gaps.length} gaps are`} left in the description. Fill them in.`)
    : done('Nothing is left to fill in.')
}

function linksIn(description: string, around: ReleaseAround, checks: ReadonlyMap<string, TriedCheck>): Found {
  if (linksOf(description).length && lacks(around, 'links')) return notAllowed(LACKING.links)
  return byChecks(checks, 'link-scheme')
}

function thumbnailFits({ thumbnail }: BriefFields, around: ReleaseAround): Found {
  if (lacks(around, 'thumbnails')) return notAllowed(LACKING.thumbnails)
  if (!thumbnail) return open('No thumbnail is chosen yet. Without one the site takes a frame of the video.')
  if (!around.pictures.includes(thumbnail.hash)) return open('The picture itself is not here. Add it under Thumbnail.')
  const [fault] = thumbnailFaults(thumbnail, around.profile)
  if (fault) return open(`${faultInWords(fault, thumbnail, around.profile)} Mend it under Thumbnail.`)
  const { width, height, format, bytes } = thumbnail
  return done(`${width}×${height}, ${formatName(format)}, ${megabytes(bytes)}.`)
}

function cardsFit({ cards, seconds, endScreen }: BriefFields, { profile, rights }: ReleaseAround): Found {
  if (!cards.length) return open('No card leads to another video yet.')
  const found = cardFaults(cards, { seconds, endFrom: endScreen?.from ?? null, profile, rights })
  const at = found.findIndex(faults => faults.length)
  return at < 0
    ? done(`${cards.length === 1 ? 'One card' : `${cards.length} cards`}, each at its moment.`)
    : open(`At ${clock(cards[at]!.at)}: ${found[at]![0]!}`)
}

function endScreenFits({ endScreen, seconds }: BriefFields, { profile, rights }: ReleaseAround): Found {
  if (!endScreen) return open('There is no end screen yet: nothing leads on after the video.')
  const [fault] = [
    ...endScreenFaults(endScreen, seconds, profile),
    ...elementFaults(endScreen.elements, profile, rights).flat(),
  ]
  if (fault) return open(fault)
  return done(
    `From ${clock(endScreen.from)} to the end, with ${endScreen.elements.length === 1 ? 'one element' : `${endScreen.elements.length} elements`}.`,
  )
}

function fileNamed({ fileName, tray, forSearch }: BriefFields, checks: ReadonlyMap<string, TriedCheck>): Found {
  if (!forSearch) return na('The video is not meant for search.')
  if (!tray.lead) return na('There is no lead phrase yet.')
  return fileName.trim() ? byChecks(checks, 'file-name-lead') : open('The file has no name yet.')
}

/** The checks of the text, tried once for all points. */
export function triedChecks(fields: BriefFields, profile: LimitProfile): ReadonlyMap<string, TriedCheck> {
  const { title, description, tags, fileName, seconds, language, tray } = fields
  const draft = { title, description, tags, fileName, ...(seconds === null ? {} : { durationSeconds: seconds }) }
  const { tried } = pointsOf(draft, { lead: tray.lead ?? '', support: [] }, RULES, profile, language, NO_CONTEXT)
  return new Map(tried.map(each => [each.check.id, each]))
}
