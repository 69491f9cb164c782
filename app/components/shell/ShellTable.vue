<script setup lang="ts" generic="Item">
import { computed, useTemplateRef, type ComponentPublicInstance, type VNodeRef } from 'vue'
import { VDataTable, VDataTableVirtual } from 'vuetify/components/VDataTable'
import { inFull } from '~/composables/figures'
import { MOST_ON_PAPER, usePrinting, useSeenAfterPrinting } from '~/composables/printing'

/** A table that draws the rows that are seen; on paper it draws them all. */
defineProps<{ items: readonly Item[] }>()
/** Held here, so that paper has the order of the screen. */
const sortBy = defineModel<{ key: string; order?: boolean | 'asc' | 'desc' }[]>('sortBy', { default: () => [] })
const slots = defineSlots<
  Record<`item.${string}`, (row: { item: Item }) => unknown> & {
    /** A row of one's own; where its lines may wrap it takes `itemRef`, by which its height is known. */
    'item'?: (row: { item: Item; itemRef?: VNodeRef }) => unknown
    'headers'?: () => unknown
    'no-data'?: () => unknown
  }
>()
/**
 * A row of one line, in pixels. Without it the table would draw twice as many rows as are seen; without a height, as
 * many as fit the window.
 */
const ROW = 36
const printing = usePrinting()
/** Either takes the same columns, rows and slots. */
const table = computed(() => (printing.value ? VDataTable : VDataTableVirtual) as typeof VDataTableVirtual)
const shown = useTemplateRef<ComponentPublicInstance>('shown')
useScrollKept(shown)
useSeenAfterPrinting(() => (shown.value?.$el as HTMLElement | undefined)?.querySelector('.v-table__wrapper'))
const names = Object.keys(slots) as (keyof typeof slots)[]
</script>

<template>
  <component
    :is="table"
    ref="shown"
    v-model:sort-by="sortBy"
    :items="items as Item[]"
    v-bind="printing ? { itemsPerPage: MOST_ON_PAPER, hideDefaultFooter: true } : { itemHeight: ROW, height: '100%' }"
  >
    <template v-for="name in names" :key="name" #[name]="row"
      ><slot :name="name" v-bind="row as { item: Item }"
    /></template>
    <template v-if="printing && items.length > MOST_ON_PAPER" #bottom
      ><p class="small pa-2">The first {{ inFull(MOST_ON_PAPER) }} of {{ inFull(items.length) }}.</p></template
    >
  </component>
</template>
