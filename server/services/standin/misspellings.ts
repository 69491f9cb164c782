/** Spellings that searchers type, with the part of the word's searches each gets. */
export const MISSPELLINGS: Record<string, [spelling: string, share: number][]> = {
  derailleur: [
    ['derailer', 0.3],
    ['derailler', 0.16],
    ['deraileur', 0.12],
    ['dérailleur', 0.02],
  ],
  brake: [['break', 0.1]],
  brakes: [['breaks', 0.1]],
  tyre: [
    ['tire', 0.6],
    ['tyer', 0.02],
  ],
  tyres: [['tires', 0.6]],
  cassette: [['casette', 0.1]],
  pedals: [['peddles', 0.06]],
  hydraulic: [['hydrolic', 0.08]],
  saddle: [['sadle', 0.03]],
  puncture: [['punture', 0.03]],
  squeaking: [['squeeking', 0.06]],
  squeaky: [['squeeky', 0.05]],
  jewellery: [['jewelry', 0.6]],
  necklace: [['neckless', 0.07]],
  knife: [['nife', 0.02]],
  guitar: [['gitar', 0.03]],
  stirrups: [['stirups', 0.06]],
  presentation: [['presentaion', 0.02]],
}

const SPELLINGS = new Map(Object.entries(MISSPELLINGS))
/** The word that was meant, by each spelling. */
export const MEANT: ReadonlyMap<string, string> = new Map(
  Object.entries(MISSPELLINGS).flatMap(([word, list]) => list.map(([wrong]): [string, string] => [wrong, word])),
)

/** A phrase as it is typed by those who spell one of its words otherwise. */
export function misspelt(text: string): [text: string, share: number][] {
  const words = text.split(' ')
  const all: [string, number][] = []
  words.forEach((word, i) => {
    const spellings = SPELLINGS.get(word)
    if (!spellings || words.indexOf(word) < i) return
    for (const [spelling, share] of spellings)
      all.push([words.map(each => (each === word ? spelling : each)).join(' '), share])
  })
  return all
}
