<script setup lang="ts">
import { mdiCalendarPlusOutline, mdiClose } from '@mdi/js'
import { computed, reactive, ref } from 'vue'
import { COMPARED, type Compared } from '../../../core/ranks/sides'
import { dayName, dayNamed, rankDay } from '../../../core/ranks/standing'
import { PLANNED_FIELDS, type PlannedChange, type PlannedField } from '../../../shared/plannedChanges'
import { now } from '~/composables/clock'
import { COMPARED_NAMES, comparedSaid, comparedWorking } from '~/composables/comparedWords'
import { counted, dayOnly } from '~/composables/figures'
import { useViews } from '~/stores/views'

/** Which change of this video comes when, and how will it be judged? Settled before anything is seen. */
const props = defineProps<{ video: string; plans: readonly PlannedChange[]; brief: string | null }>()
const views = useViews()
const open = ref(false)
const FIELDS: Record<PlannedField, string> = {
  title: 'Title',
  description: 'Description',
  tags: 'Tags',
  thumbnail: 'Thumbnail',
}
const fields = PLANNED_FIELDS.map(value => ({ value, title: FIELDS[value] }))
const outcomes = COMPARED.map(value => ({ value, title: COMPARED_NAMES[value] }))
const lengths = [1, 2, 3, 4].map(value => ({ value, title: counted(value, 'week') }))
const today = computed(() => dayName(rankDay(now())))
const plan = reactive({
  field: 'title' as PlannedField,
  note: '',
  day: today.value,
  weeks: 2,
  what: 'views' as Compared,
})
const problem = computed(() =>
  !plan.day ? 'Give the day.' : plan.day < today.value ? 'Choose today or a later day.' : '',
)
async function add() {
  if (problem.value) return
  await views.plan({ ...plan, note: plan.note.trim() })
  plan.note = ''
  open.value = false
}
const day = (named: string) => dayOnly(dayNamed(named))
function said({ state, day: planned, changedOn, answerOn, what, weeks, result }: PlannedChange): string {
  const judged = `${COMPARED_NAMES[what].toLowerCase()}, ${counted(weeks, 'week')} before and after`
  switch (state) {
    case 'waiting':
      return `On ${day(planned)}. Judged by ${judged}.`
    case 'due':
      return `Due since ${day(planned)}, not made yet. Judged by ${judged}.`
    case 'running':
      return `Made ${day(changedOn!)}. Told from ${day(answerOn!)} on, by ${judged}.`
    case 'over':
      return `Made ${day(changedOn!)}. ${COMPARED_NAMES[what]}: ${result ? comparedSaid(result) : 'not known when the video came out'}.`
  }
}
const way = computed(() =>
  props.brief
    ? { path: '/release', query: { brief: props.brief, part: 'publish', onto: 'there' } }
    : { path: '/ranks', query: { view: 'mend', video: props.video } },
)
</script>

<template>
  <section class="part" aria-labelledby="planned" data-test="planned">
    <h2 id="planned">Planned changes</h2>
    <ul v-if="plans.length">
      <li v-for="each in plans" :key="each.id" data-test="planned-row">
        <div>
          <p>
            {{ FIELDS[each.field] }}<template v-if="each.note">: “{{ each.note }}”</template>
          </p>
          <p class="small" :title="each.result ? comparedWorking(each.result) : undefined">{{ said(each) }}</p>
          <NuxtLink v-if="each.state === 'due'" class="link small" :to="way" data-test="planned-make"
            >Make the change</NuxtLink
          >
        </div>
        <v-btn
          :icon="mdiClose"
          size="x-small"
          variant="text"
          :aria-label="`Remove the plan for its ${each.field} of ${each.day}`"
          title="Remove the plan; what was changed stays"
          data-test="planned-remove"
          @click="views.unplan(each.id)"
        />
      </li>
    </ul>
    <p v-else-if="!open" class="muted small">
      A comparison that is settled beforehand, with what is looked at and for how long, is not swayed by a good first
      day.
    </p>
    <v-btn
      v-if="!open"
      size="small"
      variant="outlined"
      class="begin"
      :prepend-icon="mdiCalendarPlusOutline"
      data-test="planned-open"
      @click="open = true"
      >Plan a change</v-btn
    >
    <form v-else class="fields" @submit.prevent="add">
      <v-select
        v-model="plan.field"
        :items="fields"
        label="What changes"
        density="compact"
        variant="outlined"
        hide-details
        data-test="plan-field"
      />
      <v-text-field
        v-model="plan.day"
        label="On"
        type="date"
        :min="today"
        :error-messages="problem"
        density="compact"
        variant="outlined"
        hide-details="auto"
        data-test="plan-day"
      />
      <v-text-field
        v-model="plan.note"
        label="To what"
        maxlength="500"
        density="compact"
        variant="outlined"
        hide-details
        class="wide"
        data-test="plan-note"
      />
      <v-select
        v-model="plan.what"
        :items="outcomes"
        label="Judged by"
        density="compact"
        variant="outlined"
        hide-details
        data-test="plan-what"
      />
      <v-select
        v-model="plan.weeks"
        :items="lengths"
        label="Before and after"
        density="compact"
        variant="outlined"
        hide-details
        data-test="plan-length"
      />
      <div class="wide acts">
        <v-btn type="submit" size="small" variant="tonal" data-test="plan-add">Plan it</v-btn>
        <v-btn size="small" variant="text" @click="open = false">Cancel</v-btn>
      </div>
    </form>
  </section>
</template>

<style scoped>
.begin {
  justify-self: start;
}
ul {
  margin: 0 0 10px;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 8px;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: 8px;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.wide {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  gap: 8px;
}
</style>
