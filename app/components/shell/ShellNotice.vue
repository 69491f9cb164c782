<script setup lang="ts">
import { computed } from 'vue'
import { useNotices } from '~/stores/notices'

const notices = useNotices()
const open = computed({
  get: () => notices.current !== null,
  set: value => {
    if (!value) notices.clear()
  },
})
</script>

<template>
  <div class="unseen" role="status" aria-live="polite">{{ notices.spoken }}</div>
  <v-snackbar
    :key="notices.current?.id"
    v-model="open"
    :timeout="notices.current?.serious ? 9000 : 6500"
    location="bottom left"
    data-test="notice"
  >
    {{ notices.current?.text }}
    <template #actions>
      <v-btn v-if="notices.current?.next" data-test="notice-next" @click="notices.goNext()">{{
        notices.current.next.label
      }}</v-btn>
      <v-btn v-if="notices.current?.undo" data-test="undo" @click="notices.undo()">{{
        notices.current.undoLabel ?? 'Undo'
      }}</v-btn>
      <v-btn @click="notices.clear()">Close</v-btn>
    </template>
  </v-snackbar>
</template>
