<script setup lang="ts">
import { computed } from 'vue'
import type { ResultsAnswer, RivalRow } from '../../../shared/rivals'
import { useBrief } from '~/stores/brief'
import { useWorkspaceItems } from '~/stores/workspaceItems'

interface Column {
  key: string
  title: string
  hint?: string
  of: (row: RivalRow) => number | string | null
}
const props = defineProps<{ page: ResultsAnswer }>()
const route = useRoute()
const opened = computed(() => (typeof route.query.video === 'string' ? route.query.video : null))
const sort = computed(() => {
  const [key = 'rank', direction = 'asc'] = (
    typeof route.query.order === 'string' ? route.query.order : 'rank:asc'
  ).split(':')
  return { key, direction }
})
const set = useAddress()
const brief = useBrief()
const items = useWorkspaceItems()
const ruleSet = computed(() => items.ruleSetOf(brief.fields?.ruleSet ?? ''))
const earned = useEarned(
  computed(() => props.page),
  ruleSet,
  computed(() => brief.fields?.language ?? 'en'),
)
const COLUMNS = computed((): Column[] => [
  { key: 'rank', title: 'Rank', of: row => row.rank },
  { key: 'title', title: 'Title and channel', of: row => row.title },
  { key: 'subscribers', title: 'Subs', hint: 'Subscribers of the channel', of: row => row.channel.subscribers },
  { key: 'views', title: 'Views', of: row => row.views },
  { key: 'daily', title: 'A day', hint: 'Views a day over its life', of: row => row.viewsPerDay },
  { key: 'age', title: 'Age', of: row => (row.publishedAt === null ? null : -row.publishedAt) },
  { key: 'length', title: 'Length', of: row => row.durationSeconds },
  { key: 'likes', title: 'Likes', of: row => row.likes },
  { key: 'comments', title: 'Cmts', hint: 'Comments', of: row => row.comments },
  {
    key: 'words',
    title: 'Words',
    hint: 'Match of the phrase in title, first line and best tag',
    of: row => row.targeting,
  },
  {
    key: 'earned',
    title: 'Score',
    hint: `What the rule set “${ruleSet.value.name}” gives its title, description and tags for this phrase`,
    of: row => earned.value.get(row.videoId) ?? null,
  },
  {
    key: 'strength',
    title: 'Strength',
    hint: 'Strength of the result, 0 to 1; the line marks my channel',
    of: row => row.strength,
  },
])
const rows = computed(() => {
  const column = COLUMNS.value.find(each => each.key === sort.value.key) ?? COLUMNS.value[0]!
  const sign = sort.value.direction === 'desc' ? -1 : 1
  return [...props.page.rows].sort((a, b) => {
    const [x, y] = [column.of(a), column.of(b)]
    if (x === null || y === null) return Number(x === null) - Number(y === null) || a.rank - b.rank
    return (x < y ? -1 : x > y ? 1 : 0) * sign || a.rank - b.rank
  })
})
const drawn = useDrawnInParts(
  () => rows.value,
  () => `${props.page.from} ${props.page.region} ${props.page.phrase}`,
)
function sortBy(key: string) {
  const first = key === 'rank' || key === 'title' ? 'asc' : 'desc'
  const next = sort.value.key === key ? (sort.value.direction === 'asc' ? 'desc' : 'asc') : first
  void set({ order: key === 'rank' && next === 'asc' ? undefined : `${key}:${next}` })
}
/** The same for all rows at all times: with another each would be drawn anew whenever one more is. */
const open = (video: string) => void set({ video: opened.value === video ? undefined : video })
const own = computed(() => props.page.reading.own?.strength ?? null)
</script>

<template>
  <div class="sheet frame">
    <table data-test="ladder" aria-label="Results" :aria-rowcount="rows.length + 1">
      <thead>
        <tr>
          <th
            v-for="column in COLUMNS"
            :key="column.key"
            scope="col"
            :class="column.key"
            :aria-sort="sort.key === column.key ? (sort.direction === 'asc' ? 'ascending' : 'descending') : undefined"
          >
            <button class="plain" :title="column.hint" :data-test="`order-${column.key}`" @click="sortBy(column.key)">
              {{ column.title
              }}<span aria-hidden="true">{{
                sort.key === column.key ? (sort.direction === 'asc' ? ' ↑' : ' ↓') : ''
              }}</span>
            </button>
          </th>
          <th scope="col" class="act"><span class="unseen">Do</span></th>
        </tr>
      </thead>
      <RivalsRow
        v-for="(row, i) in drawn"
        :key="row.videoId"
        :row
        :index="i + 2"
        :at="page.at"
        :own
        :earned="earned.get(row.videoId) ?? null"
        :open="opened === row.videoId"
        :columns="COLUMNS.length + 1"
        @open="open"
      />
    </table>
    <p v-if="!page.rows.length" class="empty muted">No results yet for this phrase.</p>
  </div>
</template>

<style scoped>
.frame {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}
th {
  padding: 3px 4px;
  border-bottom: 1px solid var(--line);
  text-align: end;
  white-space: nowrap;
  font-size: 12.5px;
}
th {
  position: sticky;
  top: 0;
  background: var(--paper);
  z-index: 2;
  color: var(--muted);
  font-size: 12px;
  font-weight: 600;
  height: 32px;
  width: 50px;
}
th.rank {
  width: 46px;
}
th.title {
  text-align: start;
  width: auto;
}
th.comments,
th.likes {
  width: 42px;
}
th.words {
  width: 58px;
  text-align: center;
}
th.strength {
  width: 112px;
}
th.act {
  width: 34px;
}
.empty {
  padding: 24px;
}
/* Rows of a table are laid out all together; as lines of a grid those out of sight can wait. */
@media screen {
  table,
  thead {
    display: block;
  }
  table {
    --ladder-columns: 46px minmax(150px, 1fr) repeat(5, 50px) repeat(2, 42px) 58px 50px 112px 34px;
    /* The columns, and a title that can be read. */
    min-width: 784px;
  }
  thead {
    position: sticky;
    top: 0;
    z-index: 2;
  }
  thead tr {
    display: grid;
    grid-template-columns: var(--ladder-columns);
  }
  thead th {
    width: auto;
    align-content: center;
  }
}
</style>
