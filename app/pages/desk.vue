<script setup lang="ts">
import { mdiHistory, mdiPlus } from '@mdi/js'
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { BriefField } from '../../core/brief/brief'
import type { FieldRange, Fix, Placement } from '../../core/draft/draft'
import { inDigits } from '../../core/text/inWords'
import type DeskText from '~/components/desk/DeskText.vue'
import type DeskTags from '~/components/desk/DeskTags.vue'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useNotices } from '~/stores/notices'
import { useProposal } from '~/stores/proposal'
import { useTray } from '~/stores/tray'

useHead({ title: 'Desk · Fonetra' })
const brief = useBrief()
const tray = useTray()
const library = useLibrary()
const notices = useNotices()
const proposal = useProposal()
const fields = computed(() => brief.fields)
const context = useDraftContext(computed(() => brief.brief))
const { scored, problem, gainOf, scoreOf, cover } = useScore(
  computed(() => brief.brief?.id ?? null),
  fields,
  context,
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
const route = useRoute()
const address = useAddress()
const side = computed(() => SIDES.find(each => each.side === route.query.side)?.side ?? 'points')
const turn = (to: string) => address({ side: to === 'points' ? undefined : to }, true)
const chances = useDraftChances(
  fields,
  computed(() => brief.brief?.workspaceId),
)
const newOpen = ref(false)
const historyOf = ref<BriefField | null>(null)
const titleText = ref<InstanceType<typeof DeskText> | null>(null)
const descriptionText = ref<InstanceType<typeof DeskText> | null>(null)
const tagList = ref<InstanceType<typeof DeskTags> | null>(null)
const fileField = ref<{ focus: () => void } | null>(null)
const phrases = computed(() => tray.phrases.map(each => each.phrase))
/** The letters by which the tray names them: a support stays B where there is no lead. */
const marks = computed(() => tray.phrases.map(each => each.mark))
const counts = computed(() => scored.value?.score.counts ?? null)

// For those who do not see it: the score, once the typing rests.
const say = useDebounceFn(() => {
  const score = scored.value?.score
  if (score) notices.say(`${Math.round(score.points)} of ${Math.round(score.outOf)} points.`)
}, 1200)
watch(
  () => scored.value?.score.points,
  () => void say(),
)

/** Applies a ready-made change, with a way back. */
function apply(fix: Fix) {
  brief.edit(`Done: ${fix.label.toLowerCase()}.`, fix, scored.value?.draft[fix.field])
}

function showRange({ field, item, start, end }: FieldRange) {
  if (field === 'title') titleText.value?.show(start, end)
  else if (field === 'description') descriptionText.value?.show(start, end)
  else if (field === 'tags') tagList.value?.show(item ?? 0)
  else if (field === 'fileName') fileField.value?.focus()
}

function showPlacement({ place, item, start, end }: Placement) {
  if (place === 'fileName') return fileField.value?.focus()
  if (place === 'tags' || place === 'firstTag') return tagList.value?.show(item ?? 0)
  return showRange({ field: place === 'title' || place === 'titleFront' ? 'title' : 'description', start, end })
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
    <div v-else class="desk" :class="side">
      <div class="write">
        <section aria-label="Title" data-first-field>
          <div class="head">
            <h2>Title</h2>
            <v-btn size="small" :icon="mdiHistory" aria-label="Earlier titles" @click="historyOf = 'title'" />
          </div>
          <LazyDeskProposal
            v-if="proposal.proposals.title"
            :before="fields.title"
            :after="proposal.proposals.title.text"
            label="Title"
            single-line
            @take="proposal.take('title', $event)"
            @leave="proposal.show('title', $event, proposal.proposals.title!.said)"
            @drop="proposal.drop('title')"
          />
          <DeskText
            v-show="!proposal.proposals.title"
            :key="`title-${brief.brief!.id}`"
            ref="titleText"
            :model-value="fields.title"
            label="Title"
            single-line
            hint="The lead phrase, near the front, then a reason to click"
            :underlines="scored?.title ?? []"
            :phrases="phrases"
            :marks="marks"
            data-test="title"
            @update:model-value="brief.set('title', $event)"
          />
          <DeskRuler :title="fields.title" />
        </section>
        <section class="description" aria-label="Description">
          <div class="head">
            <h2>Description</h2>
            <span
              v-if="counts"
              class="figure small"
              :class="{ over: counts.description.used > counts.description.limit }"
              data-test="description-count"
              >{{ inDigits(counts.description.used) }} / {{ inDigits(counts.description.limit) }} bytes<template
                v-if="counts.description.characters !== counts.description.used"
              >
                ({{ inDigits(counts.description.characters) }} characters)</template
              ></span
            >
            <v-spacer /><v-btn
              size="small"
              :icon="mdiHistory"
              aria-label="Earlier descriptions"
              @click="historyOf = 'description'"
            />
          </div>
          <LazyDeskProposal
            v-if="proposal.proposals.description"
            class="long"
            :before="fields.description"
            :after="proposal.proposals.description.text"
            label="Description"
            @take="proposal.take('description', $event)"
            @leave="proposal.show('description', $event, proposal.proposals.description!.said)"
            @drop="proposal.drop('description')"
          />
          <DeskText
            v-show="!proposal.proposals.description"
            :key="`description-${brief.brief!.id}`"
            ref="descriptionText"
            class="long"
            :model-value="fields.description"
            label="Description"
            hint="What the viewer gets, with the lead in the first sentences"
            :underlines="scored?.description ?? []"
            :phrases="phrases"
            :marks="marks"
            data-test="description"
            @update:model-value="brief.set('description', $event)"
          />
        </section>
        <DeskTags ref="tagList" :model-value="fields.tags" @update:model-value="brief.set('tags', $event)" />
        <v-text-field
          ref="fileField"
          :model-value="fields.fileName"
          label="File name, before uploading"
          maxlength="400"
          class="file"
          data-test="file-name"
          @update:model-value="brief.set('fileName', $event)"
        />
      </div>
      <div class="side">
        <v-btn-toggle
          :model-value="side"
          mandatory
          density="compact"
          variant="outlined"
          divided
          aria-label="Beside the writing"
        >
          <v-btn
            v-for="each in SIDES"
            :key="each.side"
            :value="each.side"
            size="small"
            :data-test="`side-${each.side}`"
            @click="turn(each.side)"
            >{{ each.title }}</v-btn
          >
        </v-btn-toggle>
        <LazyDeskTitleBench v-if="side === 'bench'" />
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
          @update:rule-set="brief.set('ruleSet', $event)"
          @fix="apply"
          @show="showRange"
        />
      </div>
      <DeskGrid
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
.write {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-height: 0;
}
.head {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 28px;
}
.description {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-height: 120px;
}
.long {
  flex: 1;
}
.over {
  color: var(--plum);
  font-weight: 600;
}
.file {
  flex: none;
}
.places {
  grid-column: 1 / -1;
  padding: 4px 8px 6px;
}
.state {
  padding: 36px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
</style>
