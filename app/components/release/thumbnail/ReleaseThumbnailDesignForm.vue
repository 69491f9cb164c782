<script setup lang="ts">
import { mdiClose, mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import { LAYOUT_NAMES, LAYOUTS, MOST_HEADLINE, MOST_LAYERS, type Design } from '../../../../core/thumbnail/design'
import { headlineFaults } from '../../../../core/thumbnail/headline'
import { listed } from '../../../../core/text/inWords'
import type { Picture } from '../../../../core/thumbnail/picture'
import { useBrief } from '~/stores/brief'
import { useSpoken } from '~/stores/spoken'
import { useThumbnails } from '~/stores/thumbnails'

/** What a thumbnail is made of, setting by setting. */
const design = defineModel<Design>({ required: true })
/** A picture on top was added or removed. Inputs and drags report their changes themselves. */
const emit = defineEmits<{ commit: [] }>()
const brief = useBrief()
const spoken = useSpoken()
const thumbnails = useThumbnails()
const pictures = computed(() =>
  (thumbnails.items ?? []).map(({ id, value: { hash, format, width, height, bytes, name } }) => ({
    id,
    name,
    picture: { hash, format, width, height, bytes } satisfies Picture,
  })),
)
/** A picture of the design that is no candidate any more is still there to be named. */
const backgrounds = computed(() => {
  const { picture } = design.value.background
  return pictures.value.some(each => each.picture.hash === picture.hash)
    ? pictures.value
    : [{ id: 'kept', name: 'The picture it was made of', picture }, ...pictures.value]
})
function setBackground(hash: string) {
  const found = backgrounds.value.find(each => each.picture.hash === hash)
  if (found) design.value.background.picture = found.picture
}
function addLayer(hash: string) {
  const found = pictures.value.find(each => each.picture.hash === hash)
  if (!found) return
  design.value.layers.push({ picture: found.picture, x: 0.6, y: 0.3, width: 0.3 })
  emit('commit')
}
function removeLayer(i: number) {
  design.value.layers.splice(i, 1)
  emit('commit')
}
const faults = computed(() =>
  headlineFaults(
    design.value,
    { title: brief.fields!.title, captions: spoken.captions.cues.length ? spoken.captions : undefined },
    brief.fields!.language,
  ),
)
/** Colours that the page leaves free stand out. */
const free = computed(() => thumbnails.answer?.page?.look.freeHues ?? [])
const input = (event: Event) => event.target as HTMLInputElement
const BACKGROUND = [
  { key: 'zoom', label: 'Closer', min: 1, max: 4 },
  { key: 'x', label: 'Sideways', min: 0, max: 1 },
  { key: 'y', label: 'Up and down', min: 0, max: 1 },
  { key: 'light', label: 'Light', min: -1, max: 1 },
  { key: 'contrast', label: 'Contrast', min: -1, max: 1 },
  { key: 'saturation', label: 'Colour', min: -1, max: 1 },
] as const
const LAYER = [
  { key: 'x', label: 'Sideways', min: 0, max: 1 },
  { key: 'y', label: 'Up and down', min: 0, max: 1 },
  { key: 'width', label: 'Width', min: 0.05, max: 1 },
] as const
</script>

<template>
  <div class="form">
    <section aria-label="Words">
      <label class="wide"
        >Headline
        <input
          v-model="design.headline.text"
          class="text"
          :maxlength="MOST_HEADLINE"
          placeholder="Two or three words"
          data-test="design-headline"
      /></label>
      <p v-for="fault in faults" :key="fault" class="small fault" role="status" data-test="design-fault">{{ fault }}</p>
      <label class="wide"
        >Layout
        <select v-model="design.layout" data-test="design-layout">
          <option v-for="each in LAYOUTS" :key="each" :value="each">{{ LAYOUT_NAMES[each] }}</option>
        </select></label
      >
      <template v-if="design.layout !== 'none'">
        <label class="row"
          >Size <input v-model.number="design.headline.size" type="range" min="0.3" max="1" step="0.01"
        /></label>
        <div class="colours">
          <label>Letters <input v-model="design.headline.colour" type="color" /></label>
          <label
            >Outline
            <input
              type="checkbox"
              :checked="design.headline.outline !== null"
              aria-label="With an outline"
              @change="design.headline.outline = input($event).checked ? '#1d2733' : null" /><input
              v-if="design.headline.outline !== null"
              v-model="design.headline.outline"
              type="color"
              aria-label="Colour of the outline"
          /></label>
          <label>Shadow <input v-model="design.headline.shadow" type="checkbox" /></label>
        </div>
        <p v-if="free.length" class="small muted">Hardly used on this page: {{ listed(free) }}.</p>
      </template>
    </section>
    <section aria-label="Picture">
      <label class="wide"
        >Picture
        <select
          :value="design.background.picture.hash"
          data-test="design-background"
          @change="setBackground(input($event).value)"
        >
          <option v-for="each in backgrounds" :key="each.id" :value="each.picture.hash">{{ each.name }}</option>
        </select></label
      >
      <label v-for="{ key, label, min, max } in BACKGROUND" :key="key" class="row"
        >{{ label }}
        <input
          v-model.number="design.background[key]"
          type="range"
          :min="min"
          :max="max"
          step="0.01"
          :data-test="`design-${key}`"
      /></label>
    </section>
    <section aria-label="On top">
      <div v-for="(layer, i) in design.layers" :key="i" class="layer">
        <div class="name">
          <span
            >On top: {{ pictures.find(each => each.picture.hash === layer.picture.hash)?.name ?? 'a picture' }}</span
          >
          <v-btn
            size="x-small"
            variant="text"
            :icon="mdiClose"
            aria-label="Remove the picture on top"
            @click="removeLayer(i)"
          />
        </div>
        <label v-for="{ key, label, min, max } in LAYER" :key="key" class="row"
          >{{ label }} <input v-model.number="layer[key]" type="range" :min="min" :max="max" step="0.01"
        /></label>
      </div>
      <v-menu v-if="design.layers.length < MOST_LAYERS">
        <template #activator="{ props }"
          ><v-btn v-bind="props" size="small" variant="text" :prepend-icon="mdiPlus" data-test="design-layer"
            >A picture on top</v-btn
          ></template
        >
        <v-list role="menu" density="compact">
          <v-list-item
            v-for="each in pictures"
            :key="each.id"
            role="menuitem"
            :title="each.name"
            data-test="design-layer-of"
            @click="addLayer(each.picture.hash)"
          />
        </v-list>
      </v-menu>
    </section>
  </div>
</template>

<style scoped>
.form {
  display: grid;
  gap: 14px;
  align-content: start;
}
section {
  display: grid;
  gap: 6px;
}
section + section {
  border-top: 1px solid var(--line);
  padding-top: 12px;
}
label {
  font-size: 13px;
  color: var(--muted);
}
.wide {
  display: grid;
}
.text,
select {
  font: inherit;
  font-size: 14px;
  color: var(--ink);
  background: none;
  border: 0;
  border-bottom: 1px solid var(--line);
  min-height: 30px;
}
.row {
  display: grid;
  grid-template-columns: 90px minmax(0, 1fr);
  align-items: center;
  gap: 8px;
  min-height: 24px;
}
input[type='range'],
input[type='checkbox'] {
  accent-color: var(--teal);
}
.colours {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
}
.colours label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
input[type='color'] {
  width: 30px;
  height: 24px;
  padding: 0;
  border: 1px solid var(--line);
  background: none;
}
.fault {
  color: var(--plum);
}
.layer {
  display: grid;
  gap: 4px;
}
.name {
  display: flex;
  align-items: center;
  justify-content: space-between;
  font-size: 13px;
}
</style>
