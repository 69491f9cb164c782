<script setup lang="ts">
import { mdiCalendarMonthOutline, mdiChartScatterPlot, mdiGroup, mdiTable } from '@mdi/js'
import { computed } from 'vue'
import { inDigits } from '../../../core/text/inWords'
import type { DemandView } from '~/composables/demandQuery'
import { useDemand } from '~/stores/demand'
import { leaveTrendOut } from '~/composables/worthWeights'
import { useJobs } from '~/stores/jobs'
import { useWorkspace } from '~/stores/workspace'

/** How many phrases there are, how far they are assessed, what is missing, and the views to choose from. */
const props = defineProps<{ seed: string; filtered: boolean; view: DemandView; language: string }>()
const emit = defineEmits<{ view: [view: DemandView]; aside: []; import: [] }>()
const demand = useDemand()
const jobs = useJobs()
const workspace = useWorkspace()

const VIEWS: { view: DemandView; title: string; icon: string }[] = [
  { view: 'table', title: 'Table', icon: mdiTable },
  { view: 'chart', title: 'Chart', icon: mdiChartScatterPlot },
  { view: 'year', title: 'Year', icon: mdiCalendarMonthOutline },
  { view: 'groups', title: 'Groups', icon: mdiGroup },
]
const unsearched = computed(
  () =>
    demand.rows.length > 0 &&
    !props.filtered &&
    !demand.answer?.missing.length &&
    demand.rows.every(row => row.volume === null && row.volumeAll === null),
)
/** Whether a worth is kept from being told by the trend alone: a list seldom has twelve months. */
const lacksTrend = computed(() => {
  const told = demand.rows.filter(row => row.volume !== null && row.difficulty !== null)
  return told.length > 0 && told.every(row => row.tendency === null && row.worth.anyone === null)
})
async function withoutTrend() {
  await leaveTrendOut(workspace.id!)
  await demand.again(props.language)
}
</script>

<template>
  <div class="status small" data-test="demand-status">
    <span v-if="demand.state === 'loading'"
      >Loading “{{ seed }}” …
      <button class="plain link" data-test="look-stop" @click="demand.giveUp()">Stop</button></span
    >
    <template v-else-if="demand.state === 'ready' && demand.answer">
      <span
        ><strong class="figure">{{ inDigits(demand.answer.total) }}</strong>
        {{ demand.answer.total === 1 ? 'phrase' : 'phrases'
        }}{{ filtered ? (demand.answer.total === 1 ? ' matches the filters' : ' match the filters') : ''
        }}<template v-if="demand.rows.length < demand.answer.total && !demand.restComing"
          >, the first {{ inDigits(demand.rows.length) }} shown ·
          <button class="plain link" @click="demand.more(language)">show more</button></template
        ><template v-if="demand.answer.withheld"
          >, {{ demand.answer.withheld }} hidden ·
          <button class="plain link" data-test="show-aside" @click="emit('aside')">show</button></template
        ></span
      >
      <span v-if="demand.assessing" class="assessing"
        ><v-progress-circular indeterminate="disable-shrink" size="12" width="2" color="primary" aria-hidden="true" />
        assessing, {{ demand.left }} left
        <button class="plain link" data-test="assess-stop" @click="demand.stop()">Stop</button></span
      >
      <span v-else class="muted"
        >{{ inDigits(demand.difficultyKnown) }} assessed
        <button
          v-if="demand.difficultyKnown < Math.min(300, demand.rows.length)"
          class="plain link"
          @click="demand.assess(language)"
        >
          assess more</button
        ><template
          v-if="demand.answer.total > demand.difficultyKnown && demand.answer.total > 400 && !jobs.running.length"
        >
          <button class="plain link" data-test="assess-all" @click="demand.assessAll(language)">
            assess all
          </button></template
        ></span
      >
      <button v-if="demand.unsorted && !demand.assessing" class="plain link" @click="demand.again(language)">
        New figures arrived. Sort again
      </button>
      <button
        v-else-if="demand.stale && !demand.assessing"
        class="plain link"
        data-test="demand-stale"
        @click="demand.again(language)"
      >
        Figures have changed. Show them
      </button>
      <span v-if="unsearched" class="muted"
        >No source has search figures for it.
        <button class="plain link" @click="emit('import')">Import a list</button></span
      >
      <span v-if="lacksTrend" class="muted" data-test="lacks-trend"
        >No worth: the months are not known.
        <button class="plain link" @click="withoutTrend">Leave the trend out</button></span
      >
      <span v-if="demand.answer.missing.length" class="missing"
        >Missing: {{ demand.answer.missing.join(', ') }}.
        <button class="plain link" @click="demand.again(language, true)">Look again</button></span
      >
      <span v-if="demand.assessProblem" class="missing"
        >Some phrases could not be assessed: {{ demand.assessProblem }}
        <button class="plain link" @click="demand.assess(language)">Try again</button></span
      >
    </template>
    <v-btn-toggle
      :model-value="view"
      mandatory
      density="compact"
      variant="outlined"
      color="primary"
      divided
      class="views"
      aria-label="View"
      ><v-btn
        v-for="each in VIEWS"
        :key="each.view"
        :value="each.view"
        :aria-pressed="view === each.view"
        size="small"
        :prepend-icon="each.icon"
        :data-test="`view-${each.view}`"
        @click="emit('view', each.view)"
        >{{ each.title }}</v-btn
      ></v-btn-toggle
    >
  </div>
</template>

<style scoped>
.status {
  display: flex;
  gap: 18px;
  align-items: center;
  min-height: 28px;
}
.views {
  margin-left: auto;
  height: 28px;
  flex: none;
}
.assessing {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
.link {
  color: var(--teal);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.missing {
  color: var(--plum);
}
</style>
