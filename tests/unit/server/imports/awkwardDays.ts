import iconv from 'iconv-lite'
import type { DayRow } from '../../../../core/formats/dayTable'
import type { DayTableQuestion } from '../../../../server/imports/readDayTable'

type Expected = Partial<Omit<DayRow, 'day'>> & { day: string }
/** A table as somebody's program writes it, and what must be read from it or said of it. */
export interface AwkwardFile {
  name: string
  bytes: Buffer | string
  ask?: Partial<DayTableQuestion>
  rows?: Expected[]
  refused?: [line: number, reason: RegExp][]
  totals?: number
  /** Where the whole is put back to the person. */
  question?: 'columns' | 'order'
  fault?: RegExp
}

const plainRow = (day: string, views: number | null, more: Partial<Expected> = {}): Expected => ({
  day,
  views,
  ...more,
})
const TWO = [plainRow('2026-03-14', 1234), plainRow('2026-03-15', 7)]
const two = (name: string, bytes: Buffer | string, more: Partial<AwkwardFile> = {}): AwkwardFile => ({
  name,
  bytes,
  rows: TWO,
  ...more,
})
const encoded = (text: string, encoding: string, addBOM = true) => iconv.encode(text, encoding, { addBOM })
const PLAIN = 'Date,Views\n2026-03-14,1234\n2026-03-15,7\n'

export const AWKWARD: AwkwardFile[] = [
  // Encodings and line ends
  two('plain', PLAIN),
  two('with a byte order mark', encoded(PLAIN, 'utf8')),
  two('UTF-16, little end first', encoded(PLAIN, 'utf16le')),
  two('UTF-16, big end first', encoded(PLAIN, 'utf16be')),
  two('UTF-16 without a mark', encoded(PLAIN, 'utf16le', false)),
  two(
    'Windows-1252, umlauts in a header',
    encoded('Datum;Größe;Aufrufe\n14.03.2026;x;1.234\n15.03.2026;y;7\n', 'win1252'),
  ),
  two('CRLF', PLAIN.replaceAll('\n', '\r\n')),
  two('CR alone', PLAIN.replaceAll('\n', '\r')),
  two('no end of the last line', PLAIN.trimEnd()),
  two('empty lines between', 'Date,Views\n\n2026-03-14,1234\n\n\n2026-03-15,7\n\n'),
  // Separators and quotation marks
  two('tabs', PLAIN.replaceAll(',', '\t')),
  two('semicolons', PLAIN.replaceAll(',', ';')),
  two('bars', PLAIN.replaceAll(',', '|')),
  two('all in quotation marks', '"Date","Views"\n"2026-03-14","1,234"\n"2026-03-15","7"\n'),
  two(
    'a separator within a title',
    'Date,Title,Views\n2026-03-14,"Chains, cleaned",1234\n2026-03-15,"Chains, cleaned",7\n',
  ),
  two(
    'a line end within a title',
    'Date,Title,Views\n2026-03-14,"Chains\ncleaned",1234\n2026-03-15,"Chains\ncleaned",7\n',
  ),
  two('spaces around', ' Date , Views \n 2026-03-14 , 1234 \n 2026-03-15 , 7 \n'),
  // Thousands and decimals
  two('thousands by commas', 'Date;Views\n2026-03-14;1,234\n2026-03-15;7\n'),
  two('thousands by points', 'Date;Views\n2026-03-14;1.234\n2026-03-15;7\n'),
  two('thousands by spaces', 'Date;Views\n2026-03-14;1 234\n2026-03-15;7\n'),
  two('thousands by narrow spaces', 'Date;Views\n2026-03-14;1\u202f234\n2026-03-15;7\n'),
  two('thousands by apostrophes', "Date;Views\n2026-03-14;1'234\n2026-03-15;7\n"),
  {
    name: 'hours with decimal commas',
    bytes: 'Date;Views;Watch time (hours)\n2026-03-14;1.234;12,5\n2026-03-15;7;1,125\n',
    rows: [
      plainRow('2026-03-14', 1234, { watchedSeconds: 45_000 }),
      plainRow('2026-03-15', 7, { watchedSeconds: 4050 }),
    ],
  },
  {
    name: 'hours with decimal points of three digits, told by the others',
    bytes: 'Date,Watch time (hours)\n2026-03-14,1.250\n2026-03-15,0.5\n',
    rows: [
      plainRow('2026-03-14', null, { watchedSeconds: 4500 }),
      plainRow('2026-03-15', null, { watchedSeconds: 1800 }),
    ],
  },
  {
    name: 'decimals said by hand',
    bytes: 'Date;Watch time (hours)\n2026-03-14;1,250\n',
    ask: { decimal: ',' },
    rows: [plainRow('2026-03-14', null, { watchedSeconds: 4500 })],
  },
  two('an exponent', 'Date,Views\n2026-03-14,1.234E3\n2026-03-15,7\n'),
  // Days
  two('points, day first', 'Datum;Aufrufe\n14.03.2026;1234\n15.03.2026;7\n'),
  two('strokes, month first', 'Date,Views\n3/14/2026,1234\n3/15/2026,7\n'),
  two('two figures of a year', 'Date,Views\n3/14/26,1234\n3/15/26,7\n'),
  two('English months', 'Date,Views\n"Mar 14, 2026",1234\n"March 15, 2026",7\n'),
  two('ordinal days', 'Date,Views\n14th March 2026,1234\n15th March 2026,7\n'),
  two('German months', 'Datum;Aufrufe\n14. März 2026;1234\n15. März 2026;7\n'),
  two('French months', 'Jour;Vues\n14 mars 2026;1234\n15 mars 2026;7\n'),
  two('Spanish months', 'Fecha;Vistas\n14 de marzo de 2026;1234\n15 de marzo de 2026;7\n'),
  two('Russian months', 'Дата;Просмотры\n14 марта 2026;1234\n15 марта 2026;7\n'),
  two('Japanese days', '日付,views\n2026年3月14日,1234\n2026年3月15日,7\n'),
  two('figures alone', 'Date,Views\n20260314,1234\n20260315,7\n'),
  two('days of a spreadsheet', 'Date,Views\n46095,1234\n46096,7\n'),
  two('with an hour', 'Date,Views\n2026-03-14 00:00:00,1234\n2026-03-15 00:00:00,7\n'),
  two('times with an offset', 'Date,Views\n2026-03-14T23:30:00+00:00,1234\n2026-03-15T23:30:00Z,7\n'),
  {
    name: 'times with an offset, by the days of a zone',
    bytes: 'Date,Views\n2026-03-14T23:30:00Z,1234\n',
    ask: { zone: 'Europe/Berlin' },
    rows: [plainRow('2026-03-15', 1234)],
  },
  {
    name: 'an order that one line tells',
    bytes: 'Date,Views\n03/04/2026,5\n13/04/2026,6\n',
    rows: [plainRow('2026-04-03', 5), plainRow('2026-04-13', 6)],
  },
  {
    name: 'an order that neighbours tell',
    bytes: 'Date,Views\n01/03/2026,5\n02/03/2026,6\n03/03/2026,7\n04/03/2026,8\n',
    rows: [5, 6, 7, 8].map((views, i) => plainRow(`2026-03-0${i + 1}`, views)),
  },
  {
    name: 'an order that today tells: nothing is from the future',
    bytes: 'Date,Views\n05/12/2026,5\n',
    rows: [plainRow('2026-05-12', 5)],
  },
  { name: 'an order that nothing tells', bytes: 'Date,Views\n03/04/2026,5\n', question: 'order' },
  {
    name: 'an order said by hand',
    bytes: 'Date,Views\n03/04/2026,5\n',
    ask: { order: 'mdy' },
    rows: [plainRow('2026-03-04', 5)],
  },
  {
    name: 'days that are none',
    bytes: 'Date,Views\n2026-02-30,5\nyesterday,6\n2026-03-15,7\n',
    rows: [plainRow('2026-03-15', 7)],
    refused: [
      [2, /2026-02-30.* is not a day/u],
      [3, /yesterday.* is not a day/u],
    ],
  },
  {
    name: 'a day to come',
    bytes: 'Date,Views\n2027-01-01,5\n2026-03-15,7\n',
    rows: [plainRow('2026-03-15', 7)],
    refused: [[2, /still to come/u]],
  },
  {
    name: 'missing days stay missing',
    bytes: 'Date,Views\n2026-03-14,5\n2026-03-20,7\n',
    rows: [plainRow('2026-03-14', 5), plainRow('2026-03-20', 7)],
  },
  // Totals and headers
  two('a line of totals at the end', `${PLAIN}Total,1241\n`, { totals: 1 }),
  two('a line of totals at the start, in German', 'Datum;Aufrufe\nGesamt;1.241\n14.03.2026;1.234\n15.03.2026;7\n', {
    totals: 1,
  }),
  {
    name: 'totals in the column of the video',
    bytes: 'Content,Date,Views\nTotal,,1241\nabcde,2026-03-14,1234\nabcde,2026-03-15,7\n',
    rows: TWO.map(row => ({ ...row, video: 'abcde' })),
    totals: 1,
  },
  two('a title above', `Report of my channel\nMarch 2026\n\n${PLAIN}`),
  {
    name: 'units on a second line',
    bytes: 'Date,Views,Watch time\n,,(hours)\n2026-03-14,1234,2.5\n2026-03-15,7,.5\n'.replace(',.5', ',0.5'),
    rows: [plainRow('2026-03-14', 1234, { watchedSeconds: 9000 }), plainRow('2026-03-15', 7, { watchedSeconds: 1800 })],
  },
  {
    name: 'groups on a first line',
    bytes: 'Date,Views,,\n,Views,Search,Suggested\n2026-03-14,1234,1000,200\n',
    rows: [plainRow('2026-03-14', 1234, { search: 1000, suggested: 200 })],
  },
  // Figures
  {
    name: 'click rates in percent',
    bytes: 'Date,Impressions,"Impressions click-through rate (%)"\n2026-03-14,1000,4.5\n2026-03-15,200,0.5\n',
    rows: [
      plainRow('2026-03-14', null, { impressions: 1000, clicks: 45 }),
      plainRow('2026-03-15', null, { impressions: 200, clicks: 1 }),
    ],
  },
  {
    name: 'click rates with their sign, decimal commas of three digits',
    bytes: 'Datum;Impressionen;Klickrate\n14.03.2026;1.000;4,125 %\n',
    rows: [plainRow('2026-03-14', null, { impressions: 1000, clicks: 41 })],
  },
  {
    name: 'click rates as parts of one',
    bytes: 'Date,Impressions,CTR\n2026-03-14,1000,0.045\n',
    rows: [plainRow('2026-03-14', null, { impressions: 1000, clicks: 45 })],
  },
  {
    name: 'time as hours, minutes and seconds a view',
    bytes: 'Date,Views,Average view duration\n2026-03-14,10,1:04:05\n2026-03-15,10,2:05\n',
    rows: [
      plainRow('2026-03-14', 10, { watchedSeconds: 38_450 }),
      plainRow('2026-03-15', 10, { watchedSeconds: 1250 }),
    ],
  },
  {
    name: 'a time without its unit is not read',
    bytes: 'Date,Views,Watch time\n2026-03-14,10,55\n',
    rows: [plainRow('2026-03-14', 10, { watchedSeconds: null })],
  },
  {
    name: 'dashes and empty cells are unknown, a nought is a nought',
    bytes: 'Date,Views,Impressions,Clicks\n2026-03-14,–,,n/a\n2026-03-15,0,0,0\n',
    rows: [
      plainRow('2026-03-14', null, { impressions: null, clicks: null }),
      plainRow('2026-03-15', 0, { impressions: 0, clicks: 0 }),
    ],
  },
  {
    name: 'views by source, a line each',
    bytes: 'Date,Traffic source,Views\n2026-03-14,Search,30\n2026-03-14,Suggested videos,20\n2026-03-14,Moonlight,1\n',
    rows: [plainRow('2026-03-14', null, { search: 30 }), plainRow('2026-03-14', null, { suggested: 20 })],
    refused: [[4, /Moonlight.* source of views/u]],
  },
  {
    name: 'other sites by their names',
    bytes: 'Date,Referrer,Views\n2026-03-14,gearforum.example,30\n',
    rows: [plainRow('2026-03-14', 30, { referrer: 'gearforum.example' })],
  },
  {
    name: 'what is no figure',
    bytes:
      'Date,Views,Clicks,Impressions\n2026-03-14,many,,\n2026-03-15,-5,,\n2026-03-16,1.5,,\n2026-03-17,1,9,4\n2026-03-18,1,,\n',
    rows: [plainRow('2026-03-18', 1)],
    refused: [
      [2, /many.* is not a number/u],
      [3, /-5.* is not a number/u],
      [4, /1\.5.* is not a whole number/u],
      [5, /more clicks than impressions/u],
    ],
  },
  {
    name: 'a quotation mark that is not closed costs its own line',
    bytes: 'Date,Title,Views\n2026-03-14,"Chains,5\n2026-03-15,Chains,7\n',
    rows: [plainRow('2026-03-15', 7)],
    refused: [[2, /quotation mark/u]],
  },
  // The whole
  { name: 'headers that nobody knows', bytes: 'When,How many\n2026-03-14,5\n', question: 'columns' },
  {
    name: 'headers matched by hand',
    bytes: 'When,How many\n2026-03-14,5\n',
    ask: { columns: { day: 0, views: 1 } },
    rows: [plainRow('2026-03-14', 5)],
  },
  { name: 'nothing', bytes: '', fault: /empty/u },
  { name: 'white space alone', bytes: '\n\n \n', fault: /no readable lines/u },
  { name: 'a picture', bytes: Buffer.from('\x89PNG\r\n\x1a\nxxxx', 'latin1'), fault: /not a text file/u },
]
