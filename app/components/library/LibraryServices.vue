<script setup lang="ts">
import { ref } from 'vue'
import type { LiveService } from '../../../shared/services'
import { api, messageOf } from '~/composables/api'
import { useNotices } from '~/stores/notices'

const emit = defineEmits<{ changed: [] }>()
const notices = useNotices()
const live = ref<LiveService | null>(null)
const address = ref('')
const key = ref('')
const problem = ref('')
const busy = ref(false)

async function refresh() {
  try {
    live.value = (await api('GET /api/services')).live
    // What is being typed stays.
    address.value ||= live.value?.address ?? ''
  } catch (error) {
    problem.value = messageOf(error)
  }
}
void refresh()

async function attach(to: string | null) {
  busy.value = true
  problem.value = ''
  try {
    live.value = (
      await api('PUT /api/services', {
        body: { address: to, ...(key.value ? { key: key.value } : {}) },
      })
    ).live
    key.value = ''
    emit('changed')
    notices.show(to === null ? 'Using the simulated services.' : 'Connected. This service is used from now on.')
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section class="sheet" aria-label="Live service">
    <h2>Live service</h2>
    <p class="small muted">
      {{
        live
          ? `In use: ${live.address}${live.hasKey ? ', with a key' : ''}.`
          : 'The simulated services that ship with Fonetra are in use.'
      }}
      Any server that speaks the contract of docs/services.md can take their place.
    </p>
    <form class="row" @submit.prevent="attach(address.trim())">
      <v-text-field
        v-model="address"
        label="Address"
        class="address"
        placeholder="https://…"
        persistent-placeholder
        maxlength="500"
        :error-messages="problem"
        data-test="service-address"
      />
      <v-text-field
        v-model="key"
        label="Key"
        type="password"
        autocomplete="off"
        maxlength="500"
        :placeholder="live?.hasKey ? 'saved; type to replace it' : 'none'"
        persistent-placeholder
        hide-details
        class="key"
        data-test="service-key"
      />
      <v-btn type="submit" variant="tonal" :loading="busy" :disabled="!address.trim()" data-test="service-attach"
        >Test and connect</v-btn
      >
      <v-btn v-if="live" :disabled="busy" data-test="service-detach" @click="attach(null)"
        >Use the simulated services</v-btn
      >
    </form>
  </section>
</template>

<style scoped>
section {
  padding: 12px 16px;
  display: grid;
  gap: 8px;
}
.row {
  display: flex;
  gap: 10px;
  align-items: flex-start;
  width: 100%;
}
.address {
  flex: 1 1 260px;
}
.key {
  flex: 0 0 220px;
}
</style>
