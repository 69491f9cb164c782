<script setup lang="ts">
import { mdiAccountCircleOutline, mdiLogout } from '@mdi/js'
import { ROLE_WORDS } from '~/composables/roles'
import { messageOf } from '~/composables/api'
import { useAccess } from '~/stores/access'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'

/** Who is signed in, and the way out. */
const access = useAccess()
const brief = useBrief()
const notices = useNotices()

async function signOut() {
  try {
    await brief.flush()
    await access.signOut()
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}
</script>

<template>
  <v-menu v-if="access.needed && access.who">
    <template #activator="{ props }"
      ><v-btn
        v-bind="props"
        :icon="mdiAccountCircleOutline"
        :aria-label="`Signed in as ${access.who.name}`"
        data-test="who"
    /></template>
    <v-list role="menu" density="compact" min-width="220">
      <v-list-item role="none" :title="access.who.name" :subtitle="ROLE_WORDS[access.who.role]" />
      <v-divider />
      <v-list-item role="menuitem" :prepend-icon="mdiLogout" title="Sign out" data-test="sign-out" @click="signOut" />
    </v-list>
  </v-menu>
</template>
