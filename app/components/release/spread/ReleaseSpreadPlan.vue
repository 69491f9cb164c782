<script setup lang="ts">
import { mdiBullhornOutline, mdiClose, mdiPlaylistPlus, mdiPlus } from '@mdi/js'
import { computed, ref } from 'vue'
import { spreadStepSchema, type SpreadStep } from '../../../../core/posts/plan'
import { postKind } from '../../../../core/posts/kinds'
import { shortInZone } from '../../../../core/release/inZone'
import { MINUTE } from '../../../../core/time'
import { inDigits } from '../../../../core/text/inWords'
import { dateTime } from '~/composables/figures'
import { typedNumber } from '~/composables/typedNumber'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'
import { useRelease } from '~/stores/release'
import { useSpread, type StepItem } from '~/stores/spread'

/** The plan for the first hour after the release. Ticking a step records the time. */
const brief = useBrief()
const notices = useNotices()
const release = useRelease()
const spread = useSpread()
const address = useAddress()
const outletsOpen = ref(false)
const plan = computed(() => spread.plan ?? [])
const done = computed(() => plan.value.filter(({ value }) => value.doneAt !== null).length)
/** The clock by the plan; minutes after the release while its hour is not chosen. */
const at = (minutes: number) => {
  const { releaseAt } = brief.fields!
  return typeof releaseAt === 'number' ? shortInZone(releaseAt + minutes * MINUTE, release.zone).slice(-5) : ''
}
const outletOf = ({ value }: StepItem) => spread.outlets.find(({ id }) => id === value.outlet) ?? null

/** Saves what was typed into a step where it can be; else it says why, and what was there comes back. */
function change(item: StepItem, change: Partial<SpreadStep>, field?: HTMLInputElement, before = '') {
  const { success, error } = spreadStepSchema.safeParse({ ...item.value, ...change })
  if (success) return void spread.saveStep(item, change)
  notices.show(error.issues[0]!.message, { serious: true })
  if (field) field.value = before
}
const input = (event: Event) => event.target as HTMLInputElement
function setMinutes(item: StepItem, event: Event) {
  change(item, { minutes: typedNumber(input(event).value) ?? Number.NaN }, input(event), String(item.value.minutes))
}
function setBrought(item: StepItem, event: Event) {
  const text = input(event).value.trim()
  change(
    item,
    { brought: text ? (typedNumber(text) ?? Number.NaN) : null },
    input(event),
    item.value.brought === null ? '' : String(item.value.brought),
  )
}
const end = computed(() => {
  const brought = spread.outlets.filter(({ visits }) => visits !== null)
  const so = brought.map(({ name, visits }) => `${name} ${inDigits(visits!)}`).join(', ')
  return `Fonetra posts nothing itself. Ticking a step records the time.${so ? ` Visits so far: ${so}.` : ''}`
})
const what = ref('')
async function add() {
  const text = what.value.trim()
  if (!text) return
  const last = plan.value.at(-1)?.value.minutes ?? 0
  await spread.addSteps([spreadStepSchema.parse({ what: text.slice(0, 200), minutes: Math.min(10_080, last + 5) })])
  what.value = ''
}
</script>

<template>
  <section class="plan" aria-label="The first hour" tabindex="0">
    <div class="line">
      <h2>The first hour</h2>
      <span v-if="plan.length" class="small muted" data-test="plan-done">{{ done }} of {{ plan.length }} done</span>
      <v-spacer />
      <v-btn
        size="small"
        variant="text"
        :prepend-icon="mdiBullhornOutline"
        data-test="outlets"
        @click="outletsOpen = true"
        >Outlets ({{ spread.outlets.length }})</v-btn
      >
    </div>
    <div v-if="!plan.length" class="none">
      <p class="muted">
        Steps for the time right after the release. Add your outlets first: each gets a step with its text and its own
        link.
      </p>
      <v-btn
        size="small"
        variant="tonal"
        color="primary"
        :prepend-icon="mdiPlaylistPlus"
        data-test="plan-hour"
        @click="spread.planFirstHour()"
        >Plan the first hour</v-btn
      >
    </div>
    <ol v-else>
      <li v-for="item in plan" :key="item.id" :class="{ done: item.value.doneAt !== null }" data-test="plan-step">
        <input
          type="checkbox"
          :checked="item.value.doneAt !== null"
          :aria-label="`Done: ${item.value.what}`"
          @change="spread.tick(item, input($event).checked)"
        />
        <span class="when"
          ><input
            class="minutes figure"
            inputmode="numeric"
            :value="item.value.minutes"
            :aria-label="`Minutes after the release: ${item.value.what}`"
            title="Minutes after the release"
            @change="setMinutes(item, $event)"
          /><span class="small muted figure">{{ at(item.value.minutes) || 'min' }}</span></span
        >
        <div class="what">
          <input
            class="words"
            :value="item.value.what"
            maxlength="200"
            aria-label="What is done"
            @change="change(item, { what: input($event).value }, input($event), item.value.what)"
          />
          <div class="small muted more">
            <a
              v-if="outletOf(item)?.address"
              class="link"
              :href="outletOf(item)!.address"
              target="_blank"
              rel="noopener noreferrer"
              >{{ outletOf(item)!.name }}</a
            >
            <span v-else-if="outletOf(item)">{{ outletOf(item)!.name }}</span>
            <button
              v-if="item.value.post"
              class="plain link"
              @click="address({ text: item.value.post ?? undefined }, true)"
            >
              {{ postKind(item.value.post).name }}
            </button>
            <label
              >by
              <input
                class="by"
                :value="item.value.by"
                maxlength="60"
                :aria-label="`Who does it: ${item.value.what}`"
                placeholder="anyone"
                @change="change(item, { by: input($event).value }, input($event), item.value.by)"
            /></label>
            <template v-if="item.value.doneAt !== null"
              ><span :title="dateTime(item.value.doneAt)"
                >done {{ shortInZone(item.value.doneAt, release.zone).slice(-5) }}</span
              >
              <label
                v-if="item.value.outlet"
                title="Visits it brought, as your figures tell: the link carries the outlet’s tag"
                >brought
                <input
                  class="by figure"
                  inputmode="numeric"
                  :value="item.value.brought ?? ''"
                  :aria-label="`Visits it brought: ${item.value.what}`"
                  placeholder="–"
                  data-test="plan-brought"
                  @change="setBrought(item, $event)"
              /></label>
            </template>
          </div>
        </div>
        <v-btn
          size="x-small"
          variant="text"
          :icon="mdiClose"
          :aria-label="`Remove: ${item.value.what}`"
          @click="spread.removeStep(item)"
        />
      </li>
    </ol>
    <form v-if="plan.length" class="add" @submit.prevent="add">
      <input v-model="what" class="words" maxlength="200" aria-label="Another step" placeholder="Another step" /><v-btn
        size="x-small"
        type="submit"
        variant="text"
        :icon="mdiPlus"
        aria-label="Add the step"
      />
    </form>
    <p class="small muted">{{ end }}</p>
    <LazyReleaseSpreadOutlets v-if="outletsOpen" v-model="outletsOpen" />
  </section>
</template>

<style scoped>
.plan {
  padding: 14px;
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.line {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 30px;
}
.none {
  display: grid;
  gap: 10px;
  justify-items: start;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 18px 50px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: start;
  padding: 5px 0;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
li > input {
  margin-top: 7px;
  accent-color: var(--teal);
}
.when {
  display: grid;
}
.done .words {
  color: var(--muted);
}
.more {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 12px;
}
.more .link {
  min-height: 24px;
  display: inline-flex;
  align-items: center;
}
.words,
.minutes,
.by {
  border: 0;
  border-bottom: 1px solid transparent;
  background: none;
  color: inherit;
  font: inherit;
  min-height: 26px;
  width: 100%;
}
.words:hover,
.minutes:hover,
.by:hover,
.words:focus,
.minutes:focus,
.by:focus {
  border-bottom-color: var(--line);
}
.minutes {
  font-family: 'IBM Plex Mono', monospace;
}
.by {
  width: 64px;
}
.add {
  display: flex;
  gap: 8px;
}
.add .words {
  border-bottom-color: var(--line);
}
@media (max-width: 1000px) {
  .plan {
    overflow: visible;
  }
}
</style>
