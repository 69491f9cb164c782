import type { ArchiveTable } from './tables'

/** A value as SQLite holds it. */
export type Value = string | number | null | Buffer

const isBytes = (value: unknown): value is { base64: string } =>
  typeof value === 'object' && value !== null && 'base64' in value && typeof value.base64 === 'string'

/** A row as a line of JSON; bytes are `{ "base64": … }`. */
export function rowLine(row: Record<string, Value>): string {
  const written: Record<string, unknown> = row
  for (const [name, value] of Object.entries(row))
    if (Buffer.isBuffer(value)) written[name] = { base64: value.toString('base64') }
  return `${JSON.stringify(written)}\n`
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
