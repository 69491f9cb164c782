<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { withBlock } from '../../../../core/blocks/block'
import type { ChannelVideo } from '../../../../shared/rivals'
import { api, messageOf } from '~/composables/api'
import { counted, dateOnly } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'

/** Pieces of an earlier brief or of a published video of mine, brought into this one field by field. */
const emit = defineEmits<{ save: [text: string] }>()
const brief = useBrief()
const library = useLibrary()
const notices = useNotices()
const fields = computed(() => brief.fields!)

const earlier = ref<string | null>(null)
const workspace = useWorkspace()
const videos = shallowRef<ChannelVideo[]>([])
watch(
  () => workspace.current?.channelId,
  async id => {
    videos.value = []
    if (!id) return
    try {
      const query = { language: fields.value.language, workspace: workspace.id }
      videos.value = (await api('GET /api/channels/:id', { params: { id }, query })).rows
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    }
  },
  { immediate: true },
)
/** Briefs first, then own videos, the newest first; the value says which kind it is. */
const sources = computed(() => [
  ...library.briefs
    .filter(each => each.id !== brief.brief!.id && each.workspaceId === brief.brief!.workspaceId)
    .map(({ id, topic, title }) => ({
      value: `brief ${id}`,
      title: topic || title || 'Untitled',
      props: { subtitle: 'Brief' },
    })),
  ...[...videos.value]
    .sort((a, b) => (b.publishedAt ?? 0) - (a.publishedAt ?? 0))
    .map(({ videoId, title, publishedAt }) => ({
      value: `video ${videoId}`,
      title,
      props: { subtitle: publishedAt === null ? 'Video' : `Video, ${dateOnly(publishedAt)}` },
    })),
])
/** Texts of a brief or a video. */
async function textsOf(of: string) {
  const [kind, id] = of.split(' ') as ['brief' | 'video', string]
  if (kind === 'brief') return (await api('GET /api/briefs/:id', { params: { id } })).fields
  const { title, description, tags } = await api('GET /api/videos/:id', { params: { id } })
  return { title, description: description ?? '', tags: tags ?? [] }
}
const source = shallowRef<{ title: string; description: string; tags: string[] } | null>(null)
watch(earlier, async of => {
  source.value = null
  if (!of) return
  try {
    const found = await textsOf(of)
    if (of === earlier.value) source.value = found
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
})
/** What is selected of the earlier text, else all of it. */
const chosen = () => window.getSelection()?.toString().trim() || source.value!.description.trim()
</script>

<template>
  <div class="from">
    <h3>From an earlier brief or video</h3>
    <v-autocomplete
      v-model="earlier"
      :items="sources"
      label="Brief or video of mine"
      hide-details
      no-data-text="No other brief or video of yours is known"
      data-test="earlier"
      class="earlier-brief"
    />
    <div v-if="source" class="earlier" data-test="earlier-text">
      <p v-if="source.title">
        <strong>{{ source.title }}</strong>{{ ' '
        }}<button class="plain link small" @click="brief.change('Title taken over.', 'title', source.title)">
          Use as title
        </button>
      </p>
      <p class="text small">{{ source.description || 'No description.' }}</p>
      <div class="bar">
        <v-btn
          size="x-small"
          variant="tonal"
          :disabled="!source.description.trim()"
          title="What you select above, or all of it"
          data-test="earlier-add"
          @click="brief.change('Text taken over.', 'description', withBlock(fields.description, chosen()))"
          >Add to the description</v-btn
        ><v-btn size="x-small" :disabled="!source.description.trim()" @click="emit('save', chosen())"
          >Save as a block</v-btn
        ><v-btn
          size="x-small"
          :disabled="!source.tags.length"
          @click="brief.change('Tags taken over.', 'tags', [...new Set([...fields.tags, ...source.tags])])"
          >Add its {{ counted(source.tags.length, 'tag') }}</v-btn
        >
      </div>
    </div>
  </div>
</template>

<style scoped>
.from {
  display: grid;
  gap: 8px;
}
.bar {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
h3 {
  font-size: 13px;
}
.earlier {
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 10px;
  display: grid;
  gap: 8px;
}
.text {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  max-height: 120px;
  overflow-y: auto;
}
.link {
  color: var(--teal);
}
</style>
