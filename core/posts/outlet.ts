import { z } from 'zod'

/** Where a video is told of. Nothing is posted there by this program. */
export const OUTLET_KINDS = ['page', 'group', 'forum', 'list', 'push', 'site'] as const
export type OutletKind = (typeof OUTLET_KINDS)[number]
export const OUTLET_NAMES: Record<OutletKind, string> = {
  page: 'Own page',
  group: 'Group',
  forum: 'Forum',
  list: 'Mailing list',
  push: 'Push notices',
  site: 'Web site',
}
/** What a link from there counts as, in `utm_medium`. */
export const OUTLET_MEDIA: Record<OutletKind, string> = {
  page: 'social',
  group: 'social',
  forum: 'forum',
  list: 'email',
  push: 'push',
  site: 'web',
}

export const outletSchema = z.object({
  name: z.string().trim().min(1, 'Give the outlet a name.').max(100, 'A name can be 100 characters at most.'),
  kind: z.enum(OUTLET_KINDS, 'Choose what kind of outlet it is.'),
  /** Where it is; '' where it has no address. */
  address: z.union([
    z.literal(''),
    z
      .string()
      .max(2000, 'An address can be 2,000 characters at most.')
      .regex(/^https?:\/\/[^\s]+$/u, 'An address begins with https:// and has no spaces.'),
  ]),
  /** How many people it reaches; `null` where nobody knows. */
  audience: z.number().int().min(0, 'A number of people is 0 or more.').max(1e10).nullable().default(null),
  /** What links from there are known by, in `utm_source`. */
  tag: z
    .string()
    .trim()
    .min(1, 'Give its links a tag.')
    .max(60, 'A tag can be 60 characters at most.')
    .regex(/^[a-z0-9][a-z0-9._-]*$/u, 'A tag has small letters, digits, dots and dashes.'),
  note: z.string().max(500, 'A note can be 500 characters at most.').default(''),
})
export type Outlet = z.infer<typeof outletSchema>

/** A tag for the links of an outlet, from its name. @returns '' where the name has no plain letters. */
export const tagFor = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/gu, '-')
    .replace(/^-|-$/gu, '')
    .slice(0, 60)
