import type { OwnVideo } from '../../shared/workspace'
import { typedNumber } from './typedNumber'

/** Videos as lines of text: date; views; title. */
export const ownVideosText = (videos: readonly OwnVideo[]): string =>
  videos
    .map(video => `${new Date(video.publishedAt).toISOString().slice(0, 10)}; ${video.views}; ${video.title}`)
    .join('\n')

/** The videos of such lines. @throws Error that names the first line which is none. */
export const ownVideosOf = (text: string): OwnVideo[] =>
  text
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean)
    .map((line, i) => {
      const [date = '', views = '', ...title] = line.split(';').map(part => part.trim())
      const publishedAt = Date.parse(date)
      const count = typedNumber(views)
      if (Number.isNaN(publishedAt) || count === undefined || !(count >= 0))
        throw new Error(`Line ${i + 1} is not “date; views; title”, as in 2026-03-31; 1200; Bar tape in five minutes.`)
      return {
        id: `stated-${i + 1}`,
        title: title.join('; ') || `Video ${i + 1}`,
        views: Math.round(count),
        publishedAt,
      }
    })
