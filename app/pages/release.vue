<script setup lang="ts">
import { mdiFormatListChecks } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { useBrief } from '~/stores/brief'
import { useChanges } from '~/stores/changes'
import { useJobs } from '~/stores/jobs'
import { useLibrary } from '~/stores/library'
import { useRelease } from '~/stores/release'

useHead({ title: 'Release · Fonetra' })
const brief = useBrief()
const library = useLibrary()
const jobs = useJobs()
const release = useRelease()
const PARTS = [
  { side: 'sheet', title: 'Sheet' },
  { side: 'thumbnail', title: 'Thumbnail' },
  { side: 'video', title: 'Cards and end' },
  { side: 'when', title: 'When' },
  { side: 'hand-over', title: 'Hand over' },
  { side: 'publish', title: 'Publish' },
  { side: 'spread', title: 'Spread' },
] as const
type Part = (typeof PARTS)[number]['side']
const route = useRoute()
const coming = useBriefComing()
const address = useAddress()
const part = computed<Part>(() => PARTS.find(each => each.side === route.query.part)?.side ?? 'sheet')
const turn = (to: Part) => address({ part: to === 'sheet' ? undefined : to }, true)
useViewKeys({ views: PARTS.map(each => () => turn(each.side)) })
/** What surrounds the brief may have changed on another screen or in another window. */
const { revisions } = useChanges()
watch(
  [() => brief.brief?.id, () => revisions.workspaces, () => revisions.briefs, () => jobs.ended],
  () => void release.load(),
  {
    immediate: true,
  },
)
const checklistOpen = ref(false)
const newOpen = ref(false)

/** How far it is, in a line. */
const told = computed(() => {
  const { left, stage } = release
  const unanswered = left.filter(({ state }) => state === 'unanswered').length
  const open = left.length - unanswered
  const parts = [open ? `${open} open` : '', unanswered ? `${unanswered} not answered` : ''].filter(Boolean)
  return { stage, left: parts.length ? parts.join(', ') : 'Nothing is left.' }
})
const account = computed(() => {
  const known = release.around?.account
  if (!known || known.authorised === true) return ''
  if (known.problem) return `What the site lets you do for this channel is not known. ${known.problem}`
  if (known.authorised === null) return ''
  return 'The site does not let you act for this channel. Hand the video over by hand.'
})
</script>

<template>
  <div class="screen" :inert="coming">
    <h1 class="unseen">Release</h1>
    <div v-if="!brief.fields" class="sheet state">
      <template v-if="library.state === 'ready' && !library.briefs.length"
        ><h2>Nothing to release yet</h2>
        <p>Create a brief: one video, with its phrases and its text.</p>
        <v-btn variant="flat" color="primary" @click="newOpen = true">New brief</v-btn></template
      >
      <p v-else-if="library.state === 'failed'" role="alert">{{ library.problem }}</p>
      <v-skeleton-loader v-else type="heading, paragraph@3" />
    </div>
    <template v-else>
      <div class="head">
        <DeskSides
          :model-value="part"
          :sides="PARTS"
          label="What is worked on"
          named="part"
          @update:model-value="turn"
        />
        <p v-if="release.points" class="told" data-test="release-told" aria-live="polite">
          <strong class="stage">{{ told.stage }}</strong> <span class="muted">{{ told.left }}</span>
        </p>
        <v-spacer />
        <v-btn
          v-if="part === 'sheet'"
          size="small"
          variant="text"
          :prepend-icon="mdiFormatListChecks"
          data-test="checklist"
          @click="checklistOpen = true"
          >Checklist</v-btn
        >
      </div>
      <p v-if="account" class="small muted account" data-test="account">
        {{ account }}
        <button class="plain link" @click="release.load(true)">Ask again</button>
      </p>
      <ShellFailed v-if="release.problem" :problem="release.problem" @again="release.load()" />
      <v-skeleton-loader v-else-if="!release.points" type="heading, paragraph@3" />
      <ReleaseSheet v-else-if="part === 'sheet'" :key="brief.brief!.id" />
      <LazyReleaseThumbnail v-else-if="part === 'thumbnail'" :key="`picture-${brief.brief!.id}`" />
      <LazyReleaseVideo v-else-if="part === 'video'" :key="`video-${brief.brief!.id}`" />
      <LazyReleaseWhen v-else-if="part === 'when'" :key="`when-${brief.brief!.id}`" />
      <LazyReleaseHandOver v-else-if="part === 'hand-over'" :key="`hand-${brief.brief!.id}`" />
      <LazyReleasePublish v-else-if="part === 'publish'" :key="`publish-${brief.brief!.id}`" />
      <LazyReleaseSpread v-else :key="`spread-${brief.brief!.id}`" />
      <LazyReleaseChecklist v-if="checklistOpen && release.around" v-model="checklistOpen" />
    </template>
    <LazyLibraryNewBrief v-if="newOpen" v-model="newOpen" />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 6px 14px;
  flex-wrap: wrap;
}
.stage::first-letter {
  text-transform: uppercase;
}
.stage {
  display: inline-block;
}
.told {
  display: flex;
  align-items: baseline;
  gap: 10px;
}
</style>
