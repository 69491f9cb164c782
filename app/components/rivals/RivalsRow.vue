<script setup lang="ts">
import { DAY } from '../../../core/time'
import { mdiChevronDown, mdiChevronRight, mdiEyeOffOutline, mdiUndoVariant } from '@mdi/js'
import { computed } from 'vue'
import { cutAtRanges } from '../../../core/text/match'
import type { RivalRow } from '../../../shared/rivals'
import { ageWords, dateOnly, inFull, lengthWords, rounded, UNKNOWN } from '~/composables/figures'
import { gradesInWords, likesInWords, movedWords, noteOf, strengthInWords } from '~/composables/rivalWords'
import { useRivals } from '~/stores/rivals'

/** One result of the page, with its details under it when open. */
const props = defineProps<{
  row: RivalRow
  /** Which row of the whole table it is, its head being the first. */
  index: number
  /** When the page was observed, UTC milliseconds. */
  at: number
  /** Strength of my channel; `null` where none is chosen. */
  own: number | null
  /** Percent that my rule set gives its texts; `null` where it is not known. */
  earned: number | null
  open: boolean
  /** How many columns the table has. */
  columns: number
}>()
const emit = defineEmits<{ open: [video: string] }>()
const rivals = useRivals()

const age = computed(() => (props.row.publishedAt === null ? null : (props.at - props.row.publishedAt) / DAY))
const shortAge = (days: number) =>
  ageWords(days).replace(' days', ' d').replace(' day', ' d').replace(' months', ' mo').replace(' years', ' y')
/** A title cut at its matches. */
const parts = computed(() => cutAtRanges(props.row.title, props.row.titleRanges))
const matches = computed(() => gradesInWords(props.row.matches))
const moved = computed(() => movedWords(props.row))
const note = computed(() => noteOf(props.row))
</script>

<template>
  <tbody :class="{ off: row.off, soft: row.soft !== null && !row.off }">
    <tr data-test="rival" :aria-rowindex="index">
      <td class="rank figure">
        {{ row.rank }}<small v-if="moved" :title="moved.words">{{ moved.text }}</small>
      </td>
      <td class="title">
        <div class="line">
          <img v-if="row.thumbnail" :src="row.thumbnail" alt="" width="48" height="27" />
          <div class="texts">
            <button
              class="plain clip"
              :aria-expanded="open"
              :title="row.title"
              data-test="open-rival"
              @click="emit('open', row.videoId)"
            >
              <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="open ? mdiChevronDown : mdiChevronRight" /></svg
              ><span
                v-for="(part, i) in parts"
                :key="i"
                :class="part.marked ? (row.matches.title === 'exact' ? 'match-exact' : 'match-close') : undefined"
                >{{ part.text }}</span
              >
            </button>
            <div class="small muted under">
              <span class="channel" :title="row.channel.title">{{ row.channel.title }}</span><span
                v-if="note"
                class="note"
                :class="{ upset: row.upset && !row.off }"
                :title="note"
                >· {{ note }}</span
              >
            </div>
          </div>
        </div>
      </td>
      <td class="figure" :title="inFull(row.channel.subscribers, 'subscribers')">
        {{ row.channel.subscribers === null ? UNKNOWN : rounded(row.channel.subscribers) }}
      </td>
      <td class="figure" :title="inFull(row.views, 'views')">{{ rounded(row.views) }}</td>
      <td class="figure" :title="inFull(row.viewsPerDay, 'views a day')">
        {{ row.viewsPerDay === null ? UNKNOWN : rounded(Math.round(row.viewsPerDay)) }}
      </td>
      <td class="figure" :title="row.publishedAt === null ? 'unknown' : `published ${dateOnly(row.publishedAt)}`">
        {{ age === null ? UNKNOWN : shortAge(age) }}
      </td>
      <td class="figure">{{ lengthWords(row.durationSeconds) }}</td>
      <td class="figure" :title="likesInWords(row)">{{ rounded(row.likes) }}</td>
      <td class="figure" :title="inFull(row.comments, 'comments')">{{ rounded(row.comments) }}</td>
      <td class="words">
        <span v-for="each in matches" :key="each.where" :title="each.words"
          ><ShellShape :state="each.state" :label="each.words"
        /></span>
      </td>
      <td
        class="figure"
        :title="earned === null ? 'unknown' : `${earned.toFixed(1)} % of the rule set for this phrase`"
        data-test="earned"
      >
        {{ earned === null ? UNKNOWN : `${Math.floor(earned)} %` }}
      </td>
      <td class="strength">
        <div class="gauge">
          <div class="bar" :title="strengthInWords(row)" :style="{ '--part': row.strength }">
            <i v-if="own !== null" :style="{ left: `${own * 100}%` }" />
          </div>
          <span class="figure">{{ row.strength.toFixed(2) }}</span>
        </div>
      </td>
      <td class="act">
        <button
          class="plain sign"
          :aria-label="row.off ? `Restore ${row.title}` : `Exclude ${row.title}: it is off topic`"
          :title="row.off ? 'Restore this result' : 'Off topic: exclude this result'"
          data-test="off-topic"
          @click="rivals.setExcluded([row], !row.off)"
        >
          <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="row.off ? mdiUndoVariant : mdiEyeOffOutline" /></svg>
        </button>
      </td>
    </tr>
    <tr v-if="open">
      <td :colspan="columns" class="full"><LazyRivalsVideo :row="row" /></td>
    </tr>
  </tbody>
</template>

<style scoped>
/* Drawn here: a page has sixty rows, and this is two components less in each. */
.clip svg,
.sign svg {
  display: inline-block;
  width: 14px;
  height: 14px;
  fill: currentColor;
  vertical-align: middle;
}
.sign svg {
  width: 16px;
  height: 16px;
}
td {
  padding: 3px 4px;
  border-bottom: 1px solid var(--line);
  text-align: end;
  white-space: nowrap;
  font-size: 12.5px;
}
td.title {
  text-align: start;
}
.rank small {
  display: block;
  font-size: 10px;
  color: var(--muted);
}
.line {
  display: flex;
  gap: 8px;
  align-items: center;
}
.line img {
  border-radius: 2px;
  flex: none;
}
.texts {
  min-width: 0;
  flex: 1;
}
.clip {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  max-width: 100%;
  padding-bottom: 4px;
  margin-bottom: -3px;
}
.under {
  display: flex;
  gap: 4px;
}
.channel {
  flex: 0 1 auto;
  min-width: 56px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.note {
  color: var(--teal);
  flex: none;
  max-width: calc(100% - 60px);
  overflow: hidden;
  text-overflow: ellipsis;
}
.note.upset {
  color: var(--plum);
}
.words {
  text-align: center;
}
.words span + span {
  margin-left: 4px;
}
.gauge {
  display: flex;
  gap: 6px;
  align-items: center;
}
.bar {
  position: relative;
  flex: 1;
  height: 8px;
  --fill: color-mix(in srgb, var(--teal) 55%, var(--surface));
  background: linear-gradient(var(--fill), var(--fill)) left / calc(var(--part) * 100%) 100% no-repeat
    color-mix(in srgb, var(--line) 50%, transparent);
}
.bar i {
  position: absolute;
  top: -17px;
  bottom: -17px;
  width: 0;
  border-left: 2px dashed var(--ochre);
}
.sign {
  width: 26px;
  height: 26px;
  border-radius: 50%;
}
.sign:hover {
  background: color-mix(in srgb, var(--line) 50%, transparent);
}
.off td {
  opacity: 0.5;
}
.off .texts button {
  text-decoration: line-through;
}
.full {
  text-align: start;
  white-space: normal;
  background: var(--paper);
  padding: 10px 14px;
}
@media screen {
  tbody {
    display: block;
    /* Out of sight it is neither laid out nor painted, nor known to screen readers: the table says how many rows. */
    content-visibility: auto;
    contain-intrinsic-block-size: auto 42px;
  }
  tr {
    display: grid;
    grid-template-columns: var(--ladder-columns);
    align-items: center;
    border-bottom: 1px solid var(--line);
  }
  td {
    min-width: 0;
    border: none;
  }
  .full {
    grid-column: 1 / -1;
  }
}
</style>
