export type DataFault = 'in-use' | 'damaged' | 'newer' | 'not-writable' | 'locked' | 'full'

/** Why the user's file or its folder cannot be used, in a sentence that says what happened and what to do. */
export class DataProblem extends Error {
  constructor(
    readonly fault: DataFault,
    message: string,
    cause?: unknown,
  ) {
    super(message, { cause })
    this.name = 'DataProblem'
  }
}

const codeOf = (error: unknown) =>
  typeof error === 'object' && error !== null && 'code' in error && typeof error.code === 'string' ? error.code : ''

/** Whether SQLite said it, of the file or of what was asked of it. */
export const isOfSqlite = (error: unknown) => codeOf(error).startsWith('SQLITE')

/** The kind of fault an error of SQLite or of the file system is; `null` when it is none of the file's. */
export function faultOf(error: unknown): Exclude<DataFault, 'in-use' | 'newer'> | null {
  const code = codeOf(error)
  if (code === 'SQLITE_NOTADB' || code.startsWith('SQLITE_CORRUPT')) return 'damaged'
  if (code === 'SQLITE_FULL' || code === 'ENOSPC' || code === 'EDQUOT' || code.startsWith('SQLITE_IOERR')) return 'full'
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED')) return 'locked'
  if (
    code.startsWith('SQLITE_READONLY') ||
    code.startsWith('SQLITE_CANTOPEN') ||
    code === 'SQLITE_PERM' ||
    code === 'EACCES' ||
    code === 'EROFS' ||
    code === 'EPERM'
  )
    return 'not-writable'
  return null
}

/** What each fault means to a person while the program runs. */
export const FAULT_MESSAGES: Record<Exclude<DataFault, 'in-use' | 'newer'>, string> = {
  'damaged': 'A part of the data file is damaged and cannot be read. Restore a backup in the Library, under Data.',
  'full':
    'The disk is full, so nothing was saved. Your text is still in this window. Free some space, and it will be saved.',
  'locked': 'Another program is using the data file. It is tried again.',
  'not-writable': 'The data file cannot be written. Make it and its folder writable, then try again.',
}

/** The problem of opening a file: the error itself when it says nothing of the file. */
export function openingProblem(error: unknown, file: string): unknown {
  if (error instanceof DataProblem) return error
  const fault = faultOf(error)
  switch (fault) {
    case 'damaged':
      return new DataProblem(
        fault,
        `${file} is damaged or is not a Fonetra file. Restore a backup, or start with another folder by --data.`,
        error,
      )
    case 'full':
      return new DataProblem(
        fault,
        `There is not enough space on the disk to open ${file}. Free some space and start again.`,
        error,
      )
    case 'locked':
      return new DataProblem(fault, `${file} is locked by another program. Close that program and start again.`, error)
    case 'not-writable':
      return new DataProblem(
        fault,
        `${file} cannot be opened for writing. Make the file and its folder writable, or start with another folder by --data.`,
        error,
      )
    default:
      return error
  }
}
