import { belongsTo, newPlaylists, standsFor } from '../../../../core/playlist/belongs'
import { playlistDifficulty } from '../../../../core/playlist/difficulty'
import { playlistFaults } from '../../../../core/playlist/faults'
import { ordered, ORDERS, type Orderable } from '../../../../core/playlist/order'
import { playlistSchema } from '../../../../core/playlist/playlist'
import { PLAYLIST_RULES, playlistDraft, playlistLimits, playlistPhrases } from '../../../../core/playlist/score'
import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { CHECKS } from '../../../../core/draft/checks'
import { scoreDraft } from '../../../../core/draft/score'
import { playlistPatchSchema } from '../../../../shared/workspaceItems'

const entry = (title: string, of: Partial<Orderable> = {}): Orderable => ({
  title,
  publishedAt: null,
  planned: false,
  searches: null,
  difficulty: null,
  ...of,
})
const titles = (list: Orderable[]) => list.map(each => each.title)

describe('a playlist as it is kept', () => {
  test('begins empty, and holds each thing once', () => {
    expect(playlistSchema.parse({ language: 'en' })).toEqual({
      title: '',
      description: '',
      lead: '',
      region: null,
      language: 'en',
      order: 'hand',
      entries: [],
    })
    const twice = [
      { kind: 'brief', id: 'a' },
      { kind: 'video', id: 'a' },
      { kind: 'brief', id: 'a' },
    ]
    expect(playlistSchema.parse({ language: 'en', entries: twice }).entries).toEqual(twice.slice(0, 2))
  })

  test('what a change leaves out stays', () => {
    expect(playlistPatchSchema.parse({ revision: 3, title: 'Chains' })).toEqual({ revision: 3, title: 'Chains' })
    expect(playlistPatchSchema.parse({ revision: 3, region: null })).toEqual({ revision: 3, region: null })
    expect(() => playlistPatchSchema.parse({ title: 'Chains' })).toThrow(/State the revision/u)
  })
})

describe('its order', () => {
  const list = [
    entry('Part 10', { publishedAt: 3, searches: 10, difficulty: 40 }),
    entry('Part 2', { publishedAt: 1, searches: 90 }),
    entry('part 1', { planned: true, difficulty: 10 }),
    entry('Part 3', { publishedAt: 2, searches: 40, difficulty: 70 }),
    entry('Unknown'),
  ]
  test.each([
    ['hand', ['Part 10', 'Part 2', 'part 1', 'Part 3', 'Unknown']],
    ['newest', ['part 1', 'Part 10', 'Part 3', 'Part 2', 'Unknown']],
    ['oldest', ['Part 2', 'Part 3', 'Part 10', 'part 1', 'Unknown']],
    ['searches', ['Part 2', 'Part 3', 'Part 10', 'part 1', 'Unknown']],
    ['easiest', ['part 1', 'Part 10', 'Part 3', 'Part 2', 'Unknown']],
    ['title', ['part 1', 'Part 2', 'Part 3', 'Part 10', 'Unknown']],
  ] as const)('%s: what is unknown comes last', (order, expected) => {
    expect(titles(ordered(list, order, 'en'))).toEqual(expected)
  })

  test('every order keeps every entry, and equal ones as they were put', () => {
    for (const order of ORDERS) {
      expect(titles(ordered(list, order, 'en')).sort()).toEqual(titles(list).sort())
      const alike = [entry('b'), entry('B'), entry('b')]
      expect(ordered(alike, order, 'en')).toEqual(alike)
    }
  })
})

describe('its points', () => {
  test('only checks that are there, under limits of its own', () => {
    const ids = new Set(CHECKS.map(check => check.id))
    expect(Object.keys(PLAYLIST_RULES.checks).filter(id => !ids.has(id))).toEqual([])
    const limits = playlistLimits(DEFAULT_PROFILE)
    expect(limits.title.limit).toBe(150)
    expect(limits.description.limit).toBe(5000)
    expect(DEFAULT_PROFILE.title.limit).toBe(100)
  })

  test('a title of 120 characters fits a playlist, and the lead counts most', () => {
    const score = (title: string, description = '') =>
      scoreDraft(
        playlistDraft({ title, description }),
        playlistPhrases('bike chain', [{ lead: 'clean bike chain', searches: 50 }]),
        PLAYLIST_RULES,
        playlistLimits(DEFAULT_PROFILE),
        'en',
      )
    const check = (id: string, title: string, description = '') =>
      score(title, description).checks.find(each => each.id === id)!
    expect(check('title-length', 'Bike chain '.repeat(11).trim()).state).toBe('met')
    expect(check('title-length', 'Bike chain '.repeat(15).trim()).state).toBe('missing')
    expect(check('title-lead', 'Bike chain, from dirty to quiet').points).toBe(14)
    expect(check('title-lead', 'Wheels').points).toBe(0)
    const text =
      'Bike chain care from the first drop of oil to wax. How to clean bike chain links, when to oil them and how to tell that they are worn out.'
    const whole = score('Bike chain care', text)
    expect(whole.percent).toBe(100)
  })

  test('its phrases: the lead, then leads of what it holds, each once', () => {
    expect(
      playlistPhrases('bike chain', [
        { lead: 'oil chain', searches: null },
        { lead: 'wax chain', searches: 10 },
        { lead: 'bike chain', searches: 900 },
        { lead: 'wax chain', searches: 20 },
        { lead: '', searches: 5 },
      ]),
    ).toEqual({ lead: 'bike chain', support: ['wax chain', 'oil chain'] })
  })
})

describe('its difficulty', () => {
  const found = (title: string, subscribers: number | null) => ({ title, description: '', subscribers })
  test('by words and reach, the part of views given to them', () => {
    // A lone result at rank 1: .45 and .25 of .70, over the seats' weights, the other nineteen empty.
    const weights = Array.from({ length: 20 }, (_, i) => 1 / Math.log2(i + 2)).reduce((sum, each) => sum + each, 0)
    const reach = Math.log10(1 + 99_999) / 7
    // No tags: title .7 and first line .2 are renormalised; the empty text has no match.
    const targeting = 0.7 / 0.9
    const strength = (0.45 * targeting + 0.25 * reach) / 0.7
    expect(playlistDifficulty('bike chain', [found('Bike chain', 99_999)], 'en')!.page).toBeCloseTo(
      (100 * strength) / weights,
      6,
    )
  })
  test('nothing found says nothing; hidden subscribers are no small channel', () => {
    expect(playlistDifficulty('bike chain', [], 'en')).toBeNull()
    const hidden = playlistDifficulty('bike chain', [found('Bike chain', null)], 'en')!.page
    expect(hidden).toBeGreaterThan(playlistDifficulty('bike chain', [found('Bike chain', 0)], 'en')!.page)
  })
})

describe('where a brief belongs', () => {
  const page = (from: number) => Array.from({ length: 20 }, (_, i) => from + i)
  const lists = [
    { id: 'chains', lead: 'bike chain', title: '', entries: [{ lead: 'oil chain', page: page(0) }] },
    { id: 'gears', lead: 'rear derailleur', title: '', entries: [{ lead: 'index gears', page: page(12) }] },
    { id: 'wheels', lead: 'true a wheel', title: '', entries: [] },
  ]
  test('by results in common, with the video that shows it', () => {
    const found = belongsTo({ lead: 'wax chain', page: page(5), phrases: ['wax chain'] }, lists, 'en')
    expect(found).toEqual([
      { playlist: 'chains', shared: 15, with: 'oil chain', words: 0.5 },
      { playlist: 'gears', shared: 13, with: 'index gears', words: 0 },
    ])
  })
  test('without a page kept, by the words of the lead said whole', () => {
    const found = belongsTo({ lead: '', page: [], phrases: ['truing a bike wheel', 'true wheels'] }, lists, 'en')
    expect(found).toEqual([{ playlist: 'wheels', shared: 0, with: null, words: 1 }])
  })
  test('two results in common are chance', () => {
    expect(belongsTo({ lead: 'x', page: page(-18), phrases: ['x'] }, lists.slice(0, 1), 'en')).toEqual([])
  })
})

test('a video counts for a phrase where its title says most of it', () => {
  expect(standsFor('bike hire near me', 'Storing a bike', 'en')).toBe(false)
  expect(standsFor('road bike chain', 'How to fix a bike chain', 'en')).toBe(true)
  expect(standsFor('how to', 'How to', 'en')).toBe(false)
})

describe('playlists that could be made', () => {
  const ids = [1, 2, 3, 4, 5, 6, 7, 8]
  const phrases = [
    { phrase: 'bike chain', volume: 900, ids },
    { phrase: 'clean bike chain', volume: 300, ids },
    { phrase: 'true a wheel', volume: 200, ids: [90, 91] },
  ]
  const mine = new Map([
    ['bike chain', { briefs: ['b1'], videos: ['v1'] }],
    ['clean bike chain', { briefs: ['b1', 'b2'], videos: [] }],
    ['true a wheel', { briefs: ['b3', 'b4', 'b5'], videos: [] }],
  ])
  test('of groups won together with enough of mine, named after the most searched phrase', () => {
    expect(newPlaylists(phrases, mine, [], 'en')).toEqual([
      {
        lead: 'bike chain',
        title: 'Bike chain',
        phrases: ['bike chain', 'clean bike chain'],
        searches: 1200,
        briefs: ['b1', 'b2'],
        videos: ['v1'],
      },
    ])
  })
  test('not one that is there, by its lead or by what it holds', () => {
    expect(newPlaylists(phrases, mine, [{ lead: 'Bike  Chain', entries: new Set() }], 'en')).toEqual([])
    expect(newPlaylists(phrases, mine, [{ lead: '', entries: new Set(['b1', 'b2', 'v1', 'x']) }], 'en')).toEqual([])
    expect(newPlaylists(phrases, mine, [{ lead: '', entries: new Set(['b1', 'b2']) }], 'en')).toHaveLength(1)
  })
})

describe('what is wrong with what it holds', () => {
  const known = (id: string, title: string, lead = '', gone = false) => ({ id, title, lead, phrases: [], gone })
  const whole = [
    known('1', 'Oil a bike chain', 'oil chain'),
    known('2', 'Chain wax'),
    known('3', 'When is a chain worn?'),
  ]
  test('nothing, where three or more share words with the lead', () => {
    expect(playlistFaults({ title: 'Chains', lead: 'bike chain' }, whole, ['Wheels'], 'en')).toEqual([])
  })
  test('too few, astray, gone, and a title twice', () => {
    const faults = playlistFaults(
      { title: 'Chains', lead: 'bike chain' },
      [whole[0]!, known('9', 'True a wheel', 'true wheel'), known('8', '', '', true)],
      ['chains'],
      'en',
    )
    expect(faults.map(({ kind, entry }) => [kind, entry])).toEqual([
      ['same-title', undefined],
      ['few', undefined],
      ['astray', '9'],
      ['gone', '8'],
    ])
  })
  test('a title that is not written is nobody else’s', () => {
    expect(playlistFaults({ title: '', lead: '' }, whole, ['', ''], 'en')).toEqual([])
  })
})
