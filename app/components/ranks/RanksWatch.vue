<script setup lang="ts">
import { mdiClose, mdiEyeOutline } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { WATCH_DAYS } from '../../../core/ranks/watch'
import { inDigits } from '../../../core/text/inWords'
import type { WatchRow } from '../../../shared/ranks'
import { counted, regionName, UNKNOWN } from '~/composables/figures'
import { useRanks } from '~/stores/ranks'
import { useWatches } from '~/stores/watches'

/** Which phrases of this video are looked up again and again, where, how often, and what that costs. */
const open = defineModel<boolean>({ required: true })
const ranks = useRanks()
const watches = useWatches()
const every = ref(1)
const regions = ref<string[]>([])
watch(
  open,
  shown => {
    if (!shown) return
    regions.value = [ranks.region ?? '']
    void watches.load()
  },
  { immediate: true },
)
const choices = useRegionChoices()
const often = (days: number) =>
  days === 1 ? 'every day' : days === 7 ? 'every week' : days === 14 ? 'every 2 weeks' : `every ${days} days`
const OFTEN = WATCH_DAYS.map(value => ({ value, title: often(value) }))
const HEADERS = [
  { key: 'phrase', title: 'Phrase' },
  { key: 'where', title: 'Where', value: ({ region, kind }: WatchRow) => `${region ?? ''} ${kind}` },
  { key: 'every', title: 'How often' },
  { key: 'last', title: 'Last look' },
  { key: 'stop', title: '', sortable: false, width: 40 },
] as const
const rows = computed(() => watches.answer?.watches ?? [])
const where = computed(() => (ranks.kind === 'web' ? 'in web search' : 'on the video site'))
const add = () =>
  watches.add(
    ranks.lines.map(({ phrase }) => phrase),
    regions.value,
    every.value,
  )
const cost = computed(() => {
  const told = watches.answer?.cost
  if (!told) return ''
  if (!told.pages) return 'Nothing is watched yet.'
  const asked = `${counted(told.pages, 'page')}: ${inDigits(told.aMonth)} asked for in 30 days`
  return `For all videos ${asked}. One page serves every video of yours on it.`
})
</script>

<template>
  <v-dialog v-model="open" aria-label="Watch ranks" max-width="720" scrollable>
    <v-card title="Watch ranks">
      <v-card-text>
        <p class="muted">
          Watched phrases are looked up by themselves {{ where }}, while Fonetra runs. A day on which it does not run
          stays empty.
        </p>
        <div class="row">
          <v-select
            v-model="every"
            :items="OFTEN"
            label="How often"
            variant="outlined"
            density="compact"
            hide-details
            class="often"
            data-test="watch-often"
          />
          <v-autocomplete
            v-model="regions"
            :items="choices"
            label="Regions"
            variant="outlined"
            density="compact"
            multiple
            chips
            closable-chips
            hide-details
            class="regions"
            data-test="watch-regions"
          />
          <v-btn
            variant="flat"
            color="primary"
            :disabled="!ranks.lines.length || !regions.length"
            :loading="watches.saving"
            data-test="watch-add"
            @click="add"
            >Watch {{ counted(ranks.lines.length, 'phrase') }}</v-btn
          >
        </div>
        <p v-if="watches.problem" role="alert" class="small">
          {{ watches.problem }} <button class="plain link" @click="watches.load()">Try again</button>
        </p>
        <ShellTable
          v-if="rows.length"
          :headers="HEADERS"
          :items="rows"
          density="compact"
          fixed-header
          :height="Math.min(320, 36 + 40 * rows.length)"
          aria-label="Watched phrases of this video"
          data-test="watches"
        >
          <template #[`item.where`]="{ item }"
            >{{ item.region ? regionName(item.region) : 'Everywhere'
            }}{{ item.kind === 'web' ? ', web search' : '' }}</template
          >
          <template #[`item.every`]="{ item }">{{ often(item.every) }}</template>
          <template #[`item.last`]="{ item }">{{ item.last ?? UNKNOWN }}</template>
          <template #[`item.stop`]="{ item }"
            ><v-btn
              :icon="mdiClose"
              size="x-small"
              variant="text"
              :aria-label="`Stop watching ${item.phrase}`"
              @click="watches.drop([item])"
          /></template>
        </ShellTable>
        <div v-else-if="watches.answer" class="none muted">
          <v-icon :icon="mdiEyeOutline" size="18" aria-hidden="true" /> No phrase of this video is watched.
        </div>
        <p class="small muted" data-test="watch-cost">{{ cost }}</p>
      </v-card-text>
      <v-card-actions>
        <v-btn v-if="rows.length" data-test="watch-stop" @click="watches.drop(rows)">Stop watching all</v-btn>
        <v-spacer />
        <v-btn @click="open = false">Close</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  margin: 12px 0;
}
.often {
  flex: 0 1 150px;
}
.regions {
  flex: 1 1 220px;
}
.none {
  padding: 12px 0;
}
</style>
