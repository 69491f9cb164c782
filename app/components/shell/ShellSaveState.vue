<script setup lang="ts">
import { computed } from 'vue'
import { useNow } from '@vueuse/core'
import { ago, dateTime } from '~/composables/figures'
import { useBrief } from '~/stores/brief'

const brief = useBrief()
const now = useNow({ interval: 30_000 })
const text = computed(() => {
  if (!brief.brief) return ''
  if (brief.status === 'problem') return 'Not saved'
  if (brief.status !== 'saved') return 'Saving …'
  return brief.savedAt ? `Saved ${ago(brief.savedAt, Math.max(now.value.getTime(), brief.savedAt))}` : 'Saved'
})
</script>

<template>
  <span
    class="state small"
    :class="{ problem: brief.status === 'problem', saved: brief.status === 'saved' }"
    role="status"
    data-test="save-state"
    :title="brief.problem ?? (brief.savedAt ? `Last saved ${dateTime(brief.savedAt)}` : undefined)"
  >
    {{ text }}
    <template v-if="brief.problem">
      · {{ brief.problem }} <button class="plain again" @click="brief.retry()">Try now</button></template
    >
  </span>
</template>

<style scoped>
.state {
  color: var(--muted);
  margin-left: 10px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  max-width: 560px;
}
.problem {
  color: var(--plum);
  font-weight: 600;
}
/* On a phone only what is not saved is worth the room; readers are told either way. */
@media (max-width: 699px) {
  .saved {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
}
.again {
  text-decoration: underline;
}
</style>
