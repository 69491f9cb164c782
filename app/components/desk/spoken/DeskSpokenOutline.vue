<script setup lang="ts">
import { computed } from 'vue'
import { underlines } from '../../../../core/draft/underlines'
import { useBrief } from '~/stores/brief'
import { useTray } from '~/stores/tray'

/** What is to be said, a line a part, before the video is filmed. */
const brief = useBrief()
const tray = useTray()
const fields = computed(() => brief.fields!)
const phrases = computed(() => tray.phrases.map(each => each.phrase))
const marks = computed(() => tray.phrases.map(each => each.mark))
const marked = computed(() => underlines(fields.value.outline, phrases.value, fields.value.language))
</script>

<template>
  <DeskText
    :key="`outline-${brief.brief!.id}`"
    class="outline"
    :model-value="fields.outline"
    label="Outline"
    hint="0:00 What the viewer gets, with the lead phrase&#10;0:20 First step …"
    :underlines="marked"
    :phrases="phrases"
    :marks="marks"
    data-test="outline"
    @update:model-value="brief.set('outline', $event)"
  />
</template>

<style scoped>
.outline {
  flex: 1;
}
</style>
