<script setup lang="ts">
import { computed } from 'vue'
import type { Cover } from '../../../core/draft/cover'
import type { FieldRange, Fix } from '../../../core/draft/draft'
import type { RuleSet } from '../../../core/draft/ruleset'
import type { Score } from '../../../core/draft/score'
import { leftOf as left, pointsText as figure } from '~/composables/points'
import { useRulesPlace } from '~/composables/rulesPlace'
import { useWorkspaceItems } from '~/stores/workspaceItems'

const props = defineProps<{
  score: Score | null
  problem: string
  cover: () => Promise<Cover>
  scoreUnder: (set: RuleSet) => Promise<Score>
}>()
const ruleSet = defineModel<string>('ruleSet', { required: true })
const emit = defineEmits<{ fix: [fix: Fix]; show: [range: FieldRange] }>()

/** Points that only a lead phrase makes possible. */
const needLead = computed(() =>
  (props.score?.checks ?? []).filter(check => check.lacks === 'lead').reduce((total, check) => total + check.weight, 0),
)
const items = useWorkspaceItems()
const set = computed(() => items.ruleSetOf(ruleSet.value))
const { at: rules, turn: turnRules } = useRulesPlace()
const open = computed(() => (props.score?.checks ?? []).filter(check => left(check) > 0.05))
</script>

<template>
  <section class="ledger" aria-label="Points ledger" data-test="ledger">
    <header>
      <DeskPoints :score="score" />
      <p v-if="needLead" class="small" data-test="need-lead">
        {{ figure(needLead) }} more points need a lead phrase. Choose one in the tray.
      </p>
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
        <button class="plain link" data-test="rules-open" @click="turnRules({ set: ruleSet }, true)">
          See and change the rules
        </button>
      </p>
      <LazyDeskRules
        v-if="rules"
        v-model:rule-set="ruleSet"
        :at="rules"
        :score-under="scoreUnder"
        @turn="turnRules($event)"
      />
      <p v-if="problem" class="small problem" role="alert">{{ problem }}</p>
    </header>
    <div class="scroll" tabindex="0" aria-label="Checks">
      <p v-if="score && !open.length && !needLead" class="done">
        All points of this rule set are earned. You can stop here.
      </p>
      <DeskBestNext
        v-else-if="score"
        :score="score"
        :cover="cover"
        @fix="emit('fix', $event)"
        @show="emit('show', $event)"
      />
      <DeskChecks :score="score" @fix="emit('fix', $event)" @show="emit('show', $event)" />
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
.scroll {
  overflow: auto;
  min-height: 0;
  flex: 1;
  padding: 2px 14px 14px;
}
.done {
  padding: 10px 0 0;
}
.problem {
  color: var(--plum);
}
.link {
  color: var(--teal);
}
</style>
