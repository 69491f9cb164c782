<script setup lang="ts">
import { computed, ref } from 'vue'
import type { AssessedRow, PhraseRow } from '../../../shared/phrases'
import { chanceText, rounded, UNKNOWN } from '~/composables/figures'
import { useWorkspace } from '~/stores/workspace'

/** Phrases crossed with places, the most worth first, of which some are selected. */
const props = defineProps<{
  rows: { phrase: string; row: PhraseRow | null; assessed: AssessedRow | null; worth: number | null }[]
  /** Whether some are still being assessed. */
  running: boolean
}>()
const picked = defineModel<string[]>({ required: true })
const workspace = useWorkspace()
const leastWorth = ref('')
const SHOWN = 300
const searched = computed(() => props.rows.filter(each => each.row?.volume).length)
function pickWorth() {
  const floor = typedNumber(leastWorth.value) ?? 0
  picked.value = props.rows.filter(each => each.worth !== null && each.worth >= floor).map(each => each.phrase)
}
const pick = (phrase: string) => {
  picked.value = picked.value.includes(phrase)
    ? picked.value.filter(each => each !== phrase)
    : [...picked.value, phrase]
}
</script>

<template>
  <div class="keep">
    <v-text-field
      v-model="leastWorth"
      label="Select all worth at least"
      inputmode="numeric"
      :error-messages="numberProblem(leastWorth)"
      density="compact"
      @keydown.enter="pickWorth"
    /><v-btn @click="pickWorth">Select</v-btn><span class="small muted">{{ picked.length }} selected</span>
  </div>
  <p v-if="!running" class="small muted" data-test="places-searched">
    {{ searched ? `${searched} of ${rows.length}` : 'None' }} {{ searched < 2 ? 'is' : 'are' }} searched for, as far as
    any source knows.
  </p>
  <div class="table">
    <table aria-label="Phrases in places">
      <thead>
        <tr>
          <th scope="col"><span class="unseen">Select</span></th>
          <th scope="col">Phrase</th>
          <th scope="col" class="end">Searches</th>
          <th scope="col" class="end">Difficulty</th>
          <th v-if="workspace.perspective === 'channel'" scope="col" class="end">Chance</th>
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
              :aria-label="`Select ${each.phrase}`"
              @change="pick(each.phrase)"
            />
          </td>
          <th scope="row">{{ each.phrase }}</th>
          <td class="end figure">{{ rounded(each.row?.volume) }}</td>
          <td class="end figure">
            {{ each.assessed?.difficulty == null ? UNKNOWN : Math.round(each.assessed.difficulty) }}
          </td>
          <td v-if="workspace.perspective === 'channel'" class="end figure">
            {{ each.assessed?.chance == null ? UNKNOWN : chanceText(each.assessed.chance) }}
          </td>
          <td class="end figure">{{ each.worth === null ? UNKNOWN : Math.round(each.worth) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="rows.length > SHOWN" class="small muted">
      The {{ SHOWN }} with the highest worth are shown. Selecting by worth includes the others.
    </p>
  </div>
</template>

<style scoped>
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
input {
  accent-color: var(--teal);
}
</style>
