import { CHECKS } from '../../../../core/draft/checks'
import { BALANCED, RULE_SETS, type RuleSet } from '../../../../core/draft/ruleset'
import {
  fraction,
  oneOf,
  ruleSetProblems,
  settingProblem,
  settingValues,
  wholeNumber,
} from '../../../../core/draft/settings'
import { ruleSetSchema } from '../../../../shared/check'

const set = (checks: RuleSet['checks']): RuleSet => ({ ...BALANCED, checks })

test('a number fits within its bounds, a whole one only without a part', () => {
  const most = wholeNumber('At most', 100, 1, 1000)
  expect([1, 100, 1000].map(value => settingProblem(most, value))).toEqual([null, null, null])
  for (const value of [0, 1001, 2.5, NaN, Infinity, '5', null, undefined])
    expect(settingProblem(most, value)).toBe('Enter a whole number from 1 to 1000.')
  expect(settingProblem(fraction('Share', 0.8), 0.5)).toBeNull()
  expect(settingProblem(fraction('Share', 0.8), 1.01)).toBe('Enter a number from 0 to 1.')
})

test('a choice fits when it is one of them', () => {
  const aim = oneOf('Aim', 'long', { long: 'a full title', short: 'a short title' })
  expect(settingProblem(aim, 'short')).toBeNull()
  for (const value of ['toString', 'Long', 5, null])
    expect(settingProblem(aim, value)).toBe('Choose one of long, short.')
})

test('every declared value fits its own setting, and every set that ships fits its checks', () => {
  for (const check of CHECKS)
    for (const setting of Object.values(check.settings)) expect(settingProblem(setting, setting.value)).toBeNull()
  for (const each of RULE_SETS) {
    expect(ruleSetProblems(CHECKS, each)).toEqual([])
    expect(ruleSetSchema.parse(each)).toEqual(each)
    expect(each.note).toMatch(/^For .*\.$/u)
    for (const id of Object.keys(each.checks)) expect(CHECKS.map(check => check.id)).toContain(id)
  }
})

test('what is given replaces what is declared, and nothing else comes in', () => {
  const settings = { least: wholeNumber('At least', 8, 0, 500), most: wholeNumber('At most', 30, 1, 500) }
  expect(settingValues(settings, { most: 12, other: 'x' })).toEqual({ least: 8, most: 12 })
})

test('wrong settings are named with their check; a check nobody knows is no fault', () => {
  const given = set({
    'title-width': { weight: 1, settings: { aim: 'wide', least: -1, most: 60 } },
    'tag-count': { weight: 1, settings: { colour: 'red' } },
    'of-tomorrow': { weight: 1, settings: { any: 'thing' } },
  })
  expect(ruleSetProblems(CHECKS, given)).toEqual([
    { check: 'tag-count', setting: 'colour', problem: 'This check has no such setting. It has: least, most.' },
    { check: 'title-width', setting: 'aim', problem: 'Choose one of long, short.' },
    { check: 'title-width', setting: 'least', problem: 'Enter a whole number from 0 to 1000.' },
  ])
  const { success, error } = ruleSetSchema.safeParse(given)
  expect(success).toBe(false)
  expect(error!.issues[0]).toMatchObject({ path: ['checks', 'tag-count', 'settings', 'colour'] })
})
