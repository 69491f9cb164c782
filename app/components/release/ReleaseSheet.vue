<script setup lang="ts">
import { mdiCheckAll } from '@mdi/js'
import { computed } from 'vue'
import { POINT_GROUPS, type PointGroup } from '../../../core/release/readiness'
import { SHEET_QUESTIONS, type SheetAnswers, type SheetQuestion } from '../../../core/release/sheet'
import { counted } from '~/composables/figures'
import { SEEN_TO } from '~/composables/pointStates'
import { useBrief } from '~/stores/brief'
import { useRelease } from '~/stores/release'

/** The release sheet: what Fonetra sees for itself at one side, what a person answers at the other. */
const brief = useBrief()
const release = useRelease()
const QUESTIONS = new Map(SHEET_QUESTIONS.map(question => [question.id, question]))
const SIDES: PointGroup[][] = [
  ['seen', 'when', 'own'],
  ['watch', 'declare', 'others', 'told', 'earns', 'goes'],
]
const sides = computed(() =>
  SIDES.map(side =>
    side
      .map(id => ({
        id,
        title: POINT_GROUPS.find(group => group.id === id)!.title,
        points: release.points!.filter(({ group }) => group === id),
      }))
      .filter(({ points }) => points.length),
  ),
)
const seenTo = (id: string) => {
  const { path = '/desk', ...query } = SEEN_TO[id]!
  return { path, query: { brief: brief.brief!.id, ...query } }
}
const leftIn = (points: { state: string }[]) =>
  points.filter(({ state }) => state === 'open' || state === 'unanswered').length
const valueOf = ({ id }: SheetQuestion) => brief.fields!.sheet[id] ?? null
const answer = ({ id }: SheetQuestion, value: string | boolean | null) =>
  release.answer(id, value as SheetAnswers[typeof id])
</script>

<template>
  <div class="sides">
    <div v-for="(side, i) in sides" :key="i" class="sheet side" tabindex="0" role="region" :aria-label="side[0]?.title">
      <v-checkbox-btn
        v-if="i === 0"
        :model-value="brief.fields!.forSearch"
        label="Meant for search"
        density="compact"
        color="primary"
        class="search"
        title="Turn it off for a client’s video or an announcement: nothing search-like is asked of it then."
        data-test="for-search"
        @update:model-value="brief.set('forSearch', $event === true, true)"
      />
      <v-btn
        v-else-if="release.offered.length"
        size="small"
        variant="tonal"
        color="primary"
        class="usual"
        :prepend-icon="mdiCheckAll"
        data-test="take-usual"
        @click="release.takeUsual"
        >Take {{ counted(release.offered.length, 'usual answer') }}</v-btn
      >
      <section v-for="group in side" :key="group.id" :data-test="`group-${group.id}`">
        <h2>
          {{ group.title }}<span v-if="leftIn(group.points)" class="small muted">{{ leftIn(group.points) }} left</span>
        </h2>
        <ul>
          <template v-for="point in group.points" :key="point.id">
            <ReleasePoint v-if="point.question" :point="point">
              <template #title
                ><span
                  :class="{ name: point.state !== 'done' && point.state !== 'n/a' }"
                  :title="QUESTIONS.get(point.question)!.why"
                  >{{ point.title }}</span
                ></template
              >
              <ReleaseAnswer
                v-if="
                  point.state !== 'n/a' &&
                  (point.state !== 'not-allowed' || valueOf(QUESTIONS.get(point.question)!) !== null)
                "
                :question="QUESTIONS.get(point.question)!"
                :label="point.title"
                :usual="release.around!.usual[point.question] ?? null"
                :proposed="point.question === 'category' ? release.around!.proposedCategory : null"
                :model-value="valueOf(QUESTIONS.get(point.question)!)"
                @update:model-value="answer(QUESTIONS.get(point.question)!, $event)"
              />
            </ReleasePoint>
            <ReleasePoint v-else-if="point.id === 'hour'" :point="point">
              <template #below><ReleaseHour calendar /></template>
            </ReleasePoint>
            <ReleasePoint v-else-if="group.id === 'own'" :point="point">
              <template #state
                ><input
                  :id="`tick-${point.id}`"
                  type="checkbox"
                  class="tick"
                  :checked="point.state === 'done'"
                  :data-test="`tick-${point.id}`"
                  @change="release.tick(point.id, ($event.target as HTMLInputElement).checked)"
              /></template>
              <template #title
                ><label :for="`tick-${point.id}`" class="ticked">{{ point.title }}</label></template
              >
            </ReleasePoint>
            <ReleasePoint v-else :point="point">
              <template v-if="point.state === 'open' && SEEN_TO[point.id]" #title
                ><NuxtLink class="link name" :to="seenTo(point.id)">{{ point.title }}</NuxtLink></template
              >
            </ReleasePoint>
          </template>
        </ul>
      </section>
    </div>
  </div>
</template>

<style scoped>
.search {
  margin-left: -8px;
}
.search :deep(.v-label) {
  font-size: 14px;
}
.usual {
  margin-bottom: 8px;
}
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
  gap: 14px;
  flex: 1;
  min-height: 0;
}
.side {
  padding: 2px 14px 14px;
  overflow: auto;
}
h2 {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 8px;
  padding: 12px 0 4px;
  border-bottom: 1px solid var(--line);
}
h2 .small {
  font-weight: 400;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.name {
  font-weight: 600;
}
/* A ring until it is ticked, then a disc, like every other state. */
.tick {
  appearance: none;
  width: 14px;
  height: 14px;
  margin: 3px 0 0;
  border: 1.6px solid var(--teal);
  border-radius: 50%;
  cursor: pointer;
}
.tick:checked {
  border-color: var(--muted);
  background: var(--muted);
}
.ticked {
  cursor: pointer;
}
@media (max-width: 1000px) {
  .sides {
    display: flex;
    flex-direction: column;
  }
  .side {
    overflow: visible;
  }
}
</style>
