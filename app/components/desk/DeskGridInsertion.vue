<script setup lang="ts">
import { ref } from 'vue'
import type { Fix } from '../../../core/draft/draft'

/** What can be done where a phrase is missing in a place; the points it brings are told when it is opened. */
const props = defineProps<{
  insertion: Fix
  /** What it brings under the rule set. */
  gainOf: (fix: Fix) => Promise<number>
  /** Whether a part of the phrase is there. */
  hasPart: boolean
}>()
const emit = defineEmits<{ insert: []; show: [] }>()
const gain = ref('')
async function weigh() {
  gain.value = ''
  const points = await props.gainOf(props.insertion)
  gain.value = points > 0.05 ? `+${points.toFixed(1)} points` : 'No points under this rule set'
}
</script>

<template>
  <v-menu @update:model-value="$event && weigh()">
    <template #activator="{ props: menu }"><slot :menu /></template>
    <v-list role="menu" density="compact">
      <v-list-item
        role="menuitem"
        :title="insertion.label"
        :subtitle="gain"
        data-test="insert"
        @click="emit('insert')"
      />
      <v-list-item v-if="hasPart" role="menuitem" title="Go to the part that is there" @click="emit('show')" />
    </v-list>
  </v-menu>
</template>
