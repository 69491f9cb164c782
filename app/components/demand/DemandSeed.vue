<script setup lang="ts">
import type { AnswerOf } from '../../../shared/api'
import { mdiMagnify } from '@mdi/js'
import { useDebounceFn } from '@vueuse/core'
import { nextTick, ref, watch } from 'vue'
import { MOST_SEEDS, splitSeeds } from '../../../core/demand/seeds'
import { MAX_PHRASE } from '../../../core/text/words'
import { inDigits } from '../../../core/text/inWords'
import { api } from '~/composables/api'
import { useAccess } from '~/stores/access'

type Suggestion = AnswerOf<'GET /api/suggest'>['suggestions'][number]

const props = defineProps<{ seed: string; region: string | null; language: string }>()
const emit = defineEmits<{ ask: [seed: string] }>()
const access = useAccess()
const typed = ref(props.seed)
const own = ref('')
const suggestions = ref<Suggestion[]>([])
/** The text last asked for: suggestions that come late for it are not wanted any more. */
let asked = props.seed
watch(
  () => props.seed,
  seed => {
    typed.value = asked = seed
  },
)

/** Milliseconds without a key, after which suggestions are asked for: a letter never waits for their list. */
const PAUSE = 200

/** Someone stands on a suggestion with the arrow keys: what comes late must not put another one under Enter. */
const isChoosing = () => document.activeElement?.closest('[role=option]') != null

const suggest = useDebounceFn(async (prefix: string) => {
  const before = BEFORE_LAST.exec(prefix)?.[0] ?? ''
  const last = prefix.slice(before.length)
  if (!last.trim() || last.length > MAX_PHRASE) {
    suggestions.value = []
    return
  }
  const got = await api(`${access.askMethod} /api/suggest`, {
    query: { prefix: last, region: props.region, language: props.language },
  }).catch(() => null)
  // While typing, a suggestion that cannot be had is no matter; the look itself says what is missing.
  if (got && prefix === typed.value && prefix !== asked && !isChoosing())
    suggestions.value = got.suggestions.map(each => ({ ...each, phrase: before + each.phrase }))
}, PAUSE)

function onType(text: string) {
  typed.value = text ?? ''
  own.value = ''
  asked = ''
  void suggest(typed.value)
}

/** Lines that are pasted become seeds, separated by commas: a field of one line would run them together. */
function onPaste(event: ClipboardEvent) {
  const lines = (event.clipboardData?.getData('text') ?? '')
    .split(/[\r\n]+/u)
    .map(line => line.trim())
    .filter(Boolean)
  if (lines.length < 2) return
  event.preventDefault()
  const field = event.target as HTMLInputElement
  field.setRangeText(lines.join(', '), field.selectionStart ?? 0, field.selectionEnd ?? 0, 'end')
  field.dispatchEvent(new Event('input', { bubbles: true }))
}

/** The last of several seeds, which is the one being typed. */
const BEFORE_LAST = /^.*,\s*/u

function ask(seed = typed.value) {
  const text = seed
    .replace(/[\p{Cc}\p{Cf}]+/gu, ' ')
    .replace(/\s+/gu, ' ')
    .trim()
  const seeds = splitSeeds(text)
  const longest = Math.max(0, ...seeds.map(each => each.length))
  if (!seeds.length) own.value = 'Type a word or two that your video is about.'
  else if (seeds.length > MOST_SEEDS)
    own.value = `You entered ${seeds.length} seeds. The limit is ${MOST_SEEDS}; remove some.`
  else if (longest > MAX_PHRASE)
    own.value = `This seed has ${inDigits(longest)} characters. The limit is ${MAX_PHRASE}; shorten it to a few words.`
  else {
    own.value = ''
    suggestions.value = []
    typed.value = asked = text
    emit('ask', text)
  }
}

/** A suggestion was taken from the list. Typing changes the value too, but then it is what was just typed. */
async function onPick(value: unknown) {
  await nextTick()
  if (typeof value === 'string' && value !== typed.value) ask(value)
}
</script>

<template>
  <v-combobox
    :model-value="typed"
    :search="typed"
    :items="suggestions"
    item-title="phrase"
    item-value="phrase"
    :return-object="false"
    no-filter
    hide-no-data
    label="What is the video about? Separate several with commas"
    :prepend-inner-icon="mdiMagnify"
    variant="outlined"
    density="compact"
    menu-icon=""
    :error-messages="own"
    hide-details="auto"
    data-first-field
    data-test="seed"
    :menu-props="{ maxHeight: 420 }"
    @update:search="onType"
    @update:model-value="onPick"
    @keydown.enter="ask()"
    @paste="onPaste"
  >
    <template #item="{ props: item, item: raw }">
      <v-list-item
        v-bind="item"
        density="compact"
        :title="(raw as unknown as Suggestion).phrase"
        @click="ask((raw as unknown as Suggestion).phrase)"
      >
        <template #append
          ><span class="small muted">{{
            (raw as unknown as Suggestion).via
              .map(source => (source === 'video' ? 'video site' : 'web search'))
              .join(' + ')
          }}</span></template
        >
      </v-list-item>
    </template>
  </v-combobox>
</template>
