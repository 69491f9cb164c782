import { CHECKS } from '../../../../core/draft/checks'
import { BALANCED, RULE_SETS } from '../../../../core/draft/ruleset'
import { readRuleSet, writeRuleSet } from '../../../../core/draft/ruleSetFile'
import { FileFault } from '../../../../core/formats/jsonFile'

const faultsOf = (text: string) => {
  try {
    readRuleSet(text)
  } catch (error) {
    expect(error).toBeInstanceOf(FileFault)
    return (error as FileFault).lines
  }
  return []
}

test('what is written is read again, with the versions of its checks', () => {
  for (const { name, note, checks, ...set } of RULE_SETS) {
    const text = writeRuleSet({ ...set, name, note, checks })
    expect(readRuleSet(text)).toEqual({ set: { name, note, checks }, unknown: [], changed: [] })
    expect(JSON.parse(text)).toMatchObject({ format: 1, versions: { 'title-lead': 1 } })
  }
})

test('a check that is not known is left out, one that changed since is told', () => {
  const { version } = CHECKS.find(each => each.id === 'title-lead')!
  const text = JSON.stringify({
    ...BALANCED,
    checks: { 'title-lead': { weight: 5 }, 'of-tomorrow': { weight: 3 } },
    versions: { 'title-lead': version + 1, 'of-tomorrow': 1 },
  })
  expect(readRuleSet(text)).toEqual({
    set: { name: BALANCED.name, note: BALANCED.note, checks: { 'title-lead': { weight: 5 } } },
    unknown: ['of-tomorrow'],
    changed: ['title-lead'],
  })
})

test('what is none, of another format, or out of bounds is refused, each fault with its line', () => {
  expect(faultsOf('{')[0]).toMatch(/^This is not JSON: /u)
  expect(faultsOf('[]')).toHaveLength(1)
  expect(faultsOf('{\n"format": 2, "id": "a", "name": "b", "checks": {}\n}')).toEqual([
    'Line 2, format: This rule set has an unknown format.',
  ])
  const text = writeRuleSet({
    ...BALANCED,
    checks: { 'title-lead': { weight: -1 }, 'title-width': { weight: 1, settings: { aim: 'wide' } } },
  })
  expect(faultsOf(text)[0]).toMatch(/^Line \d+, checks › title-lead › weight: A weight is 0 or more\.$/u)
  expect(faultsOf(text.replace('-1', '1'))[0]).toMatch(
    /^Line \d+, checks › title-width › settings › aim: Choose one of/u,
  )
})
