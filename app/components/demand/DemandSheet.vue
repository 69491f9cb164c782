<script setup lang="ts">
import { mdiArrowExpandHorizontal, mdiClose, mdiStairs, mdiStarOutline, mdiTrayPlus } from '@mdi/js'
import { useDebounceFn } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { INTENT_WORDS } from '../../../core/demand/intent'
import { isStale } from '../../../core/demand/stale'
import type { PhraseSheet } from '../../../shared/phrases'
import { api, ApiProblem, messageOf } from '~/composables/api'
import {
  chanceText,
  dateOnly,
  inFull,
  percent,
  percentChange,
  rounded,
  roundedRatio,
  toldBy,
  UNKNOWN,
} from '~/composables/figures'
import { useAccess } from '~/stores/access'
import { useNotices } from '~/stores/notices'
import { useTray } from '~/stores/tray'
import { useWorkspace } from '~/stores/workspace'

const props = defineProps<{ phrase: string; region: string | null; language: string }>()
const emit = defineEmits<{
  close: []
  seed: [phrase: string]
  worth: [phrase: string]
  longer: [phrase: string]
  open: [phrase: string]
  exclude: [words: string]
  loaded: [sheet: PhraseSheet]
}>()
const access = useAccess()
const notices = useNotices()
const tray = useTray()
const workspace = useWorkspace()
const sheet = shallowRef<PhraseSheet | null>(null)
const problem = ref('')
const note = ref('')
const noteState = ref('')
/** The note as it is saved, by its revision. */
let keptNote = { revision: 0 }
const now = Date.now()

async function load() {
  const { phrase, region, language } = props
  problem.value = ''
  try {
    const got = await api<PhraseSheet>('/api/phrases/sheet', {
      method: access.askMethod,
      query: { phrase, region, language, workspace: workspace.id },
    })
    if (phrase !== props.phrase) return
    sheet.value = got
    note.value = got.note
    keptNote = { revision: got.noteRevision }
    noteState.value = ''
    emit('loaded', got)
  } catch (error) {
    if (phrase === props.phrase) problem.value = messageOf(error)
  }
}
interface Unkept {
  phrase: string
  language: string
  workspace: string | undefined
  text: string
  kept: { revision: number }
}
/** A note belongs to the phrase it was typed at, also when the sheet has turned to another before it is saved. */
let unkept: Unkept | null = null
/** One after the other: the second is made from what the first has saved. */
let saving = Promise.resolve()
function keepNote() {
  if (!unkept) return
  const due = unkept
  unkept = null
  saving = saving.then(() => saveNote(due))
}
async function saveNote({ kept, ...body }: Unkept) {
  const here = () => body.phrase === props.phrase
  try {
    kept.revision = (
      await api<{ revision: number }>('/api/phrases/note', {
        method: 'PUT',
        body: { ...body, revision: kept.revision },
      })
    ).revision
    if (here()) noteState.value = 'saved'
  } catch (error) {
    if (error instanceof ApiProblem && error.status === 409) {
      const theirs = error.details as { text: string; revision: number }
      notices.tell(`The note on “${body.phrase}” was changed in another window to “${theirs.text.slice(0, 80)}”.`, {
        serious: true,
        undoLabel: 'Keep mine',
        undo: () => {
          kept.revision = theirs.revision
          return saveNote({ kept, ...body })
        },
      })
    } else if (here()) noteState.value = messageOf(error)
    else notices.tell(`The note on “${body.phrase}” was not saved: ${messageOf(error)}`, { serious: true })
  }
}
const keepSoon = useDebounceFn(keepNote, 500)
function typeNote(text: string) {
  note.value = text ?? ''
  unkept = { phrase: props.phrase, language: props.language, workspace: workspace.id, text: note.value, kept: keptNote }
  void keepSoon()
}
watch(
  () => [props.phrase, props.region, workspace.id],
  () => {
    keepNote()
    sheet.value = null
    void load()
  },
  { immediate: true },
)
onBeforeUnmount(() => void keepNote())

const detail = computed(() => sheet.value!.detail)
const worth = computed(() => detail.value.worth[workspace.whom])
const held = computed(() =>
  tray.tray.lead === props.phrase ? 'lead' : tray.held.has(props.phrase) ? 'in the tray' : null,
)
const intentText = computed(() =>
  sheet.value?.intent
    ? `${INTENT_WORDS[sheet.value.intent.intent]}, as ${sheet.value.intent.from === 'wording' ? `“${sheet.value.intent.cues.slice(0, 2).join('”, “')}” says` : 'its results say'}`
    : 'unclear from the wording and the results',
)
</script>

<template>
  <aside class="sheet panel" :aria-label="`Sheet of ${phrase}`" data-test="sheet">
    <header>
      <h2>{{ phrase }}</h2>
      <v-btn
        size="small"
        :icon="mdiClose"
        aria-label="Close the sheet"
        data-test="sheet-close"
        @click="emit('close')"
      />
    </header>
    <div class="do">
      <v-btn size="small" :prepend-icon="mdiStarOutline" :disabled="held === 'lead'" @click="tray.makeLead(phrase)"
        >Lead</v-btn
      >
      <v-btn size="small" :prepend-icon="mdiTrayPlus" :disabled="held !== null" @click="tray.add([phrase])">{{
        held ?? 'Tray'
      }}</v-btn>
      <v-btn
        size="small"
        :prepend-icon="mdiArrowExpandHorizontal"
        data-test="sheet-longer"
        @click="emit('longer', phrase)"
        >Lengthen</v-btn
      >
      <v-btn size="small" :prepend-icon="mdiStairs" :to="{ path: '/rivals', query: { ...$route.query, phrase } }"
        >Rivals</v-btn
      >
    </div>
    <div v-if="problem" class="pad" role="alert">
      <p>{{ problem }}</p>
      <v-btn variant="tonal" @click="load">Try again</v-btn>
    </div>
    <v-skeleton-loader v-else-if="!sheet" type="image, paragraph@3" />
    <div v-else class="body">
      <p v-if="sheet.missing.length" class="missing small">
        Missing: {{ sheet.missing.join(', ') }}. <button class="plain link" @click="load">Ask again</button>
      </p>
      <p v-if="detail.readAs" class="small" data-test="read-as">
        The site reads it as <strong>{{ detail.readAs }}</strong>, which more people search for. Difficulty, chance and
        rivals are for that phrase.
      </p>
      <dl class="figures">
        <div>
          <dt>Searches</dt>
          <dd class="figure" :title="`${inFull(detail.volume, 'a month')}${toldBy(detail.source, detail.at)}`">
            {{ rounded(detail.volume) }}
          </dd>
        </div>
        <div>
          <dt>Difficulty</dt>
          <dd class="figure" :title="inFull(detail.difficulty)">
            {{ detail.difficulty === null ? UNKNOWN : Math.round(detail.difficulty) }}
            <small v-if="detail.difficulty !== null">{{ hardness(detail, workspace.whom) }}</small><small
              v-else-if="detail.results === 0"
              >no results</small
            >
          </dd>
        </div>
        <div v-if="workspace.whom === 'channel'">
          <dt title="A rough estimate, from the first 20 results">My chance</dt>
          <dd class="figure">{{ detail.chance === null ? UNKNOWN : chanceText(detail.chance) }}</dd>
        </div>
        <div>
          <dt>Worth</dt>
          <dd>
            <button class="plain worth figure" title="Show how it is calculated" @click="emit('worth', phrase)">
              {{ worth === null ? UNKNOWN : Math.round(worth) }}
            </button>
            <small v-if="worth !== null">{{ worthWord(detail, workspace.whom) }}</small>
          </dd>
        </div>
        <div>
          <dt title="Videos with the phrase in their title, per thousand monthly searches">Rivals per 1,000</dt>
          <dd class="figure" :title="inFull(sheet.competitionPerThousand)">
            {{ sheet.competitionPerThousand === null ? UNKNOWN : roundedRatio(sheet.competitionPerThousand) }}
          </dd>
        </div>
      </dl>
      <p class="story" data-test="story">{{ sheet.story }}</p>
      <DemandMonths v-if="detail.months.length && detail.monthsEnd" :sheet="sheet" />
      <dl class="facts">
        <dt>Wants to</dt>
        <dd>{{ intentText }}</dd>
        <dt>Web search</dt>
        <dd>
          {{
            detail.videoBlock === null ? 'unknown' : detail.videoBlock ? 'shows a block of videos' : 'shows no videos'
          }}
        </dd>
        <dt>Suggested by</dt>
        <dd>
          {{
            detail.via.length
              ? detail.via.map(via => (via === 'video' ? 'the video site' : 'web search')).join(' and ')
              : 'neither source'
          }}
        </dd>
        <dt>Change</dt>
        <dd class="figure">{{ percentChange(detail.change) }}</dd>
        <template v-if="detail.advertiser !== null"
          ><dt>Advertisers</dt>
          <dd
            class="figure"
            title="From your import. High values show that the phrase earns money, not that videos compete for it"
          >
            {{ inFull(detail.advertiser) }}
          </dd></template
        >
      </dl>
      <section v-if="sheet.meanings.length" aria-label="What it means">
        <h3>
          {{
            sheet.meanings.length > 1 ? 'The phrase has more than one meaning' : 'The results are all about one subject'
          }}
        </h3>
        <ul class="meanings" data-test="meanings">
          <li v-for="meaning in sheet.meanings" :key="meaning.ids[0]">
            <span class="bar" :style="{ width: `${meaning.share * 100}%` }" aria-hidden="true" /><strong>{{
              meaning.name.join(', ')
            }}</strong>
            <span class="figure muted">{{ percent(meaning.share) }}</span>
            <div class="small muted clip">“{{ meaning.titles[0] }}”</div>
            <button
              v-if="sheet.meanings.length > 1"
              class="plain link small"
              :title="`Hide phrases with ${meaning.name[0]}`"
              @click="emit('exclude', meaning.name[0]!)"
            >
              leave out “{{ meaning.name[0] }}”
            </button>
          </li>
        </ul>
      </section>
      <section aria-label="On top">
        <h3>On top</h3>
        <ol class="top">
          <li v-for="video in sheet.top" :key="video.videoId">
            <img v-if="video.thumbnail" :src="video.thumbnail" alt="" width="64" height="36" />
            <div>
              <div class="clip" :title="video.title">{{ video.title }}</div>
              <div class="small muted clip">
                {{ video.channel }} · {{ rounded(video.views) }} views ·
                {{ video.publishedAt === null ? UNKNOWN : dateOnly(video.publishedAt) }}
              </div>
            </div>
            <span class="figure small" title="Strength of this result, 0 to 1">{{ video.strength.toFixed(2) }}</span>
          </li>
        </ol>
        <p v-if="!sheet.top.length" class="muted small">No results loaded yet.</p>
      </section>
      <section v-if="sheet.interest.length" aria-label="Where">
        <h3>Where</h3>
        <DemandMap :interest="sheet.interest" :region="region" />
      </section>
      <section aria-label="Related and rising" class="two">
        <div>
          <h3>Related</h3>
          <ul>
            <li v-for="row in sheet.related" :key="row.phrase">
              <button class="plain clip" @click="emit('open', row.phrase)">{{ row.phrase }}</button><span
                class="figure small"
                >{{ rounded(row.volume) }}</span
              >
            </li>
          </ul>
        </div>
        <div>
          <h3>Rising</h3>
          <ul>
            <li v-for="row in sheet.rising" :key="row.phrase">
              <button class="plain clip" @click="emit('open', row.phrase)">{{ row.phrase }}</button><span
                class="figure small"
                >{{ percentChange(row.change) }}</span
              >
            </li>
          </ul>
          <p v-if="!sheet.rising.length" class="muted small">Nothing is rising.</p>
        </div>
      </section>
      <section aria-label="Notes">
        <h3>
          Notes <span class="small muted" role="status">{{ noteState }}</span>
        </h3>
        <v-textarea
          :model-value="note"
          rows="2"
          auto-grow
          variant="outlined"
          density="compact"
          hide-details
          maxlength="4000"
          :aria-label="`Notes on ${phrase}`"
          placeholder="Shown wherever this phrase appears"
          data-test="note"
          @update:model-value="typeNote"
        />
      </section>
      <section aria-label="Sources">
        <h3>Sources</h3>
        <ul class="small muted">
          <li v-for="figure in detail.figures" :key="`${figure.source}${figure.region}`">
            {{ figure.source }}, {{ figure.region ?? 'everywhere' }}:
            <span class="figure">{{ inFull(figure.volume === null ? null : Math.round(figure.volume)) }}</span>, told
            {{ dateOnly(figure.at) }}<strong v-if="isStale(figure.at, now)" class="missing"> · stale</strong>
          </li>
        </ul>
      </section>
    </div>
  </aside>
</template>

<style scoped>
.panel {
  width: 420px;
  flex: none;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
header {
  display: flex;
  align-items: flex-start;
  gap: 6px;
  padding: 10px 8px 2px 14px;
}
header h2 {
  flex: 1;
  font-size: 16px;
  overflow-wrap: anywhere;
}
.do {
  display: flex;
  gap: 2px;
  padding: 0 8px 6px;
  border-bottom: 1px solid var(--line);
}
.body {
  overflow: auto;
  padding: 10px 14px 20px;
  display: grid;
  gap: 12px;
}
.pad {
  padding: 14px;
  display: grid;
  gap: 8px;
  justify-items: start;
}
.figures {
  display: flex;
  gap: 16px;
  margin: 0;
}
.figures dt {
  font-size: 11px;
  color: var(--muted);
  white-space: nowrap;
}
.figures dd {
  margin: 0;
  font-size: 18px;
  font-weight: 600;
  white-space: nowrap;
}
.figures small {
  font: 12px var(--sans);
  color: var(--muted);
  font-weight: 400;
}
.worth {
  color: var(--teal);
  font-weight: 600;
  text-decoration: underline dotted;
  text-underline-offset: 4px;
}
.story {
  font-size: 15px;
}
.facts {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: 3px 10px;
  margin: 0;
}
.facts dt {
  color: var(--muted);
}
.facts dd {
  margin: 0;
}
h3 {
  font-size: 13px;
  margin-bottom: 4px;
}
ul,
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
.meanings li {
  position: relative;
  padding: 4px 6px;
  margin-bottom: 3px;
}
.meanings .bar {
  position: absolute;
  inset: 0 auto 0 0;
  background: color-mix(in srgb, var(--teal) 12%, transparent);
  z-index: 0;
}
.meanings li > *:not(.bar) {
  position: relative;
}
.top li {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  padding: 3px 0;
}
.top img {
  border-radius: 2px;
  display: block;
}
.clip {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  display: block;
  max-width: 100%;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
}
.two > div {
  min-width: 0;
}
.two li {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  padding: 2px 0;
}
.two button {
  min-width: 0;
}
.two .figure {
  white-space: nowrap;
}
.link {
  color: var(--teal);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.missing {
  color: var(--plum);
}
</style>
