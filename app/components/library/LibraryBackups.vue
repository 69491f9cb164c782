<script setup lang="ts">
import { mdiBackupRestore, mdiContentSaveOutline } from '@mdi/js'
import { ref, shallowRef } from 'vue'
import type { Backup, BackupKind, BackupsAnswer } from '../../../shared/backups'
import { api, messageOf } from '~/composables/api'
import { counted, dateTime, fileSize, inFull } from '~/composables/figures'
import { useNotices } from '~/stores/notices'

/** The backups of the data file: made, listed and restored, also while the file itself cannot be opened. */
const { closed = false } = defineProps<{ closed?: boolean }>()
const KINDS: Record<BackupKind, string> = {
  'daily': 'daily',
  'by-hand': 'made by hand',
  'before-update': 'before an update',
  'before-restore': 'before a restore',
}
const notices = useNotices()
const answer = shallowRef<BackupsAnswer | null>(null)
const problem = ref('')
const { busy, act } = useBusyMutation()
const chosen = ref<Backup | null>(null)

async function refresh() {
  problem.value = ''
  try {
    answer.value = await api('GET /api/data')
  } catch (error) {
    problem.value = messageOf(error)
  }
}
void refresh()

const make = () =>
  act(async () => {
    const { bytes } = await api('POST /api/data/backups')
    await refresh()
    notices.show(`Backup made (${fileSize(bytes)}).`)
  })
const restore = (backup: Backup) =>
  act(async () => {
    await api('POST /api/data/restore', { body: { name: backup.name } })
    // Nothing of what stands on the screen is true any more.
    location.reload()
  })
</script>

<template>
  <section class="sheet" aria-label="Backups">
    <div class="head">
      <div>
        <h2>Backups</h2>
        <p class="small muted">
          A copy of all data, made daily and before each update. The newest seven of each kind are kept.
        </p>
      </div>
      <v-btn
        v-if="!closed"
        variant="tonal"
        :prepend-icon="mdiContentSaveOutline"
        :loading="busy"
        data-test="backup-now"
        @click="make"
        >Back up now</v-btn
      >
    </div>
    <div v-if="problem" role="alert">
      <p>{{ problem }}</p>
      <v-btn variant="tonal" @click="refresh">Try again</v-btn>
    </div>
    <v-skeleton-loader v-else-if="!answer" type="list-item@3" />
    <template v-else>
      <p v-if="!closed" class="small">
        The data file <span class="figure">{{ answer.file }}</span> takes
        <span class="figure" :title="inFull(answer.bytes, 'bytes')">{{ fileSize(answer.bytes) }}</span>.
        <template v-if="answer.pictures.count"
          >{{ counted(answer.pictures.count, 'picture') }} beside it:
          <span class="figure">{{ fileSize(answer.pictures.bytes) }}</span>, in the folder <code>pictures</code>. Copy
          it too when you move the data.</template
        >
      </p>
      <p v-if="answer.problem && !closed" class="problem small" role="alert">{{ answer.problem }}</p>
      <p v-if="!answer.backups.length" class="muted">No backups yet.</p>
      <v-table v-else density="compact" class="list">
        <thead>
          <tr>
            <th>Made</th>
            <th>Why</th>
            <th class="end">Size</th>
            <th><span class="unseen">Actions</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="backup in answer.backups" :key="backup.name" data-test="backup">
            <td class="figure">{{ dateTime(backup.at) }}</td>
            <td>{{ KINDS[backup.kind] }}</td>
            <td class="figure end" :title="inFull(backup.bytes, 'bytes')">{{ fileSize(backup.bytes) }}</td>
            <td class="end">
              <v-btn
                size="small"
                :prepend-icon="mdiBackupRestore"
                :disabled="busy"
                :aria-label="`Restore the backup of ${dateTime(backup.at)}`"
                data-test="backup-restore"
                @click="chosen = backup"
                >Restore</v-btn
              >
            </td>
          </tr>
        </tbody>
      </v-table>
    </template>
    <v-dialog :model-value="chosen !== null" max-width="460" @update:model-value="chosen = null">
      <v-card v-if="chosen" title="Restore this backup?">
        <v-card-text
          >All data goes back to {{ dateTime(chosen.at) }}. The current data is saved as a backup first, so you can undo
          this.</v-card-text
        >
        <v-card-actions
          ><v-spacer /><v-btn @click="chosen = null">Cancel</v-btn
          ><v-btn color="primary" variant="flat" :loading="busy" data-test="backup-confirm" @click="restore(chosen)"
            >Restore</v-btn
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
  gap: 16px;
  justify-content: space-between;
  align-items: start;
}
.list {
  max-width: 720px;
}
.end {
  text-align: right;
}
.problem {
  color: var(--plum);
}
</style>
