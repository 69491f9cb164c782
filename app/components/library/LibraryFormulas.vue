<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { INTENT_WORDS, type Intent } from '../../../core/demand/intentNames'
import { listed } from '../../../core/text/inWords'
import { SHARES } from '../../../core/rivals/winnings'
import type { Settings } from '../../../shared/workspace'
import { reckoned } from '~/composables/earnedWords'
import { regionName } from '~/composables/figures'

/** What goes into a workspace's figures: the weights of worth, the curve of ranks, the rate for views. */
const props = defineProps<{
  settings: Settings
  region: string
  save: (body: Partial<Settings>, done: string) => Promise<void>
}>()
const weights = ref({ demand: '', ease: '', trend: '', earnings: '' })
const shares = ref('')
const rate = ref({ currency: '', low: '', high: '' })
watch(
  () => props.settings,
  next => {
    const { demand, ease, trend, earnings } = next.weights
    weights.value = {
      ...{ demand: String(demand), ease: String(ease), trend: String(trend) },
      earnings: String(earnings),
    }
    shares.value = next.shares
      .slice(0, 20)
      .map(share => Number(share.toFixed(4)))
      .join(' ')
    const own = next.rates[props.region] ?? next.rates['']
    rate.value = own
      ? { currency: own.currency, low: String(own.lowMicros / 1_000_000), high: String(own.highMicros / 1_000_000) }
      : { currency: 'USD', low: '', high: '' }
  },
  { immediate: true },
)

const bringsSaid = computed(() => {
  const { intents = {}, other = 0 } = props.settings.weights.brings ?? {}
  const told = Object.entries(intents).map(([intent, rate]) => `${INTENT_WORDS[intent as Intent]} ${of1000(rate)}`)
  return listed([...told, `others ${of1000(other)}`])
})
const of1000 = (rate: number) => reckoned(1000 * rate)

const saveWeights = () =>
  props.save(
    {
      weights: {
        demand: Number(weights.value.demand),
        ease: Number(weights.value.ease),
        trend: Number(weights.value.trend),
        earnings: Number(weights.value.earnings),
        brings: props.settings.weights.brings,
      },
    },
    'Weights saved. Scores updated.',
  )
const saveShares = () =>
  props.save(
    {
      shares: shares.value
        .split(/[\s;]+/u)
        .filter(Boolean)
        .map(Number),
    },
    'Curve saved. Views to win updated.',
  )
const saveRate = () =>
  props.save(
    {
      rates: {
        ...props.settings.rates,
        [props.region]: {
          currency: rate.value.currency.toUpperCase(),
          lowMicros: Math.round(Number(rate.value.low) * 1_000_000),
          highMicros: Math.round(Number(rate.value.high) * 1_000_000),
        },
      },
    },
    'Rate saved.',
  )
</script>

<template>
  <section class="sheet" aria-label="Weights for worth" data-test="weights">
    <h2>Weights for worth</h2>
    <form class="row" @submit.prevent="saveWeights">
      <v-text-field
        v-model="weights.demand"
        label="Demand"
        inputmode="decimal"
        hide-details
        data-test="weight-demand"
      /><v-text-field
        v-model="weights.ease"
        label="Ease or chance"
        inputmode="decimal"
        hide-details
        data-test="weight-ease"
      /><v-text-field v-model="weights.trend" label="Trend" inputmode="decimal" hide-details /><v-text-field
        v-if="settings.weights.brings"
        v-model="weights.earnings"
        label="Earnings"
        inputmode="decimal"
        hide-details
        data-test="weight-earnings"
      /><v-btn type="submit" variant="tonal" data-test="weights-save">Save</v-btn>
    </form>
    <p class="small muted">
      Set a weight to 0 to ignore that part. To rank by searches alone, set the others to 0.
      <template v-if="settings.weights.brings"
        >Earnings are what views of each intent bring, as taken over from Ranks: {{ bringsSaid }} of 1,000
        views.</template
      ><template v-else
        >What views of each intent bring can count too:
        <NuxtLink class="link" :to="{ path: '/ranks', query: { view: 'channel', of: 'earned' } }"
          >take it over from Ranks</NuxtLink
        >.</template
      >
    </p>
  </section>
  <section class="sheet">
    <h2>Views and money</h2>
    <form class="row" @submit.prevent="saveShares">
      <v-text-field
        v-model="shares"
        label="Share of searches each rank gets, starting with rank 1"
        hide-details
      /><v-btn type="submit" variant="tonal">Save</v-btn
      ><v-btn @click="save({ shares: [...SHARES] }, 'Default curve restored.')">Reset to default</v-btn>
    </form>
    <form class="row" @submit.prevent="saveRate">
      <v-text-field v-model="rate.currency" label="Currency" maxlength="3" hide-details /><v-text-field
        v-model="rate.low"
        label="Per 1,000 views"
        inputmode="decimal"
        hide-details
      /><v-text-field v-model="rate.high" label="to" inputmode="decimal" hide-details /><v-btn
        type="submit"
        variant="tonal"
        >Save</v-btn
      >
    </form>
    <p class="small muted">
      The rate applies {{ region ? `to ${regionName(region)}` : 'everywhere' }}. Curve and rate are estimates until you
      enter your own.
    </p>
  </section>
</template>

<style scoped>
section {
  padding: 12px 16px;
  display: grid;
  gap: 10px;
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
