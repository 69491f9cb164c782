import { gradeValue } from '../../rivals/strength'
import { defineCheck, met, missing, partly } from '../check'

/** The playlist speaks of the same thing as the video. */
export const playlistLead = defineCheck({
  id: 'playlist-lead',
  version: 1,
  field: 'playlist',
  question: 'found',
  title: 'Playlist close to the lead',
  why: 'A playlist is found in search by itself, and one about the same thing lends its subject to the video.',
  needs: ['playlist', 'lead'],
  settings: {},
  run: ({ lead, at, match }) => {
    const value = gradeValue(match(lead!, at('playlist')[0]!.text))
    if (value > 0.7) return met('The playlist speaks of the lead.')
    return value
      ? partly(value, 'The playlist speaks of a part of the lead only.')
      : missing('The playlist does not speak of the lead.')
  },
})
