<script setup lang="ts">
import { mdiFileUploadOutline } from '@mdi/js'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import type { KnownSum } from '../../../core/ranks/span'
import { inDigits } from '../../../core/text/inWords'
import { counted, dateOnly, percent, rounded, UNKNOWN } from '~/composables/figures'
import { useRanks } from '~/stores/ranks'
import { useViews } from '~/stores/views'

/** How a video was watched, why not more, and what its changes did. */
const ranks = useRanks()
const views = useViews()
onBeforeUnmount(views.follow())
const importOpen = ref(false)
const retentionOpen = ref(false)
const SPANS = [
  { side: '28', title: '28 days' },
  { side: '90', title: '90 days' },
  { side: '400', title: 'All' },
] as const
type Side = (typeof SPANS)[number]['side']
const route = useRoute()
const address = useAddress()
const side = computed<Side>(() => SPANS.find(each => each.side === route.query.days)?.side ?? '90')
watch(
  side,
  days => {
    views.length = Number(days)
  },
  { immediate: true },
)
/** The figures above the drawing, and the exact one with the days that it is of. */
const sums = computed(() => {
  const { days, views: seen, impressions, clickRate, watchedSeconds } = views.span!
  const told = (name: string, sum: KnownSum | null, value: (sum: number) => string, full: (sum: number) => string) => ({
    name,
    value: sum ? value(sum.sum) : UNKNOWN,
    full: sum ? `${full(sum.sum)}, known of ${sum.days} of ${counted(days, 'day')}` : 'Not known',
  })
  return [
    told('Views', seen, rounded, inDigits),
    told('Shown', impressions, rounded, inDigits),
    {
      name: 'Clicked when shown',
      value: clickRate?.impressions ? rate(clickRate.clicks / clickRate.impressions) : UNKNOWN,
      full: clickRate ? `${inDigits(clickRate.clicks)} of ${inDigits(clickRate.impressions)} times` : 'Not known',
    },
    told(
      'Hours watched',
      watchedSeconds,
      seconds => rounded(Math.round(seconds / 3600)),
      seconds => `${(seconds / 3600).toFixed(1)} hours`,
    ),
  ]
})
const rate = (part: number) => (part < 0.1 ? `${(part * 100).toFixed(1)} %` : percent(part))
</script>

<template>
  <ShellFailed v-if="views.problem" :problem="views.problem" @again="views.load()" />
  <v-skeleton-loader v-else-if="!views.known" type="image, table-row@3" class="sheet" />
  <template v-else>
    <div class="head">
      <DeskSides
        :model-value="side"
        :sides="SPANS"
        label="How far back"
        named="days"
        @update:model-value="to => address({ days: to === '90' ? undefined : to }, true)"
      />
      <dl class="sums" data-test="views-sums">
        <div v-for="each in sums" :key="each.name" :title="each.full">
          <dt class="small muted">{{ each.name }}</dt>
          <dd class="figure">{{ each.value }}</dd>
        </div>
      </dl>
      <v-spacer />
      <v-btn
        size="small"
        variant="outlined"
        :prepend-icon="mdiFileUploadOutline"
        data-test="views-import"
        @click="importOpen = true"
        >Import figures</v-btn
      >
    </div>
    <div v-if="!views.span?.within.length" class="sheet state" data-test="views-none">
      <h2>No figures of this video yet</h2>
      <p>
        The site tells them for channels that it lets you see into, a day later. You can also import a table with a line
        for each day.
      </p>
    </div>
    <template v-else>
      <div class="over">
        <RanksViewsChart
          class="sheet chart"
          :days="views.span.within"
          :changes="views.known.changes"
          :released-at="views.known.releasedAt"
        />
        <RanksFirstWeeks class="sheet weeks" :weeks="views.known.firstWeeks" :brief="views.known.brief" />
      </div>
      <div class="under">
        <RanksSources
          class="sheet"
          :span="views.span"
          :retention="views.known.retention"
          @import-retention="retentionOpen = true"
        />
        <div class="changes">
          <RanksChanges class="sheet" :changes="views.known.changes" />
          <RanksPlanned class="sheet" :video="ranks.video" :plans="views.known.planned" :brief="views.known.brief" />
        </div>
      </div>
    </template>
    <p class="small muted" data-test="views-source">
      <template v-if="views.known.problem || views.others">{{ views.known.problem || views.others }} </template>
      <template v-if="views.known.source">From {{ views.known.source }}, {{ dateOnly(views.known.at!) }}. </template>
      <button class="plain link" @click="views.load(true)">Ask again</button>
    </p>
  </template>
  <LazyRanksImport v-if="importOpen" v-model="importOpen" :video="ranks.video" @imported="views.load()" />
  <LazyRanksRetention v-if="retentionOpen" v-model="retentionOpen" :seconds="views.known?.seconds ?? null" />
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}
.sums {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
}
.sums dd {
  margin: 0;
  font-size: 16px;
}
.over,
.under {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.chart {
  flex: 5 1 420px;
  min-width: 0;
}
.weeks {
  flex: 3 1 320px;
  min-width: 0;
}
.under > * {
  flex: 1 1 320px;
  min-width: 0;
}
.changes {
  display: grid;
  gap: 10px;
  align-content: start;
}
</style>
