<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { computed, ref } from 'vue'
import { TAG_KIND_NAMES, type TagSuggestion } from '../../../../core/tags/suggest'
import { chanceText, counted, inFull, rounded, UNKNOWN } from '~/composables/figures'

/** Tags to add, the worthiest first, each with its reasons. */
const props = defineProps<{ suggestions: TagSuggestion[]; heldBack: number }>()
const all = defineModel<boolean>('all', { required: true })
const emit = defineEmits<{ add: [tags: string[]] }>()
/** So many are shown before more are asked for. */
const FIRST = 20
const more = ref(false)
const shown = computed(() => (more.value ? props.suggestions : props.suggestions.slice(0, FIRST)))
</script>

<template>
  <div>
    <p class="heads small muted" aria-hidden="true"><span>Searches</span><span>Chance</span><span>Length</span></p>
    <ul>
      <li v-for="each in shown" :key="each.tag" data-test="tag-suggestion">
        <v-btn
          size="x-small"
          variant="tonal"
          :icon="mdiPlus"
          :aria-label="`Add ${each.tag}`"
          data-test="tag-suggestion-add"
          @click="emit('add', [each.tag])"
        />
        <div>
          <p class="tag">{{ each.tag }}</p>
          <p class="small muted">
            {{
              each.kind === 'lead'
                ? ''
                : `${TAG_KIND_NAMES[each.kind].replace(/^./u, letter => letter.toUpperCase())}. `
            }}{{ each.reasons.join(' ') }}
          </p>
        </div>
        <span class="figure small right" :title="inFull(each.volume, 'searches a month')">{{
          rounded(each.volume)
        }}</span>
        <span class="figure small right" title="Chance of page one for my channel, an estimate">{{
          each.chance === null ? UNKNOWN : chanceText(each.chance)
        }}</span>
        <span class="figure small right" title="Characters it costs">{{ each.cost }}</span>
      </li>
    </ul>
    <p class="foot small">
      <button v-if="suggestions.length > shown.length" class="plain link" @click="more = true">
        Show {{ counted(suggestions.length - shown.length, 'more suggestion') }}
      </button>
      <button v-if="heldBack" class="plain link" data-test="held-back" @click="all = !all">
        {{ all ? 'Hide' : 'Show' }} {{ counted(heldBack, 'tag') }} that may not belong to this video
      </button>
    </p>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li :deep(.v-btn) {
  min-width: 24px;
  min-height: 24px;
}
li {
  display: grid;
  grid-template-columns: 28px minmax(0, 1fr) 52px 52px 30px;
  gap: 6px;
  align-items: center;
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
.heads {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 62px 52px 42px;
  gap: 6px;
  text-align: right;
}
.heads :first-child {
  grid-column: 2;
}
.tag {
  font-weight: 600;
  overflow-wrap: anywhere;
}
.right {
  text-align: right;
}
.foot {
  display: flex;
  gap: 16px;
  flex-wrap: wrap;
  padding: 8px 0;
}
.link {
  color: var(--teal);
}
</style>
