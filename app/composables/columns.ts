import type { Perspective } from '~/stores/workspace'

export interface PhraseColumn {
  key: string
  title: string
  width?: number
  align: 'start' | 'end' | 'center'
  sortable?: false
  hint: string
  /** Stays when a sheet takes half the room. */
  narrow?: true
  /** Gives way where the phrase has no room: the least first. */
  spare?: number
}

const all = (perspective: Perspective, narrow: boolean): PhraseColumn[] => [
  {
    key: 'phrase',
    title: 'Phrase',
    align: 'start',
    hint: 'What people type. Click one to make it the next seed.',
    narrow: true,
  },
  { key: 'words', title: 'Words', width: 46, align: 'end', hint: 'Number of words', spare: 1 },
  {
    key: 'months',
    title: '12 months',
    width: 74,
    align: 'center',
    sortable: false,
    hint: 'Searches a month over the last twelve months',
  },
  {
    key: 'volume',
    title: 'Searches',
    width: narrow ? 66 : 70,
    align: 'end',
    hint: 'Mean searches a month in the region',
    narrow: true,
  },
  {
    key: 'volumeAll',
    title: 'Everywhere',
    width: 80,
    align: 'end',
    hint: 'Mean searches a month everywhere',
    spare: 3,
  },
  {
    key: 'change',
    title: 'Change',
    width: 58,
    align: 'end',
    hint: 'Last three months against the same three a year before',
  },
  {
    key: 'competition',
    title: 'Rivals',
    width: 50,
    align: 'end',
    hint: 'Competition: videos with the phrase in their title',
    spare: 4,
  },
  {
    key: 'difficulty',
    title: 'Difficulty',
    width: narrow ? 64 : 70,
    align: 'end',
    hint: '0 to 100: how firmly the first result page is held',
    narrow: true,
  },
  ...(perspective === 'channel'
    ? [
        {
          key: 'chance',
          title: 'Chance',
          width: narrow ? 54 : 60,
          align: 'end',
          hint: 'Chance that a well-worded video of my channel comes on page one',
          narrow: true,
        } as const,
      ]
    : []),
  {
    key: 'worth',
    title: 'Worth',
    width: narrow ? 46 : 50,
    align: 'end',
    hint: `0 to 100: demand, ${perspective === 'channel' ? 'my chance' : 'ease'} and trend in one. Click a figure to see how it is calculated.`,
    narrow: true,
  },
  {
    key: 'via',
    title: 'Via',
    width: 38,
    align: 'center',
    hint: 'Which of the two sources suggests it: V the video site, W web search',
    spare: 2,
  },
]

/** What the box that selects a row and the arrow to its sheet take. */
export const PICK = 32
export const OPEN = 34
/** Most phrases can be read in this. */
const PHRASE_LEAST = 190

/**
 * How many columns give way to the phrase, where a table is this wide. None on a phone, where the table is wider than
 * its frame and scrolls, nor while the width is not known yet.
 * @param width in CSS pixels.
 */
export function sparedColumns(perspective: Perspective, width: number): number {
  if (width < SCROLLS) return 0
  const columns = all(perspective, false)
  const taken = columns.reduce((sum, column) => sum + (column.width ?? 0), PICK + OPEN)
  let left = width - taken
  let spared = 0
  for (const column of bySpare(columns)) {
    if (left >= PHRASE_LEAST) break
    left += column.width!
    spared++
  }
  return spared
}
/** Narrower ones scroll sideways. */
const SCROLLS = 500
const bySpare = (columns: PhraseColumn[]) =>
  columns.filter(({ spare }) => spare !== undefined).sort((a, b) => a.spare! - b.spare!)

/**
 * The columns of the phrase table, by perspective and the room there is.
 * @param narrow whether a sheet takes half of it.
 * @param spared how many give way besides.
 */
export function phraseColumns(perspective: Perspective, narrow: boolean, spared: number): PhraseColumn[] {
  const columns = all(perspective, narrow)
  const away = new Set(bySpare(columns).slice(0, spared))
  return columns.filter(column => (narrow ? column.narrow : !away.has(column)))
}
