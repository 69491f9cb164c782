<script setup lang="ts">
import { computed } from 'vue'
import { LEAST_PAIRS, TRIAL_WAVES } from '../../../core/ranks/trial'
import { inDigits } from '../../../core/text/inWords'
import { counted } from '~/composables/figures'
import { checkTitle } from '~/composables/manyEditWords'
import { useTrials } from '~/stores/trials'

/** The changes of a question, each looked at before a trial is drawn. */
const trials = useTrials()
defineEmits<{ start: [] }>()
const pairs = computed(() => Math.floor(trials.chosen.length / 2))
const WAVES = Array.from({ length: TRIAL_WAVES.most }, (_, i) => ({
  value: i + 1,
  title: i ? `${i + 1} waves` : 'At once',
}))
</script>

<template>
  <section aria-labelledby="trial-look" class="look">
    <h2 id="trial-look">{{ checkTitle(trials.of!.check) }}</h2>
    <ShellFailed v-if="trials.looked.problem" :problem="trials.looked.problem" @again="trials.looked.load()" />
    <p v-else-if="!trials.looked.answer" class="small muted" role="status">Looking at your videos…</p>
    <p v-else-if="!trials.fits.length" class="small" data-test="trial-none">
      No video can take part in this one now. Choose another question.
    </p>
    <template v-else>
      <p class="small" data-test="trial-told">
        This is how {{ counted(trials.fits.length, 'video') }} would be changed. Leave out what you do not want changed;
        half of the rest is drawn and changed, the others stay as they are.
      </p>
      <RanksFits :fits="trials.fits" :left="trials.left" named="trial-fit" @toggle="trials.toggle" />
      <div class="acts">
        <v-select
          v-model="trials.terms.waves"
          :items="WAVES"
          label="Changed in"
          density="compact"
          variant="outlined"
          hide-details
          class="waves"
          data-test="trial-waves"
        />
        <v-btn
          variant="flat"
          color="primary"
          :disabled="pairs < LEAST_PAIRS"
          :loading="trials.busy"
          data-test="trial-start"
          @click="$emit('start')"
          >Draw {{ counted(pairs, 'pair') }}</v-btn
        ><span class="small muted">{{
          pairs < LEAST_PAIRS
            ? `At least ${inDigits(2 * LEAST_PAIRS)} videos are needed.`
            : 'Nothing is changed by it. Waves are a week apart, so that no single day decides.'
        }}</span>
      </div>
    </template>
  </section>
</template>

<style scoped>
.look {
  display: flex;
  flex-direction: column;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}
.waves {
  flex: 0 0 150px;
}
</style>
