<script setup lang="ts">
import { computed } from 'vue'
import type { Proposal } from '../../../core/next/proposal'
import { inFull } from '~/composables/figures'
import { proposalWords, stakeOf } from '~/composables/proposalWords'

/** Something worth doing: what, why, and where. */
const props = defineProps<{ proposal: Proposal; off?: boolean }>()
const emit = defineEmits<{ off: [days: number | null]; takeUp: [] }>()
const words = computed(() => proposalWords(props.proposal))
const stake = computed(() => stakeOf(props.proposal))
const WEEK = 7
</script>

<template>
  <li class="row sheet" data-test="next-row">
    <p class="stake" :title="proposal.views === null ? undefined : inFull(proposal.views, 'views a month')">
      <b class="figure">{{ stake.figure }}</b><span class="small muted">{{ stake.of }}</span>
    </p>
    <div class="said">
      <h2>{{ words.what }}</h2>
      <p class="about">{{ proposal.title || 'Untitled' }}</p>
      <p class="small muted">{{ words.why }}</p>
      <details class="small">
        <summary>How it is worked out</summary>
        <p>{{ words.working }}</p>
      </details>
    </div>
    <div class="acts">
      <v-btn v-if="off" size="small" variant="outlined" data-test="next-take-up" @click="emit('takeUp')"
        >Put back</v-btn
      >
      <template v-else>
        <v-btn size="small" variant="flat" color="primary" :to="words.to" data-test="next-act">{{ words.act }}</v-btn>
        <span class="later">
          <button class="plain small link" data-test="next-off" @click="emit('off', WEEK)">Put off for a week</button>
          <button class="plain small link" data-test="next-never" @click="emit('off', null)">Not again</button>
        </span>
      </template>
    </div>
  </li>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr) auto;
  gap: 6px 16px;
  padding: 12px 16px;
  align-items: start;
}
.stake {
  display: grid;
  justify-items: end;
  text-align: right;
}
.stake .figure {
  font-size: 20px;
  line-height: 1.2;
}
.said {
  display: grid;
  gap: 2px;
}
summary {
  cursor: pointer;
}
.acts {
  display: grid;
  justify-items: end;
  gap: 8px;
}
.later {
  display: flex;
  gap: 14px;
}
@media (max-width: 760px) {
  .row {
    grid-template-columns: minmax(0, 1fr);
  }
  .stake {
    display: flex;
    align-items: baseline;
    gap: 6px;
    justify-self: start;
  }
  .acts {
    justify-items: start;
  }
}
</style>
