<script setup lang="ts">
import { inDigits } from '../../../core/text/inWords'
import type { EditRun } from '../../../shared/editMany'
import { counted, dateTime } from '~/composables/figures'
import { manyEditWords } from '~/composables/manyEditWords'
import { useEditMany } from '~/stores/editMany'
import { useJobs } from '~/stores/jobs'

/** Changes that were made in many videos, with what became of them, and the way back. */
const many = useEditMany()
const jobs = useJobs()
const workOf = (run: EditRun) => jobs.running.find(({ id }) => id.startsWith(run.id)) ?? null
/** What became of the videos, in words. */
function came({ counts: { waiting, changed, kept, undone }, undoneAt }: EditRun): string {
  const parts = [
    [changed, undoneAt === null ? 'changed' : 'still changed'],
    [undone, 'taken back'],
    [kept, 'left as they were'],
    [waiting, 'waiting'],
  ] as const
  return parts
    .filter(([n]) => n > 0)
    .map(([n, what]) => `${inDigits(n)} ${what}`)
    .join(', ')
}
</script>

<template>
  <section aria-labelledby="many-runs">
    <h2 id="many-runs">Changes made</h2>
    <ul>
      <li v-for="run in many.runs" :key="run.id" data-test="many-run">
        <p>{{ manyEditWords(run.edit) }}</p>
        <p class="small muted">{{ dateTime(run.at) }}: {{ came(run) }}.</p>
        <details v-if="run.kept.length" class="small">
          <summary>
            Why {{ counted(run.kept.length, 'video') }} {{ run.kept.length === 1 ? 'was' : 'were' }} left
          </summary>
          <ul>
            <li v-for="each in run.kept" :key="each.videoId">{{ each.title }}: {{ each.problem }}</li>
          </ul>
        </details>
        <p class="acts small">
          <template v-if="workOf(run)"
            ><span role="status">{{ inDigits(workOf(run)!.done) }} of {{ counted(workOf(run)!.total, 'video') }}</span
            ><button class="plain link" @click="jobs.stop(workOf(run)!.id)">Stop</button></template
          >
          <template v-else>
            <button
              v-if="run.undoneAt === null ? run.counts.waiting : run.counts.changed"
              class="plain link"
              data-test="many-resume"
              @click="many.resume(run)"
            >
              {{ run.undoneAt === null ? 'Go on' : 'Try again to take back' }}
            </button>
            <button
              v-if="run.undoneAt === null && run.counts.changed + run.counts.waiting"
              class="plain link"
              data-test="many-undo"
              @click="many.undo(run)"
            >
              Take back
            </button>
          </template>
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
li li {
  border: 0;
  padding: 2px 0 2px 12px;
}
.acts {
  display: flex;
  gap: 14px;
}
</style>
