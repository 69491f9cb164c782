import { captionsOf } from '../../../../core/captions/read'
import type { Draft } from '../../../../core/draft/draft'
import { asLong, LINK, taggedAddress, withAddress } from '../../../../core/posts/address'
import { POST_KINDS, postKind, POSTS } from '../../../../core/posts/kinds'
import { postMaterial, sentencesOf } from '../../../../core/posts/material'
import { outletSchema, tagFor } from '../../../../core/posts/outlet'
import { firstHour, inTime, postFor, spreadStepSchema } from '../../../../core/posts/plan'
import { writePosts, type PostsQuestion } from '../../../../core/posts/write'
import { count } from '../../../../core/text/count'

const DESCRIPTION = `Is your wheel wobbling? You will true a bike wheel with a spoke key and a zip tie.
A stand is not needed, only patience. Each turn is a quarter and no more. We have done a thousand of them at the bench.
- No stand needed
- Ready in twenty minutes

0:00 Find the wobble
0:08 Turn the spokes
0:16 Check the roundness

Our bench: https://shed.example/wheels
Subscribe for more. Tell us in the comments how it went.
#wheels #bikes #repair`
const CAPTIONS = [
  'Hello from the bench.',
  'Today we true a bike wheel.',
  'Welcome back to the channel.',
  'Spin the wheel and look at the zip tie.',
  'To true the bike wheel, turn the spoke a quarter.',
  'Turn the one across by the same.',
  'Spin it again.',
  'Stop when the tie touches nothing.',
  'Then look from the side.',
  'A round wheel does not hop.',
  'That is all there is.',
]
  .map(
    (text, i) =>
      `${i + 1}\n00:00:${String(i * 2).padStart(2, '0')},000 --> 00:00:${String(i * 2 + 2).padStart(2, '0')},000\n${text}\n`,
  )
  .join('\n')
const draftOf = async (given: Partial<Draft> = {}): Promise<Draft> => ({
  title: 'Wobbly wheel? How to true a bike wheel without a stand, in twenty minutes',
  description: DESCRIPTION,
  captions: await captionsOf(CAPTIONS),
  durationSeconds: 270,
  ...given,
})
const PHRASES = { lead: 'how to true a bike wheel', support: ['bike wheel wobble'] }
const ask = async (given: Partial<PostsQuestion> = {}, draft: Partial<Draft> = {}) =>
  writePosts({ draft: await draftOf(draft), phrases: PHRASES, language: 'en', ...given })
const textsOf = async (given: Partial<PostsQuestion> = {}, draft: Partial<Draft> = {}) =>
  Object.fromEntries((await ask(given, draft)).map(({ kind, text }) => [kind, text]))

describe('what a draft offers', () => {
  test('its own words, each kind by itself, without what only works under the video', async () => {
    const { sentences, benefits, steps, spoken, hashtags, minutes } = postMaterial(await draftOf(), 'en')
    expect(sentences).toEqual([
      'Is your wheel wobbling?',
      'You will true a bike wheel with a spoke key and a zip tie.',
      'A stand is not needed, only patience.',
      'Each turn is a quarter and no more.',
      'We have done a thousand of them at the bench.',
    ])
    expect(benefits).toEqual(['No stand needed', 'Ready in twenty minutes'])
    expect(steps).toEqual(['Find the wobble', 'Turn the spokes', 'Check the roundness'])
    expect(spoken).not.toContain('Welcome back to the channel.')
    expect(hashtags[0]).toBe('#wheels')
    expect(minutes).toBe(5)
  })
  test('a line with a gap says nothing yet', () => {
    expect(postMaterial({ description: 'All about […].\nIt works.' }, 'en').sentences).toEqual(['It works.'])
  })
  test('sentences of languages without spaces', () => {
    expect(sentencesOf('これは犬です。あれは猫です。')).toEqual(['これは犬です。', 'あれは猫です。'])
  })
})

describe('written from the brief', () => {
  test('each kind within its limit, with the address where it belongs', async () => {
    for (const { kind, text, limit } of await ask()) {
      expect(limit).toBe(postKind(kind).limit)
      expect(count(asLong(text, ''), postKind(kind).unit)).toBeLessThanOrEqual(limit)
      expect(text.includes(LINK)).toBe(kind !== 'pushTitle' && kind !== 'pushText')
    }
  })
  test('none is the copy of another: no sentence of the description stands in two', async () => {
    const texts = await textsOf()
    const { sentences } = postMaterial(await draftOf(), 'en')
    for (const sentence of sentences)
      expect(
        Object.entries(texts).filter(([kind, text]) => kind !== 'article' && text!.includes(sentence)).length,
      ).toBeLessThanOrEqual(1)
    expect(new Set(Object.values(texts)).size).toBe(POST_KINDS.length)
  })
  test('what each says', async () => {
    const texts = await textsOf()
    expect(texts.short).toBe(
      'Is your wheel wobbling? You will true a bike wheel with a spoke key and a zip tie.\n\n#wheels #bikes\n\n{link}',
    )
    expect(texts.pushTitle).toBe('How to true a bike wheel')
    expect(texts.answer).toMatch(/^To true the bike wheel, turn the spoke a quarter\. Turn the one across/u)
    expect(texts.newsletter).toMatch(/The video takes 5 minutes: \{link\}$/u)
    expect(texts.long).toMatch(/^Wobbly wheel\?/u)
    expect(texts.long).toContain('– No stand needed')
    expect(texts.article).toMatch(/^# Wobbly wheel\?/u)
    expect(texts.article).toContain('## Turn the spokes')
  })
  test('one alone is the same as among others, in the order asked for', async () => {
    const all = await textsOf()
    expect(await textsOf({ kinds: ['long'] })).toEqual({ long: all.long })
    expect((await ask({ kinds: ['answer', 'short'] })).map(({ kind }) => kind)).toEqual(['answer', 'short'])
  })
  test('a long address leaves less room', async () => {
    const address = `https://videos.example/${'a'.repeat(165)}`
    const { short } = await textsOf({ address })
    expect(count(withAddress(short!, address), 'codePoints')).toBeLessThanOrEqual(280)
    expect(short).not.toContain('#bikes')
  })
})

describe('with little to go on', () => {
  test('nothing at all: gaps, and nothing invented', async () => {
    const texts = await textsOf(
      { phrases: { lead: '', support: [] } },
      { title: '', description: '', captions: undefined, durationSeconds: undefined },
    )
    for (const text of Object.values(texts)) expect(text).toContain('[…')
  })
  test('without captions an answer lists the steps, and one with no steps is a gap', async () => {
    expect((await textsOf({}, { captions: undefined })).answer).toBe(
      '1. Find the wobble\n2. Turn the spokes\n3. Check the roundness\n\nAll of it on video: {link}',
    )
    expect((await textsOf({}, { captions: undefined, description: 'A wheel.' })).answer).toContain('[…')
  })
  test('a language without words of ours has the brief’s own alone', async () => {
    const { newsletter } = await textsOf({ language: 'fi' }, { description: 'Pyörä on suora. Se ei heilu. Se pyörii.' })
    expect(newsletter).not.toMatch(/Watch|minutes/u)
  })
  test('a title without a place to cut it is cut at a word', async () => {
    const title = 'Bicycle wheels that wobble and hop and rub against everything on both sides'
    const { pushTitle } = await textsOf({ phrases: { lead: '', support: [] } }, { title })
    expect(pushTitle).toBe('Bicycle wheels that wobble and hop and rub…')
  })
  test('very much is cut to what fits', async () => {
    const description = 'A sentence that says hardly anything at all. '.repeat(2000)
    for (const { kind, text } of await ask(
      {},
      { description: `${description}\n- ${'x'.repeat(3000)}`, title: 'y'.repeat(5000) },
    ))
      expect(count(asLong(text, ''), 'codePoints')).toBeLessThanOrEqual(postKind(kind).limit)
  })
})

describe('addresses', () => {
  const outlet = { tag: 'shed-page', kind: 'page' as const }
  test('carry the outlet, its kind and what they are for, beside what they have', () => {
    expect(taggedAddress('https://videos.example/watch?v=1#t', outlet, 'True a Wheel.mp4')).toBe(
      'https://videos.example/watch?v=1&utm_source=shed-page&utm_medium=social&utm_campaign=true-a-wheel-mp4#t',
    )
  })
  test('what is none of the web stays as it is', () => {
    for (const address of ['', 'javascript:alert(1)', 'https://', 'videos.example'])
      expect(taggedAddress(address, outlet, 'x')).toBe(address)
  })
  test('take the place of their mark, dollars and all', () => {
    expect(withAddress('See {link} and {link}', 'https://v.example/$&')).toBe(
      'See https://v.example/$& and https://v.example/$&',
    )
    expect(withAddress('See {link}', '')).toBe('See {link}')
  })
})

describe('outlets and the first hour', () => {
  const OUTLETS = [
    { id: '018f0000-0000-7000-8000-000000000001', name: 'Shed page', kind: 'page' as const },
    { id: '018f0000-0000-7000-8000-000000000002', name: 'Riders of Marrowby', kind: 'group' as const },
    { id: '018f0000-0000-7000-8000-000000000003', name: 'Riders of Fenwold', kind: 'group' as const },
  ]
  test('each is told at its time with its text, those of a kind apart', () => {
    const plan = firstHour(OUTLETS)
    expect(plan.map(({ minutes }) => minutes)).toEqual([...plan.map(({ minutes }) => minutes)].sort((a, b) => a - b))
    expect(plan.find(({ what }) => what === 'Announce: Riders of Fenwold')).toMatchObject({
      minutes: 25,
      post: 'short',
      outlet: OUTLETS[2]!.id,
      doneAt: null,
      brought: null,
    })
    for (const step of plan) expect(spreadStepSchema.safeParse(step).success).toBe(true)
  })
  test('without outlets there is still what is always done', () => {
    expect(firstHour([]).length).toBeGreaterThan(1)
    expect(firstHour([]).every(({ outlet }) => outlet === null)).toBe(true)
  })
  test('every kind of outlet has a text, every text is known', () => {
    expect(POSTS.map(({ id }) => id).sort()).toEqual([...POST_KINDS].sort())
    expect(postFor('forum')).toBe('answer')
    expect(postFor('site')).toBe('article')
  })
  test('steps stand in the order in which they are done', () => {
    expect(
      inTime([
        { what: 'b', minutes: 5 },
        { what: 'a', minutes: 5 },
        { what: 'c', minutes: 0 },
      ]).map(({ what }) => what),
    ).toEqual(['c', 'a', 'b'])
  })
  test('a tag comes from a name, and holds only what addresses can', () => {
    expect(tagFor('Riders of Märrowby!')).toBe('riders-of-marrowby')
    expect(tagFor('自転車')).toBe('')
    const parse = (tag: string) => outletSchema.safeParse({ name: 'x', kind: 'page', address: '', tag })
    expect(parse('shed-page').success).toBe(true)
    expect(parse('Shed page').success).toBe(false)
    expect(outletSchema.safeParse({ name: 'x', kind: 'page', address: 'javascript:x', tag: 'x' }).success).toBe(false)
  })
})
