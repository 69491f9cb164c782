<script setup lang="ts">
import { computed } from 'vue'
import { CHECKS } from '../../../../core/draft/checks'
import type { Question } from '../../../../core/draft/check'
import type { RuleSet } from '../../../../core/draft/ruleset'
import type { Score } from '../../../../core/draft/score'
import type { CheckEvidence } from '../../../../core/evidence/evidence'
import { settingProblem, type Setting } from '../../../../core/draft/settings'
import { pointsText, STATE_NAMES } from '~/composables/points'
import { useNotices } from '~/stores/notices'

/** Every check with its weight and thresholds under a set, and what it gives the open text. */
const set = defineModel<RuleSet>({ required: true })
const props = defineProps<{
  /** Whether it can only be read. */
  fixed: boolean
  score: Score | null
  /** A second set, to compare with. */
  other: RuleSet | null
  otherScore: Score | null
  /** What the pages kept say of each check; empty where nothing was worked out. */
  evidence: readonly CheckEvidence[]
}>()
const evidenceOf = computed(() => new Map(props.evidence.map(each => [each.id, each])))
const notices = useNotices()
const NAMES: Record<Question, string> = { found: 'Found', chosen: 'Chosen', kept: 'Kept', sound: 'Sound' }
const groups = computed(() =>
  (Object.keys(NAMES) as Question[]).map(question => ({
    question,
    name: NAMES[question],
    checks: CHECKS.filter(check => check.question === question),
  })),
)
const weightOf = (id: string) => set.value.checks[id]?.weight ?? 0
const told = (score: Score | null, id: string) => score?.checks.find(each => each.id === id) ?? null
const points = (score: Score | null, id: string) => {
  const found = told(score, id)
  return found?.outOf ? `${pointsText(found.points)} of ${pointsText(found.outOf)}` : '–'
}
function setWeight(id: string, typed: string) {
  const weight = Number(typed.replace(',', '.'))
  if (!typed.trim() || !Number.isFinite(weight) || weight < 0 || weight > 1000)
    return notices.show('A weight is a number from 0 to 1,000; 0 leaves the check out.', { serious: true })
  set.value = { ...set.value, checks: { ...set.value.checks, [id]: { ...set.value.checks[id], weight } } }
}
const valueOf = (id: string, name: string, setting: Setting) => set.value.checks[id]?.settings?.[name] ?? setting.value
function setSetting(id: string, name: string, setting: Setting, given: string) {
  const value = setting.kind === 'number' ? Number(given.replace(',', '.')) : given
  const problem = settingProblem(setting, value)
  if (problem) return notices.show(problem, { serious: true })
  const rule = set.value.checks[id] ?? { weight: 0 }
  set.value = {
    ...set.value,
    checks: { ...set.value.checks, [id]: { ...rule, settings: { ...rule.settings, [name]: value } } },
  }
}
const choices = (setting: Setting) => (setting.kind === 'choice' ? Object.entries(setting.choices) : [])
</script>

<template>
  <table aria-label="Checks">
    <template v-for="group in groups" :key="group.question">
      <thead>
        <tr>
          <th scope="col" class="name">{{ group.name }}</th>
          <th scope="col">Weight</th>
          <th v-if="other" scope="col" :title="`Weight in “${other.name}”`">{{ other.name }}</th>
          <th scope="col">This text</th>
          <th v-if="other" scope="col" :title="`This text under “${other.name}”`">{{ other.name }}</th>
          <th v-if="evidence.length" scope="col" class="evidence">On the pages kept</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="check in group.checks"
          :key="check.id"
          :class="{ out: !weightOf(check.id) }"
          :data-test="`rule-${check.id}`"
        >
          <td class="name">
            <span :title="check.why">{{ check.title }}</span>
            <span v-if="Object.keys(check.settings).length" class="settings small">
              <label v-for="(setting, name) in check.settings" :key="name"
                >{{ setting.label }}
                <select
                  v-if="setting.kind === 'choice'"
                  :value="valueOf(check.id, String(name), setting)"
                  :disabled="fixed"
                  @change="setSetting(check.id, String(name), setting, ($event.target as HTMLSelectElement).value)"
                >
                  <option v-for="[value, words] in choices(setting)" :key="value" :value="value">
                    {{ words }}
                  </option></select
                ><ShellTyped
                  v-else
                  class="figure"
                  :value="String(valueOf(check.id, String(name), setting))"
                  :disabled="fixed"
                  size="5"
                  @typed="setSetting(check.id, String(name), setting, $event)"
              /></label>
            </span>
          </td>
          <td>
            <ShellTyped
              class="figure weight"
              :value="String(weightOf(check.id))"
              :disabled="fixed"
              size="4"
              inputmode="decimal"
              :aria-label="`Weight of ${check.title}`"
              @typed="setWeight(check.id, $event)"
            />
          </td>
          <td v-if="other" class="figure muted">{{ props.other!.checks[check.id]?.weight ?? 0 }}</td>
          <td class="figure" :title="told(score, check.id)?.message">
            <ShellShape
              v-if="told(score, check.id)"
              class="shape"
              :state="told(score, check.id)!.state"
              :label="STATE_NAMES[told(score, check.id)!.state]"
            />
            {{ points(score, check.id) }}
          </td>
          <td v-if="other" class="figure muted">{{ points(otherScore, check.id) }}</td>
          <td v-if="evidence.length">
            <DeskRulesInterval v-if="evidenceOf.get(check.id)" :evidence="evidenceOf.get(check.id)!" />
          </td>
        </tr>
      </tbody>
    </template>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  font-size: 12px;
  color: var(--muted);
  text-align: end;
  padding: 8px 6px 2px;
  border-bottom: 1px solid var(--line);
}
td {
  text-align: end;
  padding: 3px 6px;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
  white-space: nowrap;
  font-size: 13px;
}
.name {
  text-align: start;
  white-space: normal;
}
th.evidence {
  text-align: start;
}
.settings {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  color: var(--muted);
}
.out {
  color: var(--muted);
}
input {
  border: 0;
  border-bottom: 1px solid var(--line);
  background: var(--surface);
  color: var(--ink);
  font: inherit;
  min-height: 24px;
}
input.figure {
  font-family: var(--mono);
  text-align: end;
}
input:disabled,
select:disabled {
  border-bottom-color: transparent;
  opacity: 1;
}
.shape {
  color: var(--teal);
  vertical-align: -2px;
}
</style>
