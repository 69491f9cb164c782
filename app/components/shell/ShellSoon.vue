<script setup lang="ts">
import { AREAS } from '~/composables/areas'

const props = defineProps<{ area: (typeof AREAS)[number]['name'] }>()
const area = AREAS.find(each => each.name === props.area)!
useHead({ title: `${area.name} · Fonetra` })
</script>

<template>
  <div class="screen">
    <div class="soon">
      <v-icon :icon="area.icon" size="36" color="primary" />
      <h1>{{ area.name }}</h1>
      <p class="muted">{{ area.question }}</p>
      <p>{{ area.soon }}</p>
      <p class="muted small">Not available yet.</p>
    </div>
  </div>
</template>

<style scoped>
.soon {
  max-width: 460px;
  margin: 12vh auto 0;
  display: grid;
  gap: 8px;
  justify-items: start;
}
</style>
