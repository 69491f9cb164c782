import { dayName, dayNamed } from '../../../core/ranks/standing'
import { phraseKey } from '../../../core/text/words'
import { route } from '../../http/route'

const dayOf = (day: string | undefined) => (day === undefined ? undefined : dayNamed(day))

/** Where a video stood, phrase by phrase and day by day. */
export default route('GET /api/ranks', (event, { ranks }, { query: { videoId, phrase, region, kind, from, to } }) => ({
  rows: ranks
    .of({
      video: videoId,
      phrase: phrase === undefined ? undefined : phraseKey(phrase),
      region,
      kind,
      from: dayOf(from),
      to: dayOf(to),
    })
    .flatMap(series =>
      series.days.map(({ day, rank, depth }) => ({
        videoId,
        phrase: series.phrase,
        region: series.region || null,
        kind: series.kind,
        day: dayName(day),
        rank,
        depth,
      })),
    ),
}))
