<script setup lang="ts">
const region = defineModel<string | null>({ required: true })
const items = useRegionChoices()
</script>

<template>
  <v-autocomplete
    :model-value="region ?? ''"
    :items="items"
    label="Region"
    variant="outlined"
    density="compact"
    hide-details
    auto-select-first
    no-data-text="No region of this name. Its two letters can be given in the address."
    data-test="region"
    @focusin="selectAll"
    @update:model-value="region = $event || null"
  />
</template>
