<script setup lang="ts">
import { computed } from 'vue'
import { likelyPlace } from '../../../../core/draft/preview'
import { standsOutMoreThan } from '../../../../core/thumbnail/standOut'
import type { RivalRow } from '../../../../shared/rivals'
import { counted, dateOnly, lengthWords, percent } from '~/composables/figures'
import { pictureAddress, useThumbnails, type Candidate } from '~/stores/thumbnails'
import { useBrief } from '~/stores/brief'

/** My pictures against those of the page: what each is worth, where it stands, what the page leaves free. */
const props = defineProps<{ looked: Candidate | null }>()
const emit = defineEmits<{ look: [id: string] }>()
const brief = useBrief()
const thumbnails = useThumbnails()
const page = computed(() => thumbnails.answer?.page ?? null)
const lookOf = (candidate: Candidate) => thumbnails.answer?.looks[candidate.id] ?? null
const mine = computed(() => (props.looked ? lookOf(props.looked) : null))

const one = (value: number) => value.toFixed(1)
const standOut = computed(() => mine.value?.standOut ?? null)
/** How the figure comes about, for who wants to check it. */
const working = computed(() => {
  const found = standOut.value
  if (!found) return ''
  const sorted = found.theirs.toSorted((a, b) => a - b)
  return `Mean distance of its colours to those of the ${found.distances.length} pictures: ${one(found.value)}. Among themselves these are ${one(sorted[0]!)} to ${one(sorted.at(-1)!)} apart, so it stands out more than ${standsOutMoreThan(found)} of them.`
})
const cells = (candidate: Candidate) => {
  const look = lookOf(candidate)
  const { standOut: out, legible } = look ?? {}
  return {
    standOut: out ? `${one(out.value)}` : '–',
    than: out ? `> ${standsOutMoreThan(out)} of ${out.theirs.length}` : '',
    contrast: legible ? Math.round(100 * legible.contrast).toString() : '–',
    kept: legible && legible.edgesKept !== null ? percent(legible.edgesKept) : '–',
    under: legible ? (legible.underLength ? `covers ${percent(legible.hidden)} of its edges` : 'little') : '–',
    palette: look?.palette ?? [],
  }
}
/** Where my video likely stands, when that is not on this page. */
const beyond = computed(() => {
  const likely = thumbnails.page?.reading.forecast?.likely
  return !!likely && !!props.looked && likelyPlace(likely) > (thumbnails.rows.at(-1)?.rank ?? 0)
})
type Tile = { key: string; mine: false; row: RivalRow } | { key: string; mine: true }
/** The page in rank order with mine where it would likely stand; in front where that is not known. */
const tiles = computed<Tile[]>(() => {
  const others: Tile[] = thumbnails.rows.map(row => ({ key: row.videoId, mine: false, row }))
  if (!props.looked) return others
  const likely = thumbnails.page?.reading.forecast?.likely
  const place = likely ? likelyPlace(likely) : 1
  const at = others.findIndex(tile => !tile.mine && tile.row.rank >= place)
  const index = at < 0 ? others.length : at
  return [...others.slice(0, index), { key: 'mine', mine: true }, ...others.slice(index)]
})
const distanceOf = (row: RivalRow) => {
  const at = page.value?.videoIds.indexOf(row.videoId) ?? -1
  return at < 0 ? null : (standOut.value?.distances[at] ?? null)
}
const tileTitle = (row: RivalRow) => {
  const gap = distanceOf(row)
  return `${row.rank}. ${row.title}${gap === null ? '' : ` (colours ${one(gap)} from mine)`}`
}
</script>

<template>
  <section class="sheet rivals" aria-label="Among the rivals" data-test="among-rivals">
    <div v-if="thumbnails.items?.length" class="frame-table">
      <table aria-label="Pictures compared">
        <thead>
          <tr>
            <th scope="col">Picture</th>
            <th scope="col" class="num" title="Mean distance of its colours to those of the page, times 100 in OKLab">
              Stands out
            </th>
            <th scope="col" class="num" title="From the darkest fiftieth of it to the lightest at 120 pixels, 0 to 100">
              Contrast
            </th>
            <th scope="col" class="num" title="The share of its edges that survive at 120 pixels">Edges left small</th>
            <th scope="col" title="What the length of the video covers, at the lower right">Under the length</th>
            <th scope="col">Colours</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="candidate in thumbnails.items"
            :key="candidate.id"
            :class="{ looked: candidate.id === looked?.id }"
            data-test="compared"
          >
            <th scope="row">
              <button class="plain" :aria-pressed="candidate.id === looked?.id" @click="emit('look', candidate.id)">
                {{ candidate.value.name }}
              </button>
            </th>
            <td class="num">
              <span class="figure">{{ cells(candidate).standOut }}</span>
              <span class="small muted than" title="How many of the page’s own stand out less">{{
                cells(candidate).than
              }}</span>
            </td>
            <td class="num figure">{{ cells(candidate).contrast }}</td>
            <td class="num figure">{{ cells(candidate).kept }}</td>
            <td>{{ cells(candidate).under }}</td>
            <td><ReleaseThumbnailStrip :swatches="cells(candidate).palette" label="Its colours" /></td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-else-if="thumbnails.items" class="muted">
      Add a picture to see it among those of the page, and how well it can be recognised when small.
    </p>
    <p v-if="working" class="small muted" data-test="stand-out">{{ working }}</p>

    <p v-if="!thumbnails.lead" class="muted">Choose a lead phrase on the Desk to see the pictures it stands among.</p>
    <p v-else-if="thumbnails.answer && !page" class="muted" data-test="no-page">
      The pictures of the page for “{{ thumbnails.lead }}” are not known yet.
      <v-btn size="small" variant="tonal" :loading="thumbnails.asking" data-test="ask-page" @click="thumbnails.askPage"
        >Load them</v-btn
      >
    </p>
    <template v-else-if="page">
      <h2>
        The page for “{{ page.phrase }}”
        <span class="small muted"
          >{{ counted(page.look.pictures, 'picture')
          }}<template v-if="page.without">, {{ page.without }} unknown</template>, of {{ dateOnly(page.at)
          }}<template v-if="beyond">; yours likely stands behind them</template></span
        >
      </h2>
      <ol class="tiles" data-test="page-pictures">
        <li v-for="tile in tiles" :key="tile.key" :class="{ mine: tile.mine }">
          <template v-if="tile.mine"
            ><img :src="pictureAddress(looked!.value, 320)" alt="My picture" /><span class="rank">mine</span
            ><span v-if="brief.fields!.seconds !== null" class="length figure">{{
              lengthWords(brief.fields!.seconds)
            }}</span></template
          >
          <template v-else
            ><img :src="tile.row.thumbnail!" :alt="tile.row.title" :title="tileTitle(tile.row)" loading="lazy" /><span
              class="rank figure"
              >{{ tile.row.rank }}</span
            ><span v-if="tile.row.durationSeconds !== null" class="length figure">{{
              lengthWords(tile.row.durationSeconds)
            }}</span></template
          >
        </li>
      </ol>
      <ReleaseThumbnailPage :look="page.look" :mine="mine" />
    </template>
    <v-skeleton-loader v-else-if="thumbnails.lead && !thumbnails.answer" type="image" />
  </section>
</template>

<style scoped>
.rivals {
  flex: 1;
  min-height: 0;
  overflow: auto;
  padding: 12px 14px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.frame-table {
  overflow-x: auto;
  flex: none;
}
table {
  width: 100%;
  min-width: 520px;
  border-collapse: collapse;
}
th,
td {
  padding: 4px 10px 4px 0;
  text-align: left;
  white-space: nowrap;
}
thead th {
  font-size: 12px;
  color: var(--muted);
}
tbody th {
  font-weight: 400;
  max-width: 190px;
  overflow: hidden;
  text-overflow: ellipsis;
}
tbody tr {
  border-top: 1px solid var(--line);
}
.looked th {
  font-weight: 600;
}
.than {
  margin-left: 6px;
}
td:last-child {
  width: 22%;
  min-width: 80px;
}
h2 {
  display: flex;
  align-items: baseline;
  gap: 10px;
  flex-wrap: wrap;
}
h2 .small {
  font-weight: 400;
}
.tiles {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(96px, 1fr));
  gap: 6px;
}
.tiles li {
  position: relative;
  aspect-ratio: 16 / 9;
  background: var(--line);
  border-radius: 3px;
  overflow: hidden;
}
.tiles .mine {
  outline: 3px solid var(--teal);
  outline-offset: 0;
}
.tiles img {
  width: 100%;
  height: 100%;
  object-fit: cover;
  display: block;
}
.rank,
.length {
  position: absolute;
  font-size: 10px;
  padding: 0 4px;
  background: rgb(22 27 32 / 80%);
  color: #fff;
}
.rank {
  left: 0;
  top: 0;
}
.length {
  right: 3px;
  bottom: 3px;
}
</style>
