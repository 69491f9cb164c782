<script setup lang="ts">
import { mdiArchiveArrowDownOutline, mdiArchiveArrowUpOutline } from '@mdi/js'
import { ref, shallowRef } from 'vue'
import { ApiProblem, messageOf } from '~/composables/api'

/** Everything in one file, and back from it. */
const LOST = 'The connection was lost. Load the page again to see whether the archive was read.'
const { progress, left, busy, send, stop } = useImporting()
const input = ref<HTMLInputElement | null>(null)
const problem = ref('')
const stopped = ref(false)
/** An archive that would replace what is here, and what that is. */
const asked = shallowRef<{ file: File; held: string } | null>(null)

async function read(file: File, replace: boolean) {
  asked.value = null
  problem.value = ''
  stopped.value = false
  try {
    const answer = await send('POST /api/data/archive', file, replace ? { replace: '1' } : {}, LOST)
    // Nothing on the screen is as it was.
    if (answer) location.assign('/library')
    else stopped.value = true
  } catch (error) {
    if (error instanceof ApiProblem && error.code === 'not-empty') asked.value = { file, held: error.message }
    else problem.value = messageOf(error)
  }
}

function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (file) void read(file, false)
  input.value!.value = ''
}
function drop(event: DragEvent) {
  const file = event.dataTransfer?.files[0]
  if (file && !busy.value) void read(file, false)
}
</script>

<template>
  <section class="sheet" aria-label="Archive" data-test="archive" @dragover.prevent @drop.prevent="drop">
    <div class="head">
      <div>
        <h2>Archive</h2>
        <p class="small muted">
          Everything in one ZIP file, in open formats: texts with their history, phrases, figures, ranks, pictures. Any
          Fonetra reads it back. Access keys are not in it.
        </p>
      </div>
      <div class="acts">
        <v-btn
          variant="tonal"
          :prepend-icon="mdiArchiveArrowDownOutline"
          href="/api/data/archive"
          download
          data-test="archive-save"
          >Save an archive</v-btn
        ><v-btn
          :prepend-icon="mdiArchiveArrowUpOutline"
          :disabled="busy"
          title="A ZIP file that Fonetra saved; it can be dropped here, too"
          data-test="archive-read"
          @click="input?.click()"
          >Read an archive</v-btn
        ><input
          ref="input"
          type="file"
          accept=".zip,application/zip"
          class="unseen"
          tabindex="-1"
          aria-label="Archive"
          data-test="archive-file"
          @change="choose"
        />
      </div>
    </div>
    <ShellImporting :progress="progress" :left="left"
      ><v-btn size="small" variant="tonal" data-test="archive-stop" @click="stop">Stop</v-btn></ShellImporting
    >
    <p v-if="problem" class="problem" role="alert" data-test="archive-problem">{{ problem }}</p>
    <p v-if="stopped" role="status">Stopped. Nothing has changed.</p>
    <v-dialog :model-value="asked !== null" max-width="460" @update:model-value="asked = null">
      <v-card v-if="asked" title="Replace everything?">
        <v-card-text>{{ asked.held }}</v-card-text>
        <v-card-actions
          ><v-spacer /><v-btn @click="asked = null">Cancel</v-btn
          ><v-btn color="primary" variant="flat" data-test="archive-confirm" @click="read(asked.file, true)"
            >Replace</v-btn
          ></v-card-actions
        >
      </v-card>
    </v-dialog>
  </section>
</template>

<style scoped>
section {
  padding: 12px 16px;
  display: grid;
  gap: 8px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  justify-content: space-between;
  align-items: start;
}
.head > :first-child {
  flex: 1 1 320px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.problem {
  color: var(--plum);
}
</style>
