import type { LocationQuery, RouteLocationNormalized } from 'vue-router'
import { remember } from './remember'

/** The list of what is worth doing. */
export const NEXT = '/next'
const PLACE = 'fonetra.place'
const DAY_THERE = 'fonetra.place.day'
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

const today = () => new Date().toDateString()

/**
 * Notes where a person is: the address as a whole, and what is looked at in each area for the open brief. The list of
 * what comes next leads back to where they were before.
 */
export function rememberPlace({ path, query, fullPath }: RouteLocationNormalized): void {
  remember(DAY_THERE, today())
  if (path === NEXT) return
  remember(PLACE, fullPath)
  const { brief } = query
  if (typeof brief !== 'string') return
  const look = Object.fromEntries(Object.entries(query).filter(([name]) => !PASSING.includes(name)))
  remember(lookKey(brief), JSON.stringify({ ...looksOf(brief), [path]: look }))
}

/** The address a person was at last, or that of the first area. */
export const lastPlace = (): string => localStorage.getItem(PLACE) ?? '/demand'

/** Where Fonetra opens: for the first time on a day with what comes next, else where the person was. */
export function firstPlace(): string {
  const day = localStorage.getItem(DAY_THERE)
  return day === today() ? lastPlace() : NEXT
}

/** What was looked at last in an area for a brief; nothing where it was never open there. */
export const lastLook = (brief: string, path: string): LocationQuery => looksOf(brief)[path] ?? {}
