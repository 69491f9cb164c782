<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { Place } from '../../../shared/lists'
import { api, messageOf } from '~/composables/api'
import { counted, rounded } from '~/composables/figures'

/** Places of a region by population, of which some are chosen. */
const props = defineProps<{ region: string | null }>()
const chosen = defineModel<Place[]>({ required: true })
const places = shallowRef<Place[]>([])
const least = ref('')
const most = ref('')
const problem = ref('')

/** Answers that come late are to a question nobody asks any more. */
let asked = 0
async function find() {
  if (numberProblem(least.value) || numberProblem(most.value)) return
  const mine = ++asked
  try {
    const got = (
      await api('GET /api/places', {
        query: {
          region: props.region,
          minPopulation: typedNumber(least.value),
          maxPopulation: typedNumber(most.value),
        },
      })
    ).places
    if (mine !== asked) return
    places.value = got
    chosen.value = got
    problem.value = ''
  } catch (error) {
    if (mine === asked) problem.value = messageOf(error)
  }
}
watch([least, most, () => props.region], () => void find(), { immediate: true })

const ids = computed(() => new Set(chosen.value.map(place => place.id)))
const toggle = (place: Place) => {
  chosen.value = ids.value.has(place.id) ? chosen.value.filter(each => each.id !== place.id) : [...chosen.value, place]
}
</script>

<template>
  <div class="two">
    <v-text-field
      v-model="least"
      label="Population from"
      inputmode="numeric"
      :error-messages="numberProblem(least)"
      data-test="places-least"
    /><v-text-field v-model="most" label="to" inputmode="numeric" :error-messages="numberProblem(most)" />
  </div>
  <fieldset class="list">
    <legend class="small muted">
      {{ chosen.length }} of {{ counted(places.length, 'place') }}
      <button class="plain link" @click="chosen = chosen.length === places.length ? [] : places">
        {{ chosen.length === places.length ? 'none' : 'all' }}
      </button>
    </legend>
    <p v-if="problem" class="small">{{ problem }}</p>
    <p v-else-if="!places.length" class="small muted">
      No places yet for this region. Import a list with names and populations in the Library.
    </p>
    <label v-for="place in places" :key="place.id"
      ><input type="checkbox" :checked="ids.has(place.id)" @change="toggle(place)" /> {{ place.name }}
      <span class="figure small muted">{{ rounded(place.population) }}</span></label
    >
  </fieldset>
</template>

<style scoped>
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
input {
  accent-color: var(--teal);
}
.link {
  color: var(--teal);
  text-decoration: underline;
}
</style>
