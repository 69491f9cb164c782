<script setup lang="ts">
import { mdiClose, mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import { titleStart } from '../../../core/titles/ideas'
import { useBrief } from '~/stores/brief'
import { usePlaylists } from '~/stores/playlists'

/** The playlists that the open brief is in, and the one of them that is worked on. */
const brief = useBrief()
const playlists = usePlaylists()
const route = useRoute()
const address = useAddress()
const id = computed(() => brief.brief!.id)
const fields = computed(() => brief.fields!)
const entry = computed(() => ({ kind: 'brief' as const, id: id.value }))
const holds = (held: boolean) =>
  computed(() => (playlists.lines ?? []).filter(line => line.entries.some(each => each.id === id.value) === held))
const mine = holds(true)
const others = holds(false)
const open = computed(() => mine.value.find(line => line.id === route.query.playlist) ?? mine.value[0] ?? null)
const show = (playlist: string | undefined) => address({ playlist }, true)

async function makeNew() {
  const { tray, region, language } = fields.value
  const lead = tray.lead ?? ''
  // A playlist is found by its title: it begins with the phrase, to be written on.
  const title = titleStart(lead, language)
  const made = await playlists.make({ title, lead, region, language, entries: [entry.value] })
  if (made) await show(made)
}
</script>

<template>
  <div class="desk-part">
    <h2 class="part-name">Playlist</h2>
    <div class="choose">
      <v-btn
        v-for="line in mine"
        :key="line.id"
        size="small"
        :variant="line.id === open?.id ? 'tonal' : 'text'"
        :aria-pressed="line.id === open?.id"
        data-test="in-playlist"
        @click="show(line.id)"
        >{{ line.title || 'Untitled' }}</v-btn
      >
      <v-btn
        v-if="open"
        size="x-small"
        :icon="mdiClose"
        :aria-label="`Take this brief out of ${open.title || 'Untitled'}`"
        title="Take this brief out"
        @click="playlists.hold(open, entry, false)"
      />
      <v-menu v-if="others.length">
        <template #activator="{ props: menu }"
          ><v-btn v-bind="menu" size="small" data-test="playlist-join">Add to a playlist</v-btn></template
        >
        <v-list role="menu" density="compact">
          <v-list-item
            v-for="line in others"
            :key="line.id"
            role="menuitem"
            :title="line.title || 'Untitled'"
            @click="playlists.hold(line, entry, true).then(() => show(line.id))"
          />
        </v-list>
      </v-menu>
      <v-btn size="small" :prepend-icon="mdiPlus" data-test="playlist-new" @click="makeNew">New playlist</v-btn>
    </div>
    <p v-if="playlists.problem && !playlists.lines" role="alert" class="sheet said">
      {{ playlists.problem }} <button class="plain link" @click="playlists.load()">Try again</button>
    </p>
    <v-skeleton-loader v-else-if="!playlists.lines" type="heading, paragraph@2" />
    <PlaylistWork v-else-if="open" :id="open.id" :key="open.id" :brief="id" :profile="fields.profile" />
    <div v-else class="two-columns" data-test="no-playlist">
      <div class="sheet said">
        <h3>In no playlist yet</h3>
        <p class="muted">
          A playlist is found in search by itself and leads viewers on. Add this brief to one that is near, or make one.
        </p>
        <v-btn size="small" variant="tonal" :prepend-icon="mdiPlus" @click="makeNew"
          >New playlist with this brief</v-btn
        >
      </div>
      <PlaylistSuggested :where="{ region: fields.region, language: fields.language }" :brief="id" @made="show" />
    </div>
  </div>
</template>

<style scoped>
.said {
  padding: 24px;
  display: grid;
  gap: 10px;
  align-content: start;
  justify-items: start;
}
</style>
