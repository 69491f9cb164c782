<script setup lang="ts">
import { computed } from 'vue'
import { filterValues, VISIONS } from '../../../../core/thumbnail/vision'
import { lengthWords } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { pictureAddress, type Candidate } from '~/stores/thumbnails'

/** A picture as it is met: by different eyes, and on every surface at its size there. */
const props = defineProps<{ looked: Candidate | null }>()
const brief = useBrief()
const address = computed(() => (props.looked ? pictureAddress(props.looked.value, 640) : null))
const seconds = computed(() => brief.fields!.seconds)
</script>

<template>
  <section class="sizes" aria-label="At real sizes" data-test="at-sizes">
    <!-- A filter of colours works on linear light, as the matrices are meant. -->
    <svg width="0" height="0" class="unseen" aria-hidden="true">
      <template v-for="vision in VISIONS" :key="vision.id">
        <filter v-if="vision.matrix" :id="`vision-${vision.id}`" color-interpolation-filters="linearRGB">
          <feColorMatrix type="matrix" :values="filterValues(vision.matrix)" />
        </filter>
      </template>
    </svg>
    <div v-if="address" class="sheet eyes">
      <figure v-for="vision in VISIONS" :key="vision.id">
        <span class="tile" :style="vision.matrix ? { filter: `url(#vision-${vision.id})` } : {}"
          ><img :src="address" :alt="vision.name" /><span v-if="seconds !== null" class="length figure">{{
            lengthWords(seconds)
          }}</span></span
        >
        <figcaption class="small muted">{{ vision.name }}</figcaption>
      </figure>
      <p v-if="seconds === null" class="small muted">
        The length of the video is not known: nothing covers the corner.
      </p>
    </div>
    <DeskSeen class="seen" :picture="address" real />
  </section>
</template>

<style scoped>
.sizes {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.eyes {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 9px;
  padding: 10px 14px;
  flex: none;
}
figure {
  margin: 0;
  display: grid;
  gap: 2px;
}
.tile {
  position: relative;
  width: 112px;
  aspect-ratio: 16 / 9;
  display: block;
}
img {
  width: 100%;
  height: 100%;
  object-fit: cover;
  display: block;
  border-radius: 3px;
}
.length {
  position: absolute;
  right: 4px;
  bottom: 4px;
  font-size: 11px;
  padding: 0 4px;
  background: rgb(22 27 32 / 80%);
  color: #fff;
}
.seen {
  flex: 1;
}
@media (max-width: 700px) {
  .seen {
    min-height: 480px;
  }
}
</style>
