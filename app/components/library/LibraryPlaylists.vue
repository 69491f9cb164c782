<script setup lang="ts">
import { mdiArrowLeft, mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import { ago, dateTime, inFull, rounded } from '~/composables/figures'
import { usePlaylists } from '~/stores/playlists'
import { useWorkspace } from '~/stores/workspace'

/** All playlists; the one in the address is worked on. */
const playlists = usePlaylists()
const workspace = useWorkspace()
const route = useRoute()
const address = useAddress()
const open = computed(() => playlists.lines?.find(line => line.id === route.query.playlist) ?? null)
const show = (playlist: string | undefined) => address({ playlist, side: undefined }, true)
const where = computed(() => ({
  region: workspace.current?.region ?? null,
  language: workspace.current?.language ?? 'en',
}))
const HEADERS = [
  { key: 'title', title: 'Playlist' },
  { key: 'lead', title: 'Lead phrase', width: 170 },
  { key: 'searches', title: 'Searches', align: 'end', width: 110 },
  { key: 'difficulty', title: 'Difficulty', align: 'end', width: 110 },
  {
    key: 'held',
    title: 'Videos',
    align: 'end',
    width: 90,
    value: (line: { entries: unknown[] }) => line.entries.length,
  },
  { key: 'savedAt', title: 'Changed', align: 'end', width: 120 },
  { key: 'do', title: '', sortable: false, width: 60 },
] as const
async function makeNew() {
  const made = await playlists.make(where.value)
  if (made) await show(made)
}
</script>

<template>
  <div class="playlists">
    <template v-if="open">
      <div class="bar">
        <v-btn size="small" :prepend-icon="mdiArrowLeft" data-test="playlists-back" @click="show(undefined)"
          >All playlists</v-btn
        >
      </div>
      <PlaylistWork :id="open.id" :key="open.id" />
    </template>
    <div v-else-if="playlists.problem && !playlists.lines" class="sheet state" role="alert">
      <p>{{ playlists.problem }}</p>
      <v-btn variant="tonal" @click="playlists.load()">Try again</v-btn>
    </div>
    <v-skeleton-loader v-else-if="!playlists.lines" type="table-row@4" class="sheet" />
    <div v-else class="both">
      <div class="list">
        <div class="bar">
          <v-btn
            variant="flat"
            color="primary"
            size="small"
            :prepend-icon="mdiPlus"
            data-test="playlist-new"
            @click="makeNew"
            >New playlist</v-btn
          >
        </div>
        <ShellTable
          :headers="HEADERS"
          :items="playlists.lines"
          item-value="id"
          density="compact"
          fixed-header
          class="sheet table"
          aria-label="Playlists"
          data-test="playlists"
        >
          <template #[`item.title`]="{ item }"
            ><NuxtLink :to="{ query: { ...route.query, playlist: item.id } }" data-test="open-playlist">{{
              item.title || 'Untitled'
            }}</NuxtLink></template
          >
          <template #[`item.lead`]="{ item }"
            ><span :class="{ muted: !item.lead }">{{ item.lead || 'none yet' }}</span></template
          >
          <template #[`item.searches`]="{ item }"
            ><span class="figure" :title="inFull(item.searches, 'searches a month')">{{
              rounded(item.searches)
            }}</span></template
          >
          <template #[`item.difficulty`]="{ item }"
            ><span
              class="figure"
              :title="
                item.difficulty === null
                  ? 'unknown until the playlists found for it are looked at'
                  : inFull(item.difficulty, 'of 100, among playlists')
              "
              >{{ rounded(item.difficulty) }}</span
            ></template
          >
          <template #[`item.held`]="{ item }"
            ><span class="figure">{{ item.entries.length }}</span></template
          >
          <template #[`item.savedAt`]="{ item }"
            ><span :title="dateTime(item.savedAt)">{{ ago(item.savedAt) }}</span></template
          >
          <template #[`item.do`]="{ item }"
            ><v-btn
              size="small"
              :icon="mdiDeleteOutline"
              :aria-label="`Delete ${item.title || 'Untitled'}`"
              @click="playlists.remove(item)"
          /></template>
          <template #no-data
            ><p class="muted empty">
              No playlists yet. A playlist is found in search by itself, under a phrase of its own, and leads viewers
              from one of your videos to the next.
            </p></template
          >
        </ShellTable>
      </div>
      <PlaylistSuggested class="aside" :where="where" @made="show" />
    </div>
  </div>
</template>

<style scoped>
.playlists,
.list {
  flex: 1;
  min-height: 0;
  min-width: 0;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.playlists {
  container-type: inline-size;
}
.both {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  gap: 14px;
}
.aside {
  align-self: start;
  max-height: 100%;
}
.table {
  flex: 0 1 auto;
  min-height: 0;
  overflow: auto;
}
a {
  font-weight: 600;
  color: var(--ink);
  text-underline-offset: 3px;
}
.empty,
.state {
  padding: 28px;
  display: grid;
  gap: 10px;
  justify-items: start;
}
@container (max-width: 980px) {
  .both {
    grid-template-columns: 1fr;
    align-content: start;
    overflow: auto;
  }
}
</style>
