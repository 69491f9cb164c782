/// <reference path="./comlink-node.d.ts" />
import Database from 'better-sqlite3'
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { parentPort, workerData } from 'node:worker_threads'
import type { LimitProfile } from '../../core/draft/limits'
import type { RuleSet } from '../../core/draft/ruleset'
import { evidenceOf, type CheckEvidence, type EvidencePage } from '../../core/evidence/evidence'
import { pageFamilies } from '../../core/evidence/families'
import { pageReader } from '../../core/evidence/pageReading'
import { footing } from '../../core/evidence/pairs'
import { match, readPhrase, readText } from '../../core/text/match'
import { phraseKey } from '../../core/text/words'
import { DAY } from '../../core/time'
import type { EvidencePages } from '../../shared/evidence'
import type { SavedReading } from '../data/evidence'
import { evidencePages, type FootingRow } from '../data/evidencePages'
import { giveWay } from './giveWay'

/** By which rules pages are read; the set counts every check. */
export interface Rules {
  id: number
  set: RuleSet
  profile: LimitProfile
}

/** One of several shares of the pages: threads read side by side. */
export interface Share {
  share: number
  of: number
}

/** A result is new for so long. */
const NEW = 365 * DAY

// All pages kept are gone through: with a connection that only reads, beside the one that writes.
const db = new Database((workerData as { file: string }).file, { readonly: true })
const pages = evidencePages(db)
let readers: { rules: number; byLanguage: Map<string, ReturnType<typeof pageReader>> } | undefined

function readerOf({ id, set, profile }: Rules, language: string) {
  if (readers?.rules !== id) readers = { rules: id, byLanguage: new Map() }
  let reader = readers.byLanguage.get(language)
  if (!reader) readers.byLanguage.set(language, (reader = pageReader(set, profile, language)))
  return reader
}

function isTaken({ off, published_at }: FootingRow, at: number, age: EvidencePages['age']): boolean {
  if (off) return false
  if (!age) return true
  return published_at !== null && at - published_at < NEW === (age === 'new')
}

/** Results two pages have in common, of twenty, from which on they are of one trade. */
const SHARED = 3

/** The pages of a phrase's trade: its own, those that share results with them, and so on. */
function tradeOf(phrase: string, all: readonly { id: number; text: string }[]): ReadonlySet<number> {
  const key = phraseKey(phrase)
  const found = new Set(all.filter(page => page.text === key).map(page => page.id))
  for (const id of found) for (const near of pages.near.all(id, SHARED)) found.add(near)
  return found
}

const thread = {
  unread: (rules: number): number => pages.unreadCount.get(rules)!.n,
  /** What the checks say of some pages not read yet, from a page on, of one share of all. */
  readSome: (rules: Rules, { share, of }: Share, after: number, most: number): SavedReading[] =>
    pages.unread.all(rules.id, after, of, share, most).map(({ id, text, language }) => ({
      pageId: id,
      outcomes: readerOf(rules, language).read(
        text,
        pages.texts
          .all(id)
          .map(video => ({ ...video, tags: video.tags === null ? null : (JSON.parse(video.tags) as string[]) })),
      ),
    })),
  /** What the pages read say of each check. */
  evidence(
    rules: number,
    ids: readonly string[],
    { region, language, age, about, trade }: EvidencePages,
  ): { pages: number; families: number; checks: CheckEvidence[] } {
    const wanted = about ? readPhrase(about, language ?? 'en') : null
    // A phrase gives one page, whatever the regions it was looked up in: the newest.
    const byPhrase = new Map<number, ReturnType<typeof pages.read.all>[number]>()
    const read = pages.read.all({ rules, region: region ?? '', language: language ?? '' })
    const within = trade ? tradeOf(trade, read) : null
    for (const page of read) {
      if (within && !within.has(page.id)) continue
      if (wanted && match(wanted, readText(page.text, language ?? 'en')).share < 1) continue
      const before = byPhrase.get(page.phrase_id)
      if (!before || before.at < page.at) byPhrase.set(page.phrase_id, page)
    }
    const found = [...byPhrase.values()].map(({ id, phrase_id, at, outcomes }): EvidencePage => {
      const seats = pages.footings.all(phrase_id, id)
      return {
        ranks: seats.map(seat => seat.rank),
        footings: seats.map(seat => footing(seat.reach, seat.pull)),
        videos: seats.map(seat => seat.video_id),
        reading: outcomes,
        taken: seats.map(seat => isTaken(seat, at, age)),
      }
    })
    return {
      pages: found.length,
      families: pageFamilies(found.map(page => page.videos)).count,
      checks: evidenceOf(ids, found),
    }
  },
}
export type EvidenceThread = typeof thread

giveWay()
Comlink.expose(thread, nodeEndpoint(parentPort!))
