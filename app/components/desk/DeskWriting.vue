<script setup lang="ts">
import { mdiHistory } from '@mdi/js'
import { computed, ref } from 'vue'
import type { BriefField } from '../../../core/brief/brief'
import type { FieldRange, Placement } from '../../../core/draft/draft'
import { fileNameFor } from '../../../core/draft/fileName'
import { inDigits } from '../../../core/text/inWords'
import type DeskText from '~/components/desk/DeskText.vue'
import type DeskTags from '~/components/desk/DeskTags.vue'
import type { Scored } from '~/workers/score.worker'
import { useBrief } from '~/stores/brief'
import { useProposal } from '~/stores/proposal'
import { useTray } from '~/stores/tray'

/** The texts of the video: title, description, tags, file name. */
defineProps<{ scored: Scored | null }>()
const emit = defineEmits<{ history: [field: BriefField]; title: [] }>()
const brief = useBrief()
const tray = useTray()
const proposal = useProposal()
const fields = computed(() => brief.fields!)
const titleText = ref<InstanceType<typeof DeskText> | null>(null)
const descriptionText = ref<InstanceType<typeof DeskText> | null>(null)
const tagList = ref<InstanceType<typeof DeskTags> | null>(null)
const fileField = ref<{ focus: () => void } | null>(null)
const phrases = computed(() => tray.phrases.map(each => each.phrase))
/** The file named after the lead. */
const named = computed(() => fileNameFor(tray.tray.lead ?? '', '', fields.value.language))
/** The letters by which the tray names them: a support stays B where there is no lead. */
const marks = computed(() => tray.phrases.map(each => each.mark))

/** Brings a stretch of a text into view, with the cursor on it. */
function show({ field, item, start, end }: FieldRange) {
  if (field === 'title') titleText.value?.show(start, end)
  else if (field === 'description') descriptionText.value?.show(start, end)
  else if (field === 'tags') tagList.value?.show(item ?? 0)
  else if (field === 'fileName') fileField.value?.focus()
}
/** Brings the place in which a phrase stands into view. */
function showPlacement({ place, item, start, end }: Pick<Placement, 'place' | 'item' | 'start' | 'end'>) {
  if (place === 'fileName') return fileField.value?.focus()
  if (place === 'tags' || place === 'firstTag') return tagList.value?.show(item ?? 0)
  return show({ field: place === 'title' || place === 'titleFront' ? 'title' : 'description', start, end })
}
defineExpose({ show, showPlacement })
</script>

<template>
  <div class="writing">
    <section aria-label="Title" data-first-field @focusin="emit('title')">
      <div class="head">
        <h2>Title</h2>
        <v-btn size="small" :icon="mdiHistory" aria-label="Earlier titles" @click="emit('history', 'title')" />
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
          v-if="scored"
          class="figure small"
          :class="{ over: scored.score.counts.description.used > scored.score.counts.description.limit }"
          data-test="description-count"
          >{{ inDigits(scored.score.counts.description.used) }} /
          {{ inDigits(scored.score.counts.description.limit) }} bytes<template
            v-if="scored.score.counts.description.characters !== scored.score.counts.description.used"
          >
            ({{ inDigits(scored.score.counts.description.characters) }} characters)</template
          ></span
        >
        <v-spacer /><v-btn
          size="small"
          :icon="mdiHistory"
          aria-label="Earlier descriptions"
          @click="emit('history', 'description')"
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
    >
      <template v-if="!fields.fileName && tray.tray.lead" #append-inner>
        <v-btn
          size="small"
          variant="tonal"
          class="named"
          data-test="file-named"
          @click="brief.change('File named after the lead.', 'fileName', named)"
          >{{ named }}</v-btn
        >
      </template>
    </v-text-field>
  </div>
</template>

<style scoped>
.writing {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-height: 0;
  flex: 1;
  overflow-y: auto;
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
.named {
  max-width: 360px;
}
.named :deep(.v-btn__content) {
  display: block;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
