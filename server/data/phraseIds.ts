import { phraseKey, wordCount } from '../../core/text/words'
import { relaxedTransaction, type Db } from './open'

export type PhraseIds = ReturnType<typeof phraseIds>

/** Phrases and their ids. A phrase is saved in the form of its key. */
export function phraseIds(db: Db) {
  const select = db.prepare<[string, string], { id: number }>('SELECT id FROM phrase WHERE language = ? AND text = ?')
  const insert = db.prepare('INSERT OR IGNORE INTO phrase (language, text, words) VALUES (?, ?, ?)')

  const idOf = (language: string, key: string): number | undefined => select.get(language, key)?.id
  /** @returns the id, or `undefined` where the key is known. */
  function addIfNew(key: string, language: string): number | undefined {
    const { changes, lastInsertRowid } = insert.run(language, key, wordCount(key))
    return changes ? Number(lastInsertRowid) : undefined
  }
  const add = (key: string, language: string): number => addIfNew(key, language) ?? idOf(language, key)!
  /** The id of a phrase, added when it is new. */
  function ensure(phrase: string, language: string): { id: number; isNew: boolean } {
    const key = phraseKey(phrase)
    const id = idOf(language, key)
    return id === undefined ? { id: add(key, language), isNew: true } : { id, isNew: false }
  }
  return {
    /** The id of a key, where it is known. */
    idOf,
    /** Adds a key that is new. @returns its id. */
    add,
    addIfNew,
    ensure,
    /** The ids of many, known or not, in one transaction. */
    ensureAll: relaxedTransaction(db, (list: readonly string[], language: string) =>
      list.map(phrase => ensure(phrase, language).id),
    ),
  }
}
