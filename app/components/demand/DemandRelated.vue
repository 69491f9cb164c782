<script setup lang="ts">
import type { PhraseSheet } from '../../../shared/phrases'
import { percentChange, rounded } from '~/composables/figures'

/** Phrases beside this one: those nearest to it, and those that rise. */
defineProps<{ sheet: PhraseSheet }>()
const emit = defineEmits<{ open: [phrase: string] }>()
</script>

<template>
  <section aria-label="Related and rising" class="two">
    <div>
      <h3>Related</h3>
      <ul>
        <li v-for="row in sheet.related" :key="row.phrase">
          <button class="plain clip" @click="emit('open', row.phrase)">{{ row.phrase }}</button><span
            class="figure small"
            >{{ rounded(row.volume) }}</span
          >
        </li>
      </ul>
    </div>
    <div>
      <h3>Rising</h3>
      <ul>
        <li v-for="row in sheet.rising" :key="row.phrase">
          <button class="plain clip" @click="emit('open', row.phrase)">{{ row.phrase }}</button><span
            class="figure small"
            >{{ percentChange(row.change) }}</span
          >
        </li>
      </ul>
      <p v-if="!sheet.rising.length" class="muted small">Nothing is rising.</p>
    </div>
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
.clip {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  display: block;
  max-width: 100%;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
}
.two > div {
  min-width: 0;
}
.two li {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  padding: 2px 0;
}
.two button {
  min-width: 0;
}
.two .figure {
  white-space: nowrap;
}
</style>
