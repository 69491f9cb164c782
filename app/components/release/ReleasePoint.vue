<script setup lang="ts">
import { computed } from 'vue'
import type { ReleasePoint } from '../../../core/release/readiness'
import { POINT_SHAPES } from '~/composables/pointStates'

/** One line of the sheet: its state by shape, what it is, what was found, and what there is to do. */
const props = defineProps<{ point: ReleasePoint }>()
const shape = computed(() => POINT_SHAPES[props.point.state])
/** A question's answer stands beside it; what was found says itself, beside the name where nothing is to be done. */
const said = computed(() => {
  const { state, question, message, group } = props.point
  if (group === 'own' || (question && (state === 'done' || state === 'unanswered'))) return ''
  return message
})
const beside = computed(() => props.point.group === 'seen' && ['done', 'n/a'].includes(props.point.state))
</script>

<template>
  <li
    class="point"
    :class="{ quiet: point.state === 'done' || point.state === 'n/a' }"
    :data-test="`point-${point.id}`"
    :data-state="point.state"
  >
    <slot name="state" /><ShellShape v-if="!$slots.state" class="shape" :state="shape.shape" :label="shape.name" />
    <div class="what">
      <slot name="title"
        ><span class="name">{{ point.title }}</span></slot
      >
      <p v-if="said && !beside" class="small said">{{ said }}</p>
      <slot name="below" />
    </div>
    <span v-if="said && beside" class="small said end" :title="said">{{ said }}</span>
    <slot />
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 18px minmax(min-content, 1fr) minmax(0, auto);
  gap: 2px 8px;
  padding: 5px 0;
  align-items: start;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
.end {
  text-align: end;
  padding-top: 2px;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
</style>
