<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { EDITED } from '../../../core/draft/manyEdit'
import { COMPARED } from '../../../core/ranks/sides'
import { LEAST_PAIRS, TRIAL_WEEKS } from '../../../core/ranks/trial'
import { inDigits } from '../../../core/text/inWords'
import { now } from '~/composables/clock'
import { COMPARED_NAMES, timesText } from '~/composables/comparedWords'
import { counted, UNKNOWN } from '~/composables/figures'
import { checkTitle } from '~/composables/manyEditWords'
import { trialSaid } from '~/composables/trialWords'
import { useTrials } from '~/stores/trials'

/** Does it matter on my channel? Questions that can be tried, and the trials that were begun. */
const trials = useTrials()
const route = useRoute()
const address = useAddress()
onBeforeUnmount(trials.follow())
/** When the next wave is due is seen without loading anew. */
const NOW_EVERY = 20_000
const at = ref(now())
const { pause } = useIntervalFn(() => {
  at.value = now()
}, NOW_EVERY)
onBeforeUnmount(pause)
watch(
  () => trials.made.answer,
  () => {
    at.value = now()
  },
)
const OUTCOMES = COMPARED.map(value => ({ value, title: COMPARED_NAMES[value] }))
const WEEKS = Array.from({ length: TRIAL_WEEKS.most - TRIAL_WEEKS.least + 1 }, (_, i) => ({
  value: TRIAL_WEEKS.least + i,
  title: counted(TRIAL_WEEKS.least + i, 'week'),
}))
const HEADERS = [
  { key: 'check', title: 'Does it matter?', value: ({ check }: { check: string }) => checkTitle(check) },
  { key: 'videos', title: 'Videos', align: 'end', width: 80 },
  { key: 'visible', title: 'Would show', align: 'end', width: 124, nowrap: true },
] as const
const FIELDS = { title: 'Title', description: 'Description', tags: 'Tags' } as const
watch(
  [() => route.query.check, () => route.query.field],
  ([check, field]) => {
    const of = EDITED.find(each => each === field)
    trials.of = typeof check === 'string' && check && of ? { check, field: of } : null
  },
  { immediate: true },
)
const list = computed(() => trials.made.answer?.trials ?? [])
const shown = computed(() => list.value.find(({ id }) => id === route.query.trial) ?? null)
const isOf = (each: { check: string; field: string }) =>
  each.check === trials.of?.check && each.field === trials.of.field
const choose = (each: { check: string; field: string }) =>
  address({ check: each.check, field: each.field, trial: undefined })
const visibleSaid = (visible: number | null) =>
  visible === null
    ? `Fewer than ${LEAST_PAIRS} pairs tell nothing`
    : `A change of ${timesText(visible)} times or more would show in four trials of five; a smaller one may stay unseen`
async function start() {
  const id = await trials.start()
  if (id) await address({ trial: id, check: undefined, field: undefined })
}
</script>

<template>
  <div class="both">
    <section class="sheet part ask" aria-labelledby="trial-ask">
      <h2 id="trial-ask">Try it on your videos</h2>
      <p class="small muted">
        Some videos are changed, drawn by lot, and others much like them are not. After the weeks set both are compared.
      </p>
      <div class="terms">
        <v-select
          v-model="trials.terms.outcome"
          :items="OUTCOMES"
          label="Compared"
          density="compact"
          variant="outlined"
          hide-details
          data-test="trial-outcome"
        />
        <v-select
          v-model="trials.terms.weeks"
          :items="WEEKS"
          label="For"
          density="compact"
          variant="outlined"
          hide-details
          data-test="trial-weeks"
        />
        <ShellRuleSet v-model="trials.terms.ruleSet" data-test="trial-set" />
      </div>
      <p v-if="trials.asksFigures" class="small muted" role="status">Asking for the figures of your videos…</p>
      <p v-else-if="trials.notAsked" class="small" role="alert">Figures are not up to date. {{ trials.notAsked }}</p>
      <ShellFailed
        v-if="trials.questions.problem"
        :problem="trials.questions.problem"
        @again="trials.questions.load()"
      />
      <template v-else-if="!trials.questions.answer">
        <p class="small muted" role="status">Looking at what your videos could be changed in…</p>
        <v-skeleton-loader type="table-row@4" />
      </template>
      <div v-else-if="!trials.questions.answer.questions.length" class="small none" data-test="trials-empty">
        <p v-if="trials.questions.answer.videos">
          Nothing can be tried yet. Of {{ counted(trials.questions.answer.videos, 'video') }}
          {{ inDigits(trials.questions.answer.ready) }} are old enough and known well enough: see their figures under
          Views, or import them.
        </p>
        <ShellChooseChannel v-else />
      </div>
      <template v-else>
        <p class="small muted" data-test="trial-ready">
          {{ inDigits(trials.questions.answer.ready) }} of {{ counted(trials.questions.answer.videos, 'video') }} can
          take part: old enough, days known, in no other trial, not changed lately.
        </p>
        <ShellTable
          :headers="HEADERS"
          :items="trials.questions.answer.questions"
          density="compact"
          fixed-header
          class="table"
          tabindex="0"
          aria-label="What can be tried"
        >
          <template #[`item.check`]="{ item }"
            ><button
              class="plain link name"
              :aria-pressed="isOf(item)"
              data-test="trial-question"
              @click="choose(item)"
            >
              {{ checkTitle(item.check) }}</button
            ><span class="small muted of">{{ FIELDS[item.field] }}</span></template
          >
          <template #[`item.videos`]="{ item }"
            ><span class="figure">{{ inDigits(item.videos) }}</span></template
          >
          <template #[`item.visible`]="{ item }"
            ><span class="figure" :title="visibleSaid(item.visible)">{{
              item.visible === null ? UNKNOWN : `${timesText(item.visible)} ×`
            }}</span></template
          >
        </ShellTable>
      </template>
      <h2 id="trials-made">Trials</h2>
      <ShellFailed v-if="trials.made.problem" :problem="trials.made.problem" @again="trials.made.load()" />
      <ul v-else-if="list.length" aria-labelledby="trials-made" class="made">
        <li v-for="each in list" :key="each.id" :class="{ here: each.id === shown?.id }">
          <button
            class="plain link name"
            :aria-pressed="each.id === shown?.id"
            data-test="trial-made"
            @click="address({ trial: each.id, check: undefined, field: undefined })"
          >
            {{ checkTitle(each.check) }}
          </button>
          <span class="small muted">{{ trialSaid(each, at) }}</span>
        </li>
      </ul>
      <p v-else-if="trials.made.answer" class="small muted">No trials yet.</p>
    </section>
    <RanksTrialLook v-if="trials.of" class="sheet part" @start="start" />
    <RanksTrial v-else-if="shown" :key="shown.id" class="sheet part" :trial="shown" :now="at" />
    <section v-else class="sheet part" aria-label="How it works">
      <p class="small muted">
        Choose what you want to know on the left. You see each change before anything is drawn, and each wave begins
        when you say so.
      </p>
    </section>
  </div>
</template>

<style scoped>
.none {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.both {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 0.9fr) minmax(0, 1fr);
  gap: 10px;
}
.part {
  min-height: 0;
  overflow: auto;
}
.ask {
  display: flex;
  flex-direction: column;
}
.terms {
  display: grid;
  grid-template-columns: 1.1fr 1fr 1.1fr;
  gap: 8px;
}
.table {
  flex: 1 1 160px;
  min-height: 140px;
}
.name {
  text-align: left;
}
.of {
  display: block;
}
.made {
  list-style: none;
  margin: 0;
  padding: 0;
  flex: 0 1 auto;
  overflow: auto;
  min-height: 60px;
}
.made li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
.made .here {
  border-left: 3px solid var(--teal);
  padding-left: 8px;
}
@media (max-width: 900px) {
  .both {
    display: flex;
    flex-direction: column;
    overflow: auto;
  }
  .part {
    flex: 0 0 auto;
    overflow: visible;
  }
  .terms {
    grid-template-columns: 1fr;
  }
}
</style>
