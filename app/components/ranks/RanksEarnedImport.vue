<script setup lang="ts">
import {
  countsAnything,
  EARNED_COLUMNS,
  recogniseEarnedColumns,
  type EarnedColumn,
  type EarnedColumnMap,
} from '../../../core/formats/earnedColumns'

/** Clicks, calls, coupons and orders from a table. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ imported: [] }>()
const NAMES: Record<EarnedColumn, string> = {
  day: 'Day',
  video: 'Video (id or title)',
  link: 'Link that was followed',
  kind: 'What happened',
  count: 'How often',
  clicks: 'Clicks',
  calls: 'Calls',
  coupons: 'Coupons',
  orders: 'Orders',
  value: 'Value',
}
const missing = (map: EarnedColumnMap) =>
  map.day === undefined
    ? 'Choose the column that contains the days.'
    : countsAnything(map)
      ? ''
      : 'Choose a column that counts clicks, calls, coupons or orders.'
</script>

<template>
  <RanksDayTable
    v-model="open"
    call="POST /api/import/earned"
    title="Import what videos brought"
    named="earnings"
    line="line"
    unnamed="No column is named as the day, or none counts anything."
    :columns="EARNED_COLUMNS"
    :names="NAMES"
    :recognise="recogniseEarnedColumns"
    :missing="missing"
    @imported="emit('imported')"
    >CSV or TSV from your shop, your site’s statistics or your phone list: a day, the video (or a link that stands in
    the description of one video), and how many clicks, calls, coupons or orders. Lines of one day are added
    up.</RanksDayTable
  >
</template>
