<script setup lang="ts">
import { mdiChevronDown, mdiChevronRight, mdiEyeOffOutline, mdiUndoVariant } from '@mdi/js'
import { computed } from 'vue'
import { UPSET_WORDS } from '../../../core/rivals/upsets'
import type { ResultsAnswer, RivalRow } from '../../../shared/rivals'
import { ageWords, dateOnly, inFull, lengthWords, percent, rounded, UNKNOWN } from '~/composables/figures'
import { useRivals } from '~/stores/rivals'

const props = defineProps<{ page: ResultsAnswer }>()
const rivals = useRivals()
const route = useRoute()
const opened = computed(() => (typeof route.query.video === 'string' ? route.query.video : null))
const sort = computed(() => {
  const [key = 'rank', direction = 'asc'] = (
    typeof route.query.order === 'string' ? route.query.order : 'rank:asc'
  ).split(':')
  return { key, direction }
})
const set = useAddress()
const DAY = 86_400_000

const age = (row: RivalRow) => (row.publishedAt === null ? null : (props.page.at - row.publishedAt) / DAY)
const COLUMNS: { key: string; title: string; hint?: string; of: (row: RivalRow) => number | string | null }[] = [
  { key: 'rank', title: 'Rank', of: row => row.rank },
  { key: 'title', title: 'Title and channel', of: row => row.title },
  { key: 'subscribers', title: 'Subs', hint: 'Subscribers of the channel', of: row => row.channel.subscribers },
  { key: 'views', title: 'Views', of: row => row.views },
  { key: 'daily', title: 'A day', hint: 'Views a day over its life', of: row => row.viewsPerDay },
  { key: 'age', title: 'Age', of: age },
  { key: 'length', title: 'Length', of: row => row.durationSeconds },
  { key: 'likes', title: 'Likes', of: row => row.likes },
  { key: 'comments', title: 'Cmts', hint: 'Comments', of: row => row.comments },
  {
    key: 'words',
    title: 'Words',
    hint: 'Match of the phrase in title, first line and best tag',
    of: row => row.targeting,
  },
  {
    key: 'strength',
    title: 'Strength',
    hint: 'Strength of the result, 0 to 1; the line marks my channel',
    of: row => row.strength,
  },
]
const rows = computed(() => {
  const column = COLUMNS.find(each => each.key === sort.value.key) ?? COLUMNS[0]!
  const sign = sort.value.direction === 'desc' ? -1 : 1
  return [...props.page.rows].sort((a, b) => {
    const [x, y] = [column.of(a), column.of(b)]
    if (x === null || y === null) return Number(x === null) - Number(y === null) || a.rank - b.rank
    return (x < y ? -1 : x > y ? 1 : 0) * sign || a.rank - b.rank
  })
})
function sortBy(key: string) {
  const first = key === 'rank' || key === 'title' ? 'asc' : 'desc'
  const next = sort.value.key === key ? (sort.value.direction === 'asc' ? 'desc' : 'asc') : first
  void set({ order: key === 'rank' && next === 'asc' ? undefined : `${key}:${next}` })
}
const own = computed(() => props.page.reading.own?.strength ?? null)

/** A title cut at its matches. */
function parts(row: RivalRow): { text: string; match: boolean }[] {
  const cut: { text: string; match: boolean }[] = []
  let at = 0
  for (const { start, end } of [...row.titleRanges].sort((a, b) => a.start - b.start)) {
    if (start < at) continue
    if (start > at) cut.push({ text: row.title.slice(at, start), match: false })
    cut.push({ text: row.title.slice(start, end), match: true })
    at = end
  }
  if (at < row.title.length) cut.push({ text: row.title.slice(at), match: false })
  return cut
}
const GRADE_WORDS = {
  exact: 'word for word',
  inflected: 'with other endings',
  ordered: 'in order',
  scattered: 'scattered',
  fragment: 'a part of it',
  none: 'not at all',
}
const stateOf = (grade: RivalRow['matches']['title'] | null): 'met' | 'partly' | 'missing' | 'n/a' =>
  grade === null ? 'n/a' : grade === 'exact' || grade === 'inflected' ? 'met' : grade === 'none' ? 'missing' : 'partly'
const matches = (row: RivalRow) =>
  (
    [
      ['title', row.matches.title],
      ['first line', row.matches.firstLine],
      ['best tag', row.matches.tag],
    ] as const
  ).map(([where, grade]) => ({
    where,
    state: stateOf(grade),
    words: `${where}: ${grade === null ? 'not told' : GRADE_WORDS[grade]}`,
  }))
function moved(row: RivalRow): { text: string; words: string } | null {
  if (row.before === undefined) return null
  if (row.before === null) return { text: 'new', words: 'was not on the page at the look before' }
  if (row.before === row.rank) return null
  return row.before > row.rank
    ? { text: `↑${row.before - row.rank}`, words: `rose from ${row.before}` }
    : { text: `↓${row.rank - row.before}`, words: `fell from ${row.before}` }
}
function note(row: RivalRow): string {
  if (row.off) return 'taken out'
  if (row.upset)
    return `upset: ${row.timesExpected!.toFixed(0)} × the views expected for its size${row.upsetReason ? `, ${UPSET_WORDS[row.upsetReason]}` : ''}`
  return row.soft?.length ? `weak result: ${row.soft.join(', ')}` : row.soft ? 'weak result' : ''
}
</script>

<template>
  <div class="sheet frame">
    <table data-test="ladder" aria-label="Results">
      <thead>
        <tr>
          <th
            v-for="column in COLUMNS"
            :key="column.key"
            scope="col"
            :class="column.key"
            :aria-sort="sort.key === column.key ? (sort.direction === 'asc' ? 'ascending' : 'descending') : undefined"
          >
            <button class="plain" :title="column.hint" :data-test="`order-${column.key}`" @click="sortBy(column.key)">
              {{ column.title
              }}<span aria-hidden="true">{{
                sort.key === column.key ? (sort.direction === 'asc' ? ' ↑' : ' ↓') : ''
              }}</span>
            </button>
          </th>
          <th scope="col" class="act"><span class="unseen">Do</span></th>
        </tr>
      </thead>
      <tbody v-for="row in rows" :key="row.videoId" :class="{ off: row.off, soft: row.soft !== null && !row.off }">
        <tr data-test="rival">
          <td class="rank figure">
            {{ row.rank }}<small v-if="moved(row)" :title="moved(row)!.words">{{ moved(row)!.text }}</small>
          </td>
          <td class="title">
            <div class="line">
              <img v-if="row.thumbnail" :src="row.thumbnail" alt="" width="48" height="27" />
              <div class="texts">
                <button
                  class="plain clip"
                  :aria-expanded="opened === row.videoId"
                  :title="row.title"
                  data-test="open-rival"
                  @click="set({ video: opened === row.videoId ? undefined : row.videoId })"
                >
                  <v-icon :icon="opened === row.videoId ? mdiChevronDown : mdiChevronRight" size="14" /><span
                    v-for="(part, i) in parts(row)"
                    :key="i"
                    :class="part.match ? (row.matches.title === 'exact' ? 'match-exact' : 'match-close') : undefined"
                    >{{ part.text }}</span
                  >
                </button>
                <div class="small muted under">
                  <span class="channel" :title="row.channel.title">{{ row.channel.title }}</span><span
                    v-if="note(row)"
                    class="note"
                    :class="{ upset: row.upset && !row.off }"
                    :title="note(row)!"
                    >· {{ note(row) }}</span
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
            {{
              age(row) === null
                ? UNKNOWN
                : ageWords(age(row)!)
                    .replace(' days', ' d')
                    .replace(' day', ' d')
                    .replace(' months', ' mo')
                    .replace(' years', ' y')
            }}
          </td>
          <td class="figure">{{ lengthWords(row.durationSeconds) }}</td>
          <td class="figure" :title="inFull(row.likes, 'likes')">{{ rounded(row.likes) }}</td>
          <td class="figure" :title="inFull(row.comments, 'comments')">{{ rounded(row.comments) }}</td>
          <td class="words">
            <span v-for="each in matches(row)" :key="each.where" :title="each.words"
              ><DeskShape :state="each.state" :label="each.words"
            /></span>
          </td>
          <td class="strength">
            <div class="gauge">
              <div
                class="bar"
                :title="`${row.strength.toFixed(3)}: wording ${row.targeting.toFixed(2)}, reach ${row.reach?.toFixed(2) ?? 'unknown'}, pull ${row.pull?.toFixed(2) ?? 'unknown'}${row.ahead === null ? '' : `; stays ahead of mine with ${percent(row.ahead)}`}`"
              >
                <span :style="{ width: `${row.strength * 100}%` }" /><i
                  v-if="own !== null"
                  :style="{ left: `${own * 100}%` }"
                />
              </div>
              <span class="figure">{{ row.strength.toFixed(2) }}</span>
            </div>
          </td>
          <td class="act">
            <v-btn
              size="x-small"
              :icon="row.off ? mdiUndoVariant : mdiEyeOffOutline"
              :aria-label="row.off ? `Restore ${row.title}` : `Exclude ${row.title}: it is off topic`"
              :title="row.off ? 'Restore this result' : 'Off topic: exclude this result'"
              data-test="off-topic"
              @click="rivals.setOff([row], !row.off)"
            />
          </td>
        </tr>
        <tr v-if="opened === row.videoId">
          <td :colspan="COLUMNS.length + 1" class="full"><LazyRivalsVideo :row="row" /></td>
        </tr>
      </tbody>
    </table>
    <p v-if="!page.rows.length" class="empty muted">No results yet for this phrase.</p>
  </div>
</template>

<style scoped>
.frame {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}
th,
td {
  padding: 3px 4px;
  border-bottom: 1px solid var(--line);
  text-align: end;
  white-space: nowrap;
  font-size: 12.5px;
}
th {
  position: sticky;
  top: 0;
  background: var(--paper);
  z-index: 2;
  color: var(--muted);
  font-size: 12px;
  font-weight: 600;
  height: 32px;
  width: 50px;
}
th.rank {
  width: 46px;
}
th.title,
td.title {
  text-align: start;
  width: auto;
}
th.comments,
th.likes {
  width: 42px;
}
th.words {
  width: 58px;
  text-align: center;
}
th.strength {
  width: 112px;
}
th.act {
  width: 34px;
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
  flex: 0 1 auto;
  max-width: calc(100% - 60px);
  overflow: hidden;
  text-overflow: ellipsis;
  flex-shrink: 0;
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
  background: color-mix(in srgb, var(--line) 50%, transparent);
}
.bar span {
  position: absolute;
  inset: 0 auto 0 0;
  background: color-mix(in srgb, var(--teal) 55%, var(--surface));
}
.bar i {
  position: absolute;
  top: -17px;
  bottom: -17px;
  width: 0;
  border-left: 2px dashed var(--ochre);
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
.empty {
  padding: 24px;
}
</style>
