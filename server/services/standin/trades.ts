/** A thing worked on: its name, how much it is asked for, and the tasks that make sense with it. */
export interface Part {
  name: string
  weight: number
  tasks: string[]
  peak?: number
  swing?: number
  growth?: number
}

export interface Trade {
  id: string
  /** Part of all phrases that belong to this trade. */
  share: number
  parts: Part[]
  /** What the trade works on as a whole: stands in "for a {whole}". */
  wholes: string[]
  suffixes: [string, number][]
  peak: number
  swing: number
  nouns: string[]
}

const t = (names: string) => names.split(' ')
const part = (name: string, weight: number, tasks: string, more: Partial<Part> = {}): Part => ({
  name,
  weight,
  tasks: t(tasks),
  ...more,
})

const bikeBits = 'adjust replace clean fix install remove'

export const TRADES: Trade[] = [
  {
    id: 'bicycle',
    share: 0.76,
    wholes: [
      'road bike',
      'mountain bike',
      'gravel bike',
      'electric bike',
      'folding bike',
      'kids bike',
      'city bike',
      'touring bike',
    ],
    peak: 4,
    swing: 0.45,
    nouns: ['Cycles', 'Bike Bench', 'Wheel Works', 'Spanner Club', 'Pedal Room', 'Two Wheel Diary', 'Bike Yard'],
    suffixes: [
      ['squeaking', 0.12],
      ['slipping', 0.14],
      ['not shifting', 0.14],
      ['rubbing', 0.14],
      ['clicking', 0.1],
      ['stuck', 0.1],
      ['corvane', 0.1],
      ['halden', 0.08],
      ['tarn & sons', 0.05],
      ['12 speed', 0.1],
      ['11 speed', 0.09],
      ['single speed', 0.08],
      ['no stand', 0.04],
    ],
    parts: [
      part('rear derailleur', 10, `${bikeBits} index align tension`, { growth: 0.05 }),
      part('front derailleur', 7, `${bikeBits} index align`, { growth: -0.14 }),
      part('derailleur hanger', 3, 'align straighten replace choose'),
      part('bike gears', 11, 'adjust fix index clean tune change'),
      part('shifter', 4, `${bikeBits} upgrade`),
      part('gear cable', 4, 'replace adjust shorten install'),
      part('disc brake', 9, `${bikeBits} bleed align`, { growth: 0.16 }),
      part('rim brake', 5, `${bikeBits} align`, { growth: -0.2 }),
      part('brake pads', 8, 'replace clean choose install check'),
      part('hydraulic brake', 5, 'bleed fix adjust shorten service', { growth: 0.2 }),
      part('brake lever', 3, 'adjust replace set'),
      part('bottom bracket', 6, 'replace remove install grease measure service'),
      part('headset', 4, 'adjust tighten replace grease install'),
      part('bike wheel', 8, 'true replace remove lace rebuild install'),
      part('spoke', 6, 'replace tighten tension true measure'),
      part('bike chain', 14, 'replace clean lubricate fix shorten remove wax measure', { swing: 0.6 }),
      part('chain', 9, 'clean lubricate fix shorten wax'),
      part('cassette', 6, 'replace clean remove install choose'),
      part('freewheel', 3, 'remove replace service grease'),
      part('crankset', 4, 'remove install replace choose'),
      part('pedals', 7, 'remove install replace grease choose'),
      part('saddle', 6, 'adjust fit choose replace measure'),
      part('seatpost', 3, 'remove adjust grease choose'),
      part('handlebar', 4, 'adjust replace wax fit choose'),
      part('stem', 3, 'replace adjust choose install'),
      part('bar tape', 4, 'install replace clean choose'),
      part('bike tyre', 11, 'replace patch inflate remove install choose', { peak: 3 }),
      part('inner tube', 8, 'replace patch fix inflate'),
      part('tubeless tyre', 7, 'install fix inflate set replace', { growth: 0.25 }),
      part('puncture', 7, 'fix patch'),
      part('hub', 3, 'service grease adjust replace'),
      part('dynamo hub', 2, 'install service choose', { growth: 0.15 }),
      part('suspension fork', 5, 'service set adjust upgrade clean', { growth: 0.08 }),
      part('fork', 3, 'service replace measure'),
      part('rear shock', 3, 'service set adjust rebuild'),
      part('dropper post', 3, 'install service fix bleed', { growth: 0.2 }),
      part('mudguards', 4, 'install fit choose fix', { peak: 10, swing: 0.9 }),
      part('pannier rack', 3, 'install fit choose'),
      part('bike lights', 6, 'install choose fix set', { peak: 10, swing: 1.1 }),
      part('bike frame', 4, 'paint clean measure choose straighten'),
      part('bike', 16, 'clean wash service pack store fix tune upgrade paint', { swing: 0.7 }),
      part('electric bike battery', 6, 'replace store rebuild fix choose', { growth: 0.4 }),
      part('electric bike motor', 5, 'service fix replace clean', { growth: 0.35 }),
      part('cargo bike', 4, 'choose service fix', { growth: 0.3 }),
      part('kick stand', 2, 'install fix choose'),
      part('bike bell', 2, 'fix install choose'),
      part('training wheels', 3, 'install remove adjust', { peak: 11, swing: 0.6 }),
      part('bike computer', 3, 'install set choose fix', { growth: -0.15 }),
      part('cleats', 4, 'install adjust replace fit'),
      part('bike pump', 3, 'fix choose'),
      part('torque wrench', 2, 'choose set'),
      part('bike tune-up', 5, 'check choose'),
      part('bike repair', 9, 'check choose'),
    ],
  },
  {
    id: 'jewellery',
    share: 0.06,
    wholes: ['necklace', 'bracelet', 'ring'],
    peak: 11,
    swing: 0.7,
    nouns: ['Jewellery Bench', 'Gold Corner', 'Silver Loft'],
    suffixes: [
      ['gold', 0.3],
      ['silver', 0.3],
      ['for men', 0.2],
      ['tarnished', 0.1],
    ],
    parts: [
      part('chain', 9, 'clean fix untangle polish solder shorten choose wear'),
      part('gold chain', 8, 'clean polish fix choose wear resize'),
      part('silver chain', 6, 'clean polish fix untangle'),
      part('necklace clasp', 4, 'fix replace solder choose'),
      part('ring', 7, 'resize clean polish choose measure'),
      part('bracelet', 5, 'shorten fix clean wear'),
    ],
  },
  {
    id: 'riding',
    share: 0.04,
    wholes: ['horse', 'pony'],
    peak: 5,
    swing: 0.3,
    nouns: ['Stable Lane', 'Paddock Notes', 'Tack Room'],
    suffixes: [
      ['english', 0.2],
      ['western', 0.2],
      ['leather', 0.15],
    ],
    parts: [
      part('saddle', 8, 'fit clean oil condition choose measure adjust'),
      part('horse saddle', 6, 'fit clean condition choose'),
      part('bridle', 5, 'fit clean adjust choose'),
      part('stirrup', 3, 'adjust measure choose'),
      part('girth', 3, 'tighten clean measure'),
    ],
  },
  {
    id: 'kitchen',
    share: 0.05,
    wholes: ['kitchen', 'table'],
    peak: 11,
    swing: 0.4,
    nouns: ['Larder Table', 'Copper Pan Diary', 'Spoon Drawer'],
    suffixes: [
      ['with vinegar', 0.15],
      ['stainless', 0.15],
      ['for dinner', 0.1],
    ],
    parts: [
      part('fork', 6, 'hold polish clean set choose'),
      part('knife', 9, 'sharpen hold clean choose store'),
      part('pan', 8, 'season clean choose store'),
      part('cutting board', 5, 'oil clean choose'),
      part('serving fork', 2, 'choose polish set'),
    ],
  },
  {
    id: 'music',
    share: 0.05,
    wholes: ['guitar', 'piano', 'violin'],
    peak: 0,
    swing: 0.35,
    nouns: ['String Cellar', 'Fret Notes', 'Tuning Hour'],
    suffixes: [
      ['by ear', 0.2],
      ['with an app', 0.15],
      ['acoustic', 0.2],
    ],
    parts: [
      part('guitar', 12, 'tune play string clean choose'),
      part('piano', 8, 'tune play clean choose'),
      part('violin', 5, 'tune play string hold'),
      part('guitar bridge', 3, 'adjust replace clean'),
      part('piano tune-up', 2, 'check choose'),
    ],
  },
  {
    id: 'cars',
    share: 0.03,
    wholes: ['car', 'van'],
    peak: 9,
    swing: 0.25,
    nouns: ['Car Ramp', 'Engine Lane', 'Garage Hours'],
    suffixes: [
      ['diesel', 0.15],
      ['old', 0.1],
      ['near me', 0.2],
    ],
    parts: [
      part('engine tune-up', 6, 'check service choose'),
      part('tune-up', 6, 'check choose'),
      part('car brake pads', 6, 'replace check choose'),
      part('timing chain', 5, 'replace check tension'),
      part('car battery', 7, 'replace check clean'),
    ],
  },
  {
    id: 'speaking',
    share: 0.01,
    wholes: ['wedding', 'meeting'],
    peak: 8,
    swing: 0.2,
    nouns: ['Speakers Corner Room', 'Lectern Notes'],
    suffixes: [
      ['in public', 0.3],
      ['without notes', 0.2],
      ['with confidence', 0.2],
    ],
    parts: [
      part('speech', 8, 'write give practise open end'),
      part('spoke speech', 2, 'write practise'),
      part('presentation', 7, 'give open end practise'),
    ],
  },
]
