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

/** What a file's name is compared by: its words, whatever parts them, without its ending. */
const fileKey = (name: string) =>
  (
    name
      .replace(ENDING, '')
      .toLowerCase()
      .match(/[\p{L}\p{M}\p{N}]+/gu) ?? []
  ).join('-')

/**
 * Which file belongs to which name: each by its words, whatever parts them and whatever it ends in.
 * @returns for each name the index of its file; `null` where there is none, or several files or names are called so.
 */
export function filesByName(names: readonly string[], files: readonly string[]): (number | null)[] {
  const found = new Map<string, number[]>()
  for (const [i, file] of files.entries()) {
    const key = fileKey(file)
    found.set(key, [...(found.get(key) ?? []), i])
  }
  const keys = names.map(fileKey)
  return keys.map(key => {
    const those = key ? found.get(key) : undefined
    return those?.length === 1 && keys.filter(each => each === key).length === 1 ? those[0]! : null
  })
}
