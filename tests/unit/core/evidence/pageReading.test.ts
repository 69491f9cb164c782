import type { CheckEvidence } from '../../../../core/evidence/evidence'
import { FAILS, pageReader, PASSES, UNTOLD, type PageVideo } from '../../../../core/evidence/pageReading'
import { weightsFrom } from '../../../../core/evidence/weights'
import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { BALANCED, RULE_SETS } from '../../../../core/draft/ruleset'
import { pointsOf } from '../../../../core/draft/score'

const VIDEOS: PageVideo[] = [
  {
    id: 1,
    title: 'How to index gears on any bike | 5 fixes',
    description:
      'How to index gears in ten minutes.\nhttps://wheelshed.example\n\n0:00 Start\n1:20 Cable\n3:00 Stops\n#gears',
    tags: ['how to index gears', 'bike gears', 'the bike'],
  },
  { id: 2, title: 'GEARS!!! you won’t believe it', description: '', tags: [] },
  { id: 3, title: 'Bike chain cleaning', description: null, tags: null },
  { id: 4, title: 'Index gears', description: 'https://x.example first', tags: ['index gears', 'chain'] },
]
const PHRASES = ['how to index gears', 'bike chain', 'gears', 'brake pads']

test.each(RULE_SETS.map(set => [set.name, set] as const))(
  '%s: a page is read as each text alone is scored',
  (_, set) => {
    const reader = pageReader(set, DEFAULT_PROFILE, 'en')
    // Twice: the second time most is known.
    for (const phrase of [...PHRASES, ...PHRASES]) {
      const reading = reader.read(phrase, VIDEOS)
      VIDEOS.forEach((video, seat) => {
        const { tried } = pointsOf(
          {
            title: video.title,
            ...(video.description === null ? {} : { description: video.description }),
            ...(video.tags === null ? {} : { tags: video.tags }),
          },
          { lead: phrase, support: [] },
          set,
          DEFAULT_PROFILE,
          'en',
        )
        expect(reader.ids.map((id, i) => [id, reading[i * VIDEOS.length + seat]])).toEqual(
          tried.map(({ check, outcome: { fraction } }) => [
            check.id,
            fraction === null ? UNTOLD : fraction >= 0.9995 ? PASSES : FAILS,
          ]),
        )
      })
    }
  },
)

test('a video seen with other words is read anew', () => {
  const reader = pageReader(BALANCED, DEFAULT_PROFILE, 'en')
  const at = reader.ids.indexOf('title-lead')
  expect(reader.read('index gears', [VIDEOS[3]!])[at]).toBe(PASSES)
  expect(reader.read('index gears', [{ ...VIDEOS[3]!, title: 'Something else' }])[at]).toBe(FAILS)
})

describe('weights from evidence', () => {
  const said = (id: string, verdict: CheckEvidence['verdict'], low: number, high: number): CheckEvidence => ({
    id,
    pages: 200,
    families: 150,
    pairs: 900,
    share: 0.5,
    difference: (low + high) / 2,
    low,
    high,
    q: 0.001,
    verdict,
  })

  test('what stands higher weighs more, by what is sure of it; what stands lower less; the rest as it was', () => {
    const weight = (id: string) => BALANCED.checks[id]!.weight
    const proposals = weightsFrom(BALANCED, [
      said('title-lead', 'higher', 2, 3),
      said('title-width', 'lower', -9, -5),
      said('title-front', 'none', -1, 1),
      said('title-signs', 'higher', 2, 3),
      said('no-such-check', 'higher', 2, 3),
    ])
    expect(proposals.map(({ id, before, after }) => [id, before, after])).toEqual(
      expect.arrayContaining([
        ['title-lead', weight('title-lead'), Math.round(weight('title-lead') * 1.5 * 2) / 2],
        ['title-width', weight('title-width'), 0],
      ]),
    )
    expect(proposals).toHaveLength(2)
    expect(proposals.find(({ id }) => id === 'title-lead')!.reason).toBe(
      'Results that meet it stand 2.5 ranks higher on 200 pages, at least 2.0 ranks.',
    )
  })
})
