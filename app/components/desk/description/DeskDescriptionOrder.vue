<script setup lang="ts">
import { computed } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import { DESCRIPTION_PARTS, type DescriptionPart } from '../../../../core/descriptions/compose'

/** In which order a composed description has its parts; those switched off are left out. */
const order = defineModel<DescriptionPart[]>({ required: true })
const NAMES: Record<DescriptionPart, string> = {
  opening: 'Opening with the lead',
  benefits: 'What the viewer gets',
  phrases: 'Support phrases',
  sections: 'Sections',
  question: 'Question',
  request: 'Call to act',
  links: 'Links',
  contact: 'Contact',
  chapters: 'Chapters',
  hashtags: 'Hashtags',
}
const parts = computed({
  get: () => [
    ...order.value.map(part => ({ part, on: true })),
    ...DESCRIPTION_PARTS.filter(part => !order.value.includes(part)).map(part => ({ part, on: false })),
  ],
  set: list => {
    order.value = list.filter(each => each.on).map(each => each.part)
  },
})
function move(at: number, by: number) {
  const list = [...order.value]
  if (at + by < 0 || at + by >= list.length) return
  list.splice(at + by, 0, ...list.splice(at, 1))
  order.value = list
}
function toggle(part: DescriptionPart) {
  order.value = order.value.includes(part) ? order.value.filter(each => each !== part) : [...order.value, part]
}
</script>

<template>
  <VueDraggable v-model="parts" tag="ol" :animation="120" handle=".name">
    <li v-for="({ part, on }, i) in parts" :key="part" data-test="part">
      <input
        type="checkbox"
        :checked="on"
        :aria-label="NAMES[part]"
        :disabled="on && order.length === 1"
        @change="toggle(part)"
      />
      <button
        class="plain name"
        :class="{ muted: !on }"
        :disabled="!on"
        title="Drag, or move with the arrow keys"
        @keydown.up.prevent="move(i, -1)"
        @keydown.down.prevent="move(i, 1)"
      >
        {{ NAMES[part] }}
      </button>
    </li>
  </VueDraggable>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 4px 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
li {
  display: flex;
  gap: 6px;
  align-items: center;
}
.name:not(:disabled) {
  cursor: grab;
}
</style>
