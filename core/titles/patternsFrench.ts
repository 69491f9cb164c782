import type { Pattern } from './pattern'

const DOING = ['way', 'task'] as const
const ASKING = ['question', 'reason'] as const
const NAMED = ['choice', 'versus', 'place', 'thing'] as const

/** What French titles add to a phrase. Double signs stand after a narrow space that does not break. */
export const FRENCH: readonly Pattern[] = [
  { kind: 'number', forms: DOING, tails: ['\u202f: {n} erreurs à éviter', ' en {n} étapes'] },
  { kind: 'number', forms: DOING, tails: ['\u202f: {n} conseils utiles', '\u202f: les {n} étapes qui comptent'] },
  {
    kind: 'question',
    forms: DOING,
    tails: ['\u202f: de quoi a-t-on besoin\u202f?', '\u202f: par où commencer\u202f?'],
  },
  { kind: 'outcome', forms: DOING, tails: [', pas à pas', ' du premier coup', ' sans se tromper'] },
  {
    kind: 'contrast',
    forms: DOING,
    tails: ['\u202f: ce qui marche et ce qui ne marche pas', '\u202f: vite ou bien\u202f?'],
  },
  { kind: 'time', forms: DOING, tails: [' en {minutes} minutes', '\u202f: la version de {minutes} minutes'] },
  { kind: 'audience', forms: DOING, tails: [' quand on débute', '\u202f: pour les débutants'] },
  {
    kind: 'mistake',
    forms: DOING,
    tails: ['\u202f: l’erreur la plus fréquente', '\u202f: ce qu’il ne faut pas faire'],
  },
  { kind: 'year', forms: DOING, tails: [' ({year})', '\u202f: guide {year}'] },
  {
    kind: 'number',
    forms: ['fault'],
    tails: ['\u202f: {n} causes et que faire', '\u202f: {n} points à vérifier d’abord'],
  },
  {
    kind: 'question',
    forms: ['fault'],
    tails: ['\u202f: d’où vient le problème\u202f?', '\u202f: que vérifier d’abord\u202f?'],
  },
  {
    kind: 'outcome',
    forms: ['fault'],
    tails: ['\u202f: trouver la cause et réparer', '\u202f: la réparation qui tient'],
  },
  { kind: 'contrast', forms: ['fault'], tails: ['\u202f: ce qui aide et ce qui n’aide pas'] },
  { kind: 'time', forms: ['fault'], tails: ['\u202f: trouver la cause en {minutes} minutes'] },
  { kind: 'audience', forms: ['fault'], tails: ['\u202f: le guide du débutant'] },
  { kind: 'mistake', forms: ['fault'], tails: ['\u202f: essayez ceci d’abord', '\u202f: la cause que l’on oublie'] },
  { kind: 'year', forms: ['fault'], tails: [' ({year})'] },
  { kind: 'number', forms: ASKING, tails: ['\u202f? {n} points pour décider', '\u202f? {n} choses à savoir'] },
  { kind: 'question', forms: ASKING, tails: ['\u202f? La réponse courte', '\u202f? Voici la réponse'] },
  { kind: 'outcome', forms: ASKING, tails: ['\u202f? Une réponse claire', '\u202f? Et que faire'] },
  { kind: 'contrast', forms: ASKING, tails: ['\u202f? Ce qu’on dit et ce qui est vrai'] },
  { kind: 'time', forms: ASKING, tails: ['\u202f? Expliqué en {minutes} minutes'] },
  { kind: 'audience', forms: ASKING, tails: ['\u202f? Expliqué aux débutants'] },
  { kind: 'mistake', forms: ASKING, tails: ['\u202f? L’erreur la plus fréquente'] },
  { kind: 'year', forms: ASKING, tails: ['\u202f? ({year})'] },
  {
    kind: 'number',
    forms: ['cost'],
    tails: ['\u202f: {n} choses qui changent le prix', '\u202f: {n} façons de payer moins'],
  },
  {
    kind: 'question',
    forms: ['cost'],
    tails: ['\u202f: quel est le juste prix\u202f?', '\u202f: est-ce que ça vaut le coup\u202f?'],
  },
  { kind: 'outcome', forms: ['cost'], tails: ['\u202f: ce que vous avez pour votre argent'] },
  { kind: 'contrast', forms: ['cost'], tails: ['\u202f: ce qui est compris et ce qui ne l’est pas'] },
  { kind: 'time', forms: ['cost'], tails: ['\u202f: expliqué en {minutes} minutes'] },
  { kind: 'mistake', forms: ['cost'], tails: ['\u202f: l’erreur qui coûte cher'] },
  { kind: 'year', forms: ['cost'], tails: [' en {year}', ' ({year})'] },
  { kind: 'number', forms: NAMED, tails: ['\u202f: {n} choses à savoir', '\u202f: {n} questions, {n} réponses'] },
  { kind: 'question', forms: NAMED, tails: ['\u202f: qu’est-ce qui compte vraiment\u202f?'] },
  { kind: 'outcome', forms: NAMED, tails: ['\u202f: tout comprendre', '\u202f: l’essentiel'] },
  {
    kind: 'contrast',
    forms: NAMED,
    tails: ['\u202f: le vrai et le faux', '\u202f: ce qui compte et ce qui ne compte pas'],
  },
  { kind: 'time', forms: NAMED, tails: [' en {minutes} minutes'] },
  { kind: 'audience', forms: NAMED, tails: ['\u202f: pour les débutants', '\u202f: le guide pour commencer'] },
  { kind: 'mistake', forms: NAMED, tails: ['\u202f: l’erreur la plus fréquente'] },
  { kind: 'year', forms: NAMED, tails: [' ({year})', ' en {year}\u202f: ce qui a changé'] },
  { kind: 'series', forms: [...DOING, ...NAMED, 'fault', 'cost'], tails: [' | Partie {part}', ' (partie {part})'] },
  { kind: 'series', forms: ASKING, tails: ['\u202f? (partie {part})'] },
  { kind: 'brand', forms: [...DOING, ...NAMED, 'fault', 'cost'], tails: [' | {brand}'] },
  { kind: 'brand', forms: ASKING, tails: ['\u202f? | {brand}'] },
]
