<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Localised } from '../../../../core/brief/items/localised'
import { localisedPhrases } from '../../../../core/brief/items/localised'
import { gapsOf } from '../../../../core/descriptions/gaps'
import { splitTags } from '../../../../core/draft/limits'
import type { Scored } from '~/workers/score.worker'
import { counted } from '~/composables/figures'
import { languageName } from '~/composables/languages'
import type { Revised } from '~/composables/savedItem'
import { useBrief } from '~/stores/brief'
import { useLocalised } from '~/stores/localised'

/** Title, description and tags in another language. */
const props = defineProps<{ text: Revised<Localised>; scored: Scored | null }>()
const brief = useBrief()
const localised = useLocalised()
const fields = computed(() => brief.fields!)
const name = computed(() => languageName(props.text.language))
const phrases = computed(() => {
  const { lead, support } = localisedPhrases(props.text)
  return [...(lead ? [lead] : []), ...support]
})
const counts = computed(() => props.scored?.score.counts)
const gaps = computed(() => gapsOf(`${props.text.title}\n${props.text.description}`).length)

const { translate, busy, may } = useTranslation(
  computed(() => fields.value.language),
  computed(() => props.text.language),
)
const FIELDS = { title: 'Title', description: 'Description' } as const
/** Only what is empty is filled: a dictionary's words never take the place of a person's. */
async function fill(field: keyof typeof FIELDS) {
  const of = props.text.id
  const found = await translate([fields.value[field]])
  // The translation of another text than the one shown is nobody's.
  if (found && of === localised.open?.id)
    await localised.change(`${FIELDS[field]} translated; read it over.`, { [field]: found[0]! })
}
const tagText = ref<string | null>(null)
function setTags(text: string) {
  localised.set({ tags: splitTags(text) })
}
</script>

<template>
  <div class="texts">
    <DeskSettle
      v-if="localised.theirs"
      :said="`These texts were changed in another window, to “${localised.theirs.title || 'no title'}”.`"
      data-test="localised-conflict"
      @settle="localised.settle($event)"
    />
    <section :aria-label="`Title in ${name}`">
      <div class="head">
        <h2>Title</h2>
        <DeskTally :tally="counts?.title" />
        <v-spacer />
        <DeskSaving :state="localised.saving" data-test="localised-saved" @retry="localised.flush()" />
        <v-btn
          v-if="may && fields.title && !text.title.trim()"
          size="x-small"
          variant="tonal"
          :loading="busy"
          data-test="translate-title"
          @click="fill('title')"
          >Translate</v-btn
        >
      </div>
      <DeskText
        :key="`title-${text.id}`"
        :model-value="text.title"
        :label="`Title in ${name}`"
        single-line
        :hint="fields.title"
        :underlines="scored?.title ?? []"
        :phrases="phrases"
        :marks="[]"
        data-test="localised-title"
        @update:model-value="localised.set({ title: $event })"
      />
    </section>
    <section class="body" :aria-label="`Description in ${name}`">
      <div class="head">
        <h2>Description</h2>
        <DeskTally :tally="counts?.description" unit />
        <span v-if="gaps" class="small gaps" data-test="localised-gaps"
          >{{ counted(gaps, 'word') }} left to translate</span
        >
        <v-spacer />
        <v-btn
          v-if="may && fields.description && !text.description.trim()"
          size="x-small"
          variant="tonal"
          :loading="busy"
          data-test="translate-description"
          @click="fill('description')"
          >Translate</v-btn
        >
      </div>
      <DeskText
        :key="`text-${text.id}`"
        class="long"
        :model-value="text.description"
        :label="`Description in ${name}`"
        :hint="fields.description.slice(0, 200)"
        :underlines="scored?.description ?? []"
        :phrases="phrases"
        :marks="[]"
        data-test="localised-description"
        @update:model-value="localised.set({ description: $event })"
      />
    </section>
    <v-textarea
      :model-value="tagText ?? text.tags.join(', ')"
      :label="`Tags in ${name}, separated by commas${counts ? `; ${counts.tags.used} of ${counts.tags.limit}` : ''}`"
      dir="auto"
      rows="2"
      no-resize
      hide-details
      class="tags"
      data-test="localised-tags"
      @focus="tagText = text.tags.join(', ')"
      @blur="tagText = null"
      @update:model-value="
        (value: string) => {
          tagText = value
          setTags(value)
        }
      "
    />
  </div>
</template>

<style scoped>
.texts {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-height: 0;
}
.head {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 28px;
}
.body {
  display: flex;
  flex-direction: column;
  min-height: 120px;
  flex: 1;
}
.long {
  flex: 1;
}
.gaps {
  color: var(--plum);
}
.tags {
  flex: none;
}
</style>
