<script setup lang="ts">
import { mdiArchiveArrowDownOutline, mdiContentCopy, mdiDownloadOutline, mdiStarOutline, mdiTrayPlus } from '@mdi/js'
import { computed } from 'vue'
import { csvFile } from '../../../core/formats/csv'
import type { PhraseRow } from '../../../shared/phrases'
import { saveFile } from '~/composables/saveFile'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'
import { useTray } from '~/stores/tray'

const props = defineProps<{ rows: PhraseRow[], seed: string, region: string | null }>()
const selected = defineModel<string[]>('selected', { required: true })
const brief = useBrief()
const tray = useTray()
const notices = useNotices()
const picked = computed(() => { const wanted = new Set(selected.value); return props.rows.filter(row => wanted.has(row.phrase)) })

function done(work: () => void) {
  work()
  selected.value = []
}

async function copy() {
  await navigator.clipboard.writeText(selected.value.join('\n'))
  notices.tell(`${selected.value.length === 1 ? 'Phrase' : `${selected.value.length} phrases`} copied, one a line.`)
}

function exportCsv(all: boolean) {
  const headers = all ? ['phrase', 'words', 'volume', 'volume everywhere', 'change', 'competition', 'difficulty', 'worth', 'suggested by', 'video block', 'region', 'source', 'observed', 'months'] : ['phrase']
  const rows = picked.value.map(row => all
    ? [row.phrase, row.words, row.volume, row.volumeAll, row.change, row.competition, row.difficulty, row.worth.anyone, row.via.join(' '), row.videoBlock === null ? null : row.videoBlock ? 'yes' : 'no', props.region ?? 'everywhere', row.source, row.at === null ? null : new Date(row.at).toISOString(), row.months.map(month => month ?? '-').join(' ')]
    : [row.phrase])
  saveFile(`${props.seed.replace(/[^\p{L}\p{N}]+/gu, '-')}${all ? '' : '-phrases'}.csv`, csvFile(headers, rows), 'text/csv;charset=utf-8')
}
</script>

<template>
  <div v-if="selected.length" class="actions sheet" role="toolbar" aria-label="With the selected phrases" data-test="actions">
    <strong class="figure">{{ selected.length }}</strong> selected
    <v-btn variant="flat" color="primary" :prepend-icon="mdiTrayPlus" :disabled="!brief.fields" data-test="to-tray" @click="done(() => tray.add(selected))">To the tray</v-btn>
    <v-btn :prepend-icon="mdiStarOutline" :disabled="selected.length !== 1 || !brief.fields" data-test="make-lead" @click="done(() => tray.makeLead(selected[0]!))">Make lead</v-btn>
    <v-btn :prepend-icon="mdiContentCopy" @click="copy">Copy</v-btn>
    <v-menu>
      <template #activator="{ props: menu }"><v-btn v-bind="menu" :prepend-icon="mdiDownloadOutline">Export CSV</v-btn></template>
      <v-list density="compact">
        <v-list-item title="Phrases alone" @click="exportCsv(false)" />
        <v-list-item title="All columns" @click="exportCsv(true)" />
      </v-list>
    </v-menu>
    <v-btn :prepend-icon="mdiArchiveArrowDownOutline" :disabled="!brief.fields" data-test="set-aside" @click="done(() => tray.setAside(selected))">Set aside</v-btn>
    <v-spacer /><v-btn @click="selected = []">Select none</v-btn>
  </div>
</template>

<style scoped>
.actions { display: flex; align-items: center; gap: 4px; padding: 6px 10px; }
.actions strong { margin-right: 2px; }
</style>
