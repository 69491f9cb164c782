import { spread } from '../../../../../core/captions/spread'
import { chaptersOf } from '../../../../../core/chapters/lines'
import { checkOf, pointedAt } from '../checkOf'

const captions = (...said: [number, string][]) => ({
  timed: true,
  cues: said.map(([start, text]) => ({ start, end: start + 4, text })),
})
const lead = 'wax a bike chain'

describe('file-name-lead', () => {
  test('named after the lead, in part, not at all; a brief without a file name does not apply', () => {
    expect(checkOf('file-name-lead', { fileName: 'wax-a-bike-chain.mp4' }, { lead }).state).toBe('met')
    expect(checkOf('file-name-lead', { fileName: 'wax_chain.mov' }, { lead }).state).toBe('partly')
    const check = checkOf('file-name-lead', { fileName: 'IMG_2041.MOV' }, { lead })
    expect(check).toMatchObject({ state: 'missing', fixes: [{ value: 'wax-a-bike-chain.MOV' }] })
    expect(checkOf('file-name-lead', { fileName: check.fixes[0]!.value as string }, { lead }).state).toBe('met')
    expect(checkOf('file-name-lead', {}, { lead })).toMatchObject({ state: 'n/a', lacks: 'fileName' })
  })
})

describe('chapters', () => {
  const good = '0:00 Wax a bike chain\n0:30 Hot pot\n1:00 Drying'
  test('their form: the first fault is told, with its place', () => {
    expect(checkOf('chapter-form', { description: good }).state).toBe('met')
    expect(checkOf('chapter-form', { description: 'none' }).state).toBe('n/a')
    const draft = { description: 'Text\n0:05 Wax\n0:30 Pot\n1:00 Dry' }
    const check = checkOf('chapter-form', draft)
    expect(check.state).toBe('partly')
    expect(check.points).toBeCloseTo(2.5)
    expect(check.message).toContain('begins at 0:05, not at 0:00')
    expect(pointedAt(draft, check)).toEqual(['0:05 Wax'])
    expect(checkOf('chapter-form', { description: good, durationSeconds: 50 }).message).toContain(
      'after the video’s end',
    )
  })
  test('a longer video has some', () => {
    expect(checkOf('chapter-count', { description: good }).state).toBe('met')
    expect(checkOf('chapter-count', { description: 'x' }).state).toBe('n/a')
    expect(checkOf('chapter-count', { description: 'x', durationSeconds: 100 }).state).toBe('n/a')
    expect(checkOf('chapter-count', { description: 'x', durationSeconds: 600 })).toMatchObject({
      state: 'missing',
      message: '0 chapters in 10 minutes. Cut them under Spoken.',
    })
    // What is spoken tells the length too.
    expect(checkOf('chapter-count', { description: 'x', captions: captions([0, 'a'], [500, 'b']) }).state).toBe(
      'missing',
    )
  })
  test('phrases in their titles', () => {
    const support = ['hot wax pot', 'dry lube']
    const check = checkOf('chapter-phrases', { description: good }, { lead, support })
    expect(check).toMatchObject({ state: 'partly', message: '1 of 2 phrases or more stand in chapter titles.' })
    expect(pointedAt({ description: good }, check)).toEqual(['Wax a bike chain'])
    const more = good.replace('Hot pot', 'A hot wax pot')
    expect(checkOf('chapter-phrases', { description: more }, { lead, support }).state).toBe('met')
    expect(checkOf('chapter-phrases', { description: '0:00 A\n1:00 B' }, { lead, support }).state).toBe('missing')
    expect(checkOf('chapter-phrases', { description: 'x' }, { lead }).state).toBe('n/a')
  })
  test('titles that say something', () => {
    expect(checkOf('chapter-titles', { description: good }).state).toBe('met')
    const draft = { description: `0:00 Part 1\n0:30 \n1:00 ${'long '.repeat(12)}\n1:30 Drying` }
    const check = checkOf('chapter-titles', draft)
    expect(chaptersOf(draft.description)).toHaveLength(4)
    expect(check.points).toBeCloseTo(2.5)
    expect(pointedAt(draft, check)[0]).toBe('Part 1')
    expect(checkOf('chapter-titles', { description: 'x' }).state).toBe('n/a')
  })
})

describe('what is spoken', () => {
  test('the lead, early, late, in parts, never; without times when is not known', () => {
    const check = (...said: [number, string][]) => checkOf('lead-spoken', { captions: captions(...said) }, { lead })
    expect(check([5, 'today we wax a bike chain']).state).toBe('met')
    const late = check([0, 'hello'], [70, 'we wax a bike chain'])
    expect(late).toMatchObject({ state: 'partly', ranges: [{ field: 'captions', item: 1 }] })
    expect(late.points).toBeCloseTo(6)
    expect(check([0, 'the bike is here, and wax for its chain']).points).toBeCloseTo(4)
    expect(check([0, 'hello']).state).toBe('missing')
    expect(
      checkOf('lead-spoken', { captions: { timed: false, cues: spread('wax a bike chain') } }, { lead }).state,
    ).toBe('met')
    expect(checkOf('lead-spoken', {}, { lead })).toMatchObject({ state: 'n/a', lacks: 'captions' })
  })
  test('support phrases', () => {
    const draft = { captions: captions([0, 'a hot wax pot, and then lube that is dry']) }
    const check = checkOf('support-spoken', draft, { support: ['hot wax pot', 'dry lube', 'torque wrench'] })
    expect(check.points).toBeCloseTo((10 * (1 + 0.6 + 0)) / 3)
    expect(check.message).toContain('“torque wrench”')
    expect(checkOf('support-spoken', draft, { support: ['hot wax pot'] }).state).toBe('met')
    expect(checkOf('support-spoken', draft).state).toBe('n/a')
  })
  test('the promise of the title', () => {
    const draft = { title: 'Wax a bike chain with lasers', captions: captions([0, 'we wax the chain of a bike']) }
    const check = checkOf('promise-spoken', draft)
    // One of six words is never spoken.
    expect(check.points).toBeCloseTo((10 * 4) / 6)
    expect(pointedAt(draft, check)).toEqual(['lasers'])
    expect(checkOf('promise-spoken', { ...draft, title: 'Wax a bike chain' }).state).toBe('met')
  })
  test('the number in the title', () => {
    expect(checkOf('number-kept', { title: '3 fixes', description: '1. a\n2. b\n3. c' }).state).toBe('met')
    expect(checkOf('number-kept', { title: '5 fixes', description: '1. a\n2. b\n3. c' })).toMatchObject({
      state: 'missing',
      ranges: [{ field: 'title', start: 0, end: 1 }],
    })
    expect(checkOf('number-kept', { title: '5 fixes' }).state).toBe('n/a')
    expect(checkOf('number-kept', { title: 'fixes' }).state).toBe('n/a')
  })
  test('the first seconds bear out the title', () => {
    const title = 'Wax a bike chain'
    expect(checkOf('opening-spoken', { title, captions: captions([0, 'chain wax'], [40, 'x']) }).state).toBe('met')
    const late = checkOf('opening-spoken', { title, captions: captions([0, 'hello you'], [40, 'wax a bike chain']) })
    expect(late).toMatchObject({ state: 'missing', points: 0 })
    expect(checkOf('opening-spoken', { title, captions: { timed: false, cues: spread('x y') } }).state).toBe('n/a')
  })
})

describe('playlist', () => {
  const playlist = (title: string, description = '') => ({ playlist: { title, description } })
  test('limits', () => {
    expect(checkOf('playlist-limit', playlist('Chains')).state).toBe('met')
    expect(checkOf('playlist-limit', playlist(' ')).state).toBe('missing')
    expect(checkOf('playlist-limit', playlist('x'.repeat(151))).message).toContain('151 of 150')
    expect(checkOf('playlist-limit', playlist('x', 'é'.repeat(2501))).message).toContain('5,002 of 5,000 bytes')
    expect(checkOf('playlist-limit', {}).state).toBe('n/a')
  })
  test('close to the lead', () => {
    expect(checkOf('playlist-lead', playlist('Wax a bike chain'), { lead }).state).toBe('met')
    expect(checkOf('playlist-lead', playlist('Bike repair', 'Chain, brakes'), { lead }).state).toBe('partly')
    expect(checkOf('playlist-lead', playlist('Piano'), { lead }).state).toBe('missing')
  })
})
