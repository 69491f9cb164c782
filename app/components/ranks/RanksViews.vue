<script setup lang="ts">
import { mdiFileUploadOutline, mdiRefresh } from '@mdi/js'
import { computed, onBeforeUnmount, ref } from 'vue'
import { inDigits } from '../../../core/text/inWords'
import { dateOnly, percent, rounded, UNKNOWN } from '~/composables/figures'
import { useRanks } from '~/stores/ranks'
import { useViews } from '~/stores/views'

/** How a video was watched, why not more, and what its changes did. */
const ranks = useRanks()
const views = useViews()
onBeforeUnmount(views.follow())
const importOpen = ref(false)
const SPANS = [
  { side: '28', title: '28 days' },
  { side: '90', title: '90 days' },
  { side: '400', title: 'All' },
] as const
type Span = (typeof SPANS)[number]['side']
const route = useRoute()
const address = useAddress()
const span = computed<Span>(() => SPANS.find(({ side }) => side === route.query.days)?.side ?? '90')
const days = computed(() => {
  const all = views.known?.days ?? []
  const last = all.at(-1)
  if (!last) return []
  const from = Date.parse(`${last.day}T00:00:00Z`) - (Number(span.value) - 1) * 86_400_000
  return all.filter(({ day }) => Date.parse(`${day}T00:00:00Z`) >= from)
})
/** Sums over the days of which both are known; `null` where there is none. */
const sums = computed(() => {
  const known = days.value.flatMap(({ views: seen }) => seen ?? [])
  const clicked = days.value.filter(({ impressions, clicks }) => impressions !== null && clicks !== null)
  const shown = clicked.reduce((sum, { impressions }) => sum + impressions!, 0)
  const watched = days.value.flatMap(({ watchedSeconds }) => watchedSeconds ?? [])
  const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0)
  return [
    {
      name: 'Views',
      value: known.length ? rounded(sum(known)) : UNKNOWN,
      full: known.length ? inDigits(sum(known)) : 'Not known',
    },
    {
      name: 'Shown',
      value: clicked.length ? rounded(shown) : UNKNOWN,
      full: clicked.length ? inDigits(shown) : 'Not known',
    },
    {
      name: 'Clicked when shown',
      value: shown ? rate(sum(clicked.map(({ clicks }) => clicks!)) / shown) : UNKNOWN,
      full: shown ? `${inDigits(sum(clicked.map(({ clicks }) => clicks!)))} of ${inDigits(shown)}` : 'Not known',
    },
    {
      name: 'Hours watched',
      value: watched.length ? rounded(Math.round(sum(watched) / 3600)) : UNKNOWN,
      full: watched.length ? `${(sum(watched) / 3600).toFixed(1)} hours` : 'Not known',
    },
  ]
})
const rate = (part: number) => (part < 0.1 ? `${(part * 100).toFixed(1)} %` : percent(part))
</script>

<template>
  <p v-if="views.problem" role="alert" class="sheet state">
    {{ views.problem }}
    <v-btn size="small" variant="outlined" :prepend-icon="mdiRefresh" @click="views.load()">Try again</v-btn>
  </p>
  <v-skeleton-loader v-else-if="!views.known" type="image, table-row@3" class="sheet" />
  <template v-else>
    <div class="head">
      <DeskSides
        :model-value="span"
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
    <div v-if="!days.length" class="sheet state" data-test="views-none">
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
          :days="days"
          :changes="views.known.changes"
          :released-at="views.known.releasedAt"
        />
        <RanksFirstWeeks class="sheet weeks" :weeks="views.known.firstWeeks" :brief="views.known.brief" />
      </div>
      <div class="under">
        <RanksSources
          class="sheet"
          :days="days"
          :referrers="views.known.referrers"
          :retention="views.known.retention"
        />
        <RanksChanges class="sheet" :changes="views.known.changes" />
      </div>
    </template>
    <p class="small muted" data-test="views-source">
      <template v-if="views.known.problem">{{ views.known.problem }} </template>
      <template v-if="views.known.source">From {{ views.known.source }}, {{ dateOnly(views.known.at!) }}. </template>
      <button class="plain link" @click="views.load(true)">Ask again</button>
    </p>
  </template>
  <LazyRanksImport v-if="importOpen" v-model="importOpen" :video="ranks.video" @imported="views.load()" />
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
.state {
  padding: 36px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
</style>
