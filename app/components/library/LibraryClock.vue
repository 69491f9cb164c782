<script setup lang="ts">
import { useTimeoutPoll } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { MOST_DAYS, type SimulatedClock } from '../../../shared/services'
import { api, ApiProblem, messageOf } from '~/composables/api'
import { setClock } from '~/composables/clock'
import { counted, dateOnly } from '~/composables/figures'
import { useAccess } from '~/stores/access'
import { useChanges } from '~/stores/changes'

/** The clock of the simulated services, which the demo lets people move on. */
const access = useAccess()
const changes = useChanges()
const clock = shallowRef<SimulatedClock | null>(null)
const days = ref('7')
const problem = ref('')
/** Time cannot be moved where a live service is connected. */
const live = ref(false)
const wrong = computed(() => {
  const count = Number(days.value)
  if (!days.value.trim()) return 'Enter a number of days.'
  return Number.isInteger(count) && count >= 1 && count <= MOST_DAYS ? '' : `Enter 1 to ${MOST_DAYS} days.`
})

function take(answer: SimulatedClock) {
  clock.value = answer
  setClock(answer.now)
}
async function ask(work: () => Promise<SimulatedClock>) {
  try {
    take(await work())
    problem.value = ''
  } catch (error) {
    live.value = error instanceof ApiProblem && error.code === 'live-service'
    problem.value = messageOf(error)
  }
}
const watching = useTimeoutPoll(
  async () => {
    await ask(() => api('GET /api/standin/clock'))
    if (!problem.value && clock.value?.left) return
    watching.pause()
    // Everything that counts ages is loaded again.
    for (const kind of ['phrases', 'pages', 'workspaces'] as const) changes.changed(kind)
  },
  400,
  { immediate: false },
)

async function move() {
  if (wrong.value) return
  await ask(() => api('POST /api/standin/clock', { body: { days: Number(days.value) } }))
  if (clock.value?.left) watching.resume()
}
const stop = () => ask(() => api('DELETE /api/standin/clock'))

void ask(() => api('GET /api/standin/clock')).then(() => {
  if (clock.value?.left) watching.resume()
})
</script>

<template>
  <section v-if="access.owns && !live" class="sheet" aria-label="Demo clock" data-test="clock">
    <h2>Demo clock</h2>
    <p class="small muted">
      Part of the demo: moves the simulated services on. Other channels publish, published videos gather views, months
      end. It does not go back.
    </p>
    <p v-if="problem || clock?.problem" role="alert">{{ problem || clock?.problem }}</p>
    <p v-if="clock" aria-live="polite">
      Their clock shows <strong data-test="clock-day">{{ dateOnly(clock.now) }}</strong>{{
        clock.left
          ? `, ${counted(clock.left, 'day')} to go.`
          : clock.daysAhead
            ? `, ${counted(clock.daysAhead, 'day')} ahead of this machine.`
            : ', as this machine does.'
      }}
    </p>
    <form class="row" @submit.prevent="move">
      <v-text-field
        v-model="days"
        label="Days"
        inputmode="numeric"
        class="days"
        :error-messages="wrong"
        :disabled="!!clock?.left"
        data-test="clock-days"
      />
      <v-btn type="submit" variant="tonal" :disabled="!!wrong || !!clock?.left" data-test="clock-move">Move on</v-btn>
      <v-btn v-if="clock?.left" data-test="clock-stop" @click="stop">Stop</v-btn>
    </form>
  </section>
</template>

<style scoped>
section {
  padding: 12px 16px;
  display: grid;
  gap: 8px;
}
.row {
  display: flex;
  gap: 10px;
  align-items: flex-start;
}
.days {
  flex: 0 0 160px;
}
</style>
