import { counted } from '../../text/inWords'
import { defineCheck, met, missing, notApplicable, partly } from '../check'
import { textFix } from '../draft'

/** Line by line without white space at the ends: how a block stands in a text that was edited since. */
const flat = (text: string) =>
  text
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean)
    .join('\n')

/** The description holds the texts that belong in every one of the workspace. */
export const standingLines = defineCheck({
  id: 'standing-lines',
  version: 1,
  field: 'description',
  question: 'sound',
  title: 'Standing blocks are in',
  why: 'Links and notes that belong under every video are forgotten most easily.',
  needs: ['description'],
  settings: {},
  run: ({ draft, context: { standing } }) => {
    const wanted = standing.filter(block => block.trim())
    if (!wanted.length) return notApplicable('No block of this workspace is marked as standing.')
    const text = draft.description!
    let there: string | undefined
    const absent = wanted.filter(block => !text.includes(block.trim()) && !(there ??= flat(text)).includes(flat(block)))
    if (!absent.length) return met(`${counted(wanted.length, 'standing block')} in place.`)
    const said = `${counted(absent.length, 'standing block')} missing.`
    const value = [text.trimEnd(), ...absent.map(block => block.trim())].filter(Boolean).join('\n\n')
    const fixes = [
      textFix(absent.length === 1 ? 'Add it at the end' : 'Add them at the end', 'description', text, value),
    ]
    const share = 1 - absent.length / wanted.length
    return share ? partly(share, said, { fixes }) : missing(said, { fixes })
  },
})
