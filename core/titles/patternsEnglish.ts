import type { Pattern } from './pattern'

const DOING = ['way', 'task'] as const
const ASKING = ['question', 'reason'] as const

/** What English titles add to a phrase. None states a fact that only the maker of the video could know. */
export const ENGLISH: readonly Pattern[] = [
  // Something is done.
  { kind: 'number', forms: DOING, tails: [': {n} mistakes to avoid', ' in {n} steps', ': {n} things to check first'] },
  { kind: 'number', forms: DOING, tails: [': {n} tips that save time', ': the {n} steps that matter'] },
  { kind: 'question', forms: DOING, tails: [': are you doing it right?', ': where do most people go wrong?'] },
  { kind: 'question', forms: DOING, tails: [': what should you know first?', ': what do you really need?'] },
  { kind: 'outcome', forms: DOING, tails: [' and get it right the first time', ', done properly', ' with confidence'] },
  { kind: 'outcome', forms: DOING, tails: [': every step shown', ': from start to finish', ', slowly and clearly'] },
  {
    kind: 'contrast',
    forms: DOING,
    tails: [': the quick way and the right way', ': the short way and the thorough way'],
  },
  { kind: 'contrast', forms: DOING, tails: [': what works and what does not', ': the easy way and the hard way'] },
  { kind: 'time', forms: DOING, tails: [' in {minutes} minutes', ': the {minutes} minute version'] },
  { kind: 'audience', forms: DOING, tails: [' for beginners', ' if you have never done it before'] },
  { kind: 'mistake', forms: DOING, tails: [': the mistake almost everyone makes', ': what not to do'] },
  { kind: 'mistake', forms: DOING, tails: [': stop doing it this way', ': why it goes wrong'] },
  { kind: 'year', forms: DOING, tails: [' ({year})', ' in {year}', ' ({year} guide)'] },
  // Something is wrong.
  { kind: 'number', forms: ['fault'], tails: ['? {n} causes and what to do', ': {n} things to check first'] },
  {
    kind: 'question',
    forms: ['fault'],
    tails: ['? Check this first', ': what is the cause?', '? Here is where to look'],
  },
  { kind: 'outcome', forms: ['fault'], tails: [': find the cause and fix it', ': how to fix it for good'] },
  { kind: 'outcome', forms: ['fault'], tails: ['? How to find out why', ': from symptom to cure'] },
  {
    kind: 'contrast',
    forms: ['fault'],
    tails: [': what helps and what does not', ': the quick answer and the right one'],
  },
  { kind: 'time', forms: ['fault'], tails: [': find the cause in {minutes} minutes', ': the {minutes} minute check'] },
  { kind: 'audience', forms: ['fault'], tails: [': a guide for beginners', '? A beginner’s guide'] },
  { kind: 'mistake', forms: ['fault'], tails: [': the cause most people miss', '? What not to do first'] },
  { kind: 'mistake', forms: ['fault'], tails: ['? Try this before anything else', ': do not make it worse'] },
  { kind: 'year', forms: ['fault'], tails: [' ({year} guide)', ' ({year})'] },
  // Something is asked.
  { kind: 'number', forms: ['reason'], tails: ['? {n} causes', '? {n} reasons, one after the other'] },
  { kind: 'number', forms: ['question'], tails: ['? {n} things to know', '? {n} points that decide it'] },
  { kind: 'question', forms: ASKING, tails: ['? The short answer', '? Here is the answer'] },
  { kind: 'question', forms: ASKING, tails: ['? Let us find out', '? And what can you do about it?'] },
  { kind: 'outcome', forms: ['reason'], tails: ['? And how to stop it', '? Find the cause, then fix it'] },
  { kind: 'outcome', forms: ['question'], tails: ['? A clear answer', '? Everything you need to decide'] },
  {
    kind: 'contrast',
    forms: ASKING,
    tails: ['? What people say and what is true', '? The easy answer and the right one'],
  },
  { kind: 'time', forms: ASKING, tails: ['? Answered in {minutes} minutes', '? Explained in {minutes} minutes'] },
  { kind: 'audience', forms: ASKING, tails: ['? Explained for beginners', '? A plain explanation'] },
  { kind: 'mistake', forms: ASKING, tails: ['? What most people get wrong', '? The answer most people miss'] },
  { kind: 'year', forms: ASKING, tails: ['? ({year})', '? The answer in {year}'] },
  // Something is chosen.
  { kind: 'number', forms: ['choice'], tails: [': {n} compared', ': {n} things to look at before you buy'] },
  { kind: 'question', forms: ['choice'], tails: [': what is worth the money?', ': which one would I buy?'] },
  { kind: 'outcome', forms: ['choice'], tails: [': how to choose the right one', ': an honest look'] },
  { kind: 'contrast', forms: ['choice'], tails: [': cheap or dear?', ': good and not so good'] },
  { kind: 'time', forms: ['choice'], tails: [': your {minutes} minute guide', ' in {minutes} minutes'] },
  { kind: 'audience', forms: ['choice'], tails: [': a guide for beginners', ': what beginners should know'] },
  { kind: 'mistake', forms: ['choice'], tails: [': do not buy before you see this', ': the mistake that costs most'] },
  { kind: 'year', forms: ['choice'], tails: [' ({year})', ' in {year}'] },
  // Two things are compared.
  { kind: 'number', forms: ['versus'], tails: [': {n} differences that matter', ': {n} points compared'] },
  { kind: 'question', forms: ['versus'], tails: [': which one is right for you?', ': does it matter?'] },
  { kind: 'outcome', forms: ['versus'], tails: [': a clear answer', ': how to decide'] },
  { kind: 'contrast', forms: ['versus'], tails: [': what each does better', ': where each one wins'] },
  { kind: 'time', forms: ['versus'], tails: [' in {minutes} minutes', ': compared in {minutes} minutes'] },
  { kind: 'audience', forms: ['versus'], tails: [', explained for beginners', ': a guide for beginners'] },
  { kind: 'mistake', forms: ['versus'], tails: [': what most people get wrong', ': do not choose by price alone'] },
  { kind: 'year', forms: ['versus'], tails: [' ({year})', ' in {year}'] },
  // Something is offered at a place.
  { kind: 'number', forms: ['place'], tails: [': {n} things to ask first', ': {n} questions answered'] },
  {
    kind: 'question',
    forms: ['place'],
    tails: [': what does it cost?', ': how does it work?', ': how long does it take?'],
  },
  { kind: 'outcome', forms: ['place'], tails: [': from the first call to the bill', ': what you get for your money'] },
  { kind: 'contrast', forms: ['place'], tails: [': what is included and what is not', ': quick or thorough?'] },
  { kind: 'time', forms: ['place'], tails: [' in {minutes} minutes', ': the {minutes} minute tour'] },
  { kind: 'audience', forms: ['place'], tails: [': if you come for the first time', ': what newcomers should know'] },
  { kind: 'mistake', forms: ['place'], tails: [': before you book', ': what to check before you pay'] },
  { kind: 'year', forms: ['place'], tails: [' ({year})', ' in {year}'] },
  // A thing.
  { kind: 'number', forms: ['thing'], tails: [': {n} things to know', ': {n} questions answered'] },
  { kind: 'number', forms: ['thing'], tails: [': {n} tips that help', ': {n} myths and what is true'] },
  { kind: 'question', forms: ['thing'], tails: [': what really matters?', ': where do you begin?'] },
  { kind: 'outcome', forms: ['thing'], tails: [' explained clearly', ': everything you need to know'] },
  { kind: 'outcome', forms: ['thing'], tails: [': a plain guide', ', step by step'] },
  { kind: 'contrast', forms: ['thing'], tails: [': myths and facts', ': what matters and what does not'] },
  { kind: 'time', forms: ['thing'], tails: [' explained in {minutes} minutes', ' in {minutes} minutes'] },
  { kind: 'audience', forms: ['thing'], tails: [' for beginners', ': a guide for beginners'] },
  { kind: 'mistake', forms: ['thing'], tails: [': the mistake almost everyone makes', ': what most people get wrong'] },
  { kind: 'year', forms: ['thing'], tails: [' ({year})', ' in {year}: what has changed?'] },
  // Any of them.
  {
    kind: 'series',
    forms: [...DOING, 'fault', 'choice', 'versus', 'place', 'thing'],
    tails: [' | Part {part}', ' (part {part})', ' #{part}'],
  },
  { kind: 'series', forms: ASKING, tails: ['? | Part {part}', '? (part {part})'] },
  { kind: 'brand', forms: [...DOING, 'fault', 'choice', 'versus', 'place', 'thing'], tails: [' | {brand}'] },
  { kind: 'brand', forms: ASKING, tails: ['? | {brand}'] },
]
