import type { Outline } from './descriptions'

/** What people say between the sentences they mean to say. */
const LINKS = ['So, ', 'Okay. ', 'Now, ', 'And then, ', 'Right. ', 'Um, ', 'As you can see, ', '', '', '']
const HELLOS = [
  'Hello and welcome back.',
  'Hi everyone.',
  'Good to see you again.',
  'Hey, it is me.',
  'Welcome to the channel.',
]
const BYES = [
  'That is it for today.',
  'Thanks for watching.',
  'See you next week.',
  'Take care, bye.',
  'And that is all there is to it.',
]
/** What is said while hands are busy. */
const ASIDES = [
  'Let me move the camera a little.',
  'You may not hear it, but I can feel it.',
  'This one is stubborn.',
  'Give it a moment.',
  'There we go.',
  'I always drop this one.',
  'Same again on the other side.',
  'That looks better already.',
  'Do not rush this part.',
]
/** Characters of a cue at most: two lines. */
const CUE = 78

const two = (n: number) => String(Math.floor(n)).padStart(2, '0')
const stamp = (seconds: number) =>
  `${two(seconds / 3600)}:${two((seconds / 60) % 60)}:${two(seconds % 60)}.${String(Math.round((seconds % 1) * 999)).padStart(3, '0')}`

/** A spoken text cut into pieces that fit a cue, at its words. */
function pieces(text: string): string[] {
  const cut: string[] = []
  let line = ''
  for (const word of text.split(' ')) {
    if (line && line.length + 1 + word.length > CUE) {
      cut.push(line)
      line = word
    } else line = line ? `${line} ${word}` : word
  }
  return line ? [...cut, line] : cut
}

/**
 * What is said in a video, as WebVTT: its outline in the order of its chapters, spread over its length by the words,
 * with what people say besides.
 */
export function captionsOf({ opening, steps }: Outline, seconds: number, random: () => number): string {
  const pick = <Value>(list: readonly Value[]): Value => list[Math.floor(random() * list.length)]!
  const said = [
    pick(HELLOS),
    opening,
    ...steps.flatMap(({ sentence }) => [
      `${pick(LINKS)}${sentence}`,
      ...Array.from({ length: Math.floor(random() * 3) }, () => pick(ASIDES)),
    ]),
    pick(BYES),
  ].flatMap(pieces)
  const letters = said.reduce((sum, piece) => sum + piece.length + 10, 0)
  let at = 0
  const cues = said.map(piece => {
    const share = ((piece.length + 10) / letters) * seconds
    const cue = `${stamp(at)} --> ${stamp(at + share * 0.9)}\n${piece}`
    at += share
    return cue
  })
  return `WEBVTT\n\n${cues.join('\n\n')}\n`
}
