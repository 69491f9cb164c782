<script setup lang="ts">
import { computed } from 'vue'
import { rankDay } from '../../../core/ranks/standing'
import { inDigits } from '../../../core/text/inWords'
import type { Trial } from '../../../shared/trials'
import { COMPARED_NAMES } from '~/composables/comparedWords'
import { counted, dateOnly, dayOnly } from '~/composables/figures'
import { checkTitle } from '~/composables/manyEditWords'
import { trialSaid, trialWorking } from '~/composables/trialWords'
import { useTrials } from '~/stores/trials'

/** A trial: its waves, each begun by a person, and its answer. */
const props = defineProps<{ trial: Trial; now: number }>()
const trials = useTrials()
const next = computed(() => props.trial.waves.findIndex(({ begunAt }) => begunAt === null))
const isUnderWay = computed(() => props.trial.stoppedAt === null && !props.trial.answer)
type Wave = Trial['waves'][number]
/** What became of a wave's videos. */
function came({ run, videos }: Wave): string {
  if (!run) return `${counted(videos.length, 'video')} changed`
  const parts = [
    [run.changed, 'changed'],
    [run.undone, 'taken back'],
    [run.kept, 'could not be changed'],
    [run.waiting, 'waiting'],
  ] as const
  return parts
    .filter(([n]) => n > 0)
    .map(([n, what]) => `${inDigits(n)} ${what}`)
    .join(', ')
}
</script>

<template>
  <section aria-labelledby="trial-name" data-test="trial">
    <h2 id="trial-name">{{ checkTitle(trial.check) }}</h2>
    <p class="small muted">
      Begun {{ dateOnly(trial.at) }}, by {{ trial.ruleSet }}. {{ counted(trial.pairs, 'pair') }};
      {{ COMPARED_NAMES[trial.outcome].toLowerCase() }} compared for {{ counted(trial.weeks, 'week') }} before and
      after.
    </p>
    <p class="said" role="status" data-test="trial-said">{{ trialSaid(trial, now) }}.</p>
    <template v-if="trial.answer">
      <ShellInterval
        v-if="trial.answer.effect"
        :low="Math.log(trial.answer.effect.low)"
        :high="Math.log(trial.answer.effect.high)"
        :value="Math.log(trial.answer.effect.times)"
        :reach="Math.max(Math.log(2), -Math.log(trial.answer.effect.low), Math.log(trial.answer.effect.high))"
        :clear="trial.answer.state !== 'unclear'"
      />
      <p class="small">{{ trialWorking(trial) }}</p>
      <RanksTrialWeight
        v-if="trial.answer.state === 'more' || trial.answer.state === 'less'"
        :check="trial.check"
        :effect="trial.answer.effect!"
      />
    </template>
    <p v-else-if="isUnderWay && next < 0" class="small muted">
      It is not looked at before: seen day by day, something would be found by chance.
    </p>
    <ol class="waves">
      <li v-for="(wave, i) in trial.waves" :key="i" data-test="trial-wave">
        <p>
          <strong>Wave {{ i + 1 }}</strong
          >{{ ' '
          }}<span class="muted small">{{
            wave.begunAt === null
              ? `due ${dayOnly(rankDay(wave.dueAt))}`
              : `${dayOnly(rankDay(wave.begunAt))}: ${came(wave)}`
          }}</span>
          <span v-if="wave.run?.job" class="small" role="status">{{ ' ' }}at work</span>
        </p>
        <details class="small">
          <summary>{{ counted(wave.videos.length, 'video') }}</summary>
          <ul>
            <li v-for="each in wave.videos" :key="each.videoId">
              <NuxtLink class="link" :to="{ path: '/ranks', query: { video: each.videoId, view: 'views' } }">{{
                each.title
              }}</NuxtLink>
              <span class="muted"> beside {{ each.beside }}</span>
            </li>
          </ul>
        </details>
        <v-btn
          v-if="isUnderWay && i === next"
          variant="flat"
          color="primary"
          size="small"
          :disabled="wave.dueAt > now"
          :loading="trials.busy"
          data-test="trial-begin"
          @click="trials.beginWave(trial)"
          >Change {{ counted(wave.videos.length, 'video') }} on the site</v-btn
        >
      </li>
    </ol>
    <p v-if="trial.disturbed" class="small">
      In {{ counted(trial.disturbed, 'pair') }} one of the two was changed otherwise: they tell nothing.
    </p>
    <p class="acts small">
      <button v-if="isUnderWay" class="plain link" data-test="trial-stop" @click="trials.stop(trial)">
        Give it up
      </button>
      <NuxtLink
        v-if="trial.waves.some(({ begunAt }) => begunAt !== null)"
        class="link"
        :to="{ path: '/ranks', query: { view: 'many' } }"
        >Take changes back</NuxtLink
      >
    </p>
  </section>
</template>

<style scoped>
.said {
  font-weight: 600;
}
.waves {
  list-style: none;
  margin: 0;
  padding: 0;
}
.waves > li {
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
  display: grid;
  gap: 4px;
  justify-items: start;
}
.acts {
  display: flex;
  gap: 14px;
}
</style>
