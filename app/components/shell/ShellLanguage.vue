<script setup lang="ts">
import { LANGUAGES, languageName } from '~/composables/languages'

/** The language of phrases and texts. */
const language = defineModel<string>({ required: true })
const items = Object.keys(LANGUAGES)
  .map(value => ({ value, title: languageName(value) }))
  .sort((a, b) => a.title.localeCompare(b.title))
</script>

<template>
  <v-autocomplete
    :model-value="language"
    :items="items"
    label="Language"
    variant="outlined"
    density="compact"
    hide-details
    auto-select-first
    no-data-text="No language of this name."
    data-test="language"
    @focusin="selectAll"
    @update:model-value="language = $event ?? language"
  >
    <template #selection="{ item }">{{ languageName(item.value as string) }}</template>
  </v-autocomplete>
</template>
