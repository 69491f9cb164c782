import type { Check } from '../check'
import { descriptionBegin } from './descriptionBegin'
import { descriptionFirst } from './descriptionFirst'
import { descriptionLength } from './descriptionLength'
import { descriptionLimit } from './descriptionLimit'
import { descriptionSigns, titleSigns } from './forbiddenSigns'
import { linkScheme } from './linkScheme'
import { noGaps } from './noGaps'
import { supportTold } from './supportTold'
import { tagCount } from './tagCount'
import { tagLead } from './tagLead'
import { tagLimit } from './tagLimit'
import { tagRepeats } from './tagRepeats'
import { tagSupport } from './tagSupport'
import { titleFront } from './titleFront'
import { titleIsLead } from './titleIsLead'
import { titleKept } from './titleKept'
import { titleLead } from './titleLead'
import { titleLength } from './titleLength'
import { titleSpoken } from './titleSpoken'
import { titleWidth } from './titleWidth'
import { viewerRequest } from './viewerRequest'

/** Every check there is. A new one is a file beside these, a line here, and a weight in a rule set. */
export const CHECKS: readonly Check[] = [
  titleLead,
  descriptionBegin,
  supportTold,
  descriptionLength,
  tagLead,
  tagCount,
  titleFront,
  titleSpoken,
  titleIsLead,
  titleWidth,
  descriptionFirst,
  viewerRequest,
  titleKept,
  tagSupport,
  titleLength,
  titleSigns,
  descriptionLimit,
  descriptionSigns,
  linkScheme,
  noGaps,
  tagLimit,
  tagRepeats,
]
