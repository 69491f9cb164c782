<script setup lang="ts">
import { computed } from 'vue'
import { listedOr } from '../../../core/text/inWords'
import type { PhrasesAnswer } from '../../../shared/phrases'

/** Phrases that a seed may have meant which hardly any phrase contains. */
const props = defineProps<{ near: PhrasesAnswer['near'] }>()
const emit = defineEmits<{ ask: [phrase: string] }>()
/** The seeds that hardly any phrase contains, in words. */
const seeds = computed(() => listedOr(new Set(props.near.map(each => `“${each.seed}”`))))
</script>

<template>
  <section class="sheet near small" aria-label="Near phrases" data-test="near">
    <h2>Few phrases contain {{ seeds }}. Did you mean:</h2>
    <ul>
      <li v-for="each in near" :key="each.phrase">
        <button class="plain link" @click="emit('ask', each.phrase)">{{ each.phrase }}</button>{{ ' ' }}
        <span class="muted">{{ each.why }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.near {
  padding: 8px 14px;
}
.near h2 {
  font-size: 13px;
}
.near ul {
  columns: 2 300px;
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
.near li {
  overflow-wrap: anywhere;
  break-inside: avoid;
}
.link {
  color: var(--teal);
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
