import { z } from 'zod'

/** What a person may do: everything; write, but neither keys, backups nor services; look things up and read. */
export const ROLES = ['owner', 'editor', 'reader'] as const
export type Role = (typeof ROLES)[number]

export interface Who {
  name: string
  role: Role
}

/**
 * Who asks. `needed` says whether a key is needed at all; on this machine alone none is, and whoever sits there is the
 * owner.
 */
export interface SessionAnswer {
  needed: boolean
  who: Who | null
  /** The time by which ages are counted: this machine’s, or the simulated services’ when their clock was moved on. */
  now: number
}

export interface AccessKey {
  id: string
  name: string
  role: Role
  createdAt: number
  usedAt: number | null
}

export const newKeySchema = z.object({
  name: z.string().trim().min(1, 'Enter a name for the key.').max(60, 'A name has 60 characters at most.'),
  role: z.enum(ROLES, 'A role is owner, editor or reader.'),
})
/** A key just created: the only time its text is returned. */
export interface NewKey extends AccessKey {
  key: string
}

export const signInSchema = z.object({
  key: z.string().trim().min(1, 'Enter your access key.').max(200, 'This is not an access key.'),
})
