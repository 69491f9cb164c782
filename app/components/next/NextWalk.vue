<script setup lang="ts">
import { ref } from 'vue'
import { api, messageOf } from '~/composables/api'
import { useAccess } from '~/stores/access'
import { useNotices } from '~/stores/notices'
import { useWalk } from '~/stores/walk'

/** A walk is offered where the services that ship are in use: its phrases are known there. */
const access = useAccess()
const walk = useWalk()
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
    await walk.begin()
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <button
    v-if="offered && !walk.walk"
    class="plain link"
    :disabled="busy"
    title="From a topic to a finished text in seven steps, with a brief of its own that is deleted afterwards"
    data-test="walk-begin"
    @click="begin"
  >
    Walk through the job
  </button>
</template>
