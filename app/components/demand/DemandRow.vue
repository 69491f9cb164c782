<script setup lang="ts">
import { mdiChevronRight } from '@mdi/js'
import type { PhraseRow } from '../../../shared/phrases'
import type { Perspective } from '~/stores/workspace'

/** One phrase. It is drawn anew only when something of its own changes, whatever happens to the table around it. */
defineProps<{
  row: PhraseRow
  /** Its number among the rows. */
  place: number
  picked: boolean
  /** Whether its sheet is open. */
  opened: boolean
  standing: 'lead' | 'support' | 'aside' | null
  tabIndex: number
  seedWords: ReadonlySet<string>
  columns: ReadonlySet<string>
  perspective: Perspective
  narrow: boolean
  assessing: boolean
}>()
const emit = defineEmits<{
  pick: [phrase: string, event: MouseEvent]
  enter: [phrase: string]
  key: [event: KeyboardEvent]
  seed: [phrase: string]
  worth: [phrase: string]
  open: [phrase: string]
}>()
</script>

<template>
  <tr
    :class="{ picked, aside: standing === 'aside', opened }"
    data-test="phrase-row"
    :data-row="place"
    :aria-rowindex="place + 2"
    @focusin="emit('enter', row.phrase)"
    @keydown="emit('key', $event)"
    @dblclick="emit('open', row.phrase)"
  >
    <td class="pick">
      <input
        type="checkbox"
        :checked="picked"
        :aria-label="`Select ${row.phrase}`"
        :tabindex="tabIndex"
        data-stop="pick"
        @click="emit('pick', row.phrase, $event)"
      />
    </td>
    <td class="phrase">
      <DemandPhraseCell :row :seed-words :standing :tab-index="tabIndex" @seed="emit('seed', row.phrase)" />
    </td>
    <DemandFigureCells
      :row
      :columns
      :perspective
      :narrow
      :assessing
      :tab-index="tabIndex"
      @worth="emit('worth', row.phrase)"
    />
    <td class="center">
      <button
        class="plain sheet-button"
        :tabindex="tabIndex"
        data-stop="open"
        :aria-label="`Sheet of ${row.phrase}`"
        :aria-expanded="opened"
        title="Open its sheet"
        @click="emit('open', row.phrase)"
      >
        <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiChevronRight" /></svg>
      </button>
    </td>
  </tr>
</template>

<style scoped>
.sheet-button {
  color: var(--muted);
}
/* Drawn here: rows are made anew as the table scrolls, and this is a component less in each. */
.sheet-button svg {
  display: inline-block;
  width: 18px;
  height: 18px;
  fill: currentColor;
  vertical-align: middle;
}
</style>
