<script setup lang="ts">
import {
  mdiArchiveArrowDownOutline,
  mdiArrowDown,
  mdiArrowUp,
  mdiClose,
  mdiDotsVertical,
  mdiStarOutline,
} from '@mdi/js'
import { computed } from 'vue'
import { useTray } from '~/stores/tray'

/** What can be done with a phrase of the tray, wherever it is listed. */
const props = defineProps<{ phrase: string }>()
const tray = useTray()
const support = computed(() => tray.tray.support)
/** Place among the support phrases; −1 for the lead. */
const place = computed(() => support.value.indexOf(props.phrase))
</script>

<template>
  <v-menu>
    <template #activator="{ props: menu }"
      ><v-btn v-bind="menu" size="x-small" :icon="mdiDotsVertical" :aria-label="`More for ${phrase}`"
    /></template>
    <v-list role="menu" density="compact">
      <template v-if="place >= 0">
        <v-list-item role="menuitem" :prepend-icon="mdiStarOutline" title="Make lead" @click="tray.makeLead(phrase)" />
        <v-list-item
          role="menuitem"
          :prepend-icon="mdiArrowUp"
          title="Move up"
          :disabled="place === 0"
          @click="tray.move(phrase, -1)"
        />
        <v-list-item
          role="menuitem"
          :prepend-icon="mdiArrowDown"
          title="Move down"
          :disabled="place === support.length - 1"
          @click="tray.move(phrase, 1)"
        />
      </template>
      <v-list-item
        role="menuitem"
        :prepend-icon="mdiArchiveArrowDownOutline"
        title="Set aside"
        @click="tray.setAside([phrase])"
      />
      <v-list-item role="menuitem" :prepend-icon="mdiClose" title="Remove" @click="tray.remove(phrase)" />
    </v-list>
  </v-menu>
</template>
