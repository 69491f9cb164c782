<script setup lang="ts">
import { computed } from 'vue'
import type { DraftPhrases } from '../../../core/draft/draft'
import type { PlaylistAnswer } from '../../../shared/playlists'
import type { Scored } from '~/workers/score.worker'
import { counted, rounded } from '~/composables/figures'
import { usePlaylists } from '~/stores/playlists'

/** The title and the text of a playlist, and the phrase it is to be found by. */
const props = defineProps<{ playlist: PlaylistAnswer; scored: Scored | null; phrases: DraftPhrases }>()
const playlists = usePlaylists()
const list = computed(() => [...(props.phrases.lead ? [props.phrases.lead] : []), ...props.phrases.support])
const other = computed(() => {
  const { title = '', entries = [] } = playlists.theirs ?? {}
  const held = counted(entries.length, 'video')
  return `This playlist was changed in another window, to “${title || 'Untitled'}” with ${held}.`
})
const counts = computed(() => props.scored?.score.counts)
</script>

<template>
  <DeskSettle v-if="playlists.theirs" :said="other" data-test="playlist-conflict" @settle="playlists.settle($event)" />
  <section aria-label="Title of the playlist">
    <div class="head">
      <h2>Title</h2>
      <DeskTally :tally="counts?.title" />
      <v-spacer />
      <DeskSaving :state="playlists.saving" data-test="playlist-saved" @retry="playlists.flush()" />
    </div>
    <DeskText
      :key="`title-${playlist.id}`"
      :model-value="playlist.title"
      label="Title of the playlist"
      single-line
      hint="The phrase people search for, then what the series is about"
      :underlines="scored?.title ?? []"
      :phrases="list"
      :marks="[]"
      data-test="playlist-title"
      @update:model-value="playlists.set({ title: $event })"
    />
  </section>
  <section class="body" aria-label="Text of the playlist">
    <div class="head">
      <h2>Text</h2>
      <DeskTally :tally="counts?.description" unit />
    </div>
    <DeskText
      :key="`text-${playlist.id}`"
      class="long"
      :model-value="playlist.description"
      label="Text of the playlist"
      hint="Who it is for and which videos it has, with the phrase in the first sentences"
      :underlines="scored?.description ?? []"
      :phrases="list"
      :marks="[]"
      data-test="playlist-text"
      @update:model-value="playlists.set({ description: $event })"
    />
  </section>
  <div class="lead">
    <v-text-field
      :model-value="playlist.lead"
      label="Lead phrase of the playlist"
      maxlength="200"
      hide-details
      data-test="playlist-lead"
      @update:model-value="playlists.set({ lead: $event ?? '' })"
    />
    <dl class="small">
      <div>
        <dt>Searches</dt>
        <dd class="figure" data-test="playlist-searches">{{ rounded(playlist.searches) }}</dd>
      </div>
      <div title="Among the playlists found for the lead, 0 to 100. See Found.">
        <dt>Difficulty</dt>
        <dd class="figure" data-test="playlist-difficulty">{{ rounded(playlist.difficulty) }}</dd>
      </div>
    </dl>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 28px;
}
.body {
  display: flex;
  flex-direction: column;
  min-height: 110px;
  flex: 1;
}
.long {
  flex: 1;
}
.lead {
  display: flex;
  gap: 16px;
  align-items: center;
}
dl {
  display: flex;
  gap: 16px;
  margin: 0;
}
dt {
  color: var(--muted);
}
dd {
  margin: 0;
}
</style>
