<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed, reactive, ref } from 'vue'
import { EARNED_KINDS, type EarnedKind } from '../../../core/formats/earnedColumns'
import { dayName, dayNamed, rankDay } from '../../../core/ranks/standing'
import { now } from '~/composables/clock'
import { KIND_NAMES, moneyAmount } from '~/composables/earnedWords'
import { counted, dayOnly } from '~/composables/figures'
import { numberProblem, typedNumber } from '~/composables/typedNumber'
import { useEarnings } from '~/stores/earnings'
import { useRanks } from '~/stores/ranks'

/** What one of each kind is worth, a line typed by hand, and the lines told last. */
defineProps<{ titleOf: (id: string) => string }>()
const earned = useEarnings()
const ranks = useRanks()
const answer = computed(() => earned.answer!)
/** A table tells of many days that nothing came. */
const lines = computed(() => answer.value.lines.filter(({ count }) => count > 0))
const KINDS = EARNED_KINDS.map(value => ({ value, title: KIND_NAMES[value].many }))
const today = computed(() => dayName(rankDay(now())))
const line = reactive({ video: null as string | null, day: '', kind: 'order' as EarnedKind, count: '', value: '' })
const tried = ref(false)
const problems = computed(() => {
  const count = typedNumber(line.count)
  return {
    video: line.video ? '' : 'Choose the video.',
    day: !line.day ? 'Give the day.' : line.day > today.value ? 'This day is still to come.' : '',
    count: count !== undefined && Number.isInteger(count) && count >= 0 && count <= 1e9 ? '' : 'Enter a whole number.',
    value: numberProblem(line.value),
  }
})
const shown = (field: keyof typeof problems.value) => (tried.value ? problems.value[field] : '')
async function add() {
  tried.value = true
  if (Object.values(problems.value).some(Boolean)) return
  tried.value = false
  const { video, day, kind, count, value } = line
  const saved = await earned.tell({
    ...{ videoId: video!, day, kind, link: '' },
    ...{ count: typedNumber(count)!, value: typedNumber(value) ?? null },
  })
  // The next day of the same video is told next.
  if (saved) line.count = line.value = ''
}
const typedWorth = reactive<Partial<Record<EarnedKind, string>>>({})
function setWorth(kind: EarnedKind) {
  const typed = typedWorth[kind]
  if (typed === undefined || numberProblem(typed)) return
  const { [kind]: _, ...others } = answer.value.set
  const each = typedNumber(typed)
  void earned.setWorth({ each: each === undefined ? others : { ...others, [kind]: each } })
}
const currency = ref('')
function setCurrency() {
  if (currency.value && !currencyProblem.value) void earned.setWorth({ currency: currency.value.trim().toUpperCase() })
}
const currencyProblem = computed(() =>
  currency.value && !/^[A-Za-z]{3}$/u.test(currency.value.trim()) ? 'Three letters, such as EUR.' : '',
)
</script>

<template>
  <aside class="sheet aside">
    <section v-if="answer.kinds.length">
      <h2>What one is worth</h2>
      <div class="fields">
        <v-text-field
          v-for="{ kind, each, eachFrom } in answer.kinds"
          :key="kind"
          :model-value="typedWorth[kind] ?? (eachFrom === 'set' ? String(each) : '')"
          :label="KIND_NAMES[kind].one"
          :placeholder="eachFrom === 'told' ? moneyAmount(each!, answer.currency) : 'not known'"
          persistent-placeholder
          :error-messages="numberProblem(typedWorth[kind] ?? '')"
          :hint="eachFrom === 'told' ? 'The mean of those entered' : undefined"
          persistent-hint
          inputmode="decimal"
          maxlength="12"
          density="compact"
          variant="outlined"
          hide-details="auto"
          :data-test="`worth-${kind}`"
          @update:model-value="typedWorth[kind] = $event"
          @change="setWorth(kind)"
        />
        <v-text-field
          :model-value="currency || answer.currency"
          label="Currency"
          :error-messages="currencyProblem"
          maxlength="3"
          density="compact"
          variant="outlined"
          hide-details="auto"
          data-test="worth-currency"
          @update:model-value="currency = $event"
          @change="setCurrency"
        />
      </div>
    </section>
    <RanksEarnedIntents v-if="answer.kind" />
    <form data-test="earned-line" @submit.prevent="add">
      <h2>Add a day</h2>
      <v-autocomplete
        v-model="line.video"
        :items="(ranks.videos ?? []).map(({ id, title }) => ({ value: id, title }))"
        label="Video"
        auto-select-first
        no-data-text="No videos of your channel are known. Choose your channel in the Library."
        :error-messages="shown('video')"
        density="compact"
        variant="outlined"
        hide-details="auto"
        data-test="line-video"
      />
      <div class="fields">
        <v-text-field
          v-model="line.day"
          label="Day"
          type="date"
          :max="today"
          :error-messages="shown('day')"
          density="compact"
          variant="outlined"
          hide-details="auto"
          data-test="line-day"
        />
        <v-select
          v-model="line.kind"
          :items="KINDS"
          label="Kind"
          density="compact"
          variant="outlined"
          hide-details
          data-test="line-kind"
        />
        <v-text-field
          v-model="line.count"
          label="How many"
          inputmode="numeric"
          maxlength="10"
          :error-messages="shown('count')"
          density="compact"
          variant="outlined"
          hide-details="auto"
          data-test="line-count"
        />
        <v-text-field
          v-model="line.value"
          :label="`Value, ${answer.currency}`"
          inputmode="decimal"
          maxlength="12"
          :error-messages="shown('value')"
          density="compact"
          variant="outlined"
          hide-details="auto"
          title="Of all of them together; leave it empty where it is not known"
          data-test="line-value"
        />
      </div>
      <v-btn type="submit" variant="tonal" data-test="line-add">Add</v-btn>
    </form>
    <section v-if="lines.length">
      <h2>Entered last</h2>
      <ul>
        <li v-for="each in lines" :key="`${each.videoId} ${each.day} ${each.kind} ${each.link}`" data-test="told-line">
          <span
            ><span class="figure">{{ dayOnly(dayNamed(each.day)) }}</span
            >: {{ counted(each.count, each.kind)
            }}<template v-if="each.value !== null">, {{ moneyAmount(each.value, answer.currency) }}</template
            ><span class="small muted video" :title="each.link || undefined">{{ titleOf(each.videoId) }}</span></span
          >
          <v-btn
            :icon="mdiClose"
            size="x-small"
            variant="text"
            :aria-label="`Remove ${counted(each.count, each.kind)} of ${each.day}`"
            data-test="told-remove"
            @click="earned.remove(each)"
          />
        </li>
      </ul>
    </section>
  </aside>
</template>

<style scoped>
.aside {
  padding: 14px;
  display: grid;
  align-content: start;
  gap: 18px;
  min-width: 0;
}
.aside section,
.aside form {
  display: grid;
  gap: 10px;
  justify-items: stretch;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(112px, 1fr));
  align-items: start;
  gap: 10px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: 8px;
  padding: 3px 0;
}
.video {
  display: block;
}
@media print {
  .aside {
    display: none;
  }
}
</style>
