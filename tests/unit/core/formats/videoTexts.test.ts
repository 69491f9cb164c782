import fc from 'fast-check'
import { likelyLead, readVideoTexts } from '../../../../core/formats/videoTexts'

const one = (text: string) => readVideoTexts(text).texts[0]

describe('texts of many videos', () => {
  test('CSV with headers in usual spellings; what is not told stays unknown, a line without a title is told', () => {
    const { texts, refused } = readVideoTexts(
      'Video title;Keywords;Video id;Lead phrase\nIndex gears;"gears, bike gears";a1;index gears\n;x;a2;\nBleed brakes;;a3;\n',
    )
    expect(texts).toEqual([
      {
        id: 'a1',
        title: 'Index gears',
        description: null,
        tags: ['gears', 'bike gears'],
        lead: 'index gears',
        support: [],
        language: '',
      },
      expect.objectContaining({ id: 'a3', title: 'Bleed brakes', tags: [], lead: '' }),
    ])
    expect(refused).toEqual([{ line: 3, reason: 'There is no title.' }])
    expect(() => readVideoTexts('a,b\n1,2')).toThrow('There is no column for the title.')
  })

  test('JSON, JSON Lines with a broken line, briefs as they are exported, one with no id', () => {
    expect(readVideoTexts('[{"title":"A","support":["b","c"]}]').texts).toEqual([
      expect.objectContaining({ id: '', title: 'A', support: ['b', 'c'], description: null }),
    ])
    const lines = readVideoTexts('{"title":"A","id":"1"}\nnonsense\n{"title":"B","id":"2"}')
    expect(lines.texts.map(each => each.title)).toEqual(['A', 'B'])
    expect(lines.refused).toEqual([{ line: 2, reason: 'This line is not JSON.' }])
    const brief = {
      id: 'x',
      fields: { title: 'T', description: '', tags: [], language: 'de', tray: { lead: 'l', support: ['s'] } },
    }
    expect(one(JSON.stringify({ briefs: [brief] }))).toEqual({
      id: 'x',
      title: 'T',
      description: '',
      tags: [],
      lead: 'l',
      support: ['s'],
      language: 'de',
    })
    expect(readVideoTexts('[1, null]').refused).toHaveLength(2)
  })

  test('JSON-LD and feeds', () => {
    const linked = {
      '@context': 'https://schema.org',
      '@type': 'VideoObject',
      'name': 'N',
      'url': 'https://x.example/v/7',
      'keywords': 'a, b',
    }
    expect(one(JSON.stringify(linked))).toMatchObject({ id: '7', title: 'N', tags: ['a', 'b'] })
    const feed = `<feed xmlns="http://www.w3.org/2005/Atom" xmlns:media="http://search.yahoo.com/mrss/"><title>C</title>
      <entry><id>e1</id><title>T</title><media:group><media:description>D</media:description></media:group></entry></feed>`
    expect(one(feed)).toMatchObject({ title: 'T', description: 'D', tags: null })
    expect(() => readVideoTexts('<html></html>')).toThrow('no Atom or RSS feed')
    expect(() => readVideoTexts(' ')).toThrow('The file is empty.')
  })

  test('whatever is given, it answers or says why', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.json(),
          fc.string().map(text => `title,tags\n${text}`),
        ),
        text => {
          try {
            for (const { title } of readVideoTexts(text).texts) expect(title).not.toBe('')
          } catch (error) {
            expect((error as Error).message).not.toBe('')
          }
        },
      ),
      { numRuns: 500 },
    )
  })
})

test('the likely lead is the longest early tag that stands in the title, or none', () => {
  const title = 'How to index a rear derailleur in ten minutes'
  expect(likelyLead({ title, tags: ['derailleur', 'index a rear derailleur', 'bike'] }, 'en')).toBe(
    'index a rear derailleur',
  )
  expect(likelyLead({ title, tags: ['bike', 'chain'] }, 'en')).toBe('')
  expect(likelyLead({ title, tags: null }, 'en')).toBe('')
})
