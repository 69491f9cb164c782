<script setup lang="ts">
import { geoEqualEarth, geoPath } from 'd3-geo'
import type { FeatureCollection } from 'geojson'
import countries from 'i18n-iso-countries'
import { feature } from 'topojson-client'
import type { GeometryCollection, Topology } from 'topojson-specification'
import { computed, onMounted, shallowRef } from 'vue'
import { inDigits } from '../../../core/text/inWords'
import { percent, regionName, rounded } from '~/composables/figures'

const props = defineProps<{ interest: { region: string; volume: number }[]; region: string | null }>()
const WIDTH = 440
const HEIGHT = 190
const world = shallowRef<FeatureCollection | null>(null)

onMounted(async () => {
  const { default: atlas } = (await import('world-atlas/countries-110m.json')) as unknown as {
    default: Topology<{ countries: GeometryCollection }>
  }
  world.value = feature(atlas, atlas.objects.countries)
})

const total = computed(() => props.interest.reduce((sum, each) => sum + each.volume, 0))
const most = computed(() => Math.max(1, ...props.interest.map(each => each.volume)))
const shapes = computed(() => {
  if (!world.value) return []
  const projection = geoEqualEarth().fitSize([WIDTH, HEIGHT], world.value)
  const path = geoPath(projection)
  const volumes = new Map(props.interest.map(each => [each.region, each.volume]))
  return world.value.features.flatMap(shape => {
    const d = path(shape)
    const code = shape.id === undefined ? undefined : countries.numericToAlpha2(String(shape.id).padStart(3, '0'))
    if (!d || code === 'AQ') return []
    const volume = code ? volumes.get(code) : undefined
    const name = code ? regionName(code) : ''
    return [
      {
        d,
        code,
        part: volume ? 0.18 + 0.82 * Math.sqrt(volume / most.value) : 0,
        title: volume === undefined ? name : `${name}: ${inDigits(Math.round(volume))} searches a month`,
      },
    ]
  })
})
</script>

<template>
  <figure>
    <svg
      v-if="shapes.length"
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      :aria-label="`Interest by country: ${interest
        .slice(0, 3)
        .map(each => regionName(each.region))
        .join(', ')} first`"
    >
      <path
        v-for="(shape, i) in shapes"
        :key="i"
        :d="shape.d"
        :style="{ '--part': shape.part }"
        :class="{ known: shape.part > 0, here: shape.code === region }"
      >
        <title>{{ shape.title }}</title>
      </path>
    </svg>
    <v-skeleton-loader v-else type="image" height="190" />
    <ol class="small">
      <li v-for="each in interest.slice(0, 8)" :key="each.region">
        <span>{{ regionName(each.region) }}</span><span
          class="figure"
          :title="`${inDigits(each.volume)} searches a month`"
          >{{ rounded(Math.round(each.volume)) }}</span
        ><span class="figure muted">{{ percent(each.volume / total) }}</span>
      </li>
    </ol>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  height: auto;
  display: block;
}
path {
  fill: color-mix(in srgb, var(--line) 55%, var(--surface));
  stroke: var(--surface);
  stroke-width: 0.5;
}
path.known {
  fill: color-mix(in srgb, var(--teal) calc(var(--part) * 100%), var(--surface));
}
path.here {
  stroke: var(--ochre);
  stroke-width: 1.5;
}
ol {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
  columns: 2;
  column-gap: 20px;
}
li {
  display: grid;
  grid-template-columns: 1fr auto 44px;
  gap: 8px;
  padding: 2px 0;
  break-inside: avoid;
}
li span:last-child {
  text-align: end;
}
</style>
