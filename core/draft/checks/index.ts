import type { Check } from '../check'
import { chapterCount } from './chapterCount'
import { chapterForm } from './chapterForm'
import { chapterPhrases } from './chapterPhrases'
import { chapterTitles } from './chapterTitles'
import { commentQuestion } from './commentQuestion'
import { contactFirst } from './contactFirst'
import { descriptionBegin } from './descriptionBegin'
import { descriptionFirst } from './descriptionFirst'
import { descriptionLength } from './descriptionLength'
import { descriptionLimit } from './descriptionLimit'
import { fileNameLead } from './fileNameLead'
import { firstTags } from './firstTags'
import { descriptionSigns, titleSigns } from './forbiddenSigns'
import { hashtagCount } from './hashtagCount'
import { hashtagLimit } from './hashtagLimit'
import { hashtagSupport } from './hashtagSupport'
import { leadSpoken } from './leadSpoken'
import { linkScheme } from './linkScheme'
import { noGaps } from './noGaps'
import { numberKept } from './numberKept'
import { openingPlain } from './openingPlain'
import { openingSpoken } from './openingSpoken'
import { otherNames } from './otherNames'
import { ownName } from './ownName'
import { playlistLead } from './playlistLead'
import { playlistLimit } from './playlistLimit'
import { promiseSpoken } from './promiseSpoken'
import { standingLines } from './standingLines'
import { supportSpoken } from './supportSpoken'
import { supportTold } from './supportTold'
import { tagCount } from './tagCount'
import { tagFiller } from './tagFiller'
import { tagLead } from './tagLead'
import { tagLimit } from './tagLimit'
import { tagMisspelling } from './tagMisspelling'
import { tagRepeats } from './tagRepeats'
import { tagSearches } from './tagSearches'
import { tagSupport } from './tagSupport'
import { tagTitle } from './tagTitle'
import { titleApart } from './titleApart'
import { titleFormat } from './titleFormat'
import { titleFront } from './titleFront'
import { titleHook } from './titleHook'
import { titleIsLead } from './titleIsLead'
import { titleKept } from './titleKept'
import { titleLead } from './titleLead'
import { titleLength } from './titleLength'
import { titlePromise } from './titlePromise'
import { titleSpoken } from './titleSpoken'
import { titleWidth } from './titleWidth'
import { titleWords } from './titleWords'
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
  firstTags,
  tagSearches,
  hashtagCount,
  tagTitle,
  tagMisspelling,
  ownName,
  fileNameLead,
  chapterPhrases,
  leadSpoken,
  supportSpoken,
  playlistLead,
  titleHook,
  titleApart,
  titleWords,
  titleFormat,
  titleWidth,
  descriptionFirst,
  openingPlain,
  contactFirst,
  viewerRequest,
  commentQuestion,
  chapterCount,
  chapterTitles,
  titleKept,
  promiseSpoken,
  numberKept,
  openingSpoken,
  titlePromise,
  tagSupport,
  hashtagSupport,
  otherNames,
  titleLength,
  titleSigns,
  descriptionLimit,
  descriptionSigns,
  linkScheme,
  noGaps,
  tagLimit,
  tagRepeats,
  tagFiller,
  hashtagLimit,
  standingLines,
  chapterForm,
  playlistLimit,
]
