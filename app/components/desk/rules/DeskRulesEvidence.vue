<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { CHECKS } from '../../../../core/draft/checks'
import type { WeightProposal } from '../../../../core/evidence/weights'
import type { EvidenceAnswer, EvidencePages } from '../../../../shared/evidence'
import type { JobState } from '../../../../shared/jobs'
import { counted, dateTime, regionName } from '~/composables/figures'
import { languageName } from '~/composables/languages'

/** What the result pages kept say of the checks: how much of it there is, and the weights it suggests. */
const pages = defineModel<EvidencePages>({ required: true })
const props = defineProps<{
  answer: EvidenceAnswer | null
  job: JobState | null
  problem: string | null
  /** The region and language of the open brief, to narrow it to. */
  region: string | null
  language: string
  /** Its lead; '' where there is none. */
  lead: string
  /** Whether the set shown can only be read. */
  fixed: boolean
}>()
const emit = defineEmits<{ work: []; stop: []; retry: []; take: [weights: WeightProposal[]] }>()
const titles = new Map(CHECKS.map(({ id, title }) => [id, title]))

const WHICH = computed(() => [
  { title: 'All pages', value: 'all' },
  ...(props.region ? [{ title: regionName(props.region), value: 'region' }] : []),
  { title: languageName(props.language), value: 'language' },
  ...(props.lead ? [{ title: `Trade of “${props.lead}”`, value: 'trade' }] : []),
])
const which = computed({
  get: () => (pages.value.trade ? 'trade' : pages.value.region ? 'region' : pages.value.language ? 'language' : 'all'),
  set(value: string) {
    const { language: _, trade: __, ...rest } = pages.value
    pages.value = {
      ...rest,
      region: value === 'region' ? props.region : null,
      ...(value === 'language' ? { language: props.language } : {}),
      ...(value === 'trade' ? { trade: props.lead } : {}),
    }
  },
})
const age = computed({
  get: () => pages.value.age ?? 'any',
  set(value: string) {
    const { age: _, ...rest } = pages.value
    pages.value = value === 'new' || value === 'old' ? { ...rest, age: value } : rest
  },
})
function setAbout(typed: string) {
  const { about: _, ...rest } = pages.value
  pages.value = typed.trim() ? { ...rest, about: typed.trim() } : rest
}

const left = ref<string[]>([])
const open = ref(false)
watch(
  () => props.answer,
  () => {
    left.value = []
  },
)
const taken = computed(() => props.answer?.weights.filter(each => !left.value.includes(each.id)) ?? [])
function toggle(id: string) {
  left.value = left.value.includes(id) ? left.value.filter(each => each !== id) : [...left.value, id]
}
</script>

<template>
  <section aria-label="Evidence" class="evidence" data-test="evidence">
    <div class="line">
      <strong>Evidence</strong>
      <select v-model="which" aria-label="Which pages">
        <option v-for="each in WHICH" :key="each.value" :value="each.value">{{ each.title }}</option>
      </select>
      <select v-model="age" aria-label="Age of the results" data-test="evidence-age">
        <option value="any">Results of any age</option>
        <option value="new">Younger than a year</option>
        <option value="old">Older than a year</option>
      </select>
      <ShellTyped
        :value="pages.about ?? ''"
        aria-label="Only phrases that hold"
        placeholder="Only phrases that hold…"
        size="22"
        data-test="evidence-about"
        @typed="setAbout"
      />
      <v-btn v-if="!job && answer?.unread" size="small" variant="tonal" data-test="evidence-work" @click="emit('work')"
        >Read {{ counted(answer.unread, 'page') }}</v-btn
      >
      <v-btn
        v-else-if="!job && answer && answer.at === null"
        size="small"
        variant="tonal"
        data-test="evidence-work"
        @click="emit('work')"
        >Work it out</v-btn
      >
    </div>
    <p v-if="problem" role="alert" class="small">
      Could not load the evidence. {{ problem }} <button class="plain link" @click="emit('retry')">Try again</button>
    </p>
    <p v-else-if="job" class="small" role="status">
      Reading pages: {{ counted(job.done, 'page') }} of {{ counted(Math.max(0, job.total - 1), 'page') }}.
      <button class="plain link" data-test="evidence-stop" @click="emit('stop')">Stop</button>
    </p>
    <p v-else-if="answer && answer.at !== null" class="small" data-test="evidence-told">
      Do results that meet a check stand higher than others on the same page with the same reach and pull?
      {{ counted(answer.pages, 'page') }} in {{ counted(answer.families, 'group') }} of like pages,
      {{ dateTime(answer.at) }}. It compares and proves no cause.
      <button
        v-if="answer.weights.length"
        class="plain link"
        :aria-expanded="open"
        data-test="evidence-weights"
        @click="open = !open"
      >
        Weights from evidence ({{ answer.weights.length }})
      </button>
    </p>
    <p v-else-if="answer" class="small muted">
      Compares, on the result pages kept, results that meet a check with those of the same reach and pull that do not.
      {{ answer.unread ? '' : 'No page is kept yet: open Rivals, or assess phrases in Demand.' }}
    </p>
    <div v-if="open && answer?.weights.length" class="proposal" data-test="evidence-proposal">
      <label v-for="each in answer.weights" :key="each.id" class="small">
        <input type="checkbox" :checked="!left.includes(each.id)" @change="toggle(each.id)" />
        <span>{{ titles.get(each.id) ?? each.id }}</span>
        <span class="figure">{{ each.before }} → {{ each.after }}</span>
        <span class="muted">{{ each.reason }}</span>
      </label>
      <v-btn
        size="small"
        variant="tonal"
        :disabled="fixed || !taken.length"
        data-test="evidence-take"
        @click="emit('take', taken)"
        >Put into this set</v-btn
      >
      <span v-if="fixed" class="small muted">Duplicate the set first.</span>
    </div>
  </section>
</template>

<style scoped>
.evidence {
  display: grid;
  gap: 6px;
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
select,
input:not([type='checkbox']) {
  border: 0;
  border-bottom: 1px solid var(--line);
  background: var(--surface);
  color: var(--ink);
  font: inherit;
  font-size: 13px;
  min-height: 26px;
}
.link {
  color: var(--teal);
}
.proposal {
  display: grid;
  gap: 2px;
  border-left: 3px solid var(--teal);
  padding-left: 10px;
}
.proposal label {
  display: grid;
  grid-template-columns: 20px 220px 70px 1fr;
  gap: 8px;
  align-items: start;
}
.proposal .v-btn {
  justify-self: start;
}
@media (max-width: 700px) {
  .proposal label {
    grid-template-columns: 20px 1fr 70px;
  }
  .proposal label .muted {
    grid-column: 2 / -1;
  }
}
</style>
