import type { ArchiveTable } from './tables'

/** A value as SQLite holds it. */
export type Value = string | number | null | Buffer

const isBytes = (value: unknown): value is { base64: string } =>
  typeof value === 'object' && value !== null && 'base64' in value && typeof value.base64 === 'string'

const written = (value: Exclude<Value, null>): string =>
  typeof value === 'number'
    ? String(value)
    : JSON.stringify(typeof value === 'string' ? value : { base64: value.toString('base64') })

/**
 * How a row of a table is written, its values in the order of the columns: as a line of JSON, in which bytes are
 * `{ "base64": … }` and what is `null` is left out.
 */
export function rowWriter({ columns }: ArchiveTable): (row: readonly Value[]) => string {
  const names = [...columns.keys()].map(name => `${JSON.stringify(name)}:`)
  return row => {
    let line = '{'
    for (let i = 0; i < row.length; i++) {
      const value = row[i]!
      if (value !== null) line += (line.length > 1 ? ',' : '') + names[i]! + written(value)
    }
    return `${line}}\n`
  }
}

const FITS: Record<string, (value: unknown) => boolean> = {
  TEXT: value => typeof value === 'string',
  INTEGER: value => Number.isSafeInteger(value),
  REAL: value => typeof value === 'number',
  BLOB: isBytes,
}

/**
 * A row read from its line, in the order of the table's columns. A column that is missing is `null`.
 * @throws Error with what is wrong with it.
 */
export function rowValues(line: string, { columns }: ArchiveTable): Value[] {
  const row: unknown = JSON.parse(line)
  if (typeof row !== 'object' || row === null || Array.isArray(row)) throw new Error('it is not an object')
  for (const name of Object.keys(row)) if (!columns.has(name)) throw new Error(`“${name.slice(0, 40)}” is not a column`)
  return [...columns].map(([name, type]) => {
    const value: unknown = (row as Record<string, unknown>)[name] ?? null
    if (value === null) return null
    if (!FITS[type]?.(value)) throw new Error(`“${name}” is not ${type === 'BLOB' ? 'bytes' : `of type ${type}`}`)
    return isBytes(value) ? Buffer.from(value.base64, 'base64') : (value as string | number)
  })
}
