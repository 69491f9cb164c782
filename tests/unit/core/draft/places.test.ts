import { chaptersOf } from '../../../../core/chapters/lines'
import { hashtagsOf } from '../../../../core/draft/hashtags'
import { insertionFor } from '../../../../core/draft/insertions'
import { DEFAULT_PROFILE, repeatedTags, splitTags, tagsCost, tidyTags } from '../../../../core/draft/limits'
import { linksOf } from '../../../../core/draft/links'
import { placements } from '../../../../core/draft/placements'
import { firstLineOf, openingOf, placeTexts } from '../../../../core/draft/places'
import { fixed, PLACES, type Draft, type Placement } from '../../../../core/draft/draft'
import { match, readPhrase } from '../../../../core/text/match'
import { underlines } from '../../../../core/draft/underlines'

const draft: Draft = {
  fileName: 'clean-bike-chain.mp4',
  title: 'Keep it quiet all winter, in spring and in the wettest summer too: how to clean a bike chain',
  description: '  \nHow to clean a chain.\n\n0:00 Clean bike chain links\n1:30 Wax\n\n#bikechain #wax',
  tags: ['wax', 'clean bike chain'],
}
const where = (phrase: string, place: Placement['place']) => {
  const found = placements([readPhrase(phrase, 'en')], placeTexts(draft, DEFAULT_PROFILE, 'en'), match)
  return found.find(each => each.place === place)!
}

describe('places', () => {
  test('each place is looked at by itself', () => {
    expect(where('clean bike chain', 'fileName').grade).toBe('exact')
    expect(where('clean bike chain', 'title').grade).toBe('ordered')
    // The phone cuts before the phrase begins.
    expect(where('clean bike chain', 'titleFront').grade).toBe('none')
    expect(where('clean bike chain', 'firstTag').grade).toBe('none')
    expect(where('clean bike chain', 'tags')).toMatchObject({ grade: 'exact', item: 1, start: 0, end: 16 })
    expect(where('clean bike chain', 'chapters')).toMatchObject({ grade: 'exact', item: 0 })
  })

  test('offsets are those of the field, not of the place', () => {
    const { start, end } = where('clean bike chain', 'chapters')
    expect(draft.description!.slice(start, end)).toBe('Clean bike chain')
    const line = where('clean a chain', 'firstLine')
    expect(draft.description!.slice(line.start, line.end)).toBe('clean a chain')
    const hashtag = where('wax', 'hashtags')
    expect(hashtag).toMatchObject({ grade: 'exact', item: 1 })
    expect(draft.description!.slice(hashtag.start, hashtag.end)).toBe('wax')
  })

  test('a place whose field is absent is not there', () => {
    const found = placements([readPhrase('wax', 'en')], placeTexts({ title: 'Wax' }, DEFAULT_PROFILE, 'en'), match)
    expect(found.map(each => each.place)).toEqual(['title', 'titleFront'])
  })

  test('first line and opening', () => {
    expect(firstLineOf('\n  Hello \nyou')).toEqual({ text: 'Hello', start: 3 })
    expect(firstLineOf(' \n')).toEqual({ text: '', start: 0 })
    // An emoji is one of the 160 code points and two units.
    expect(openingOf('🚲'.repeat(200), DEFAULT_PROFILE)).toBe('🚲'.repeat(160))
  })

  test('a phrase that is spoken stands in its cue, also where it goes on in the next one', () => {
    const captions = {
      timed: true,
      cues: [
        { start: 0, end: 2, text: 'Hello. Today we' },
        { start: 2, end: 4, text: 'clean a bike' },
        { start: 4, end: 6, text: 'chain with care' },
      ],
    }
    const found = placements(
      [readPhrase('clean a bike chain', 'en')],
      placeTexts({ captions }, DEFAULT_PROFILE, 'en'),
      match,
    )
    expect(found).toEqual([
      { phrase: 'clean a bike chain', place: 'spoken', grade: 'exact', item: 1, start: 0, end: 18 },
    ])
  })
})

describe('what stands in a description', () => {
  test('chapters need a time at the start of a line', () => {
    expect(
      chaptersOf(
        '0:00 Start\n at 1:00 no\n01:05 - Wheels\n1:02:03 End\n9:99 bad\n10:00am we open\n9:30 p.m. we close\n2:10 Ample room',
      ).map(({ seconds, title }) => [seconds, title]),
    ).toEqual([
      [0, 'Start'],
      [65, 'Wheels'],
      [3723, 'End'],
      [130, 'Ample room'],
    ])
  })

  test('hashtags of any script; numbers and parts of addresses are none', () => {
    expect(
      hashtagsOf('#bike #2026 #fahrrad_tips (#链条) https://x.com/#part a#b &#39;').map(each => each.text),
    ).toEqual(['#bike', '#fahrrad_tips', '#链条'])
  })

  test('links with and without a scheme', () => {
    expect(
      linksOf('go to wheelshed.com or http://wheelshed.com/a, not to me@wheelshed.com').map(({ text, scheme }) => [
        text,
        scheme,
      ]),
    ).toEqual([
      ['wheelshed.com', false],
      ['http://wheelshed.com/a', true],
    ])
    const told = (text: string) => linksOf(text).map(({ start, end, url }) => [text.slice(start, end), url])
    expect(told('(see https://wheelshed.com/a), “wheelshed.com”\nor\twww.wheelshed.com.')).toEqual([
      ['https://wheelshed.com/a', 'https://wheelshed.com/a'],
      ['wheelshed.com', 'http://wheelshed.com'],
      ['www.wheelshed.com', 'http://www.wheelshed.com'],
    ])
    // Of a run without a space only what could be an address is looked through.
    expect(linksOf(`${'https://a.b/'.repeat(20_000)} https://wheelshed.com`).at(-1)!.url).toBe('https://wheelshed.com')
  })
})

describe('tag lists', () => {
  test('cost, repeats, tidying', () => {
    expect(tagsCost([], DEFAULT_PROFILE)).toBe(0)
    expect(tagsCost(['a b', 'c'], DEFAULT_PROFILE)).toBe(3 + 2 + 1 + 1)
    expect(repeatedTags(['A', ' a ', '', 'b'])).toEqual([1, 2])
    expect(tidyTags(['A', ' a ', '', ' b  c '])).toEqual(['A', 'b c'])
  })

  test('pasted lists are cut at commas, semicolons, tabs and lines', () => {
    expect(splitTags('one, "two three";four\n five\t six,,')).toEqual(['one', 'two three', 'four', 'five', 'six'])
  })
})

describe('insertions for empty cells', () => {
  test.each(PLACES.filter(place => !['chapters', 'playlist', 'spoken'].includes(place)))(
    '%s is filled by its insertion',
    place => {
      const empty: Draft = { fileName: '', title: 'Rusty links', description: 'We look at it.', tags: ['rust'] }
      const fix = insertionFor(place, 'wax a bike chain', empty, DEFAULT_PROFILE, 'en')!
      const [field, value] = [fix.field, fixed(empty, fix)]
      const after = placements(
        [readPhrase('wax a bike chain', 'en')],
        placeTexts({ ...empty, [field]: value }, DEFAULT_PROFILE, 'en'),
        match,
      )
      const { grade } = after.find(each => each.place === place)!
      // A hashtag leaves out what names nothing.
      if (place === 'hashtags') expect([value, grade]).toEqual(['We look at it.\n\n#waxBikeChain', 'ordered'])
      else expect(grade).toBe('exact')
    },
  )

  test('chapters are for a person to write', () =>
    expect(insertionFor('chapters', 'wax', {}, DEFAULT_PROFILE, 'en')).toBeNull())
})

describe('underlines', () => {
  test('exact before close, never overlapping', () => {
    const text = 'Cleaning bike chains: clean bike chain links'
    const found = underlines(text, ['clean bike chain', 'bike chain links'], 'en')
    expect(found.map(({ start, end, exact, phrase }) => [text.slice(start, end), exact, phrase])).toEqual([
      ['Cleaning bike chains', false, 0],
      ['clean bike chain', true, 0],
    ])
  })

  test('a loose match is underlined word by word', () => {
    expect(underlines('The chain of a bike', ['bike chain'], 'en').map(({ start, end }) => [start, end])).toEqual([
      [4, 9],
      [15, 19],
    ])
  })
})
