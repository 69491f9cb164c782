<script setup lang="ts">
import { mdiContentCopy, mdiKeyPlus, mdiKeyRemove } from '@mdi/js'
import { ref, shallowRef } from 'vue'
import { ROLES, type AccessKey, type NewKey, type Role } from '../../../shared/access'
import { api, messageOf } from '~/composables/api'
import { copyText } from '~/composables/copyText'
import { dateTime } from '~/composables/figures'
import { ROLE_WORDS } from '~/composables/roles'
import { useAccess } from '~/stores/access'
import { useNotices } from '~/stores/notices'

/** Access keys for using this Fonetra over a network: created, shown once, revoked. */
const access = useAccess()
const notices = useNotices()
const keys = shallowRef<AccessKey[] | null>(null)
const problem = ref('')
const busy = ref(false)
const name = ref('')
const role = ref<Role>('editor')
const nameProblem = ref('')
const made = ref<NewKey | null>(null)
const leaving = ref<AccessKey | null>(null)

async function refresh() {
  problem.value = ''
  try {
    keys.value = (await api('GET /api/access')).keys
  } catch (error) {
    problem.value = messageOf(error)
  }
}
void refresh()

async function make() {
  nameProblem.value = name.value.trim() ? '' : 'Enter a name for the key.'
  if (nameProblem.value) return
  busy.value = true
  try {
    made.value = await api('POST /api/access', { body: { name: name.value, role: role.value } })
    name.value = ''
    await refresh()
  } catch (error) {
    nameProblem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}

async function revoke({ id, name: whose }: AccessKey) {
  busy.value = true
  try {
    await api('DELETE /api/access/:id', { params: { id } })
    if (made.value?.id === id) made.value = null
    notices.show(`Key of ${whose} revoked.`)
    await refresh()
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  } finally {
    leaving.value = null
    busy.value = false
  }
}

async function copyKey() {
  await copyText(made.value!.key)
  notices.show('Key copied.')
}
</script>

<template>
  <div class="access">
    <section class="sheet" aria-label="Access keys">
      <div>
        <h2>Access keys</h2>
        <p class="small muted">
          <template v-if="access.needed"
            >Each person signs in with their own key. The history of a text shows who wrote it.</template
          >
          <template v-else
            >Fonetra is only available on this computer, so no key is needed. To share it, create an owner key first,
            then follow docs/network.md.</template
          >
        </p>
      </div>
      <form class="new" data-test="new-key" @submit.prevent="make">
        <v-text-field
          v-model="name"
          label="Name"
          maxlength="60"
          :error-messages="nameProblem ? [nameProblem] : []"
          data-test="key-name"
        />
        <v-select
          v-model="role"
          label="Role"
          :items="ROLES.map(value => ({ value, title: ROLE_WORDS[value] }))"
          data-test="key-role"
        />
        <v-btn type="submit" variant="tonal" :prepend-icon="mdiKeyPlus" :loading="busy" data-test="make-key"
          >Create key</v-btn
        >
      </form>
      <div v-if="made" class="made" role="status" data-test="made-key">
        <p>
          The key of <b>{{ made.name }}</b>. It is shown only once: copy it now.
        </p>
        <code>{{ made.key }}</code><v-btn size="small" :prepend-icon="mdiContentCopy" @click="copyKey">Copy</v-btn>
      </div>
      <div v-if="problem" role="alert">
        <p>{{ problem }}</p>
        <v-btn variant="tonal" @click="refresh">Try again</v-btn>
      </div>
      <v-skeleton-loader v-else-if="!keys" type="list-item@3" />
      <p v-else-if="!keys.length" class="muted">No keys yet.</p>
      <v-table v-else density="compact" class="list">
        <thead>
          <tr>
            <th>Whose</th>
            <th>Role</th>
            <th>Made</th>
            <th>Last used</th>
            <th><span class="unseen">Actions</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="key in keys" :key="key.id" data-test="key">
            <td>{{ key.name }}</td>
            <td>{{ ROLE_WORDS[key.role] }}</td>
            <td class="figure">{{ dateTime(key.createdAt) }}</td>
            <td class="figure">{{ key.usedAt ? dateTime(key.usedAt) : 'never' }}</td>
            <td class="end">
              <v-btn
                size="small"
                :prepend-icon="mdiKeyRemove"
                :disabled="busy"
                :aria-label="`Revoke the key of ${key.name}`"
                data-test="revoke"
                @click="leaving = key"
                >Revoke</v-btn
              >
            </td>
          </tr>
        </tbody>
      </v-table>
    </section>
    <v-dialog :model-value="leaving !== null" max-width="440" @update:model-value="leaving = null">
      <v-card v-if="leaving" :title="`Revoke the key of ${leaving.name}?`">
        <v-card-text
          >Every window signed in with it is signed out immediately. Texts stay. A revoked key cannot be restored, but
          you can create a new one.</v-card-text
        >
        <v-card-actions
          ><v-spacer /><v-btn @click="leaving = null">Cancel</v-btn
          ><v-btn color="primary" variant="flat" :loading="busy" data-test="revoke-confirm" @click="revoke(leaving)"
            >Revoke</v-btn
          ></v-card-actions
        >
      </v-card>
    </v-dialog>
  </div>
</template>

<style scoped>
.access {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
section {
  padding: 12px 16px;
  display: grid;
  gap: 10px;
}
.new {
  display: grid;
  grid-template-columns: minmax(0, 260px) minmax(0, 200px) auto;
  gap: 10px;
  align-items: start;
  justify-content: start;
}
.made {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  padding: 10px 12px;
  border-left: 3px solid var(--teal);
  background: var(--paper);
}
.made p {
  flex-basis: 100%;
}
code {
  font-family: var(--mono, 'IBM Plex Mono', monospace);
  overflow-wrap: anywhere;
  user-select: all;
}
.list {
  max-width: 860px;
}
.end {
  text-align: right;
}
.new .v-btn {
  margin-top: 6px;
}
@media (max-width: 700px) {
  .new {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
