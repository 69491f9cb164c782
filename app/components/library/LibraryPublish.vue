<script setup lang="ts">
import { mdiFilmstrip, mdiSendOutline, mdiStop } from '@mdi/js'
import { useDropZone, useFileDialog } from '@vueuse/core'
import { computed, ref } from 'vue'
import { shortInZone } from '../../../core/release/inZone'
import { listed } from '../../../core/text/inWords'
import type { BriefLine } from '../../../shared/brief'
import { counted, fileSize, percent } from '~/composables/figures'
import { usePublishMany, type ToPublish } from '~/stores/publishMany'
import { useWorkspace } from '~/stores/workspace'

/** Several briefs are published in one go: which, with which file, when, and what keeps the others back. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ lines: BriefLine[] }>()
const many = usePublishMany()
const workspace = useWorkspace()
void many.load(props.lines)

const { open: choose, onChange } = useFileDialog({ accept: 'video/*', multiple: true, reset: true })
onChange(files => {
  if (files?.length) many.give([...files])
})
const zone = ref<HTMLElement | null>(null)
const { isOverDropZone } = useDropZone(zone, { onDrop: files => files?.length && many.give(files), multiple: true })

const hour = ({ line: { releaseAt } }: ToPublish) =>
  releaseAt === null
    ? '–'
    : releaseAt === 'now'
      ? 'as soon as ready'
      : shortInZone(releaseAt, workspace.current?.timeZone ?? 'UTC')
interface Said {
  shape: 'met' | 'partly' | 'missing' | 'unanswered'
  name: string
  more: string
}
function said(row: ToPublish): Said {
  const { answer, problem, file } = row
  const publication = answer?.publication
  if (problem) return { shape: 'missing', name: 'Not sent', more: problem }
  if (!answer) return { shape: 'unanswered', name: 'Looked at', more: '' }
  if (publication?.state === 'out') return { shape: 'met', name: 'Out', more: publication.video ?? '' }
  if (publication?.state === 'sending')
    return answer.job?.state === 'running'
      ? { shape: 'partly', name: 'On its way', more: percent(publication.sent / publication.bytes) }
      : { shape: 'partly', name: 'Cut off', more: 'Go on with it under Release, Publish.' }
  const refused = publication?.state === 'refused' ? publication.problems : []
  const owed = [...refused, ...answer.problems]
  if (!answer.channel) return { shape: 'missing', name: 'No channel', more: 'Choose your channel in the Library.' }
  if (owed.length)
    return {
      shape: 'missing',
      name: refused.length ? 'Refused' : 'Not ready',
      more:
        owed.length > 2 ? `${owed[0]!.message} And ${owed.length - 1} more.` : owed.map(each => each.message).join(' '),
    }
  return file
    ? { shape: 'partly', name: 'Ready to go', more: '' }
    : { shape: 'missing', name: 'No file', more: row.line.fileName ? `Name it ${row.line.fileName}.` : '' }
}
const title = computed(() =>
  many.running ? 'On their way' : `Publish ${counted(many.sendable.length, 'brief')} of ${many.rows.length}`,
)
</script>

<template>
  <v-dialog v-model="open" aria-label="Publish several" max-width="860" scrollable>
    <v-card :title="title">
      <v-card-text :class="{ over: isOverDropZone }">
        <div ref="zone">
          <p class="muted">
            Drop or choose the video files. Each goes to the brief with the same file name. They are sent one after the
            other; no brief is published twice.
          </p>
          <table data-test="publish-rows">
            <thead>
              <tr>
                <th>Brief</th>
                <th>Released</th>
                <th>File</th>
                <th>State</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in many.rows" :key="row.line.id" :data-test="`row-${row.line.id}`">
                <td>
                  <NuxtLink class="link" :to="{ path: '/release', query: { brief: row.line.id, part: 'publish' } }">{{
                    row.line.title || row.line.topic || 'Untitled brief'
                  }}</NuxtLink>
                </td>
                <td>{{ hour(row) }}</td>
                <td :title="row.file?.name">{{ row.file ? `${row.file.name}, ${fileSize(row.file.size)}` : '–' }}</td>
                <td>
                  <span class="state"
                    ><ShellShape :state="said(row).shape" :label="said(row).name" /><span>{{
                      said(row).name
                    }}</span></span
                  >
                  <div v-if="said(row).more" class="small muted">{{ said(row).more }}</div>
                </td>
              </tr>
            </tbody>
          </table>
          <p v-if="many.strangers.length" role="alert" class="small">
            No brief has this file name: {{ listed(many.strangers) }}. Rename the file as the brief says.
          </p>
        </div>
      </v-card-text>
      <v-card-actions>
        <v-btn :prepend-icon="mdiFilmstrip" :disabled="many.running" data-test="several-files" @click="choose()"
          >Choose files</v-btn
        >
        <v-spacer />
        <v-btn
          v-if="many.running"
          variant="outlined"
          :prepend-icon="mdiStop"
          data-test="several-stop"
          @click="many.stop()"
          >Stop</v-btn
        >
        <v-btn @click="open = false">Close</v-btn>
        <v-btn
          variant="flat"
          color="primary"
          :prepend-icon="mdiSendOutline"
          :disabled="!many.sendable.length || many.running"
          :loading="many.running"
          data-test="several-publish"
          @click="many.start()"
          >Publish {{ many.sendable.length || '' }}</v-btn
        >
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.over {
  outline: 2px dashed var(--teal);
  outline-offset: -6px;
}
table {
  width: 100%;
  border-collapse: collapse;
  margin: 10px 0;
  table-layout: fixed;
}
th {
  text-align: left;
  font-size: 12px;
  font-weight: 600;
  color: var(--muted);
}
th:nth-child(1) {
  width: 34%;
}
th:nth-child(2) {
  width: 17%;
}
th,
td {
  padding: 6px 10px 6px 0;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
  vertical-align: top;
  overflow-wrap: anywhere;
}
.state {
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
.link {
  display: inline-block;
  min-height: 24px;
}
</style>
