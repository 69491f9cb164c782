<script setup lang="ts">
import { listedOr } from '../../../core/text/inWords'
import type { PhraseSheet } from '../../../shared/phrases'
import { percent } from '~/composables/figures'

/** What the results of a phrase are about. */
defineProps<{ meanings: PhraseSheet['meanings'] }>()
const emit = defineEmits<{ exclude: [words: string] }>()
</script>

<template>
  <section aria-label="What it means">
    <h3>
      {{ meanings.length > 1 ? 'The phrase has more than one meaning' : 'The results are all about one subject' }}
    </h3>
    <ul class="meanings" data-test="meanings">
      <li v-for="meaning in meanings" :key="meaning.ids[0]">
        <span class="bar" :style="{ width: `${meaning.share * 100}%` }" aria-hidden="true" /><strong>{{
          meaning.name.join(', ')
        }}</strong
        >{{ ' ' }}
        <span class="figure muted">{{ percent(meaning.share) }}</span>
        <div class="small muted clip">“{{ meaning.titles[0] }}”</div>
        <button
          v-if="meanings.length > 1"
          class="plain link small"
          :title="`Hide phrases with ${listedOr(meaning.name)}`"
          @click="emit('exclude', meaning.name.join(', '))"
        >
          leave these out
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h3 {
  font-size: 13px;
  margin-bottom: 4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.meanings li {
  position: relative;
  padding: 4px 6px;
  margin-bottom: 3px;
}
.meanings .bar {
  position: absolute;
  inset: 0 auto 0 0;
  background: color-mix(in srgb, var(--teal) 12%, transparent);
  z-index: 0;
}
.meanings li > *:not(.bar) {
  position: relative;
}
.clip {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  display: block;
  max-width: 100%;
}
.link {
  color: var(--teal);
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
