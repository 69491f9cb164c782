<script setup lang="ts">
import type { FittingVideo } from '../../../shared/editMany'

/** How videos would be changed, each to be looked at and left out. */
defineProps<{
  fits: readonly FittingVideo[]
  /** The ids of those left out. */
  left: ReadonlySet<string>
  /** Names each row for tests. */
  named: string
}>()
defineEmits<{ toggle: [videoId: string] }>()
const shown = (value: string | string[]) => (Array.isArray(value) ? value.join('\n') : value)
</script>

<template>
  <div class="list">
    <label v-for="each in fits" :key="each.videoId" class="fit" :data-test="named">
      <input
        type="checkbox"
        :checked="!left.has(each.videoId)"
        :aria-label="each.title"
        @change="$emit('toggle', each.videoId)"
      />
      <span
        ><strong>{{ each.title }}</strong
        ><DeskDifference class="small" :before="shown(each.before)" :after="shown(each.after)" :around="60"
      /></span>
    </label>
    <slot />
  </div>
</template>

<style scoped>
.list {
  flex: 1 1 160px;
  min-height: 120px;
  overflow: auto;
  border-top: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
}
.fit {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr);
  gap: 4px;
  align-items: start;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
@media (max-width: 900px) {
  .list {
    flex: 0 0 auto;
    max-height: 60vh;
  }
}
</style>
