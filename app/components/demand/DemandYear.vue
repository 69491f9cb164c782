<script setup lang="ts">
import { computed, ref } from 'vue'
import type { PhraseRow } from '../../../shared/phrases'
import { inDigits } from '../../../core/text/inWords'
import { monthName, percent, rounded } from '~/composables/figures'

const props = defineProps<{ rows: PhraseRow[]; monthsEnd: string | null; open: string | null }>()
const selected = defineModel<string[]>('selected', { required: true })
const emit = defineEmits<{ open: [phrase: string] }>()
const route = useRoute()
const span = computed(() => (route.query.span === '36' ? 36 : 12))
const absolute = computed(() => route.query.scale === 'absolute')
const address = useAddress()
const set = (name: string, value: string | undefined) => address({ [name]: value })
const ROW = 26
const by = ref<'peak' | 'volume'>('peak')

const names = computed(() => {
  if (!props.monthsEnd) return []
  const [year, month] = props.monthsEnd.split('-').map(Number) as [number, number]
  return Array.from({ length: span.value }, (_, i) => {
    const n = year * 12 + month - 1 - (span.value - 1 - i)
    return `${Math.floor(n / 12)}-${String((n % 12) + 1).padStart(2, '0')}`
  })
})
/**
 * Twelve columns are the calendar year, each the mean of its three Januaries and so on; thirty-six are the months as
 * told.
 */
const calendar = computed(() => span.value === 12)

const strips = computed(() =>
  props.rows
    .filter(row => row.months.some(month => month))
    .map(row => {
      const lastMonth = props.monthsEnd ? Number(props.monthsEnd.slice(5)) - 1 : 11
      let values: (number | null)[]
      if (calendar.value) {
        const sums = Array.from({ length: 12 }, () => [0, 0] as [number, number])
        row.months.forEach((value, i) => {
          if (value === null) return
          const month = (((lastMonth - (row.months.length - 1 - i)) % 12) + 12) % 12
          sums[month]![0] += value
          sums[month]![1]++
        })
        values = sums.map(([sum, n]) => (n ? sum / n : null))
      } else values = Array.from({ length: 36 - row.months.length }, () => null as number | null).concat(row.months)
      const most = Math.max(...values.map(value => value ?? 0))
      return { row, values, most, peak: values.indexOf(most) }
    }),
)
const top = computed(() => Math.max(1, ...strips.value.map(strip => strip.most)))
/** Sorted by the month of the season where there is one; those without come last. */
const sorted = computed(() =>
  [...strips.value].sort((a, b) =>
    by.value === 'volume'
      ? (b.row.volume ?? 0) - (a.row.volume ?? 0)
      : Number(a.row.season === null) - Number(b.row.season === null) ||
        a.peak - b.peak ||
        (b.row.volume ?? 0) - (a.row.volume ?? 0),
  ),
)
const part = (value: number | null, most: number) =>
  value === null ? 0 : absolute.value ? Math.sqrt(value / top.value) : value / most
const titleOf = (i: number) =>
  calendar.value
    ? [
        'January',
        'February',
        'March',
        'April',
        'May',
        'June',
        'July',
        'August',
        'September',
        'October',
        'November',
        'December',
      ][i]!
    : monthName(names.value[i]!)
const pick = (phrase: string) => {
  selected.value = selected.value.includes(phrase)
    ? selected.value.filter(each => each !== phrase)
    : [...selected.value, phrase]
}
function monthTitle(i: number, value: number | null, most: number): string {
  if (value === null) return `${titleOf(i)}: unknown`
  return `${titleOf(i)}: ${inDigits(Math.round(value))} searches, ${percent(value / most)} of the highest`
}
</script>

<template>
  <div class="sheet year" data-test="year">
    <div class="head">
      <v-btn-toggle
        :model-value="span"
        mandatory
        density="compact"
        variant="outlined"
        color="primary"
        divided
        aria-label="Months shown"
        ><v-btn size="small" :value="12" :aria-pressed="span === 12" @click="set('span', undefined)">A year</v-btn
        ><v-btn size="small" :value="36" :aria-pressed="span === 36" @click="set('span', '36')"
          >36 months</v-btn
        ></v-btn-toggle
      >
      <v-btn-toggle
        :model-value="absolute ? 'absolute' : 'own'"
        mandatory
        density="compact"
        variant="outlined"
        color="primary"
        divided
        aria-label="Scale"
        ><v-btn
          size="small"
          value="own"
          :aria-pressed="(absolute ? 'absolute' : 'own') === 'own'"
          @click="set('scale', undefined)"
          >Each phrase on its own scale</v-btn
        ><v-btn
          size="small"
          value="absolute"
          :aria-pressed="(absolute ? 'absolute' : 'own') === 'absolute'"
          @click="set('scale', 'absolute')"
          >All on one scale</v-btn
        ></v-btn-toggle
      >
      <v-btn-toggle
        v-model="by"
        mandatory
        density="compact"
        variant="outlined"
        color="primary"
        divided
        aria-label="Order"
        ><v-btn size="small" value="peak" :aria-pressed="by === 'peak'">By peak month</v-btn
        ><v-btn size="small" value="volume" :aria-pressed="by === 'volume'">By searches</v-btn></v-btn-toggle
      >
      <span class="small muted">Darker means more searches. Publish a few weeks before the peak.</span>
    </div>
    <div class="columns" aria-hidden="true">
      <span class="name" /><span class="cells" :style="{ '--n': span }"
        ><i v-for="i in span" :key="i">{{
          calendar ? 'JFMAMJJASOND'[i - 1] : names[i - 1]?.endsWith('-01') || i === 1 ? names[i - 1]?.slice(2, 4) : ''
        }}</i></span
      ><span class="volume" />
    </div>
    <p v-if="!strips.length" class="muted empty">No source has monthly figures for these phrases.</p>
    <ShellRows v-else :items="sorted" :height="ROW" class="scroll" role="list">
      <template #default="{ item }">
        <div
          class="strip"
          :class="{ picked: selected.includes(item.row.phrase), opened: open === item.row.phrase }"
          role="listitem"
          data-test="strip"
        >
          <span class="name"
            ><input
              type="checkbox"
              :checked="selected.includes(item.row.phrase)"
              :aria-label="`Select ${item.row.phrase}`"
              @change="pick(item.row.phrase)"
            /><button class="plain" :title="item.row.phrase" @click="emit('open', item.row.phrase)">
              {{ item.row.phrase }}
            </button></span
          >
          <span
            class="cells"
            :style="{ '--n': span }"
            role="img"
            :aria-label="item.row.season ? `highest in ${titleOf(item.peak)}` : 'no season'"
            ><i
              v-for="(value, i) in item.values"
              :key="i"
              :style="{ '--part': part(value, item.most) }"
              :class="{ none: value === null, peak: calendar && item.row.season?.peaks.includes(i) }"
              :title="monthTitle(i, value, item.most)"
          /></span>
          <span class="volume figure small">{{ rounded(item.row.volume) }}</span>
        </div>
      </template>
    </ShellRows>
  </div>
</template>

<style scoped>
.year {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.head {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 8px 12px;
  flex-wrap: wrap;
}
.scroll {
  flex: 1;
  min-height: 0;
}
.empty {
  padding: 24px;
}
.strip,
.columns {
  display: grid;
  grid-template-columns: minmax(160px, 34%) 1fr 64px;
  align-items: center;
  gap: 8px;
  height: 26px;
  padding: 0 12px;
}
.columns {
  padding-right: 24px;
}
.name {
  display: flex;
  gap: 6px;
  align-items: center;
  min-width: 0;
}
.name input {
  accent-color: var(--teal);
  flex: none;
}
.name button {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  min-width: 0;
}
.cells {
  display: grid;
  grid-template-columns: repeat(var(--n), 1fr);
  gap: 1px;
  height: 20px;
}
.columns i {
  font: 11px var(--mono);
  color: var(--muted);
  text-align: center;
}
.strip i {
  background: color-mix(in srgb, var(--teal) calc(var(--part) * 100%), var(--paper));
}
.strip i.peak {
  box-shadow: inset 0 -2px 0 var(--ink);
}
.strip i.none {
  background: repeating-linear-gradient(45deg, var(--line) 0 1px, transparent 1px 4px);
}
.volume {
  text-align: end;
}
.picked {
  background: color-mix(in srgb, var(--teal) 9%, transparent);
}
.opened {
  outline: 1px solid var(--teal);
  outline-offset: -1px;
}
</style>
