<script setup lang="ts">
import { computed } from 'vue'
import { shorterSeeds, splitSeeds } from '../../../core/demand/seeds'
import { listedOr } from '../../../core/text/inWords'
import type { PhrasesAnswer } from '../../../shared/phrases'

/** Phrases that a seed may have meant which hardly any phrase contains, and wider seeds. */
const props = defineProps<{ near: PhrasesAnswer['near']; seed: string }>()
const emit = defineEmits<{ ask: [phrase: string] }>()
/** The seeds that hardly any phrase contains, in words. */
const poor = computed(() =>
  props.near.length ? [...new Set(props.near.map(each => each.seed))] : splitSeeds(props.seed),
)
const seeds = computed(() => listedOr(poor.value.map(each => `“${each}”`)))
const shorter = computed(() => poor.value.flatMap(shorterSeeds))
</script>

<template>
  <section class="sheet near small" aria-label="Near phrases" data-test="near">
    <h2>Few phrases contain {{ seeds }}.{{ near.length ? ' Did you mean:' : '' }}</h2>
    <ul v-if="near.length">
      <li v-for="each in near" :key="each.phrase">
        <button class="plain link" @click="emit('ask', each.phrase)">{{ each.phrase }}</button>{{ ' ' }}
        <span class="muted">{{ each.why }}</span>
      </li>
    </ul>
    <p v-if="shorter.length" data-test="shorter">
      With fewer words:
      <template v-for="(each, i) in shorter" :key="each"
        >{{ i ? ', ' : '' }}<button class="plain link" @click="emit('ask', each)">{{ each }}</button></template
      >
    </p>
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
