<script setup lang="ts" generic="Item">
import { computed, useTemplateRef } from 'vue'
import { VVirtualScroll } from 'vuetify/components/VVirtualScroll'
import { inFull } from '~/composables/figures'
import { MOST_ON_PAPER, usePrinting } from '~/composables/printing'

/** Rows of one height that scroll: those that are seen are drawn; on paper all are. */
const props = defineProps<{ items: readonly Item[]; /** In pixels. */ height: number }>()
defineSlots<{ default: (row: { item: Item }) => unknown }>()
const printing = usePrinting()
const onPaper = computed(() => (printing.value ? props.items.slice(0, MOST_ON_PAPER) : []))
const scroll = useTemplateRef<VVirtualScroll>('scroll')
defineExpose({ scrollToIndex: (at: number) => scroll.value?.scrollToIndex(at) })
</script>

<template>
  <div v-if="printing">
    <template v-for="(item, i) in onPaper" :key="i"><slot :item="item" /></template>
    <p v-if="items.length > MOST_ON_PAPER" class="small">
      The first {{ inFull(MOST_ON_PAPER) }} of {{ inFull(items.length) }}.
    </p>
  </div>
  <v-virtual-scroll v-else ref="scroll" :items="items as Item[]" :item-height="height">
    <template #default="{ item }"><slot :item="item" /></template>
  </v-virtual-scroll>
</template>
