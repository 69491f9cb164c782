import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { suggestTags, type SuggestQuestion } from '../../../../core/tags/suggest'
import { misspeltPhrases } from '../../../../core/tags/misspell'
import { videoStore } from '../../../../server/data/videos'
import { workspaceStore } from '../../../../server/data/workspaces'
import { assess } from '../../../../server/demand/assess'
import { hashtagSuggestions, ownTags, tagSuggestions } from '../../../../server/desk/tagSuggestions'
import { dictionaryOf } from '../../../../server/threads/dictionary'
import { all, clock, deps } from '../demand/standin'

const question = {
  draft: { title: 'Bike chain care', description: 'All about a bike chain.', tags: ['bike chain'] },
  phrases: { lead: 'bike chain', support: ['rear derailleur'] },
  region: 'GB',
  language: 'en',
  profile: DEFAULT_PROFILE,
}

async function stores() {
  const given = deps()
  const videos = videoStore(given.db)
  const workspaces = workspaceStore(given.db, videos, clock)
  await all(assess(given, ['bike chain'], 'GB', 'en'))
  return {
    ...given,
    videos,
    workspaces,
    workspace: workspaces.get()!.id,
    search: { texts: async () => ['clean bike chain'] },
    scoring: {
      suggestTags: async (question: SuggestQuestion) => suggestTags(question),
      misspelt: async (phrases: string[], language: string) =>
        misspeltPhrases(phrases, language, await dictionaryOf(language)),
    },
  } as unknown as Parameters<typeof tagSuggestions>[0] & { workspace: string }
}

test('suggestions come from tray, page and what people misspell; unknown figures stay unknown', async () => {
  const given = await stores()
  const { suggestions, held, current } = await tagSuggestions(given, { ...question, workspace: given.workspace })
  const named = (tag: string) => suggestions.find(each => each.tag === tag)
  expect(named('rear derailleur')).toMatchObject({ kind: 'near', chance: null })
  expect(named('clean bike chain')!.reasons).toContain('People search for it.')
  expect(suggestions.some(each => each.reasons.some(reason => /of 20 results/u.test(reason)))).toBe(true)
  // The service knows how often derailleur is misspelt.
  const misspelt = suggestions.filter(each => each.kind === 'misspelling' && each.volume !== null)
  expect(misspelt.map(each => each.tag)).toContain('rear derailer')
  expect(misspelt[0]!.reasons[0]).toMatch(/^People misspell/u)
  expect(suggestions.map(each => each.tag)).not.toContain('bike chain')
  expect(current.map(each => each.kind)).toEqual(['lead'])
  expect(held.every(each => each.held)).toBe(true)
})

test('who may not ask the service gets what is kept', async () => {
  const given = await stores()
  const { suggestions } = await tagSuggestions({ ...given, mayAsk: false }, { ...question, workspace: given.workspace })
  expect(suggestions.filter(each => each.kind === 'misspelling').every(each => each.volume === null)).toBe(true)
})

test('hashtags of the page say how many use them', async () => {
  const given = await stores()
  const found = hashtagSuggestions(given, { ...question, draft: { description: 'x #bikeChain' } })
  expect(found.map(each => each.hashtag)).not.toContain('#bikeChain')
  expect(found[0]).toEqual({
    hashtag: '#rearDerailleur',
    usedBy: expect.any(Number) as number,
    reason: expect.stringMatching(/^From “rear derailleur”/u) as string,
  })
  const nothing = hashtagSuggestions(given, { ...question, phrases: { lead: '', support: [] } })
  expect(nothing).toEqual([])
})

test('my tags by how many videos have them, and how those did against the usual', () => {
  const day = 86_400_000
  const video = (tags: string[] | null, perDay: number) => ({
    tags: tags && JSON.stringify(tags),
    views: perDay * 10,
    published_at: 0,
    at: 10 * day,
  })
  // Usual is the median of 10, 20 and 90 a day: 20. Videos with “wax” have a median of 55.
  expect(ownTags([video(['wax', 'Wax'], 20), video(['wax', 'oil'], 90), video(null, 10)])).toEqual([
    { tag: 'wax', videos: 2, times: 2.75 },
    { tag: 'oil', videos: 1, times: 4.5 },
  ])
  expect(ownTags([{ tags: '["wax"]', views: null, published_at: null, at: 0 }])).toEqual([
    { tag: 'wax', videos: 1, times: null },
  ])
})

test('the dictionary knows both ways of English, and says of no other language that a word is right', async () => {
  const english = await dictionaryOf('en-GB')
  expect(['colour', 'color', 'brakes', 'derailer'].map(english)).toEqual([true, true, true, false])
  expect((await dictionaryOf('de'))('Haus')).toBe(false)
})
