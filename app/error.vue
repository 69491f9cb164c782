<script setup lang="ts">
import type { NuxtError } from '#app'

const { error } = defineProps<{ error: NuxtError }>()
const missing = computed(() => error.statusCode === 404)
useHead({ title: () => `${missing.value ? 'Page not found' : 'Something went wrong'} · Fonetra` })
</script>

<template>
  <v-app>
    <main class="lost">
      <div class="sheet">
        <h1>{{ missing ? 'Page not found' : 'Something went wrong' }}</h1>
        <p>
          {{
            missing
              ? 'This page does not exist. Check the address.'
              : `This page could not be shown: ${error.message}. Your text is saved.`
          }}
        </p>
        <v-btn variant="tonal" color="primary" data-test="error-back" @click="clearError({ redirect: '/' })"
          >Back to Fonetra</v-btn
        >
      </div>
    </main>
  </v-app>
</template>

<style scoped>
.lost {
  display: grid;
  place-items: center;
  min-height: 100dvh;
}
.sheet {
  padding: 32px;
  max-width: 520px;
  display: grid;
  gap: 12px;
  justify-items: start;
  overflow-wrap: anywhere;
}
</style>
