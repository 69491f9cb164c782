import { part, type Part } from './trade'

const ROAD = ['road bike', 'gravel bike', 'touring bike']

/** What is fitted to bicycles, carried on them and used on them. Makers are invented. */
export const fittings: Part[] = [
  part('tyre sealant', 6, 'install clean', {
    mass: true,
    buy: true,
    made: true,
    growth: 0.15,
    on: ['mountain bike', 'gravel bike'],
  }),
  part('hub', 6, 'service adjust replace', { faults: ['loose', 'clicking', 'noisy'], kinds: ['front', 'rear'] }),
  part('dynamo hub', 3, 'install service', {
    buy: true,
    growth: 0.12,
    on: ['touring bike', 'cargo bike'],
    against: ['battery lights'],
  }),
  part('suspension fork', 9, 'service adjust clean upgrade', {
    faults: ['oily', 'stuck', 'creaking'],
    buy: true,
    made: true,
    growth: 0.06,
    on: ['mountain bike', 'electric bike'],
  }),
  part('fork', 6, 'service replace measure', { faults: ['oily', 'creaking'], on: ['mountain bike'] }),
  part('rear shock', 5, 'service adjust rebuild', {
    faults: ['oily', 'creaking'],
    buy: true,
    made: true,
    on: ['mountain bike', 'electric bike'],
  }),
  part('mudguards', 10, 'install fit adjust', {
    mass: true,
    faults: ['touching', 'loose'],
    buy: true,
    made: true,
    peak: 10,
    swing: 0.8,
  }),
  part('pannier rack', 6, 'install fit', {
    buy: true,
    made: true,
    on: ['touring bike', 'gravel bike', 'electric bike'],
    against: ['bikepacking bags'],
  }),
  part('bike lights', 18, 'install charge fix', { mass: true, buy: true, made: true, peak: 10, swing: 0.9 }),
  part('bike frame', 14, 'paint clean measure straighten', {
    plain: true,
    faults: ['creaking', 'bent', 'rusty'],
    buy: true,
    sized: true,
  }),
  part('electric bike battery', 14, 'charge replace store rebuild', {
    faults: ['dead'],
    buy: true,
    growth: 0.35,
    on: [],
  }),
  part('electric bike motor', 9, 'service fix replace', {
    faults: ['noisy', 'clicking'],
    growth: 0.3,
    on: [],
    against: ['hub motor'],
  }),
  part('kick stand', 5, 'install adjust', {
    faults: ['loose'],
    buy: true,
    on: ['electric bike', 'touring bike', 'kids bike'],
  }),
  part('training wheels', 9, 'install remove adjust', {
    plain: true,
    mass: true,
    faults: ['loose'],
    peak: 11,
    swing: 0.55,
    on: [],
    against: ['balance bike'],
  }),
  part('bike bell', 5, 'install fix', { plain: true, buy: true, on: [] }),
  part('bike computer', 6, 'install fix', { buy: true, made: true, growth: -0.12, on: [] }),
  part('cleats', 7, 'install adjust replace', { mass: true, faults: ['loose', 'squeaking'], on: ROAD, buy: true }),
  part('bike pump', 14, 'fix', { buy: true, made: true, on: [], faults: ['leaking'] }),
  part('torque wrench', 7, '', { buy: true, on: [] }),
  part('bike rack', 15, 'install', { buy: true, on: ['electric bike', 'mountain bike'], faults: ['loose'] }),
  part('bike lock', 14, 'remove fix', { plain: true, buy: true, made: true, faults: ['stuck'], on: [] }),
  part('bike helmet', 22, 'adjust fit clean', { plain: true, worn: true, buy: true, sized: true, on: [], peak: 4 }),
]
