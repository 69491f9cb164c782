<script setup lang="ts">
import { computed } from 'vue'
import { sharedStretches } from '../../../../core/draft/copied'
import { cutAtRanges, readText } from '../../../../core/text/match'
import type { RivalRow } from '../../../../shared/rivals'
import { useBrief } from '~/stores/brief'

/** The whole texts of a result: what of them stands in mine, and its tags to take. */
defineProps<{ row: RivalRow }>()
const brief = useBrief()
const fields = computed(() => brief.fields!)
/** The text of a result, cut where a stretch of it stands in my description. */
const withTaken = (text: string) => {
  const { language, description } = fields.value
  const found = sharedStretches(readText(description, language), readText(text, language))
  return cutAtRanges(
    text,
    found.map(({ theirs }) => theirs),
  )
}
const hasTag = (tag: string) => fields.value.tags.includes(tag)
const takeTag = (tag: string) => {
  if (!hasTag(tag)) brief.change(`“${tag}” taken as a tag.`, 'tags', [...fields.value.tags, tag])
}
</script>

<template>
  <div class="full" data-test="seen-full">
    <p class="whole">{{ row.title }}</p>
    <p class="text">
      <template v-if="!row.description">{{
        row.description === null ? 'The description is unknown.' : 'No description.'
      }}</template><template v-for="(part, i) in withTaken(row.description)" v-else :key="i"
        ><mark v-if="part.marked" title="This stands in your description too" data-test="seen-taken">{{
          part.text
        }}</mark
        ><template v-else>{{ part.text }}</template></template
      >
    </p>
    <p v-if="row.tags?.length" class="taken">
      <button
        v-for="tag in row.tags"
        :key="tag"
        class="plain"
        :disabled="hasTag(tag)"
        :title="hasTag(tag) ? 'Among your tags' : 'Take it as a tag'"
        @click="takeTag(tag)"
      >
        {{ tag }}<template v-if="hasTag(tag)"> (taken)</template>
      </button>
    </p>
    <p v-else>{{ row.tags === null ? 'Its tags are unknown.' : 'No tags.' }}</p>
  </div>
</template>

<style scoped>
.full {
  font-size: 13px;
  margin-top: 8px;
  display: grid;
  gap: 6px;
}
.text {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  max-height: 220px;
  overflow-y: auto;
}
mark {
  background: none;
  color: inherit;
  border-bottom: 2px dotted currentcolor;
}
.taken {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  color: var(--soft);
}
</style>
