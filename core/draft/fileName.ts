const ENDING = /\.[a-z0-9]{2,4}$/iu
/** Characters of a name at most, so that every system takes it. */
const LONGEST = 100

/**
 * A file's name after a phrase: its words with dashes between, the ending kept.
 * @example fileNameFor('Clean a bike chain', 'IMG_2041.MOV', 'en') // 'clean-a-bike-chain.MOV'
 */
export function fileNameFor(phrase: string, before: string, language: string): string {
  const name = (phrase.match(/[\p{L}\p{M}\p{N}]+/gu) ?? []).join('-').toLocaleLowerCase(language)
  return `${name.slice(0, LONGEST)}${ENDING.exec(before)?.[0] ?? '.mp4'}`
}
