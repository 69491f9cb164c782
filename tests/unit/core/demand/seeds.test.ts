import { splitSeeds } from '../../../../core/demand/seeds'

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
