<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { withBlock } from '../../../../core/blocks/block'
import { api, messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useNotices } from '~/stores/notices'

/** Pieces of an earlier brief, brought into this one field by field. */
const emit = defineEmits<{ save: [text: string] }>()
const brief = useBrief()
const library = useLibrary()
const notices = useNotices()
const fields = computed(() => brief.fields!)

const earlier = ref<string | null>(null)
const others = computed(() =>
  library.briefs.filter(each => each.id !== brief.brief!.id && each.workspaceId === brief.brief!.workspaceId),
)
const source = shallowRef<{ title: string; description: string; tags: string[] } | null>(null)
watch(earlier, async of => {
  source.value = null
  if (!of) return
  try {
    source.value = (await api('GET /api/briefs/:id', { params: { id: of } })).fields
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
})
/** What is selected of the earlier text, else all of it. */
const chosen = () => window.getSelection()?.toString().trim() || source.value!.description.trim()
</script>

<template>
  <div class="from">
    <h3>From an earlier brief</h3>
    <v-select
      v-model="earlier"
      :items="others"
      :item-title="(each: { topic: string; title: string }) => each.topic || each.title || 'Untitled'"
      item-value="id"
      label="Brief"
      hide-details
      no-data-text="No other briefs in this workspace"
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
