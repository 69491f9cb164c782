<script setup lang="ts">
import { computed } from 'vue'
import { inDigits } from '../../../core/text/inWords'
import type { DraftPhrases } from '../../../core/draft/draft'
import type { PlaylistAnswer } from '../../../shared/playlists'
import type { Scored } from '~/workers/score.worker'
import { rounded } from '~/composables/figures'
import { usePlaylists } from '~/stores/playlists'

/** The title and the text of a playlist, and the phrase it is to be found by. */
const props = defineProps<{ playlist: PlaylistAnswer; scored: Scored | null; phrases: DraftPhrases }>()
const playlists = usePlaylists()
const list = computed(() => [...(props.phrases.lead ? [props.phrases.lead] : []), ...props.phrases.support])
const counts = computed(() => props.scored?.score.counts)
</script>

<template>
  <div v-if="playlists.theirs" class="sheet settle" role="alert" data-test="playlist-conflict">
    <p>
      This playlist was changed in another window, to “{{ playlists.theirs.title || 'Untitled' }}” with
      {{ playlists.theirs.entries.length }} in it. Nothing was overwritten.
    </p>
    <v-btn size="small" variant="tonal" data-test="playlist-mine" @click="playlists.settle(true)"
      >Keep what I changed here</v-btn
    ><v-btn size="small" variant="tonal" data-test="playlist-theirs" @click="playlists.settle(false)"
      >Take the other version</v-btn
    >
  </div>
  <section aria-label="Title of the playlist">
    <div class="head">
      <h2>Title</h2>
      <span v-if="counts" class="figure small" :class="{ over: counts.title.used > counts.title.limit }"
        >{{ counts.title.used }} / {{ counts.title.limit }}</span
      >
      <v-spacer />
      <button v-if="playlists.saving === 'failed'" class="plain small over" @click="playlists.flush()">
        Not saved. Try again
      </button>
      <span v-else class="small muted" data-test="playlist-saved">{{
        playlists.saving === 'saved' ? 'Saved' : 'Saving'
      }}</span>
    </div>
    <DeskText
      :key="`title-${playlist.id}`"
      :model-value="playlist.title"
      label="Title of the playlist"
      single-line
      hint="The phrase it is found by, then what the series leads to"
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
      <span v-if="counts" class="figure small" :class="{ over: counts.description.used > counts.description.limit }"
        >{{ inDigits(counts.description.used) }} / {{ inDigits(counts.description.limit) }}
        {{ counts.description.unit === 'bytes' ? 'bytes' : 'characters' }}</span
      >
    </div>
    <DeskText
      :key="`text-${playlist.id}`"
      class="long"
      :model-value="playlist.description"
      label="Text of the playlist"
      hint="Whom it is for and what it holds, with the phrase in the first sentences"
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
      <div title="How hard it is to stand among the playlists found for it. Look under Found.">
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
.over {
  color: var(--plum);
  font-weight: 600;
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
.settle {
  padding: 10px 14px;
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  border-color: var(--ochre);
}
.settle p {
  flex: 1 1 100%;
}
</style>
