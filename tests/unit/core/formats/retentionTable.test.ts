import { readRetention, type Retention } from '../../../../core/formats/retentionTable'

const read = (text: string, seconds: number | null = null) => readRetention(text, null, seconds)
const rounded = (found: unknown) => (found as Retention).tenths.map(part => Number(part.toFixed(3)))
const FALLING = [1, 0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3, 0.2, 0.1, 0]

describe('a table of retention', () => {
  test('is read at tenths whatever positions and parts are written in', () => {
    const percent = Array.from({ length: 101 }, (_, i) => `${i},${100 - i}`).join('\n')
    expect(rounded(read(`Video position (%),Absolute audience retention (%)\n${percent}`))).toEqual(FALLING)
    expect(rounded(read(percent))).toEqual(FALLING)
    const signed = Array.from({ length: 21 }, (_, i) => `${i * 5} %;${String(100 - 5 * i).replace('.', ',')} %`)
    expect(rounded(read(['Zeit;Zuschauerbindung', ...signed].join('\n')))).toEqual(FALLING)
    const parts = Array.from({ length: 11 }, (_, i) => `${i / 10},${1 - i / 10}`).join('\n')
    expect(rounded(read(`elapsed_time_ratio,audience_watch_ratio\n${parts}`))).toEqual(FALLING)
    const commas = Array.from({ length: 11 }, (_, i) => `0,${i}\t0,${9 - Math.min(9, i)}`).slice(0, 10)
    expect(rounded(read([...commas, '1,0\t0,0'].join('\n')))[1]).toBe(0.8)
  })

  test('times are parts of the video’s length', () => {
    const times = ['0:00,100', '0:30,80', '1:00,60', '1:30,40', '2:00,20'].join('\n')
    expect(rounded(read(`time,retention\n${times}`, 120))[5]).toBe(0.6)
    const seconds = ['0,1', '30,.8', '60,0.6', '90,0.4', '120,0.2'].join('\n').replace(',.8', ',0.8')
    expect(rounded(read(`elapsed (seconds),retention\n${seconds}`, 120))[10]).toBe(0.2)
    expect(read(`time,retention\n${times}`, 300)).toEqual({
      problem: 'The table covers 0 % to 40 % of the video. It must cover all of it.',
      line: null,
    })
  })

  test('what is watched again may stand above all viewers; what cannot be is refused with its line', () => {
    expect(rounded(read('0,100\n25,120\n50,90\n75,40\n100,20'))[2]).toBeCloseTo(1.16)
    expect(read('position,retention\n0,100\n25,abc\n50,90\n75,40\n100,20')).toEqual({
      problem: '“abc” is not a share of viewers.',
      line: 3,
    })
    expect(read('position,retention\n-1,100')).toMatchObject({ problem: '“-1” is not a point in the video.', line: 2 })
    expect(read('0,100\n50,4000\n75,3\n90,2\n100,1')).toMatchObject({
      problem: '4000 % of viewers is more than there can be.',
    })
    expect(read('0,100\n100,20')).toMatchObject({ problem: expect.stringContaining('5 lines or more') })
    expect(read('\n\n')).toMatchObject({ problem: 'The file has no readable lines.' })
  })

  test('columns that are not recognised are asked for, and taken as they are matched', () => {
    const rows = 'Where,How many,Who\n0,100,a\n25,80,b\n50,60,c\n75,40,d\n100,20,e'
    expect(readRetention(rows, null, null)).toEqual({
      headers: ['Where', 'How many', 'Who'],
      sample: [
        ['0', '100', 'a'],
        ['25', '80', 'b'],
        ['50', '60', 'c'],
        ['75', '40', 'd'],
        ['100', '20', 'e'],
      ],
    })
    expect(rounded(readRetention(rows, { position: 0, stays: 1 }, null))[5]).toBe(0.6)
    expect(readRetention(rows, { position: 0, stays: 2 }, null)).toMatchObject({ line: 2 })
  })

  test('any table is read or refused, never half', () => {
    const cells = ['', '0', '1', '50', '100', '%', '3:7', '1:00', '-5', 'NaN', '1e9', '0,5', '∞', 'x']
    let state = 7
    const next = () => (state = (state * 1_103_515_245 + 12_345) % 2_147_483_648) / 2_147_483_648
    for (let round = 0; round < 2000; round++) {
      const rows = Array.from({ length: Math.floor(next() * 9) }, () =>
        Array.from({ length: 1 + Math.floor(next() * 3) }, () => cells[Math.floor(next() * cells.length)]!),
      )
      const text = rows.map(row => row.join(',')).join('\n')
      const found = readRetention(text, next() < 0.5 ? { position: 0, stays: 1 } : null, next() < 0.5 ? 100 : null)
      if ('tenths' in found) expect(found.tenths.every(part => part >= 0 && part <= 10)).toBe(true)
      else expect('problem' in found || found.headers.length > 0).toBe(true)
    }
  })
})
