import { fault, part, task, type Trade } from './trade'

/** Public speaking: nothing on wheels. */
export const speaking: Trade = {
  id: 'speaking',
  language: 'en',
  share: 0.04,
  before: 'for',
  unsaid: ['at home', 'step by step', 'quickly'],
  bare: ['write', 'give', 'practise', 'open', 'end', 'calm'],
  wholes: ['wedding', 'job interview', 'team meeting', 'funeral', 'birthday', 'graduation', 'retirement party'],
  makers: [],
  peak: 8,
  swing: 0.2,
  nouns: ['Speaking Room', 'Lectern Notes', 'Plain Speech'],
  people: 'speaker',
  services: [
    ['public speaking course', 2],
    ['speech coach', 1.4],
  ],
  faults: {
    boring: fault('boring', 'sound boring', 'boring'),
    shaking: fault('shaking', 'shake', 'shaky', ['on stage', 'before speaking']),
    tooLong: fault('too long', 'run too long', 'long'),
  },
  tasks: {
    write: task(
      'write/writing',
      1,
      [
        'Write the last sentence first.',
        'One thought on one card, and five cards at most.',
        'Read it aloud and strike whatever you stumble over.',
      ],
      { using: ['a template'], without: ['clichés'] },
    ),
    give: task(
      'give/giving',
      0.8,
      [
        'Stand, breathe out, look at one face, begin.',
        'The first sentence is learned by heart, the rest is not.',
        'Slower than feels right is the right speed.',
      ],
      { without: ['notes', 'slides', 'shaking'] },
    ),
    practise: task(
      'practise/practising',
      0.6,
      [
        'Stand up for it, even in an empty room.',
        'Film one minute and watch it without sound.',
        'Three times aloud beats ten times in your head.',
      ],
      { without: ['an audience'] },
    ),
    open: task(
      'open/opening',
      0.5,
      [
        'A date, a place, a person: that is a beginning.',
        'Skip the thank-yous until they have something to thank you for.',
      ],
      { without: ['a joke'] },
    ),
    end: task('end/ending', 0.5, ['Come back to the first picture.', 'Say it, stop, and do not add another word.']),
    calm: task(
      'calm/calming',
      0.6,
      ['Out for longer than in, six times.', 'Press both feet into the floor and name five things you see.'],
      { without: ['medication'] },
    ),
  },
  parts: [
    part('speech', 30, 'write give practise open end', {
      plain: true,
      plural: 'speeches',
      kinds: ['short', 'funny', 'persuasive'],
      faults: ['boring', 'tooLong'],
    }),
    part('best man speech', 15, 'write give open end', {
      plain: true,
      plural: 'best man speeches',
      kinds: ['short', 'funny'],
      faults: ['tooLong'],
      on: [],
      peak: 6,
      swing: 0.5,
    }),
    part('presentation', 26, 'give open end practise', {
      kinds: ['short', 'online'],
      faults: ['boring', 'tooLong'],
      on: ['job interview', 'team meeting'],
    }),
    part('toast', 9, 'give write', { plain: true, on: ['wedding', 'birthday'] }),
    part('elevator pitch', 10, 'write give practise', { plural: 'elevator pitches', on: ['job interview'] }),
    part('stage fright', 12, 'calm', { plain: true, mass: true, on: [] }),
    part('voice', 14, '', { mass: true, plain: true, faults: ['shaking'], on: [] }),
    part('nerves', 14, 'calm', { mass: true, plain: true, on: ['job interview', 'wedding'] }),
    part('speech outline', 6, 'write', { kinds: ['five minute', 'persuasive'], on: [] }),
    part('slides', 9, 'open end', { plain: true, mass: true, buy: false, faults: ['boring'], on: ['team meeting'] }),
  ],
  remarks: [
    'I fainted at my first one, so trust me.',
    'Nobody has ever complained that a speech was too short.',
    'Your hands may shake; your sentence need not.',
    'The example is real, the names are not.',
  ],
}
