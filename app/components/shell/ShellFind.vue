<script setup lang="ts">
import { mdiMagnify } from '@mdi/js'
import { watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import type { VAutocomplete } from 'vuetify/components'
import { matcher } from '../../../core/find/match'
import type { FindAnswer } from '../../../shared/find'
import { goTo } from '~/composables/address'
import { api, messageOf } from '~/composables/api'
import { FOUND_NAMES, NAMED_PLACES, placeOf, type Place } from '~/composables/findPlaces'
import { giveTyped } from '~/composables/typedAhead'
import { useBrief } from '~/stores/brief'
import { useWorkspace } from '~/stores/workspace'

/** Where is it? Anything by its words: briefs, videos, phrases, lists, screens, settings. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  /** What can be done at once, by its name. */ acts: { text: string; act: () => unknown }[]
}>()
const brief = useBrief()
const workspace = useWorkspace()
const box = useTemplateRef<VAutocomplete>('box')
// Not `autofocus`: that waits until the field is seen, and loses the first letters typed.
watch(box, field => field && giveTyped(field), { flush: 'post' })
const asked = ref('')
const found = shallowRef<FindAnswer | null>(null)
/** What `found` answers. */
const answered = ref('')
const problem = ref('')
/** Keys pressed one after the other ask once. */
const PAUSE = 60
watchDebounced(
  asked,
  async q => {
    if (!q.trim()) return void (found.value = null)
    try {
      const rows = await api('GET /api/find', { query: { q: q.slice(0, 200), workspace: workspace.id } })
      if (q !== asked.value) return
      found.value = rows
      answered.value = q
      problem.value = ''
    } catch (error) {
      if (q === asked.value) problem.value = messageOf(error)
    }
  },
  { debounce: PAUSE },
)

interface Line {
  value: string
  title: string
  /** What it is. */
  kind: string
  score: number
  go: () => unknown
}
/** Screens of a brief show the one that is open. */
const go = ({ path, query }: Place) =>
  goTo({ path, query: { ...(brief.brief ? { brief: brief.brief.id } : {}), ...query } })
const here = computed((): Line[] => {
  const how = matcher(asked.value)
  return [
    ...NAMED_PLACES.map(({ text, also, to }) => ({ text, also, kind: 'Screen', go: () => go(to) })),
    ...props.acts.map(({ text, act }) => ({ text, also: '', kind: 'Action', go: act })),
  ].flatMap(({ text, also, kind, go: then }) => {
    const score = how(text, also)
    return score !== null ? [{ value: `${kind} ${text}`, title: text, kind, score, go: then }] : []
  })
})
const lines = computed((): Line[] =>
  [
    ...here.value,
    ...(found.value?.rows ?? []).map(({ kind, id, text, score }) => ({
      ...{ value: `${kind} ${id}`, title: text || 'Without a name', kind: FOUND_NAMES[kind], score },
      go: () => go(placeOf(kind, id, found.value!.region)),
    })),
  ].sort((a, b) => b.score - a.score),
)
const nothing = computed(() =>
  !asked.value.trim()
    ? 'Type a word of a brief, a video, a phrase, a list, a screen or a setting.'
    : answered.value === asked.value
      ? 'Nothing found. Try fewer words.'
      : 'Looking…',
)
function choose(line: Line | null) {
  if (!line) return
  open.value = false
  void line.go()
}
</script>

<template>
  <v-dialog v-model="open" aria-label="Find anything" max-width="560" location="top" class="find">
    <v-card class="pa-3" data-test="find" @keydown.esc.capture.stop="open = false">
      <v-autocomplete
        ref="box"
        v-model:search="asked"
        :items="lines"
        :model-value="null"
        return-object
        no-filter
        auto-select-first
        hide-details="auto"
        variant="outlined"
        density="comfortable"
        label="Find anything"
        :prepend-inner-icon="mdiMagnify"
        menu-icon=""
        :no-data-text="nothing"
        :error-messages="problem"
        :menu-props="{ maxHeight: 440 }"
        data-test="find-box"
        @update:model-value="choose"
      >
        <template #item="{ props: line, item }"
          ><v-list-item v-bind="line" density="compact"
            ><template #append
              ><span class="small muted">{{ item.kind }}</span></template
            ></v-list-item
          ></template
        >
      </v-autocomplete>
    </v-card>
  </v-dialog>
</template>
