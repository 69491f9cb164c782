import { task, type Task } from './trade'

/** What is done to bicycles. */
export const bicycleTasks: Record<string, Task> = {
  adjust: task(
    'adjust/adjusting/adjustment',
    1,
    [
      'Turn the adjuster a quarter turn at a time and try it after every turn.',
      'Check that everything is clean and straight before you touch a screw.',
      'Set the {part} first by eye, then under load on the stand.',
      'Mark where the screw stood, so that you can always go back.',
      'The last half turn is the one that matters.',
    ],
    { paid: true, without: ['a stand', 'tools'] },
  ),
  index: task('index/indexing', 0.5, [
    'Shift to the smallest cog and slacken the cable.',
    'Pull the cable straight, clamp it, and shift up one click.',
    'If it climbs too slowly, turn the barrel adjuster out by half a turn.',
    'Go through all the gears twice before you trust it.',
  ]),
  align: task(
    'align/aligning/alignment',
    0.4,
    [
      'Look at it from behind with one eye closed.',
      'Loosen both bolts, squeeze the lever and hold it while you tighten.',
      'A business card between the two sides gives you an even gap.',
    ],
    { paid: true, without: ['a gauge'] },
  ),
  replace: task(
    'replace/replacing/replacement',
    0.95,
    [
      'Put old and new {part} side by side before you take anything apart.',
      'Lay the small parts out in the order in which they come off.',
      'Clean the seat of the {part} while it is off; you will not get there again soon.',
      'Fit the new {part} by hand first, without any tool.',
      'Tighten to the torque that is printed beside the bolt.',
    ],
    { paid: true, care: true, without: ['special tools'] },
  ),
  remove: task(
    'remove/removing/removal',
    0.7,
    [
      'Soak it overnight if it has not moved for years.',
      'Find out which way the thread runs before you lean on the spanner.',
      'A longer lever is kinder to the {part} than a hammer.',
      'Count the washers, and keep them in a jar.',
    ],
    { without: ['special tools'] },
  ),
  install: task(
    'install/installing/installation',
    0.65,
    [
      'Grease the threads, wipe off what comes out, and start by hand.',
      'Check twice that it sits square before you tighten anything.',
      'Ride ten minutes, then tighten everything once more.',
      'Read the sheet that comes with it, even if you have done ten of them.',
      'Leave the bolts finger tight until all of them are in.',
    ],
    { paid: true, without: ['a shop'] },
  ),
  fit: task(
    'fit/fitting',
    0.45,
    [
      'Hold it in place with tape and look at it from the side.',
      'Leave a finger’s width of room, more if you ride in mud.',
      'Cut the stays only after you have measured twice.',
    ],
    { paid: true },
  ),
  clean: task(
    'clean/cleaning/cleaning',
    0.85,
    [
      'Brush the dry dirt off before anything gets wet.',
      'Put something under it: what comes off does not come out of carpet.',
      'Leave the cleaner on for as long as a cup of tea takes.',
      'An old toothbrush gets where no other brush does.',
      'Work from the top down and keep two brushes, one for grease and one for paint.',
      'Warm water and a little soap do more than you think.',
      'Wipe until the cloth stays white, then let it dry.',
      'Put a drop of oil where metal moves on metal, and nowhere else.',
    ],
    {
      care: true,
      using: ['dish soap', 'a toothbrush', 'vinegar', 'baking soda'],
      without: ['degreaser', 'removing it'],
    },
  ),
  wash: task(
    'wash/washing',
    0.5,
    [
      'Keep the hose away from the bearings.',
      'Start with the dirtiest corner while the water is still clean.',
      'Bounce the wheels once and dry the frame with an old towel.',
    ],
    { care: true, without: ['a hose'] },
  ),
  lubricate: task(
    'lubricate/lubricating/lubrication',
    0.45,
    [
      'One drop on every link is enough; count them once round.',
      'Let it sink in for an hour and wipe the outside dry.',
      'What you hear squeak is dry inside, not outside.',
    ],
    { care: true, using: ['cooking oil', 'motor oil', 'wax'] },
  ),
  wax: task(
    'wax/waxing/waxing',
    0.4,
    [
      'Strip every trace of the old oil, or the wax will not hold.',
      'Keep the wax warm, not hot, and let the chain sink by itself.',
      'Break the links free over your knee when it has cooled.',
    ],
    { care: true, using: ['candle wax', 'a slow cooker'] },
  ),
  fix: task(
    'fix/fixing/fix',
    1,
    [
      'Find out where it begins before you change anything.',
      'Nine times in ten it is the cheap part next to the {part}.',
      'Try the simplest thing first, and test it before you go on.',
      'If it comes back within a week, look at what it is bolted to.',
    ],
    { without: ['a shop', 'tools'], using: ['household tools'] },
  ),
  bleed: task(
    'bleed/bleeding/bleed',
    0.5,
    [
      'Take the pads out and keep the fluid away from them.',
      'Level the lever, open the port, and push from below until no bubble comes.',
      'Tap the hose with a spanner; the last bubbles hide in the bend.',
      'Pull the lever ten times, and wait before you close it.',
    ],
    { paid: true, care: true, without: ['a bleed kit'] },
  ),
  tighten: task('tighten/tightening', 0.45, [
    'By hand first, then with the tool, a little at a time.',
    'Rock the bike with the front brake on: nothing may knock.',
    'Stop when there is no play, and write the torque down.',
  ]),
  true: task(
    'true/truing/truing',
    0.4,
    [
      'Pluck the spokes and listen: the dull ones are loose.',
      'A quarter turn on three spokes is better than a whole turn on one.',
      'Use the brake pad as a gauge if you have no stand.',
    ],
    { paid: true, without: ['a stand'] },
  ),
  patch: task(
    'patch/patching',
    0.5,
    [
      'Listen for the hole, and mark it before you let go.',
      'Roughen more than the patch will cover, and wait until the glue is dull.',
      'Run a thumb round the inside of the tyre: what did it is often still there.',
    ],
    { without: ['glue', 'a patch kit'] },
  ),
  inflate: task(
    'inflate/inflating',
    0.5,
    [
      'Read the pressure on the side of the tyre, then think of your weight.',
      'Pump to half, check that the bead sits evenly, then go on.',
      'Thread the valve nut down with two fingers only.',
    ],
    { care: true, without: ['a pump', 'a compressor'] },
  ),
  service: task(
    'service/servicing/service',
    0.5,
    [
      'Turn the axle with two fingers: what feels like sand is worn.',
      'Clean the old grease out until the metal shines.',
      'Fill with fresh grease, not to the brim.',
    ],
    { care: true, paid: true, without: ['special tools'] },
  ),
  rebuild: task(
    'rebuild/rebuilding/rebuild',
    0.3,
    [
      'Photograph every layer as you take it apart.',
      'New seals cost less than the afternoon you spend on them.',
      'Leave it overnight and look for a wet ring in the morning.',
    ],
    { paid: true },
  ),
  measure: task(
    'measure/measuring/measurement',
    0.35,
    [
      'Clean it first: dirt is worth a millimetre.',
      'Measure from the middle and not from the edge, and do it twice.',
      'Write the number on the frame with a soft pencil.',
    ],
    { without: ['a gauge'] },
  ),
  shorten: task('shorten/shortening', 0.35, [
    'Wrap it round the two biggest rings and add two links.',
    'Push the pin out far enough, and not a hair further.',
    'Bend the joint sideways until it moves freely.',
  ]),
  straighten: task(
    'straighten/straightening',
    0.25,
    [
      'Bend it back slowly and only once; it will not take it a third time.',
      'Leave the wheel in: it holds the shape for you.',
      'Check it against the spokes over the whole turn.',
    ],
    { paid: true, without: ['a gauge'] },
  ),
  upgrade: task('upgrade/upgrading/upgrade', 0.4, [
    'Start with what touches the ground, then with what touches you.',
    'Write down what fits what before you order anything.',
    'The dearest part is seldom the one you feel.',
  ]),
  store: task('store/storing/storage', 0.35, [
    'Clean it once before it stands.',
    'Cold does less harm than damp.',
    'Look at it once a month, and charge what has a battery to about half.',
  ]),
  pack: task('pack/packing', 0.25, [
    'Turn the bars, take the pedals off, and lower the saddle.',
    'Foam goes between metal and paint, not around it.',
    'Put the small parts in a bag and tie the bag to the frame.',
  ]),
  paint: task('paint/painting/paint job', 0.35, [
    'Three thin coats hold better than one thick one.',
    'Tape the threads and the bearing seats before the primer.',
    'Wait a whole day before you bolt anything on.',
  ]),
  lace: task('lace/lacing', 0.2, [
    'Start with the spoke beside the valve, and count in fours.',
    'Every third one crosses under, not over.',
    'Leave all nipples at the same thread before you tension.',
  ]),
  charge: task('charge/charging/charging', 0.4, [
    'Let it reach room temperature before you plug it in.',
    'Stop at eighty percent unless tomorrow is a long day.',
    'Look at the contacts: a green film is all it takes.',
  ]),
}
