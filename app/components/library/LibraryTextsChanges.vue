<script setup lang="ts">
import { computed, ref } from 'vue'
import { counted } from '~/composables/figures'
import { pointsText } from '~/composables/points'
import type { TextRow } from '~/stores/manyTexts'
import type { TextChange } from '~/workers/texts.worker'

/** One fix for many texts: what it changes in each, to be taken or left. */
const props = defineProps<{ changes: readonly TextChange[]; rows: readonly TextRow[] }>()
const emit = defineEmits<{ close: []; apply: [changes: TextChange[]] }>()
useFocusBack()
/** So many are drawn; all are taken. */
const DRAWN = 200
const left = ref<number[]>([])
const taken = computed(() => props.changes.filter(change => !left.value.includes(change.at)))
function toggle(at: number) {
  left.value = left.value.includes(at) ? left.value.filter(each => each !== at) : [...left.value, at]
}
const shown = (value: string | string[]) => (Array.isArray(value) ? value.join('\n') : value)
</script>

<template>
  <v-dialog
    :model-value="true"
    max-width="860"
    scrollable
    aria-label="Fix many texts"
    @update:model-value="emit('close')"
  >
    <v-card data-test="changes">
      <v-card-title>{{ counted(changes.length, 'text') }} would change</v-card-title>
      <v-card-text class="list">
        <label v-for="change in changes.slice(0, DRAWN)" :key="change.at" class="change">
          <input type="checkbox" :checked="!left.includes(change.at)" @change="toggle(change.at)" />
          <span>
            <strong>{{ rows[change.at]!.texts.title }}</strong>{{ ' '
            }}<span class="small muted">{{ change.label }}, +{{ pointsText(change.gain) }}</span>
            <DeskDifference :before="shown(change.before)" :after="shown(change.after)" class="small" />
          </span>
        </label>
        <p v-if="changes.length > DRAWN" class="small muted">and {{ counted(changes.length - DRAWN, 'text') }} more.</p>
      </v-card-text>
      <v-card-actions>
        <v-spacer />
        <v-btn @click="emit('close')">Cancel</v-btn>
        <v-btn
          variant="flat"
          color="primary"
          :disabled="!taken.length"
          data-test="changes-apply"
          @click="emit('apply', taken)"
          >Change {{ counted(taken.length, 'text') }}</v-btn
        >
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.list {
  display: grid;
  gap: 10px;
  align-content: start;
}
.change {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr);
  gap: 6px;
  align-items: start;
  border-bottom: 1px solid var(--line);
  padding-bottom: 8px;
}
</style>
