<script setup lang="ts">
import { computed } from 'vue'
import { useNow } from '@vueuse/core'
import { inDigits } from '../../../core/text/inWords'
import { leftWords } from '~/composables/assessing'
import type { JobState } from '../../../shared/jobs'
import { useJobs } from '~/stores/jobs'

const jobs = useJobs()
const now = useNow({ interval: 1000 })
void jobs.refresh()
const first = computed(() => jobs.running[0] ?? null)
const left = computed(() => {
  const job = first.value
  if (!job?.done) return null
  return Math.round(
    (((Math.max(job.startedAt, now.value.getTime()) - job.startedAt) / job.done) * (job.total - job.done)) / 1000,
  )
})
function progressOf(job: JobState): string {
  const done = `${inDigits(job.done)} of ${inDigits(job.total)} done`
  if (job === first.value && left.value !== null) return `${done}, ${leftWords(left.value)}`
  return job.state === 'interrupted' ? `${done}, interrupted when Fonetra stopped; finished work is saved` : done
}
</script>

<template>
  <v-menu v-if="first || jobs.interrupted.length" :close-on-content-click="false">
    <template #activator="{ props }">
      <v-btn v-bind="props" size="small" class="jobs" data-test="jobs">
        <template v-if="first"
          ><v-progress-circular
            :model-value="(first.done / first.total) * 100"
            size="16"
            width="3"
            color="primary"
            class="mr-2"
            aria-hidden="true"
          /><span class="figure">{{ inDigits(first.done) }}</span
          >&nbsp;of&nbsp;<span class="figure">{{ inDigits(first.total) }}</span></template
        >
        <template v-else>Interrupted</template>
      </v-btn>
    </template>
    <v-list density="compact" width="380" data-test="jobs-list">
      <v-list-item
        v-for="job in [...jobs.running, ...jobs.interrupted]"
        :key="job.id"
        :title="job.title"
        :subtitle="progressOf(job)"
      >
        <template #append
          ><v-btn
            v-if="job.state === 'running'"
            size="small"
            variant="tonal"
            data-test="job-stop"
            @click="jobs.stop(job.id)"
            >Stop</v-btn
          ><template v-else
            ><v-btn size="small" variant="tonal" data-test="job-resume" @click="jobs.resume(job.id)"
              >Resume</v-btn
            ></template
          ></template
        >
      </v-list-item>
    </v-list>
  </v-menu>
</template>
