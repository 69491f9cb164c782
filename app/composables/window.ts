import { v4 as uuid } from 'uuid'

/** The name of this window, by which the server distinguishes its changes from those of others. */
export const WINDOW = uuid()
