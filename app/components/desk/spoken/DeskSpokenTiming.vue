<script setup lang="ts">
import { computed, ref } from 'vue'
import { clock, secondsOf } from '../../../../core/captions/cue'
import { shifted, stretched } from '../../../../core/captions/timing'
import { useSpoken } from '~/stores/spoken'

/** All times moved, or stretched so that the first and the last cue come to stand where they should. */
const spoken = useSpoken()
const open = ref(false)
const problem = ref('')
const by = ref('')
const first = ref('')
const last = ref('')
const cues = computed(() => spoken.captions.cues)
function begin(now: boolean) {
  if (!now) return
  problem.value = ''
  by.value = ''
  first.value = clock(cues.value[0]?.start ?? 0)
  last.value = clock(cues.value.at(-1)?.start ?? 0)
}
function shift() {
  const seconds = Number(by.value.replace(',', '.').replace('−', '-'))
  if (!by.value.trim() || !Number.isFinite(seconds) || Math.abs(seconds) > 360_000) {
    problem.value = 'Enter seconds, such as 1.5, or -2 for earlier.'
    return
  }
  spoken.setCues(shifted(cues.value, seconds), `Moved by ${by.value.trim()} s.`)
  open.value = false
}
function stretch() {
  const to = [secondsOf(first.value), secondsOf(last.value)] as const
  if (to[0] === null || to[1] === null) {
    problem.value = 'Enter times such as 0:05 and 12:30.'
    return
  }
  const made = stretched(cues.value, [cues.value[0]!.start, cues.value.at(-1)!.start], [to[0], to[1]])
  if (!made) {
    problem.value = 'The last cue must begin after the first one.'
    return
  }
  spoken.setCues(made, 'Times stretched.')
  open.value = false
}
</script>

<template>
  <v-menu v-model="open" :close-on-content-click="false" @update:model-value="begin">
    <template #activator="{ props: menu }"
      ><v-btn v-bind="menu" size="small" data-test="timing">Move times</v-btn></template
    >
    <div class="sheet box">
      <form class="row" @submit.prevent="shift">
        <v-text-field v-model="by" label="All by seconds" hide-details data-test="shift-by" /><v-btn
          type="submit"
          variant="tonal"
          data-test="shift"
          >Move</v-btn
        >
      </form>
      <form class="row" @submit.prevent="stretch">
        <v-text-field v-model="first" label="First begins at" hide-details data-test="stretch-first" /><v-text-field
          v-model="last"
          label="Last begins at"
          hide-details
          data-test="stretch-last"
        /><v-btn type="submit" variant="tonal" data-test="stretch">Stretch</v-btn>
      </form>
      <p v-if="problem" role="alert" class="small">{{ problem }}</p>
    </div>
  </v-menu>
</template>

<style scoped>
.box {
  padding: 12px;
  display: grid;
  gap: 10px;
  width: 380px;
  max-width: calc(100vw - 24px);
}
.row {
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>
