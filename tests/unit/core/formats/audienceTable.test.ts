import { readAudience } from '../../../../core/formats/audienceTable'
import { FileFault } from '../../../../core/formats/jsonFile'

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
const HOURS = Array.from({ length: 24 }, (_, hour) => hour)
const expected = DAYS.flatMap((_, day) => HOURS.map(hour => day * 100 + hour))
const lines = (days: readonly (string | number)[], mark = ',', hour = (of: number) => `${of}`) =>
  days.flatMap((name, day) => HOURS.map(of => [name, hour(of), day * 100 + of].join(mark))).join('\n')
const faults = (text: string) => {
  try {
    readAudience(text)
  } catch (error) {
    if (error instanceof FileFault) return error.lines
    throw error
  }
  throw new Error('No fault was found.')
}

describe('a line for each hour', () => {
  test('with headers or without, by name, in any order', () => {
    expect(readAudience(lines(DAYS))).toEqual(expected)
    expect(readAudience(`\ufeffweekday,hour,viewers\r\n${lines(DAYS)}`)).toEqual(expected)
    const turned = lines(DAYS)
      .split('\n')
      .map(line => line.split(',').reverse().join(','))
      .reverse()
    expect(readAudience(['viewers,hour,day', ...turned].join('\n'))).toEqual(expected)
  })
  test('weekdays in other languages and as numbers, from Monday or from Sunday', () => {
    expect(readAudience(lines(['Mo', 'Di', 'Mi', 'Do', 'Fr', 'Sa', 'So'], ';'))).toEqual(expected)
    expect(
      readAudience(lines(['lunes', 'martes', 'miércoles', 'jueves', 'viernes', 'sábado', 'domingo'], '\t')),
    ).toEqual(expected)
    expect(readAudience(lines(['月曜日', '火曜日', '水曜日', '木曜日', '金曜日', '土曜日', '日曜日']))).toEqual(
      expected,
    )
    expect(readAudience(lines([1, 2, 3, 4, 5, 6, 7]))).toEqual(expected)
    expect(readAudience(lines([1, 2, 3, 4, 5, 6, 0]))).toEqual(expected)
  })
  test('hours as clocks show them', () => {
    expect(readAudience(lines(DAYS, ',', of => `${String(of).padStart(2, '0')}:00`))).toEqual(expected)
    expect(readAudience(lines(DAYS, ',', of => `${of % 12 || 12} ${of < 12 ? 'AM' : 'PM'}`))).toEqual(expected)
    expect(readAudience(lines(DAYS, ',', of => `${of}–${of + 1}`))).toEqual(expected)
  })
})

test('a table of weekdays by hours, either way round', () => {
  const wide = [['', ...HOURS], ...DAYS.map((name, day) => [name, ...HOURS.map(hour => day * 100 + hour)])]
  expect(readAudience(wide.map(cells => cells.join(';')).join('\n'))).toEqual(expected)
  const tall = [['hour', ...DAYS], ...HOURS.map(hour => [`${hour}:00`, ...DAYS.map((_, day) => day * 100 + hour)])]
  expect(readAudience(tall.map(cells => cells.join(',')).join('\n'))).toEqual(expected)
})

test('decimals with commas and percents', () => {
  const text = DAYS.flatMap(name => HOURS.map(hour => `${name};${hour};${hour},5 %`)).join('\n')
  expect(readAudience(text)[3]).toBeCloseTo(0.035)
})

describe('what is wrong is named with its line', () => {
  test.each([
    ['', 'The table is empty.'],
    ['hello', 'Line 1: “hello” is not a day of the week.'],
    ['Monday,24,1', 'Line 1: “24” is not an hour from 0 to 23.'],
    ['Monday,3,-1', 'Line 1: “-1” is not a number.'],
    ['Monday,3,1\nMonday,3,1', 'Line 2: Monday 03:00 appears twice.'],
    [
      lines(DAYS).replace(/,\d+$/u, ','),
      '1 hour of the week is missing, on Sunday: Sunday 23:00 first. Write 0 for an hour without viewers.',
    ],
    [
      lines(DAYS.slice(0, 5)),
      '48 hours of the week are missing, on Saturday and Sunday: Saturday 00:00 first. Write 0 for an hour without viewers.',
    ],
    [
      DAYS.flatMap(name => HOURS.map(hour => `${name},${hour},0`)).join('\n'),
      'Every hour is 0. At least one needs viewers.',
    ],
  ])('%.20s', (text, message) => {
    expect(faults(text)[0]).toBe(message)
  })
  test('a table of another kind is not read to its end', () => {
    expect(faults('a,'.repeat(90_000))).toEqual([
      'This table has more than 60 columns. Give weekday, hour and viewers.',
    ])
    expect(faults('x,1,1\n'.repeat(10_000)).at(-1)).toBe('And 995 more lines.')
  })
  test('many faults are counted', () => {
    expect(faults(Array.from({ length: 40 }, () => 'x,1,1').join('\n'))).toHaveLength(6)
  })
})
