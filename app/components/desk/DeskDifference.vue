<script setup lang="ts">
import { diffLines, diffWordsWithSpace, type Change } from 'diff'
import { computed } from 'vue'

/** A text as it would become: added underlined, removed struck. */
const props = defineProps<{ before: string; after: string }>()
/** Lines with less than this in common are told apart as a whole: word by word they could not be read. */
const ALIKE = 0.5
/** A last line ends as the others do. */
const whole = (text: string) => (text && !text.endsWith('\n') ? `${text}\n` : text)
const length = (changes: readonly Change[]) => changes.reduce((sum, { value }) => sum + value.trim().length, 0)

/** Word by word where two stretches are nearly the same, else one after the other. */
function between(removed: Change, added: Change): Change[] {
  const words = diffWordsWithSpace(removed.value, added.value)
  const same = length(words.filter(part => !part.added && !part.removed))
  return 2 * same >= ALIKE * (length([removed]) + length([added])) ? words : [removed, added]
}
const parts = computed(() => {
  const lines = diffLines(whole(props.before), whole(props.after))
  const found: Change[] = []
  for (let i = 0; i < lines.length; i++) {
    const [line, next] = [lines[i]!, lines[i + 1]]
    if (!line.removed || !next?.added) found.push(line)
    else {
      found.push(...between(line, next))
      i++
    }
  }
  return found
})
</script>

<template>
  <p class="difference">
    <template v-for="(part, i) in parts" :key="i"
      ><ins v-if="part.added">{{ part.value }}</ins
      ><del v-else-if="part.removed">{{ part.value }}</del
      ><template v-else>{{ part.value }}</template></template
    >
  </p>
</template>

<style scoped>
.difference {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
ins {
  text-decoration: underline;
  text-decoration-thickness: 2px;
  text-underline-offset: 3px;
  text-decoration-color: var(--teal);
}
del {
  color: var(--muted);
}
</style>
