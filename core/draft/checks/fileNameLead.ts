import { gradeValue } from '../../rivals/strength'
import { defineCheck, met, missing, partly } from '../check'
import { textFix, type Fix } from '../draft'
import { fileNameFor } from '../fileName'

/** The file is named after the lead before it is uploaded. */
export const fileNameLead = defineCheck({
  id: 'file-name-lead',
  version: 1,
  field: 'fileName',
  question: 'found',
  title: 'File named after the lead',
  why: 'Some sites keep the name a file is uploaded with, and some creators swear by it. It costs nothing.',
  needs: ['fileName', 'lead'],
  settings: {},
  run: ({ draft, lead, language, at, match }) => {
    const found = match(lead!, at('fileName')[0]!.text)
    const value = gradeValue(found)
    if (value > 0.94) return met('The file is named after the lead.')
    const fixes = (): Fix[] => [
      textFix('Name it after the lead', 'fileName', draft.fileName!, fileNameFor(lead!.raw, draft.fileName!, language)),
    ]
    const said = `The file is not named after “${lead!.raw}”.`
    return value ? partly(value, said, { fixes }) : missing(said, { fixes })
  },
})
