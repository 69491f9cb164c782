import { emptyFields, type BriefFields } from '../core/brief/brief'
import { EMPTY_SHEET, type SheetAnswers } from '../core/release/sheet'
import { INDEXING_OUTLINE, WINTER_CARE_SECONDS, winterCareCaptions } from './captions'

/** What the workshop answers about every video. */
export const USUAL_SHEET: SheetAnswers = {
  ...EMPTY_SHEET,
  visibility: 'public',
  madeForChildren: false,
  ageLimit: false,
  category: 'Workshop',
  recordedIn: 'Marrowby',
  licence: 'standard',
  embedding: true,
  comments: 'open',
  ratingsShown: true,
  premiere: false,
  monetised: false,
  automaticCaptions: 'remove',
}

/** The demo's briefs: the made-up workshop at each stage of the work, the newest last. */
export const BRIEFS: BriefFields[] = [
  {
    ...emptyFields(),
    topic: 'Winter care for a bike chain',
    region: 'GB',
    language: 'en',
    tray: {
      lead: 'how to clean bike chain',
      support: [
        'lubricate bike chain',
        'how to wax bike chain',
        'clean bike chain at home',
        'bike chain cleaning tips',
      ],
      setAside: ['clean gold chain', 'timing chain'],
    },
    title: 'How to clean bike chain and keep it quiet all winter',
    description:
      'How to clean bike chain grime off in ten minutes, at home and without a stand. You will see which brush reaches the rollers, when to lubricate bike chain links and why less is more.\n\nIn the workshop in Marrowby we clean forty chains a week once the roads are salted. This is the order that keeps them quiet: brush, wipe, dry, one drop a link, wipe again. If you would rather not wipe at all, the last part shows how to wax bike chain links in an old pan.\n\n0:00 What salt does to a chain\n1:10 Clean bike chain at home\n4:30 Lubricate, one drop a link\n7:05 Wax instead of oil\n9:20 Bike chain cleaning tips for the ride home\n\nOur bench and opening hours: https://wheelshed.example/marrowby\nWhat do you use in winter, oil or wax? Tell us in the comments.\n\n#bikechain #bikecleaning #winterriding',
    tags: [
      'how to clean bike chain',
      'clean bike chain',
      'bike chain',
      'lubricate bike chain',
      'wax bike chain',
      'bike chain cleaning',
      'bike maintenance',
      'winter bike care',
      'marrowby wheel shed',
    ],
    fileName: 'how-to-clean-bike-chain.mp4',
    captions: winterCareCaptions(),
    seconds: WINTER_CARE_SECONDS,
    sheet: { ...EMPTY_SHEET, visibility: 'public', madeForChildren: false, paidPromotion: false },
  },
  {
    ...emptyFields(),
    topic: 'Bike repair in Marrowby',
    region: 'GB',
    language: 'en',
    tray: {
      lead: null,
      support: ['bike repair marrowby', 'mobile bike repair marrowby', 'puncture repair marrowby'],
      setAside: [],
    },
    ruleSet: 'exact-line',
    sheet: USUAL_SHEET,
  },
  {
    ...emptyFields(),
    topic: 'A wheel that wobbles',
    region: 'GB',
    language: 'en',
    tray: {
      lead: 'how to true a bike wheel',
      support: ['bike wheel wobbling', 'how to fix a wobbly bike wheel', 'truing a bike wheel'],
      setAside: ['bike wheel price'],
    },
    sheet: USUAL_SHEET,
  },
  {
    ...emptyFields(),
    topic: 'Indexing a rear derailleur',
    region: 'GB',
    language: 'en',
    tray: {
      lead: 'how to index a rear derailleur',
      support: ['rear derailleur not shifting', 'adjust rear derailleur', 'derailleur hanger', 'index rear derailer'],
      setAside: ['rear derailleur price', 'cheap rear derailleurs'],
    },
    title: 'Gears skipping? How to index a rear derailleur with one tool',
    description:
      'Gears skipping or hesitating? You will learn how to index a rear derailleur with one tool, on any bike, in the order we use at the bench.\n\nFirst we look at the derailleur hanger, since a bent one cannot be indexed at all. Then the cable, then a quarter of a turn at a time.\n\nMore from our bench: wheelshed.example/gears',
    tags: ['how to index a rear derailleur', 'rear derailleur', 'index gears', 'bike gears', 'Rear Derailleur'],
    fileName: 'how-to-index-a-rear-derailleur.mp4',
    outline: INDEXING_OUTLINE,
    sheet: { ...USUAL_SHEET, notifySubscribers: true },
  },
]

/** Phrase lists the workshop keeps across its briefs. */
export const LISTS: { name: string; note: string; phrases: string[] }[] = [
  {
    name: 'Spring repairs',
    note: 'Film in February, before everybody takes the bike out again',
    phrases: [
      'bike tune-up',
      'how to clean bike chain',
      'adjust rear derailleur',
      'replace brake pads',
      'how to fix puncture',
      'true bike wheel',
    ],
  },
  {
    name: 'Local work',
    note: 'For the towns we drive to',
    phrases: [
      'bike repair marrowby',
      'mobile bike repair marrowby',
      'bike repair dunmere',
      'bike repair pellhaven',
      'puncture repair marrowby',
    ],
  },
]
