import { plannedStanding } from '../../../../core/ranks/plannedChange'

const PLAN = { madeOn: 100, day: 110, weeks: 2 }

test('it waits for its day, and is due from then on', () => {
  expect(plannedStanding(PLAN, [], 109)).toEqual({ state: 'waiting', changedOn: null, answerOn: null })
  expect(plannedStanding(PLAN, [], 110).state).toBe('due')
  expect(plannedStanding(PLAN, [], 400).state).toBe('due')
})

test('changes from before it was planned are not meant', () => {
  expect(plannedStanding(PLAN, [40, 99], 112)).toMatchObject({ state: 'due', changedOn: null })
})

test('made early or late, it is judged when its whole weeks are over, today not counted', () => {
  expect(plannedStanding(PLAN, [99, 105, 130], 106)).toEqual({ state: 'running', changedOn: 105, answerOn: 120 })
  expect(plannedStanding(PLAN, [105], 119).state).toBe('running')
  expect(plannedStanding(PLAN, [105], 120).state).toBe('over')
  expect(plannedStanding(PLAN, [100], 100)).toMatchObject({ state: 'running', changedOn: 100 })
  expect(plannedStanding(PLAN, [130], 144)).toEqual({ state: 'running', changedOn: 130, answerOn: 145 })
})
