import { z } from 'zod'
import { POST_KINDS } from '../../core/posts/kinds'
import type { WrittenPost } from '../../core/posts/write'
import { languageInput } from '../../core/text/inputs'
import { draftPhrasesSchema, draftSchema } from '../check'
import type { AudienceAnswer } from '../release'
import { newOutletSchema, outletPatchSchema, type OutletLine, type SavedOutlet } from '../workspaceItems'
import { call, type, type Done } from './call'
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
  /** Texts that tell of a video, each from the draft's own sentences; `{link}` stands for its address. */
  'POST /api/posts/write': call({
    body: z.object({
      draft: draftSchema,
      phrases: draftPhrasesSchema,
      kinds: z.array(z.enum(POST_KINDS)).max(POST_KINDS.length).optional(),
      language: languageInput.default('en'),
      /** Where the video is, as long as it will be in the texts. */
      address: z.string().max(2000).default(''),
    }),
    answer: type<{ posts: WrittenPost[] }>(),
  }),
  'GET /api/outlets': call({ query: ofWorkspace, answer: type<{ outlets: OutletLine[] }>() }),
  'POST /api/outlets': call({ body: newOutletSchema, answer: type<SavedOutlet>() }),
  'PATCH /api/outlets/:id': call({ body: outletPatchSchema, answer: type<SavedOutlet>() }),
  'DELETE /api/outlets/:id': call({ answer: type<Done>() }),
}
