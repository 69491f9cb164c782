<script setup lang="ts">
import { computed, watch } from 'vue'
import { useWorkspace, type Whom } from '~/stores/workspace'

const workspace = useWorkspace()
const route = useRoute()
const address = useAddress()
// What the address says counts; where it says nothing, what was last chosen.
watch(
  () => route.query.for,
  given => {
    if (given === 'channel' || given === 'anyone') workspace.judgeFor(given)
  },
  { immediate: true },
)
function judgeFor(whom: Whom) {
  workspace.judgeFor(whom)
  void address({ for: whom })
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
    :model-value="workspace.whom"
    mandatory
    density="compact"
    variant="outlined"
    color="primary"
    divided
    class="whom"
    aria-label="Score phrases"
    data-test="whom"
    @update:model-value="judgeFor"
  >
    <v-btn value="anyone" size="small">For anyone</v-btn>
    <v-btn value="channel" size="small" :disabled="!workspace.current?.own" :title="channelTitle">For my channel</v-btn>
  </v-btn-toggle>
</template>

<style scoped>
.whom {
  height: 30px;
}
</style>
