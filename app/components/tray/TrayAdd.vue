<script setup lang="ts">
import { ref } from 'vue'
import { useTray } from '~/stores/tray'

/** Adds phrases to the tray: one, or a list that is pasted. */
const tray = useTray()
const typed = ref('')
function add() {
  const list = typed.value
    .split(/[\n,;]+/u)
    .map(each => each.normalize('NFKC').replace(/\s+/gu, ' ').trim().toLowerCase())
    .filter(each => /[\p{L}\p{N}]/u.test(each))
    .map(each => each.slice(0, 200))
  if (list.length) tray.add(list)
  typed.value = ''
}
</script>

<template>
  <v-text-field
    v-model="typed"
    density="compact"
    label="Add a phrase"
    maxlength="2000"
    hide-details
    @keydown.enter.prevent="add"
  />
</template>
