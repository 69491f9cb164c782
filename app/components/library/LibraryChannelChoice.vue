<script setup lang="ts">
import { ref, watch } from 'vue'
import type { ChannelStats } from '../../../shared/rivals'
import type { Workspace } from '../../../shared/workspace'
import { api } from '~/composables/api'
import { rounded } from '~/composables/figures'
import type { OwnVideo } from '../../../shared/workspace'
import { ownVideosOf, ownVideosText } from '~/composables/ownVideos'

/** Which channel a workspace is: found by name, by its id, or by figures put in by hand. */
const props = defineProps<{
  workspace: Workspace
  videos: OwnVideo[]
  /** Does some work, saying what came of it. */
  attempt: (work: () => Promise<unknown>, done?: string) => Promise<void>
}>()
const find = ref('')
const found = ref<ChannelStats[]>([])
const channelId = ref(props.workspace.channelId ?? '')
const subscribers = ref(
  props.workspace.channelId || props.workspace.subscribers === null ? '' : String(props.workspace.subscribers),
)
const byHand = ref('')
watch(
  () => props.videos,
  videos => {
    byHand.value = ownVideosText(videos)
  },
  { immediate: true },
)

const patch = (body: Record<string, unknown>, text: string) =>
  props.attempt(async () => {
    const got = await api('PATCH /api/workspaces/:id', { params: { id: props.workspace.id }, body })
    if (got.problem) throw new Error(got.problem)
  }, text)
const search = () =>
  props.attempt(async () => {
    found.value = (await api('GET /api/channels', { query: { find: find.value } })).channels
    if (!found.value.length)
      throw new Error(
        'No channel found with this name. Enter its id, import its feed under Sources, or enter its figures by hand.',
      )
  })
const take = ({ id, title }: ChannelStats) => {
  found.value = []
  return patch({ channelId: id, subscribers: null }, `${title} is the channel.`)
}
const saveByHand = () =>
  props.attempt(async () => {
    const count = typedNumber(subscribers.value)
    if (count !== undefined && !(count >= 0)) throw new Error('Enter a number of subscribers, or leave it empty.')
    await api('PATCH /api/workspaces/:id', {
      params: { id: props.workspace.id },
      body: { channelId: null, subscribers: count ?? null, videos: ownVideosOf(byHand.value) },
    })
  }, 'Channel saved.')
</script>

<template>
  <section class="sheet">
    <h2>Which channel</h2>
    <form class="row" @submit.prevent="search">
      <v-text-field v-model="find" label="Find a channel" maxlength="100" hide-details data-test="channel-find" /><v-btn
        type="submit"
        :disabled="!find.trim()"
        >Find</v-btn
      >
    </form>
    <ul v-if="found.length">
      <li v-for="each in found" :key="each.id" class="found">
        <span>{{ each.title }}</span><span class="figure small muted">{{ rounded(each.subscribers) }} subscribers</span
        ><v-btn size="small" variant="tonal" data-test="channel-take" @click="take(each)">This one</v-btn>
      </li>
    </ul>
    <form
      class="row"
      @submit.prevent="patch({ channelId: channelId.trim() || null, subscribers: null }, 'Channel updated.')"
    >
      <v-text-field v-model="channelId" label="Or its id" maxlength="100" hide-details /><v-btn type="submit"
        >Load it</v-btn
      >
    </form>
    <details :open="!workspace.channelId">
      <summary class="small">Or enter its figures</summary>
      <div class="row mt-3">
        <v-text-field
          v-model="subscribers"
          label="Subscribers"
          inputmode="numeric"
          hide-details
          data-test="own-subscribers"
        />
      </div>
      <div class="row mt-3">
        <v-textarea
          v-model="byHand"
          label="Recent videos, one per line: date; views; title"
          rows="3"
          no-resize
          variant="outlined"
          density="compact"
          hide-details
          data-test="own-videos"
        />
      </div>
      <v-btn class="mt-2" variant="tonal" data-test="own-save" @click="saveByHand">Save</v-btn>
    </details>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
section {
  padding: 12px 16px;
  display: grid;
  gap: 10px;
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
}
.found {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 3px 0;
}
.found span:first-child {
  flex: 1;
}
summary {
  cursor: pointer;
  color: var(--teal);
}
</style>
