<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { useDebounceFn } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { draftOf, type BriefField } from '../../core/brief/brief'
import type { FieldRange, Fix, Placement } from '../../core/draft/draft'
import type DeskWriting from '~/components/desk/DeskWriting.vue'
import { remember } from '~/composables/remember'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useNotices } from '~/stores/notices'
import { useSpoken } from '~/stores/spoken'
import { useTray } from '~/stores/tray'
import { useWorkspaceItems } from '~/stores/workspaceItems'

useHead({ title: 'Desk · Fonetra' })
const brief = useBrief()
const tray = useTray()
const library = useLibrary()
const items = useWorkspaceItems()
const notices = useNotices()
const fields = computed(() => brief.fields)
const context = useDraftContext(computed(() => brief.brief))
const limits = useLimits()
const { scored, problem, gainOf, scoreOf, scoreUnder, cover } = useScore(
  computed(() => brief.brief?.id ?? null),
  () =>
    fields.value && {
      draft: draftOf(fields.value),
      phrases: fields.value.forSearch
        ? { lead: fields.value.tray.lead ?? '', support: fields.value.tray.support }
        : { lead: '', support: [] },
      ruleSet: items.ruleSetOf(fields.value.ruleSet),
      profile: limits.value,
      language: fields.value.language,
      context: context.value,
    },
)
/** What lies beside the writing: what it earns, how it is seen, and what can be brought in. */
const SIDES = [
  { side: 'points', title: 'Points' },
  { side: 'seen', title: 'Seen' },
  { side: 'bench', title: 'Bench' },
  { side: 'tags', title: 'Tags' },
  { side: 'blocks', title: 'Blocks' },
  { side: 'compose', title: 'Compose' },
  { side: 'versions', title: 'Versions' },
] as const
/** What is worked on: the texts, what is spoken, the playlist, or other languages. Each has sides of its own. */
const PARTS = [
  { part: 'text', title: 'Text' },
  { part: 'spoken', title: 'Spoken' },
  { part: 'playlist', title: 'Playlist' },
  { part: 'languages', title: 'Languages' },
] as const
const SPOKEN_SIDES = [
  { side: 'chapters', title: 'Chapters' },
  { side: 'phrases', title: 'Phrases' },
  { side: 'clean', title: 'Clean text' },
  { side: 'truth', title: 'Truth' },
  { side: 'filming', title: 'Filming' },
] as const
const route = useRoute()
const address = useAddress()
const coming = useBriefComing()
const part = computed(() => PARTS.find(each => each.part === route.query.part)?.part ?? 'text')
const sides = computed<readonly { side: string; title: string }[]>(() =>
  part.value === 'spoken' ? SPOKEN_SIDES : SIDES,
)
const side = computed(() => (sides.value.find(each => each.side === route.query.side) ?? sides.value[0]!).side)
const turn = (to: string) => address({ side: to === sides.value[0]!.side ? undefined : to }, true)
const work = (on: string) =>
  address({ part: on === 'text' ? undefined : on, side: undefined, playlist: undefined, text: undefined }, true)
const spoken = useSpoken()
/** Where the last briefs are remembered whose title was begun. */
const BEGUN = 'fonetra.begun'
const MOST_BEGUN = 100
useViewKeys({ views: PARTS.map(each => () => work(each.part)) })
const chances = useDraftChances(
  fields,
  computed(() => brief.brief?.workspaceId),
)
const newOpen = ref(false)
const historyOf = ref<BriefField | null>(null)
const writing = ref<InstanceType<typeof DeskWriting> | null>(null)
const phrases = computed(() => tray.phrases.map(each => each.phrase))

// For those who do not see it: the score, once the typing rests.
const say = useDebounceFn(() => {
  const score = scored.value?.score
  if (score) notices.say(`${Math.round(score.points)} of ${Math.round(score.outOf)} points.`)
}, 1200)
watch(
  () => scored.value?.score.points,
  () => void say(),
)

/** Whoever begins with the title gets the bench beside it: once for a brief, and never again unasked. */
function beginTitle() {
  const id = brief.brief!.id
  const begun = (localStorage.getItem(BEGUN) ?? '').split(' ')
  if (route.query.side !== undefined || fields.value!.title.trim() || !tray.tray.lead || begun.includes(id)) return
  remember(BEGUN, [...begun.slice(-MOST_BEGUN), id].join(' '))
  void address({ side: 'bench' })
}

/** Applies a ready-made change, with a way back. */
function apply(fix: Fix) {
  brief.edit(`Done: ${fix.label.toLowerCase()}.`, fix, scored.value?.draft[fix.field])
}

async function showRange({ field, item, start, end }: FieldRange) {
  if (part.value !== 'text') {
    await work('text')
    await nextTick()
  }
  writing.value?.show({ field, item, start, end })
}

async function showPlacement({ place, item, start, end }: Placement) {
  if (place === 'spoken') {
    if (part.value !== 'spoken') await work('spoken')
    spoken.shown = { cue: item ?? 0 }
    return
  }
  if (place === 'playlist') return void work('playlist')
  if (part.value !== 'text') {
    await work('text')
    await nextTick()
  }
  writing.value?.showPlacement({ place, item, start, end })
}

function restore(field: BriefField, value: unknown) {
  brief.change('Earlier version restored.', field, value as never)
}
</script>

<template>
  <div class="screen">
    <h1 class="unseen">Desk</h1>
    <div v-if="!fields" class="sheet state">
      <template v-if="library.state === 'ready' && !library.briefs.length"
        ><h2>Nothing to write yet</h2>
        <p>Create a brief: one video, with its phrases and its text.</p>
        <v-btn variant="flat" color="primary" :prepend-icon="mdiPlus" @click="newOpen = true"
          >New brief</v-btn
        ></template
      >
      <p v-else-if="library.state === 'failed'" role="alert">{{ library.problem }}</p>
      <v-skeleton-loader v-else type="heading, paragraph@3" />
    </div>
    <div v-else class="desk" :class="[side, part]" :inert="coming">
      <div class="write">
        <v-btn-toggle
          :model-value="part"
          mandatory
          density="compact"
          variant="outlined"
          divided
          class="parts"
          aria-label="What is worked on"
        >
          <v-btn
            v-for="(each, i) in PARTS"
            :key="each.part"
            :value="each.part"
            :aria-pressed="part === each.part"
            size="small"
            :title="`Key ${i + 1}`"
            :data-test="`part-${each.part}`"
            @click="work(each.part)"
            >{{ each.title }}</v-btn
          >
        </v-btn-toggle>
        <LazyDeskSpoken v-if="part === 'spoken'" />
        <LazyDeskLanguages v-else-if="part === 'languages'" :key="brief.brief!.id" />
        <LazyDeskPlaylist v-else-if="part === 'playlist'" :key="brief.brief!.id" />
        <DeskWriting v-else ref="writing" :scored="scored" @history="historyOf = $event" @title="beginTitle" />
      </div>
      <div v-if="part === 'text' || part === 'spoken'" class="side">
        <DeskSides
          :model-value="side"
          :sides="sides"
          label="Beside the writing"
          named="side"
          @update:model-value="turn"
        />
        <LazyDeskChapters v-if="side === 'chapters'" />
        <LazyDeskSpokenPhrases v-else-if="side === 'phrases'" :key="brief.brief!.id" />
        <LazyDeskSpokenClean v-else-if="side === 'clean'" :key="brief.brief!.id" />
        <LazyDeskSpokenTruth v-else-if="side === 'truth'" :key="brief.brief!.id" @show="showRange" />
        <LazyDeskSpokenFilming v-else-if="side === 'filming'" :key="brief.brief!.id" />
        <LazyDeskTitleBench v-else-if="side === 'bench'" />
        <LazyDeskSeen v-else-if="side === 'seen'" :key="brief.brief!.id" />
        <LazyDeskTagsSide v-else-if="side === 'tags'" :key="brief.brief!.id" />
        <LazyDeskBlocks v-else-if="side === 'blocks'" :key="brief.brief!.id" />
        <LazyDeskVersions
          v-else-if="side === 'versions'"
          :key="brief.brief!.id"
          :score="scored?.score ?? null"
          :score-of="scoreOf"
        />
        <LazyDeskDescriptionCompose v-else-if="side === 'compose'" :key="brief.brief!.id" />
        <DeskLedger
          v-else
          :score="scored?.score ?? null"
          :problem="problem"
          :cover="cover"
          :rule-set="fields.ruleSet"
          :score-under="scoreUnder"
          @update:rule-set="brief.set('ruleSet', $event)"
          @fix="apply"
          @show="showRange"
        />
      </div>
      <p v-if="!fields.forSearch" class="places sheet muted not-for-search" data-test="not-for-search">
        This video is not meant for search, so nothing is asked of the places of phrases.
        <NuxtLink class="link" :to="{ path: '/release', query: { brief: brief.brief!.id } }"
          >Change it on Release</NuxtLink
        >
      </p>
      <DeskGrid
        v-else
        class="places sheet"
        :fields="fields"
        :phrases="phrases"
        :chances="chances"
        :placements="scored?.score.placements ?? []"
        :insertions="scored?.insertions ?? {}"
        :gain-of="gainOf"
        @show="showPlacement"
        @insert="apply"
      />
      <LazyDeskHistory v-if="historyOf" v-model="historyOf" :brief-id="brief.brief!.id" @restore="restore" />
    </div>
    <LazyLibraryNewBrief v-if="newOpen" v-model="newOpen" />
  </div>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 0.95fr);
  grid-template-rows: minmax(0, 1fr) auto;
  gap: 12px 14px;
  flex: 1;
  min-height: 0;
}
.side {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-height: 0;
}
.side > :last-child {
  flex: 1;
}
.parts {
  height: 28px !important;
  position: absolute;
  right: 0;
  top: 0;
  z-index: 1;
}
.write {
  position: relative;
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-height: 0;
}
/* These two have what stands beside them within; the parts stay where they are. */
:is(.playlist, .languages) .write {
  grid-column: 1 / -1;
}
@media (min-width: 701px) {
  :is(.playlist, .languages) .parts {
    right: calc((100% - 14px) * 0.95 / 1.95 + 14px);
  }
}
.not-for-search {
  padding: 10px 14px !important;
}
.places {
  grid-column: 1 / -1;
  padding: 4px 8px 6px;
}
</style>
