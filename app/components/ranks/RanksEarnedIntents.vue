<script setup lang="ts">
import { computed } from 'vue'
import { INTENT_WORDS, type Intent } from '../../../core/demand/intentNames'
import { between, KIND_NAMES, reckoned } from '~/composables/earnedWords'
import { rounded } from '~/composables/figures'
import { weighByEarnings } from '~/composables/worthWeights'
import { useEarnings } from '~/stores/earnings'
import { useWorkspace } from '~/stores/workspace'

/** What a view brings by what its searcher wants: does it pay more to be found by those who hire? */
const earned = useEarnings()
const workspace = useWorkspace()
const answer = computed(() => earned.answer!)
const many = computed(() => KIND_NAMES[answer.value.kind!].many.toLowerCase())
const intents = computed(() =>
  answer.value.intents
    .filter(({ intent, views }) => intent && views >= 1)
    .map(each => ({ ...each, intent: each.intent as Intent }))
    .sort((a, b) => b.rate.value - a.rate.value),
)
function weigh() {
  const rates = Object.fromEntries(intents.value.map(({ intent, rate }) => [intent, rate.value]))
  void weighByEarnings(workspace.id!, { intents: rates, other: answer.value.rate!.value })
}
</script>

<template>
  <section v-if="intents.length">
    <h2>By intent</h2>
    <table aria-label="What 1,000 views bring, by intent">
      <tbody>
        <tr v-for="{ intent, views, rate } in intents" :key="intent" data-test="earned-intent">
          <th scope="row">
            {{ INTENT_WORDS[intent] }}<span class="small muted views">{{ rounded(Math.round(views)) }} views</span>
          </th>
          <td class="end figure" :title="`${many} of 1,000 views; 95 times in 100 ${between(rate, 1000)}`">
            {{ reckoned(rate.value * 1000) }} <span class="small muted">{{ between(rate, 1000) }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="small muted">
      {{ KIND_NAMES[answer.kind!].many }} of 1,000 views.
      {{
        intents.length > 1
          ? 'Where ranges overlap, the difference may be chance.'
          : 'Only one intent is known, so it does not separate phrases yet.'
      }}
    </p>
    <v-btn
      v-if="intents.length > 1"
      variant="tonal"
      title="Demand then also ranks phrases by what their views bring"
      data-test="earned-weigh"
      @click="weigh"
      >Use in worth</v-btn
    >
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: start;
  font-weight: 400;
}
th,
td {
  padding: 3px 0;
  vertical-align: top;
}
.views {
  display: block;
}
@media print {
  .v-btn {
    display: none;
  }
}
</style>
