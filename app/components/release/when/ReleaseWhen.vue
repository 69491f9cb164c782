<script setup lang="ts">
import { useDropZone, useFileDialog } from '@vueuse/core'
import { mdiTableArrowDown } from '@mdi/js'
import { computed, ref } from 'vue'
import { weekHourInWords } from '../../../../core/release/audience'
import { shortInZone } from '../../../../core/release/inZone'
import { ago, dateTime } from '~/composables/figures'
import { POINT_SHAPES } from '~/composables/pointStates'
import { useBrief } from '~/stores/brief'
import { useRelease } from '~/stores/release'
import { useWhen } from '~/stores/when'

/** The hour of the release: when viewers are there, whether to wait for a season, and what else comes out. */
const brief = useBrief()
const release = useRelease()
const when = useWhen()
when.useWhileShown()
const point = computed(() => release.points?.find(({ id }) => id === 'hour') ?? null)
const audience = computed(() => when.audience)
const chosen = computed(() => brief.fields!.releaseAt)
function take(at: number) {
  brief.change(`Release: ${shortInZone(at, when.zone)}.`, 'releaseAt', at)
}
const best = computed(() =>
  (audience.value?.best ?? []).map(({ hour, times }) => {
    const at = when.nextTime(hour)
    const held = `This hour and the next two have ${times.toFixed(2)} times the usual number of viewers.`
    return { hour, times, at, said: `${shortInZone(at, when.zone)}. ${held}` }
  }),
)

const { open: choose, onChange } = useFileDialog({
  accept: '.csv,.tsv,.txt,text/csv,text/plain',
  multiple: false,
  reset: true,
})
onChange(files => {
  if (files?.[0]) void when.readIn(files[0])
})
const zone = ref<HTMLElement | null>(null)
const { isOverDropZone } = useDropZone(zone, {
  onDrop: files => {
    if (files?.[0]) void when.readIn(files[0])
  },
})
</script>

<template>
  <div class="sheet when" tabindex="0" role="region" aria-label="When">
    <section class="hour">
      <div v-if="point" class="state" :data-state="point.state" data-test="when-hour">
        <ShellShape :state="POINT_SHAPES[point.state].shape" :label="POINT_SHAPES[point.state].name" />
        <p>{{ point.message }}</p>
      </div>
      <p v-else class="muted small">The checklist of this channel does not ask for an hour.</p>
      <ReleaseHour />
    </section>
    <p v-if="when.season" class="season" data-test="when-season">
      <strong>“{{ when.lead }}”</strong> {{ when.season.text }}
    </p>
    <p v-else-if="when.lead" class="season muted small">
      No season is known for “{{ when.lead }}”. It takes two years of monthly searches.
    </p>
    <p v-if="when.problem" role="alert">
      {{ when.problem }} <button class="plain link" @click="when.load()">Try again</button>
    </p>
    <section ref="zone" class="week" :class="{ over: isOverDropZone }" aria-label="Hours of the viewers">
      <div class="line">
        <h2>When your viewers watch</h2>
        <span v-if="best.length" class="best"
          ><v-btn
            v-for="each in best"
            :key="each.hour"
            size="small"
            :variant="chosen === each.at ? 'flat' : 'tonal'"
            color="primary"
            :aria-pressed="chosen === each.at"
            :title="each.said"
            data-test="best-hour"
            @click="take(each.at)"
            >{{ weekHourInWords(each.hour) }} <span class="figure times">{{ each.times.toFixed(1) }}×</span></v-btn
          ></span
        >
        <span v-else-if="audience?.hours" class="small muted">No hour stands out.</span>
      </div>
      <ReleaseWhenWeek v-if="audience" />
      <v-skeleton-loader v-else-if="!when.problem" type="image" height="190" />
      <p v-if="audience" class="small muted origin" data-test="audience-origin">
        <span v-if="audience.source && audience.at"
          >{{ audience.source }}, <span :title="dateTime(audience.at)">{{ ago(audience.at) }}</span>, by the clock of
          {{ audience.timeZone }}.</span
        >
        <span v-else>{{ audience.problem ?? 'No viewing hours yet. Ask the site, or import a table.' }}</span>
        <span v-if="audience.source && audience.problem" role="alert">{{ audience.problem }}</span>
        <button v-if="audience.readIn" class="plain link" data-test="audience-forget" @click="when.forget()">
          Use the site’s figures
        </button>
        <button v-else class="plain link" :disabled="when.asking" data-test="audience-ask" @click="when.askAnew()">
          Ask the site again
        </button>
        <button
          class="plain link"
          title="A CSV of the hours of a week: weekday, hour and viewers in each line, or weekdays by hours"
          data-test="audience-open"
          @click="choose()"
        >
          <v-icon size="14" :icon="mdiTableArrowDown" /> Open a table
        </button>
      </p>
    </section>
    <ReleaseWhenMonth />
  </div>
</template>

<style scoped>
.when {
  flex: 1;
  min-height: 0;
  overflow: auto;
  padding: 14px;
  display: grid;
  gap: 12px;
  align-content: start;
}
.hour {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 24px;
}
.state {
  display: flex;
  align-items: center;
  gap: 8px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}
.best {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.times {
  margin-left: 6px;
}
.week {
  display: grid;
  gap: 6px;
}
.over {
  outline: 2px dashed var(--teal);
  outline-offset: 6px;
}
.origin {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
.origin .link {
  min-height: 24px;
}
</style>
