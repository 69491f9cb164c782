<script setup lang="ts">
import { onBeforeUnmount } from 'vue'
import { LEAST_OUTCOMES, type OutcomeKind, type PointsRelation } from '../../../core/ranks/pointsAndOutcomes'
import { counted } from '~/composables/figures'
import { usePoints } from '~/stores/points'

/** Whether points under each rule set mean anything for the channel’s own videos. */
const points = usePoints()
onBeforeUnmount(points.follow())
const NAMES: Record<OutcomeKind, { title: string; more: string; less: string; beside: string }> = {
  views: {
    title: 'Views of the first 28 days',
    more: 'more views with more points',
    less: 'fewer views with more points',
    beside: 'beside when it came out and how much its lead is searched',
  },
  clickRate: {
    title: 'Click rate',
    more: 'clicked more with more points',
    less: 'clicked less with more points',
    beside: 'beside when it came out',
  },
  rank: {
    title: 'Rank for its lead after 28 days',
    more: 'stands higher with more points',
    less: 'stands lower with more points',
    beside: 'beside when it came out and how hard its lead is',
  },
}
const KINDS = Object.keys(NAMES) as OutcomeKind[]
const said = ({ outcome, verdict }: PointsRelation) =>
  verdict === 'few'
    ? 'too few videos'
    : verdict === 'none'
      ? 'no clear relation'
      : NAMES[outcome][verdict === 'more' ? 'more' : 'less']
const signed = (r: number) => `${r > 0 ? '+' : r < 0 ? '−' : ''}${Math.abs(r).toFixed(2)}`
const exact = ({ outcome, n, r, low, high, q }: PointsRelation) =>
  r === null
    ? `${counted(n, 'video')} of which it is known; it takes ${LEAST_OUTCOMES}, and points that differ.`
    : `Rank correlation ${signed(r)} (95 %: ${signed(low!)} to ${signed(high!)}) over ${counted(n, 'video')}, ${NAMES[outcome].beside}; q ${q! < 0.001 ? 'under .001' : q!.toFixed(3)}.`
</script>

<template>
  <ShellFailed v-if="points.problem" :problem="points.problem" @again="points.load()" />
  <template v-else-if="!points.answer">
    <p class="small muted" role="status">Scoring your videos under each rule set…</p>
    <v-skeleton-loader type="table-row@5" class="sheet" />
  </template>
  <section v-else class="sheet part" aria-labelledby="points-title" data-test="points">
    <h2 id="points-title">Do my points mean anything?</h2>
    <p class="small muted">
      {{ counted(points.answer.videos, 'video') }} of yours whose first 28 days are over, by title, description and tags
      as they are now. Right of the line it goes better with more points, left of it worse; filled where there is little
      doubt.
    </p>
    <div class="wide">
      <table>
        <thead>
          <tr>
            <th scope="col">Rule set</th>
            <th v-for="kind in KINDS" :key="kind" scope="col">{{ NAMES[kind].title }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="set in points.answer.sets" :key="set.id" data-test="points-set">
            <th scope="row">{{ set.name }}</th>
            <td v-for="each in set.outcomes" :key="each.outcome">
              <span class="relation" role="img" :title="exact(each)" :aria-label="`${said(each)}. ${exact(each)}`">
                <ShellInterval
                  v-if="each.r !== null"
                  :value="each.r"
                  :low="each.low!"
                  :high="each.high!"
                  :reach="1"
                  :clear="each.verdict === 'more' || each.verdict === 'less'"
                />
                <span class="small" :class="{ muted: each.verdict === 'none' || each.verdict === 'few' }">{{
                  said(each)
                }}</span>
              </span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <details class="small">
      <summary>How it is worked out</summary>
      <p>
        The rank correlation of points and outcome over your videos, with what release, searches or difficulty let
        expect of both taken out, its 95 % interval, and the share of false alarms among all that are as telling. Views
        and clicks of the first 28 days, where four in five of them are known; the rank 28 days after the release, or up
        to two weeks later. Texts that were changed since count as they are now. It is a relation, not a cause: before
        and after a change tells more.
      </p>
    </details>
  </section>
</template>

<style scoped>
.wide {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: start;
  padding: 8px 14px 8px 0;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
}
thead th {
  color: var(--muted);
  font-size: 12px;
  font-weight: 600;
}
tbody th {
  font-weight: 600;
}
.relation {
  display: inline-grid;
  gap: 2px;
}
</style>
