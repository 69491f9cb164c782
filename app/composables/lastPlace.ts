import type { LocationQuery, RouteLocationNormalized } from 'vue-router'
import { remember } from './remember'

const PLACE = 'fonetra.place'
const lookKey = (brief: string) => `fonetra.look.${brief}`
/** What lies over a screen for a moment is not where a person was. */
const PASSING = ['longer', 'shortlist', 'places']

type Looks = Record<string, LocationQuery>

function looksOf(brief: string): Looks {
  try {
    return JSON.parse(localStorage.getItem(lookKey(brief)) ?? '{}') as Looks
  } catch {
    // Written by something else, or cut off.
    return {}
  }
}

/** Notes where a person is: the address as a whole, and what is looked at in each area for the open brief. */
export function rememberPlace({ path, query, fullPath }: RouteLocationNormalized): void {
  remember(PLACE, fullPath)
  const { brief } = query
  if (typeof brief !== 'string') return
  const look = Object.fromEntries(Object.entries(query).filter(([name]) => !PASSING.includes(name)))
  remember(lookKey(brief), JSON.stringify({ ...looksOf(brief), [path]: look }))
}

/** The address a person was at last, or that of the first area. */
export const lastPlace = (): string => localStorage.getItem(PLACE) ?? '/demand'

/** What was looked at last in an area for a brief; nothing where it was never open there. */
export const lastLook = (brief: string, path: string): LocationQuery => looksOf(brief)[path] ?? {}
