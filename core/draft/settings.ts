import type { RuleSet } from './ruleset'

/** A threshold of a check that is a number within bounds. */
export interface NumberSetting {
  kind: 'number'
  label: string
  value: number
  least: number
  most: number
  /** Whether only whole numbers fit. */
  whole: boolean
}

/** A threshold of a check that is one of some choices, each with what it is called. */
export interface ChoiceSetting<Choice extends string = string> {
  kind: 'choice'
  label: string
  value: Choice
  choices: Record<Choice, string>
}

export type Setting = NumberSetting | ChoiceSetting

/** What a check is run with: a value for each of its settings. */
export type SettingValues<Settings extends Record<string, Setting>> = {
  [Name in keyof Settings]: Settings[Name] extends ChoiceSetting<infer Choice> ? Choice : number
}

/** A whole number within bounds. */
export const wholeNumber = (label: string, value: number, least: number, most: number): NumberSetting => ({
  kind: 'number',
  label,
  value,
  least,
  most,
  whole: true,
})

/** A part of a whole, 0 to 1. */
export const fraction = (label: string, value: number): NumberSetting => ({
  kind: 'number',
  label,
  value,
  least: 0,
  most: 1,
  whole: false,
})

/** One of some choices. */
export const oneOf = <Choice extends string>(
  label: string,
  value: NoInfer<Choice>,
  choices: Record<Choice, string>,
): ChoiceSetting<Choice> => ({ kind: 'choice', label, value, choices })

/** Why a value does not fit a setting; `null` where it does. */
export function settingProblem(setting: Setting, value: unknown): string | null {
  if (setting.kind === 'choice') {
    if (typeof value === 'string' && Object.hasOwn(setting.choices, value)) return null
    return `Choose one of ${Object.keys(setting.choices).join(', ')}.`
  }
  const { least, most, whole } = setting
  const fits = typeof value === 'number' && value >= least && value <= most && (!whole || Number.isInteger(value))
  return fits ? null : `Enter a ${whole ? 'whole number' : 'number'} from ${least} to ${most}.`
}

/** The values of all settings, as declared where nothing else is given. */
export function settingValues<Settings extends Record<string, Setting>>(
  settings: Settings,
  given: Record<string, string | number> = {},
): SettingValues<Settings> {
  const values = Object.entries(settings).map(([name, { value }]) => [name, given[name] ?? value])
  return Object.fromEntries(values) as SettingValues<Settings>
}

/**
 * What is wrong with the settings of a rule set, each with where. A check that nobody knows is no fault: the set may be
 * another version's.
 */
export function ruleSetProblems(
  checks: readonly { id: string; settings: Record<string, Setting> }[],
  given: Pick<RuleSet, 'checks'>,
): { check: string; setting: string; problem: string }[] {
  const problems: { check: string; setting: string; problem: string }[] = []
  for (const { id, settings } of checks) {
    for (const [name, value] of Object.entries(given.checks[id]?.settings ?? {})) {
      const setting = Object.hasOwn(settings, name) ? settings[name] : undefined
      const names = Object.keys(settings).join(', ') || 'none'
      const problem = setting ? settingProblem(setting, value) : `This check has no such setting. It has: ${names}.`
      if (problem) problems.push({ check: id, setting: name, problem })
    }
  }
  return problems
}
