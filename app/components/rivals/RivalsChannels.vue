<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { ChannelStats, ResultsAnswer } from '../../../shared/rivals'
import { api, EVERY_REGION, messageOf } from '~/composables/api'
import { dateOnly, inFull, percent, rounded, UNKNOWN } from '~/composables/figures'
import type { RivalsQuestion } from '~/stores/rivals'
import { useAccess } from '~/stores/access'
import { useWorkspace } from '~/stores/workspace'

const props = defineProps<{ page: ResultsAnswer; question: RivalsQuestion; channel: string | null }>()
const emit = defineEmits<{ open: [channel: string | null] }>()
const access = useAccess()
const workspace = useWorkspace()
const looked = shallowRef(new Map<string, ChannelStats>())
const watched = shallowRef<ChannelStats[]>([])
const missing = ref(0)
const busy = ref(true)
const problem = ref('')

async function load() {
  busy.value = true
  problem.value = ''
  const asked = props.question
  const { region, ...rest } = asked
  try {
    const [got, set] = await Promise.all([
      api(`${access.askMethod} /api/results/channels`, {
        query: { ...rest, region: region ?? EVERY_REGION },
      }),
      api('GET /api/channels', { query: { workspace: workspace.id } }),
    ])
    if (asked !== props.question) return
    looked.value = new Map(got.channels.map(each => [each.id, each]))
    missing.value = got.missing
    watched.value = set.channels
  } catch (error) {
    if (asked === props.question) problem.value = messageOf(error)
  } finally {
    if (asked === props.question) busy.value = false
  }
}
watch(
  () => [props.question, props.page.at],
  () => void load(),
  { immediate: true },
)

interface Line {
  id: string
  title: string
  results: number
  nameHolds: boolean
  subscribers: number | null
  stats: ChannelStats | null
}
const lines = computed<Line[]>(() => [
  ...props.page.channels.map(each => ({ ...each, stats: looked.value.get(each.id) ?? null })),
  ...watched.value
    .filter(each => !props.page.channels.some(other => other.id === each.id))
    .map(each => ({
      id: each.id,
      title: each.title,
      results: 0,
      nameHolds: false,
      subscribers: each.subscribers,
      stats: each,
    })),
])
const COLUMNS: {
  key: string
  title: string
  hint?: string
  of: (line: Line) => number | string | null
  text: (line: Line) => string
  /** What is rounded on the screen, in full. */ full?: (line: Line) => number | null | undefined
}[] = [
  {
    key: 'results',
    title: 'Here',
    hint: 'Number of page-one results from this channel',
    of: line => line.results,
    text: line => String(line.results || UNKNOWN),
  },
  {
    key: 'subscribers',
    title: 'Subscribers',
    of: line => line.subscribers,
    text: line => rounded(line.subscribers),
    full: line => line.subscribers,
  },
  {
    key: 'founded',
    title: 'Founded',
    of: line => line.stats?.foundedAt ?? null,
    text: line => (line.stats?.foundedAt ? dateOnly(line.stats.foundedAt) : UNKNOWN),
  },
  {
    key: 'videos',
    title: 'Videos',
    of: line => line.stats?.videos ?? null,
    text: line => rounded(line.stats?.videos),
    full: line => line.stats?.videos,
  },
  {
    key: 'median',
    title: 'Median views',
    of: line => line.stats?.medianViews ?? null,
    text: line => rounded(line.stats?.medianViews == null ? null : Math.round(line.stats.medianViews)),
    full: line => line.stats?.medianViews,
  },
  {
    key: 'perSubscriber',
    title: 'Per subscriber',
    hint: 'Median views per subscriber',
    of: line => line.stats?.viewsPerSubscriber ?? null,
    text: line => (line.stats?.viewsPerSubscriber == null ? UNKNOWN : line.stats.viewsPerSubscriber.toFixed(2)),
  },
  {
    key: 'share',
    title: 'One video',
    hint: 'Share of the channel’s views from its best video',
    of: line => line.stats?.oneVideoShare ?? null,
    text: line => (line.stats?.oneVideoShare == null ? UNKNOWN : percent(line.stats.oneVideoShare)),
  },
  {
    key: 'name',
    title: 'In its name',
    hint: 'Whether the channel name contains the phrase',
    of: line => Number(line.nameHolds),
    text: line => (line.nameHolds ? 'yes' : 'no'),
  },
]
const sort = ref({ key: 'results', direction: -1 })
const sorted = computed(() => {
  const column = COLUMNS.find(each => each.key === sort.value.key)
  const of = column?.of ?? ((line: Line) => line.title)
  return [...lines.value].sort((a, b) => {
    const [x, y] = [of(a), of(b)]
    if (x === null || y === null) return Number(x === null) - Number(y === null)
    return (x < y ? -1 : x > y ? 1 : 0) * sort.value.direction
  })
})
const sortBy = (key: string) => {
  sort.value = { key, direction: sort.value.key === key ? -sort.value.direction : key === 'title' ? 1 : -1 }
}
</script>

<template>
  <RivalsChannel
    v-if="channel"
    :id="channel"
    :language="question.language"
    @close="emit('open', null)"
    @watched="load"
  />
  <div v-else class="sheet frame" data-test="channels">
    <p v-if="busy" class="small muted note">Loading the channels of page one …</p>
    <p v-else-if="problem" class="note" role="alert">
      {{ problem }} <button class="plain link" @click="load">Try again</button>
    </p>
    <p v-else-if="missing" class="small missing note">
      {{ missing }} channels could not be looked at. <button class="plain link" @click="load">Look again</button>
    </p>
    <table aria-label="Channels of page one">
      <thead>
        <tr>
          <th
            scope="col"
            class="title"
            :aria-sort="sort.key === 'title' ? (sort.direction > 0 ? 'ascending' : 'descending') : undefined"
          >
            <button class="plain" @click="sortBy('title')">Channel</button>
          </th>
          <th
            v-for="column in COLUMNS"
            :key="column.key"
            scope="col"
            :aria-sort="sort.key === column.key ? (sort.direction > 0 ? 'ascending' : 'descending') : undefined"
          >
            <button class="plain" :title="column.hint" @click="sortBy(column.key)">
              {{ column.title
              }}<span aria-hidden="true">{{ sort.key === column.key ? (sort.direction > 0 ? ' ↑' : ' ↓') : '' }}</span>
            </button>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in sorted" :key="line.id" data-test="channel">
          <td class="title">
            <button class="plain name" @click="emit('open', line.id)">{{ line.title }}</button><span
              v-if="watched.some(each => each.id === line.id)"
              class="tag small"
              >rival set</span
            >
          </td>
          <td
            v-for="column in COLUMNS"
            :key="column.key"
            class="figure"
            :title="column.full?.(line) == null ? undefined : inFull(Math.round(column.full(line)!))"
          >
            {{ column.text(line) }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.frame {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
.note {
  padding: 8px 12px;
}
.missing {
  color: var(--plum);
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 6px 7px;
  font-size: 13px;
  text-align: end;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
th {
  position: sticky;
  top: 0;
  background: var(--paper);
  color: var(--muted);
  font-size: 12px;
  z-index: 1;
}
.title {
  text-align: start;
}
.name {
  font-weight: 600;
  text-decoration: underline;
  text-decoration-color: var(--line);
  text-underline-offset: 3px;
}
.tag {
  margin-left: 8px;
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 8px;
  color: var(--muted);
}
.link {
  color: var(--teal);
  text-decoration: underline;
}
</style>
