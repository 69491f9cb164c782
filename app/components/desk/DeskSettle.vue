<script setup lang="ts">
/** Two windows changed one thing: nothing was overwritten, and a person chooses. */
defineProps<{ said: string }>()
const emit = defineEmits<{ settle: [mine: boolean] }>()
</script>

<template>
  <div class="sheet settle" role="alert">
    <p>{{ said }} Nothing was overwritten.</p>
    <v-btn size="small" variant="tonal" data-test="settle-mine" @click="emit('settle', true)"
      >Keep what I changed here</v-btn
    ><v-btn size="small" variant="tonal" data-test="settle-theirs" @click="emit('settle', false)"
      >Take the other version</v-btn
    >
  </div>
</template>

<style scoped>
.settle {
  padding: 10px 14px;
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  border-color: var(--ochre);
}
.settle p {
  flex: 1 1 100%;
}
</style>
