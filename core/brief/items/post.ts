import { z } from 'zod'
import { POST_KINDS, postKind } from '../../posts/kinds'
import { boundedText } from '../field'

/** A text that tells others of the video, as it was edited. */
export const postSchema = z.object({
  kind: z.enum(POST_KINDS, 'Choose what kind of text it is.'),
  text: boundedText('text', 60_000),
})
export type Post = z.infer<typeof postSchema>

/** All texts, each under the name of its kind, ready to paste; empty ones are left out. */
export const exportedPosts = (posts: readonly Post[]): string =>
  posts
    .filter(({ text }) => text.trim())
    .map(({ kind, text }) => `${postKind(kind).name.toUpperCase()}\n${text}\n`)
    .join('\n')
