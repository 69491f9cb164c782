<script setup lang="ts">
import { mdiClose, mdiDragVertical, mdiPin, mdiPinOutline } from '@mdi/js'
import { computed, onBeforeUnmount, ref } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import { DEFAULT_PROFILE as profile, tagCost, tagKey, tagsCost } from '../../../../core/draft/limits'
import { TAG_KIND_NAMES, TAG_KINDS, type TagSuggestion } from '../../../../core/tags/suggest'
import { chanceText, counted, inFull, rounded, UNKNOWN } from '~/composables/figures'
import { rankSeen, rankText } from '~/composables/rankCells'
import { useTagRanks } from '~/stores/tagRanks'

/** The tags one below another, each with what is known of it. */
const props = defineProps<{
  tags: string[]
  known: TagSuggestion[]
  /** Keys of tags that packing leaves where they are. */
  pinned: ReadonlySet<string>
}>()
const emit = defineEmits<{ change: [text: string, tags: string[]]; pin: [tag: string] }>()

const COLUMNS = [
  { by: 'tag', name: 'Tag' },
  { by: 'kind', name: 'Kind' },
  { by: 'cost', name: 'Cost' },
  { by: 'volume', name: 'Searches' },
  { by: 'chance', name: 'Chance' },
  { by: 'rank', name: 'Rank' },
] as const
type Column = (typeof COLUMNS)[number]['by']

const about = computed(() => new Map(props.known.map(each => [tagKey(each.tag), each])))
const rows = computed({
  get: () => {
    const seen = new Map<string, number>()
    return props.tags.map(tag => {
      const nth = seen.get(tag) ?? 0
      seen.set(tag, nth + 1)
      return { tag, key: `${tag}\n${nth}`, known: about.value.get(tagKey(tag)) }
    })
  },
  set: list => {
    emit(
      'change',
      'Tags moved.',
      list.map(row => row.tag),
    )
  },
})

const ranks = useTagRanks()
onBeforeUnmount(ranks.follow())
/** What was not found comes after what was, and what was never looked up after that. */
function rankOf(tag: string): number {
  const day = ranks.of(tag)
  return day ? (day.rank ?? BEYOND) : 2 * BEYOND
}
const BEYOND = 1e6
const columns = computed(() => COLUMNS.filter(({ by }) => by !== 'rank'))

/** Puts the tags in an order for good: it is the order they are sent in. */
function sortBy(column: Column) {
  const of = (tag: string) => about.value.get(tagKey(tag))
  const figure = (value: number | null | undefined) => value ?? -1
  const compare: Record<Column, (a: string, b: string) => number> = {
    tag: (a, b) => a.localeCompare(b),
    kind: (a, b) => TAG_KINDS.indexOf(of(a)?.kind ?? 'topic') - TAG_KINDS.indexOf(of(b)?.kind ?? 'topic'),
    cost: (a, b) => tagCost(a, profile) - tagCost(b, profile),
    volume: (a, b) => figure(of(b)?.volume) - figure(of(a)?.volume),
    chance: (a, b) => figure(of(b)?.chance) - figure(of(a)?.chance),
    rank: (a, b) => rankOf(a) - rankOf(b),
  }
  emit('change', 'Tags sorted.', [...props.tags].sort(compare[column]))
}
const body = ref<{ $el: HTMLElement } | null>(null)
function move(at: number, by: number) {
  const to = at + by
  if (to < 0 || to >= props.tags.length) return
  const tags = [...props.tags]
  tags.splice(to, 0, ...tags.splice(at, 1))
  emit('change', 'Tag moved.', tags)
  requestAnimationFrame(() => {
    body.value?.$el.querySelectorAll<HTMLElement>('[data-test=rack-grip]')[to]?.focus()
  })
}
const used = computed(() => tagsCost(props.tags, profile))
</script>

<template>
  <div class="rack">
    <p class="small muted">
      <span class="figure">{{ used }} / {{ profile.tags.limit }}</span> characters with commas. A tag with a space costs
      two more.
      <template v-if="ranks.video && tags.length">
        <template v-if="ranks.progress"
          ><span role="status">{{ ranks.progress.done }} of {{ counted(ranks.progress.of, 'tag') }} looked up</span>
          <button class="plain link" data-test="rack-stop" @click="ranks.stop()">Stop</button></template
        >
        <button v-else class="plain link" data-test="rack-look" @click="ranks.look(tags)">Look up their ranks</button>
      </template>
      <span v-if="ranks.problem" role="alert">{{ ranks.problem }}</span>
    </p>
    <table v-if="tags.length" aria-label="Tags, one below another">
      <thead>
        <tr>
          <th><span class="unseen">Order</span></th>
          <th
            v-for="column in columns"
            :key="column.by"
            :class="[column.by, { right: !['tag', 'kind'].includes(column.by) }]"
          >
            <button class="plain" :title="`Sort the tags by ${column.name.toLowerCase()}`" @click="sortBy(column.by)">
              {{ column.name }}
            </button>
          </th>
          <th title="Whether title, text or phrases mention it">Text</th>
          <th class="right">
            <button
              class="plain"
              title="Sort the tags by rank: where the video stands for them"
              @click="sortBy('rank')"
            >
              Rank
            </button>
          </th>
          <th><span class="unseen">Actions</span></th>
        </tr>
      </thead>
      <VueDraggable ref="body" v-model="rows" tag="tbody" handle=".grip" :animation="120">
        <tr v-for="({ tag, key, known: it }, i) in rows" :key="key" data-test="rack-row">
          <td>
            <button
              class="plain grip"
              data-test="rack-grip"
              :aria-label="`Move ${tag}; arrow keys move it`"
              title="Drag, or move with the arrow keys"
              @keydown.up.prevent="move(i, -1)"
              @keydown.down.prevent="move(i, 1)"
            >
              <v-icon :icon="mdiDragVertical" size="16" />
            </button>
          </td>
          <td class="tag">
            <NuxtLink :to="{ path: '/demand', query: { seed: tag, phrase: tag } }" title="Open its phrase sheet">{{
              tag
            }}</NuxtLink>
          </td>
          <td class="kind small" :title="it && TAG_KIND_NAMES[it.kind]">{{ it?.kind ?? UNKNOWN }}</td>
          <td class="cost figure small right">{{ tagCost(tag, profile) }}</td>
          <td class="figure small right" :title="inFull(it?.volume, 'searches a month')">{{ rounded(it?.volume) }}</td>
          <td class="figure small right">{{ it?.chance == null ? UNKNOWN : chanceText(it.chance) }}</td>
          <td>
            <ShellShape
              :state="it?.supported == null ? 'n/a' : it.supported ? 'met' : 'missing'"
              :label="
                it?.supported == null
                  ? 'nothing to compare with'
                  : it.supported
                    ? 'the text mentions it'
                    : 'the text does not mention it'
              "
            />
          </td>
          <td class="figure small right" :title="rankSeen(ranks.of(tag))" data-test="rack-rank">
            {{ rankText(ranks.of(tag)) }}
          </td>
          <td class="acts">
            <v-btn
              size="x-small"
              :icon="pinned.has(tagKey(tag)) ? mdiPin : mdiPinOutline"
              :aria-label="pinned.has(tagKey(tag)) ? `Let packing drop ${tag}` : `Packing keeps ${tag}`"
              :aria-pressed="pinned.has(tagKey(tag))"
              data-test="rack-pin"
              @click="emit('pin', tag)"
            /><v-btn
              size="x-small"
              :icon="mdiClose"
              :aria-label="`Remove ${tag}`"
              @click="
                emit(
                  'change',
                  `“${tag}” removed.`,
                  tags.filter((_, k) => k !== i),
                )
              "
            />
          </td>
        </tr>
      </VueDraggable>
    </table>
    <p v-else class="muted small">No tags yet. Add some below, or let them be packed.</p>
  </div>
</template>

<style scoped>
.rack {
  container-type: inline-size;
}
/* Narrow, the tags themselves need the room. */
@container (max-width: 480px) {
  .kind,
  .cost {
    display: none;
  }
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
  font-size: 12px;
  color: var(--muted);
  font-weight: 600;
  padding: 4px 6px;
}
td {
  border-top: 1px solid var(--line);
  padding: 1px 6px;
  font-size: 13px;
  vertical-align: middle;
}
.right {
  text-align: right;
  white-space: nowrap;
}
.tag {
  width: 44%;
  min-width: 110px;
  overflow-wrap: break-word;
}
.tag a {
  color: inherit;
}
/* Large enough to be hit by a finger. */
.grip,
.acts :deep(.v-btn) {
  min-width: 24px;
  min-height: 24px;
}
.grip {
  cursor: grab;
  color: var(--muted);
}
.acts {
  white-space: nowrap;
  text-align: right;
}
</style>
