<script setup lang="ts">
import { computed } from 'vue'
import { DAY_COLUMNS, recogniseDayColumns, type DayColumn } from '../../../core/formats/dayColumns'
import { useRanks } from '~/stores/ranks'

/** Day figures of this video, or of several, from a table. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ video: string }>()
const emit = defineEmits<{ imported: [] }>()
const ranks = useRanks()
const title = computed(() => ranks.videos?.find(({ id }) => id === props.video)?.title ?? props.video)
const NAMES: Record<DayColumn, string> = {
  day: 'Day',
  video: 'Video (id or title)',
  impressions: 'Impressions',
  clicks: 'Clicks',
  clickRate: 'Click rate',
  views: 'Views',
  watchedHours: 'Hours watched',
  watchedMinutes: 'Minutes watched',
  watchedSeconds: 'Seconds watched',
  averageView: 'Average time of a view',
  search: 'Views from search',
  suggested: 'Views beside another video',
  subscribers: 'Views from home and feeds',
  web: 'Views from other sites',
  elsewhere: 'Views from elsewhere',
  source: 'Source of the views in a line',
  referrer: 'Name of the other site',
}
</script>

<template>
  <RanksDayTable
    v-model="open"
    call="POST /api/import/analytics"
    title="Import figures"
    named="figures"
    line="day"
    unnamed="No column is named as the day."
    :columns="DAY_COLUMNS"
    :names="NAMES"
    :recognise="recogniseDayColumns"
    :missing="map => (map.day === undefined ? 'Choose the column that contains the days.' : '')"
    :video="video"
    @imported="emit('imported')"
    >CSV or TSV with a line for each day: views, impressions, clicks, time watched, and where views came from, as far as
    you have them. Lines that name no video are about “{{ title }}”.</RanksDayTable
  >
</template>
