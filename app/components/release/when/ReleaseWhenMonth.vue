<script setup lang="ts">
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js'
import { computed } from 'vue'
import { weekdayName } from '../../../../core/release/audience'
import { localHour } from '../../../../core/release/inZone'
import type { BriefLine } from '../../../../shared/brief'
import { now } from '~/composables/clock'
import { counted } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useRelease } from '~/stores/release'
import { useWhen } from '~/stores/when'
import { useWorkspace } from '~/stores/workspace'

/** The briefs of the workspace in a month, each at its hour with its stage; those without an hour below. */
const brief = useBrief()
const library = useLibrary()
const release = useRelease()
const workspace = useWorkspace()
const when = useWhen()
const route = useRoute()
const address = useAddress()
void library.refresh()

const today = computed(() => localHour(now(), when.zone).date)
const MONTH = /^\d{4}-(?:0[1-9]|1[0-2])$/u
/** The month in the address; without one that of the brief's hour, else this one. */
const month = computed(() => {
  const given = String(route.query.month ?? '')
  if (MONTH.test(given)) return given
  const at = brief.fields!.releaseAt
  return (typeof at === 'number' ? localHour(at, when.zone).date : today.value).slice(0, 7)
})
const named = computed(() =>
  new Intl.DateTimeFormat('en', { month: 'long', year: 'numeric', timeZone: 'UTC' }).format(
    Date.parse(`${month.value}-01T00:00:00Z`),
  ),
)
function turn(by: number) {
  const [year, number] = month.value.split('-').map(Number) as [number, number]
  const next = new Date(Date.UTC(year, number - 1 + by, 1))
  address({ month: next.toISOString().slice(0, 7) }, true)
}

/** The names of weekdays as everywhere: short, not in capitals. */
const weekday = ({ weekday: day }: { weekday: number }) => weekdayName((day + 6) % 7).slice(0, 3)
/** The open one as it stands now: what is chosen above is seen below at once. */
const mine = computed(() =>
  library.briefs
    .filter(line => !workspace.id || line.workspaceId === workspace.id)
    .map(line =>
      line.id === brief.brief!.id
        ? { ...line, releaseAt: brief.fields!.releaseAt, stage: release.stage ?? line.stage }
        : line,
    ),
)
const nameOf = (line: BriefLine) => line.title || line.topic || 'Untitled brief'
const events = computed(() =>
  mine.value.flatMap(line => {
    if (typeof line.releaseAt !== 'number') return []
    const { date, time } = localHour(line.releaseAt, when.zone)
    return [{ name: nameOf(line), start: `${date} ${time}`, timed: true, line, time }]
  }),
)
const without = computed(() => mine.value.filter(line => typeof line.releaseAt !== 'number' && line.stage !== 'out'))
const to = (line: BriefLine) => ({ path: '/release', query: { brief: line.id, part: 'when' } })
</script>

<template>
  <section class="month" aria-label="Releases by month">
    <div class="head">
      <h2>{{ named }}</h2>
      <v-btn
        size="small"
        variant="text"
        :icon="mdiChevronLeft"
        aria-label="The month before"
        data-test="month-before"
        @click="turn(-1)"
      />
      <v-btn
        size="small"
        variant="text"
        :icon="mdiChevronRight"
        aria-label="The month after"
        data-test="month-after"
        @click="turn(1)"
      />
      <v-spacer />
      <a
        class="link small"
        :href="`/api/calendar.ics?workspace=${brief.brief!.workspaceId}`"
        download
        title="All releases of this channel that have an hour, as an iCalendar file"
        >For a calendar</a
      >
    </div>
    <p v-if="library.state === 'failed'" role="alert" class="small">
      {{ library.problem }} <button class="plain link" @click="library.refresh()">Try again</button>
    </p>
    <v-calendar
      :model-value="`${month}-01`"
      :now="today"
      type="month"
      :first-day-of-week="1"
      :show-month-on-first="false"
      :weekday-format="weekday"
      :events="events"
      event-more
      :event-height="22"
      event-color="transparent"
      class="calendar"
      data-test="month"
    >
      <template #day-label="{ day, present }"
        ><span class="day" :class="{ present }">{{ day }}</span></template
      >
      <template #event="{ event }"
        ><NuxtLink
          class="one"
          :class="{ here: event.line.id === brief.brief!.id }"
          :to="to(event.line)"
          :title="`${event.time} ${event.name}: ${event.line.stage}`"
          data-test="month-brief"
          ><span class="figure">{{ event.time }}</span> {{ event.line.stage }}
          <span class="muted">{{ event.name }}</span></NuxtLink
        ></template
      >
    </v-calendar>
    <p v-if="without.length" class="small without" data-test="without-hour">
      <span class="muted">{{ counted(without.length, 'brief') }} without a release time:</span>
      <NuxtLink v-for="line in without.slice(0, 12)" :key="line.id" class="link" :title="nameOf(line)" :to="to(line)"
        >{{ nameOf(line) }} ({{ line.stage }})</NuxtLink
      ><span v-if="without.length > 12" class="muted">and {{ without.length - 12 }} more in the Library</span>
    </p>
  </section>
</template>

<style scoped>
.month {
  display: grid;
  gap: 6px;
}
.head {
  display: flex;
  align-items: center;
  gap: 4px;
}
h2 {
  min-width: 130px;
}
.calendar {
  height: 470px;
  border-color: var(--line) !important;
  background: var(--surface);
}
.calendar :deep(.v-calendar-weekly__head-weekday),
.calendar :deep(.v-calendar-weekly__day) {
  border-color: var(--line) !important;
  background: var(--surface);
  color: var(--ink);
}
.calendar :deep(.v-calendar-weekly__head-weekday) {
  text-transform: none;
}
.day {
  display: block;
  margin: 3px 6px;
  text-align: right;
  font-size: 12px;
  color: var(--muted);
}
.present {
  color: var(--ink);
  font-weight: 600;
}
.calendar :deep(.v-outside) {
  background: var(--paper);
}
.calendar :deep(.v-event) {
  color: var(--ink) !important;
}
.one {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  height: 20px;
  line-height: 20px;
  padding: 0 5px;
  font-size: 12px;
  color: var(--ink);
  text-decoration: none;
  border-left: 3px solid var(--teal);
  background: color-mix(in srgb, var(--teal) 12%, var(--surface));
  border-radius: 3px;
}
.one:hover,
.one:focus-visible {
  text-decoration: underline;
}
.here {
  border-left-color: var(--ochre);
  font-weight: 600;
}
.without {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
}
.without .link {
  min-height: 24px;
  max-width: 440px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
