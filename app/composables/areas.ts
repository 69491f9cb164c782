import {
  mdiBookOpenVariantOutline,
  mdiChartTimelineVariant,
  mdiMagnify,
  mdiPencilOutline,
  mdiSendOutline,
  mdiStairs,
} from '@mdi/js'

/** The six areas of the rail. `soon` says in one line what will be there where nothing is yet. */
export const AREAS = [
  {
    name: 'Demand',
    path: '/demand',
    icon: mdiMagnify,
    question: 'What do people search for, and can I win it?',
    soon: null,
  },
  {
    name: 'Rivals',
    path: '/rivals',
    icon: mdiStairs,
    question: 'Who ranks for this phrase, and how strong are they?',
    soon: null,
  },
  { name: 'Desk', path: '/desk', icon: mdiPencilOutline, question: 'Write it and score it', soon: null },
  {
    name: 'Release',
    path: '/release',
    icon: mdiSendOutline,
    question: 'Check everything and publish',
    soon: null,
  },
  {
    name: 'Ranks',
    path: '/ranks',
    icon: mdiChartTimelineVariant,
    question: 'Did it work?',
    soon: 'Where each video stands for its phrases over the weeks, in every region you follow, and what to change next.',
  },
  { name: 'Library', path: '/library', icon: mdiBookOpenVariantOutline, question: 'Everything I have', soon: null },
] as const
