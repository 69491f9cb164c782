<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Fix, PlaceId, Placement } from '../../../core/draft/draft'
import { insertionKey } from '../../../core/draft/insertions'
import type { DraftChance } from '../../../shared/draftChances'
import type { BriefFields } from '../../../core/brief/brief'
import type { GridCell } from '~/components/desk/DeskGridCell.vue'
import { mdiChevronDown, mdiChevronUp } from '@mdi/js'
import { chanceText, inFull, rounded, trayMark, UNKNOWN } from '~/composables/figures'
import { remember } from '~/composables/remember'
import { sameAsBefore } from '~/composables/sameAsBefore'
import { useTray } from '~/stores/tray'

const props = defineProps<{
  fields: BriefFields
  /** Chance of page one by phrase: as worded now, and worded in full. */
  chances: ReadonlyMap<string, DraftChance>
  phrases: string[]
  placements: Placement[]
  insertions: Record<string, Fix>
  /** What an insertion brings under the rule set. */
  gainOf: (fix: Fix) => Promise<number>
}>()
const tray = useTray()
/** Folded it shows only how many places each phrase has. */
const folded = ref(localStorage.getItem('fonetra.grid') === 'folded')
function fold() {
  folded.value = !folded.value
  remember('fonetra.grid', folded.value ? 'folded' : 'open')
}
/** As worded now, then worded in full; a dash where the page or the channel is not known. */
const chanceOf = (phrase: string) => {
  const chance = props.chances.get(phrase)
  if (!chance || chance.asWorded === null || chance.inFull === null) return UNKNOWN
  const [now, full] = [chanceText(chance.asWorded), chanceText(chance.inFull)]
  // A text may be worded better than full wording of usual length.
  return now === full || chance.asWorded > chance.inFull ? now : `${now} → ${full}`
}
const chanceTitle = (phrase: string) => {
  const chance = props.chances.get(phrase)
  if (!chance?.known) return 'The result page of this phrase is not known yet. Open it in Rivals.'
  if (chance.asWorded === null || chance.inFull === null) return 'Choose your channel in the Library to see a chance.'
  return `Chance of page one for my channel, an estimate: ${chanceText(chance.asWorded)} as worded now, ${chanceText(chance.inFull)} with the phrase word for word in title, first line and a tag.`
}
const volumeOf = (phrase: string) => tray.figures.get(phrase)?.volume
const emit = defineEmits<{ show: [placement: Placement]; insert: [insertion: Fix] }>()

const PLACES: { id: PlaceId; short: string; name: string }[] = [
  { id: 'fileName', short: 'File', name: 'the file name' },
  { id: 'title', short: 'Title', name: 'the title' },
  { id: 'titleFront', short: 'Front', name: 'the part of the title a phone shows' },
  { id: 'firstLine', short: 'Line 1', name: 'the first line of the description' },
  { id: 'opening', short: 'Start', name: 'the opening that results show' },
  { id: 'description', short: 'Text', name: 'the description' },
  { id: 'firstTag', short: 'Tag 1', name: 'the first tag' },
  { id: 'tags', short: 'Tags', name: 'the tags' },
  { id: 'hashtags', short: 'Hash', name: 'the hashtags' },
  { id: 'chapters', short: 'Chap.', name: 'the chapters' },
  { id: 'spoken', short: 'Said', name: 'what is spoken' },
]
const HAS_NONE: Partial<Record<PlaceId, string>> = {
  fileName: 'no file name yet',
  hashtags: 'no hashtags yet',
  chapters: 'no chapters yet',
  firstTag: 'no tags yet',
  tags: 'no tags yet',
  spoken: 'no captions and no outline yet',
}
const GRADES = {
  exact: 'word for word',
  inflected: 'with other endings',
  ordered: 'in order, with words between',
  scattered: 'its words apart',
  fragment: 'only part of it',
  none: 'absent',
}

interface Row {
  phrase: string
  mark: string
  places: GridCell[]
}
// A cell that is the same as before is not drawn anew: with every letter typed most are.
const cells = computed<Row[]>(before => sameAsBefore(before, rowsNow()))
function rowsNow(): Row[] {
  const found = new Map(props.placements.map(each => [`${each.phrase}\n${each.place}`, each]))
  return props.phrases.map((phrase, i) => ({
    phrase,
    mark: trayMark(props.fields.tray.lead ? i : i + 1),
    places: PLACES.map((place): GridCell => {
      const placement = found.get(`${phrase}\n${place.id}`)
      const state = !placement
        ? 'n/a'
        : placement.grade === 'exact'
          ? 'met'
          : placement.grade === 'none' || placement.grade === 'fragment'
            ? 'missing'
            : 'partly'
      const insertion =
        state === 'met' || state === 'partly' ? null : (props.insertions[insertionKey(phrase, place.id)] ?? null)
      return {
        place,
        placement,
        state,
        insertion,
        label: `“${phrase}” in ${place.name}: ${placement ? GRADES[placement.grade] : (HAS_NONE[place.id] ?? 'does not apply')}`,
      }
    }),
  }))
}
</script>

<template>
  <div class="grid" data-test="grid">
    <div v-if="folded" class="folded">
      <h2>Places</h2>
      <span v-for="row in cells" :key="row.phrase" :title="row.phrase" class="small">
        <span class="figure mark">{{ row.mark }}</span>{{ ' '
        }}{{ row.places.filter(cell => cell.state === 'met' || cell.state === 'partly').length }} of
        {{ row.places.filter(cell => cell.state !== 'n/a').length }}
      </span>
      <v-spacer /><v-btn size="x-small" :icon="mdiChevronUp" aria-label="Unfold the places" @click="fold" />
    </div>
    <table v-else aria-label="Where each phrase appears">
      <thead>
        <tr>
          <th scope="col" class="phrase"><h2>Places</h2></th>
          <th scope="col" class="volume" title="Searches a month">Searches</th>
          <th scope="col" class="chance" title="Chance of page one for my channel: as worded now, then worded in full">
            Chance
          </th>
          <th v-for="place in PLACES" :key="place.id" scope="col" class="place" :title="place.name">
            {{ place.short }}
          </th>
          <th scope="col" class="more">
            <v-btn size="x-small" :icon="mdiChevronDown" aria-label="Fold the places" @click="fold" />
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in cells" :key="row.phrase">
          <th scope="row" class="phrase" :title="row.phrase">
            <span class="figure mark">{{ row.mark }}</span> {{ row.phrase }}
          </th>
          <td class="figure volume" :title="inFull(volumeOf(row.phrase), 'searches a month')">
            {{ rounded(volumeOf(row.phrase)) }}
          </td>
          <td class="figure chance" :title="chanceTitle(row.phrase)" data-test="grid-chance">
            {{ chanceOf(row.phrase) }}
          </td>
          <DeskGridCell
            v-for="cell in row.places"
            :key="cell.place.id"
            :cell="cell"
            :gain-of="gainOf"
            @show="emit('show', $event)"
            @insert="emit('insert', $event)"
          />
          <td class="more"><TrayPhraseMenu :phrase="row.phrase" /></td>
        </tr>
      </tbody>
    </table>
    <div v-if="!folded" class="foot">
      <TrayAdd class="add" data-test="grid-add" />
      <span class="muted small"
        ><template v-if="!phrases.length">Phrases appear here with the places they are used in. </template
        ><template v-if="tray.tray.setAside.length">{{ tray.tray.setAside.length }} set aside, in the tray.</template
        ><template v-if="tray.problem">
          Could not load searches.
          <button class="plain link" @click="tray.refreshFigures()">Try again</button></template
        ></span
      >
    </div>
  </div>
</template>

<style scoped>
.grid {
  overflow: auto;
  min-height: 0;
  container-type: inline-size;
  flex: none;
  max-height: 206px;
}
table {
  border-collapse: collapse;
  width: 100%;
  table-layout: fixed;
}
th {
  font-weight: 400;
  font-size: 11px;
  color: var(--muted);
  padding: 2px 0;
}
.volume {
  width: 74px;
  text-align: end;
  padding-inline-end: 14px;
  font-size: 12px;
}
.chance {
  width: 116px;
  text-align: end;
  padding-inline-end: 10px;
  font-size: 12px;
  white-space: nowrap;
}
.more {
  width: 34px;
}
.folded,
.foot {
  display: flex;
  align-items: center;
  gap: 16px;
}
.foot {
  padding-top: 4px;
}
.add {
  max-width: 300px;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--surface);
  z-index: 1;
}
.phrase {
  width: 28%;
  text-align: start;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  color: var(--ink);
  font-size: 13px;
}
tbody tr {
  border-top: 1px solid var(--line);
}
td {
  text-align: center;
  height: 25px;
  padding: 0;
}
/* Heads that would run into one another stand upright. */
@container (max-width: 620px) {
  table {
    min-width: 640px;
  }
  .phrase {
    width: 104px;
  }
  th.place {
    writing-mode: vertical-rl;
    height: 46px;
    text-align: start;
  }
}
.mark {
  color: var(--teal);
  font-weight: 600;
}
</style>
