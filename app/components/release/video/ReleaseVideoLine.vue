<script setup lang="ts">
import { mdiDeleteOutline } from '@mdi/js'

/** A card or an element in its list: what it is, what is wrong with it, and what is edited while it is open. */
defineProps<{ open: boolean; faults: readonly string[]; removes: string }>()
defineEmits<{ open: []; remove: [] }>()
</script>

<template>
  <li :class="{ chosen: open }">
    <div class="line">
      <button class="plain sum" :aria-expanded="open" @click="$emit('open')"><slot name="sum" /></button>
      <v-btn
        size="x-small"
        variant="text"
        :icon="mdiDeleteOutline"
        :aria-label="removes"
        data-test="line-remove"
        @click="$emit('remove')"
      />
    </div>
    <p v-for="fault in faults" :key="fault" class="small fault">{{ fault }}</p>
    <slot v-if="open" />
  </li>
</template>

<style scoped>
li {
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
  padding: 4px 0;
}
.line {
  display: flex;
  align-items: center;
  gap: 8px;
}
.sum {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.chosen .sum {
  font-weight: 600;
}
.fault {
  color: var(--plum);
}
</style>
