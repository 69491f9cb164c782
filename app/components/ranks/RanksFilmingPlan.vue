<script setup lang="ts">
import { mdiCalendarPlusOutline } from '@mdi/js'
import { computed, onBeforeUnmount, reactive } from 'vue'
import { rankDay } from '../../../core/ranks/standing'
import { inDigits } from '../../../core/text/inWords'
import type { FilmToMake } from '../../../shared/filmingPlan'
import { chanceText, counted, dayOnly, inFull, rounded } from '~/composables/figures'
import { filmWhy } from '~/composables/filmWords'
import { fewViews } from '~/composables/rankCells'
import { typedNumber } from '~/composables/typedNumber'
import { useFilmingPlan } from '~/stores/filmingPlan'
import { useRanks } from '~/stores/ranks'

/** What to film next, in which order, in the time there is. */
const plan = useFilmingPlan()
const ranks = useRanks()
onBeforeUnmount(plan.follow())
const FIELDS = [
  { key: 'hoursPerVideo', label: 'Hours a video', least: 0.5, most: 400 },
  { key: 'hoursPerWeek', label: 'Hours a week', least: 0.5, most: 100 },
  { key: 'weeks', label: 'Weeks', least: 1, most: 52 },
] as const
type Key = (typeof FIELDS)[number]['key']
const typed = reactive<Record<Key, string>>({
  hoursPerVideo: String(plan.budget.hoursPerVideo),
  hoursPerWeek: String(plan.budget.hoursPerWeek),
  weeks: String(plan.budget.weeks),
})
function problemOf({ key, least, most }: (typeof FIELDS)[number]): string {
  const value = typedNumber(typed[key])
  if (value === undefined || !(value >= least && value <= most)) return `${least} to ${most}`
  return key === 'weeks' && !Number.isInteger(value) ? 'Whole weeks' : ''
}
function take(field: (typeof FIELDS)[number], text: string) {
  typed[field.key] = text
  if (!problemOf(field)) plan.budget[field.key] = typedNumber(text)!
}
const HEADERS = [
  { key: 'at', title: 'Out by', width: 124, nowrap: true },
  { key: 'phrase', title: 'Phrase' },
  { key: 'searches', title: 'Searches', align: 'end', width: 88 },
  { key: 'chance', title: 'Chance', align: 'end', width: 78 },
  { key: 'views', title: 'Views', align: 'end', width: 84 },
  { key: 'acts', title: '', sortable: false, width: 60 },
] as const
const viewsSaid = ({ views }: FilmToMake) =>
  `${views.toFixed(1)} from its release to the end of the plan, with its season and the channel of that time`
const films = computed(() => plan.answer?.films ?? [])
const all = computed(() => films.value.reduce((sum, { views }) => sum + views, 0))
</script>

<template>
  <form class="budget" @submit.prevent>
    <v-text-field
      v-for="field in FIELDS"
      :key="field.key"
      :model-value="typed[field.key]"
      :label="field.label"
      :error-messages="problemOf(field)"
      inputmode="decimal"
      density="compact"
      variant="outlined"
      hide-details="auto"
      maxlength="8"
      class="field"
      :data-test="`plan-${field.key}`"
      @update:model-value="take(field, $event)"
    />
    <p v-if="plan.answer" class="small muted told" role="status" data-test="plan-told">
      Room for {{ counted(plan.answer.room, 'video')
      }}<template v-if="plan.answer.planned">, {{ inDigits(plan.answer.planned) }} in the calendar already</template
      >.<template v-if="films.length"
        >{{ ' ' }}Together about {{ fewViews(all) }} views until {{ dayOnly(rankDay(plan.answer.until!)) }}.</template
      >{{ ' '
      }}<template v-if="plan.answer.perThousand !== null"
        >A thousand views brought {{ plan.answer.perThousand.toFixed(1) }} subscribers so far.</template
      ><template v-else>How your channel grows is not known: state its subscribers in the Library.</template>
    </p>
    <v-btn
      v-if="films.length"
      size="small"
      variant="outlined"
      :prepend-icon="mdiCalendarPlusOutline"
      :loading="plan.placing > 0"
      data-test="plan-place-all"
      @click="plan.place(films)"
      >Put {{ films.length === 1 ? 'it' : `all ${films.length}` }} into the calendar</v-btn
    >
  </form>
  <ShellFailed v-if="plan.problem" :problem="plan.problem" @again="plan.load()" />
  <template v-else-if="!plan.answer">
    <p class="small muted" role="status">Weighing what you could film…</p>
    <v-skeleton-loader type="table-row@6" class="sheet" />
  </template>
  <div v-else-if="!films.length" class="sheet state" data-test="plan-empty">
    <h2>Nothing to film in this time</h2>
    <p v-if="plan.answer.room <= plan.answer.planned">The time is taken. Give more weeks, or more hours a week.</p>
    <p v-else>No open phrase is known: under <em>Within reach</em> it says why, and what to do.</p>
  </div>
  <template v-else>
    <ShellTable
      :headers="HEADERS"
      :items="films"
      item-value="phrase"
      density="compact"
      fixed-header
      class="sheet table"
      tabindex="0"
      aria-label="Filming plan"
      data-test="plan"
    >
      <template #[`item.at`]="{ item }"
        ><span class="figure">{{ dayOnly(rankDay(item.at)) }}</span></template
      >
      <template #[`item.phrase`]="{ item }">
        <div class="phrase" data-test="plan-film">
          <NuxtLink
            class="link"
            :to="{ path: '/rivals', query: { phrase: item.phrase, region: ranks.region ?? '' } }"
            title="Who stands there"
            >{{ item.phrase }}</NuxtLink><span
            v-if="item.also.length"
            class="small muted"
            :title="item.also.map(each => each.phrase).join('\n')"
            >and {{ counted(item.also.length, 'phrase') }} with much the same results</span
          ><span class="small">{{ filmWhy(item) }}</span>
        </div>
      </template>
      <template #[`item.searches`]="{ item }"
        ><span class="figure" :title="inFull(item.searches, 'searches a month')">{{
          rounded(item.searches)
        }}</span></template
      >
      <template #[`item.chance`]="{ item }"
        ><span
          class="figure"
          :title="`Of page one, as your channel will be by then; ${chanceText(item.chanceToday)} today`"
          >{{ chanceText(item.chance) }}</span
        ></template
      >
      <template #[`item.views`]="{ item }"
        ><b class="figure" :title="viewsSaid(item)">{{ fewViews(item.views) }}</b></template
      >
      <template #[`item.acts`]="{ item }"
        ><v-btn
          :icon="mdiCalendarPlusOutline"
          variant="text"
          size="small"
          :disabled="plan.placing > 0"
          :aria-label="`Put “${item.phrase}” into the calendar`"
          title="A brief of it, with this day of release"
          data-test="plan-place"
          @click="plan.place([item])"
      /></template>
    </ShellTable>
    <p class="small muted">
      Of {{ counted(plan.answer.ideas, 'open phrase') }} within reach the order that is expected to win most views until
      {{ dayOnly(rankDay(plan.answer.until!)) }}: searches by their season × the chance of each rank × the share that
      looks at it, and subscribers that earlier videos bring.
    </p>
  </template>
</template>

<style scoped>
.budget {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}
.field {
  flex: 0 0 140px;
}
.told {
  flex: 1 1 240px;
}
.table {
  flex: 1;
  min-height: 180px;
}
.phrase {
  display: grid;
  padding: 3px 0;
}
</style>
