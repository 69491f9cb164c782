import type { Part } from './trades/trade'

/** “a fork”, “an inner tube”; nothing before what is many or no single thing. */
export const article = (name: string) => (/^(?:[aio]|e(?!u)|u(?!n[ai]|ku)|8|11 |18)/u.test(name) ? 'an' : 'a')
export const withArticle = (part: Part, name: string) => (part.mass ? name : `${article(name)} ${name}`)
export const pluralOf = (part: Part, name: string) => {
  if (part.mass) return name
  if (name === part.name && part.plural) return part.plural
  if (name.endsWith('s')) return name
  if (name.endsWith('knife')) return `${name.slice(0, -2)}ves`
  return /(?:(?<!me)ch|sh|x)$/u.test(name) ? `${name}es` : name.endsWith('y') ? `${name.slice(0, -1)}ies` : `${name}s`
}
/** What stands before another noun: “brake pad replacement”. */
export const compound = (part: Part, name: string) => (part.mass && /[^s]s$/u.test(name) ? name.slice(0, -1) : name)
export const isPlural = (part: Part, name: string) => part.mass === true && name.endsWith('s')

/** What is done without, as it is said of this part: “removing it”, “removing them”. */
export const lacking = (part: Part, name: string, what: string) =>
  isPlural(part, name) ? what.replace(/ it$/u, ' them') : what

/** Words of which one takes the other's place: a pony's saddle is no “pony horse saddle”. */
const KIN = [
  ['bike', 'bicycle'],
  ['horse', 'pony', 'cob'],
]
/** “mountain bike” before “bike chain” says bike twice. */
export function joined(whole: string, name: string): string {
  const [first = '', ...rest] = name.split(' ')
  const last = whole.split(' ').at(-1)!
  const twice = rest.length > 0 && (first === last || KIN.some(words => words.includes(first) && words.includes(last)))
  return `${whole} ${twice ? rest.join(' ') : name}`
}
