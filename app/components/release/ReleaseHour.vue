<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { fromLocal, localHour, type LocalHour } from '../../../core/release/inZone'
import { useBrief } from '~/stores/brief'
import { useRelease } from '~/stores/release'

/** When it is to be seen first: at an hour of the channel's clock, or as soon as it is ready. */
defineProps<{ calendar?: boolean }>()
const brief = useBrief()
const release = useRelease()
const at = computed(() => brief.fields!.releaseAt)
const shown = (): LocalHour =>
  typeof at.value === 'number' ? localHour(at.value, release.zone) : { date: '', time: '' }
const typed = ref(shown())
watch([at, () => release.zone], () => {
  typed.value = shown()
})
/** The usual hour of a day that was chosen without one. */
const HOUR = '17:00'
function take(change: Partial<LocalHour>) {
  typed.value = { ...typed.value, ...change }
  if (!typed.value.date) return brief.set('releaseAt', null, true)
  const hour = fromLocal({ date: typed.value.date, time: typed.value.time || HOUR }, release.zone)
  if (hour !== null) brief.set('releaseAt', hour, true)
}
</script>

<template>
  <div class="hour">
    <v-text-field
      :model-value="typed.date"
      type="date"
      density="compact"
      variant="underlined"
      hide-details
      class="date"
      aria-label="Day of release"
      data-test="release-date"
      @update:model-value="take({ date: $event ?? '' })"
    />
    <v-text-field
      :model-value="typed.time"
      type="time"
      density="compact"
      variant="underlined"
      hide-details
      class="time"
      aria-label="Hour of release"
      data-test="release-time"
      @update:model-value="take({ time: $event ?? '' })"
    />
    <span class="small muted" :title="`The clock of the channel’s zone, ${release.zone}`">{{ release.zone }}</span>
    <v-btn
      size="x-small"
      variant="outlined"
      :color="at === 'now' ? 'primary' : undefined"
      :aria-pressed="at === 'now'"
      data-test="release-now"
      @click="brief.set('releaseAt', at === 'now' ? null : 'now', true)"
      >As soon as it is ready</v-btn
    >
    <a
      v-if="calendar && typeof at === 'number'"
      class="link small"
      :href="`/api/calendar.ics?workspace=${brief.brief!.workspaceId}`"
      download
      title="All releases of this channel that have an hour, as an iCalendar file"
      data-test="calendar"
      >For a calendar</a
    >
  </div>
</template>

<style scoped>
.hour {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  padding-top: 2px;
}
.hour .v-btn {
  height: 24px !important;
}
.date {
  width: 130px;
  flex: none;
}
.time {
  width: 90px;
  flex: none;
}
.hour :deep(.v-field__input) {
  min-height: 26px;
  padding: 2px 0;
}
</style>
