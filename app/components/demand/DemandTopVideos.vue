<script setup lang="ts">
import type { PhraseSheet } from '../../../shared/phrases'
import { dateOnly, rounded, UNKNOWN } from '~/composables/figures'

/** The first results of a phrase. */
defineProps<{ videos: PhraseSheet['top'] }>()
</script>

<template>
  <section aria-label="On top">
    <h3>On top</h3>
    <ol class="top">
      <li v-for="video in videos" :key="video.videoId">
        <img v-if="video.thumbnail" :src="video.thumbnail" alt="" width="64" height="36" />
        <div>
          <div class="clip" :title="video.title">{{ video.title }}</div>
          <div class="small muted clip">
            {{ video.channel }} · {{ rounded(video.views) }} views ·
            {{ video.publishedAt === null ? UNKNOWN : dateOnly(video.publishedAt) }}
          </div>
        </div>
        <span class="figure small" title="Strength of this result, 0 to 1">{{ video.strength.toFixed(2) }}</span>
      </li>
    </ol>
    <p v-if="!videos.length" class="muted small">No results loaded yet.</p>
  </section>
</template>

<style scoped>
h3 {
  font-size: 13px;
  margin-bottom: 4px;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
.top li {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  padding: 3px 0;
}
.top img {
  border-radius: 2px;
  display: block;
}
.clip {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  display: block;
  max-width: 100%;
}
</style>
