<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { FRESH_DAYS, isFresh, rankDay } from '../../../core/ranks/standing'
import { inDigits } from '../../../core/text/inWords'
import type { ChannelRanksAnswer } from '../../../shared/ranks'
import { api, messageOf } from '~/composables/api'
import { now } from '~/composables/clock'
import { dayOnly } from '~/composables/figures'
import { fewViews, RANK_COLUMNS, rankKeys } from '~/composables/rankCells'
import { useChanges } from '~/stores/changes'
import { useRanks } from '~/stores/ranks'
import { useWorkspace } from '~/stores/workspace'

/** Where all videos of the channel stand: what brings most first, so that a first place nobody searches is last. */
const ranks = useRanks()
const workspace = useWorkspace()
const address = useAddress()
const answer = shallowRef<ChannelRanksAnswer | null>(null)
const problem = ref('')
const contains = ref('')
const HEADERS = [
  { key: 'phrase', title: 'Phrase' },
  { key: 'title', title: 'Video' },
  { key: 'seen', title: 'Seen', align: 'end', width: 96 },
  ...RANK_COLUMNS,
] as const
const asked = () => ({ workspace: workspace.id, region: ranks.region, kind: ranks.kind })
async function load() {
  const query = asked()
  try {
    const found = await api('GET /api/ranks/channel', { query })
    if (JSON.stringify(query) !== JSON.stringify(asked())) return
    answer.value = found
    problem.value = ''
  } catch (error) {
    if (JSON.stringify(query) === JSON.stringify(asked())) problem.value = messageOf(error)
  }
}
watch([() => JSON.stringify(asked()), () => useChanges().revisions.ranks], () => void load(), { immediate: true })
const rows = computed(() => {
  const wanted = contains.value.trim().toLowerCase()
  return (answer.value?.rows ?? [])
    .filter(({ phrase, title }) => !wanted || `${phrase} ${title}`.toLowerCase().includes(wanted))
    .map(row => ({
      line: row,
      seen: row.standing.now.day,
      id: `${row.videoId} ${row.phrase}`,
      phrase: row.phrase,
      title: row.title,
      ...rankKeys(row),
    }))
})
/** What the ranks of the last weeks bring together. */
const fresh = computed(() => rows.value.filter(({ line }) => isFresh(line.standing.now, rankDay(now()))))
const sum = computed(() => fresh.value.reduce((all, { line }) => all + (line.brings?.now ?? 0), 0))
</script>

<template>
  <ShellFailed v-if="problem" :problem="problem" @again="load" />
  <v-skeleton-loader v-else-if="!answer" type="table-row@6" class="sheet" />
  <template v-else>
    <div class="head">
      <v-text-field
        v-model="contains"
        label="Find a phrase or a video"
        data-test="channel-find"
        density="compact"
        hide-details
        clearable
        maxlength="100"
        class="find"
        @update:model-value="contains = $event ?? ''"
      />
      <p class="small muted" data-test="channel-sum">
        {{ inDigits(rows.length) }} ranks. {{ inDigits(fresh.length) }} of the last {{ FRESH_DAYS }} days bring
        {{ fewViews(sum) }} views a month together.<template v-if="answer.more"> The newest 10,000 are shown.</template>
      </p>
    </div>
    <v-data-table-virtual
      :headers="HEADERS"
      :items="rows"
      :sort-by="[{ key: 'brings', order: 'desc' }]"
      item-value="id"
      density="compact"
      fixed-header
      class="sheet table"
      tabindex="0"
      no-data-text="Nothing was looked up here yet: look up the phrases of a video, or watch them."
      aria-label="Ranks of all videos"
      data-test="channel-table"
    >
      <template #[`item.phrase`]="{ item }"
        ><button
          class="plain phrase"
          title="Show its curve"
          data-test="channel-row"
          @click="address({ view: undefined, video: item.line.videoId, phrase: item.phrase }, true)"
        >
          {{ item.phrase }}
        </button></template
      >
      <template #[`item.title`]="{ item }"
        ><span class="cut" :title="item.title">{{ item.title }}</span></template
      >
      <template #[`item.seen`]="{ item }"
        ><span class="small muted">{{ dayOnly(item.seen) }}</span></template
      >
      <template v-for="{ key } in RANK_COLUMNS" :key="key" #[`item.${key}`]="{ item }"
        ><RanksCell :line="item.line" :column="key"
      /></template>
    </v-data-table-virtual>
  </template>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}
.find {
  flex: 0 1 280px;
}
.table {
  flex: 1;
  min-height: 200px;
}
.cut {
  display: block;
  max-width: 165px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
:deep(th),
:deep(td) {
  padding: 2px 8px !important;
}
:deep(td) {
  white-space: nowrap;
}
:deep(td:first-child) {
  white-space: normal;
  min-width: 130px;
}
:deep(th) {
  line-height: 1.2;
}
.phrase {
  text-align: left;
  color: inherit;
  min-height: 24px;
}
</style>
