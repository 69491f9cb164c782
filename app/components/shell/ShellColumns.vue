<script setup lang="ts" generic="Column extends string">
import { computed } from 'vue'

/** Columns of a file that are matched by hand: how it begins, and a choice for each meaning. */
const props = defineProps<{
  headers: readonly string[]
  sample: readonly (readonly string[])[]
  columns: readonly Column[]
  names: Record<Column, string>
}>()
const mapped = defineModel<Partial<Record<Column, number>>>({ required: true })
/** What stands for a column that the file does not have. */
const NONE = -1
const choices = computed(() => [
  { title: '(not in the file)', value: NONE },
  ...props.headers.map((header, i) => ({ title: header || `column ${i + 1}`, value: i })),
])
function match(column: Column, index: number) {
  const others = Object.entries(mapped.value).filter(([key]) => key !== column)
  mapped.value = Object.fromEntries(index === NONE ? others : [...others, [column, index]]) as typeof mapped.value
}
</script>

<template>
  <div>
    <table class="mb-3 small">
      <thead>
        <tr>
          <th v-for="(header, i) in headers" :key="i">{{ header || `column ${i + 1}` }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(line, i) in sample.slice(0, 3)" :key="i">
          <td v-for="(_, k) in headers" :key="k">{{ line[k] }}</td>
        </tr>
      </tbody>
    </table>
    <div class="map">
      <v-select
        v-for="column in columns"
        :key="column"
        :model-value="mapped[column] ?? NONE"
        :items="choices"
        :label="names[column]"
        :data-test="`map-${column}`"
        @update:model-value="match(column, $event)"
      />
    </div>
  </div>
</template>

<style scoped>
.map {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 10px;
}
table {
  border-collapse: collapse;
  width: 100%;
  display: block;
  overflow-x: auto;
}
th,
td {
  border: 1px solid var(--line);
  padding: 3px 7px;
  text-align: start;
  max-width: 200px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
