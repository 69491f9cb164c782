<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import type { ChannelVideo } from '../../../../shared/rivals'
import { api, messageOf } from '~/composables/api'
import { dateOnly } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'

/** Captions of a published video of mine, as the site has them. */
const emit = defineEmits<{ load: [text: string] }>()
const brief = useBrief()
const workspace = useWorkspace()
const notices = useNotices()
const channel = computed(() => workspace.current?.channelId ?? null)
const videos = shallowRef<ChannelVideo[] | null>(null)
const problem = ref('')
async function look() {
  if (videos.value || !channel.value) return
  problem.value = ''
  try {
    const query = { language: brief.fields!.language, workspace: workspace.id }
    const { rows } = await api('GET /api/channels/:id', { params: { id: channel.value }, query })
    videos.value = [...rows].sort((a, b) => (b.publishedAt ?? 0) - (a.publishedAt ?? 0)).slice(0, 100)
  } catch (error) {
    problem.value = messageOf(error)
  }
}
async function fetch({ videoId, durationSeconds }: ChannelVideo) {
  const of = brief.brief!.id
  try {
    const { text } = await api('POST /api/videos/:id/captions', {
      params: { id: videoId },
      body: { language: brief.fields!.language },
    })
    if (brief.brief?.id !== of) return
    if (brief.fields!.seconds === null && durationSeconds) brief.set('seconds', durationSeconds)
    emit('load', text)
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}
</script>

<template>
  <v-menu max-height="360" @update:model-value="$event && look()">
    <template #activator="{ props: menu }"
      ><v-btn v-bind="menu" size="small" data-test="captions-mine">From my videos</v-btn></template
    >
    <v-list role="menu" density="compact" max-width="420">
      <v-list-item v-if="!channel" role="none" title="Choose your channel in the Library first." />
      <v-list-item v-else-if="problem" role="menuitem" :title="problem" @click="look" />
      <v-list-item v-else-if="!videos" role="none" title="Loading your videos …" />
      <v-list-item v-else-if="!videos.length" role="none" title="No videos of your channel are known." />
      <v-list-item
        v-for="video in videos ?? []"
        :key="video.videoId"
        role="menuitem"
        :title="video.title"
        :subtitle="video.publishedAt === null ? '' : dateOnly(video.publishedAt)"
        data-test="captions-video"
        @click="fetch(video)"
      />
    </v-list>
  </v-menu>
</template>
