<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { CROSS_TEMPLATES, templateFault } from '../../../core/demand/cross'
import type { Place } from '../../../shared/lists'
import type { PhraseRow } from '../../../shared/phrases'
import { goTo } from '~/composables/address'
import { api, messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useNotices } from '~/stores/notices'
import { useTray } from '~/stores/tray'
import { useWorkspace } from '~/stores/workspace'

const props = defineProps<{ phrases: string[]; region: string | null; language: string }>()
const emit = defineEmits<{ close: [] }>()
useFocusBack()
const tray = useTray()
const brief = useBrief()
const library = useLibrary()
const notices = useNotices()
const workspace = useWorkspace()
const text = ref(props.phrases.join('\n'))
const templates = ref<string[]>([CROSS_TEMPLATES[0]])
const chosen = shallowRef<Place[]>([])
const problem = ref('')
const crossed = shallowRef<{ phrase: string; base: string; place: string }[]>([])
const volumes = shallowRef(new Map<string, PhraseRow>())
const picked = ref<string[]>([])
const assessing = useAssessing()
const bases = computed(() =>
  text.value
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean),
)
const count = computed(() => bases.value.length * chosen.value.length * templates.value.length)
const fault = computed(() => templates.value.map(templateFault).find(Boolean) ?? '')

async function run() {
  problem.value = ''
  picked.value = []
  try {
    const names = chosen.value.map(place => place.name)
    crossed.value = (
      await api('POST /api/phrases/cross', {
        body: { phrases: bases.value, places: names, templates: templates.value },
      })
    ).phrases
    await assessing.start(
      crossed.value.map(each => each.phrase),
      {
        region: props.region,
        language: props.language,
        title: `${counted(bases.value.length, 'phrase')} in ${counted(names.length, 'place')}`,
      },
    )
    await figures()
  } catch (error) {
    problem.value = messageOf(error)
  }
}
/** What is known of searches, once there is an end to the assessing. */
async function figures() {
  const rows: PhraseRow[] = []
  try {
    for (let from = 0; from < crossed.value.length; from += 1000)
      rows.push(
        ...(
          await api('POST /api/phrases/figures', {
            body: {
              phrases: crossed.value.slice(from, from + 1000).map(each => each.phrase),
              region: props.region,
              language: props.language,
              workspace: workspace.id,
            },
          })
        ).rows,
      )
  } catch (error) {
    problem.value = messageOf(error)
  }
  volumes.value = new Map(rows.map(row => [row.phrase, row]))
}

const rows = computed(() =>
  crossed.value
    .map(each => ({
      ...each,
      row: volumes.value.get(each.phrase) ?? null,
      assessed: assessing.rows.value.get(each.phrase) ?? null,
    }))
    .map(each => ({ ...each, worth: each.assessed?.worth[workspace.perspective] ?? null }))
    .sort((a, b) => (b.worth ?? -1) - (a.worth ?? -1) || (b.row?.volume ?? -1) - (a.row?.volume ?? -1)),
)
async function makeSeries() {
  const pattern = brief.brief?.id
  if (!pattern) return
  try {
    await brief.flush()
    // The best first: it leads the brief of its place.
    const phrases: Record<string, string[]> = {}
    for (const { phrase, place } of rows.value.filter(each => picked.value.includes(each.phrase)))
      (phrases[place] ??= []).push(phrase)
    const made = await api('POST /api/briefs/series', {
      body: { pattern, places: Object.keys(phrases), template: templates.value[0], phrases },
    })
    await library.refresh()
    notices.show(`${counted(made.briefs.length, 'brief')} created, one per place, each with its phrases.`, {
      undo: () => library.takeBack(made.briefs),
      next: {
        label: 'Write them',
        to: () => goTo({ path: '/desk', query: { brief: made.briefs[0]!.id, side: 'compose' } }),
      },
    })
    emit('close')
  } catch (error) {
    problem.value = messageOf(error)
  }
}
function stopAssessing() {
  assessing.stop()
  void figures()
}
</script>

<template>
  <v-dialog :model-value="true" aria-labelledby="places-title" max-width="1080" @update:model-value="emit('close')">
    <v-card data-test="places">
      <v-card-title id="places-title">Phrases in many places</v-card-title>
      <v-card-text class="body">
        <div class="choose">
          <v-textarea
            v-model="text"
            label="Phrases, one per line"
            rows="4"
            variant="outlined"
            density="compact"
            hide-details
            data-test="places-phrases"
          />
          <DemandPlaceChoice v-model="chosen" :region />
          <v-combobox
            v-model="templates"
            :items="[...CROSS_TEMPLATES]"
            multiple
            chips
            closable-chips
            label="Combine as"
            variant="outlined"
            density="compact"
            :error-messages="fault"
            hide-details="auto"
            data-test="places-templates"
          />
          <v-btn
            variant="flat"
            color="primary"
            :disabled="!count || !!fault || assessing.running.value"
            data-test="places-run"
            @click="run"
            >Assess {{ counted(count, 'phrase') }}</v-btn
          >
          <p v-if="problem" class="small problem" role="alert">{{ problem }}</p>
        </div>
        <div class="found">
          <DemandProgress
            :done="assessing.done.value"
            :total="assessing.total.value"
            :left="assessing.left.value"
            :running="assessing.running.value"
            :problem="assessing.problem.value"
            @stop="stopAssessing"
          />
          <p v-if="!crossed.length" class="muted hint">
            Choose phrases and places to see which combinations people search for and which you can win.
          </p>
          <DemandPlaceRows v-else v-model="picked" :rows :running="assessing.running.value" />
        </div>
      </v-card-text>
      <v-card-actions>
        <v-btn variant="flat" color="primary" :disabled="!picked.length" @click="tray.add(picked)">Add to tray</v-btn>
        <DemandListMenu :phrases="picked" :language="language" :disabled="!picked.length" />
        <v-btn
          :disabled="!picked.length || !brief.brief"
          title="Makes a copy of this brief for each selected place, grouped as a series"
          data-test="places-series"
          @click="makeSeries"
          >One brief per place</v-btn
        >
        <v-spacer /><v-btn @click="emit('close')">Close</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.body {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
  gap: 20px;
}
.choose {
  display: grid;
  gap: 12px;
  align-content: start;
}
.found {
  min-height: 380px;
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-width: 0;
}
.problem {
  color: var(--plum);
}
.hint {
  margin: auto;
  max-width: 320px;
  text-align: center;
}
</style>
