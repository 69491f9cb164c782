<script setup lang="ts" generic="Side extends string">
/** What lies beside the work: one of several, each with its own address. */
defineProps<{
  sides: readonly { side: Side; title: string }[]
  label: string
  /** What the tests know a button by, before the side's name. */
  named: string
}>()
const side = defineModel<Side>({ required: true })
</script>

<template>
  <v-btn-toggle :model-value="side" mandatory density="compact" variant="outlined" divided :aria-label="label">
    <v-btn
      v-for="each in sides"
      :key="each.side"
      :value="each.side"
      :aria-pressed="side === each.side"
      size="small"
      :data-test="`${named}-${each.side}`"
      @click="side = each.side"
      >{{ each.title }}</v-btn
    >
  </v-btn-toggle>
</template>
