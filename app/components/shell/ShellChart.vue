<script setup lang="ts">
import type { ApexOptions } from 'apexcharts'
import { computed, defineAsyncComponent, shallowRef, watch } from 'vue'

/** A chart, fetched when the first one is shown. What changes in it is drawn in one go. */
const ApexChart = defineAsyncComponent(() => import('vue3-apexcharts'))
const props = defineProps<{
  type: NonNullable<ApexOptions['chart']>['type']
  /** In pixels. */
  height: number
  options: ApexOptions
  series: NonNullable<ApexOptions['series']>
}>()
/** What lies below a drawing, in pixels: its room is there before it is. */
const BELOW = 15
const drawn = useDrawnInTurn()
// New options and new series would each draw it anew: after the first drawing, series come with the options.
const first = shallowRef(props.series)
watch(
  drawn,
  () => {
    first.value = props.series
  },
  { flush: 'sync' },
)
const whole = computed((): ApexOptions => ({ ...props.options, series: props.series }))
</script>

<template>
  <div :style="{ minHeight: `${height + BELOW}px` }">
    <ApexChart v-if="drawn" :type :height="height" :options="whole" :series="first" />
  </div>
</template>
