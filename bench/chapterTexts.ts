import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { spread } from '../core/captions/spread'
import type { Cue } from '../core/captions/cue'
import { seeded } from '../core/random'

/** A text whose boundaries are known, as cues. */
export interface Labelled {
  cues: Cue[]
  /** Cues at which a new subject begins; the first is left out. */
  bounds: number[]
}

/** Sentences of a subject, and of a join: so many at least and at most. */
const SENTENCES = [6, 14] as const
const SUBJECTS = [5, 10] as const

/** The prose of a text in Markdown: its sentences, without code, tables, lists and links. */
function proseOf(markdown: string): string[] {
  const text = markdown
    .replace(/```[\s\S]*?```/gu, '')
    .replace(/<[^>]*>/gu, '')
    .replace(/!?\[([^\]]*)\]\([^)]*\)/gu, '$1')
    .replace(/`([^`]*)`/gu, '$1')
  return text
    .split(/\n\s*\n/u)
    .map(each => each.replace(/\s+/gu, ' ').trim())
    .filter(each => /^[A-Z]/u.test(each) && each.length > 60 && /[.!?]$/u.test(each))
    .join(' ')
    .split(/(?<=[.!?])\s+(?=[A-Z])/u)
    .filter(each => each.split(' ').length >= 5 && each.length < 400)
}

/**
 * Sentences about unlike things, a list a subject: the descriptions of the packages that are installed, which the lock
 * file keeps the same. Packages of one family tell the same and are taken once.
 */
function subjects(): string[][] {
  const root = join(process.cwd(), 'node_modules')
  const names = readdirSync(root)
    .flatMap(name => (name.startsWith('@') ? readdirSync(join(root, name)).map(each => `${name}/${each}`) : [name]))
    .sort()
  const seen = new Set<string>()
  return names.flatMap(name => {
    const file = ['README.md', 'readme.md', 'Readme.md'].map(each => join(root, name, each)).find(existsSync)
    const sentences = file ? proseOf(readFileSync(file, 'utf8')) : []
    const family = name.split(/[-/]/u)[0]!
    if (sentences.length < SENTENCES[1] || seen.has(family) || seen.has(sentences[0]!)) return []
    seen.add(family).add(sentences[0]!)
    return [sentences]
  })
}

/**
 * Texts joined of unlike subjects, spoken as captions without a pause between them.
 * @param half subjects of one half never come in the other: one is for choosing constants, one for judging.
 */
export function joined(count: number, half: 'tuning' | 'test'): Labelled[] {
  const all = subjects().filter((_, i) => (i % 2 === 0) === (half === 'tuning'))
  const random = seeded(half === 'tuning' ? 11 : 12)
  const between = ([low, high]: readonly [number, number]) => low + Math.floor(random() * (high - low + 1))
  return Array.from({ length: count }, () => {
    const order = [...all].sort(() => random() - 0.5).slice(0, between(SUBJECTS))
    const parts = order.map(sentences => {
      const length = Math.min(sentences.length, between(SENTENCES))
      const from = Math.floor(random() * (sentences.length - length + 1))
      return spread(sentences.slice(from, from + length).join('\n'))
    })
    const cues: Cue[] = []
    const bounds: number[] = []
    for (const part of parts) {
      const at = cues.at(-1)?.end ?? 0
      if (cues.length) bounds.push(cues.length)
      for (const cue of part) cues.push({ ...cue, start: cue.start + at, end: cue.end + at })
    }
    return { cues, bounds }
  })
}
