<script setup lang="ts">
import { computed, ref } from 'vue'
import { useWorkspace } from '~/stores/workspace'
import type { ResultsAnswer, Spreads } from '../../../shared/rivals'
import {
  ageWords,
  chanceText,
  counted,
  dateOnly,
  inFull,
  LEAST_MONEY,
  lengthWords,
  money,
  percent,
  rangeText,
  ranksText,
  rounded,
  unbroken,
  UNKNOWN,
} from '~/composables/figures'

const workspace = useWorkspace()
const props = defineProps<{ page: ResultsAnswer }>()
const open = ref(false)
const reading = computed(() => props.page.reading)
const NAMES: Record<Spreads['name'], string> = {
  views: 'Views',
  viewsPerDay: 'Views a day',
  subscribers: 'Subscribers',
  age: 'Age',
  length: 'Length',
}
const shown = (name: Spreads['name'], value: number) =>
  name === 'age' ? ageWords(value) : name === 'length' ? lengthWords(value) : rounded(Math.round(value))
/** Where a value stands in its spread, on a log scale since views and sizes span thousands. */
const place = ({ name, values }: Spreads, value: number) => {
  const scale = (v: number) => (name === 'age' || name === 'length' ? v : Math.log1p(v))
  const [low, high] = [scale(values[0]!), scale(values.at(-1)!)]
  return high > low ? ((scale(value) - low) / (high - low)) * 100 : 50
}
function spreadTitle({ name, median, low, high, values }: Spreads): string {
  const of = (value: number) => shown(name, value)
  const all = `${of(values[0]!)} to ${of(values.at(-1)!)}`
  return `median ${of(median)}; middle half ${of(low)} to ${of(high)}; all ${all}`
}
</script>

<template>
  <section class="sheet reading" aria-label="Summary of the results" data-test="reading">
    <p class="sentence">
      {{ unbroken(reading.sentence) }}
      <button class="plain link small" :aria-expanded="open" data-test="reading-working" @click="open = !open">
        {{ open ? 'hide the calculation' : 'how is this calculated?' }}
      </button>
    </p>
    <div class="row">
      <dl class="figures">
        <div v-if="page.difficulty">
          <dt>Difficulty</dt>
          <dd class="figure" :title="inFull(page.difficulty.page)">
            {{ Math.round(page.difficulty.page) }}
            <small
              :title="
                workspace.perspective === 'channel' && reading.forecast
                  ? 'for my channel, by its chance of page one'
                  : 'for anyone'
              "
              >{{
                hardness(
                  { difficulty: page.difficulty.page, chance: reading.forecast?.pageOne ?? null },
                  workspace.perspective,
                )
              }}</small
            >
          </dd>
        </div>
        <div v-if="page.difficulty">
          <dt title="Ranks 1–3, 4–10, 11–20">Front · middle · rest</dt>
          <dd class="figure">
            {{ Math.round(page.difficulty.front) }} · {{ Math.round(page.difficulty.middle) }} ·
            {{ Math.round(page.difficulty.rest) }}
          </dd>
        </div>
        <div v-if="reading.forecast">
          <dt>My likely ranks</dt>
          <dd class="figure" data-test="likely">
            {{ ranksText(reading.forecast.likely, reading.forecast.ranks.length) }}
            <small>page one {{ chanceText(reading.forecast.pageOne) }}</small>
          </dd>
        </div>
        <div v-if="reading.winnings">
          <dt>Views to win, 90 days</dt>
          <dd class="figure" :title="`${inFull(reading.winnings.expected)} expected`">
            {{ rangeText(reading.winnings, value => rounded(Math.round(value))) }}
          </dd>
        </div>
        <div v-if="reading.earnings">
          <dt>Earns about</dt>
          <dd class="figure" title="From the rate table of the workspace">
            {{
              rangeText(
                { low: reading.earnings.lowMicros, high: reading.earnings.highMicros },
                micros => money(micros, reading.earnings!.currency),
                LEAST_MONEY,
              )
            }}
          </dd>
        </div>
        <div>
          <dt title="Share of page one that changes in thirty days">Turnover</dt>
          <dd class="figure">{{ reading.turnover === null ? UNKNOWN : percent(reading.turnover) }}</dd>
        </div>
        <div v-if="page.titleMatches !== null">
          <dt title="Videos with the phrase in their title, as counted by the site">Rivals</dt>
          <dd class="figure">{{ rounded(page.titleMatches) }}</dd>
        </div>
      </dl>
      <dl class="spreads" aria-label="Page one, medians and middle halves">
        <div v-for="spread in reading.spreads" :key="spread.name">
          <dt>{{ NAMES[spread.name] }}</dt>
          <dd class="figure" :title="spreadTitle(spread)">
            <svg viewBox="0 0 100 16" preserveAspectRatio="none" aria-hidden="true">
              <line
                v-for="(value, i) in spread.values"
                :key="i"
                :x1="place(spread, value)"
                :x2="place(spread, value)"
                y1="4"
                y2="12"
                class="tick"
              />
              <rect
                :x="place(spread, spread.low)"
                y="6"
                :width="Math.max(1, place(spread, spread.high) - place(spread, spread.low))"
                height="4"
                class="half"
              />
              <line
                :x1="place(spread, spread.median)"
                :x2="place(spread, spread.median)"
                y1="0"
                y2="16"
                class="median"
              /></svg
            >{{ shown(spread.name, spread.median) }}
          </dd>
        </div>
      </dl>
    </div>
    <div v-if="open" class="working small" data-test="working">
      <p v-if="reading.learntFrom">
        The chance and the likely ranks are learnt from {{ counted(reading.learntFrom.pages, 'result page') }} on
        {{ dateOnly(reading.learntFrom.at) }}: what wording, subscribers, views and age are worth there. They are for a
        video with the phrase in title, first line and a tag, 28 days old, which does as my videos usually do.
        <template v-if="reading.learntFrom.constants !== null"
          >By the fixed weights of strength the chance would be
          {{ chanceText(reading.learntFrom.constants) }}.</template
        >
        The likely ranks are the fewest in a row that hold about half of all cases.<template
          v-if="reading.compared !== null && page.rows.length > 20"
        >
          Demand compares all phrases by their first 20 results; from these alone the chance is
          {{ chanceText(reading.compared) }}.</template
        >
      </p>
      <p v-else-if="reading.own && reading.forecast">
        A video of my channel with the phrase in title and description has strength
        <span class="figure">{{ reading.own.strength.toFixed(3) }}</span> = .45 × 1 for the wording<template
          v-if="reading.own.reach !== null"
        >
          + .25 × {{ reading.own.reach.toFixed(3) }} reach</template
        ><template v-if="reading.own.pull !== null"> + .30 × {{ reading.own.pull.toFixed(3) }} pull</template>. A single
        video can do better or worse than this. For each such case, every result stays ahead with a chance that depends
        on the difference in strength; from these the chance is added up. It counts
        {{ page.rows.filter(row => !row.off).length }} results<template v-if="page.more"
          >, and assumes that those not loaded are as strong as the last ten</template
        >. This is a rough estimate and is never shown as more than 97 %.<template
          v-if="reading.compared !== null && page.rows.length > 20"
        >
          Demand compares all phrases by their first 20 results; from these alone the chance is
          {{ chanceText(reading.compared) }}.</template
        >
      </p>
      <p v-if="reading.winnings">
        Views: {{ inFull(reading.volume) }} searches a month × 3 months × the share of searches each rank gets, over the
        likely ranks; {{ inFull(Math.round(reading.winnings.expected)) }} expected over all ranks.
      </p>
      <p>
        Difficulty: the mean strength of the twenty results, weighted by 1 ÷ log2(rank + 1).
        {{ reading.exactTitles }} titles and {{ reading.exactFirstLines }} first lines of page one contain the exact
        words. {{ counted(reading.pagesKept, 'complete result page') }} saved<template v-if="page.looks.length > 1"
          >, the earliest from {{ dateOnly(page.looks.at(-1)!.at) }}</template
        >. These results are from {{ dateOnly(page.at) }}, source: {{ page.source }}.
      </p>
      <p v-if="page.left.length">
        Dropped out since the previous check:
        <template v-for="(each, i) in page.left" :key="each.videoId"
          >{{ i ? '; ' : '' }}“{{ each.title }}” (was {{ each.before }})</template
        >.
      </p>
    </div>
  </section>
</template>

<style scoped>
.reading {
  padding: 8px 14px;
  display: grid;
  gap: 6px;
}
.sentence {
  font-size: 14.5px;
  line-height: 1.35;
}
.row {
  display: grid;
  gap: 4px;
}
.figures,
.spreads {
  display: flex;
  gap: 18px;
  margin: 0;
  flex-wrap: wrap;
}
dt {
  font-size: 11px;
  color: var(--muted);
  white-space: nowrap;
}
.figures dd {
  margin: 0;
  font-size: 16px;
  font-weight: 600;
  white-space: nowrap;
}
.figures small {
  font: 12px var(--sans);
  color: var(--muted);
}
.spreads {
  gap: 20px;
}
.spreads > div {
  display: flex;
  gap: 6px;
  align-items: center;
}
.spreads dd {
  margin: 0;
  font-size: 12px;
  display: flex;
  gap: 6px;
  align-items: center;
}
.spreads svg {
  display: block;
  width: 56px;
  height: 16px;
}
.tick {
  stroke: var(--muted);
  stroke-width: 0.8;
  opacity: 0.5;
  vector-effect: non-scaling-stroke;
}
.half {
  fill: color-mix(in srgb, var(--teal) 45%, transparent);
}
.median {
  stroke: var(--teal);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
.working {
  border-top: 1px solid var(--line);
  padding-top: 8px;
  display: grid;
  gap: 6px;
  color: var(--muted);
}
.link {
  color: var(--teal);
  text-decoration: underline;
}
</style>
