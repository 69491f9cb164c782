<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { likelyPlace, SURFACE_NAMES, SURFACES, type Surface } from '../../../../core/draft/preview'
import { RESULTS_READ } from '../../../../core/rivals/forecast'
import type { ResultsAnswer } from '../../../../shared/rivals'
import { api, ApiProblem, messageOf } from '~/composables/api'
import type { SeenLine as Line } from '~/composables/seenLine'
import { remember } from '~/composables/remember'
import { useBrief } from '~/stores/brief'
import { pictureAddress } from '~/stores/thumbnails'
import { useTray } from '~/stores/tray'
import { useWorkspace } from '~/stores/workspace'
import { useWorkspaceItems } from '~/stores/workspaceItems'

/** My video among the results it will stand with, as each surface shows them. */
const props = defineProps<{
  /** The address of another picture than the brief's thumbnail. */
  picture?: string | null
  /** Whether pictures are as large as the surfaces show them, where there is room for it. */
  real?: boolean
}>()
const brief = useBrief()
const tray = useTray()
const workspace = useWorkspace()
const items = useWorkspaceItems()
const fields = computed(() => brief.fields!)
const phrases = computed(() => tray.phrases.map(each => each.phrase))
const phrase = ref(phrases.value[0] ?? '')
watch(phrases, list => {
  if (!list.includes(phrase.value)) phrase.value = list[0] ?? ''
})
const picture = computed(() => {
  const { thumbnail } = fields.value
  return props.picture ?? (thumbnail && pictureAddress(thumbnail, 640))
})
const surface = ref<Surface>(SURFACES.find(each => each === localStorage.getItem('fonetra.surface')) ?? 'list')
watch(surface, value => {
  remember('fonetra.surface', value)
})
const dark = ref(false)
const page = shallowRef<ResultsAnswer | null>(null)
const problem = ref('')
const busy = ref(false)
/** My place in the list, 1 for the first; `null` until one is known or chosen. */
const place = ref<number | null>(null)

async function load(ask = false) {
  if (!phrase.value) return
  const of = phrase.value
  busy.value = true
  problem.value = ''
  const query = { phrase: of, region: fields.value.region, language: fields.value.language, workspace: workspace.id }
  try {
    const found = await api(ask ? 'POST /api/results' : 'GET /api/results', { query })
    if (of !== phrase.value) return
    page.value = found
    const likely = found.reading.forecast?.likely
    place.value = likely ? likelyPlace(likely) : null
  } catch (error) {
    if (of !== phrase.value) return
    page.value = null
    if (!(error instanceof ApiProblem && error.code === 'not-kept')) problem.value = messageOf(error)
  } finally {
    if (of === phrase.value) busy.value = false
  }
}
watch([phrase, () => fields.value.region], () => void load(), { immediate: true })

/** Whether it stands last only since it likely stands on no page that is read. */
const beyond = computed(() => {
  const likely = page.value?.reading.forecast?.likely
  return !!likely && likely[0] > RESULTS_READ && place.value === likelyPlace(likely)
})
const lines = computed<Line[]>({
  get: () => {
    const others: Line[] = (page.value?.rows ?? [])
      .filter(row => !row.off)
      .map(row => ({ key: row.videoId, mine: false, row }))
    const at = Math.min(place.value ?? others.length + 1, others.length + 1) - 1
    const mine: Line = { key: 'mine', mine: true }
    return [...others.slice(0, at), mine, ...others.slice(at)]
  },
  set: (list: Line[]) => {
    place.value = list.findIndex(line => line.mine) + 1
  },
})
const move = (by: number) => {
  const at = lines.value.findIndex(line => line.mine) + 1
  place.value = Math.min(lines.value.length, Math.max(1, at + by))
}
const earned = useEarned(
  page,
  computed(() => items.ruleSetOf(fields.value.ruleSet)),
  computed(() => fields.value.language),
)
</script>

<template>
  <section class="seen sheet" aria-label="My video among the results" data-test="seen">
    <div class="ask">
      <v-select v-model="phrase" :items="phrases" label="Searched for" hide-details data-test="seen-phrase" />
      <v-switch v-model="dark" label="Dark" hide-details density="compact" data-test="seen-dark" class="shade" />
    </div>
    <v-btn-toggle
      v-model="surface"
      mandatory
      density="compact"
      variant="outlined"
      divided
      aria-label="Where it is seen"
    >
      <v-btn
        v-for="each in SURFACES"
        :key="each"
        :value="each"
        :aria-pressed="surface === each"
        size="small"
        :data-test="`surface-${each}`"
        >{{ SURFACE_NAMES[each] }}</v-btn
      >
    </v-btn-toggle>
    <p v-if="problem" role="alert" class="small">
      {{ problem }} <button class="plain link" @click="load()">Try again</button>
    </p>
    <p v-else-if="!phrases.length" class="small muted">Choose a phrase in the tray to see the results for it.</p>
    <p v-else-if="!busy && !page" class="small muted">
      The results of this phrase are not known yet.
      <button class="plain link" data-test="seen-load" @click="load(true)">Load them</button>
    </p>
    <p v-else-if="page" class="small muted" data-test="seen-place">
      <template v-if="beyond"
        >Your video likely stands beyond rank {{ RESULTS_READ }}; here it stands last. Drag it anywhere.</template
      >
      <template v-else-if="place === null"
        >Your place is not known: choose your channel in the Library. Drag it anywhere.</template
      >
      <template v-else-if="page.reading.forecast && likelyPlace(page.reading.forecast.likely) === place"
        >Place {{ place }} is the middle of your likely ranks, {{ page.reading.forecast.likely.join(' to ') }}; an
        estimate. Drag it anywhere.</template
      >
      <template v-else>Place {{ place }}, where you put it.</template>
    </p>
    <DeskSeenList
      v-model="lines"
      class="paper"
      :surface="surface"
      :dark="dark"
      :real="real"
      :picture="picture"
      :percents="earned"
      @move="move"
    />
  </section>
</template>

<style scoped>
.seen {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-height: 0;
  padding: 10px 14px;
}
.ask {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 14px;
  align-items: center;
}
.shade :deep(.v-label) {
  font-size: 12px;
}
.link {
  color: var(--teal);
}
/* The list fills what is left. */
.paper {
  flex: 1;
  min-height: 0;
}
</style>
