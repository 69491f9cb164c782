<script setup lang="ts">
import { computed } from 'vue'
import { count } from '../../../core/text/count'
import { cutAt } from '../../../core/text/width'

const props = defineProps<{ title: string }>()
const profile = useLimits()
const limit = computed(() => profile.value.title.limit)
const unit = computed(() => profile.value.title.unit)
const used = computed(() => count(props.title, unit.value))
const scale = computed(() => Math.max(limit.value, used.value) * 1.02)
/** Where a phone cuts this title; for one that fits, where it would cut running text. */
const cut = computed(() => {
  const at = cutAt(props.title, profile.value.surfaces.phone)
  return at < props.title.length ? count(props.title.slice(0, at), unit.value) : null
})
const shown = computed(() => cut.value ?? Math.max(60, used.value))
const x = (characters: number) => `${(100 * characters) / scale.value}%`
const ticks = computed(() => Array.from({ length: Math.floor(scale.value / 10) + 1 }, (_, i) => i * 10))
</script>

<template>
  <div
    class="ruler figure"
    data-test="ruler"
    :aria-label="`${used} of ${limit} characters, ${cut === null ? 'all shown on a phone' : `a phone cuts at ${cut}`}`"
    role="img"
  >
    <div class="track">
      <span
        v-for="tick in ticks"
        :key="tick"
        class="tick"
        :class="{ tall: tick % 50 === 0 }"
        :style="{ left: x(tick) }"
      />
      <span class="used" :class="{ over: used > limit }" :style="{ width: x(used) }" />
      <span class="cut" :class="{ near: shown < scale / 4 }" :style="{ left: x(shown) }"
        ><span>{{ cut === null ? 'phone: whole' : `phone cuts at ${cut}` }}</span></span
      >
      <span class="limit" :style="{ left: x(limit) }" />
    </div>
    <span class="count" :class="{ over: used > limit }">{{ used }} / {{ limit }}</span>
  </div>
</template>

<style scoped>
.ruler {
  display: flex;
  gap: 12px;
  align-items: center;
  font-size: 11px;
  color: var(--muted);
  height: 28px;
}
.track {
  position: relative;
  flex: 1;
  height: 26px;
  border-top: 1px solid var(--line);
}
.tick {
  position: absolute;
  top: 0;
  width: 1px;
  height: 4px;
  background: var(--line);
}
.tick.tall {
  height: 8px;
}
.used {
  position: absolute;
  top: -2px;
  left: 0;
  height: 3px;
  background: var(--teal);
}
.used.over {
  background: repeating-linear-gradient(45deg, var(--plum) 0 4px, transparent 4px 7px);
  height: 5px;
}
.cut {
  position: absolute;
  top: 0;
  height: 12px;
  border-left: 2px dashed var(--ochre);
}
.cut span {
  position: absolute;
  top: 9px;
  right: 4px;
  white-space: nowrap;
  color: var(--ink);
}
/* Too near the beginning for its words to stand before it. */
.cut.near span {
  right: auto;
  left: 4px;
}
.limit {
  position: absolute;
  top: 0;
  height: 14px;
  border-left: 2px solid var(--ink);
}
.count {
  min-width: 62px;
  text-align: end;
  font-size: 12px;
  color: var(--ink);
}
.count.over {
  color: var(--plum);
  font-weight: 600;
}
</style>
