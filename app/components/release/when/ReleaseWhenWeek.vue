<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { weekdayName, weekHour, weekHourInWords, WEEK_HOURS } from '../../../../core/release/audience'
import { shortInZone } from '../../../../core/release/inZone'
import { counted } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useWhen } from '~/stores/when'

/** The hours of a week by how many viewers are there, with what came out in each; one pressed is chosen. */
const brief = useBrief()
const when = useWhen()
const HOURS = Array.from({ length: 24 }, (_, hour) => hour)
const hours = computed(() => when.audience?.hours ?? null)
const total = computed(() => hours.value?.reduce((sum, value) => sum + value, 0) ?? 0)
const most = computed(() => Math.max(...(hours.value ?? [0])))
/** The deeper, the more viewers; nothing where that is not known. */
const depth = (hour: number) => (hours.value && most.value > 0 ? hours.value[hour]! / most.value : 0)
const chosen = computed(() => {
  const at = brief.fields!.releaseAt
  return typeof at === 'number' ? weekHour(at, when.zone) : null
})
function title(hour: number): string {
  const said = [weekHourInWords(hour)]
  if (hours.value) {
    const value = hours.value[hour]!
    const share = value / total.value
    said.push(
      `${(100 * share).toFixed(2)} % of the week’s viewers, ${(WEEK_HOURS * share).toFixed(2)} times the usual hour`,
    )
  }
  const mine = when.ownHours.get(hour)
  if (mine) said.push(`${counted(mine, 'video')} of mine came out then`)
  const theirs = when.rivalHours.get(hour)
  if (theirs) said.push(`${counted(theirs, 'video')} of the page of “${when.lead}”`)
  return `${said.join('. ')}.`
}
function choose(hour: number) {
  const at = when.nextTime(hour)
  brief.change(`Release: ${shortInZone(at, when.zone)}.`, 'releaseAt', at)
}

/** The one cell that the Tab key stops at; arrows go on from there. */
const stop = ref(chosen.value ?? when.audience?.best[0]?.hour ?? 0)
const table = ref<HTMLElement | null>(null)
const MOVES: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -24, ArrowDown: 24 }
function onKey(event: KeyboardEvent) {
  const by = MOVES[event.key]
  if (by === undefined) return
  event.preventDefault()
  stop.value = (stop.value + by + WEEK_HOURS) % WEEK_HOURS
  void nextTick(() => table.value?.querySelector<HTMLElement>('[tabindex="0"]')?.focus())
}
</script>

<template>
  <div class="scroll" tabindex="-1">
    <table ref="table" role="grid" aria-label="Hours of the week" @keydown="onKey">
      <thead>
        <tr>
          <th></th>
          <th v-for="hour in HOURS" :key="hour" scope="col">{{ hour % 3 ? '' : hour }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="day in 7" :key="day">
          <th scope="row" :title="weekdayName(day - 1)">{{ weekdayName(day - 1).slice(0, 3) }}</th>
          <td v-for="hour in HOURS" :key="hour" role="gridcell">
            <button
              :tabindex="stop === (day - 1) * 24 + hour ? 0 : -1"
              :class="{ chosen: chosen === (day - 1) * 24 + hour, unknown: !hours }"
              :style="{ '--depth': `${Math.round(100 * depth((day - 1) * 24 + hour))}%` }"
              :title="title((day - 1) * 24 + hour)"
              :aria-label="title((day - 1) * 24 + hour)"
              :aria-pressed="chosen === (day - 1) * 24 + hour"
              :data-test="`hour-${(day - 1) * 24 + hour}`"
              @click="choose((day - 1) * 24 + hour)"
            >
              <i v-if="when.ownHours.get((day - 1) * 24 + hour)" class="mine" /><i
                v-if="when.rivalHours.get((day - 1) * 24 + hour)"
                class="theirs"
              />
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="small muted legend">
      <span v-if="hours"
        ><b v-for="part in [8, 40, 70, 100]" :key="part" class="ramp" :style="{ '--depth': `${part}%` }" /> more
        viewers</span
      >
      <span><i class="mine" /> a video of mine came out</span>
      <span v-if="when.rivalHours.size"><i class="theirs" /> one of the lead’s page</span>
    </p>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: separate;
  border-spacing: 2px;
  width: 100%;
  min-width: 700px;
  table-layout: fixed;
}
th {
  font-weight: 400;
  font-size: 12px;
  color: var(--muted);
  text-align: left;
}
tr > th:first-child {
  width: 34px;
}
td {
  padding: 0;
}
button,
.ramp {
  --filled: color-mix(in srgb, var(--teal) var(--depth), var(--surface));
  background: var(--filled);
  border: 1px solid color-mix(in srgb, var(--line) 70%, transparent);
  border-radius: 3px;
}
button {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 2px;
  width: 100%;
  height: 24px;
  padding: 0;
  cursor: pointer;
}
button:hover,
button:focus-visible {
  outline: 2px solid var(--ink);
}
.chosen {
  outline: 2px solid var(--ochre);
  outline-offset: 1px;
}
.mine,
.theirs {
  display: inline-block;
  flex: none;
  width: 8px;
  height: 8px;
  border-radius: 50%;
  box-shadow: 0 0 0 1.5px var(--surface);
}
.mine {
  background: var(--ink);
}
.theirs {
  border: 2px solid var(--ink);
  background: var(--surface);
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  margin-top: 4px;
}
.ramp {
  display: inline-block;
  width: 14px;
  height: 12px;
  margin-right: 2px;
  vertical-align: -1px;
}
</style>
