<script setup lang="ts">
import {
  mdiClose,
  mdiArchiveArrowDownOutline,
  mdiCompareHorizontal,
  mdiMapMarkerMultipleOutline,
  mdiContentCopy,
  mdiDownloadOutline,
  mdiStarOutline,
  mdiTrayPlus,
} from '@mdi/js'
import { computed } from 'vue'
import type { PhraseRow } from '../../../shared/phrases'
import { copyText } from '~/composables/copyText'
import { messageOf } from '~/composables/api'
import { saveFile } from '~/composables/saveFile'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useNotices } from '~/stores/notices'
import { useTray } from '~/stores/tray'

const props = defineProps<{ rows: PhraseRow[]; seed: string; region: string | null; language: string }>()
const emit = defineEmits<{ compare: [phrases: string[]]; places: [] }>()
const selected = defineModel<string[]>('selected', { required: true })
const brief = useBrief()
const library = useLibrary()
const address = useAddress()
const tray = useTray()
const notices = useNotices()
const picked = computed(() => {
  const wanted = new Set(selected.value)
  return props.rows.filter(row => wanted.has(row.phrase))
})

/** Does it with the open brief; without one, a brief of the seed is made first. */
async function done(work: (list: string[]) => void) {
  const list = [...selected.value]
  try {
    if (!brief.fields) {
      const made = await library.create({ topic: props.seed, region: props.region })
      await brief.load(made.id)
      await address({ brief: made.id })
    }
    work(list)
    selected.value = []
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}

async function copy() {
  await copyText(selected.value.join('\n'))
  notices.show(`${selected.value.length === 1 ? 'Phrase' : `${selected.value.length} phrases`} copied, one per line.`)
}

async function exportCsv(all: boolean) {
  const { csvFile } = await import('../../../core/formats/csv')
  const headers = all
    ? [
        'phrase',
        'words',
        'volume',
        'volume everywhere',
        'change',
        'competition',
        'difficulty',
        'worth',
        'worth for my channel',
        'chance',
        'intent',
        'suggested by',
        'video block',
        'region',
        'source',
        'observed',
        'months',
      ]
    : ['phrase']
  const rows = picked.value.map(row =>
    all
      ? [
          row.phrase,
          row.words,
          row.volume,
          row.volumeAll,
          row.change,
          row.competition,
          row.difficulty,
          row.worth.anyone,
          row.worth.channel,
          row.chance,
          row.intent,
          row.via.join(' '),
          row.videoBlock === null ? null : row.videoBlock ? 'yes' : 'no',
          props.region ?? 'everywhere',
          row.source,
          row.at === null ? null : new Date(row.at).toISOString(),
          row.months.map(month => month ?? '-').join(' '),
        ]
      : [row.phrase],
  )
  saveFile(
    `${props.seed.replace(/[^\p{L}\p{N}]+/gu, '-')}${all ? '' : '-phrases'}.csv`,
    csvFile(headers, rows),
    'text/csv;charset=utf-8',
  )
}
</script>

<template>
  <div
    v-if="selected.length"
    class="actions sheet"
    role="toolbar"
    aria-label="With the selected phrases"
    data-test="actions"
  >
    <span
      ><strong class="figure">{{ selected.length }}</strong> selected</span
    >
    <v-btn
      variant="flat"
      color="primary"
      :prepend-icon="mdiTrayPlus"
      data-test="to-tray"
      @click="done(list => tray.add(list))"
      >Add to tray</v-btn
    >
    <v-btn
      :prepend-icon="mdiStarOutline"
      :disabled="selected.length !== 1"
      data-test="make-lead"
      @click="done(list => tray.makeLead(list[0]!))"
      >Make lead</v-btn
    >
    <v-btn
      :prepend-icon="mdiCompareHorizontal"
      :disabled="selected.length < 2 || selected.length > 6"
      title="Two to six phrases side by side"
      data-test="compare"
      @click="emit('compare', selected)"
      >Compare</v-btn
    >
    <DemandListMenu :phrases="selected" :language="language" />
    <v-btn :prepend-icon="mdiMapMarkerMultipleOutline" data-test="in-places" @click="emit('places')">In places</v-btn>
    <v-btn :prepend-icon="mdiContentCopy" @click="copy">Copy</v-btn>
    <v-menu>
      <template #activator="{ props: menu }"
        ><v-btn v-bind="menu" :prepend-icon="mdiDownloadOutline">Export CSV</v-btn></template
      >
      <v-list role="menu" density="compact">
        <v-list-item role="menuitem" title="Phrases alone" @click="exportCsv(false)" />
        <v-list-item role="menuitem" title="All columns" @click="exportCsv(true)" />
      </v-list>
    </v-menu>
    <v-btn :prepend-icon="mdiArchiveArrowDownOutline" data-test="set-aside" @click="done(list => tray.setAside(list))"
      >Set aside</v-btn
    >
    <v-btn
      :icon="mdiClose"
      size="small"
      aria-label="Select none"
      title="Select none"
      class="none"
      @click="selected = []"
    />
  </div>
</template>

<style scoped>
.actions {
  display: flex;
  align-items: center;
  gap: 0;
  padding: 6px 10px;
  flex-wrap: wrap;
}
.actions .v-btn {
  padding: 0 7px;
}
.actions > span {
  margin-right: 8px;
  white-space: nowrap;
}
.actions strong {
  margin-right: 2px;
}
.actions .none {
  margin-left: auto;
  padding: 0;
}
</style>
