<script setup lang="ts">
import { ref } from 'vue'
import { api, messageOf } from '~/composables/api'
import { keptWalk } from '~/composables/keptWalk'
import { useAccess } from '~/stores/access'
import { useNotices } from '~/stores/notices'

/** A walk is offered where the services that ship are in use: its phrases are known there. */
const access = useAccess()
const notices = useNotices()
const offered = ref(false)
const busy = ref(false)
if (!access.who || access.owns)
  api('GET /api/services').then(
    ({ use }) => {
      offered.value = use === 'simulated'
    },
    // It is an offer: where nobody can be asked, none is made.
    () => undefined,
  )

async function begin() {
  busy.value = true
  try {
    const { useWalk } = await import('~/stores/walk')
    await useWalk().begin()
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <button
    v-if="offered && !keptWalk"
    class="plain link"
    :disabled="busy"
    title="From a topic to a finished text in seven steps, with a brief of its own that is deleted afterwards"
    data-test="walk-begin"
    @click="begin"
  >
    Walk through the job
  </button>
</template>
