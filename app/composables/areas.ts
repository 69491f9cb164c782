import {
  mdiBookOpenVariantOutline,
  mdiChartTimelineVariant,
  mdiMagnify,
  mdiPencilOutline,
  mdiSendOutline,
  mdiStairs,
} from '@mdi/js'

/** The six areas of the rail. */
export const AREAS = [
  {
    name: 'Demand',
    path: '/demand',
    icon: mdiMagnify,
    question: 'What do people search for, and can I win it?',
  },
  {
    name: 'Rivals',
    path: '/rivals',
    icon: mdiStairs,
    question: 'Who ranks for this phrase, and how strong are they?',
  },
  { name: 'Desk', path: '/desk', icon: mdiPencilOutline, question: 'Write it and score it' },
  {
    name: 'Release',
    path: '/release',
    icon: mdiSendOutline,
    question: 'Check everything and publish',
  },
  {
    name: 'Ranks',
    path: '/ranks',
    icon: mdiChartTimelineVariant,
    question: 'Did it work?',
  },
  { name: 'Library', path: '/library', icon: mdiBookOpenVariantOutline, question: 'Everything I have' },
] as const
