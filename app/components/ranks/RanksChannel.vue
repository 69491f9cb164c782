<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { FRESH_DAYS } from '../../../core/ranks/standing'
import { inDigits } from '../../../core/text/inWords'
import type { ChannelRanksAnswer } from '../../../shared/ranks'
import { api, messageOf } from '~/composables/api'
import { counted, dayOnly } from '~/composables/figures'
import { fewViews, RANK_COLUMNS } from '~/composables/rankCells'
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
const sought = refDebounced(contains, 200)
const HEADERS = [
  { key: 'phrase', title: 'Phrase' },
  { key: 'title', title: 'Video' },
  { key: 'seen', title: 'Seen', align: 'end', width: 96 },
  ...RANK_COLUMNS,
] as const
type SortBy = { key: string; order?: boolean | 'asc' | 'desc' }
const sortBy = ref<SortBy[]>([{ key: 'brings', order: 'desc' }])
/** Rows come in their order: the table leaves them so. */
const asTheyCome = Object.fromEntries(HEADERS.map(({ key }) => [key, () => 0]))
/** Rows that are asked for at first, and those that come after them. */
const [FIRST, MOST] = [100, 1000]

const asked = () => ({
  ...{ workspace: workspace.id, region: ranks.region, kind: ranks.kind, contains: sought.value.trim() },
  sort: sortBy.value.map(({ key, order }) => `${key}:${order === 'asc' ? 'asc' : 'desc'}`)[0],
})
let loads = 0
async function load() {
  const mine = ++loads
  const query = asked()
  try {
    const found = await api('GET /api/ranks/channel', { query: { ...query, limit: FIRST } })
    if (mine !== loads) return
    answer.value = found
    problem.value = ''
    if (found.rows.length >= found.total) return
    const rest = await api('GET /api/ranks/channel', { query: { ...query, offset: FIRST, limit: MOST - FIRST } })
    if (mine === loads) answer.value = { ...rest, rows: [...found.rows, ...rest.rows] }
  } catch (error) {
    if (mine === loads) problem.value = messageOf(error)
  }
}
watch([() => JSON.stringify(asked()), () => useChanges().revisions.ranks], () => void load(), { immediate: true })
const rows = computed(() =>
  (answer.value?.rows ?? []).map(row => ({
    line: row,
    seen: row.standing.now.day,
    id: `${row.videoId} ${row.phrase}`,
    phrase: row.phrase,
    title: row.title,
  })),
)
/** What the ranks of the last weeks bring together, and which of all are in the table. */
const said = computed(() => {
  const { total, fresh, more } = answer.value!
  if (!total) return ''
  return [
    `${counted(total, 'rank')}.`,
    `${inDigits(fresh.rows)} of the last ${FRESH_DAYS} days bring ${fewViews(fresh.brings)} views a month together.`,
    ...(total > MOST ? [`The first ${inDigits(MOST)} are shown: find or sort to see others.`] : []),
    ...(more ? ['Only the 10,000 ranks of the newest videos are looked through.'] : []),
  ].join(' ')
})
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
        {{ said }}
      </p>
    </div>
    <ShellTable
      v-model:sort-by="sortBy"
      :headers="HEADERS"
      :items="rows"
      :custom-key-sort="asTheyCome"
      must-sort
      item-value="id"
      density="compact"
      fixed-header
      class="sheet table"
      tabindex="0"
      :no-data-text="
        contains
          ? 'No rank has these words.'
          : 'Nothing was looked up here yet: look up the phrases of a video, or watch them.'
      "
      aria-label="Ranks of all videos"
      data-test="channel-table"
    >
      <template #item="{ item, itemRef }"
        ><tr :ref="itemRef">
          <td>
            <button
              class="plain phrase"
              title="Show its curve"
              data-test="channel-row"
              @click="address({ view: undefined, video: item.line.videoId, phrase: item.phrase }, true)"
            >
              {{ item.phrase }}
            </button>
          </td>
          <td>
            <span class="cut" :title="item.title">{{ item.title }}</span>
          </td>
          <td class="small muted seen">{{ dayOnly(item.seen) }}</td>
          <RanksCells :line="item.line" /></tr
      ></template>
    </ShellTable>
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
.seen {
  text-align: end;
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
