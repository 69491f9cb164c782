<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ServicesInUse, ServiceUse } from '../../../shared/services'
import { api, messageOf } from '~/composables/api'
import { useNotices } from '~/stores/notices'

const emit = defineEmits<{ changed: [] }>()
const notices = useNotices()
const inUse = ref<ServicesInUse | null>(null)
const live = computed(() => inUse.value?.live ?? null)
const address = ref('')
const key = ref('')
const problem = ref('')
const busy = ref(false)

async function refresh() {
  try {
    inUse.value = await api('GET /api/services')
    // What is being typed stays.
    address.value ||= live.value?.address ?? ''
  } catch (error) {
    problem.value = messageOf(error)
  }
}
void refresh()

const SAID = {
  simulated: 'Using the simulated services.',
  live: 'Connected. This service is used from now on.',
  none: 'No service is asked from now on: only your own data is used.',
}
async function choose(use: ServiceUse) {
  busy.value = true
  problem.value = ''
  try {
    inUse.value = await api('PUT /api/services', {
      body: {
        use,
        address: use === 'live' ? address.value.trim() : null,
        ...(use === 'live' && key.value ? { key: key.value } : {}),
      },
    })
    key.value = ''
    emit('changed')
    notices.show(SAID[use])
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section class="sheet" aria-label="Services">
    <h2>Services</h2>
    <p class="small muted" data-test="services-in-use">
      {{
        live
          ? `In use: ${live.address}${live.hasKey ? ', with a key' : ''}.`
          : inUse?.use === 'none'
            ? 'None is asked: figures, result pages and channels are those you import or type.'
            : 'The simulated services that ship with Fonetra are in use: an invented world to try things out in.'
      }}
      Any server that speaks the contract of docs/services.md can be asked instead.
    </p>
    <div class="row">
      <v-btn
        v-if="inUse && inUse.use !== 'none'"
        variant="tonal"
        :disabled="busy"
        data-test="service-none"
        @click="choose('none')"
        >Use only my own data</v-btn
      >
      <v-btn
        v-if="inUse && inUse.use !== 'simulated'"
        variant="tonal"
        :disabled="busy"
        data-test="service-detach"
        @click="choose('simulated')"
        >Use the simulated services</v-btn
      >
    </div>
    <form class="row" @submit.prevent="choose('live')">
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
