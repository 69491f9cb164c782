import type { Cue } from '../core/captions/cue'
import { spread } from '../core/captions/spread'
import { writeCaptions } from '../core/captions/write'

/** What is said in the workshop's film on winter care, part by part, each with the second it begins. */
const WINTER_CARE: [start: number, said: string][] = [
  [
    0,
    'Hello from the workshop in Marrowby. Today you see how to clean bike chain grime off in ten minutes, at home and without a stand. First of all, what salt does. Salt pulls water out of the air, and water and salt together eat steel. This chain rode through one winter. Look at the rust between the plates. Salt sits where you cannot see it, under the grime, next to the pins. A rusty pin does not turn, and that is what you hear. So the salt has to come off, and it has to come off the same evening.',
  ],
  [
    70,
    'Now we clean. To clean bike chain links at home you need a brush, a rag and a bucket of warm water. The brush has to reach the rollers. A tooth brush is too soft for the rollers. Hold the brush against the lower run and turn the crank backwards. Ten turns of the crank, then turn the brush over and do the other side. Um, do not spray the chain with a hose. A hose pushes the dirty water into the bearings. Wipe the chain with the rag until the rag stays grey and not black. Then dry the chain. Drying takes longer than brushing. Hang a dry rag around the chain and turn the crank until the rag comes away dry.',
  ],
  [
    270,
    'Next comes oil. To lubricate bike chain links you put one drop on each roller, on the inside of the chain. One drop a link, no more. Oil on the outside only catches dust. Turn the crank twice so the oil creeps under the rollers. Wait a minute. Then wipe the oil off again. Yes, wipe it off: the oil that you wipe off is the oil that would hold the dirt. A wet oil lasts in rain. A dry oil stays clean in summer. In winter we take the wet oil.',
  ],
  [
    425,
    'If you would rather not wipe at all, there is wax. How to wax bike chain links takes an old pan and low heat. Melt the wax in the pan until the wax is as clear as water. The chain must be clean and dry before the wax, or the wax does not hold. How to remove a bike chain you see in another film of ours. Lay the chain in the pan and move it until no more bubbles come up. Lift the chain out with a wire and let it hang until the wax is hard. A waxed chain is stiff at first. It runs quiet for three hundred kilometres.',
  ],
  [
    560,
    'A few bike chain cleaning tips for the ride home. Keep a rag in the bag. Wipe the chain at the door, while it is wet. Listen once a week: a chain that chirps wants a drop of oil. And measure the chain twice a year, since no brush makes a worn chain young again. What do you use in winter, oil or wax? Tell us in the comments. Thanks for watching, and see you next week.',
  ],
]
export const WINTER_CARE_SECONDS = 640

/** The cues of that film; each part begins with the cue at its second. */
export const winterCareCues = (): Cue[] =>
  WINTER_CARE.flatMap(([start, said], i) => {
    const end = WINTER_CARE[i + 1]?.[0] ?? WINTER_CARE_SECONDS
    // A breath before the next part.
    return spread(said, end - start - 2).map(cue => ({ ...cue, start: cue.start + start, end: cue.end + start }))
  })

/** The seconds at which a part begins, as its maker knows them. */
export const WINTER_CARE_PARTS = WINTER_CARE.map(([start]) => start)

/** The captions of that film as WebVTT. */
export const winterCareCaptions = () => writeCaptions(winterCareCues(), 'webvtt')

/** The outline of a film that is not shot yet. */
export const INDEXING_OUTLINE = `0:00 Gears skipping? How to index a rear derailleur with one tool
0:15 Who this is for: any bike with gears at the back
0:30 Look at the derailleur hanger first
- ruler along the hanger, seen from behind
- a bent one cannot be indexed at all
2:00 The cable: undo, pull tight, close
3:30 The barrel: a quarter of a turn, then shift
5:00 Rear derailleur not shifting after all that? Dirt in the housing
6:10 Ride around the block and listen`
