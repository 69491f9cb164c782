<script setup lang="ts">
import { mdiEyeOutline, mdiMagnifyScan, mdiStop } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { counted } from '~/composables/figures'
import { RANK_KINDS, RANK_PARTS, RANK_VIEWS, type RankView } from '~/composables/ranksViews'
import { useBrief } from '~/stores/brief'
import { useRanks, type RankKind } from '~/stores/ranks'
import { useRankSurroundings } from '~/stores/rankSurroundings'
import { useWatches } from '~/stores/watches'
import { useWorkspace } from '~/stores/workspace'

useHead({ title: 'Ranks · Fonetra' })
const ranks = useRanks()
const watches = useWatches()
const around = useRankSurroundings()
const watchOpen = ref(false)
const brief = useBrief()
const workspace = useWorkspace()
const route = useRoute()
const address = useAddress()
const view = computed<RankView>(() => RANK_VIEWS.find(({ side }) => side === route.query.view)?.side ?? 'ranks')
const turn = (to: RankView) => address({ view: to === 'ranks' ? undefined : to, of: undefined }, true)
useViewKeys({
  views: RANK_VIEWS.map(
    ({ side }) =>
      () =>
        turn(side),
  ),
})

const parts = computed(() => RANK_PARTS[view.value])
const part = computed(
  () => parts.value?.find(({ side }) => side === route.query.of)?.side ?? parts.value?.[0]!.side ?? '',
)

watch(
  () => workspace.id,
  id => {
    if (id) void ranks.loadVideos()
  },
  { immediate: true },
)
/** The video in the address; without one that of the open brief, the newest that is watched, or the newest. */
const fallback = ref('')
watch(
  [() => brief.brief?.id, () => ranks.videos],
  async () => {
    await ranks.loadOfBrief()
    fallback.value = ranks.ofBrief || (await watches.newest(ranks.videos ?? [])) || (ranks.videos?.[0]?.id ?? '')
  },
  { immediate: true },
)
watch(
  [() => route.query.video, fallback],
  ([given, other]) => {
    ranks.video = typeof given === 'string' && given ? given : other
  },
  { immediate: true },
)
watch(
  () => route.query.kind,
  given => {
    ranks.kind = given === 'web' ? 'web' : 'site'
  },
  { immediate: true },
)
watch(
  [() => route.query.region, () => workspace.region],
  ([given, usual]) => {
    ranks.region = typeof given === 'string' ? given || null : usual
  },
  { immediate: true },
)
const choices = computed(() => {
  const found = (ranks.videos ?? []).map(({ id, title }) => ({ value: id, title }))
  // One that is not listed yet is there all the same.
  return ranks.video && !found.some(({ value }) => value === ranks.video)
    ? [{ value: ranks.video, title: ranks.video }, ...found]
    : found
})
/** The phrases whose curves are drawn: the one in the address, else those that bring most. */
const shown = computed(() => String(route.query.phrase ?? ''))
watch(
  [shown, () => route.query.rival],
  ([phrase, rival]) => {
    around.phrase = phrase
    around.rival = typeof rival === 'string' ? rival : ''
  },
  { immediate: true },
)
</script>

<template>
  <div class="screen">
    <h1 class="unseen">Ranks</h1>
    <div class="head">
      <DeskSides
        :model-value="view"
        :sides="RANK_VIEWS"
        label="What is looked at"
        named="view"
        @update:model-value="turn"
      />
      <v-autocomplete
        v-if="view === 'ranks' || view === 'views'"
        :model-value="ranks.video || null"
        :items="choices"
        label="Video"
        variant="outlined"
        density="compact"
        hide-details
        no-data-text="No videos of your channel are known. Choose your channel in the Library."
        class="video"
        data-first-field
        data-test="rank-video"
        @update:model-value="address({ video: $event ?? undefined, phrase: undefined, rival: undefined }, true)"
      />
      <template v-if="view === 'ranks' || (view === 'channel' && part === 'ranks')">
        <DeskSides
          :model-value="ranks.kind"
          :sides="RANK_KINDS"
          label="Where it is looked up"
          named="kind"
          @update:model-value="(kind: RankKind) => address({ kind: kind === 'site' ? undefined : kind }, true)"
        />
      </template>
      <DeskSides
        v-if="parts"
        :model-value="part"
        :sides="parts"
        label="Of what"
        :named="view"
        @update:model-value="to => address({ of: to === parts![0]!.side ? undefined : to }, true)"
      />
      <ShellRegion
        v-if="view !== 'views' && !['once', 'chances', 'leads', 'earned'].includes(part)"
        :model-value="ranks.region"
        class="region"
        @update:model-value="address({ region: $event ?? '' }, true)"
      />
      <template v-if="view === 'ranks'">
        <v-spacer />
        <v-btn
          variant="outlined"
          :prepend-icon="mdiEyeOutline"
          :disabled="!ranks.video"
          data-test="rank-watch"
          title="Look up by itself, again and again"
          @click="watchOpen = true"
          >{{ watches.answer?.watches.length ? `Watched: ${watches.answer.watches.length}` : 'Watch' }}</v-btn
        >
        <template v-if="ranks.progress"
          ><span class="small muted" role="status"
            >{{ ranks.progress.done }} of {{ counted(ranks.progress.of, 'phrase') }}</span
          ><v-btn size="small" variant="outlined" :prepend-icon="mdiStop" data-test="rank-stop" @click="ranks.stop()"
            >Stop</v-btn
          ></template
        >
        <v-btn
          v-else
          variant="flat"
          color="primary"
          :prepend-icon="mdiMagnifyScan"
          :disabled="!ranks.video || !ranks.lines.length"
          data-test="rank-look"
          title="Where it stands now, as a stranger sees it; a page that was read today is not asked for again"
          @click="ranks.look()"
          >Look up {{ ranks.lines.length || '' }}</v-btn
        >
      </template>
    </div>
    <!-- A year of ranks takes long to draw. -->
    <ShellKept :seen="view === 'ranks'">
      <RanksChosen>
        <v-skeleton-loader v-if="!ranks.rows" type="table-row@4" class="sheet" />
        <RanksVideo v-else :shown="shown" />
      </RanksChosen>
      <template #others>
        <LazyRanksPoints v-if="view === 'told' && part === 'points'" />
        <LazyRanksForecasts v-else-if="view === 'told'" />
        <LazyRanksLeadingOn v-else-if="view === 'channel' && part === 'leads'" />
        <LazyRanksEarned v-else-if="view === 'channel' && part === 'earned'" />
        <LazyRanksChannel v-else-if="view === 'channel'" />
        <LazyRanksMend v-else-if="view === 'mend'" />
        <LazyRanksFilmingPlan v-else-if="view === 'open' && part === 'plan'" />
        <LazyRanksTogether v-else-if="view === 'open' && part === 'together'" />
        <LazyRanksOpenPhrases v-else-if="view === 'open'" />
        <LazyRanksTrials v-else-if="view === 'many' && part === 'trial'" />
        <LazyRanksEditMany v-else-if="view === 'many'" />
        <RanksChosen v-else>
          <LazyRanksViews v-if="ranks.video" />
          <v-skeleton-loader v-else type="image, table-row@3" class="sheet" />
        </RanksChosen>
      </template>
    </ShellKept>
    <RanksWatch v-model="watchOpen" />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}
.video {
  flex: 1 1 220px;
  max-width: 440px;
}
.region {
  flex: 0 0 170px;
}
</style>
