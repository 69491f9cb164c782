import { shorterSeeds, splitSeeds } from '../../../../core/demand/seeds'

test.each([
  ['bike chain', ['bike chain']],
  ['bike chain, flat tyre\nsqueaky  brakes;bike bell', ['bike chain', 'flat tyre', 'squeaky brakes', 'bike bell']],
  ['チェーン、ブレーキ', ['チェーン', 'ブレーキ']],
  ['1,5 mm hex key, 10,000 km', ['1,5 mm hex key', '10,000 km']],
  [' , ; --- ,', []],
  ['Bike Chain, bike  chain', ['bike  chain'.replace('  ', ' ')]],
])('the seeds in %j', (text, seeds) => {
  expect(splitSeeds(text)).toEqual(seeds)
})

test.each([
  ['squeaky disc brakes', ['disc brakes', 'squeaky brakes', 'squeaky disc']],
  ['tyre to tyre', ['to tyre', 'tyre tyre', 'tyre to']],
  ['bike chain', []],
  ['one two three four five six seven eight nine', []],
])('wider seeds for %j', (seed, wider) => {
  expect(shorterSeeds(seed)).toEqual(wider)
})
