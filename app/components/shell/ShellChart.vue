<script setup lang="ts">
import type { ApexOptions } from 'apexcharts'
import { computed, defineAsyncComponent } from 'vue'

/** A chart, fetched when the first one is shown. What changes in it is drawn in one go. */
const ApexChart = defineAsyncComponent(() => import('vue3-apexcharts'))
const props = defineProps<{ options: ApexOptions; series: NonNullable<ApexOptions['series']> }>()
// New options and new series would each draw it anew: after the first drawing, series come with the options.
const first = props.series
const whole = computed((): ApexOptions => ({ ...props.options, series: props.series }))
</script>

<template>
  <ApexChart :options="whole" :series="first" />
</template>
