<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { clock, spokenText } from '../../../../core/captions/cue'
import type { Spoken } from '../../../../core/captions/spoken'
import type { FoundPhrase } from '../../../../core/demand/phrasesIn'
import { api, messageOf } from '~/composables/api'
import { inFull, rounded, UNKNOWN } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useSpoken } from '~/stores/spoken'
import { useTray } from '~/stores/tray'

/** Where each phrase of the tray is spoken, and what else in a text is searched for. */
const brief = useBrief()
const spoken = useSpoken()
const tray = useTray()
const fields = computed(() => brief.fields!)
const phrases = computed(() => tray.phrases.map(each => each.phrase))
const markOf = (phrase: string) => tray.phrases.find(each => each.phrase === phrase)?.mark ?? ''

const rows = shallowRef<Spoken[]>([])
watchDebounced(
  [() => spoken.captions, phrases],
  async () => {
    const captions = { cues: spoken.captions.cues.map(cue => ({ ...cue })), timed: spoken.captions.timed }
    rows.value = captions.cues.length
      ? await spoken.remote().spoken(captions, [...phrases.value], fields.value.language)
      : []
  },
  { debounce: 100, immediate: true, deep: true },
)
/** The lead belongs into the first half minute. */
const EARLY = 30
const lead = computed(() => rows.value.find(row => row.phrase === tray.tray.lead))
const leadWords = computed(() => {
  if (!lead.value) return ''
  if (!lead.value.count) return 'The lead is not spoken. Searchers hear whether the video is about what they typed.'
  if (lead.value.first === null) return 'The lead is spoken; times are estimated.'
  return lead.value.first <= EARLY
    ? `The lead is spoken ${clock(lead.value.first)} into the video.`
    : `The lead is first spoken at ${clock(lead.value.first)}. Say it in the first ${EARLY} seconds.`
})
const GRADES = {
  exact: '',
  inflected: '',
  ordered: 'with words between',
  scattered: 'its words apart',
  fragment: 'only part of it',
  none: 'never',
}

const source = ref<'spoken' | 'pasted'>('spoken')
const pasted = ref('')
const found = shallowRef<FoundPhrase[] | null>(null)
const problem = ref('')
const busy = ref(false)
async function look() {
  busy.value = true
  problem.value = ''
  const of = brief.brief!.id
  try {
    const text = source.value === 'spoken' ? spokenText(spoken.captions.cues) : pasted.value
    const { region, language } = fields.value
    const answer = await api('POST /api/phrases/found', { body: { text, region, language } })
    if (brief.brief?.id === of) found.value = answer.rows
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
const isIn = (phrase: string) => phrases.value.includes(phrase) || tray.tray.setAside.includes(phrase)
</script>

<template>
  <section class="phrases sheet" aria-label="Phrases spoken" data-test="spoken-phrases">
    <p v-if="leadWords" class="small" data-test="lead-spoken">{{ leadWords }}</p>
    <p v-if="!spoken.captions.cues.length" class="small muted">
      Nothing is spoken yet: load captions or write an outline.
    </p>
    <table v-else aria-label="Where each phrase is spoken">
      <thead>
        <tr>
          <th class="phrase">Phrase</th>
          <th>Times</th>
          <th>First</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.phrase" data-test="spoken-row">
          <td class="phrase">
            <span class="figure mark">{{ markOf(row.phrase) }}</span> {{ row.phrase }}
          </td>
          <td class="figure">
            {{ row.count || '' }}<span v-if="!row.count" class="small muted">{{ GRADES[row.grade] }}</span>
          </td>
          <td class="figure">
            <button
              v-if="row.cue !== null"
              class="plain link"
              data-test="spoken-go"
              @click="spoken.shown = { cue: row.cue }"
            >
              {{ row.first === null ? 'go' : clock(row.first) }}</button><template v-else>{{ UNKNOWN }}</template>
          </td>
        </tr>
      </tbody>
    </table>
    <h3>Phrases in a text</h3>
    <div class="bar">
      <v-btn-toggle v-model="source" mandatory density="compact" variant="outlined" divided aria-label="Which text">
        <v-btn value="spoken" :aria-pressed="source === 'spoken'" size="small">What is spoken</v-btn
        ><v-btn value="pasted" :aria-pressed="source === 'pasted'" size="small" data-test="found-pasted"
          >Pasted text</v-btn
        >
      </v-btn-toggle>
      <v-btn
        size="small"
        variant="tonal"
        :loading="busy"
        :disabled="source === 'spoken' ? !spoken.captions.cues.length : !pasted.trim()"
        data-test="found-run"
        @click="look"
        >Find phrases</v-btn
      >
    </div>
    <v-textarea
      v-if="source === 'pasted'"
      v-model="pasted"
      label="Comments, questions, reviews, an article"
      rows="4"
      max-rows="8"
      maxlength="300000"
      hide-details
      data-test="found-text"
    />
    <p v-if="problem" role="alert" class="small">
      {{ problem }} <button class="plain link" @click="look">Try again</button>
    </p>
    <p v-else-if="found && !found.length" class="small muted">No known phrase stands in this text.</p>
    <table v-else-if="found" aria-label="Phrases in the text">
      <thead>
        <tr>
          <th class="phrase">Phrase</th>
          <th>Times</th>
          <th title="Searches a month">Searches</th>
          <th><span class="unseen">Do</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in found" :key="row.phrase" data-test="found">
          <td class="phrase">{{ row.phrase }}</td>
          <td class="figure">{{ row.count }}</td>
          <td class="figure" :title="inFull(row.volume, 'searches a month')">{{ rounded(row.volume) }}</td>
          <td>
            <span v-if="isIn(row.phrase)" class="small muted">in the tray</span
            ><button v-else class="plain link small" data-test="found-add" @click="tray.add([row.phrase])">Add</button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.phrases {
  overflow-y: auto;
  min-height: 0;
  padding: 10px 14px 14px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.bar {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
h3 {
  font-size: 13px;
  margin-top: 6px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  text-align: end;
  padding: 3px 6px;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
  white-space: nowrap;
}
th {
  font-size: 12px;
  color: var(--muted);
}
.phrase {
  text-align: start;
  width: 60%;
  white-space: normal;
  overflow-wrap: anywhere;
}
.mark {
  color: var(--teal);
  font-weight: 600;
}
.link {
  color: var(--teal);
  min-height: 24px;
}
</style>
