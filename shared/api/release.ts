import type { AudienceAnswer } from '../release'
import { call, type } from './call'
import { anew, ofWorkspace } from './inputs'

const audience = call({ query: ofWorkspace.extend({ anew }), answer: type<AudienceAnswer>() })

/** The hour of a release, and the word that is spread about it. */
export const releaseCalls = {
  'GET /api/audience': audience,
  /** The same by POST may ask a live service. */
  'POST /api/audience': audience,
  /** Forgets the table that was read in: what the site tells counts again. */
  'DELETE /api/audience': call({ query: ofWorkspace, answer: type<AudienceAnswer>() }),
  /** The body is a table of the hours of a week, in the clock of the workspace's zone. */
  'POST /api/import/audience': call({ query: ofWorkspace, answer: type<AudienceAnswer>() }),
}
