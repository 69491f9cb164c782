<script setup lang="ts">
import { ref, watch } from 'vue'
import type { WorkspaceTexts } from '../../../../shared/workspace'
import { linesOf } from '~/composables/workspaceTexts'

/** The variables of a workspace that blocks are filled in with. */
const props = defineProps<{
  texts: WorkspaceTexts
  save: (patch: Partial<WorkspaceTexts>) => Promise<boolean>
}>()
const variables = ref('')
const town = ref('')
watch(
  () => props.texts,
  saved => {
    town.value = saved.town
    variables.value = Object.entries(saved.variables)
      .map(([name, value]) => `${name}: ${value}`)
      .join('\n')
  },
  { immediate: true },
)
/** Lines of a name, a colon and what it stands for. */
const keepVariables = () =>
  props.save({
    town: town.value.trim(),
    variables: Object.fromEntries(
      linesOf(variables.value).map(line => {
        const at = line.indexOf(':')
        return at < 0 ? [line, ''] : [line.slice(0, at).trim(), line.slice(at + 1).trim()]
      }),
    ),
  })
</script>

<template>
  <details class="small">
    <summary>Variables</summary>
    <p class="muted">
      Each brief fills in {title}, {lead} and {year}. Town and your own, one on each line as name: text, are the
      workspace’s.
    </p>
    <v-text-field v-model="town" label="Town" maxlength="120" hide-details data-test="town" @blur="keepVariables" />
    <v-textarea
      v-model="variables"
      label="Your own"
      rows="2"
      auto-grow
      max-rows="8"
      hide-details
      maxlength="20000"
      class="mt-2"
      data-test="variables"
      @blur="keepVariables"
    />
  </details>
</template>
