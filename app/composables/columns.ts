import type { Perspective } from '~/stores/workspace'

export interface PhraseColumn {
  key: string
  title: string
  width?: number
  align: 'start' | 'end' | 'center'
  sortable?: false
  hint: string
  /** Stays when a sheet takes half the room. */ narrow?: true
}

const all = (perspective: Perspective, narrow: boolean): PhraseColumn[] => [
  {
    key: 'phrase',
    title: 'Phrase',
    align: 'start',
    hint: 'What people type. Click one to make it the next seed.',
    narrow: true,
  },
  { key: 'words', title: 'Words', width: 46, align: 'end', hint: 'Number of words' },
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
  { key: 'volumeAll', title: 'Everywhere', width: 80, align: 'end', hint: 'Mean searches a month everywhere' },
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
  },
]

/** The columns of the phrase table, by perspective and the room there is. */
export const phraseColumns = (perspective: Perspective, narrow: boolean) =>
  all(perspective, narrow).filter(column => column.narrow || !narrow)
