import { z } from 'zod'

export type BackupKind = 'daily' | 'by-hand' | 'before-update' | 'before-restore'
/** A copy of the user's whole file. */
export interface Backup {
  name: string
  at: number
  kind: BackupKind
  bytes: number
}

/** The backups there are, newest first, and why the last one failed, if it did. */
export interface BackupsAnswer {
  file: string
  bytes: number
  backups: Backup[]
  /** Pictures are kept beside the file, each once. */
  pictures: { count: number; bytes: number }
  problem: string | null
}

export const restoreBodySchema = z.object({ name: z.string().min(1, 'Choose a backup.').max(200) })
