<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { SheetQuestion } from '../../../core/release/sheet'
import { answerInWords, sheetSchema } from '../../../core/release/sheet'
import type { Proposed } from '../../../core/release/proposed'
import type { UsualAnswer } from '../../../core/release/usual'

type Value = string | boolean | null
/** A question of the sheet with its answers; choosing the chosen one again takes it back. */
const props = defineProps<{
  question: SheetQuestion
  usual: UsualAnswer | null
  /** What most of the lead’s page say. */
  proposed?: Proposed | null
  label: string
}>()
const value = defineModel<Value>({ required: true })
const usualWords = computed(() => (props.usual ? answerInWords(props.question, props.usual.value) : null))
const written = ref(typeof value.value === 'string' ? value.value : '')
const fault = ref('')
watch(value, now => {
  written.value = typeof now === 'string' ? now : ''
  fault.value = ''
})
/** What is written is taken when it is left. */
function take() {
  const text = written.value.trim()
  if (text === (value.value ?? '')) return
  const { success, error } = sheetSchema.shape[props.question.id].safeParse(text === '' ? null : text)
  fault.value = success ? '' : error.issues[0]!.message
  if (success) value.value = text === '' ? null : text
}
</script>

<template>
  <div class="answer">
    <span v-if="usual && value === null" class="small usual"
      ><button
        class="plain link"
        :title="`Answered so ${usual.times} times of late`"
        :data-test="`usual-${question.id}`"
        @click="value = usual.value"
      >
        Usually {{ usualWords }}
      </button></span
    >
    <span v-if="proposed && value === null && proposed.value !== usual?.value" class="small usual"
      ><button
        class="plain link"
        :title="`${proposed.times} of ${proposed.of} videos on the lead’s page are in this category`"
        :data-test="`proposed-${question.id}`"
        @click="value = proposed.value"
      >
        Rivals use {{ proposed.value }}
      </button></span
    >
    <template v-if="typeof question.answer === 'string'"
      ><v-text-field
        v-model="written"
        :type="question.answer === 'date' ? 'date' : 'text'"
        density="compact"
        variant="underlined"
        :hide-details="!fault"
        :error-messages="fault"
        class="text"
        :aria-label="label"
        :data-test="`answer-${question.id}`"
        @blur="take"
        @keydown.enter="take"
      /><v-btn
        size="x-small"
        variant="outlined"
        :color="value === '' ? 'primary' : undefined"
        :aria-pressed="value === ''"
        :data-test="`left-out-${question.id}`"
        @click="value = value === '' ? null : ''"
        >{{ question.leftOut }}</v-btn
      ></template
    >
    <v-btn-toggle
      v-else
      :model-value="value"
      density="compact"
      variant="outlined"
      divided
      class="choices"
      :aria-label="label"
      @update:model-value="value = $event ?? null"
      ><v-btn
        v-for="each in question.answer"
        :key="String(each.value)"
        :value="each.value"
        :aria-pressed="value === each.value"
        size="x-small"
        :data-test="`answer-${question.id}-${each.value}`"
        >{{ each.label }}</v-btn
      ></v-btn-toggle
    >
  </div>
</template>

<style scoped>
.answer {
  display: flex;
  align-items: center;
  justify-content: flex-end;
  flex-wrap: wrap;
  gap: 4px 8px;
}
.choices,
.answer .v-btn {
  height: 24px !important;
}
.usual button {
  color: var(--teal);
}
.text {
  width: 144px;
  flex: none;
}
.text :deep(.v-field__input) {
  min-height: 26px;
  padding: 2px 0;
}
</style>
