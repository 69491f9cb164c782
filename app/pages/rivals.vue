<script setup lang="ts">
import { mdiRefresh } from '@mdi/js'
import { computed, onBeforeUnmount, watch } from 'vue'
import { now } from '~/composables/clock'
import { ago, dateOnly, dateTime, regionName } from '~/composables/figures'
import { useViewKeys } from '~/composables/shellKeys'
import { useBrief } from '~/stores/brief'
import { useRivals } from '~/stores/rivals'
import { useTray } from '~/stores/tray'
import { useWorkspace } from '~/stores/workspace'

useHead({ title: 'Rivals · Fonetra' })
const route = useRoute()
const brief = useBrief()
const tray = useTray()
const rivals = useRivals()
const workspace = useWorkspace()
const VIEWS = [
  { view: 'ladder', title: 'Ladder' },
  { view: 'curves', title: 'Curves' },
  { view: 'words', title: 'Words of the page' },
  { view: 'channels', title: 'Channels' },
  { view: 'trending', title: 'Trending' },
] as const
type View = (typeof VIEWS)[number]['view']

const text = (name: string) => (typeof route.query[name] === 'string' ? route.query[name] : '')
const language = computed(() => workspace.language)
const region = computed(() => (route.query.region === undefined ? workspace.region : text('region') || null))
/** The phrase of the address; without one, the lead of the open brief. */
const phrase = computed(() => text('phrase') || tray.tray.lead || '')
const depth = computed(() => [20, 40, 60].find(each => String(each) === text('depth')) ?? 60)
const from = computed<'site' | 'web'>(() => (text('from') === 'web' ? 'web' : 'site'))
/** An earlier day that is looked at. */
const day = computed(() => text('day') || undefined)
/** What is told of an earlier page. */
const views = computed(() => VIEWS.filter(each => !day.value || each.view === 'ladder' || each.view === 'curves'))
const view = computed<View>(() => views.value.find(each => each.view === text('tab'))?.view ?? 'ladder')
const channel = computed(() => text('channel') || null)
const question = computed(() => ({
  phrase: phrase.value,
  region: region.value,
  language: language.value,
  depth: depth.value,
  from: from.value,
  ...(day.value ? { day: day.value } : {}),
}))
const ready = computed(() => typeof route.query.brief !== 'string' || brief.brief?.id === route.query.brief)
watch(
  [question, ready, () => workspace.id],
  ([now, isReady], before) => {
    if (
      isReady &&
      JSON.stringify(now) + workspace.id !==
        JSON.stringify(before?.[0]) + String(before?.[2] ?? '') + (before?.[1] ? '' : '!')
    )
      void rivals.ask(now)
  },
  { immediate: true },
)
onBeforeUnmount(() => rivals.stop())

const set = useAddress()
const turn = (to: View) => set({ tab: to === 'ladder' ? undefined : to, channel: undefined }, true)
useViewKeys({
  views: VIEWS.map(each => () => turn(each.view)),
  escape: () => {
    if (text('video') || text('channel')) void set({ video: undefined, channel: undefined })
  },
})
const read = (next: string) => set({ phrase: next, video: undefined, channel: undefined, day: undefined }, true)
</script>

<template>
  <div class="screen">
    <h1 class="unseen">Rivals{{ phrase ? `: “${phrase}”, ${regionName(region)}` : '' }}</h1>
    <div class="ask">
      <RivalsPhrase class="phrase" :phrase="phrase" :region="region" :language="language" @ask="read" />
      <ShellRegion class="region" :model-value="region" @update:model-value="set({ region: $event ?? '' }, true)" />
      <v-btn-toggle
        :model-value="from"
        mandatory
        density="compact"
        variant="outlined"
        color="primary"
        divided
        aria-label="Source of the results"
        ><v-btn
          value="site"
          :aria-pressed="from === 'site'"
          size="small"
          title="Result pages of the video site"
          @click="set({ from: undefined })"
          >Video site</v-btn
        ><v-btn
          value="web"
          :aria-pressed="from === 'web'"
          size="small"
          title="The video block of a web search"
          data-test="from-web"
          @click="set({ from: 'web' })"
          >Web search</v-btn
        ></v-btn-toggle
      >
      <v-btn-toggle
        v-if="from === 'site'"
        :model-value="depth"
        mandatory
        density="compact"
        variant="outlined"
        color="primary"
        divided
        aria-label="Results to load"
        ><v-btn
          v-for="each in [20, 40, 60]"
          :key="each"
          :value="each"
          :aria-pressed="depth === each"
          size="small"
          :data-test="`depth-${each}`"
          :title="`${each / 20} result ${each === 20 ? 'page' : 'pages'}`"
          @click="set({ depth: each === 60 ? undefined : String(each) })"
          >{{ each }}</v-btn
        ></v-btn-toggle
      >
    </div>
    <nav v-if="tray.phrases.length" class="tray small" aria-label="Phrases of the tray">
      <button
        v-for="each in tray.phrases"
        :key="each.phrase"
        class="plain chip"
        :class="{ here: each.phrase === phrase }"
        :aria-current="each.phrase === phrase ? 'true' : undefined"
        data-test="tray-chip"
        @click="read(each.phrase)"
      >
        <strong class="figure">{{ each.mark }}</strong> {{ each.phrase }}
      </button>
    </nav>
    <div v-if="!phrase && view !== 'trending'" class="sheet state" data-test="rivals-empty">
      <h2>Who ranks for this phrase, and how strong are they?</h2>
      <p>
        Type a phrase, or choose a lead for the brief. You see every result with its strength, where your channel would
        rank, and the words the results use.
      </p>
    </div>
    <template v-else>
      <div class="tabs">
        <v-btn-toggle
          :model-value="view"
          mandatory
          density="compact"
          variant="outlined"
          color="primary"
          divided
          aria-label="View"
          ><v-btn
            v-for="each in views"
            :key="each.view"
            :value="each.view"
            :aria-pressed="view === each.view"
            size="small"
            :data-test="`tab-${each.view}`"
            @click="turn(each.view)"
            >{{ each.title }}</v-btn
          ></v-btn-toggle
        >
        <template v-if="view !== 'trending'">
          <span v-if="rivals.state === 'loading'" class="small"
            >Loading results … <button class="plain link" @click="rivals.giveUp()">Stop</button></span
          >
          <span v-else-if="rivals.page" class="small muted" :title="dateTime(rivals.page.at)"
            ><template v-if="day"
              >{{ rivals.page.source }}, as seen on {{ dateOnly(rivals.page.at)
              }}<template v-if="rivals.page.more && rivals.page.rows.length < depth"
                >; its first {{ rivals.page.rows.length }} results are kept</template
              ></template
            ><template v-else>{{ rivals.page.source }}, seen {{ ago(rivals.page.at, now()) }}</template
            ><template v-if="!rivals.page.complete">, <strong class="missing">incomplete</strong></template
            ><template v-if="rivals.page.problem"
              >; <span class="missing">{{ rivals.page.problem }}</span></template
            ></span
          >
          <v-spacer />
          <v-btn v-if="day" size="small" variant="outlined" data-test="page-now" @click="set({ day: undefined })"
            >Show it as it is now</v-btn
          >
          <v-btn
            v-else
            size="small"
            :prepend-icon="mdiRefresh"
            :disabled="!rivals.page || rivals.state === 'loading'"
            data-test="look-again"
            @click="rivals.again(true)"
            >Look again</v-btn
          >
        </template>
      </div>
      <RivalsTrending v-if="view === 'trending'" :region="region" :language="language" />
      <div v-else-if="rivals.state === 'failed' && !rivals.page" class="sheet state" role="alert">
        <h2>Could not load the results</h2>
        <p>{{ rivals.problem }}</p>
        <v-btn variant="tonal" @click="rivals.again()">Try again</v-btn>
      </div>
      <template v-else-if="rivals.page">
        <RivalsReading :page="rivals.page" />
        <!-- Sixty rows take long to draw. -->
        <ShellKept :seen="view === 'ladder'">
          <RivalsLadder :page="rivals.page" />
          <template #others>
            <LazyRivalsCurves v-if="view === 'curves'" :page="rivals.page" />
            <LazyRivalsWords v-else-if="view === 'words'" :question="question" />
            <LazyRivalsChannels
              v-else
              :page="rivals.page"
              :question="question"
              :channel="channel"
              @open="set({ channel: $event ?? undefined }, true)"
            />
          </template>
        </ShellKept>
      </template>
      <v-skeleton-loader v-else type="paragraph, table-row@6" class="sheet" />
    </template>
  </div>
</template>

<style scoped>
.ask {
  display: flex;
  gap: 8px;
  align-items: center;
}
.phrase {
  flex: 1;
}
.region {
  flex: 0 0 170px;
}
.tray {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
.chip {
  border: 1px solid var(--line);
  border-radius: 12px;
  padding: 1px 10px;
  background: var(--surface);
}
.chip.here {
  border-color: var(--teal);
  color: var(--teal);
}
.tabs {
  display: flex;
  gap: 12px;
  align-items: center;
}
.state {
  flex: 1;
}
.link {
  color: var(--teal);
  text-decoration: underline;
}
.missing {
  color: var(--plum);
}
</style>
