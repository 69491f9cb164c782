import { emptyFields, type BriefFields } from '../../../../core/brief/brief'
import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { FIRST_CHECKLIST } from '../../../../core/release/checklist'
import { leftOf, POINT_GROUPS, readiness, type ReadinessFrom } from '../../../../core/release/readiness'
import { CHANNEL_RIGHTS } from '../../../../core/release/rights'
import { SEEN_IDS } from '../../../../core/release/point'
import { SHEET_QUESTIONS, type SheetAnswers } from '../../../../core/release/sheet'
import type { Picture } from '../../../../core/thumbnail/picture'
import { ANSWERED } from '../../../setup/sheet'
import { DAY, MINUTE } from '../../../../core/time'

const NOW = Date.UTC(2026, 2, 14, 9)
const inWords = (at: number) => new Date(at).toISOString().slice(0, 16)
const ANSWERS: SheetAnswers = { ...ANSWERED, category: 'How-to', automaticCaptions: 'remove' }
const PICTURE: Picture = { hash: 'a'.repeat(64), format: 'jpeg', width: 1280, height: 720, bytes: 180_000 }
const written = (more: Partial<BriefFields> = {}): BriefFields => ({
  ...emptyFields(),
  tray: { lead: 'clean a bike chain', support: [], setAside: [] },
  title: 'How to clean a bike chain',
  description: 'Clean a bike chain in ten minutes.\n\nMore: https://marrowby.example/chain',
  tags: ['clean a bike chain'],
  fileName: 'clean-a-bike-chain.mp4',
  captions: 'WEBVTT\n\n00:00.000 --> 00:02.000\nToday we clean a chain.',
  seconds: 600,
  thumbnail: PICTURE,
  cards: [{ id: 'c', at: 60, kind: 'video', target: 'v', title: 'V', message: '', teaser: 'See it' }],
  endScreen: {
    from: 580,
    elements: [{ id: 'e', kind: 'video', pick: 'best', target: '', title: '', x: 0.1, y: 0.1, width: 0.3 }],
  },
  sheet: ANSWERS,
  releaseAt: NOW + DAY,
  ticked: Object.fromEntries(FIRST_CHECKLIST.own.map(({ id }) => [id, NOW])),
  ...more,
})
const around = (more: Partial<ReadinessFrom> = {}): Omit<ReadinessFrom, 'fields'> => ({
  profile: DEFAULT_PROFILE,
  playlists: ['Chains'],
  pictures: [PICTURE.hash],
  rights: CHANNEL_RIGHTS,
  checklist: FIRST_CHECKLIST,
  now: NOW,
  inWords,
  ...more,
})
const points = (fields: Partial<BriefFields> = {}, more: Partial<ReadinessFrom> = {}) =>
  readiness({ ...around(more), fields: written(fields) })
const point = (id: string, ...of: Parameters<typeof points>) => points(...of).find(each => each.id === id)!
const sheet = (answers: Partial<SheetAnswers>) => ({ sheet: { ...ANSWERS, ...answers } })

test('nothing is left of a brief that has everything; what does not apply is no fault', () => {
  const all = points()
  expect(leftOf(all)).toEqual([])
  expect(all.filter(({ state }) => state === 'n/a').map(({ id }) => id)).toEqual(['hashtags', 'chapters', 'adverts'])
  const groups = POINT_GROUPS.map(({ id }) => id)
  expect([...new Set(all.map(({ group }) => group))]).toEqual(groups)
})

test('an empty brief has nothing done, and every question is unanswered or does not apply', () => {
  const all = readiness({ ...around({ rights: null, playlists: [] }), fields: emptyFields() })
  expect(all.filter(({ state }) => state === 'done')).toEqual([])
  for (const { question, state } of all) if (question) expect(['unanswered', 'n/a']).toContain(state)
})

test('no is an answer, and nothing is none', () => {
  expect(point('paidPromotion', sheet({ paidPromotion: false }))).toMatchObject({ state: 'done', message: 'No' })
  expect(point('paidPromotion', sheet({ paidPromotion: null }))).toMatchObject({ state: 'unanswered' })
  expect(point('recordedIn', sheet({ recordedIn: '' }))).toMatchObject({ state: 'done', message: 'Leave out' })
})

test('a sheet stored before a question was asked leaves it unanswered', () => {
  const { licence: _, ...before } = ANSWERS
  expect(point('licence', { sheet: before as SheetAnswers })).toMatchObject({ state: 'unanswered' })
})

describe('what Fonetra sees', () => {
  test.each<[string, Partial<BriefFields>, string, RegExp]>([
    ['title', { title: 'x'.repeat(101) }, 'open', /over the limit of 100/u],
    ['title', { title: '' }, 'open', /no title yet/u],
    ['title', { title: 'Clean <it>' }, 'open', /</u],
    ['description', { description: ' ' }, 'open', /no description yet/u],
    ['description', { description: 'é'.repeat(2501) }, 'open', /over the limit/u],
    ['gaps', { description: 'Use [… a degreaser].' }, 'open', /One gap is left/u],
    ['links', { description: 'See marrowby.example' }, 'open', /https/u],
    ['links', { description: 'No link.' }, 'n/a', /./u],
    ['tags', { tags: [] }, 'open', /no tags yet/u],
    ['chapters', { description: '0:00 Begin\n0:05 Clean\n9:00 Oil' }, 'open', /10 is the least/u],
    ['chapters', { description: '0:00 Begin\n1:05 Clean\n9:00 Oil' }, 'done', /in order/u],
    ['file', { fileName: 'IMG_2041.MOV' }, 'open', /clean a bike chain/u],
    ['file', { fileName: '' }, 'open', /no name yet/u],
    ['file', { forSearch: false }, 'n/a', /not meant for search/u],
    ['captions', { captions: '' }, 'open', /no captions yet/u],
    ['captions', { captions: 'Today we clean a chain.' }, 'open', /no times yet/u],
  ])('%s: %j is %s', (id, fields, state, message) => {
    const found = point(id, fields)
    expect(found.state).toBe(state)
    expect(found.message).toMatch(message)
  })

  test('the playlists are named', () => {
    expect(point('playlist', {}, { playlists: [] })).toMatchObject({ state: 'open' })
    expect(point('playlist', {}, { playlists: ['Chains', 'Gears'] }).message).toBe('In Chains and Gears.')
  })
})

describe('what contradicts or makes an answer needless', () => {
  test('only a public video is found, told of, or a premiere', () => {
    const unlisted = sheet({ visibility: 'unlisted' })
    expect(point('visibility', unlisted)).toMatchObject({ state: 'open' })
    expect(point('visibility', { ...unlisted, forSearch: false })).toMatchObject({ state: 'done' })
    expect(point('notifySubscribers', unlisted)).toMatchObject({ state: 'n/a' })
    expect(point('premiere', unlisted)).toMatchObject({ state: 'n/a' })
    expect(point('premiere', { releaseAt: 'now' })).toMatchObject({ state: 'n/a' })
  })

  test('automatic captions go once own ones are in', () => {
    expect(point('automaticCaptions', sheet({ automaticCaptions: 'keep' }))).toMatchObject({ state: 'open' })
    expect(point('automaticCaptions', { captions: '' })).toMatchObject({ state: 'n/a' })
  })

  test('for adults only and made for children cannot both be', () => {
    expect(point('ageLimit', sheet({ ageLimit: true, madeForChildren: true }))).toMatchObject({ state: 'open' })
  })
})

describe('rights', () => {
  test('what the account lacks says so at the line, and is no open point', () => {
    const rights = CHANNEL_RIGHTS.filter(right => right !== 'monetise' && right !== 'links')
    const all = points(sheet({ monetised: true }), { rights })
    expect(all.filter(({ state }) => state === 'not-allowed').map(({ id }) => id)).toEqual([
      'links',
      'monetised',
      'adverts',
    ])
    expect(leftOf(all)).toEqual([])
    expect(point('monetised', {}, { rights })).toMatchObject({ state: 'done', message: 'No' })
  })

  test('unknown rights forbid nothing', () => {
    expect(points(sheet({ monetised: true }), { rights: null }).map(({ state }) => state)).not.toContain('not-allowed')
  })
})

describe('the hour', () => {
  test('is far enough away for the site to have it ready: ten minutes and the length', () => {
    expect(point('hour', { releaseAt: NOW + 21 * MINUTE })).toMatchObject({
      state: 'done',
      message: '2026-03-14T09:21. Have it uploaded by 2026-03-14T09:01.',
    })
    expect(point('hour', { releaseAt: NOW + 20 * MINUTE })).toMatchObject({ state: 'open' })
    expect(point('hour', { releaseAt: NOW }).message).toMatch(/is over/u)
    expect(point('hour', { releaseAt: 'now' }).message).toMatch(/20 minutes/u)
    expect(point('hour', { releaseAt: null })).toMatchObject({ state: 'unanswered' })
    expect(point('hour', { releaseAt: NOW, videoAddress: 'https://videos.example/a' })).toMatchObject({ state: 'done' })
  })

  test('a length nobody knows counts as a long one', () => {
    expect(point('hour', { releaseAt: NOW + 59 * MINUTE, seconds: null })).toMatchObject({ state: 'open' })
    expect(point('hour', { releaseAt: NOW + 61 * MINUTE, seconds: null })).toMatchObject({ state: 'done' })
  })
})

describe('the checklist', () => {
  test('own points are ticked by hand, others switched off or moved within their group', () => {
    const checklist = {
      own: [{ id: 'a', text: 'Ask Ina' }],
      off: ['hashtags', 'adverts'],
      order: ['captions', 'title'],
    }
    const all = points({ ticked: {} }, { checklist })
    expect(all.at(-1)).toMatchObject({ id: 'a', group: 'own', title: 'Ask Ina', state: 'open' })
    expect(all.map(({ id }) => id)).not.toContain('hashtags')
    expect(all.slice(0, 3).map(({ id }) => id)).toEqual(['captions', 'title', 'description'])
    expect(points({ ticked: { a: NOW } }, { checklist }).at(-1)).toMatchObject({ state: 'done' })
    const inherited = { ...checklist, own: [{ id: 'constructor', text: 'Ask Ina' }] }
    expect(points({ ticked: {} }, { checklist: inherited }).at(-1)).toMatchObject({ state: 'open' })
  })

  test('every question of the sheet is a point, and so is all that Fonetra sees', () => {
    expect(
      points()
        .filter(({ group }) => group === 'seen')
        .map(({ id }) => id),
    ).toEqual([...SEEN_IDS])
    expect(points().flatMap(({ question }) => question ?? [])).toEqual(SHEET_QUESTIONS.map(({ id }) => id))
  })
})

describe('the thumbnail', () => {
  const state = (thumbnail: Picture | null, more: Partial<ReadinessFrom> = {}) =>
    point('thumbnail', { thumbnail }, more)
  test('is open until one is chosen that is here and that the site takes', () => {
    expect(state(PICTURE)).toMatchObject({ state: 'done', message: '1280×720, JPEG, 180 KB.' })
    expect(state(null)).toMatchObject({ state: 'open', message: expect.stringContaining('No thumbnail') as string })
    expect(state(PICTURE, { pictures: [] }).message).toContain('not here')
    expect(state({ ...PICTURE, bytes: 2_100_000 }).message).toContain('weighs 2.1 MB')
    expect(state({ ...PICTURE, format: 'webp' }).message).toContain('does not take WebP')
    expect(state({ ...PICTURE, width: 500, height: 281 }).message).toContain('500 pixels wide')
  })
  test('is not asked for where the account may not set one', () => {
    const rights = CHANNEL_RIGHTS.filter(right => right !== 'thumbnails')
    expect(state(null, { rights }).state).toBe('not-allowed')
  })
})
