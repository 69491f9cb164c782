import type { Pattern } from './pattern'

const DOING = ['way', 'task'] as const
const ASKING = ['question', 'reason'] as const
const NAMED = ['choice', 'versus', 'place', 'thing'] as const

/** What Spanish titles add to a phrase. A question is opened where it begins (`ideas.ts`). */
export const SPANISH: readonly Pattern[] = [
  { kind: 'number', forms: DOING, tails: [': {n} errores que puedes evitar', ' en {n} pasos'] },
  { kind: 'number', forms: DOING, tails: [': {n} consejos que ayudan', ': los {n} pasos que cuentan'] },
  { kind: 'question', forms: DOING, tails: [': ¿lo haces bien?', ': ¿qué hace falta de verdad?'] },
  { kind: 'outcome', forms: DOING, tails: [' y acertar a la primera', ', paso a paso', ' con confianza'] },
  { kind: 'outcome', forms: DOING, tails: [': de principio a fin', ', explicado con calma'] },
  { kind: 'contrast', forms: DOING, tails: [': ¿rápido o bien?', ': lo que funciona y lo que no'] },
  { kind: 'time', forms: DOING, tails: [' en {minutes} minutos', ': la versión de {minutes} minutos'] },
  { kind: 'audience', forms: DOING, tails: [' para principiantes', ' si nunca lo has hecho'] },
  { kind: 'mistake', forms: DOING, tails: [': el error más común', ': lo que no hay que hacer'] },
  { kind: 'mistake', forms: DOING, tails: [': por qué sale mal', ': esto lo hace mal casi todo el mundo'] },
  { kind: 'year', forms: DOING, tails: [' ({year})', ' (guía {year})'] },
  { kind: 'number', forms: ['fault'], tails: [': {n} causas y qué hacer', ': {n} cosas que revisar primero'] },
  { kind: 'question', forms: ['fault'], tails: [': ¿cuál es la causa?', ': ¿por dónde empezar?'] },
  { kind: 'outcome', forms: ['fault'], tails: [': encuentra la causa y arréglalo', ': cómo arreglarlo para siempre'] },
  { kind: 'contrast', forms: ['fault'], tails: [': lo que ayuda y lo que no', ': la respuesta rápida y la correcta'] },
  { kind: 'time', forms: ['fault'], tails: [': encuentra la causa en {minutes} minutos'] },
  { kind: 'audience', forms: ['fault'], tails: [': guía para principiantes'] },
  { kind: 'mistake', forms: ['fault'], tails: [': prueba esto primero', ': la causa que casi nadie ve'] },
  { kind: 'year', forms: ['fault'], tails: [' ({year})'] },
  { kind: 'number', forms: ASKING, tails: ['? {n} puntos que lo deciden', '? {n} cosas que debes saber'] },
  { kind: 'question', forms: ASKING, tails: ['? La respuesta corta', '? Aquí está la respuesta'] },
  { kind: 'outcome', forms: ASKING, tails: ['? Una respuesta clara', '? Y qué puedes hacer'] },
  { kind: 'contrast', forms: ASKING, tails: ['? Lo que se dice y lo que es cierto'] },
  { kind: 'time', forms: ASKING, tails: ['? Explicado en {minutes} minutos'] },
  { kind: 'audience', forms: ASKING, tails: ['? Explicado para principiantes'] },
  { kind: 'mistake', forms: ASKING, tails: ['? Lo que casi nadie sabe', '? El error más común'] },
  { kind: 'year', forms: ASKING, tails: ['? ({year})'] },
  { kind: 'number', forms: NAMED, tails: [': {n} cosas que debes saber', ': {n} preguntas con respuesta'] },
  { kind: 'question', forms: NAMED, tails: [': ¿qué importa de verdad?', ': ¿vale la pena?'] },
  { kind: 'outcome', forms: NAMED, tails: [': explicación clara', ': todo lo que hay que saber'] },
  { kind: 'contrast', forms: NAMED, tails: [': mitos y verdades', ': lo que importa y lo que no'] },
  { kind: 'time', forms: NAMED, tails: [' en {minutes} minutos'] },
  { kind: 'audience', forms: NAMED, tails: [' para principiantes', ': guía para empezar'] },
  { kind: 'mistake', forms: NAMED, tails: [': el error más común', ': lo que casi nadie sabe'] },
  { kind: 'year', forms: NAMED, tails: [' ({year})', ' en {year}: ¿qué ha cambiado?'] },
  { kind: 'series', forms: [...DOING, ...NAMED, 'fault'], tails: [' | Parte {part}', ' (parte {part})'] },
  { kind: 'series', forms: ASKING, tails: ['? (parte {part})'] },
  { kind: 'brand', forms: [...DOING, ...NAMED, 'fault'], tails: [' | {brand}'] },
  { kind: 'brand', forms: ASKING, tails: ['? | {brand}'] },
]
