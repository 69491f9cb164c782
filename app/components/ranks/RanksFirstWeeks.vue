<script setup lang="ts">
import { computed } from 'vue'
import {
  LEAST_DAYS,
  LEAST_VIDEOS,
  type FirstWeeks,
  type FunnelStep,
  type StepComparison,
} from '../../../core/ranks/firstWeeks'
import { counted, percent, rounded } from '~/composables/figures'

/** Was it shown, was it clicked when shown, was it watched when clicked: beside the channel's other videos. */
const props = defineProps<{
  weeks: FirstWeeks | null
  /** The brief that the video was made from. */ brief: string | null
}>()
const NAMES: Record<FunnelStep, { title: string; unit: string }> = {
  shown: { title: 'Shown', unit: 'times a day' },
  clicked: { title: 'Clicked when shown', unit: 'of the times it was shown' },
  watched: { title: 'Watched when clicked', unit: 'of its length by a view' },
}
/** What each shortfall says, and where it is seen to. */
const SAID: Record<
  FunnelStep,
  { text: string; links: { path: string; query?: Record<string, string>; title: string }[] }
> = {
  shown: {
    text: 'It is shown less than your others. Look at the phrases it is written for.',
    links: [
      { path: '/desk', title: 'Phrases in their places' },
      { path: '/demand', title: 'Find phrases' },
    ],
  },
  clicked: {
    text: 'It is shown, but fewer choose it: perhaps title or thumbnail do not say why.',
    links: [
      { path: '/release', query: { part: 'thumbnail' }, title: 'Thumbnail' },
      { path: '/desk', title: 'Title' },
    ],
  },
  watched: {
    text: 'It is clicked, but left sooner: perhaps the video does not begin with what title and thumbnail promise.',
    links: [{ path: '/desk', query: { part: 'spoken' }, title: 'What is spoken' }],
  },
}
const value = ({ step }: StepComparison, of: number) =>
  step === 'shown' ? `${rounded(of)} a day` : of < 0.1 ? `${(of * 100).toFixed(1)} %` : percent(of)
const times = (ratio: number) => (ratio >= 10 ? ratio.toFixed(0) : ratio.toFixed(2))
const lineSaid = ({ ratio, low, high }: StepComparison) =>
  `${times(ratio)} times the usual, 90 % interval ${times(low)} to ${times(high)}`
const unknown = computed(() => {
  const { weeks } = props
  if (!weeks) return 'It is not known when this video came out.'
  if (weeks.unknown === 'too-early') return `Too early: this is said after ${counted(LEAST_DAYS, 'day')}.`
  if (weeks.unknown === 'no-days') return `Not enough is known of its first ${counted(weeks.days, 'day')}.`
  if (weeks.unknown === 'few-videos')
    return `Fewer than ${LEAST_VIDEOS} of your other videos are known at this age: there is no usual to compare with.`
  return ''
})
/** Where a ratio and its interval lie on a line from a fifth to five times, as parts of it. */
const place = (ratio: number) => {
  const within = Math.min(5, Math.max(0.2, ratio))
  return `${(100 * (Math.log(within) / Math.log(25) + 0.5)).toFixed(1)}%`
}
</script>

<template>
  <section class="part" aria-labelledby="first-weeks" data-test="first-weeks">
    <h2 id="first-weeks">
      {{ weeks && !weeks.unknown ? `First ${counted(weeks.days, 'day')}` : 'First weeks' }}
      <span class="small muted">beside your other videos at that age</span>
    </h2>
    <p v-if="unknown" class="muted">{{ unknown }}</p>
    <template v-else>
      <dl>
        <template v-for="each in weeks!.steps" :key="each.step">
          <dt>{{ NAMES[each.step].title }}</dt>
          <dd class="figure own" :title="`${each.own} ${NAMES[each.step].unit}`" :data-test="`step-${each.step}`">
            {{ value(each, each.own) }}
          </dd>
          <dd class="line" aria-hidden="true" :title="lineSaid(each)">
            <i class="one" /><i
              class="span"
              :style="{ left: place(each.low), right: `calc(100% - ${place(each.high)})` }"
            /><i class="dot" :class="{ below: each.below }" :style="{ left: place(each.ratio) }" />
          </dd>
          <dd class="small muted">
            usual {{ value(each, each.usual) }}; {{ times(each.ratio) }} × ({{ times(each.low) }} to
            {{ times(each.high) }}), {{ counted(each.of, 'video') }}{{ each.below ? ': clearly less' : '' }}
          </dd>
        </template>
      </dl>
      <p v-if="weeks!.cause" class="cause" data-test="cause">
        <strong>{{ SAID[weeks!.cause].text }}</strong>
        <template v-if="brief"
          ><NuxtLink
            v-for="link in SAID[weeks!.cause].links"
            :key="link.title"
            :to="{ path: link.path, query: { ...link.query, brief } }"
            >{{ link.title }}</NuxtLink
          ></template
        >
      </p>
      <p v-else class="muted" data-test="cause">None of this lies clearly below what is usual for your channel.</p>
    </template>
  </section>
</template>

<style scoped>
dl {
  margin: 0;
  display: grid;
  grid-template-columns: auto max-content minmax(60px, 1fr);
  gap: 2px 12px;
  align-items: center;
}
dt {
  font-weight: 500;
}
dd {
  margin: 0;
}
.own {
  text-align: end;
}
.line {
  position: relative;
  height: 18px;
  border-bottom: 1px solid var(--line);
}
dd.small {
  grid-column: 1 / -1;
  margin-bottom: 6px;
}
.line i {
  position: absolute;
  bottom: -1px;
}
.one {
  left: 50%;
  height: 14px;
  border-left: 1px dashed var(--muted);
}
.span {
  height: 3px;
  background: var(--muted);
  bottom: 2px !important;
  opacity: 0.6;
}
.dot {
  width: 11px;
  height: 11px;
  margin-left: -5px;
  bottom: -2px !important;
  border-radius: 50%;
  background: var(--teal);
}
.dot.below {
  background: var(--surface);
  border: 3px solid var(--teal);
}
.cause a {
  margin-inline-start: 10px;
}
</style>
