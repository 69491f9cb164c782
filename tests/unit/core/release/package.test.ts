import { unzipSync, zipSync } from 'fflate'
import { emptyFields } from '../../../../core/brief/brief'
import { readBriefFile } from '../../../../core/brief/briefFile'
import { FileFault } from '../../../../core/formats/jsonFile'
import { videosOfJsonLd } from '../../../../core/formats/jsonLd'
import { BRIEF_NAME, packageFiles, readPackage, writePackage } from '../../../../core/release/package'
import { seeded } from '../../../../core/random'
import { mutated } from '../../../setup/mutated'
import { runs } from '../../../setup/runs'

const NOW = Date.UTC(2026, 2, 14, 9)
const ID = '0190a000-0000-7000-8000-00000000abcd'
const fields = {
  ...emptyFields(),
  title: 'Clean <b>a</b> chain & go',
  description: 'Clean a chain.\n\n0:00 Begin\n1:05 Brush\n4:00 Oil',
  tags: ['clean a chain', 'oil'],
  captions: 'WEBVTT\n\n00:00.000 --> 00:02.000\nToday we clean a chain.',
  seconds: 300,
  releaseAt: NOW,
  videoAddress: 'https://videos.example/watch/abc',
}
const localised = [
  { language: 'de', region: 'DE', title: 'Kette reinigen', description: 'Die Kette.', tags: ['kette'], phrases: [] },
]
const given = {
  brief: { id: ID, createdAt: NOW - 5000, updatedAt: NOW - 1000, fields },
  localised,
  posts: [{ kind: 'short' as const, text: 'Clean a chain. {link}' }],
  playlists: ['Chains'],
  picture: null,
  rights: null,
  channel: 'Marrowby Wheel Shed',
  inWords: (at: number) => new Date(at).toISOString(),
  now: NOW,
}
const texts = (bytes: Uint8Array) =>
  Object.fromEntries(Object.entries(unzipSync(bytes)).map(([name, data]) => [name, new TextDecoder().decode(data)]))

test('a package holds the brief, texts, captions, chapters, what sites read, and a page to follow', async () => {
  const files = texts(await writePackage(packageFiles(given), NOW))
  expect(Object.keys(files).sort()).toEqual([
    'brief.json',
    'captions.vtt',
    'chapters.txt',
    'chapters.vtt',
    'hand-over.html',
    'posts.txt',
    'texts.txt',
    'video.jsonld',
  ])
  expect(files['captions.vtt']).toBe(fields.captions)
  expect(files['chapters.txt']).toBe('0:00 Begin\n1:05 Brush\n4:00 Oil\n')
  expect(files['texts.txt']).not.toContain('WEBVTT')
  const page = files['hand-over.html']!
  expect(page).toContain('Clean &lt;b&gt;a&lt;/b&gt; chain &amp; go')
  expect(page).not.toContain('<b>a')
  expect(page).toContain('Marrowby Wheel Shed')
  expect(page).not.toContain('Today we clean')
  const [video] = videosOfJsonLd(JSON.parse(files['video.jsonld']!))
  expect(video).toMatchObject({
    title: fields.title,
    description: fields.description,
    tags: fields.tags,
    durationSeconds: 300,
    publishedAt: NOW,
    channel: { title: 'Marrowby Wheel Shed' },
  })
})

test('cards and end screen are a table that a stranger can follow', () => {
  const withLeads = {
    ...fields,
    cards: [
      {
        id: 'b',
        at: 95,
        kind: 'link' as const,
        target: 'https://shed.example',
        title: 'Shed',
        message: '=1+1',
        teaser: 'Book',
      },
      { id: 'a', at: 12.5, kind: 'video' as const, target: 'v1', title: 'Oil', message: 'Oil, or wax', teaser: 'Oil' },
    ],
    endScreen: {
      from: 285,
      elements: [
        {
          id: 'e',
          kind: 'video' as const,
          pick: 'newest' as const,
          target: '',
          title: '',
          x: 0.1,
          y: 0.25,
          width: 0.333,
        },
      ],
    },
  }
  const table = packageFiles({ ...given, brief: { ...given.brief, fields: withLeads } })['cards-and-end-screen.csv']
  expect(
    String(table)
      .replace(/^\ufeff/u, '')
      .split('\r\n'),
  ).toEqual([
    'where,from,seconds,kind,leads to,target,message,teaser,left,top,width',
    'card,0:12,12.5,Video,Oil,v1,"Oil, or wax",Oil,,,',
    // What a spreadsheet would take for a formula is none.
    `card,1:35,95,Link,Shed,https://shed.example,"'=1+1",Book,,,`,
    'end screen,4:45,285,Video,Newest video,,,,10 %,25 %,33.3 %',
    '',
  ])
})

test('it is read back as the same brief', async () => {
  const {
    id,
    createdAt,
    fields: back,
    localised: texts,
    posts,
  } = readBriefFile(readPackage(await writePackage(packageFiles(given), NOW)).brief)
  expect({ id, createdAt, fields: back }).toEqual({ id: ID, createdAt: NOW - 5000, fields })
  expect(texts).toEqual(localised)
  expect(posts).toEqual(given.posts)
})

test('its thumbnail comes with it, byte by byte, and nothing under another name does', async () => {
  const picture = Uint8Array.from({ length: 5000 }, (_, i) => (i * 31) % 256)
  const thumbnail = { hash: 'b'.repeat(64), format: 'jpeg' as const, width: 1280, height: 720, bytes: 5000 }
  const files = packageFiles({ ...given, picture, brief: { ...given.brief, fields: { ...fields, thumbnail } } })
  expect(Object.keys(files)).toContain('thumbnail.jpg')
  const bytes = await writePackage(files, NOW)
  expect(readPackage(bytes).picture).toEqual(picture)
  expect(readBriefFile(readPackage(bytes).brief).fields.thumbnail).toEqual(thumbnail)
  const renamed = await writePackage({ [BRIEF_NAME]: files[BRIEF_NAME]!, 'x/thumbnail.jpg': picture }, NOW)
  expect(readPackage(renamed).picture).toBeNull()
})

test('a brief in which nothing is written makes a package too', async () => {
  const empty = { ...given, localised: [], posts: [], playlists: [], brief: { ...given.brief, fields: emptyFields() } }
  const bytes = await writePackage(packageFiles(empty), NOW)
  expect(readBriefFile(readPackage(bytes).brief).fields).toEqual(emptyFields())
  expect(Object.keys(texts(bytes))).not.toContain('captions.vtt')
})

describe('what is no package', () => {
  const entry = (name: string, size: number) => zipSync({ [name]: new Uint8Array(size) }, { level: 9 })
  test.each<[string, Uint8Array, RegExp]>([
    ['nothing', new Uint8Array(0), /cannot be unpacked/u],
    ['a text', new TextEncoder().encode('{"format":1}'), /cannot be unpacked/u],
    ['one without a brief', entry('notes.txt', 10), /no brief\.json/u],
    ['one that climbs out of its folder', entry('../../brief.json', 10), /no brief\.json/u],
    ['a bomb: a few kilobytes that become hundreds of megabytes', entry('brief.json', 300_000_000), /too large/u],
    [
      'very many entries',
      zipSync(Object.fromEntries(Array.from({ length: 1001 }, (_, i) => [`${i}.txt`, new Uint8Array(0)]))),
      /too many entries/u,
    ],
  ])('%s is refused with the reason', (_, bytes, reason) => {
    expect(() => readPackage(bytes)).toThrow(reason)
  })

  test('one that claims to be smaller than it is takes no more room than it claims', () => {
    const bytes = entry('brief.json', 50_000_000)
    const view = new DataView(bytes.buffer, bytes.byteOffset)
    // The size in the central directory, 24 bytes after its signature.
    for (let i = 0; i < bytes.length - 4; i++)
      if (view.getUint32(i, true) === 0x02014b50) view.setUint32(i + 24, 1000, true)
    let read = ''
    try {
      read = readPackage(bytes).brief
    } catch (error) {
      expect(error).toBeInstanceOf(FileFault)
    }
    expect(read.length).toBeLessThanOrEqual(1000)
  })

  test('mutated packages are read or refused, and nothing else happens', async () => {
    const whole = await writePackage(packageFiles(given), NOW)
    const random = seeded(14)
    for (let run = 0; run < runs(400); run++) {
      const bytes = mutated(whole, random)
      try {
        readBriefFile(readPackage(bytes).brief)
      } catch (error) {
        expect(error).toBeInstanceOf(FileFault)
      }
    }
  })
})
