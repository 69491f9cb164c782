<script setup lang="ts">
import { mdiArrowExpandHorizontal, mdiClose, mdiStairs, mdiStarOutline, mdiTrayPlus } from '@mdi/js'
import { computed, ref, shallowRef, watch } from 'vue'
import { INTENT_WORDS } from '../../../core/demand/intentNames'
import { isStale } from '../../../core/demand/stale'
import type { PhraseSheet } from '../../../shared/phrases'
import { api, messageOf } from '~/composables/api'
import { now } from '~/composables/clock'
import { dateOnly, inFull, percentChange, unbroken } from '~/composables/figures'
import { useAccess } from '~/stores/access'
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
const tray = useTray()
const workspace = useWorkspace()
const sheet = shallowRef<PhraseSheet | null>(null)
const problem = ref('')
const today = now()

async function load() {
  const { phrase, region, language } = props
  problem.value = ''
  try {
    const got = await api(`${access.askMethod} /api/phrases/sheet`, {
      query: { phrase, region, language, workspace: workspace.id },
    })
    if (phrase !== props.phrase) return
    sheet.value = got
    emit('loaded', got)
  } catch (error) {
    if (phrase === props.phrase) problem.value = messageOf(error)
  }
}
watch(
  () => [props.phrase, props.region, workspace.id],
  () => {
    sheet.value = null
    void load()
  },
  { immediate: true },
)

const detail = computed(() => sheet.value!.detail)
const held = computed(() =>
  tray.tray.lead === props.phrase ? 'lead' : tray.held.has(props.phrase) ? 'in the tray' : null,
)
const intentText = computed(() => {
  const intent = sheet.value?.intent
  if (!intent) return 'unclear from the wording and the results'
  const cues = intent.cues.slice(0, 2).join('”, “')
  return `${INTENT_WORDS[intent.intent]}, as ${intent.from === 'wording' ? `“${cues}” says` : 'its results say'}`
})
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
        Missing: {{ sheet.missing.join(', ') }}. <button class="plain link" @click="load">Look again</button>
      </p>
      <p v-if="detail.readAs" class="small" data-test="read-as">
        The site reads it as <strong>{{ detail.readAs }}</strong>, which more people search for. Difficulty, chance and
        rivals are for that phrase.
      </p>
      <DemandSheetFigures :sheet @worth="emit('worth', phrase)" />
      <p class="story" data-test="story">{{ unbroken(sheet.story) }}</p>
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
      <DemandMeanings v-if="sheet.meanings.length" :meanings="sheet.meanings" @exclude="emit('exclude', $event)" />
      <DemandTopVideos :videos="sheet.top" />
      <section v-if="sheet.interest.length" aria-label="Where">
        <h3>Where</h3>
        <DemandMap :interest="sheet.interest" :region="region" />
      </section>
      <DemandRelated :sheet @open="emit('open', $event)" />
      <DemandNote :sheet :phrase :language />
      <section aria-label="Sources">
        <h3>Sources</h3>
        <ul class="small muted">
          <li v-for="figure in detail.figures" :key="`${figure.source}${figure.region}`">
            {{ figure.source }}, {{ figure.region ?? 'everywhere' }}:
            <span class="figure">{{ inFull(figure.volume === null ? null : Math.round(figure.volume)) }}</span>,
            {{ dateOnly(figure.at) }}<strong v-if="isStale(figure.at, today)" class="missing"> · out of date</strong>
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
.link {
  color: var(--teal);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.missing {
  color: var(--plum);
}
</style>
