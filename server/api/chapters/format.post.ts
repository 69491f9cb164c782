import { formatChapters } from '../../../core/chapters/formats'
import { route } from '../../http/route'

/** Chapters as a file, in order of their times. */
export default route('POST /api/chapters/format', (event, runtime, { body: { chapters, durationSeconds, format } }) => {
  const marks = chapters.map(({ start, title }) => ({ seconds: start, title })).sort((a, b) => a.seconds - b.seconds)
  return { text: formatChapters(marks, format, durationSeconds) }
})
