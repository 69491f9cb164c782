<script setup lang="ts">
import { computed } from 'vue'
import { dayName, rankDay } from '../../../core/ranks/standing'
import type { RankSurroundings } from '../../../shared/ranks'
import { dayOnly } from '~/composables/figures'

/** What was done for the video and who came in above it, newest first; and the rival to be passed. */
const props = defineProps<{
  known: RankSurroundings | null
  problem: string
  phrase: string
  rival: string
  /** Where its result page is seen; `null` for web search. */
  page: { path: string; query: Record<string, string> } | null
}>()
const emit = defineEmits<{ rival: [id: string]; again: [] }>()
const events = computed(() =>
  [
    ...(props.known?.marks ?? []).map(({ at, text, kind }) => ({
      at,
      text,
      more: '',
      title: '',
      kind: kind as string,
    })),
    ...(props.known?.arrivals ?? []).map(({ at, since, title, rank }) => ({
      at,
      text: `New at rank ${rank}`,
      more: title,
      title: `First seen on ${dayOnly(rankDay(at))}; not on page one on ${dayOnly(rankDay(since))}, the look before`,
      kind: 'arrival',
    })),
  ].sort((a, b) => b.at - a.at),
)
const rivals = computed(() => {
  const { rivals = [], rival } = props.known ?? {}
  const found = rivals.map(({ videoId, title, rank }) => ({ value: videoId, title: `${rank}. ${title}` }))
  // One that left the page can still be looked at.
  return rival && !found.some(({ value }) => value === rival.videoId)
    ? [{ value: rival.videoId, title: rival.title }, ...found]
    : found
})
</script>

<template>
  <section aria-label="What happened" tabindex="0" data-test="rank-events">
    <v-autocomplete
      v-if="phrase && rivals.length"
      :model-value="rival || null"
      :items="rivals"
      label="Rival to pass"
      variant="outlined"
      density="compact"
      clearable
      hide-details
      class="rival"
      data-test="rank-rival"
      @update:model-value="emit('rival', $event ?? '')"
    />
    <NuxtLink v-if="page" :to="page" class="small page" data-test="rank-page">Its result page in Rivals</NuxtLink>
    <p v-if="problem" role="alert" class="small">
      {{ problem }} <button class="plain link" @click="emit('again')">Try again</button>
    </p>
    <ol v-else-if="events.length">
      <li v-for="(event, i) in events" :key="i" :class="event.kind" :title="event.title || undefined">
        <NuxtLink
          v-if="page && event.kind === 'arrival'"
          class="link"
          :to="{ ...page, query: { ...page.query, day: dayName(rankDay(event.at)) } }"
          title="The result page of that day"
          data-test="rank-day"
          >{{ dayOnly(rankDay(event.at)) }}</NuxtLink
        >
        <span v-else class="muted">{{ dayOnly(rankDay(event.at)) }}</span>
        <span
          >{{ event.text }}<template v-if="event.more">: {{ event.more }}</template></span
        >
      </li>
    </ol>
    <p v-else-if="known" class="small muted">
      Nothing is known to have happened to this video.{{
        phrase ? '' : ' Choose a phrase below to see who came in above it.'
      }}
    </p>
  </section>
</template>

<style scoped>
section {
  overflow: auto;
  display: grid;
  gap: 8px;
  align-content: start;
  padding: 10px 12px;
}
.rival {
  margin-top: 2px;
}
.page {
  color: var(--teal);
}
ol {
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 13px;
}
li {
  display: grid;
  grid-template-columns: 84px 1fr;
  gap: 8px;
  padding: 3px 0 3px 8px;
  border-left: 3px solid var(--line);
}
li.changed,
li.released {
  border-color: var(--teal);
}
li.told {
  border-color: var(--ochre);
}
li.arrival {
  border-color: var(--plum);
}
</style>
