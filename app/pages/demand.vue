<script setup lang="ts">
import {
  mdiCalendarMonthOutline,
  mdiChartScatterPlot,
  mdiFileUploadOutline,
  mdiGroup,
  mdiMapMarkerMultipleOutline,
  mdiTable,
} from '@mdi/js'
import { useDropZone } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { regionName } from '~/composables/figures'
import { useViewKeys } from '~/composables/shellKeys'
import { useBrief } from '~/stores/brief'
import { useDemand } from '~/stores/demand'
import { useJobs } from '~/stores/jobs'
import { useTray } from '~/stores/tray'
import { useWorkspace } from '~/stores/workspace'

useHead({ title: 'Demand · Fonetra' })
const route = useRoute()
const brief = useBrief()
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
} = useDemandQuery(() => brief.fields?.region ?? null)
const language = computed(() => brief.fields?.language ?? 'en')
const working = ref<string | null>(null)
const importOpen = ref(false)
/** The dialog is loaded when it is first wanted, and kept for its way out. */
const importSeen = ref(false)
watch(importOpen, now => {
  if (now) importSeen.value = true
})
const dropped = ref<File | null>(null)
const screen = ref<HTMLElement | null>(null)

// The brief says which region is meant; until it is open there is nothing to ask.
const ready = computed(() => typeof route.query.brief !== 'string' || brief.brief?.id === route.query.brief)
watch(
  [query, ready, language, () => workspace.id],
  ([now, isReady]) => {
    if (isReady) void demand.ask(now, language.value)
  },
  { immediate: true },
)
watch(
  () => demand.judging,
  now => {
    if (!now) void tray.refreshFigures()
  },
)
watch(
  () => jobs.ended,
  () => void demand.again(language.value),
)
onBeforeUnmount(() => demand.stop())

const { isOverDropZone } = useDropZone(screen, {
  onDrop: files => {
    if (files?.[0]) {
      dropped.value = files[0]
      importOpen.value = true
    }
  },
})

const ideas = computed(() =>
  [...new Set([tray.tray.lead, ...tray.tray.support.slice(0, 4), brief.fields?.topic.toLowerCase() || null])].filter(
    (idea): idea is string => idea !== null && idea !== '' && idea.length <= 200,
  ),
)
const unsearched = computed(
  () =>
    demand.rows.length > 0 &&
    !filtered.value &&
    !demand.answer?.missing.length &&
    demand.rows.every(row => row.volume === null && row.volumeAll === null),
)
const VIEWS = [
  { view: 'table', title: 'Table', icon: mdiTable },
  { view: 'chart', title: 'Chart', icon: mdiChartScatterPlot },
  { view: 'year', title: 'Year', icon: mdiCalendarMonthOutline },
  { view: 'groups', title: 'Groups', icon: mdiGroup },
] as const
/** Phrases that places are crossed with: those selected, else the lead, else the seed. */
/** The seeds that hardly any phrase contains, in words. */
const hardly = computed(() =>
  new Intl.ListFormat('en', { type: 'disjunction' }).format([
    ...new Set(demand.answer?.near.map(each => `“${each.seed}”`)),
  ]),
)
const bases = computed(() =>
  demand.selected.length ? demand.selected : [tray.tray.lead ?? query.value.seed].filter(Boolean),
)

function importFile() {
  dropped.value = null
  importOpen.value = true
}
useViewKeys({
  views: VIEWS.map(
    ({ view }) =>
      () =>
        show(view),
  ),
  escape: () => {
    if (phrase.value !== null) void open(null)
  },
})
const exclude = (word: string) => filter({ exclude: [query.value.exclude, word].filter(Boolean).join(', ') })
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
      <DemandFilters :filters="filters" :filtered="filtered" @filter="filter" @clear="clear" />
      <div class="status small" data-test="demand-status">
        <span v-if="demand.state === 'loading'"
          >Loading “{{ query.seed }}” …
          <button class="plain link" data-test="look-stop" @click="demand.giveUp()">Stop</button></span
        >
        <template v-else-if="demand.state === 'ready' && demand.answer">
          <span
            ><strong class="figure">{{ demand.answer.total.toLocaleString('en') }}</strong>
            {{ demand.answer.total === 1 ? 'phrase' : 'phrases'
            }}{{ filtered ? (demand.answer.total === 1 ? ' matches the filters' : ' match the filters') : ''
            }}<template v-if="demand.rows.length < demand.answer.total"
              >, the first {{ demand.rows.length.toLocaleString('en') }} shown ·
              <button class="plain link" @click="demand.more(language)">show more</button></template
            ><template v-if="demand.answer.withheld"
              >, {{ demand.answer.withheld }} hidden ·
              <button class="plain link" data-test="show-aside" @click="filter({ aside: '1', tray: '' })">
                show
              </button></template
            ></span
          >
          <span v-if="demand.judging" class="judging"
            ><v-progress-circular indeterminate size="12" width="2" color="primary" aria-hidden="true" /> assessing,
            {{ demand.left }} left
            <button class="plain link" data-test="judge-stop" @click="demand.stop()">Stop</button></span
          >
          <span v-else class="muted"
            >{{ demand.difficultyKnown.toLocaleString('en') }} assessed
            <button
              v-if="demand.difficultyKnown < Math.min(300, demand.rows.length)"
              class="plain link"
              @click="demand.judge(language)"
            >
              assess more</button
            ><template
              v-if="demand.answer.total > demand.difficultyKnown && demand.answer.total > 400 && !jobs.running.length"
            >
              <button class="plain link" data-test="judge-all" @click="demand.judgeAll(language)">
                assess all
              </button></template
            ></span
          >
          <button v-if="demand.unsorted && !demand.judging" class="plain link" @click="demand.again(language)">
            New figures arrived. Sort again
          </button>
          <button
            v-else-if="demand.stale && !demand.judging"
            class="plain link"
            data-test="demand-stale"
            @click="demand.again(language)"
          >
            Figures have changed. Reload
          </button>
          <span v-if="unsearched" class="muted"
            >No source has search figures for it.
            <button class="plain link" @click="importFile">Import a list</button></span
          >
          <span v-if="demand.answer.missing.length" class="missing"
            >Missing: {{ demand.answer.missing.join(', ') }}.
            <button class="plain link" @click="demand.again(language, true)">Ask again</button></span
          >
          <span v-if="demand.judgeProblem" class="missing"
            >Some phrases could not be assessed: {{ demand.judgeProblem }}
            <button class="plain link" @click="demand.judge(language)">Try again</button></span
          >
        </template>
        <v-btn-toggle
          :model-value="view"
          mandatory
          density="compact"
          variant="outlined"
          color="primary"
          divided
          class="views"
          aria-label="View"
          ><v-btn
            v-for="each in VIEWS"
            :key="each.view"
            :value="each.view"
            size="small"
            :prepend-icon="each.icon"
            :data-test="`view-${each.view}`"
            @click="show(each.view)"
            >{{ each.title }}</v-btn
          ></v-btn-toggle
        >
      </div>
      <section
        v-if="demand.state === 'ready' && demand.answer?.near.length"
        class="sheet near small"
        aria-label="Near phrases"
        data-test="near"
      >
        <h2>Few phrases contain {{ hardly }}. Did you mean:</h2>
        <ul>
          <li v-for="each in demand.answer.near" :key="each.phrase">
            <button class="plain link" @click="ask(each.phrase)">{{ each.phrase }}</button>
            <span class="muted">{{ each.why }}</span>
          </li>
        </ul>
      </section>
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
        <DemandTable
          v-if="view === 'table'"
          v-model:selected="demand.selected"
          :rows="demand.rows"
          :seed="query.seed"
          :sort="query.sort"
          :loading="demand.state === 'loading'"
          :judging="demand.judging"
          :months-end="demand.answer?.monthsEnd ?? null"
          :whom="workspace.whom"
          :open="phrase"
          :narrow="phrase !== null"
          @sort="filter({ sort: $event })"
          @seed="ask"
          @worth="working = $event"
          @open="open"
          @see="(from, to) => demand.see(from, to, language)"
        />
        <LazyDemandChart
          v-else-if="view === 'chart'"
          v-model:selected="demand.selected"
          :rows="demand.rows"
          :whom="workspace.whom"
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
    <div v-else class="sheet state" data-test="demand-empty">
      <h2>What do people search for, and can I win it?</h2>
      <p>
        Type a topic above to see what people search for, how often, how strong the competition is, and one figure that
        combines the two.
      </p>
      <p class="muted">
        The data that ships with Fonetra is simulated: it covers bicycle repair and a few related trades in an invented
        world. For anything else, import a list of phrases with their searches.
      </p>
      <p v-if="ideas.length">
        From this brief:
        <v-btn v-for="idea in ideas" :key="idea" class="ma-1" variant="outlined" size="small" @click="ask(idea)">{{
          idea
        }}</v-btn>
      </p>
    </div>
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
.status {
  display: flex;
  gap: 18px;
  align-items: center;
  min-height: 28px;
}
.views {
  margin-left: auto;
  height: 28px;
  flex: none;
}
.judging {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
.link {
  color: var(--teal);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.missing {
  color: var(--plum);
}
.near {
  padding: 8px 14px;
}
.near h2 {
  font-size: 13px;
}
.near ul {
  columns: 2 300px;
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
.near li {
  overflow-wrap: anywhere;
  break-inside: avoid;
}
.state {
  padding: 36px;
  display: grid;
  gap: 12px;
  justify-items: start;
  align-content: start;
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
.work > :first-child {
  min-width: 0;
}
.over {
  outline: 2px dashed var(--teal);
  outline-offset: -6px;
}
</style>
