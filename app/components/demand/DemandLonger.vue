<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { LongerAnswer, LongerRow } from '../../../shared/phrases'
import { api, messageOf } from '~/composables/api'
import { chanceText, inFull, rounded, UNKNOWN } from '~/composables/figures'
import { useTray } from '~/stores/tray'
import { useWorkspace } from '~/stores/workspace'

const props = defineProps<{ phrase: string; region: string | null; language: string }>()
const emit = defineEmits<{ close: [] }>()
useFocusBack()
const tray = useTray()
const workspace = useWorkspace()
const longer = shallowRef<LongerRow[] | null>(null)
const self = shallowRef<LongerAnswer['self']>(null)
const missing = ref<string[]>([])
const problem = ref('')
const picked = ref<string[]>([])
const assessing = useAssessing()
/** The towns that are tried, the largest of the region. */
const PLACES = 8

async function load() {
  problem.value = ''
  try {
    const { places } = await api('GET /api/places', { query: { region: props.region } })
    const got = await api('POST /api/phrases/longer', {
      body: {
        phrase: props.phrase,
        region: props.region,
        language: props.language,
        workspace: workspace.id,
        places: places.slice(0, PLACES).map(place => place.name),
      },
    })
    longer.value = got.rows
    self.value = got.self
    missing.value = got.missing
    await assessing.start([props.phrase, ...got.rows.map(row => row.phrase)], {
      region: props.region,
      language: props.language,
      title: `Longer phrases of “${props.phrase}”`,
    })
  } catch (error) {
    problem.value = messageOf(error)
  }
}
watch(
  () => props.phrase,
  () => {
    longer.value = null
    picked.value = []
    void load()
  },
  { immediate: true },
)

const FROM = { known: 'searched', modifier: 'modifier', place: 'place' }
const worthOf = (phrase: string, row: LongerRow['row'] = null) =>
  (assessing.rows.value.get(phrase)?.worth ?? row?.worth)?.[workspace.perspective] ?? null
const ranked = computed(() =>
  (longer.value ?? [])
    .map(each => ({
      ...each,
      assessed: assessing.rows.value.get(each.phrase) ?? null,
      worth: worthOf(each.phrase, each.row),
    }))
    .sort((a, b) => (b.worth ?? -1) - (a.worth ?? -1) || (b.row?.volume ?? -1) - (a.row?.volume ?? -1)),
)
const own = computed(() => ({
  worth: worthOf(props.phrase),
  difficulty: assessing.rows.value.get(props.phrase)?.difficulty ?? null,
  chance: assessing.rows.value.get(props.phrase)?.chance ?? null,
}))
const best = computed(() =>
  ranked.value.find(each => each.worth !== null && (own.value.worth === null || each.worth > own.value.worth)),
)
const pick = (phrase: string) => {
  picked.value = picked.value.includes(phrase)
    ? picked.value.filter(each => each !== phrase)
    : [...picked.value, phrase]
}
function addToTray() {
  tray.add(picked.value)
  picked.value = []
}
const answer = computed(() => {
  if (!best.value)
    return assessing.running.value ? 'Checking longer phrases …' : 'No longer phrase is worth more than this one.'
  const { added, worth, assessed } = best.value
  return `“${added}” makes it winnable: worth ${Math.round(worth!)}${own.value.worth === null ? '' : ` instead of ${Math.round(own.value.worth)}`}, difficulty ${Math.round(assessed?.difficulty ?? best.value.row!.difficulty!)}${own.value.difficulty === null ? '' : ` instead of ${Math.round(own.value.difficulty)}`}.`
})
</script>

<template>
  <v-dialog :model-value="true" aria-labelledby="longer-title" max-width="960" @update:model-value="emit('close')">
    <v-card data-test="longer">
      <v-card-title id="longer-title">Which word makes “{{ phrase }}” winnable?</v-card-title>
      <v-card-text class="body">
        <p class="answer" data-test="longer-answer">{{ answer }}</p>
        <DemandProgress
          :done="assessing.done.value"
          :total="assessing.total.value"
          :left="assessing.left.value"
          :running="assessing.running.value"
          :problem="assessing.problem.value || problem"
          @stop="assessing.stop()"
        />
        <p v-if="missing.length" class="small missing">
          Missing: {{ missing.join(', ') }}. <button class="plain link" @click="load">Look again</button>
        </p>
        <v-skeleton-loader v-if="!longer && !problem" type="table-row@5" />
        <div v-else-if="longer && !longer.length" class="muted">
          No longer phrases found. Try a shorter phrase, or import a list.
        </div>
        <div v-else class="table">
          <table aria-label="Longer phrases">
            <thead>
              <tr>
                <th scope="col"><span class="unseen">Pick</span></th>
                <th scope="col">Adds</th>
                <th scope="col">Phrase</th>
                <th scope="col">From</th>
                <th scope="col" class="end">Searches</th>
                <th scope="col" class="end">Difficulty</th>
                <th v-if="workspace.perspective === 'channel'" scope="col" class="end">Chance</th>
                <th scope="col" class="end">Worth</th>
                <th scope="col" />
              </tr>
            </thead>
            <tbody>
              <tr class="own">
                <td />
                <td class="muted">as it is</td>
                <th scope="row">{{ phrase }}</th>
                <td />
                <td class="end figure" :title="inFull(self?.volume ?? null)">{{ rounded(self?.volume) }}</td>
                <td class="end figure">{{ own.difficulty === null ? UNKNOWN : Math.round(own.difficulty) }}</td>
                <td v-if="workspace.perspective === 'channel'" class="end figure">
                  {{ own.chance === null ? UNKNOWN : chanceText(own.chance) }}
                </td>
                <td class="end figure">{{ own.worth === null ? UNKNOWN : Math.round(own.worth) }}</td>
                <td />
              </tr>
              <tr
                v-for="each in ranked"
                :key="each.phrase"
                :class="{ picked: picked.includes(each.phrase) }"
                data-test="longer-row"
              >
                <td>
                  <input
                    type="checkbox"
                    :checked="picked.includes(each.phrase)"
                    :aria-label="`Pick ${each.phrase}`"
                    @change="pick(each.phrase)"
                  />
                </td>
                <td>
                  <strong>{{ each.added }}</strong>
                </td>
                <th scope="row">{{ each.phrase }}</th>
                <td class="muted small">{{ FROM[each.from] }}</td>
                <td class="end figure" :title="inFull(each.row?.volume ?? null)">{{ rounded(each.row?.volume) }}</td>
                <td class="end figure">
                  {{
                    each.assessed?.difficulty == null
                      ? assessing.running.value
                        ? '…'
                        : UNKNOWN
                      : Math.round(each.assessed.difficulty)
                  }}
                </td>
                <td v-if="workspace.perspective === 'channel'" class="end figure">
                  {{ each.assessed?.chance == null ? UNKNOWN : chanceText(each.assessed.chance) }}
                </td>
                <td
                  class="end figure"
                  :title="
                    each.assessed && each.worth !== null ? worthWord(each.assessed, workspace.perspective) : 'unknown'
                  "
                >
                  {{ each.worth === null ? UNKNOWN : Math.round(each.worth) }}
                </td>
                <td>
                  <v-btn
                    size="small"
                    variant="text"
                    color="primary"
                    :aria-label="`Make ${each.phrase} the lead`"
                    @click="tray.makeLead(each.phrase)"
                    >Lead</v-btn
                  >
                </td>
              </tr>
            </tbody>
          </table>
        </div>
      </v-card-text>
      <v-card-actions
        ><v-btn variant="flat" color="primary" :disabled="!picked.length" data-test="longer-tray" @click="addToTray"
          >Add to tray</v-btn
        ><span class="small muted">{{ picked.length ? `${picked.length} picked` : 'Select phrases to keep' }}</span
        ><v-spacer /><v-btn @click="emit('close')">Close</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.body {
  display: grid;
  gap: 8px;
  grid-template-rows: auto auto;
}
.answer {
  font-size: 16px;
  font-weight: 600;
}
.table {
  max-height: 52vh;
  overflow: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  text-align: start;
  padding: 2px 8px 2px 0;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--surface);
  color: var(--muted);
  font-size: 12px;
  font-weight: 600;
  z-index: 1;
}
.end {
  text-align: end;
}
.own {
  background: var(--paper);
}
.picked {
  background: color-mix(in srgb, var(--teal) 9%, transparent);
}
input {
  accent-color: var(--teal);
}
.missing {
  color: var(--plum);
}
.link {
  color: var(--teal);
  text-decoration: underline;
}
</style>
