<script setup lang="ts">
import { onBeforeUnmount } from 'vue'
import type { BesideMine, Together } from '../../../core/ranks/together'
import { inDigits } from '../../../core/text/inWords'
import { counted, inFull, percent, rounded, UNKNOWN } from '~/composables/figures'
import { fewViews } from '~/composables/rankCells'
import { useTogether } from '~/stores/together'

/** Phrases for which several videos of mine stand on one page: do they help or take each other's place? */
const together = useTogether()
onBeforeUnmount(together.follow())
const HEADERS = [
  { key: 'phrase', title: 'Phrase', width: '18%' },
  { key: 'searches', title: 'Searches', align: 'end', width: 88, value: (row: Together) => row.searches ?? -1 },
  { key: 'videos', title: 'Yours on its page, and views a month', sortable: false },
  { key: 'swaps', title: 'Swaps', align: 'end', width: 70 },
  { key: 'what', title: 'What to do', sortable: false, width: '26%' },
] as const
const swapsSaid = ({ swaps, days }: Together) =>
  days
    ? `${counted(swaps, 'time')} over ${counted(days, 'day')} on which both were seen, of the last 90`
    : 'Not known: watch this phrase for both'
const bringsSaid = ({ brings, rank }: BesideMine) =>
  brings === null
    ? 'Not known: its searches are not'
    : `${brings.toFixed(1)} views a month: its searches times the share that look at rank ${rank}`
/** What the one that could give the phrase up would be for instead. */
function insteadOf({ giveUp, videos }: Together) {
  const one = videos.find(({ video }) => video === giveUp)
  return one?.instead ? { ...one, instead: one.instead } : null
}
</script>

<template>
  <ShellFailed v-if="together.problem" :problem="together.problem" @again="together.load()" />
  <v-skeleton-loader v-else-if="!together.answer" type="table-row@6" class="sheet" />
  <div v-else-if="!together.answer.rows.length" class="sheet state" data-test="together-empty">
    <h2>No two of yours on one page</h2>
    <p>On the result pages kept of this region no phrase has two of your videos among its first twenty results.</p>
  </div>
  <template v-else>
    <ShellTable
      :headers="HEADERS"
      :items="together.answer.rows"
      item-value="phrase"
      density="compact"
      fixed-header
      class="sheet table"
      tabindex="0"
      aria-label="Phrases for which several of mine stand"
      data-test="together"
    >
      <template #[`item.phrase`]="{ item }"
        ><NuxtLink
          class="link"
          :to="{ path: '/ranks', query: { video: item.videos[0]!.video, phrase: item.phrase } }"
          title="Its ranks"
          data-test="together-row"
          >{{ item.phrase }}</NuxtLink
        ></template
      >
      <template #[`item.searches`]="{ item }"
        ><span class="figure" :title="inFull(item.searches, 'searches a month')">{{
          rounded(item.searches)
        }}</span></template
      >
      <template #[`item.videos`]="{ item }">
        <ul>
          <li v-for="each in item.videos" :key="each.video">
            <span class="figure">{{ each.rank }}</span>
            <span>{{ each.title }}</span>
            <span class="figure small" :title="bringsSaid(each)">{{
              each.brings === null ? UNKNOWN : fewViews(each.brings)
            }}</span>
          </li>
        </ul>
      </template>
      <template #[`item.swaps`]="{ item }"
        ><span class="figure" :title="swapsSaid(item)">{{ item.days ? inDigits(item.swaps) : UNKNOWN }}</span></template
      >
      <template #[`item.what`]="{ item }">
        <p v-if="insteadOf(item)" class="small" data-test="together-give-up">
          They take each other’s place. “{{ insteadOf(item)!.title }}” could be for “{{
            insteadOf(item)!.instead.phrase
          }}” instead ({{ rounded(insteadOf(item)!.instead.searches) }} searches), where it stands alone.
        </p>
        <p v-else class="small muted">
          <template v-if="item.days">{{
            item.swaps < 2
              ? 'Each keeps its place: both bring views.'
              : 'They take each other’s place; neither has another phrase of its own.'
          }}</template>
          <button v-else class="plain link" data-test="together-watch" @click="together.watchBoth(item)">
            Watch it for both, to see whether they change places
          </button>
          <template v-if="item.closeness >= 0.5"
            >Their titles share {{ percent(item.closeness) }} of their words.</template
          >
        </p>
      </template>
    </ShellTable>
    <p class="small muted">
      By the result pages kept of this region, first twenty results.
      <template v-if="together.answer.more">{{ counted(together.answer.more, 'phrase') }} more are not shown.</template>
    </p>
  </template>
</template>

<style scoped>
.table {
  flex: 1;
  min-height: 180px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 4px 0;
}
li {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: baseline;
}
</style>
