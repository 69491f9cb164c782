<script setup lang="ts">
import { mdiContentDuplicate, mdiDeleteOutline, mdiFileUploadOutline, mdiPlus, mdiSendOutline } from '@mdi/js'
import { useDropZone, useFileDialog } from '@vueuse/core'
import { computed, ref } from 'vue'
import { shortInZone } from '../../../core/release/inZone'
import { STAGES, type Stage } from '../../../core/release/stage'
import type { BriefLine } from '../../../shared/brief'
import { ago, dateTime, regionName } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useWorkspace } from '~/stores/workspace'

const library = useLibrary()
const brief = useBrief()
const workspace = useWorkspace()
const mine = computed(() => library.briefs.filter(line => !workspace.id || line.workspaceId === workspace.id))
const newOpen = ref(false)
const publishing = ref(false)
const sendable = computed(() => mine.value.filter(({ stage }) => SENDABLE.includes(stage)))
const search = ref<string | null>('')
void brief.flush().then(() => library.refresh())

/** What is written and not out yet. */
const SENDABLE: readonly Stage[] = ['written', 'ready', 'handed over']
const HEADERS = [
  { key: 'topic', title: 'Brief' },
  {
    key: 'stage',
    title: 'Stage',
    width: 112,
    sort: (a: Stage, b: Stage) => STAGES.indexOf(a) - STAGES.indexOf(b),
  },
  { key: 'lead', title: 'Lead phrase', width: 144 },
  { key: 'support', title: 'Support', align: 'end', width: 72 },
  { key: 'region', title: 'Region', width: 78 },
  { key: 'percent', title: 'Points won', align: 'end', width: 74 },
  { key: 'updatedAt', title: 'Changed', width: 98 },
  { key: 'actions', title: '', sortable: false, width: 118 },
] as const
const found = computed(() => {
  const text = (search.value ?? '').trim().toLowerCase()
  return text
    ? mine.value.filter(line => `${line.topic} ${line.lead ?? ''} ${line.title}`.toLowerCase().includes(text))
    : mine.value
})
/** Where a brief opens: on its phrases until one leads, then on its text. */
const openAt = (line: BriefLine) => ({ path: line.lead ? '/desk' : '/demand', query: { brief: line.id } })
/** The hour of its release; '' where none is chosen. */
const hourOf = ({ releaseAt, stage }: BriefLine) =>
  releaseAt === null
    ? ''
    : releaseAt === 'now'
      ? stage === 'out'
        ? ''
        : 'as soon as ready'
      : shortInZone(releaseAt, workspace.current?.timeZone ?? 'UTC')

const attempt = useMutation()
/** A brief's file that was opened or dropped. */
const opened = ref<File | null>(null)
const { open: choose, onChange } = useFileDialog({
  accept: '.json,.zip,application/json,application/zip',
  multiple: false,
  reset: true,
})
onChange(files => {
  opened.value = files?.[0] ?? null
})
const zone = ref<HTMLElement | null>(null)
const { isOverDropZone } = useDropZone(zone, {
  onDrop: files => {
    opened.value = files?.[0] ?? null
  },
})
</script>

<template>
  <div ref="zone" class="briefs" :class="{ over: isOverDropZone }">
    <div class="head">
      <v-text-field v-model="search" label="Find a brief" class="find" data-first-field clearable />
      <v-btn
        :prepend-icon="mdiFileUploadOutline"
        title="A brief exported as JSON: a new one, or one that comes back changed"
        data-test="brief-open"
        @click="choose()"
        >Open a file</v-btn
      >
      <v-btn
        v-if="sendable.length > 1"
        :prepend-icon="mdiSendOutline"
        title="Send all written briefs that are not out yet"
        data-test="publish-several"
        @click="publishing = true"
        >Publish several</v-btn
      >
      <v-btn variant="flat" color="primary" :prepend-icon="mdiPlus" data-test="new-brief" @click="newOpen = true"
        >New brief</v-btn
      >
    </div>
    <div v-if="library.state === 'failed'" class="sheet state" role="alert">
      <h2>Could not load briefs</h2>
      <p>{{ library.problem }}</p>
      <v-btn variant="tonal" @click="library.refresh()">Try again</v-btn>
    </div>
    <v-skeleton-loader v-else-if="library.state !== 'ready'" type="table-row@4" class="sheet" />
    <div v-else-if="!mine.length" class="sheet state" data-test="library-empty">
      <h2>No briefs yet</h2>
      <p>A brief is one video, planned or published: its topic, phrases and text. Create your first one.</p>
      <v-btn variant="flat" color="primary" :prepend-icon="mdiPlus" @click="newOpen = true">New brief</v-btn>
    </div>
    <ShellTable
      v-else
      :headers="HEADERS"
      :items="found"
      item-value="id"
      density="comfortable"
      class="sheet table"
      fixed-header
      no-data-text="No briefs contain these words."
      data-test="briefs"
      aria-label="Briefs"
    >
      <template #[`item.topic`]="{ item }"
        ><NuxtLink class="open two-lines" :to="openAt(item)" :title="item.topic" data-test="open-brief">{{
          item.topic || 'Untitled brief'
        }}</NuxtLink
        ><span
          v-if="item.seriesId"
          class="series small"
          :title="`One of ${mine.filter(line => line.seriesId === item.seriesId).length} briefs created together`"
          >series: {{ item.seriesPlace }}</span
        >
        <div class="muted small title">{{ item.title || 'no title yet' }}</div></template
      >
      <template #[`item.stage`]="{ item }"
        ><NuxtLink
          class="stage"
          :to="{ path: '/release', query: { brief: item.id } }"
          :title="`Its release: ${item.topic || 'Untitled brief'}`"
          data-test="stage"
          >{{ item.stage }}</NuxtLink
        >
        <div v-if="hourOf(item)" class="muted small">{{ hourOf(item) }}</div></template
      >
      <template #[`item.lead`]="{ item }">{{ item.lead ?? '–' }}</template>
      <template #[`item.support`]="{ item }"
        ><span class="figure">{{ item.support }}</span></template
      >
      <template #[`item.region`]="{ item }"
        ><span :title="regionName(item.region)">{{ item.region ?? regionName(null) }}</span></template
      >
      <template #[`item.percent`]="{ item }"
        ><span
          class="figure"
          :title="
            item.percent === null ? 'nothing written yet' : `${item.percent.toFixed(2)} % of the points in its rule set`
          "
          >{{ item.percent === null ? '–' : `${Math.floor(item.percent + 1e-9)} %` }}</span
        ></template
      >
      <template #[`item.updatedAt`]="{ item }"
        ><span :title="dateTime(item.updatedAt)">{{ ago(item.updatedAt) }}</span></template
      >
      <template #[`item.actions`]="{ item }">
        <div class="actions">
          <v-btn
            size="small"
            :icon="mdiContentDuplicate"
            :aria-label="`Duplicate ${item.topic}`"
            @click="attempt(() => library.duplicate(item.id))"
          />
          <LibraryExport :id="item.id" :topic="item.topic" :gaps="item.gaps" />
          <v-btn
            size="small"
            :icon="mdiDeleteOutline"
            :aria-label="`Delete ${item.topic}`"
            data-test="delete-brief"
            @click="attempt(() => library.remove(item.id))"
          />
        </div>
      </template>
    </ShellTable>
    <LazyLibraryNewBrief v-if="newOpen" v-model="newOpen" />
    <LazyLibraryPublish v-if="publishing" v-model="publishing" :lines="sendable" />
    <LazyLibraryReturned v-if="opened" v-model="opened" />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  gap: 12px;
  align-items: center;
}
.briefs {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.head {
  justify-content: flex-end;
}
.find {
  flex: 0 0 260px;
}
.table {
  flex: 1;
  min-height: 0;
}
.table :deep(table) {
  table-layout: fixed;
}
.table :deep(th),
.table :deep(td) {
  padding: 6px 8px !important;
  border-color: var(--line) !important;
}
.table :deep(th) {
  font-weight: 600;
  color: var(--muted);
  font-size: 12px;
  background: var(--paper) !important;
}
.open {
  font-weight: 600;
  color: var(--ink);
  text-underline-offset: 3px;
}
.stage {
  color: var(--ink);
  text-underline-offset: 3px;
  display: inline-block;
}
.stage::first-letter {
  text-transform: uppercase;
}
.title {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.series {
  margin-left: 8px;
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 8px;
  color: var(--muted);
}
.actions {
  display: flex;
  justify-content: flex-end;
}
</style>
