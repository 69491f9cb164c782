/** A chapter line of a description: `m:ss`, `mm:ss` or `h:mm:ss` at the start, then its title. */
export interface Chapter {
  seconds: number
  title: string
  start: number
  titleStart: number
}

const LINE = /^[ \t]*(?:(\d{1,2}):)?(\d{1,2}):([0-5]\d)(?!\d|[ \t]?[ap]\.?m\b)[ \t]*(?:[-–—|:][ \t]*)?(.*)$/gimu

/**
 * Chapter lines in order of the text. A lone time in a sentence is not at the start of a line and is none, nor is a
 * time of the day.
 */
export function chaptersOf(description: string): Chapter[] {
  const found: Chapter[] = []
  for (const hit of description.matchAll(LINE)) {
    const [whole, hours, minutes, seconds, title] = hit
    if (hours !== undefined && Number(minutes) > 59) continue
    found.push({
      seconds: Number(hours ?? 0) * 3600 + Number(minutes) * 60 + Number(seconds),
      title: title!.trim(),
      start: hit.index,
      titleStart: hit.index + whole.length - title!.length,
    })
  }
  return found
}
