<script setup lang="ts">
import { mdiDeleteOutline } from '@mdi/js'
import { clock } from '../../../../core/captions/cue'
import type { ChapterFault, ChapterFaultKind } from '../../../../core/chapters/faults'
import { percent, UNKNOWN } from '~/composables/figures'

/** Chapters line by line: time, length, title, phrases in it, and what is wrong. */
const props = defineProps<{
  rows: { seconds: number; title: string; length: number | null; sure: number | null; marks: string[] }[]
  faults: ChapterFault[]
  /** Whether they are a proposal, of which it is told how sure each is. */
  proposed: boolean
}>()
const emit = defineEmits<{
  time: [index: number, typed: string]
  title: [index: number, title: string]
  remove: [index: number]
  mend: [kind: ChapterFaultKind]
  show: [seconds: number]
}>()
const faultOf = (index: number) => props.faults.filter(each => each.index === index)
</script>

<template>
  <table aria-label="Chapters">
    <thead>
      <tr>
        <th class="time">Time</th>
        <th class="time">Length</th>
        <th class="title">Title</th>
        <th v-if="proposed" title="How sure it is that a new subject begins here">Sure</th>
        <th title="Phrases in the title">Phrases</th>
        <th><span class="unseen">Do</span></th>
      </tr>
    </thead>
    <tbody>
      <template v-for="(row, i) in rows" :key="i">
        <tr data-test="chapter">
          <td>
            <ShellTyped
              class="figure"
              :value="clock(row.seconds)"
              :aria-label="`Chapter ${i + 1} begins at`"
              @typed="emit('time', i, $event)"
              @focus="emit('show', row.seconds)"
            />
          </td>
          <td class="figure muted">{{ row.length === null ? UNKNOWN : clock(row.length) }}</td>
          <td class="title">
            <ShellTyped
              :value="row.title"
              maxlength="200"
              placeholder="No title"
              :aria-label="`Title of chapter ${i + 1}`"
              data-test="chapter-title"
              @typed="emit('title', i, $event)"
            />
          </td>
          <td v-if="proposed" class="figure muted">{{ i === 0 ? UNKNOWN : percent(row.sure!) }}</td>
          <td class="figure mark">{{ row.marks.join(' ') }}</td>
          <td>
            <button class="plain" :aria-label="`Remove chapter ${i + 1}`" @click="emit('remove', i)">
              <v-icon :icon="mdiDeleteOutline" size="16" />
            </button>
          </td>
        </tr>
        <tr v-for="fault in faultOf(i)" :key="fault.kind" class="fault">
          <td :colspan="proposed ? 6 : 5" class="small" data-test="chapter-fault">
            {{ fault.message }}
            <button class="fix" data-test="chapter-mend" @click="emit('mend', fault.kind)">Mend</button>
          </td>
        </tr>
      </template>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  font-size: 12px;
  color: var(--muted);
  font-weight: 600;
  text-align: end;
  padding: 2px 6px;
  border-bottom: 1px solid var(--line);
}
td {
  text-align: end;
  white-space: nowrap;
  padding: 2px 6px;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
.fault td {
  text-align: start;
}
.title {
  text-align: start;
  width: 60%;
}
td input {
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  width: 100%;
  min-height: 26px;
}
td input.figure {
  width: 64px;
  text-align: end;
  font-family: var(--mono);
}
td .plain {
  min-width: 24px;
  min-height: 24px;
  color: var(--muted);
}
.mark {
  color: var(--teal);
  font-weight: 600;
}
.fix {
  margin: 0 0 0 6px;
}
</style>
