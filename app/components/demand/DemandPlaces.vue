<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { CROSS_TEMPLATES, templateFault } from '../../../core/demand/cross'
import type { Brief } from '../../../shared/brief'
import type { Place } from '../../../shared/lists'
import type { PhraseRow } from '../../../shared/phrases'
import { api, messageOf } from '~/composables/api'
import { chanceText, counted, rounded, UNKNOWN } from '~/composables/figures'
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
const least = ref('')
const most = ref('')
const templates = ref<string[]>([CROSS_TEMPLATES[0]])
const places = shallowRef<Place[]>([])
const chosen = ref<number[]>([])
const problem = ref('')
const placesProblem = ref('')
const crossed = shallowRef<{ phrase: string; base: string; place: string }[]>([])
const volumes = shallowRef(new Map<string, PhraseRow>())
const picked = ref<string[]>([])
const leastWorth = ref('')
const assessing = useAssessing()
const number = (value: string) => (value.trim() === '' ? undefined : Number(value.replaceAll(/[, ]/gu, '')))
const wrong = (value: string) => {
  const n = number(value)
  return n !== undefined && !(n >= 0) ? 'Give a number.' : ''
}

/** Answers that come late are to a question nobody asks any more. */
let asked = 0
async function find() {
  if (wrong(least.value) || wrong(most.value)) return
  const mine = ++asked
  try {
    const got = (
      await api<{ places: Place[] }>('/api/places', {
        query: { region: props.region, minPopulation: number(least.value), maxPopulation: number(most.value) },
      })
    ).places
    if (mine !== asked) return
    places.value = got
    chosen.value = got.map(place => place.id)
    placesProblem.value = ''
  } catch (error) {
    if (mine === asked) placesProblem.value = messageOf(error)
  }
}
watch([least, most, () => props.region], () => void find(), { immediate: true })

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
    const names = places.value.filter(place => chosen.value.includes(place.id)).map(place => place.name)
    crossed.value = (
      await api<{ phrases: typeof crossed.value }>('/api/phrases/cross', {
        method: 'POST',
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
          await api<{ rows: PhraseRow[] }>('/api/phrases/figures', {
            method: 'POST',
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
    .map(each => ({ ...each, worth: each.assessed?.worth[workspace.whom] ?? null }))
    .sort((a, b) => (b.worth ?? -1) - (a.worth ?? -1) || (b.row?.volume ?? -1) - (a.row?.volume ?? -1)),
)
const SHOWN = 300
const searched = computed(() => rows.value.filter(each => each.row?.volume).length)
function pickWorth() {
  const floor = number(leastWorth.value) ?? 0
  picked.value = rows.value.filter(each => each.worth !== null && each.worth >= floor).map(each => each.phrase)
}
const pick = (phrase: string) => {
  picked.value = picked.value.includes(phrase)
    ? picked.value.filter(each => each !== phrase)
    : [...picked.value, phrase]
}

async function makeSeries() {
  const pattern = brief.brief?.id
  if (!pattern) return
  try {
    await brief.flush()
    const names = [...new Set(rows.value.filter(each => picked.value.includes(each.phrase)).map(each => each.place))]
    const made = await api<{ briefs: Brief[] }>('/api/briefs/series', {
      method: 'POST',
      body: { pattern, places: names, template: templates.value[0] },
    })
    await library.refresh()
    notices.tell(`${counted(made.briefs.length, 'brief')} created, one per place.`, {
      undo: () => library.takeBack(made.briefs),
    })
    emit('close')
  } catch (error) {
    problem.value = messageOf(error)
  }
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
          <div class="two">
            <v-text-field
              v-model="least"
              label="Population from"
              inputmode="numeric"
              :error-messages="wrong(least)"
              data-test="places-least"
            /><v-text-field v-model="most" label="to" inputmode="numeric" :error-messages="wrong(most)" />
          </div>
          <fieldset class="list">
            <legend class="small muted">
              {{ chosen.length }} of {{ counted(places.length, 'place') }}
              <button
                class="plain link"
                @click="chosen = chosen.length === places.length ? [] : places.map(place => place.id)"
              >
                {{ chosen.length === places.length ? 'none' : 'all' }}
              </button>
            </legend>
            <p v-if="placesProblem" class="small">{{ placesProblem }}</p>
            <p v-else-if="!places.length" class="small muted">
              No places yet for this region. Import a list with names and populations in the Library.
            </p>
            <label v-for="place in places" :key="place.id"
              ><input v-model="chosen" type="checkbox" :value="place.id" /> {{ place.name }}
              <span class="figure small muted">{{ rounded(place.population) }}</span></label
            >
          </fieldset>
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
            @stop="
              assessing.stop()
              figures()
            "
          />
          <p v-if="!crossed.length" class="muted hint">
            Choose phrases and places to see which combinations people search for and which you can win.
          </p>
          <template v-else>
            <div class="keep">
              <v-text-field
                v-model="leastWorth"
                label="Select all worth at least"
                inputmode="numeric"
                :error-messages="wrong(leastWorth)"
                density="compact"
                @keydown.enter="pickWorth"
              /><v-btn @click="pickWorth">Pick</v-btn><span class="small muted">{{ picked.length }} picked</span>
            </div>
            <p v-if="!assessing.running.value" class="small muted" data-test="places-searched">
              {{ searched ? `${searched} of ${rows.length}` : 'Select none' }}
              {{ searched < 2 ? 'is' : 'are' }} searched for, as far as any source tells.
            </p>
            <div class="table">
              <table aria-label="Phrases in places">
                <thead>
                  <tr>
                    <th scope="col"><span class="unseen">Pick</span></th>
                    <th scope="col">Phrase</th>
                    <th scope="col" class="end">Searches</th>
                    <th scope="col" class="end">Difficulty</th>
                    <th v-if="workspace.whom === 'channel'" scope="col" class="end">Chance</th>
                    <th scope="col" class="end">Worth</th>
                  </tr>
                </thead>
                <tbody>
                  <tr
                    v-for="each in rows.slice(0, SHOWN)"
                    :key="each.phrase"
                    :class="{ picked: picked.includes(each.phrase) }"
                    data-test="places-row"
                  >
                    <td>
                      <input
                        type="checkbox"
                        :checked="picked.includes(each.phrase)"
                        :aria-label="`Pick ${each.phrase}`"
                        @change="pick(each.phrase)"
                      />
                    </td>
                    <th scope="row">{{ each.phrase }}</th>
                    <td class="end figure">{{ rounded(each.row?.volume) }}</td>
                    <td class="end figure">
                      {{ each.assessed?.difficulty == null ? UNKNOWN : Math.round(each.assessed.difficulty) }}
                    </td>
                    <td v-if="workspace.whom === 'channel'" class="end figure">
                      {{ each.assessed?.chance == null ? UNKNOWN : chanceText(each.assessed.chance) }}
                    </td>
                    <td class="end figure">{{ each.worth === null ? UNKNOWN : Math.round(each.worth) }}</td>
                  </tr>
                </tbody>
              </table>
              <p v-if="rows.length > SHOWN" class="small muted">
                The {{ SHOWN }} of most worth are shown; picking by worth takes all.
              </p>
            </div>
          </template>
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
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.list {
  border: 1px solid var(--line);
  border-radius: 4px;
  max-height: 190px;
  overflow: auto;
  padding: 4px 10px;
  margin: 0;
}
.list label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 26px;
}
.list label span {
  margin-left: auto;
}
.found {
  min-height: 380px;
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-width: 0;
}
.keep {
  display: flex;
  gap: 8px;
  align-items: center;
  max-width: 380px;
}
.table {
  max-height: 48vh;
  overflow: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  text-align: start;
  padding: 4px 8px 4px 0;
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
.picked {
  background: color-mix(in srgb, var(--teal) 9%, transparent);
}
input {
  accent-color: var(--teal);
}
.problem {
  color: var(--plum);
}
.hint {
  margin: auto;
  max-width: 320px;
  text-align: center;
}
.link {
  color: var(--teal);
  text-decoration: underline;
}
</style>
