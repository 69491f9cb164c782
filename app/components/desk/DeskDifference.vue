<script setup lang="ts">
import { diffLines, diffWordsWithSpace, type Change } from 'diff'
import { computed } from 'vue'

/** A text as it would become: added underlined, removed struck. */
const props = defineProps<{
  before: string
  after: string
  /** Shows of what stays the same so many characters on either side alone. */
  around?: number
}>()
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
/** What stays the same, but for what stands next to a change. */
function shortened({ value, ...part }: Change, isFirst: boolean, isLast: boolean): Change {
  const { around } = props
  if (around === undefined || value.length <= 2 * around + 20) return { ...part, value }
  const [head, tail] = [value.slice(0, around), value.slice(-around)]
  return { ...part, value: isFirst ? `… ${tail}` : isLast ? `${head} …` : `${head} … ${tail}` }
}
const shown = computed(() =>
  parts.value.map((part, i, all) =>
    part.added || part.removed ? part : shortened(part, i === 0, i === all.length - 1),
  ),
)
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
    <template v-for="(part, i) in shown" :key="i"
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
