<script setup lang="ts">
import { computed } from 'vue'
import type { PhraseSheet } from '../../../shared/phrases'
import { chanceText, inFull, rounded, roundedRatio, sourceText, UNKNOWN } from '~/composables/figures'
import { useWorkspace } from '~/stores/workspace'

/** The figures by which a phrase is chosen. */
const props = defineProps<{ sheet: PhraseSheet }>()
const emit = defineEmits<{ worth: [] }>()
const workspace = useWorkspace()
const detail = computed(() => props.sheet.detail)
const worth = computed(() => detail.value.worth[workspace.perspective])
</script>

<template>
  <dl class="figures">
    <div>
      <dt>Searches</dt>
      <dd class="figure" :title="`${inFull(detail.volume, 'a month')}${sourceText(detail.source, detail.at)}`">
        {{ rounded(detail.volume) }}
      </dd>
    </div>
    <div>
      <dt>Difficulty</dt>
      <dd class="figure" :title="inFull(detail.difficulty)">
        {{ detail.difficulty === null ? UNKNOWN : Math.round(detail.difficulty) }}
        <small v-if="detail.difficulty !== null">{{ hardness(detail, workspace.perspective) }}</small><small
          v-else-if="detail.results === 0"
          >no results</small
        >
      </dd>
    </div>
    <div v-if="workspace.perspective === 'channel'">
      <dt title="An estimate, from the first 20 results">My chance</dt>
      <dd class="figure">{{ detail.chance === null ? UNKNOWN : chanceText(detail.chance) }}</dd>
    </div>
    <div>
      <dt>Worth</dt>
      <dd>
        <button class="plain worth figure" title="Show how it is calculated" @click="emit('worth')">
          {{ worth === null ? UNKNOWN : Math.round(worth) }}</button>{{ ' ' }}
        <small v-if="worth !== null">{{ worthWord(detail, workspace.perspective) }}</small>
      </dd>
    </div>
    <div>
      <dt title="Videos with the phrase in their title, per thousand monthly searches">Rivals per 1,000</dt>
      <dd class="figure" :title="inFull(sheet.competitionPerThousand)">
        {{ sheet.competitionPerThousand === null ? UNKNOWN : roundedRatio(sheet.competitionPerThousand) }}
      </dd>
    </div>
  </dl>
</template>

<style scoped>
.figures {
  display: flex;
  gap: 16px;
  margin: 0;
}
.figures dt {
  font-size: 11px;
  color: var(--muted);
  white-space: nowrap;
}
.figures dd {
  margin: 0;
  font-size: 18px;
  font-weight: 600;
  white-space: nowrap;
}
.figures small {
  font: 12px var(--sans);
  color: var(--muted);
  font-weight: 400;
}
.worth {
  color: var(--teal);
  font-weight: 600;
  text-decoration: underline dotted;
  text-underline-offset: 4px;
}
</style>
