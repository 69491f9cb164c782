<script setup lang="ts">
import { mdiClose, mdiContentCopy } from '@mdi/js'
import { watchDebounced } from '@vueuse/core'
import { inDigits } from '../../../core/text/inWords'
import { computed, ref } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import { repeatedTags, splitTags, tagCost, tagsCost, tidyTags } from '../../../core/draft/limits'
import { api } from '~/composables/api'
import { copyText } from '~/composables/copyText'
import { counted } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'

const tags = defineModel<string[]>({ required: true })
const notices = useNotices()
const brief = useBrief()
const typed = ref('')
const { texts } = useWorkspaceTexts(computed(() => brief.brief?.workspaceId ?? ''))
/** What others type that begins so. */
const completions = ref<string[]>([])
watchDebounced(
  typed,
  async prefix => {
    if (prefix.trim().length < 2) return (completions.value = [])
    const { region, language } = brief.fields!
    try {
      const { suggestions } = await api('GET /api/suggest', { query: { prefix, region, language } })
      if (prefix === typed.value) completions.value = suggestions.map(each => each.phrase).slice(0, 12)
    } catch {
      // Tags can be typed without being completed.
      completions.value = []
    }
  },
  { debounce: 200 },
)
const profile = useLimits()
const used = computed(() => tagsCost(tags.value, profile.value))
const repeated = computed(() => new Set(repeatedTags(tags.value)))
// Tags repeat, so that a row's key is its text and how often it stood there before.
const items = computed({
  get: () => {
    const seen = new Map<string, number>()
    return tags.value.map(tag => {
      const nth = seen.get(tag) ?? 0
      seen.set(tag, nth + 1)
      return { tag, key: `${tag}\n${nth}` }
    })
  },
  set: list => {
    tags.value = list.map(item => item.tag)
  },
})

function change(text: string, next: string[]) {
  brief.change(text, 'tags', next)
}

function take(text: string) {
  const list = splitTags(text)
  if (list.length) tags.value = texts.value.newTags === 'start' ? [...list, ...tags.value] : [...tags.value, ...list]
  typed.value = ''
}

function onPaste(event: ClipboardEvent) {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (!/[,;\n\t]/u.test(text)) return
  event.preventDefault()
  const list = splitTags(text)
  if (list.length) change(`${counted(list.length, 'tag')} pasted.`, [...tags.value, ...list])
}

function onBackspace() {
  if (!typed.value && tags.value.length) change(`“${tags.value.at(-1)}” removed.`, tags.value.slice(0, -1))
}

async function copy() {
  await copyText(tags.value.join(', '))
  notices.show('All tags copied, separated by commas.')
}

const list = ref<HTMLElement | null>(null)
/** Brings a tag into view and to the keyboard. */
function show(item: number) {
  list.value?.querySelectorAll<HTMLElement>('[data-test=tag]')[item]?.focus()
}
defineExpose({ show })
</script>

<template>
  <div>
    <div class="head">
      <h2>Tags</h2>
      <span
        class="figure small"
        :class="{ over: used > profile.tags.limit }"
        data-test="tags-count"
        title="Total length: each tag, two extra for a tag with a space, and the commas"
        >{{ inDigits(used) }} / {{ inDigits(profile.tags.limit) }}</span
      >
      <span v-if="tags.length" class="small muted">{{ counted(tags.length, 'tag') }}</span>
      <v-spacer />
      <v-btn
        v-if="repeated.size"
        size="small"
        data-test="tidy-tags"
        @click="change('Repeated tags removed.', tidyTags(tags))"
        >Remove duplicates</v-btn
      >
      <v-btn v-if="tags.length" size="small" :prepend-icon="mdiContentCopy" @click="copy">Copy all</v-btn>
    </div>
    <div ref="list" class="field sheet">
      <VueDraggable v-model="items" tag="ul" :animation="120" class="chips">
        <li
          v-for="({ tag, key }, i) in items"
          :key="key"
          class="chip"
          :class="{ repeated: repeated.has(i) }"
          tabindex="0"
          data-test="tag"
          :title="repeated.has(i) ? 'repeated' : `costs ${tagCost(tag, profile)} of ${profile.tags.limit} characters`"
          @keydown.delete.prevent="
            change(
              `“${tag}” removed.`,
              tags.filter((_, k) => k !== i),
            )
          "
        >
          {{ tag
          }}<button
            class="plain"
            :aria-label="`Remove ${tag}`"
            @click="
              change(
                `“${tag}” removed.`,
                tags.filter((_, k) => k !== i),
              )
            "
          >
            <v-icon :icon="mdiClose" size="13" />
          </button>
        </li>
      </VueDraggable>
      <input
        v-model="typed"
        aria-label="Add tags"
        placeholder="Add tags; a list can be pasted"
        maxlength="5000"
        list="tag-completions"
        autocomplete="off"
        data-test="tag-input"
        @keydown.enter.prevent="take(typed)"
        @keydown="($event.key === ',' || $event.key === ';') && ($event.preventDefault(), take(typed))"
        @keydown.backspace="onBackspace"
        @blur="take(typed)"
        @paste="onPaste"
      /><datalist id="tag-completions">
        <option v-for="each in completions" :key="each" :value="each" />
      </datalist>
    </div>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 30px;
  flex-wrap: wrap;
}
.head .figure {
  white-space: nowrap;
}
.over {
  color: var(--plum);
  font-weight: 600;
}
.field {
  padding: 6px 8px;
  display: grid;
  gap: 5px;
}
/* Two whole lines of tags; more of them scroll. */
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  max-height: 53px;
  overflow: auto;
  scroll-snap-type: y mandatory;
  list-style: none;
  margin: 0;
  padding: 0;
}
.chips:empty {
  display: none;
}
.chip {
  border: 1px solid var(--line);
  border-radius: 3px;
  padding: 0 4px 0 8px;
  height: 24px;
  scroll-snap-align: start;
  display: inline-flex;
  align-items: center;
  gap: 6px;
  cursor: grab;
  background: var(--paper);
}
.chip.repeated {
  border-style: dashed;
  border-color: var(--plum);
  text-decoration: line-through;
}
input {
  border: 0;
  background: var(--surface);
  color: inherit;
  font: inherit;
  padding: 2px 4px;
  min-height: 24px;
  outline-offset: 0;
}
</style>
