<script setup lang="ts">
import { computed } from 'vue'
import type { PageLook, PictureLook } from '../../../../core/thumbnail/page'
import { HUES, LIGHTS } from '../../../../core/thumbnail/tones'
import { listedOr } from '../../../../core/text/inWords'
import { percent } from '~/composables/figures'

/** What the pictures of a page are like together, mine beside it, and what they leave free. */
const props = defineProps<{ look: PageLook; mine: PictureLook | null }>()
const bars = computed(() => [
  ...HUES.map(({ id }) => ({ id, page: props.look.tones.hues[id], mine: props.mine?.tones.hues[id] ?? null })),
  { id: 'grey', page: props.look.tones.grey, mine: props.mine?.tones.grey ?? null },
])
const lights = computed(() =>
  LIGHTS.map(id => ({ id, page: props.look.tones.lights[id], mine: props.mine?.tones.lights[id] ?? null })),
)
const ROWS = ['upper', 'middle', 'lower'] as const
const COLUMNS = ['left', 'middle', 'right'] as const
const placeName = (i: number) => {
  const [row, column] = [ROWS[Math.floor(i / 3)]!, COLUMNS[i % 3]!]
  return row === column ? 'middle' : `${row} ${column}`
}
const free = computed(() => {
  const { freeHues, freeLights, freeParts } = props.look
  const said = [
    freeHues.length ? `Hardly any ${listedOr(freeHues)} is used here.` : 'Every hue is used here.',
    ...(freeLights.length ? [`Hardly anything is ${listedOr(freeLights)}.`] : []),
    ...(freeParts.length ? [`Hardly anything stands at the ${listedOr(freeParts.map(placeName))}.`] : []),
  ]
  return said.join(' ')
})
const titleOf = ({ id, page, mine }: { id: string; page: number; mine: number | null }) =>
  `${id}: ${percent(page)} of the page${mine === null ? '' : `, ${percent(mine)} of mine`}`
const GROUPS = computed(() => [
  { name: 'Hues', bars: bars.value },
  { name: 'Lightness', bars: lights.value },
])
/** Bars are drawn against the longest of their group. */
const most = (list: { page: number; mine: number | null }[]) =>
  Math.max(0.01, ...list.map(({ page, mine }) => Math.max(page, mine ?? 0)))
const GRIDS = computed(() => [
  { name: 'The page', parts: props.look.parts },
  ...(props.mine ? [{ name: 'Mine', parts: props.mine.parts }] : []),
])
const PALE = 0.3
</script>

<template>
  <div class="page">
    <div class="strips">
      <span class="small muted">The page</span
      ><ReleaseThumbnailStrip :swatches="look.palette" label="The colours of the page" />
      <template v-if="mine"
        ><span class="small muted">Mine</span><ReleaseThumbnailStrip :swatches="mine.palette" label="My colours"
      /></template>
    </div>
    <p data-test="free">{{ free }}</p>
    <div class="drawn">
      <figure v-for="group in GROUPS" :key="group.name">
        <figcaption class="small muted">{{ group.name }}</figcaption>
        <div class="bars">
          <div v-for="bar in group.bars" :key="bar.id" class="bar" :title="titleOf(bar)">
            <span class="pair"
              ><i :style="{ height: `${(100 * bar.page) / most(group.bars)}%` }" /><i
                v-if="bar.mine !== null"
                class="own"
                :style="{ height: `${(100 * bar.mine) / most(group.bars)}%` }"
            /></span>
            <span class="small">{{ bar.id }}</span>
          </div>
        </div>
      </figure>
      <figure v-for="grid in GRIDS" :key="grid.name" class="where">
        <figcaption class="small muted">Where things are: {{ grid.name }}</figcaption>
        <div class="grid">
          <span
            v-for="(share, i) in grid.parts"
            :key="i"
            :style="{ '--share': Math.min(1, share / PALE) }"
            :title="`${placeName(i)}: ${percent(share)} of the edges`"
          />
        </div>
      </figure>
    </div>
    <p v-if="mine" class="small muted key"><i /> the page <i class="own" /> mine</p>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 10px;
}
.strips {
  display: grid;
  grid-template-columns: 70px minmax(0, 1fr);
  gap: 4px 8px;
  align-items: center;
}
.drawn {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 28px;
}
figure {
  margin: 0;
}
.bars {
  display: flex;
  gap: 8px;
  margin-top: 4px;
}
.bar {
  display: grid;
  justify-items: center;
  min-width: 40px;
}
.pair {
  height: 64px;
  display: flex;
  align-items: flex-end;
  gap: 2px;
  border-bottom: 1px solid var(--line);
}
.pair i {
  width: 12px;
  min-height: 1px;
}
i {
  background: var(--ochre);
}
i.own {
  background: var(--teal);
}
.grid {
  display: grid;
  grid-template-columns: repeat(3, 40px);
  grid-auto-rows: 23px;
  gap: 1px;
  margin-top: 6px;
  border: 1px solid var(--line);
  width: max-content;
}
.grid span {
  background: color-mix(in srgb, var(--ink) calc(var(--share) * 70%), transparent);
}
.key i {
  display: inline-block;
  width: 10px;
  height: 10px;
  margin: 0 2px 0 8px;
}
.key i:first-child {
  margin-left: 0;
}
</style>
