<script setup lang="ts">
import { mdiRefresh } from '@mdi/js'

/** Says what could not be loaded, with a button to try again. */
defineProps<{ problem: string }>()
const emit = defineEmits<{ again: [] }>()
</script>

<template>
  <div role="alert" class="sheet state">
    <p>{{ problem }}</p>
    <v-btn size="small" variant="outlined" :prepend-icon="mdiRefresh" @click="emit('again')">Try again</v-btn>
  </div>
</template>
