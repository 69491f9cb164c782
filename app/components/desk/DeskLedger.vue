<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Cover } from '../../../core/draft/cover'
import type { Question } from '../../../core/draft/check'
import type { FieldRange, Fix } from '../../../core/draft/draft'
import type { RuleSet } from '../../../core/draft/ruleset'
import type { Score } from '../../../core/draft/score'
import { leftOf as left, pointsText as figure, STATE_NAMES as STATES } from '~/composables/points'
import { useWorkspaceItems } from '~/stores/workspaceItems'

const props = defineProps<{
  score: Score | null
  problem: string
  cover: () => Promise<Cover>
  scoreUnder: (set: RuleSet) => Promise<Score>
}>()
const ruleSet = defineModel<string>('ruleSet', { required: true })
const emit = defineEmits<{ fix: [fix: Fix]; show: [range: FieldRange] }>()

const QUESTIONS: { id: Question; name: string; asks: string }[] = [
  { id: 'found', name: 'Found', asks: 'Can search match it?' },
  { id: 'chosen', name: 'Chosen', asks: 'Would a person pick it?' },
  { id: 'kept', name: 'Kept', asks: 'Does it promise what the video delivers?' },
  { id: 'sound', name: 'Sound', asks: 'Are limits and form right?' },
]
const groups = computed(() =>
  QUESTIONS.map(question => {
    const all = (props.score?.checks ?? []).filter(check => check.question === question.id)
    const checks = all.filter(check => check.state !== 'n/a').sort((a, b) => left(b) - left(a))
    const sum = (of: 'points' | 'outOf') => checks.reduce((total, check) => total + check[of], 0)
    return {
      ...question,
      checks,
      without: all.filter(check => check.state === 'n/a'),
      points: sum('points'),
      outOf: sum('outOf'),
    }
  }),
)
/** Points that only a lead phrase makes possible. */
const needLead = computed(() =>
  (props.score?.checks ?? []).filter(check => check.lacks === 'lead').reduce((total, check) => total + check.weight, 0),
)
const items = useWorkspaceItems()
const set = computed(() => items.ruleSetOf(ruleSet.value))
const editing = ref(false)
const open = computed(() => (props.score?.checks ?? []).filter(check => left(check) > 0.05))
</script>

<template>
  <section class="ledger" aria-label="Points ledger" data-test="ledger">
    <header>
      <div class="sum">
        <span class="figure won" data-test="points">{{ score ? figure(score.points) : '–' }}</span><span
          class="figure muted"
          >of {{ score ? Math.round(score.outOf) : '–' }} points</span
        >
        <v-spacer /><span v-if="score?.percent != null" class="figure" data-test="percent"
          >{{ Math.floor(score.percent + 1e-9) }} %</span
        >
      </div>
      <p v-if="needLead" class="small" data-test="need-lead">
        {{ figure(needLead) }} more points need a lead phrase. Choose one in the tray.
      </p>
      <div
        v-if="score?.percent != null"
        class="bar"
        role="img"
        :aria-label="`${Math.round(score.percent)} percent of the points`"
      >
        <span :style="{ width: `${score.percent}%` }" />
      </div>
      <v-select
        v-model="ruleSet"
        :items="items.ruleSets"
        item-title="name"
        item-value="id"
        label="Rule set"
        data-test="rule-set"
      />
      <p class="small muted">
        {{ set.note }}
        <button class="plain link" data-test="rules-open" @click="editing = true">See and change the rules</button>
      </p>
      <LazyDeskRules v-if="editing" v-model="editing" v-model:rule-set="ruleSet" :score-under="scoreUnder" />
      <p v-if="problem" class="small problem" role="alert">{{ problem }}</p>
    </header>
    <div class="scroll" tabindex="0" aria-label="Checks">
      <p v-if="score && !open.length && !needLead" class="done">
        All points of this rule set are earned. You can stop here.
      </p>
      <DeskBestNext v-else-if="score" :score="score" :cover="cover" @fix="emit('fix', $event)" />
      <section v-for="group in groups" :key="group.id">
        <h2>
          <span :title="group.asks">{{ group.name }}</span> <span class="asks small muted">{{ group.asks }}</span><span
            class="figure small"
            >{{ figure(group.points) }} / {{ Math.round(group.outOf) }}</span
          >
        </h2>
        <ul>
          <li
            v-for="check in group.checks"
            :key="check.id"
            :class="{ quiet: check.state === 'met' || check.state === 'n/a' }"
            :data-test="`check-${check.id}`"
            :data-state="check.state"
          >
            <DeskShape class="shape" :state="check.state" :label="STATES[check.state]" />
            <div>
              <button
                v-if="check.ranges.length"
                class="plain name"
                :title="`${check.why} Click to go there.`"
                @click="emit('show', check.ranges[0]!)"
              >
                {{ check.title }}
              </button>
              <span v-else class="name" :title="check.why">{{ check.title }}</span>
              <p class="small said">{{ check.message }}</p>
              <button
                v-for="fix in check.fixes"
                :key="fix.label"
                class="fix small"
                data-test="fix"
                @click="emit('fix', fix)"
              >
                {{ fix.label }}<span v-if="fix.gain" class="figure gain">+{{ figure(fix.gain) }}</span>
              </button>
            </div>
            <span class="figure small points" :title="`${check.points.toFixed(2)} of ${check.outOf} points`">{{
              left(check) > 0.05 ? `+${figure(left(check))}` : check.outOf ? figure(check.points) : ''
            }}</span>
          </li>
        </ul>
        <p v-if="group.without.length" class="small muted without" data-test="without">
          Does not apply:
          <template v-for="(check, i) in group.without" :key="check.id"
            ><template v-if="i">, </template
            ><span :title="check.message" :data-test="`check-${check.id}`" data-state="n/a">{{
              check.title
            }}</span></template
          >
        </p>
      </section>
      <DeskOwnRivals />
    </div>
  </section>
</template>

<style scoped>
.ledger {
  display: flex;
  flex-direction: column;
  min-height: 0;
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: 4px;
}
header {
  padding: 10px 14px;
  border-bottom: 1px solid var(--line);
  display: grid;
  gap: 8px;
}
.sum {
  display: flex;
  align-items: baseline;
  gap: 8px;
}
.won {
  font-size: 28px;
  line-height: 1;
  color: var(--teal);
}
.bar {
  height: 5px;
  background: color-mix(in srgb, var(--teal) 14%, var(--surface));
}
.bar span {
  display: block;
  height: 100%;
  background: var(--teal);
  transition: width 120ms;
}
.scroll {
  overflow: auto;
  min-height: 0;
  flex: 1;
  padding: 2px 14px 14px;
}
h2 {
  display: flex;
  align-items: baseline;
  gap: 8px;
  padding: 12px 0 4px;
  border-bottom: 1px solid var(--line);
}
.asks {
  flex: 1;
  font-weight: 400;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 18px 1fr auto;
  gap: 6px;
  padding: 7px 0;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
.shape {
  color: var(--teal);
  margin-top: 3px;
}
.quiet .shape {
  color: var(--muted);
}
.name {
  font-weight: 600;
}
.quiet .name {
  font-weight: 400;
}
.said {
  color: var(--muted);
  overflow-wrap: anywhere;
}
.points {
  color: var(--ink);
  padding-top: 1px;
}
.quiet .points {
  color: var(--muted);
}
.fix {
  border: 1px solid var(--teal);
  color: var(--teal);
  background: none;
  border-radius: 3px;
  padding: 2px 8px;
  margin: 4px 6px 0 0;
  cursor: pointer;
  font-family: inherit;
}
.fix:hover {
  background: color-mix(in srgb, var(--teal) 12%, transparent);
}
.without {
  padding: 7px 0;
}
.done {
  padding: 10px 0 0;
}
.problem {
  color: var(--plum);
}
.gain {
  margin-inline-start: 8px;
  color: var(--muted);
}
.link {
  color: var(--teal);
}
</style>
