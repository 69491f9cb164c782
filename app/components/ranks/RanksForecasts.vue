<script setup lang="ts">
import { computed, onBeforeUnmount } from 'vue'
import type { CameRow } from '../../../shared/forecasts'
import { chanceText, counted, dateOnly } from '~/composables/figures'
import { useForecasts } from '~/stores/forecasts'

/** How often what was told came true, and how far the channel reaches. */
const forecasts = useForecasts()
onBeforeUnmount(forecasts.follow())
const HEADERS = [
  { key: 'phrase', title: 'Phrase' },
  { key: 'title', title: 'Video' },
  { key: 'at', title: 'Forecast on', width: 130 },
  { key: 'chance', title: 'Chance', align: 'end', width: 90 },
  { key: 'came', title: 'Page one', width: 96 },
  { key: 'rank', title: 'Rank', align: 'end', width: 80, value: ({ rank }: CameRow) => rank ?? 1e6 },
] as const
const known = computed(() => forecasts.reliability)
const score = (value: number) => value.toFixed(3)
/** The tenths that hold most forecasts, in words. */
const words = computed(() => {
  const { bins = [] } = known.value ?? {}
  return [...bins]
    .filter(({ n }) => n > 0)
    .sort((a, b) => b.n - a.n)
    .slice(0, 2)
    .map(
      ({ from, to, n, came }) =>
        `Of ${counted(n, 'phrase')} given ${Math.round(from * 100)} to ${Math.round(to * 100)} %, ${came} reached page one.`,
    )
})
/** Which chances are corrected by what came. */
const corrected = computed(() => {
  const { needed, corrected: kinds } = known.value!
  const of = (what: string, { videos, by }: typeof kinds.fixed) =>
    by
      ? `${what} are corrected by the results of ${counted(videos, 'video')}.`
      : `${what} are corrected once the results of ${needed} videos are known; so far there are ${videos}.`
  return `${of('Chances by fixed weights', kinds.fixed)} ${of('Chances learnt from pages', kinds.learnt)}`
})
const views = computed(() => {
  const { n, held, below, above } = known.value!.views
  return n
    ? `Views to win: of ${counted(n, 'range')}, ${held} held the views that search brought in 90 days; ${below} were too high, ${above} too low.`
    : 'Views to win are judged once the views from search of a video’s first 90 days are known.'
})
</script>

<template>
  <ShellFailed v-if="forecasts.problem" :problem="forecasts.problem" @again="forecasts.load()" />
  <v-skeleton-loader v-else-if="!known || !forecasts.reach" type="image, table-row@3" class="sheet" />
  <template v-else>
    <div class="over">
      <section class="sheet came" aria-labelledby="told-came">
        <h2 id="told-came">How forecasts turned out</h2>
        <template v-if="known.n">
          <p data-test="told-words">{{ words.join(' ') }}</p>
          <RanksReliability :bins="known.bins" />
          <dl class="small" data-test="brier">
            <div title="The mean squared difference between chance and result: 0 is perfect, .25 is a coin toss">
              <dt>Error of the chances</dt>
              <dd class="figure">{{ score(known.brier!.score) }}</dd>
            </div>
            <div>
              <dt>With one chance for all</dt>
              <dd class="figure">{{ score(known.baselines.always!) }}</dd>
            </div>
            <template v-if="known.baselines.difficulty !== null">
              <div>
                <dt>By the difficulty alone</dt>
                <dd class="figure">{{ score(known.baselines.difficulty) }}</dd>
              </div>
            </template>
            <div title="How far chances are from how often they came true; the less the better">
              <dt>Off by</dt>
              <dd class="figure">{{ score(known.brier!.reliability) }}</dd>
            </div>
            <div title="How well chances separate what reaches page one from what does not; the more the better">
              <dt>Tells apart</dt>
              <dd class="figure">{{ score(known.brier!.resolution) }}</dd>
            </div>
            <div title="How unsure outcomes are by themselves">
              <dt>Left to chance</dt>
              <dd class="figure">{{ score(known.brier!.uncertainty) }}</dd>
            </div>
          </dl>
        </template>
        <p v-else class="muted" data-test="told-none">
          No results yet. Fonetra keeps the forecast of a phrase when you add it to the tray and when you publish. Four
          weeks after the release its rank shows whether it came true.
        </p>
        <p class="small muted" data-test="told-corrected">
          {{ corrected }}
          <template v-if="known.waiting"> {{ counted(known.waiting, 'forecast') }} wait for their video.</template>
          {{ ' ' }}{{ views }}
        </p>
      </section>
      <RanksReach class="sheet reach" :known="forecasts.reach" />
    </div>
    <ShellTable
      v-if="known.rows.length"
      :headers="HEADERS"
      :items="known.rows"
      density="compact"
      fixed-header
      class="sheet table"
      tabindex="0"
      aria-label="Forecasts and results"
      data-test="told-rows"
    >
      <template #[`item.at`]="{ item }">{{ dateOnly(item.at) }}</template>
      <template #[`item.chance`]="{ item }"
        ><span class="figure" :title="`${(item.chance * 100).toFixed(1)} % to be on page one`">{{
          chanceText(item.chance)
        }}</span></template
      >
      <template #[`item.rank`]="{ item }"
        ><span class="figure" title="28 days after its release, or at the first look after that">{{
          item.rank ?? '> 60'
        }}</span></template
      >
      <template #[`item.came`]="{ item }"
        ><ShellShape :state="item.came ? 'met' : 'missing'" :label="item.came ? 'On page one' : 'Not on page one'"
      /></template>
    </ShellTable>
  </template>
</template>

<style scoped>
.over {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.came {
  flex: 5 1 460px;
  min-width: 0;
  padding: 12px 14px;
  display: grid;
  gap: 6px;
  align-content: start;
}
.came dl {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
}
.came dd {
  margin: 0;
}
.reach {
  flex: 2 1 280px;
}
.table {
  flex: 1;
  min-height: 160px;
}
</style>
