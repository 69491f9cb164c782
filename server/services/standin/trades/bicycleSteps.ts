/**
 * What is shown where a part is worked on in another way than most: nobody greases the threads of a tyre. By part, or
 * parts separated by commas, and task.
 */
export const bicycleSteps: Record<string, Record<string, string[]>> = {
  'mountain bike, road bike, saddle': {
    fit: [
      'Begin with the height: heel on the pedal, knee straight.',
      'Change one thing by five millimetres and ride it for a week.',
      'Numb hands come from the front end, sore knees from the saddle.',
    ],
  },
  'bike helmet': {
    fit: [
      'Two fingers above the eyebrows, not half way up the forehead.',
      'Shake your head: it moves with you or it is too large.',
      'The strap makes a V under the ear, and one finger goes under the chin.',
    ],
  },
  'bike, mountain bike, road bike, electric bike, gravel bike, cargo bike': {
    service: [
      'Wash it first: what is under the dirt is what you are looking for.',
      'From the front to the back, every bolt once with the wrench.',
      'Measure the chain before you look at anything dearer.',
      'Write down what will need doing next time.',
    ],
  },
  'fork, suspension fork, rear shock, dropper post': {
    service: [
      'Note the pressure before you let the air out.',
      'Push a cloth through, and look at what comes out with it.',
      'New seals go in dry fingers first, then with a little oil.',
      'Leave it overnight and look for a wet ring in the morning.',
    ],
  },
  'bike chain': {
    replace: [
      'Put old and new side by side and count the links.',
      'Thread it through before you close it; everybody forgets the cage once.',
      'Close the link with a stamp on the pedal, and listen for the click.',
    ],
    remove: [
      'Look for the link that is different from the others.',
      'Push it together and apart; it opens with a click.',
      'Count the links before you throw it away.',
    ],
    measure: [
      'Measure twelve links; more than half a percent and it is done.',
      'Hold the rule at the middle of the pin, not at the edge.',
      'Measure in three places, since no chain wears evenly.',
    ],
  },
  'bike brakes, disc brake, rim brake, brake pads, brake rotor': {
    clean: [
      'Use a cleaner that leaves nothing behind, and a cloth that has never seen oil.',
      'Touch the braking surface with nothing but that cloth.',
      'Fine paper in circles takes the shine off.',
      'Brake gently ten times before you trust it on a hill.',
    ],
  },
  'brake pads': {
    replace: [
      'Push the pistons back with something that does not scratch.',
      'Touch the new ones at their edges only.',
      'Compare how much is left on both: if one is thinner, the brake sits crooked.',
    ],
    install: [
      'Mind the arrow: one of them is for the left.',
      'The pin goes in from outside, and the clip goes over its end.',
      'Pull the lever until it is firm, and only then ride.',
    ],
  },
  'brake rotor': {
    true: [
      'Spin it slowly and watch the gap, not the rotor.',
      'Bend a little, wait, and look again.',
      'Mark the spot with a pen and not in your head.',
    ],
  },
  'bike wheel': {
    replace: [
      'Check the width of the axle before you check anything else.',
      'Move the tyre and the cassette across while both lie on the table.',
      'Centre the brake again; no two wheels stand the same.',
    ],
    remove: [
      'Shift to the smallest cog before you begin.',
      'Open the brake, then the lever, and hold the bike by the saddle.',
      'Lay it down with the cassette up, or you clean the floor.',
    ],
    rebuild: [
      'Photograph the lacing before you cut anything.',
      'Bring all spokes to the same thread before you add tension.',
      'Stress it, true it, and stress it again.',
    ],
  },
  'spoke': {
    replace: [
      'Take the length from the one opposite, on the same side.',
      'It goes over, over and under, like its neighbours.',
      'Bring it to the note of the others and look at the rim again.',
    ],
  },
  'bike tyre, tubeless tyre': {
    replace: [
      'Let all the air out and push the bead into the middle of the rim.',
      'Look for the arrow before the second side goes on, not after.',
      'Finish at the valve, with your thumbs and without a lever.',
    ],
    remove: [
      'Let all the air out and push the bead into the middle of the rim.',
      'Two levers are enough, and neither is a screwdriver.',
      'Begin opposite the valve and work round with your hands.',
    ],
    install: [
      'One side goes on by hand; if it does not, it is the wrong size.',
      'A little soapy water on the bead does half of the work.',
      'Look along both sides: the line on the tyre runs even all round.',
    ],
    fix: [
      'Listen first, then wet it and look for bubbles.',
      'What went in is often still in there; feel for it with a cloth.',
      'Plug it from outside, and patch it from inside when you are home.',
    ],
  },
  'flat tyre': {
    fix: [
      'Take the wheel out and lay it on the grass.',
      'Find the hole in the tube before you let go of the tyre: they lie at the same place.',
      'Run a thumb round the inside of the tyre for what did it.',
      'Pump to half, look at both sides, then to the top.',
    ],
  },
  'inner tube': {
    replace: [
      'A breath of air in it before it goes in, and it will not twist.',
      'Push the valve up once and look that nothing is pinched.',
      'Same width, same valve: the rest is colour.',
    ],
  },
  'bar tape': {
    replace: [
      'Cut the old one off and wipe the bar down to the metal.',
      'Begin at the end of the bar and pull evenly.',
      'Turn the other way at the lever, or it comes loose in a month.',
    ],
    install: [
      'Begin at the end of the bar and pull evenly.',
      'Overlap by a third, by more in the bend.',
      'The last cut is at an angle, and the sticker hides it.',
    ],
  },
  'tyre sealant': {
    clean: [
      'Peel the dry skin off the tyre like a sticker.',
      'What is still wet comes off with warm water and a cloth you do not need again.',
      'The valve is what clogs first: take the core out and soak it.',
    ],
    install: [
      'Shake the bottle for longer than you think.',
      'Pour it in through the valve, and not over the carpet.',
      'Spin the wheel, then lay it on one side for a minute and on the other.',
    ],
  },
  'electric bike battery': {
    replace: [
      'Switch it off at the display, then turn the key.',
      'Compare the contacts and not only the shape.',
      'Charge the new one fully once before the first long ride.',
    ],
    rebuild: [
      'Measure every cell before you touch a tab.',
      'Cells of one batch belong together.',
      'If you have never done it, do not begin with this one.',
    ],
  },
}
