<script setup lang="ts">
import { mdiCompassOutline } from '@mdi/js'
import type { RouteLocationRaw } from 'vue-router'
import { AREAS } from '~/composables/areas'
import { NEXT } from '~/composables/lastPlace'

/** The areas, at the left of every screen. */
defineProps<{
  /** Whether there is room for their signs alone. */
  phone: boolean
  /** Where an area was last looked at. */
  linkTo: (path: string) => RouteLocationRaw
}>()
const route = useRoute()
</script>

<template>
  <div class="rail" :class="{ phone }">
    <nav aria-label="Areas">
      <div class="mark"><img src="/mark.svg" alt="" width="28" height="28" /><span class="name">Fonetra</span></div>
      <NuxtLink
        :to="linkTo(NEXT)"
        class="area"
        :class="{ here: route.path === NEXT }"
        :aria-current="route.path === NEXT ? 'page' : undefined"
        title="What is worth doing today (g 0)"
        data-test="next"
      >
        <v-icon :icon="mdiCompassOutline" size="20" /><span class="name">What next</span>
      </NuxtLink>
      <NuxtLink
        v-for="(area, i) in AREAS"
        :key="area.path"
        :to="linkTo(area.path)"
        class="area"
        :class="{ here: route.path === area.path }"
        :aria-current="route.path === area.path ? 'page' : undefined"
        :title="`${area.question} (g ${i + 1})`"
      >
        <v-icon :icon="area.icon" size="20" /><span class="name">{{ area.name }}</span>
      </NuxtLink>
    </nav>
  </div>
</template>

<style scoped>
.rail {
  grid-area: rail;
  width: 88px;
  overflow-y: auto;
  background: var(--paper);
  border-right: 1px solid var(--line);
  /* Above the tray where that lies over the screen. */
  position: relative;
  z-index: 1006;
}
.rail.phone {
  width: 52px;
}
.mark {
  display: grid;
  justify-items: center;
  gap: 2px;
  padding: 10px 0 8px;
  font-weight: 600;
  font-size: 12px;
}
.area {
  display: grid;
  justify-items: center;
  gap: 2px;
  padding: 9px 0;
  font-size: 12px;
  color: var(--muted);
  text-decoration: none;
  border-left: 3px solid transparent;
}
.area:hover {
  color: var(--ink);
}
.area.here {
  color: var(--teal);
  border-left-color: var(--teal);
  background: var(--surface);
  font-weight: 600;
}
/* Read out, not drawn. */
.phone .name {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
</style>
