<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { INTENT_WORDS } from '../../../core/demand/intentNames'
import type { WorthFactorName } from '../../../core/demand/worth'
import type { PhraseDetail } from '../../../shared/phrases'
import { listed } from '../../../core/text/inWords'
import { api, messageOf } from '~/composables/api'
import { chanceText, dateTime, inFull, monthName, regionName } from '~/composables/figures'
import { useWorkspace } from '~/stores/workspace'

const props = defineProps<{ phrase: string | null; region: string | null; language: string }>()
const emit = defineEmits<{ close: [] }>()
const workspace = useWorkspace()
const detail = ref<PhraseDetail | null>(null)
const problem = ref('')

watch(
  () => props.phrase,
  async phrase => {
    detail.value = null
    problem.value = ''
    if (!phrase) return
    try {
      detail.value = await api('GET /api/phrases/detail', {
        query: { phrase, region: props.region, language: props.language, workspace: workspace.id },
      })
    } catch (error) {
      problem.value = messageOf(error)
    }
  },
  { immediate: true },
)

const NAMES: Record<WorthFactorName, string> = { demand: 'Demand', ease: 'Ease', trend: 'Trend', earnings: 'Earnings' }
const mine = computed(() => workspace.perspective === 'channel' && detail.value?.channelWorking != null)
const worth = computed(() => (mine.value ? detail.value!.worth.channel : detail.value!.worth.anyone))
const working = computed(() => (mine.value ? detail.value!.channelWorking! : detail.value!.worthWorking))
/** For my channel searches and chance count as one, unless one of them does not count at all. */
const together = computed(
  () =>
    mine.value &&
    working.value.factors.every(({ name, weight }) => (name !== 'demand' && name !== 'ease') || weight > 0),
)
const sentence = computed(() => {
  const { difficulty, volume, chance } = detail.value!
  if (worth.value === null) {
    const unknown =
      working.value.heldBackBy === 'demand'
        ? 'its searches a month are not known'
        : working.value.heldBackBy === 'ease'
          ? 'it has not been assessed'
          : 'its history is not known'
    return `Its worth is unknown because ${unknown}.`
  }
  const counting = working.value.factors.filter(factor => factor.weight > 0)
  // Whoever does not count the chance is not told of it.
  if (counting.every(factor => factor.name !== 'ease'))
    return `By your weights only ${listed(counting.map(factor => factor.name))} counts.`
  const band = `This is ${worthWord(detail.value!, mine.value ? 'channel' : 'anyone')}`
  if (working.value.heldBackBy === 'demand')
    return `${band}; the weakest part is demand: ${inFull(volume === null ? null : Math.round(volume))} searches a month.`
  if (working.value.heldBackBy === 'ease' && mine.value)
    return `${band}; the weakest part is my chance of page one, ${detail.value!.chanceWorking ? '' : 'roughly '}${chanceText(chance!)}.`
  if (working.value.heldBackBy === 'ease')
    return `${band}; the weakest part is its difficulty, ${hardness(detail.value!, 'anyone')} at ${Math.round(difficulty!)} of 100.`
  if (working.value.heldBackBy === 'trend') return `${band}; the weakest part is the falling trend.`
  if (working.value.heldBackBy === 'earnings')
    return `${band}; the weakest part is what views of searchers like these bring.`
  return `${band}; no part is weak.`
})

function input(name: WorthFactorName): string {
  const {
    volume,
    difficulty,
    trend,
    chance,
    intent,
    worthWorking: { cap },
    difficultyParts: parts,
  } = detail.value!
  if (name === 'demand')
    return volume === null
      ? 'no searches known'
      : `log(1 + ${inFull(volume)}) ÷ log(1 + ${inFull(cap)}), capped at the region’s 99.9th percentile`
  if (name === 'ease' && mine.value)
    return chance === null
      ? 'not assessed yet'
      : detail.value!.chanceWorking
        ? 'chance of page one for a video with the phrase in title, first line and a tag, learnt from result pages'
        : `chance of page one for a video with the phrase in title and description of strength ${workspace.current?.own?.strength.toFixed(2)}, against the first 20 results; a rough estimate`
  if (name === 'ease')
    return difficulty === null
      ? 'not assessed yet'
      : `1 − difficulty ${inFull(difficulty)} ÷ 100${parts ? `; ranks 1–3 ${Math.round(parts.front)}, 4–10 ${Math.round(parts.middle)}, 11–20 ${Math.round(parts.rest)}` : ''}`
  if (name === 'earnings')
    return `what a view of searchers who want “${intent ? INTENT_WORDS[intent] : 'nothing that shows'}” brings, of what the best intent does`
  return trend === null
    ? 'no history known'
    : trend.direction === 'steady'
      ? 'steady: no clear trend'
      : `${trend.direction} by ${inFull(Math.abs(trend.yearly) * 100)} % a year`
}
</script>

<template>
  <v-dialog
    :model-value="phrase !== null"
    aria-label="How the worth is calculated"
    max-width="640"
    @update:model-value="emit('close')"
  >
    <v-card data-test="worth-working">
      <v-card-title>How the worth of “{{ phrase }}” is calculated</v-card-title>
      <v-card-text>
        <p v-if="problem" class="muted">{{ problem }}</p>
        <v-skeleton-loader v-else-if="!detail" type="paragraph" />
        <template v-else>
          <p class="sum">
            <span class="figure big">{{ worth === null ? '–' : inFull(worth) }}</span> of 100,
            {{ mine ? 'for my channel' : 'for anyone' }}. {{ sentence }}
          </p>
          <p class="muted small">
            <template v-if="together"
              >100 × the demand of the searches that can be won, which are searches × chance, raised to the weights of
              both, times the other factors raised to theirs; 100 at most.</template
            >
            <template v-else>100 × each factor raised to its weight, multiplied together; 100 at most.</template
            >{{ ' ' }}
            <NuxtLink class="link" :to="{ path: '/library', query: { tab: 'channels', brief: $route.query.brief } }"
              >Change the weights</NuxtLink
            >
          </p>
          <table>
            <thead>
              <tr>
                <th scope="col">Factor</th>
                <th scope="col" class="end">Value</th>
                <th scope="col" class="end">Weight</th>
                <th scope="col" class="end">Costs</th>
                <th scope="col">From</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="factor in working.factors" :key="factor.name">
                <th scope="row">{{ factor.name === 'ease' && mine ? 'Chance' : NAMES[factor.name] }}</th>
                <td class="end figure">{{ factor.value === null ? '–' : factor.value.toFixed(3) }}</td>
                <td class="end figure">{{ factor.weight.toFixed(2) }}</td>
                <td class="end figure">{{ factor.holdsBack === null ? '–' : factor.holdsBack.toFixed(1) }}</td>
                <td>{{ input(factor.name) }}</td>
              </tr>
            </tbody>
          </table>
          <DemandChance
            v-if="mine && detail.chanceWorking && detail.chance !== null"
            :chance="detail.chance"
            :working="detail.chanceWorking"
          />
          <p v-if="mine && detail.chanceBefore !== null" class="small" data-test="chance-before">
            The chance is corrected by what came of your earlier forecasts: before, it is
            {{ chanceText(detail.chanceBefore) }}.
          </p>
          <p class="muted small">
            <template v-for="figure in detail.figures" :key="`${figure.source}${figure.region}`"
              >{{ figure.source }}, {{ regionName(figure.region) }}: {{ inFull(figure.volume, 'a month') }}, as of
              {{ dateTime(figure.at) }}.
            </template>
            <template v-if="detail.monthsEnd">Last complete month: {{ monthName(detail.monthsEnd) }}. </template>
            <template v-if="detail.pageAt">Result page of {{ dateTime(detail.pageAt) }}. </template>
            Cap worked out {{ detail.worthWorking.capAt ? dateTime(detail.worthWorking.capAt) : 'now' }}. Model
            {{ detail.modelVersion }}.
          </p>
        </template>
      </v-card-text>
      <v-card-actions><v-spacer /><v-btn @click="emit('close')">Close</v-btn></v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.sum {
  font-size: 15px;
  margin-bottom: 6px;
}
.big {
  font-size: 24px;
  color: var(--teal);
}
table {
  width: 100%;
  border-collapse: collapse;
  margin: 10px 0;
}
th,
td {
  text-align: start;
  padding: 6px 8px 6px 0;
  border-bottom: 1px solid var(--line);
  vertical-align: top;
}
.end {
  text-align: end;
}
</style>
