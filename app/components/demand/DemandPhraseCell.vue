<script setup lang="ts">
import { computed } from 'vue'
import { words } from '../../../core/text/words'
import type { PhraseRow } from '../../../shared/phrases'

/** The phrase of one row: what it adds to the seed, what brought it, and where it is in the tray. */
const props = defineProps<{
  row: PhraseRow
  /** The words of the seed, by which they are found. */
  seedWords: ReadonlySet<string>
  standing: 'lead' | 'support' | 'aside' | null
  tabIndex: number
}>()
const emit = defineEmits<{ seed: [] }>()

/** The phrase cut into the seed's own words, which are dimmed, and what it adds. */
const parts = computed(() => {
  const { phrase } = props.row
  const cut: { text: string; dim: boolean }[] = []
  let at = 0
  for (const word of words(phrase)) {
    if (!props.seedWords.has(word.norm)) continue
    if (word.start > at) cut.push({ text: phrase.slice(at, word.start), dim: false })
    cut.push({ text: phrase.slice(word.start, word.end), dim: true })
    at = word.end
  }
  if (at < phrase.length) cut.push({ text: phrase.slice(at), dim: false })
  return cut
})
</script>

<template>
  <div class="phrase" :class="{ aside: standing === 'aside' }">
    <button
      class="plain"
      :title="`${row.phrase}: make it the seed`"
      :tabindex="tabIndex"
      data-stop="seed"
      @click="emit('seed')"
    >
      <span v-for="(part, i) in parts" :key="i" :class="{ dim: part.dim }">{{ part.text }}</span>
    </button>
    <span
      v-if="row.seeds"
      class="seeds small muted"
      :title="`Found by ${row.seeds.map(each => `“${each}”`).join(', ')}`"
      >{{ row.seeds.join(' + ') }}</span
    >
    <span
      v-if="row.readAs"
      class="tag small cut"
      :title="`The site shows the results for “${row.readAs}”, which more people search for`"
      >read as {{ row.readAs }}</span
    >
    <span v-if="standing" class="tag small">{{ standing === 'aside' ? 'set aside' : standing }}</span>
  </div>
</template>

<style scoped>
.phrase {
  display: flex;
  align-items: center;
  min-width: 0;
}
.phrase button {
  min-width: 0;
  overflow: clip;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.tag {
  flex: none;
}
.phrase button {
  flex: 0 1 auto;
}
.cut {
  flex: 0 10 auto;
  min-width: 56px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.seeds {
  flex: 0 10 auto;
  min-width: 24px;
  max-width: 45%;
  margin-left: 8px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.dim {
  color: var(--muted);
}
.aside button {
  text-decoration: line-through;
  color: var(--muted);
}
.tag {
  margin-left: 6px;
  padding: 0 5px;
  border: 1px solid var(--line);
  border-radius: 8px;
  color: var(--muted);
}
</style>
