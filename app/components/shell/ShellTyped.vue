<script setup lang="ts">
import { onBeforeUnmount, ref } from 'vue'

/**
 * One line typed where a value stands: told when it is finished (Enter, leaving it, or its row scrolled out of a long
 * table), given up with Escape.
 * What is being typed stays, whatever is drawn anew around it.
 */
const props = defineProps<{ value: string }>()
const emit = defineEmits<{ typed: [text: string]; focus: [] }>()
const text = ref<string | null>(null)
function finish() {
  const typed = text.value
  text.value = null
  if (typed !== null && typed !== props.value) emit('typed', typed)
}
onBeforeUnmount(finish)
const input = (event: Event) => {
  text.value = (event.target as HTMLInputElement).value
}
</script>

<template>
  <input
    :value="text ?? value"
    @input="input"
    @focus="emit('focus')"
    @blur="finish"
    @keydown.enter.prevent="finish"
    @keydown.escape.stop="text = null"
  />
</template>
