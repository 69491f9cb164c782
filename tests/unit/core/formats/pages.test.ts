import { videosOfJsonLd } from '../../../../core/formats/jsonLd'
import { FeedReader, readMediaRss } from '../../../../core/formats/mediaRss'
import { placeColumns, placeRow } from '../../../../core/formats/placeList'
import { durationSeconds, idOfLink, timeOf, videoColumns, videoRecord } from '../../../../core/formats/videoRecord'

describe('one record of a list', () => {
  const read = (record: Record<string, unknown>) => videoRecord(record, videoColumns(Object.keys(record)))
  test('headers in the usual spellings, numbers as people write them', () => {
    expect(
      read({
        'Keyword': 'Bike  Chain',
        'Position': '3',
        'Video ID': 'v1',
        'Title': 'Chain',
        'Channel title': 'Shed',
        'Subscriber count': '4.9K',
        'View count': '12,345',
        'Published at': '2026-03-31',
        'Duration': 'PT7M1S',
        'Tags': 'a; b',
        'Country': 'gb',
        'Genre': ' Workshop ',
      }),
    ).toEqual({
      video: {
        id: 'v1',
        title: 'Chain',
        description: null,
        tags: ['a', 'b'],
        channel: { id: 'by-name:shed', title: 'Shed', subscribers: 4900 },
        views: 12_345,
        likes: null,
        dislikes: null,
        comments: null,
        publishedAt: Date.UTC(2026, 2, 31),
        durationSeconds: 421,
        thumbnail: null,
        category: 'Workshop',
      },
      seat: { phrase: 'bike chain', rank: 3, region: 'GB', at: null, titleMatches: null },
    })
  })
  test.each([
    [{ title: '', id: 'v' }, 'no title'],
    [{ title: 'A' }, 'There is no id or link'],
    [{ title: 'A', id: 'v', views: 'many' }, '“many” is not a number for views'],
    [{ title: 'A', id: 'v', published: 'last spring' }, 'is not a date'],
    [{ title: 'A', id: 'v', phrase: 'a', rank: '1.5' }, 'whole number'],
    [{ title: 'A', id: 'v', region: 'Britain' }, 'not a region'],
  ])('%j is refused: %s', (record, reason) => {
    expect((read(record) as { reason: string }).reason).toContain(reason)
  })
  test('a link tells which video it is; a picture from elsewhere is not taken', () => {
    expect(
      read({ title: 'A', url: 'https://videos.example/watch?v=ab%2D1&t=3', thumbnail: 'https://videos.example/a.jpg' }),
    ).toMatchObject({ video: { id: 'ab-1', thumbnail: null } })
    expect(read({ title: 'A', id: 'v', thumbnail: 'data:image/png;base64,AAAA' })).toMatchObject({
      video: { thumbnail: 'data:image/png;base64,AAAA' },
    })
    expect(idOfLink('https://videos.example/clips/abc/?x=1')).toBe('abc')
  })
  test('lengths and times', () => {
    expect(['PT1H2M3S', '1:02:03', '2:03', '95', 'P1DT1S', 'soon'].map(durationSeconds)).toEqual([
      3723,
      3723,
      123,
      95,
      86_401,
      null,
    ])
    expect(timeOf('2026-01-02T03:04:05')).toBe(Date.UTC(2026, 0, 2, 3, 4, 5))
    expect(timeOf('1767225600')).toBe(1_767_225_600_000)
    expect(timeOf('yesterday')).toBeNull()
  })
})

describe('JSON-LD', () => {
  test('every VideoObject, however deep, with what schema.org counts', () => {
    const found = videosOfJsonLd({
      '@context': 'https://schema.org',
      '@graph': [
        {
          '@type': 'WebPage',
          'mainEntity': {
            '@type': ['VideoObject'],
            'name': 'Bar tape',
            'url': 'https://videos.example/v/abc',
            'uploadDate': '2026-02-01',
            'duration': 'PT5M',
            'keywords': 'tape, bars',
            'commentCount': '7',
            'author': {
              '@type': 'Person',
              'name': 'Shed',
              'url': 'https://videos.example/c/shed',
              'interactionStatistic': {
                interactionType: 'https://schema.org/SubscribeAction',
                userInteractionCount: 4870,
              },
            },
            'interactionStatistic': [
              { interactionType: { '@type': 'WatchAction' }, userInteractionCount: '1200' },
              { interactionType: 'LikeAction', userInteractionCount: 40 },
            ],
          },
        },
      ],
    })
    expect(found).toEqual([
      {
        id: 'abc',
        title: 'Bar tape',
        description: null,
        tags: ['tape', 'bars'],
        channel: { id: 'shed', title: 'Shed', subscribers: 4870 },
        views: 1200,
        likes: 40,
        dislikes: null,
        comments: 7,
        publishedAt: Date.UTC(2026, 1, 1),
        durationSeconds: 300,
        thumbnail: null,
      },
    ])
  })
  test('what is no video, or has no name, is left; a loop ends', () => {
    const loop: Record<string, unknown> = { '@type': 'Thing' }
    loop.self = loop
    expect(videosOfJsonLd([loop, { '@type': 'VideoObject' }, 5, null])).toEqual([])
  })
})

describe('a channel’s feed', () => {
  const atom = `<?xml version="1.0"?><feed xmlns="http://www.w3.org/2005/Atom" xmlns:media="http://search.example/mrss/"><title>Shed</title><author><name>Shed &amp; Sons</name><uri>https://videos.example/channel/c1</uri></author><published>2020-01-01T00:00:00+00:00</published>
    <entry><id>x:1</id><title>One</title><link rel="alternate" href="https://videos.example/watch?v=v1"/><published>2026-01-02T00:00:00+00:00</published><media:group><media:title>One</media:title><media:description>Text</media:description><media:keywords>a, b</media:keywords><media:content duration="90"/><media:community><media:starRating count="12"/><media:statistics views="345"/></media:community></media:group></entry></feed>`
  test('read in pieces of any length it is the same', () => {
    for (const length of [1, 7, 100]) {
      const videos: unknown[] = []
      const reader = new FeedReader({ channel: () => undefined, video: video => videos.push(video) })
      for (let at = 0; at < atom.length; at += length) reader.write(atom.slice(at, at + length))
      expect(reader.close()).toBe(true)
      expect(videos).toEqual(readMediaRss(atom)!.videos)
    }
  })
  test.each([
    [
      'thousands of attributes',
      `<feed><entry ${Array.from({ length: 5000 }, (_, i) => `a${i}="1"`).join(' ')}/></feed>`,
      'more than 200 attributes',
    ],
    ['endless nesting', `<feed><entry>${'<a>'.repeat(5000)}`, 'nested deeper'],
    ['an endless entry', `<feed><entry><title>${'x'.repeat(600_000)}</title></entry></feed>`, 'longer than 500,000'],
  ])('%s is refused', (_, xml, message) => {
    expect(() => readMediaRss(xml)).toThrow(message)
  })
  test('Atom with Media RSS', () => {
    expect(readMediaRss(atom)).toEqual({
      channel: { id: 'c1', title: 'Shed & Sons', subscribers: null, foundedAt: Date.UTC(2020, 0, 1), videos: null },
      videos: [
        {
          id: 'v1',
          title: 'One',
          description: 'Text',
          tags: ['a', 'b'],
          channel: { id: 'c1', title: 'Shed & Sons', subscribers: null },
          views: 345,
          likes: 12,
          dislikes: null,
          comments: null,
          publishedAt: Date.UTC(2026, 0, 2),
          durationSeconds: 90,
          thumbnail: null,
        },
      ],
    })
  })
  test('RSS with the dates of mails', () => {
    const rss =
      '<rss><channel><title>Shed</title><link>https://videos.example/c9</link><item><title>Two</title><link>https://videos.example/v/v2</link><pubDate>Fri, 02 Jan 2026 00:00:00 GMT</pubDate></item></channel></rss>'
    expect(readMediaRss(rss)!.videos).toMatchObject([
      { id: 'v2', title: 'Two', channel: { id: 'c9' }, publishedAt: Date.UTC(2026, 0, 2) },
    ])
  })
  test('entities of its own, broken XML and other XML are refused', () => {
    expect(() => readMediaRss('<!DOCTYPE feed [<!ENTITY a "b">]><feed>&a;</feed>')).toThrow('entities')
    expect(() => readMediaRss('<feed><entry></feed>')).toThrow('not well-formed XML')
    expect(readMediaRss('<html><body/></html>')).toBeNull()
  })
})

test('places: columns by their headers, bad lines told', () => {
  const columns = placeColumns(['Town', 'Inhabitants', 'Country code'])!
  expect(placeRow(['Marrowby', '41,200', 'gb'], columns, '')).toEqual({
    name: 'Marrowby',
    population: 41_200,
    region: 'GB',
  })
  expect(placeRow(['Dunmere', '', ''], columns, 'GB')).toEqual({ name: 'Dunmere', population: null, region: 'GB' })
  expect(placeRow(['', '1', 'GB'], columns, '')).toEqual({ reason: 'There is no name in this line.' })
  expect(placeRow(['X', 'few', 'GB'], columns, '')).toMatchObject({
    reason: expect.stringContaining('“few” is not a population'),
  })
  expect(placeRow(['X', '1', ''], columns, '')).toMatchObject({ reason: expect.stringContaining('has no region') })
  expect(placeColumns(['population'])).toBeNull()
})
