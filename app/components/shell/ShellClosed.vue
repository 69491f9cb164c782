<script setup lang="ts">
import { ref } from 'vue'
import { api, dataProblem, messageOf } from '~/composables/api'

/** What stands in place of every screen while the data file cannot be opened. */
const busy = ref(false)

async function again() {
  busy.value = true
  try {
    await api('POST /api/data/open')
    location.reload()
  } catch (error) {
    dataProblem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="screen closed" data-test="closed">
    <div class="sheet state" role="alert">
      <h1>Your data cannot be opened</h1>
      <p>{{ dataProblem }}</p>
      <v-btn variant="tonal" :loading="busy" data-test="closed-again" @click="again">Try again</v-btn>
    </div>
    <LibraryBackups closed />
  </div>
</template>

<style scoped>
.closed {
  max-width: 860px;
  margin: 0 auto;
  overflow: auto;
}
.state {
  padding: 28px;
  display: grid;
  gap: 12px;
  justify-items: start;
  overflow-wrap: anywhere;
}
</style>
