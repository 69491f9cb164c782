<script setup lang="ts">
import { mdiArrowLeft, mdiStarOutline } from '@mdi/js'
import { computed, ref, shallowRef, watch } from 'vue'
import type { ChannelAnswer, ChannelVideo } from '../../../shared/rivals'
import { api, messageOf } from '~/composables/api'
import {
  dateOnly,
  inFull,
  LEAST_MONEY,
  lengthWords,
  money,
  percent,
  rangeText,
  rounded,
  UNKNOWN,
} from '~/composables/figures'
import { useAccess } from '~/stores/access'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'

const props = defineProps<{ id: string; language: string }>()
const emit = defineEmits<{ close: []; watched: [] }>()
const access = useAccess()
const route = useRoute()
const workspace = useWorkspace()
const notices = useNotices()
const channel = shallowRef<ChannelAnswer | null>(null)
const problem = ref('')
const onlyUpsets = ref(false)

async function load() {
  problem.value = ''
  const { id } = props
  try {
    const got = await api(`${access.askMethod} /api/channels/:id`, {
      params: { id },
      query: { language: props.language, workspace: workspace.id },
    })
    if (id === props.id) channel.value = got
  } catch (error) {
    if (id === props.id) problem.value = messageOf(error)
  }
}
watch(
  () => props.id,
  () => {
    channel.value = null
    void load()
  },
  { immediate: true },
)

const HEADERS = [
  { key: 'title', title: 'Video' },
  { key: 'views', title: 'Views', align: 'end', width: 72 },
  { key: 'viewsPerDay', title: 'A day', align: 'end', width: 66 },
  { key: 'timesExpected', title: '× expected', align: 'end', width: 100 },
  { key: 'likes', title: 'Likes', align: 'end', width: 66 },
  { key: 'durationSeconds', title: 'Length', align: 'end', width: 68 },
  { key: 'publishedAt', title: 'Published', align: 'end', width: 104 },
] as const
const rows = computed<ChannelVideo[]>(() => (channel.value?.rows ?? []).filter(row => !onlyUpsets.value || row.upset))

async function watchIt(on: boolean) {
  try {
    await api('PUT /api/channels/:id/watch', { params: { id: props.id }, body: { workspace: workspace.id, on } })
    await load()
    emit('watched')
    notices.show(
      on
        ? `“${channel.value!.title}” added to the rival set.`
        : `“${channel.value!.title}” removed from the rival set.`,
      { undo: () => watchIt(!on) },
    )
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}
</script>

<template>
  <div class="channel" data-test="one-channel">
    <header class="sheet">
      <v-btn size="small" :prepend-icon="mdiArrowLeft" @click="emit('close')">All channels</v-btn>
      <template v-if="channel">
        <div class="who">
          <h2>{{ channel.title }}</h2>
          <p class="small muted">
            {{ rounded(channel.subscribers) }} subscribers · {{ rounded(channel.videos) }} videos<template
              v-if="channel.foundedAt"
            >
              · founded {{ dateOnly(channel.foundedAt) }}</template
            >
            · median {{ rounded(channel.medianViews === null ? null : Math.round(channel.medianViews)) }} views<template
              v-if="channel.oneVideoShare !== null"
            >
              · its best video has {{ percent(channel.oneVideoShare) }} of all views</template
            ><template v-if="channel.earnings">
              · has earned roughly
              {{
                rangeText(
                  { low: channel.earnings.lowMicros, high: channel.earnings.highMicros },
                  micros => money(micros, channel!.earnings!.currency),
                  LEAST_MONEY,
                )
              }}</template
            >
          </p>
          <p v-if="channel.problem" class="small missing">{{ channel.problem }}</p>
        </div>
        <v-btn
          size="small"
          :variant="channel.watched ? 'tonal' : 'outlined'"
          :prepend-icon="mdiStarOutline"
          data-test="watch"
          @click="watchIt(!channel.watched)"
          >{{ channel.watched ? 'In the rival set' : 'To the rival set' }}</v-btn
        >
      </template>
    </header>
    <div v-if="problem" class="sheet empty" role="alert">
      <p>{{ problem }}</p>
      <v-btn variant="tonal" @click="load">Try again</v-btn>
    </div>
    <v-skeleton-loader v-else-if="!channel" type="table-row@5" class="sheet" />
    <div v-else class="both">
      <div class="sheet videos">
        <label class="only small"
          ><input v-model="onlyUpsets" type="checkbox" /> upsets only: won on something else than size</label
        >
        <v-data-table
          :headers="HEADERS"
          :items="rows"
          item-value="videoId"
          density="compact"
          items-per-page="-1"
          hide-default-footer
          fixed-header
          :sort-by="[{ key: 'views', order: 'desc' }]"
          no-data-text="No videos to show."
          aria-label="Videos of the channel"
        >
          <template #[`item.title`]="{ item }"
            ><span class="clip" :title="item.title"
              ><span v-if="item.upset" class="upset" title="upset">upset</span>{{ item.title }}</span
            ></template
          >
          <template #[`item.views`]="{ item }"
            ><span class="figure">{{ rounded(item.views) }}</span></template
          >
          <template #[`item.viewsPerDay`]="{ item }"
            ><span class="figure">{{
              item.viewsPerDay === null ? UNKNOWN : rounded(Math.round(item.viewsPerDay))
            }}</span></template
          >
          <template #[`item.timesExpected`]="{ item }"
            ><span class="figure">{{
              item.timesExpected === null ? UNKNOWN : item.timesExpected.toFixed(1)
            }}</span></template
          >
          <template #[`item.likes`]="{ item }"
            ><span class="figure" :title="`${inFull(item.likes, 'likes')}, ${inFull(item.comments, 'comments')}`">{{
              rounded(item.likes)
            }}</span></template
          >
          <template #[`item.durationSeconds`]="{ item }"
            ><span class="figure">{{ lengthWords(item.durationSeconds) }}</span></template
          >
          <template #[`item.publishedAt`]="{ item }"
            ><span class="figure">{{
              item.publishedAt === null ? UNKNOWN : dateOnly(item.publishedAt)
            }}</span></template
          >
        </v-data-table>
      </div>
      <section class="sheet phrases" aria-label="Phrases it ranks for">
        <h2>Ranks for</h2>
        <ul>
          <li v-for="each in channel.phrases" :key="`${each.phrase}${each.region}`">
            <span class="figure">{{ each.rank }}</span><NuxtLink
              :to="{ query: { ...route.query, phrase: each.phrase, tab: undefined, channel: undefined } }"
              >{{ each.phrase }}</NuxtLink
            >
          </li>
        </ul>
        <p v-if="!channel.phrases.length" class="muted small">None found yet.</p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.channel {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
header {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 8px 12px;
}
.who {
  flex: 1;
}
.both {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 210px;
  gap: 10px;
}
.videos {
  overflow: auto;
}
.only {
  display: block;
  padding: 6px 12px;
}
.videos :deep(table) {
  table-layout: fixed;
}
.videos :deep(th),
.videos :deep(td) {
  padding: 0 8px !important;
  font-size: 12.5px !important;
  white-space: nowrap;
  border-color: var(--line) !important;
}
.clip {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.upset {
  color: var(--plum);
  border: 1px solid var(--plum);
  border-radius: 8px;
  padding: 0 6px;
  font-size: 11px;
  margin-right: 6px;
}
.phrases {
  padding: 8px 12px;
  overflow: auto;
}
ul {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 26px 1fr;
  gap: 6px;
  padding: 2px 0;
  font-size: 13px;
}
li .figure {
  text-align: end;
  color: var(--muted);
}
a {
  color: var(--ink);
  text-underline-offset: 3px;
}
.missing {
  color: var(--plum);
}
.empty {
  padding: 24px;
}
input {
  accent-color: var(--teal);
}
</style>
