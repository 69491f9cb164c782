<script setup lang="ts">
import { computed, ref } from 'vue'
import { dayName } from '../../../core/ranks/standing'
import { phraseKey } from '../../../core/text/words'
import { goTo } from '~/composables/address'
import { useRanks } from '~/stores/ranks'
import { useRankSurroundings } from '~/stores/rankSurroundings'
import { useWatches } from '~/stores/watches'

/** Where a video ranks for its phrases: over time, with what happened meanwhile, and on the latest day. */
const props = defineProps<{
  /** The phrase looked at alone; empty for those that bring most. */
  shown: string
}>()
const ranks = useRanks()
const watches = useWatches()
const around = useRankSurroundings()
const address = useAddress()
const typed = ref('')
function lookTyped() {
  const phrase = phraseKey(typed.value)
  if (!phrase) return
  typed.value = ''
  void ranks.look([phrase])
}
/** The result page of a day, as it was; web search keeps none to be opened. */
function openDay(phrase: string, day: number) {
  if (ranks.kind === 'site')
    void goTo({ path: '/rivals', query: { phrase, region: ranks.region ?? '', day: dayName(day) } })
}
/** A rival to be passed is looked up along with mine from then on. */
function chooseRival(id: string) {
  void address({ rival: id || undefined }, true)
  if (id) void watches.addRival(id, props.shown)
}
const explained = computed(() =>
  ranks.kind === 'web'
    ? 'What a rank in web search brings is not known: the searches are those of the video site.'
    : 'What it brings: searches a month × the share of them that look at its rank (shares in the Library).',
)
</script>

<template>
  <div class="sheet over">
    <RanksCurve class="curve" :lines="ranks.lines" :shown="shown" :surroundings="around.known" @day="openDay" />
    <RanksEvents
      class="events"
      :known="around.known"
      :problem="around.problem"
      :phrase="shown"
      :rival="around.rival"
      :page="
        shown && ranks.kind === 'site'
          ? { path: '/rivals', query: { phrase: shown, region: ranks.region ?? '' } }
          : null
      "
      @rival="chooseRival"
      @again="around.load()"
    />
  </div>
  <RanksTable
    class="sheet table"
    :lines="ranks.lines"
    :shown="shown"
    :watched="watches.here"
    @show="address({ phrase: $event || undefined, rival: undefined }, true)"
  />
  <form class="more" @submit.prevent="lookTyped">
    <v-text-field
      v-model="typed"
      label="Look up another phrase"
      density="compact"
      maxlength="200"
      hide-details
      class="phrase"
      data-test="rank-phrase"
    />
    <p v-if="ranks.missed.length" role="alert" class="small" data-test="rank-missed">
      Not looked up: {{ ranks.missed.map(({ phrase, message }) => `“${phrase}”. ${message}`).join(' ') }}
    </p>
    <p v-else class="small muted">
      {{ explained }}
    </p>
  </form>
</template>

<style scoped>
.over {
  flex: 0 0 auto;
  display: flex;
  flex-wrap: wrap;
}
.curve {
  flex: 3 1 420px;
  min-width: 0;
  height: 250px;
}
.events {
  flex: 1 1 250px;
  max-height: 250px;
}
.table {
  flex: 1;
  min-height: 180px;
}
.more {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
}
.phrase {
  flex: 0 1 300px;
}
</style>
