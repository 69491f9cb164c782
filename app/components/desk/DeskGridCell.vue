<script setup lang="ts">
import type { Fix, PlaceId, Placement } from '../../../core/draft/draft'

/** How a phrase stands in a place, and what can be done about it. */
export interface GridCell {
  place: { id: PlaceId; short: string; name: string }
  placement: Placement | undefined
  state: 'met' | 'partly' | 'missing' | 'n/a'
  /** What would put it there; `null` where nothing can, or need be. */
  insertion: Fix | null
  label: string
}

/** One cell of the grid, drawn anew only when something of its own changes, whatever is typed. */
defineProps<{
  cell: GridCell
  /** What an insertion brings under the rule set. */
  gainOf: (fix: Fix) => Promise<number>
}>()
const emit = defineEmits<{ show: [placement: Placement]; insert: [insertion: Fix] }>()
</script>

<template>
  <td>
    <button
      v-if="cell.placement && cell.state !== 'missing'"
      class="cell"
      :class="cell.state"
      :title="`${cell.label}. Click to go there.`"
      @click="emit('show', cell.placement)"
    >
      <ShellShape :state="cell.state" :label="cell.label" />
    </button>
    <DeskGridInsertion
      v-else-if="cell.insertion"
      v-slot="{ menu }"
      :insertion="cell.insertion"
      :gain-of="gainOf"
      :has-part="cell.placement?.grade === 'fragment'"
      @insert="emit('insert', cell.insertion)"
      @show="emit('show', cell.placement!)"
    >
      <button v-bind="menu" class="cell missing" :title="`${cell.label}. Click to add it.`">
        <ShellShape :state="cell.state" :label="cell.label" />
      </button>
    </DeskGridInsertion>
    <span v-else class="cell" :class="cell.state === 'missing' ? 'missing' : 'none'" :title="cell.label"
      ><ShellShape :state="cell.state" :label="cell.label"
    /></span>
  </td>
</template>

<style scoped>
.cell {
  display: inline-grid;
  place-items: center;
  width: 100%;
  height: 24px;
  color: var(--teal);
  background: none;
  border: 0;
}
button.cell {
  cursor: pointer;
}
button.cell:hover {
  background: color-mix(in srgb, var(--teal) 12%, transparent);
}
.missing {
  color: var(--muted);
}
.none {
  color: color-mix(in srgb, var(--muted) 70%, transparent);
}
</style>
