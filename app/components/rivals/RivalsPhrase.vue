<script setup lang="ts">
import { mdiMagnify } from '@mdi/js'
import { ref, watch } from 'vue'

const props = defineProps<{ phrase: string; region: string | null; language: string }>()
const emit = defineEmits<{ ask: [phrase: string] }>()
const typed = ref(props.phrase)
const problem = ref('')
watch(
  () => props.phrase,
  phrase => {
    typed.value = phrase
    problem.value = ''
  },
)

function ask() {
  const text = typed.value
    .replace(/[\p{Cc}\p{Cf}]+/gu, ' ')
    .replace(/\s+/gu, ' ')
    .trim()
    .toLowerCase()
  if (!/[\p{L}\p{N}]/u.test(text)) problem.value = 'Type a phrase to see its results.'
  else if (text.length > 200) problem.value = 'A phrase can be 200 characters at most.'
  else {
    problem.value = ''
    emit('ask', text)
  }
}
</script>

<template>
  <v-text-field
    v-model="typed"
    label="Results for"
    :prepend-inner-icon="mdiMagnify"
    :error-messages="problem"
    data-first-field
    data-test="rivals-phrase"
    @keydown.enter="ask"
  />
</template>
