<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue'
import { AREAS } from '~/composables/areas'
import { inDigits } from '../../core/text/inWords'
import { counted } from '~/composables/figures'
import { lastPlace } from '~/composables/lastPlace'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useNext } from '~/stores/next'
import { useWorkspace } from '~/stores/workspace'

useHead({ title: 'What next · Fonetra' })
const next = useNext()
const brief = useBrief()
onBeforeUnmount(next.follow())
const withOff = ref(false)
const library = useLibrary()
const workspace = useWorkspace()
/** Without any brief there is nothing to go on with: the first one is begun here. */
const first = computed(
  () => library.state === 'ready' && !library.briefs.some(({ workspaceId }) => workspaceId === workspace.id),
)
/** Where the person was before, in words. */
const back = computed(() => {
  const to = lastPlace()
  const area = AREAS.find(({ path }) => to.split('?')[0] === path)
  const topic = brief.fields?.title || brief.fields?.topic
  return { to, said: [topic && `“${topic}”`, area?.name].filter(Boolean).join(', ') }
})
const looked = computed(() => {
  const { briefs, videos, ranks, words } = next.answer!.looked
  return [
    counted(briefs, 'brief'),
    counted(videos, 'video'),
    ...(ranks ? [`the ranks of ${counted(ranks, 'phrase')}`] : []),
    ...(words ? [`the words of ${inDigits(words)} whose phrases are searched most`] : []),
  ]
})
const lists = new Intl.ListFormat('en', { type: 'conjunction' })
</script>

<template>
  <div class="screen next">
    <div class="head">
      <h1>What next</h1>
      <NuxtLink v-if="back.said && !first" class="link two-lines" :to="back.to" data-test="next-back" :title="back.said"
        >Go on with {{ back.said }}</NuxtLink
      >
      <NextWalk v-if="!first" />
    </div>
    <div v-if="first" class="body"><LazyNextBegin /></div>
    <ShellFailed v-else-if="next.problem" :problem="next.problem" @again="next.load()" />
    <v-skeleton-loader v-else-if="!next.answer" type="list-item-three-line@4" class="sheet" />
    <div v-else class="body">
      <ol v-if="next.answer.rows.length" class="rows" aria-label="What is worth doing">
        <NextRow v-for="row in next.answer.rows" :key="row.key" :proposal="row" @off="days => next.putOff(row, days)" />
      </ol>
      <div v-else class="sheet state" data-test="next-empty">
        <h2>Nothing needs you today</h2>
        <p v-if="next.answer.looked.videos">No release is near, no rank fell, and no edit is likely to bring views.</p>
        <template v-else>
          <p>No release is near. What your videos need cannot be said yet.</p>
          <ShellChooseChannel />
        </template>
      </div>
      <p class="small muted" data-test="next-looked">
        Looked at {{ lists.format(looked) }}. At most six things, two of a kind: what has a date first, then what is
        worth most views a month.
        <button
          v-if="next.answer.off.length"
          class="plain link"
          :aria-expanded="withOff"
          data-test="next-off-too"
          @click="withOff = !withOff"
        >
          {{ withOff ? 'Hide what is put off' : `Show ${inDigits(next.answer.off.length)} put off` }}
        </button>
      </p>
      <ol v-if="withOff && next.answer.off.length" class="rows" aria-label="Put off">
        <NextRow v-for="row in next.answer.off" :key="row.key" :proposal="row" off @take-up="next.takeUp(row)" />
      </ol>
    </div>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 20px;
}
.body {
  flex: 1;
  min-height: 0;
  overflow: auto;
  display: grid;
  gap: 12px;
  align-content: start;
  max-width: 940px;
}
.rows {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
</style>
