<script setup lang="ts">
import { computed, watch } from 'vue'
import { useWorkspace, type Perspective } from '~/stores/workspace'

const workspace = useWorkspace()
const route = useRoute()
const address = useAddress()
// What the address says counts; where it says nothing, what was last chosen.
watch(
  () => route.query.for,
  given => {
    if (given === 'channel' || given === 'anyone') workspace.setPerspective(given)
  },
  { immediate: true },
)
function setPerspective(perspective: Perspective) {
  workspace.setPerspective(perspective)
  void address({ for: perspective })
}
const channelTitle = computed(() => {
  const { current } = workspace
  if (!current?.own) return 'Choose your channel in the Library first'
  const strength = `strength ${current.own.strength.toFixed(2)} with the phrase in title and description`
  return `Scored for ${current.channelTitle ?? current.name}: ${strength}`
})
</script>

<template>
  <v-btn-toggle
    :model-value="workspace.perspective"
    mandatory
    density="compact"
    variant="outlined"
    color="primary"
    divided
    class="perspective"
    aria-label="Score phrases"
    data-test="perspective"
    @update:model-value="setPerspective"
  >
    <v-btn value="anyone" :aria-pressed="workspace.perspective === 'anyone'" size="small">For anyone</v-btn>
    <v-btn
      value="channel"
      :aria-pressed="workspace.perspective === 'channel'"
      size="small"
      :disabled="!workspace.current?.own"
      :title="channelTitle"
      >For my channel</v-btn
    >
  </v-btn-toggle>
</template>

<style scoped>
.perspective {
  height: 30px;
}
</style>
