<script setup lang="ts">
import { mdiEyeOutline } from '@mdi/js'
import { computed } from 'vue'
import { counted } from '~/composables/figures'
import { RANK_COLUMNS, rankKeys } from '~/composables/rankCells'
import type { RankLine } from '~/stores/ranks'

/** The phrases of a video: where it stands, how that changed, and what it brings; the most valuable first. */
const props = defineProps<{
  lines: readonly RankLine[]
  shown: string
  /** Phrases that are looked up again and again. */
  watched: ReadonlyMap<string, { every: number }>
}>()
const emit = defineEmits<{ show: [phrase: string] }>()
const HEADERS = [{ key: 'phrase', title: 'Phrase', minWidth: 190 }, ...RANK_COLUMNS]
/** The same list each time: another one would take the person's order back. */
const BY_WORTH = [{ key: 'brings', order: 'desc' as const }]
const rows = computed(() => props.lines.map(line => ({ line, phrase: line.phrase, ...rankKeys(line) })))
const watchedSaid = (phrase: string) =>
  `Watched: looked up every ${props.watched.get(phrase)!.every === 1 ? 'day' : counted(props.watched.get(phrase)!.every, 'day')}`
</script>

<template>
  <ShellTable
    :headers="HEADERS"
    :items="rows"
    :sort-by="BY_WORTH"
    item-value="phrase"
    density="compact"
    fixed-header
    no-data-text="There are no phrases yet: put some in the tray, or look one up below."
    aria-label="Ranks by phrase"
    data-test="ranks"
  >
    <template #item="{ item, itemRef }"
      ><tr :ref="itemRef">
        <td>
          <button
            class="plain phrase"
            :aria-pressed="item.phrase === shown"
            :title="item.phrase === shown ? 'Show all curves' : 'Show its curve alone'"
            data-test="rank-row"
            @click="emit('show', item.phrase === shown ? '' : item.phrase)"
          >
            <b class="mark">{{ item.line.mark }}</b>{{ item.phrase }}</button
          ><v-icon
            v-if="watched.has(item.phrase)"
            :icon="mdiEyeOutline"
            size="15"
            class="eye"
            role="img"
            :aria-label="watchedSaid(item.phrase)"
            :title="watchedSaid(item.phrase)"
          />
        </td>
        <RanksCells :line="item.line" /></tr
    ></template>
  </ShellTable>
</template>

<style scoped>
.phrase {
  text-align: left;
  color: inherit;
  min-height: 24px;
}
.phrase[aria-pressed='true'] {
  font-weight: 600;
}
.mark {
  display: inline-block;
  width: 20px;
  color: var(--teal);
}
.eye {
  margin-left: 8px;
  color: var(--muted);
}
:deep(th),
:deep(td) {
  padding: 2px 10px !important;
  border-color: var(--line) !important;
}
:deep(th) {
  font-weight: 600;
  color: var(--muted);
  font-size: 12px;
  background: var(--paper) !important;
}
</style>
