<script setup lang="ts">
import { computed } from 'vue'
import { useBrief } from '~/stores/brief'
import { useTray } from '~/stores/tray'

/** What Demand answers, while nothing is asked. */
const emit = defineEmits<{ ask: [phrase: string] }>()
const brief = useBrief()
const tray = useTray()
const ideas = computed(() =>
  [...new Set([tray.tray.lead, ...tray.tray.support.slice(0, 4), brief.fields?.topic.toLowerCase() || null])].filter(
    (idea): idea is string => idea !== null && idea !== '' && idea.length <= 200,
  ),
)
</script>

<template>
  <div class="sheet state" data-test="demand-empty">
    <h2>What do people search for, and can I win it?</h2>
    <p>
      Type a topic above to see what people search for, how often, how firmly the results are held, and one figure that
      combines the two.
    </p>
    <p class="muted">
      The data that ships with Fonetra is simulated: it covers bicycle repair and a few related trades in an invented
      world. For anything else, import a list of phrases with their searches; to work with your own data alone, say so
      in the Library, under <NuxtLink class="link" to="/library?tab=sources">Sources</NuxtLink>.
    </p>
    <p v-if="ideas.length">
      From this brief:
      <v-btn
        v-for="idea in ideas"
        :key="idea"
        class="ma-1"
        variant="outlined"
        size="small"
        @click="emit('ask', idea)"
        >{{ idea }}</v-btn
      >
    </p>
  </div>
</template>

<style scoped>
.state {
  flex: 1;
}
</style>
