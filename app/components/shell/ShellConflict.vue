<script setup lang="ts">
import { computed } from 'vue'
import { fieldOf, shownValue, type BriefField } from '../../../core/brief/brief'
import type { FieldConflict } from '../../../shared/brief'
import { dateTime } from '~/composables/figures'
import { useBrief } from '~/stores/brief'

const brief = useBrief()
const open = computed(() => brief.conflicts !== null)
const conflicts = computed(() => Object.entries(brief.conflicts ?? {}) as [BriefField, FieldConflict][])
</script>

<template>
  <v-dialog :model-value="open" persistent max-width="820" aria-labelledby="conflict-title">
    <v-card data-test="conflict">
      <v-card-title id="conflict-title">This brief was changed in another window</v-card-title>
      <v-card-text>
        <p class="mb-3">
          Nothing was overwritten. Choose which version of each field to keep; the other stays in its history.
        </p>
        <section v-for="[field, conflict] in conflicts" :key="field" class="mb-4">
          <h2>{{ fieldOf(field).label }}</h2>
          <div class="both">
            <div>
              <p class="muted small">Typed here</p>
              <pre class="sheet">{{ shownValue(field, brief.fields?.[field]) }}</pre>
              <v-btn variant="tonal" color="primary" :data-test="`mine-${field}`" @click="brief.settle(field, 'mine')"
                >Keep what I typed here</v-btn
              >
            </div>
            <div>
              <p class="muted small">Saved elsewhere, {{ dateTime(conflict.savedAt) }}</p>
              <pre class="sheet">{{ shownValue(field, conflict.theirs) }}</pre>
              <v-btn variant="tonal" :data-test="`theirs-${field}`" @click="brief.settle(field, 'theirs')"
                >Take the other version</v-btn
              >
            </div>
          </div>
        </section>
      </v-card-text>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.both {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
}
pre {
  white-space: pre-wrap;
  font: inherit;
  padding: 10px;
  max-height: 200px;
  overflow: auto;
  margin: 4px 0 8px;
  min-height: 44px;
}
</style>
