<script setup lang="ts">
import { mdiTrayPlus } from '@mdi/js'
import { onMounted, ref, shallowRef } from 'vue'
import type { RivalRow, VideoAnswer } from '../../../shared/rivals'
import { api, messageOf } from '~/composables/api'
import { dateOnly, inFull, percent, rounded } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useTray } from '~/stores/tray'

const props = defineProps<{ row: RivalRow }>()
const route = useRoute()
const brief = useBrief()
const tray = useTray()
const video = shallowRef<VideoAnswer | null>(null)
const problem = ref('')
onMounted(async () => {
  try {
    video.value = await api('GET /api/videos/:id', { params: { id: props.row.videoId } })
  } catch (error) {
    problem.value = messageOf(error)
  }
})
const has = (tag: string) => brief.fields?.tags.includes(tag) ?? false
function addTag(tag: string) {
  if (!brief.fields || has(tag)) return
  brief.change(`“${tag}” added to the brief’s tags.`, 'tags', [...brief.fields.tags, tag])
}
const link = (phrase: string) => ({ query: { ...route.query, phrase, video: undefined } })
</script>

<template>
  <div class="video" data-test="rival-full">
    <div>
      <h3>Description</h3>
      <p class="text">{{ row.description === null ? 'unknown' : row.description || 'empty' }}</p>
    </div>
    <div>
      <h3>Tags</h3>
      <p v-if="row.tags === null" class="muted">unknown</p>
      <p v-else-if="!row.tags.length" class="muted">none</p>
      <ul v-else class="tags">
        <li v-for="tag in row.tags" :key="tag">
          <button
            class="plain"
            :disabled="has(tag) || !brief.fields"
            :title="brief.fields ? 'Add to the brief’s tags' : 'Open a brief to copy tags to it'"
            @click="addTag(tag)"
          >
            {{ tag }}{{ has(tag) ? ' ✓' : '' }}
          </button>
        </li>
      </ul>
      <h3 class="mt-3">Channel</h3>
      <p v-if="problem" class="muted">{{ problem }}</p>
      <p v-else-if="video">
        <NuxtLink :to="{ query: { ...route.query, tab: 'channels', channel: video.channel.id, video: undefined } }">{{
          video.channel.title
        }}</NuxtLink>: {{ rounded(video.channel.subscribers) }} subscribers<template v-if="video.channel.foundedAt"
          >, founded {{ dateOnly(video.channel.foundedAt) }}</template
        >.
        <template v-if="row.timesExpected !== null"
          >This video has {{ row.timesExpected.toFixed(1) }} × the views a day that size and age let expect. </template
        ><template v-if="row.ahead !== null"
          >It stays ahead of a well-worded video of mine with a chance of {{ percent(row.ahead) }}.</template
        >
      </p>
    </div>
    <div>
      <h3>Also ranks for</h3>
      <ul v-if="video" class="stands">
        <li v-for="each in video.phrases.slice(0, 12)" :key="`${each.phrase}${each.region}`">
          <span class="figure" :title="inFull(each.rank)">{{ each.rank }}</span>
          <NuxtLink :to="link(each.phrase)">{{ each.phrase }}</NuxtLink><v-btn
            v-if="!tray.held.has(each.phrase)"
            size="x-small"
            :icon="mdiTrayPlus"
            :aria-label="`${each.phrase} to the tray`"
            title="Add to the tray"
            @click="tray.add([each.phrase])"
          />
        </li>
      </ul>
      <p v-if="video && !video.phrases.length" class="muted">None found yet.</p>
    </div>
  </div>
</template>

<style scoped>
.video {
  display: grid;
  grid-template-columns: 1.2fr 1fr 1fr;
  gap: 20px;
  font-size: 13px;
}
h3 {
  font-size: 12px;
  color: var(--muted);
  margin-bottom: 4px;
}
.text {
  white-space: pre-wrap;
  max-height: 180px;
  overflow: auto;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.tags {
  display: flex;
  flex-wrap: wrap;
  gap: 3px 6px;
}
.tags button {
  border: 1px solid var(--line);
  border-radius: 3px;
  padding: 0 6px;
  background: var(--surface);
}
a {
  color: var(--ink);
  text-underline-offset: 3px;
}
.link {
  color: var(--teal);
  text-decoration: underline;
}
.stands li {
  display: grid;
  grid-template-columns: 22px 1fr auto;
  gap: 6px;
  align-items: start;
  min-height: 24px;
}
.stands .figure {
  text-align: end;
  color: var(--muted);
}
</style>
