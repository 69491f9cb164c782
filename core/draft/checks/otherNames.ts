import { readPhrase, type ReadText } from '../../text/match'
import { defineCheck, met, notApplicable, partly, type CheckInput } from '../check'

/** The channels looked at last, each with its name as words: a page stays while its draft is typed. */
let last: { page: unknown; language: string; channels: { channel: string; norms: string[] }[] } | null = null

/** Names of other channels on the page, as words side by side; those that are words of the subject are left out. */
function namesOf({ context: { page, ownName }, lead, support, language }: CheckInput): Map<string, string> {
  if (last?.page !== page || last.language !== language)
    last = {
      page,
      language,
      channels: page.map(({ channel }) => ({ channel, norms: readPhrase(channel, language).norms })),
    }
  const subject = new Set([lead, ...support].flatMap(phrase => phrase?.norms ?? []))
  const own = readPhrase(ownName, language).norms.join(' ')
  const names = new Map<string, string>()
  for (const { channel, norms } of last.channels) {
    const name = norms.join(' ')
    if (name && name !== own && !norms.every(norm => subject.has(norm))) names.set(name, channel)
  }
  return names
}

/** Neither tags nor title use another channel's name. */
export const otherNames = defineCheck({
  id: 'other-names',
  version: 1,
  field: 'tags',
  question: 'kept',
  title: 'No other channel’s name',
  why: 'Sites forbid other channels’ names in tags and titles of videos that are not about them.',
  needs: ['tags'],
  settings: {},
  run: input => {
    const { draft, at, context } = input
    if (!context.page.length) return notApplicable('No result page is known for the lead. Open it in Rivals.')
    const names = namesOf(input)
    const nameIn = ({ norms }: ReadText) => {
      const line = ` ${norms.join(' ')} `
      for (const [name, channel] of names) if (line.includes(` ${name} `)) return channel
      return null
    }
    const title = at('title')[0]
    // One look through all of them is enough where nobody is named.
    const all = [...at('tags'), ...(title ? [title] : [])].map(each => each.text.norms.join(' ')).join(' | ')
    const isNamed = [...names.keys()].some(name => all.includes(name))
    const tags = isNamed ? at('tags').filter(tag => nameIn(tag.text) !== null) : []
    const inTitle = title && nameIn(title.text)
    if (!tags.length && !inTitle) return met('No name of a channel on the page.')
    const said = [
      ...tags.map(tag => `tag “${tag.text.raw}” names ${nameIn(tag.text)}`),
      ...(inTitle ? [`the title names ${inTitle}`] : []),
    ].join('; ')
    return partly(
      inTitle ? 0 : 1 - tags.length / draft.tags!.length,
      `${said.slice(0, 1).toUpperCase()}${said.slice(1)}. Leave it out unless the video is about it.`,
      {
        ranges: tags.map(tag => ({ field: 'tags', item: tag.item!, start: 0, end: tag.text.raw.length })),
        fixes: () =>
          tags.length
            ? [
                {
                  label: tags.length === 1 ? 'Remove this tag' : `Remove these ${tags.length} tags`,
                  field: 'tags',
                  edits: tags.map(tag => ({ item: tag.item!, remove: 1, insert: [] })),
                },
              ]
            : [],
      },
    )
  },
})
