import { fileNameFor, filesByName } from '../../../../core/draft/fileName'

test('a file is named after a phrase and keeps its ending', () => {
  expect(fileNameFor('Clean a bike chain', 'IMG_2041.MOV', 'en')).toBe('clean-a-bike-chain.MOV')
  expect(fileNameFor('Kettenöl & Wachs?', '', 'de')).toBe('kettenöl-wachs.mp4')
})

test('files go to the briefs they are named after, whatever parts their words', () => {
  const names = ['true-a-wheel.mp4', 'clean-a-chain.mp4', '', 'fix-a-flat.mp4', 'fix-a-flat.mp4']
  const files = ['Clean a chain.MOV', 'other.mp4', 'true_a_wheel.webm', 'Fix a flat.mp4']
  // What would do for two, or could be either of two, is a question and no answer.
  expect(filesByName(names, files)).toEqual([2, 0, null, null, null])
  expect(filesByName(['true-a-wheel.mp4'], ['true a wheel.mp4', 'True-A-Wheel.mov'])).toEqual([null])
  expect(filesByName([''], ['.mp4'])).toEqual([null])
})
