<script setup lang="ts">
import { mdiClose, mdiDragVertical } from '@mdi/js'
import { computed, ref, shallowRef } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import { ORDERS, type PlaylistOrder } from '../../../core/playlist/order'
import type { PlaylistEntry } from '../../../core/playlist/playlist'
import type { PlaylistAnswer, PlaylistRow } from '../../../shared/playlists'
import { api, messageOf } from '~/composables/api'
import { counted, dateOnly, rounded } from '~/composables/figures'
import { useLibrary } from '~/stores/library'
import { useNotices } from '~/stores/notices'
import { usePlaylists } from '~/stores/playlists'
import { useWorkspace } from '~/stores/workspace'

/** What is in a playlist, in its order: by hand, or by a rule. */
const props = defineProps<{ playlist: PlaylistAnswer }>()
const playlists = usePlaylists()
const library = useLibrary()
const workspace = useWorkspace()
const notices = useNotices()

const ORDER_NAMES: Record<PlaylistOrder, string> = {
  hand: 'By hand',
  newest: 'Newest first',
  oldest: 'Oldest first',
  searches: 'Most searched first',
  easiest: 'Easiest first',
  title: 'By title',
}
const orders = ORDERS.map(value => ({ value, title: ORDER_NAMES[value] }))

/** Moved by hand: from then on the order is one's own. */
const rows = computed({
  get: () => [...props.playlist.rows],
  set: list => void put(list, 'Moved.'),
})
const put = (list: readonly PlaylistRow[], said: string) =>
  playlists.change(said, { order: 'hand', entries: playlists.entriesOf(list) })
function move(at: number, by: number) {
  const to = at + by
  if (to < 0 || to >= props.playlist.rows.length) return
  const list = [...props.playlist.rows]
  list.splice(to, 0, ...list.splice(at, 1))
  void put(list, 'Moved.')
}
const remove = ({ id, kind, title }: PlaylistRow) =>
  playlists.change(`“${title || 'What is gone'}” taken out.`, {
    entries: props.playlist.entries.filter(each => each.id !== id || each.kind !== kind),
  })

/** Own videos that are out, asked for when something is to be added. */
const videos = shallowRef<{ id: string; title: string }[] | null>(null)
async function loadVideos() {
  const channel = workspace.current?.channelId
  if (videos.value || !channel) return
  try {
    const { rows: found } = await api('GET /api/channels/:id', { params: { id: channel } })
    videos.value = found.map(({ videoId, title }) => ({ id: videoId, title }))
  } catch (error) {
    notices.show(`Could not load your videos. ${messageOf(error)}`, { serious: true })
  }
}
const choices = computed(() => {
  const held = new Set(props.playlist.entries.map(({ kind, id }) => `${kind} ${id}`))
  return [
    ...library.briefs
      .filter(each => each.workspaceId === workspace.id)
      .map(({ id, title, topic }) => ({
        kind: 'brief' as const,
        id,
        title: title || topic || 'Untitled',
        said: 'brief',
      })),
    ...(videos.value ?? []).map(({ id, title }) => ({ kind: 'video' as const, id, title, said: 'video' })),
  ]
    .map(each => ({ ...each, value: `${each.kind} ${each.id}` }))
    .filter(each => !held.has(each.value))
})
const chosen = ref<string | null>(null)
function add(value: string | null) {
  const found = choices.value.find(each => each.value === value)
  chosen.value = null
  if (!found) return
  const entry: PlaylistEntry = { kind: found.kind, id: found.id }
  void playlists.change(`“${found.title}” added.`, { entries: [...props.playlist.entries, entry] })
}
</script>

<template>
  <section class="held sheet" aria-label="What is in the playlist">
    <div class="head">
      <h2>{{ counted(playlist.entries.length, 'video') }}</h2>
      <v-spacer />
      <v-select
        :model-value="playlist.order"
        :items="orders"
        label="Order"
        hide-details
        class="order"
        data-test="playlist-order"
        @update:model-value="playlists.change('Order changed.', { order: $event })"
      />
    </div>
    <ul v-if="playlist.faults.length" class="faults small" data-test="playlist-faults">
      <li v-for="fault in playlist.faults" :key="`${fault.kind} ${fault.entry}`">{{ fault.message }}</li>
    </ul>
    <VueDraggable v-model="rows" tag="ol" handle=".handle" :animation="120" class="rows" data-test="playlist-rows">
      <li v-for="(row, i) in rows" :key="`${row.kind} ${row.id}`" data-test="playlist-row">
        <button
          class="plain handle"
          :aria-label="`Move ${row.title}: drag, or arrow keys`"
          title="Drag, or arrow keys"
          @keydown.up.prevent="move(i, -1)"
          @keydown.down.prevent="move(i, 1)"
        >
          <v-icon :icon="mdiDragVertical" size="16" />
        </button>
        <span class="figure small muted">{{ i + 1 }}</span>
        <span class="title">
          <em v-if="row.gone" class="muted">No longer there</em>
          <NuxtLink v-else-if="row.kind === 'brief'" :to="`/desk?brief=${row.id}`">{{
            row.title || 'Untitled'
          }}</NuxtLink>
          <span v-else>{{ row.title }}</span>
          <span class="small muted"
            >{{ row.planned ? 'brief' : row.publishedAt === null ? 'video' : dateOnly(row.publishedAt)
            }}<template v-if="row.lead">, {{ row.lead }}</template></span
          >
        </span>
        <span class="figure small num" title="Searches a month">{{ rounded(row.searches) }}</span>
        <span class="figure small num" title="Difficulty among videos">{{ rounded(row.difficulty) }}</span>
        <v-btn size="x-small" :icon="mdiClose" :aria-label="`Take out ${row.title}`" @click="remove(row)" />
      </li>
      <li v-if="!rows.length" class="muted none">Nothing in it yet. Add briefs and videos below.</li>
    </VueDraggable>
    <v-autocomplete
      v-model="chosen"
      :items="choices"
      item-title="title"
      item-value="value"
      label="Add a brief or a video"
      variant="outlined"
      density="compact"
      hide-details
      auto-select-first
      class="add"
      data-test="playlist-add"
      @focus="loadVideos"
      @update:model-value="add"
    >
      <template #item="{ props: item, item: choice }">
        <v-list-item v-bind="item" :subtitle="choice.said" density="compact" />
      </template>
    </v-autocomplete>
  </section>
</template>

<style scoped>
.held {
  display: flex;
  flex-direction: column;
  gap: 6px;
  min-height: 0;
  padding: 8px 12px 12px;
}
.head {
  display: flex;
  align-items: center;
}
.order {
  flex: 0 0 190px;
}
.rows {
  list-style: none;
  padding: 0;
  overflow: auto;
  min-height: 60px;
  border-top: 1px solid var(--line);
}
.faults {
  list-style: none;
  padding: 0;
  color: var(--plum);
}
.rows li {
  display: grid;
  grid-template-columns: 20px 22px minmax(0, 1fr) 52px 34px 28px;
  gap: 6px;
  align-items: center;
  padding: 3px 8px 3px 4px;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
.add {
  flex: none;
}
.rows .none {
  display: block;
  padding: 14px;
}
.handle {
  cursor: grab;
  color: var(--muted);
}
.title {
  display: grid;
  overflow: hidden;
}
.title > * {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.title a {
  color: var(--ink);
  text-underline-offset: 3px;
}
.num {
  text-align: end;
}
</style>
