import { pluralOf } from '../wording'
import type { Subject } from './titles'

/** Tags as creators set them: none, a few plain ones, or as many as fit, with the channel's name and single words. */
export function tagsOf(subject: Subject, channel: string, near: readonly string[], random: () => number): string[] {
  const { trade, part, about, phrase } = subject
  const effort = random()
  if (effort < 0.12) return []
  const few = [phrase, about.name, ...(random() < 0.5 ? [trade.id] : [])]
  if (effort < 0.35) return [...new Set(few.slice(0, 1 + Math.floor(random() * 3)))]
  const task = trade.tasks[about.task ?? '']
  const many = [
    ...few,
    ...near,
    ...(about.kind === 'local' ? [] : [pluralOf(part, about.name)]),
    ...(task ? [`${task.verb} ${about.name}`, ...(task.noun ? [`${about.name} ${task.noun}`] : [])] : []),
    ...(about.whole ? [about.whole] : []),
    ...(random() < 0.4 ? [channel.toLowerCase()] : []),
    ...(random() < 0.25 ? phrase.split(' ').filter(word => word.length > 3) : []),
  ]
  const full = effort > 0.8 ? many : many.slice(0, 4 + Math.floor(random() * 8))
  const tags: string[] = []
  let used = 0
  for (const tag of new Set(full)) {
    used += tag.length + 3
    if (used > 500) break
    tags.push(tag)
  }
  return tags
}
