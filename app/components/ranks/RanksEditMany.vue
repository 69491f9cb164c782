<script setup lang="ts">
import { computed, watch } from 'vue'
import { EDITED, type Edited, type Misfit } from '../../../core/draft/manyEdit'
import { inDigits } from '../../../core/text/inWords'
import { counted } from '~/composables/figures'
import { manyEditWords } from '~/composables/manyEditWords'
import { useEditMany } from '~/stores/editMany'
import { useRanks } from '~/stores/ranks'
import { useWorkspace } from '~/stores/workspace'

/** A change made on one video, shown in all others that it fits, and made in those that are chosen. */
const many = useEditMany()
const ranks = useRanks()
const workspace = useWorkspace()
const route = useRoute()
const address = useAddress()
watch(
  () => workspace.id,
  () => void many.loadRuns(),
  { immediate: true },
)
function tryAgain() {
  void many.loadRuns()
  void many.look()
}

const NAMES = { title: 'Title', description: 'Description', tags: 'Tags' } as const
const FIELDS = EDITED.map(side => ({ side, title: NAMES[side] }))
const field = computed<Edited>(() => EDITED.find(each => each === route.query.field) ?? 'description')
const choices = computed(() => (ranks.videos ?? []).map(({ id, title }) => ({ value: id, title })))
/** A video that does not tell this text is no sample. */
watch(
  [() => route.query.video, field, () => ranks.videos],
  ([id, of, videos]) => {
    const video = videos?.find(each => each.id === id) ?? null
    if (many.sample?.id !== video?.id || many.field !== of || many.edit === null) many.take(video, of)
  },
  { immediate: true },
)
/** The text box is as high as the text, within bounds. */
const rows = computed(() => (field.value === 'title' ? 3 : 16))
const WHY: Record<Misfit, string> = {
  absent: 'do not hold these words',
  several: 'hold them more than once',
  same: 'are so already',
  limits: 'would break the limits',
  unknown: 'do not tell this text',
}
const misfits = computed(() =>
  Object.entries(many.found?.misfits ?? {})
    .filter(([, n]) => n > 0)
    .map(([why, n]) => `${inDigits(n)} ${WHY[why as Misfit]}`)
    .join(', '),
)
</script>

<template>
  <div class="both">
    <section class="sheet part sample" aria-labelledby="many-sample">
      <h2 id="many-sample">Change one video</h2>
      <ShellChooseChannel v-if="ranks.videos && !ranks.videos.length" />
      <v-autocomplete
        v-else
        :model-value="many.sample?.id ?? null"
        :items="choices"
        label="Video"
        density="compact"
        variant="outlined"
        hide-details
        no-data-text="No such video."
        data-first-field
        data-test="many-video"
        @update:model-value="address({ video: $event ?? undefined })"
      />
      <DeskSides
        :model-value="field"
        :sides="FIELDS"
        label="What is changed"
        named="many"
        @update:model-value="of => address({ field: of === 'description' ? undefined : of })"
      />
      <template v-if="many.sample">
        <p v-if="many.before === null" class="small muted">The site does not tell this text. Choose another video.</p>
        <v-textarea
          v-else
          v-model="many.text"
          :label="field === 'tags' ? 'Tags, one a line' : NAMES[field]"
          :rows="rows"
          no-resize
          density="compact"
          variant="outlined"
          hide-details
          maxlength="60000"
          data-test="many-text"
        />
        <p v-if="many.edit" class="small" data-test="many-edit">The change: {{ manyEditWords(many.edit) }}.</p>
        <p v-else-if="many.before !== null" class="small muted">
          Change the text: what you change here is looked for in your other videos.
        </p>
        <label v-if="many.edit && 'find' in many.edit && (many.every || many.found?.misfits.several)" class="small"
          ><input v-model="many.every" type="checkbox" data-test="many-every" /> Also where the words stand more than
          once, each time</label
        >
      </template>
    </section>
    <section class="sheet part fits" aria-labelledby="many-fits">
      <h2 id="many-fits">Where it fits</h2>
      <ShellFailed v-if="many.problem" :problem="many.problem" @again="tryAgain" />
      <template v-else-if="many.edit">
        <p v-if="!many.found" class="small muted" role="status">Looking at your videos…</p>
        <template v-else>
          <p class="small" role="status" data-test="many-told">
            It fits {{ counted(many.found.fits.length, 'video')
            }}<template v-if="many.found.more"
              >, and {{ inDigits(many.found.more) }} more: change these first, then the rest</template
            >.<template v-if="misfits">{{ ' ' }}Of the others {{ misfits }}.</template>
          </p>
          <RanksFits :fits="many.shown" :left="many.left" named="many-fit" @toggle="many.toggle">
            <button
              v-if="many.found.fits.length > many.shown.length"
              class="plain link small"
              data-test="many-more"
              @click="many.showMore()"
            >
              Show more: {{ counted(many.found.fits.length - many.shown.length, 'video') }} that nobody looked at are
              not changed
            </button>
          </RanksFits>
          <div class="acts">
            <v-btn
              variant="flat"
              color="primary"
              :disabled="!many.chosen.length"
              :loading="many.starting"
              data-test="many-start"
              @click="many.start()"
              >Change {{ counted(many.chosen.length, 'video') }} on the site</v-btn
            ><span class="small muted">Only where the text is still as shown. All of it can be taken back.</span>
          </div>
        </template>
      </template>
      <p v-else class="small muted">
        Nothing is changed yet. On the left make a change, such as another link, town or sign-off.
      </p>
      <RanksEditRuns v-if="many.runs.length" class="runs" />
    </section>
  </div>
</template>

<style scoped>
.both {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 0.8fr) minmax(0, 1fr);
  gap: 10px;
}
.sample,
.fits {
  min-height: 0;
  overflow: auto;
}
.fits {
  display: flex;
  flex-direction: column;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}
.runs {
  flex: 0 1 auto;
}
@media (max-width: 900px) {
  .both {
    display: flex;
    flex-direction: column;
    overflow: auto;
  }
  .sample,
  .fits {
    flex: 0 0 auto;
    overflow: visible;
  }
}
</style>
