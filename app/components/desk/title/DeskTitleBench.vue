<script setup lang="ts">
import { mdiClose, mdiPin, mdiPinOutline, mdiRefresh } from '@mdi/js'
import { ref, watch } from 'vue'
import { PATTERN_NAMES } from '../../../../core/titles/pattern'
import { counted } from '~/composables/figures'
import { useBench } from '~/stores/bench'

/** Candidates for the title beside each other, and ideas for more. */
const bench = useBench()
const typed = ref('')
/** An empty title with nothing to choose from: ideas come by themselves. */
watch(
  () => bench.items !== null && !bench.shown.length && !bench.title.trim() && bench.lead !== '' && !bench.ideas.length,
  bare => {
    if (bare && !bench.thinking && !bench.problem) void bench.think()
  },
  { immediate: true },
)
async function add() {
  const text = typed.value
  typed.value = ''
  // What could not be saved is still there to be sent again.
  if (!(await bench.add(text)) && !typed.value) typed.value = text
}
</script>

<template>
  <section class="bench sheet" aria-label="Titles beside each other" data-test="bench">
    <form class="add" @submit.prevent="add">
      <v-text-field
        v-model="typed"
        label="Another title"
        maxlength="2000"
        hide-details
        data-test="candidate-text"
      /><v-btn type="submit" variant="tonal" :disabled="!typed.trim()" data-test="candidate-add">Add</v-btn>
    </form>
    <div class="lists">
      <p v-if="bench.problem" role="alert">
        {{ bench.problem }} <button class="plain link" @click="bench.load()">Try again</button>
      </p>
      <template v-if="bench.title.trim()">
        <h3>Title now</h3>
        <DeskTitleRow :title="bench.title" :measured="bench.measured.get(bench.title)" data-test="title-now" />
      </template>
      <h3 v-if="bench.shown.length">Candidates</h3>
      <v-skeleton-loader v-if="bench.items === null && !bench.problem" type="list-item@2" />
      <p v-else-if="bench.items && !bench.shown.length" class="muted small">
        No other titles yet. Write one, or take one of the ideas.
      </p>
      <DeskTitleRow
        v-for="item in bench.shown"
        :key="item.id"
        :title="item.value.title"
        :measured="bench.measured.get(item.value.title)"
        :pattern="item.value.pattern ? PATTERN_NAMES[item.value.pattern] : undefined"
        data-test="candidate"
      >
        <v-btn size="small" variant="tonal" data-test="candidate-use" @click="bench.use(item.value.title)">Use</v-btn>
        <v-btn
          size="small"
          :icon="item.value.state === 'kept' ? mdiPin : mdiPinOutline"
          :aria-label="item.value.state === 'kept' ? 'Do not keep on top' : 'Keep on top'"
          :aria-pressed="item.value.state === 'kept'"
          data-test="candidate-keep"
          @click="bench.setState(item, item.value.state === 'kept' ? 'open' : 'kept')"
        />
        <v-btn
          size="small"
          :icon="mdiClose"
          aria-label="Discard"
          data-test="candidate-discard"
          @click="bench.setState(item, 'discarded')"
        />
      </DeskTitleRow>
      <details v-if="bench.discarded.length" class="small">
        <summary>{{ counted(bench.discarded.length, 'discarded title') }}</summary>
        <p v-for="item in bench.discarded" :key="item.id" class="discarded">
          <span>{{ item.value.title }}</span>
          <button class="plain link" @click="bench.setState(item, 'open')">Bring back</button>
        </p>
      </details>
      <div class="head">
        <h3>Ideas</h3>
        <v-btn
          size="small"
          variant="tonal"
          :prepend-icon="bench.ideas.length ? mdiRefresh : undefined"
          :loading="bench.thinking"
          :disabled="!bench.lead"
          data-test="ideas"
          @click="bench.think()"
          >{{ bench.ideas.length ? 'Other ideas' : 'Show ideas' }}</v-btn
        >
      </div>
      <p v-if="!bench.lead" class="muted small">Ideas are made from phrases. Choose a lead phrase in the tray.</p>
      <p v-else-if="!bench.ideas.length" class="muted small">
        Titles composed from your phrases, none nearly the same as a title of the page. What a title promises, the video
        must show.
      </p>
      <DeskTitleRow
        v-for="idea in bench.ideas"
        :key="idea.title"
        :title="idea.title"
        :measured="bench.measured.get(idea.title)"
        :pattern="PATTERN_NAMES[idea.pattern]"
        data-test="idea"
      >
        <v-btn size="small" variant="tonal" data-test="idea-use" @click="bench.use(idea.title)">Use</v-btn>
        <v-btn
          size="small"
          :icon="mdiPinOutline"
          aria-label="Add to the candidates"
          data-test="idea-keep"
          @click="bench.add(idea.title, idea.pattern, 'kept')"
        />
      </DeskTitleRow>
    </div>
  </section>
</template>

<style scoped>
.bench {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.add {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 12px 14px 8px;
}
.lists {
  overflow-y: auto;
  flex: 1;
  padding: 0 14px 14px;
}
h3 {
  font-size: 13px;
  margin: 10px 0 0;
}
.head {
  display: flex;
  gap: 12px;
  align-items: center;
  margin-top: 8px;
}
.head h3 {
  margin: 0;
}
.discarded {
  display: flex;
  gap: 10px;
  justify-content: space-between;
  padding: 3px 0;
}
details {
  padding: 6px 0;
}
</style>
