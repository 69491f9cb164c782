<script setup lang="ts">
import { computed } from 'vue'
import { LEAST_REACH_VIDEOS } from '../../../core/ranks/reach'
import type { ReachAnswer } from '../../../shared/forecasts'
import { counted, dateOnly } from '~/composables/figures'
import { useTray } from '~/stores/tray'

/** The difficulty the channel wins half the time, how it grew, and which phrases of the tray lie within it. */
const props = defineProps<{ known: ReachAnswer }>()
const tray = useTray()
const phrases = computed(() =>
  tray.phrases.flatMap(({ phrase, mark }) => {
    const difficulty = tray.figures.get(phrase)?.difficulty ?? null
    return difficulty === null ? [] : [{ phrase, mark, difficulty }]
  }),
)
const reach = computed(() => props.known.reach)
const within = computed(() => phrases.value.filter(({ difficulty }) => difficulty <= reach.value!.reach))
const maybe = computed(() =>
  phrases.value.filter(({ difficulty }) => difficulty > reach.value!.reach && difficulty <= reach.value!.high),
)
const marks = (list: readonly { mark: string; phrase: string }[]) =>
  list.map(({ mark, phrase }) => `${mark} ${phrase}`).join(', ')
const round = (value: number) => Math.round(value)
</script>

<template>
  <section class="part" aria-labelledby="reach" data-test="reach">
    <h2 id="reach">My reach</h2>
    <template v-if="reach">
      <p>
        <span
          class="figure big"
          :title="`${reach.reach.toFixed(1)}, 80 % between ${reach.low.toFixed(1)} and ${reach.high.toFixed(1)}`"
          >{{ round(reach.reach) }}</span
        >
        <span class="muted"> of 100; between {{ round(reach.low) }} and {{ round(reach.high) }}</span>
      </p>
      <p class="small">
        Half of what is this difficult reaches page one. From {{ counted(reach.phrases, 'phrase') }} of
        {{ counted(reach.videos, 'video') }}, of which {{ known.won }} reached it.
      </p>
      <ol v-if="known.grew.length > 1" class="grew small" data-test="reach-grew">
        <li v-for="step in known.grew" :key="step.at">
          <span class="muted">{{ dateOnly(step.at) }}</span>
          <span class="figure">{{ round(step.reach) }}</span>
          <span class="muted">{{ round(step.low) }} to {{ round(step.high) }}</span>
        </li>
      </ol>
      <p v-if="phrases.length" class="small" data-test="reach-tray">
        In the tray within it: {{ within.length ? marks(within) : 'none' }}.<template v-if="maybe.length">
          Perhaps: {{ marks(maybe) }}.</template
        >
      </p>
    </template>
    <p v-else class="muted">
      {{ counted(known.videos, 'video') }} of yours are known four weeks after their release; it takes
      {{ LEAST_REACH_VIDEOS }}. Watch the phrases of your videos under <em>Ranks</em>.
    </p>
  </section>
</template>

<style scoped>
.big {
  font-size: 30px;
}
.grew {
  list-style: none;
  margin: 0;
  padding: 0;
}
.grew li {
  display: grid;
  grid-template-columns: 96px 40px 1fr;
  gap: 8px;
}
.grew .figure {
  text-align: end;
}
</style>
