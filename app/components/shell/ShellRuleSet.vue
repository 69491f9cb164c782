<script setup lang="ts">
import { useWorkspaceItems } from '~/stores/workspaceItems'

/** The rule set that texts are scored under, shipped or one's own. */
const ruleSet = defineModel<string>({ required: true })
const items = useWorkspaceItems()
</script>

<template>
  <v-select v-model="ruleSet" :items="items.ruleSets" item-title="name" item-value="id" label="Rule set" hide-details />
</template>
