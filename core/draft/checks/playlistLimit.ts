import { count } from '../../text/count'
import { inDigits } from '../../text/inWords'
import { defineCheck, met, missing } from '../check'

/** The playlist's title and text are within their limits. */
export const playlistLimit = defineCheck({
  id: 'playlist-limit',
  version: 1,
  field: 'playlist',
  question: 'sound',
  title: 'Playlist within its limits',
  why: 'The site refuses what is longer.',
  needs: ['playlist'],
  settings: {},
  run: ({ draft: { playlist }, profile }) => {
    const title = count(playlist!.title, profile.playlist.titleUnit)
    const text = count(playlist!.description, profile.playlist.descriptionUnit)
    if (!playlist!.title.trim()) return missing('The playlist has no title.')
    if (title > profile.playlist.titleLimit)
      return missing(
        `The playlist’s title has ${inDigits(title)} of ${inDigits(profile.playlist.titleLimit)} characters.`,
      )
    if (text > profile.playlist.descriptionLimit)
      return missing(
        `The playlist’s text has ${inDigits(text)} of ${inDigits(profile.playlist.descriptionLimit)} bytes.`,
      )
    return met('Title and text are within their limits.')
  },
})
