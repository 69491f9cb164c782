<script setup lang="ts">
import { mdiFileUploadOutline } from '@mdi/js'
import type { ImportProgress } from '../../../shared/imports'

/**
 * What imports of files share: the file, what keeps it from being read, how far it is, and what became of it. What else
 * is asked stands within.
 */
defineProps<{
  title: string
  /** What the tests know it by; the parts are called after it. */
  named: string
  /** Kinds of files that are offered. */
  accept: string
  problem: string
  progress: ImportProgress | null
  left: number | null
  /** Whether there is an answer. */
  done: boolean
}>()
const open = defineModel<boolean>({ required: true })
const file = defineModel<File | null>('file', { required: true })
const emit = defineEmits<{ send: [] }>()
</script>

<template>
  <v-dialog v-model="open" :aria-label="title" max-width="680" scrollable>
    <v-card :title="title" :data-test="named">
      <v-card-text>
        <p class="muted mb-3"><slot name="intro" /></p>
        <v-file-input
          v-model="file"
          label="File"
          variant="outlined"
          density="compact"
          :prepend-icon="mdiFileUploadOutline"
          :accept="accept"
          :error-messages="problem"
          hide-details="auto"
          :data-test="`${named}-file`"
        />
        <slot />
        <ShellImporting :progress="progress" :left="left" class="mt-4" />
        <div v-if="done" class="mt-4" :data-test="`${named}-answer`" role="status"><slot name="answer" /></div>
      </v-card-text>
      <v-card-actions
        ><v-spacer /><v-btn @click="open = false">{{ progress ? 'Stop' : 'Close' }}</v-btn
        ><v-btn
          v-if="!done"
          variant="flat"
          color="primary"
          :loading="progress !== null"
          :data-test="`${named}-send`"
          @click="emit('send')"
          >Import</v-btn
        ></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>
