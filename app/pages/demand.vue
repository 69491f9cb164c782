<script setup lang="ts">
import { mdiFileUploadOutline, mdiMapMarkerMultipleOutline } from '@mdi/js'
import { useDropZone } from '@vueuse/core'
import { shorterSeeds, splitSeeds } from '../../core/demand/seeds'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { askPhrasesAhead } from '~/composables/demandQuery'
import { regionName } from '~/composables/figures'
import { useViewKeys } from '~/composables/shellKeys'
import { useDemand } from '~/stores/demand'
import { useJobs } from '~/stores/jobs'
import { useTray } from '~/stores/tray'
import { useWorkspace } from '~/stores/workspace'

definePageMeta({ middleware: to => askPhrasesAhead(to.query) })
useHead({ title: 'Demand · Fonetra' })
const demand = useDemand()
const jobs = useJobs()
const tray = useTray()
const workspace = useWorkspace()
const {
  query,
  filters,
  filter,
  filtered,
  clear,
  ask,
  region,
  view,
  show,
  phrase,
  open,
  longer,
  lengthen,
  shortlist,
  compare,
  places,
  cross,
} = useDemandQuery()
const language = computed(() => workspace.language)
const working = ref<string | null>(null)
const importOpen = ref(false)
/** The dialog is loaded when it is first wanted, and kept for its way out. */
const importSeen = ref(false)
watch(importOpen, now => {
  if (now) importSeen.value = true
})
const dropped = ref<File | null>(null)
const screen = ref<HTMLElement | null>(null)

// The brief says which region is meant; while it is on its way there is nothing to ask.
const briefComing = useBriefComing()
watch(
  [query, briefComing, language, () => workspace.id],
  ([now, isComing]) => {
    if (!isComing) void demand.ask(now, language.value)
  },
  { immediate: true },
)
watch(
  () => demand.assessing,
  now => {
    if (!now) void tray.refreshFigures()
  },
)
watch(
  () => jobs.ended,
  () => void demand.again(language.value),
)
onBeforeUnmount(() => demand.stop())
/** Rows, or what stands in their place, come first. */
const rowsDrawn = useDrawnAfter(() => demand.state !== 'loading')

const { isOverDropZone } = useDropZone(screen, {
  onDrop: files => {
    if (files?.[0]) {
      dropped.value = files[0]
      importOpen.value = true
    }
  },
})

/** So few rows that wider seeds are offered. */
const FEW = 3
const fewFound = computed(
  () => demand.rows.length < FEW && splitSeeds(query.value.seed).some(each => shorterSeeds(each).length),
)

/** Phrases that places are crossed with: those selected, else the lead, else the seed. */
const bases = computed(() =>
  demand.selected.length ? demand.selected : [tray.tray.lead ?? query.value.seed].filter(Boolean),
)

function importFile() {
  dropped.value = null
  importOpen.value = true
}
useViewKeys({
  views: DEMAND_VIEWS.map(each => () => show(each)),
  escape: () => {
    if (phrase.value !== null) void open(null)
  },
})
const exclude = (words: string) => filter({ exclude: [query.value.exclude, words].filter(Boolean).join(', ') })
</script>

<template>
  <div ref="screen" class="screen" :class="{ over: isOverDropZone }">
    <h1 class="unseen">Demand{{ query.seed ? `: “${query.seed}”, ${regionName(query.region)}` : '' }}</h1>
    <div class="ask">
      <DemandSeed class="seed" :seed="query.seed" :region="query.region" :language="language" @ask="ask" />
      <ShellRegion class="region" :model-value="query.region" @update:model-value="region" />
      <v-btn
        :prepend-icon="mdiMapMarkerMultipleOutline"
        title="Cross phrases with places"
        data-test="places-open"
        @click="cross(true)"
        >Places</v-btn
      >
      <v-btn :prepend-icon="mdiFileUploadOutline" data-test="import-open" @click="importFile">Import a list</v-btn>
    </div>
    <template v-if="query.seed">
      <DemandFilters :filters :filtered :later="!rowsDrawn" @filter="filter" @clear="clear" />
      <DemandStatus
        :seed="query.seed"
        :filtered
        :view
        :language
        @view="show"
        @aside="filter({ aside: '1', tray: '' })"
        @import="importFile"
      />
      <DemandNear
        v-if="demand.state === 'ready' && demand.answer && (demand.answer.near.length || (fewFound && !filtered))"
        :near="demand.answer.near"
        :seed="query.seed"
        @ask="ask"
      />
      <div v-if="demand.state === 'failed'" class="sheet state" role="alert">
        <h2>Could not load phrases</h2>
        <p>{{ demand.problem }}</p>
        <v-btn variant="tonal" @click="demand.again(language, true)">Try again</v-btn>
      </div>
      <v-skeleton-loader
        v-else-if="demand.state === 'loading' && !demand.rows.length"
        type="paragraph@4"
        class="sheet grow"
      />
      <div v-else-if="demand.state === 'ready' && !demand.rows.length" class="sheet state" data-test="no-phrases">
        <h2>{{ filtered ? 'No phrases match these filters' : `No phrases found for “${query.seed}”` }}</h2>
        <p>
          {{
            filtered
              ? 'Relax a filter, or clear them all.'
              : 'Try fewer or more common words, another region, or import a list that includes it.'
          }}
        </p>
        <v-btn v-if="filtered" variant="tonal" @click="clear">Clear the filters</v-btn>
      </div>
      <div v-else class="work">
        <ShellKept :seen="view === 'table'">
          <DemandTable
            v-model:selected="demand.selected"
            :rows="demand.rows"
            :seed="query.seed"
            :sort="query.sort"
            :loading="demand.state === 'loading'"
            :assessing="demand.assessing"
            :perspective="workspace.perspective"
            :open="phrase"
            :narrow="phrase !== null"
            @sort="filter({ sort: $event })"
            @seed="ask"
            @worth="working = $event"
            @open="open"
            @range="(from, to) => demand.setVisibleRange(from, to, language)"
          />
          <template #others>
            <LazyDemandChart
              v-if="view === 'chart'"
              v-model:selected="demand.selected"
              :rows="demand.rows"
              :perspective="workspace.perspective"
              :open="phrase"
              @open="open"
            />
            <LazyDemandYear
              v-else-if="view === 'year'"
              v-model:selected="demand.selected"
              :rows="demand.rows"
              :months-end="demand.answer?.monthsEnd ?? null"
              :open="phrase"
              @open="open"
            />
            <LazyDemandGroups
              v-else
              v-model:selected="demand.selected"
              :rows="demand.rows"
              :region="query.region"
              :language="language"
              :open="phrase"
              @open="open"
            />
          </template>
        </ShellKept>
        <LazyDemandSheet
          v-if="phrase !== null"
          :phrase="phrase"
          :region="query.region"
          :language="language"
          @close="open(null)"
          @worth="working = $event"
          @longer="lengthen"
          @open="open"
          @exclude="exclude"
        />
      </div>
      <DemandActions
        v-model:selected="demand.selected"
        :rows="demand.rows"
        :seed="query.seed"
        :region="query.region"
        :language="language"
        @compare="compare"
        @places="cross(true)"
      />
    </template>
    <DemandEmpty v-else @ask="ask" />
    <LazyDemandWorth
      v-if="working !== null"
      :phrase="working"
      :region="query.region"
      :language="language"
      @close="working = null"
    />
    <LazyDemandImport
      v-if="importSeen"
      v-model="importOpen"
      :region="query.region"
      :language="language"
      :dropped="dropped"
      @imported="demand.again(language)"
    />
    <LazyDemandLonger
      v-if="longer !== null"
      :phrase="longer"
      :region="query.region"
      :language="language"
      @close="lengthen(null)"
    />
    <LazyDemandPlaces
      v-if="places"
      :phrases="bases"
      :region="query.region"
      :language="language"
      @close="cross(false)"
    />
    <LazyDemandShortlist
      v-if="shortlist.length > 1"
      :phrases="shortlist.slice(0, 6)"
      :region="query.region"
      :language="language"
      @close="compare([])"
    />
  </div>
</template>

<style scoped>
.ask {
  display: flex;
  gap: 8px;
  align-items: flex-start;
}
.seed {
  flex: 1;
}
.region {
  flex: 0 0 190px;
}
.state {
  flex: 1;
}
.grow {
  flex: 1;
  overflow: hidden;
}
.work {
  flex: 1;
  min-height: 0;
  display: flex;
  gap: 10px;
}
.over {
  outline: 2px dashed var(--teal);
  outline-offset: -6px;
}
</style>
