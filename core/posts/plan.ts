import { z } from 'zod'
import { OUTLET_KINDS, type Outlet, type OutletKind } from './outlet'
import { POST_KINDS, POSTS, type PostKind } from './kinds'

/** One step of the plan after a release. */
export const spreadStepSchema = z.object({
  what: z.string().trim().min(1, 'Write what is to be done.').max(200, 'A step can be 200 characters at most.'),
  /** The text it is done with; `null` where it needs none. */
  post: z.enum(POST_KINDS).nullable().default(null),
  /** The id of its outlet; `null` where it has none. */
  outlet: z.uuid().nullable().default(null),
  /** Minutes after the release. */
  minutes: z.number().int().min(0, 'A step comes after the release.').max(10_080, 'A step comes within a week.'),
  by: z.string().trim().max(60, 'A name can be 60 characters at most.').default(''),
  /** UTC milliseconds; `null` while it is to be done. */
  doneAt: z.number().int().min(0).max(8.64e15).nullable().default(null),
  /** Visits it brought, as somebody read them off; `null` where nobody did. */
  brought: z.number().int().min(0, 'A number of visits is 0 or more.').max(1e10).nullable().default(null),
})
export type SpreadStep = z.infer<typeof spreadStepSchema>

/** When each kind of outlet is told, in minutes after the release: who reads at once first, who needs care later. */
const AT: Record<OutletKind, number> = { push: 0, list: 5, page: 10, group: 20, forum: 35, site: 50 }
const APART = 5
/** What is done whatever outlets there are. */
const ALWAYS: readonly Pick<SpreadStep, 'what' | 'minutes'>[] = [
  { what: 'Watch the video while signed out', minutes: 0 },
  { what: 'Answer the first comments', minutes: 15 },
  { what: 'Answer new comments', minutes: 60 },
]

/**
 * A plan for the first hour: each outlet at its time, several of a kind some minutes apart, and what is always done.
 * @param outlets those of the workspace, with their ids.
 */
export function firstHour(outlets: readonly (Pick<Outlet, 'name' | 'kind'> & { id: string })[]): SpreadStep[] {
  const steps = OUTLET_KINDS.flatMap(kind =>
    outlets
      .filter(outlet => outlet.kind === kind)
      .map(({ id, name }, i) => ({
        what: `Announce: ${name}`,
        post: postFor(kind),
        outlet: id,
        minutes: AT[kind] + APART * i,
      })),
  )
  return [...ALWAYS, ...steps]
    .sort((a, b) => a.minutes - b.minutes)
    .map(step => spreadStepSchema.parse({ ...step, by: '' }))
}

/** The text an outlet of a kind is told with. */
export const postFor = (kind: OutletKind): PostKind =>
  POSTS.find(({ outlets }) => outlets.includes(kind))?.id ?? 'short'

/** Steps in the order in which they are done. */
export const inTime = <Step extends Pick<SpreadStep, 'minutes' | 'what'>>(steps: readonly Step[]): Step[] =>
  [...steps].sort((a, b) => a.minutes - b.minutes || (a.what < b.what ? -1 : 1))
