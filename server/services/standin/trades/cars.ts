import { fault, part, task, type Trade } from './trade'

/** Cars: *brake pads*, *tyres*, *chains* and *tune-ups* are theirs, too. */
export const cars: Trade = {
  id: 'cars',
  language: 'en',
  share: 0.06,
  prefix: 'car',
  wholes: ['diesel', 'van', 'old car', 'hybrid'],
  makers: [],
  peak: 9,
  swing: 0.2,
  nouns: ['Car Ramp', 'Engine Lane', 'Garage Hours', 'Sump Plug'],
  people: 'driver',
  services: [
    ['car repair', 9],
    ['tyre fitting', 7],
    ['car service', 8],
    ['brake repair', 3],
  ],
  faults: {
    squealing: fault('squealing', 'squeal', 'squealing', ['when cold', 'when braking']),
    grinding: fault('grinding', 'grind', 'grinding', ['at low speed', 'when turning']),
    rattling: fault('rattling', 'rattle', 'rattling', ['on cold start', 'at idle']),
    flat: fault('flat', 'go flat', 'flat', ['overnight', 'after two days']),
    leaking: fault('leaking', 'leak', 'leaking', ['onto the drive']),
    seized: fault('seized', 'seize', 'seized', ['after winter']),
  },
  tasks: {
    replace: task(
      'replace/replacing/replacement',
      1,
      [
        'Jack it at the marked point, and put a stand under it.',
        'Penetrating oil tonight saves a stud tomorrow.',
        'Always in pairs, both sides of the axle.',
        'Pump the pedal before you roll a single metre.',
      ],
      { paid: true, care: true, without: ['special tools'] },
    ),
    check: task(
      'check/checking/inspection',
      0.7,
      [
        'Engine cold, car level, five minutes of patience.',
        'Look, smell, then touch.',
        'Write the mileage beside what you found.',
      ],
      { care: true, paid: true },
    ),
    clean: task(
      'clean/cleaning/cleaning',
      0.6,
      ['Unplug first, spray second.', 'Hot water and soda eat the white crust in a minute.'],
      { using: ['baking soda', 'cola'], without: ['removing it'] },
    ),
    charge: task(
      'charge/charging',
      0.7,
      ['Red on red, black on bare metal, and stand back.', 'Slow overnight beats fast in an hour.'],
      { care: true, without: ['a charger', 'another car'] },
    ),
    bleed: task(
      'bleed/bleeding',
      0.5,
      ['Furthest wheel first, nearest last.', 'A helper, a hose, and a jar with fluid in it.'],
      { paid: true, without: ['a helper'] },
    ),
    change: task(
      'change/changing/change',
      1,
      [
        'Warm oil runs out faster and takes the dirt along.',
        'A new washer costs cents and saves a puddle.',
        'Reset the reminder, or it will nag you tomorrow.',
      ],
      { care: true, paid: true, without: ['a ramp', 'a jack'] },
    ),
  },
  steps: {
    'car battery': {
      replace: [
        'Black off first, red off second; on again the other way round.',
        'Write down the radio code before you take anything off.',
        'A little grease on the poles, and none between them.',
      ],
    },
    'car tyre': {
      replace: [
        'Loosen the nuts while it still stands on the ground.',
        'Jack it at the marked point, and put a stand under it.',
        'Tighten crosswise, and once more after fifty miles.',
      ],
      change: [
        'Loosen the nuts while it still stands on the ground.',
        'The bad one goes under the sill, in case the jack gives.',
        'Tighten crosswise, and once more after fifty miles.',
      ],
    },
    'spark plugs': {
      replace: [
        'One at a time, or you mix up the leads.',
        'Blow the dust out of the hole before you turn anything.',
        'By hand until it sits, then a quarter turn.',
      ],
    },
    'air filter, wiper blades': {
      replace: [
        'Take the old one to the shop and hold the new one against it.',
        'There is a clip on the underside; press it and do not pull.',
        'Put a rag where the metal could fall.',
      ],
    },
    'timing chain': {
      replace: [
        'Lock the engine before you touch the tensioner.',
        'Mark three teeth with paint and take a picture.',
        'Turn it round twice by hand before it turns by itself.',
      ],
    },
  },
  parts: [
    part('car battery', 34, 'replace charge clean check', {
      plural: 'car batteries',
      buy: true,
      sized: true,
      faults: ['flat'],
      peak: 0,
      swing: 0.5,
      kinds: ['hybrid', 'start stop'],
    }),
    part('car brakes', 22, 'replace check bleed', { mass: true, faults: ['squealing', 'grinding', 'seized'] }),
    part('car brake pads', 16, 'replace check', {
      mass: true,
      buy: true,
      faults: ['squealing', 'grinding'],
      kinds: ['ceramic', 'front', 'rear'],
    }),
    part('brake caliper', 10, 'replace clean bleed', { faults: ['seized', 'leaking'] }),
    part('timing chain', 13, 'replace check', { faults: ['rattling'], against: ['timing belt'] }),
    part('tune-up', 10, '', { idea: true, on: ['diesel', 'van'] }),
    part('engine tune-up', 8, '', { idea: true }),
    part('spark plugs', 16, 'replace clean check', { mass: true, buy: true, kinds: ['iridium'] }),
    part('car tyre', 26, 'change check replace', {
      without: ['a jack'],
      buy: true,
      sized: true,
      faults: ['flat'],
      plural: 'car tyres',
      kinds: ['winter', 'all season', 'run flat'],
      peak: 10,
      swing: 0.5,
    }),
    part('engine oil', 30, 'change check', {
      mass: true,
      buy: true,
      faults: ['leaking'],
      on: ['diesel', 'van', 'old car'],
    }),
    part('air filter', 13, 'replace clean', { buy: true }),
    part('wiper blades', 14, 'replace clean', { mass: true, buy: true, sized: true, faults: ['squealing'] }),
    part('wheel bearing', 12, 'replace check', { faults: ['grinding'] }),
    part('bike carrier', 7, 'check', { buy: true, against: ['roof rack'] }),
  ],
  remarks: [
    'Never get under a car that stands on a jack alone.',
    'This one has three hundred thousand on the clock.',
    'Check your own manual, the numbers differ by engine.',
    'It took me an hour; the second side took ten minutes.',
  ],
}
