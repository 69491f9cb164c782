<script setup lang="ts">
import type { NuxtError } from '#app'

const { error } = defineProps<{ error: NuxtError }>()
const missing = computed(() => error.statusCode === 404)
useHead({ title: () => `${missing.value ? 'There is nothing here' : 'Something went wrong'} · Fonetra` })
</script>

<template>
  <v-app>
    <v-main class="lost">
      <div class="sheet">
        <h1>{{ missing ? 'There is nothing here' : 'Something went wrong' }}</h1>
        <p>{{ missing ? 'No screen has this address. It may have been typed wrong.' : `The screen could not be shown: ${error.message}. What was typed is kept.` }}</p>
        <v-btn variant="tonal" color="primary" data-test="error-back" @click="clearError({ redirect: '/' })">Back to Fonetra</v-btn>
      </div>
    </v-main>
  </v-app>
</template>

<style scoped>
.lost { display: grid; place-items: center; min-height: 100dvh; }
.sheet { padding: 32px; max-width: 520px; display: grid; gap: 12px; justify-items: start; overflow-wrap: anywhere; }
</style>
