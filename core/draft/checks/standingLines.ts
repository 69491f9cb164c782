import { counted } from '../../text/inWords'
import { defineCheck, met, missing, notApplicable, partly } from '../check'
import { textFix, type Fix } from '../draft'

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
  version: 2,
  field: 'description',
  question: 'sound',
  title: 'Standing blocks are in',
  why: 'Links and notes that belong under every video are forgotten most easily.',
  needs: ['description'],
  settings: {},
  run: ({ draft, context: { standing, placed } }) => {
    const wanted = standing.map((block, i) => ({ block, placed: placed[i]?.trim() })).filter(each => each.block.trim())
    if (!wanted.length) return notApplicable('No block of this workspace is marked as standing.')
    const text = draft.description!
    let there: string | undefined
    const missed = wanted.filter(
      ({ block }) => !text.includes(block.trim()) && !(there ??= flat(text)).includes(flat(block)),
    )
    if (!missed.length) return met(`${counted(wanted.length, 'standing block')} in place.`)
    // A title or lead that changed since is still in them.
    const behind = missed.filter(each => each.placed && text.includes(each.placed))
    if (behind.length) {
      const value = behind.reduce((now, { block, placed }) => now.replace(placed!, () => block.trim()), text)
      return partly(
        1 - missed.length / wanted.length + (0.5 * behind.length) / wanted.length,
        `${counted(behind.length, 'standing block')} filled in with an earlier title or lead.`,
        { fixes: () => [textFix('Fill in anew', 'description', text, value)] },
      )
    }
    const absent = missed.map(each => each.block)
    const said = `${counted(absent.length, 'standing block')} missing.`
    const value = [text.trimEnd(), ...absent.map(block => block.trim())].filter(Boolean).join('\n\n')
    const fixes = (): Fix[] => [
      textFix(absent.length === 1 ? 'Add it at the end' : 'Add them at the end', 'description', text, value),
    ]
    const share = 1 - absent.length / wanted.length
    return share ? partly(share, said, { fixes }) : missing(said, { fixes })
  },
})
