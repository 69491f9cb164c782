<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue'
import { inDigits } from '../../../core/text/inWords'
import { wonTogether, type OpenPhrase, type PhraseTopic } from '../../../shared/openPhrases'
import { goTo } from '~/composables/address'
import { messageOf } from '~/composables/api'
import { chanceText, counted, inFull, rounded } from '~/composables/figures'
import { fewViews } from '~/composables/rankCells'
import { useOpenPhrases } from '~/stores/openPhrases'
import { useNotices } from '~/stores/notices'
import { useRanks } from '~/stores/ranks'

/** What people search in the topics of the channel, where none of its videos stands and one could. */
const open = useOpenPhrases()
const ranks = useRanks()
const notices = useNotices()
const route = useRoute()
const address = useAddress()
onBeforeUnmount(open.follow())

const HEADERS = [
  { key: 'phrase', title: 'Phrase' },
  { key: 'searches', title: 'Searches', align: 'end', width: 88 },
  { key: 'difficulty', title: 'Difficulty', align: 'end', width: 88 },
  { key: 'chance', title: 'Chance', align: 'end', width: 78 },
  { key: 'views', title: 'Views a month', align: 'end', width: 116, value: (each: OpenPhrase) => wonTogether(each) },
  { key: 'acts', title: '', sortable: false, width: 126 },
] as const
const topic = computed(() => String(route.query.topic ?? ''))
const shown = computed(() =>
  (open.answer?.phrases ?? []).filter(({ topics }) => !topic.value || topics.includes(topic.value)),
)
const topicSaid = ({ videos, held }: PhraseTopic) =>
  `${counted(videos, 'video')} of yours with this word; on page one for ${counted(held, 'phrase')}`
const viewsSaid = (each: OpenPhrase) =>
  `${each.views.toFixed(1)} for this phrase, ${wonTogether(each).toFixed(1)} with those of the same results: ` +
  'searches × the chance of each rank × the share that looks at it'
/** So many open phrases in a topic where mine stand already make a series. */
const SERIES = 3
const opening = ref('')
async function start(each: OpenPhrase) {
  if (opening.value) return
  opening.value = each.phrase
  try {
    await goTo({ path: '/desk', query: { brief: await open.toBrief(each) } })
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  } finally {
    opening.value = ''
  }
}
</script>

<template>
  <ShellFailed v-if="open.problem" :problem="open.problem" @again="open.load()" />
  <template v-else-if="!open.answer">
    <p class="small muted" role="status">Looking at the phrases of your topics…</p>
    <v-skeleton-loader type="table-row@6" class="sheet" />
  </template>
  <div v-else-if="!open.answer.phrases.length" class="sheet state" data-test="open-empty">
    <h2>No open phrases known</h2>
    <ShellChooseChannel v-if="!open.answer.topics.length && !ranks.videos?.length" />
    <p v-else-if="!open.answer.topics.length">
      No word comes back in the titles of your videos, so your topics are not known. Make two videos about one thing, or
      search for it on Demand.
    </p>
    <p v-else>
      Of {{ counted(open.answer.looked, 'phrase') }} with the words of your titles none is both within your reach and
      without a video of yours. Search your topics on Demand, and assess what comes up:
      {{ inDigits(open.answer.unknown) }}
      are not assessed yet.
    </p>
  </div>
  <template v-else>
    <div class="topics" role="group" aria-label="Topics">
      <button
        v-for="each in open.answer.topics"
        :key="each.word"
        class="topic"
        :class="{ here: topic === each.word }"
        :aria-pressed="topic === each.word"
        data-test="open-topic"
        :title="topicSaid(each)"
        @click="address({ topic: topic === each.word ? undefined : each.word })"
      >
        <b>{{ each.word }}</b>
        <span class="small muted"
          >{{ inDigits(each.open) }} open, {{ inDigits(each.held) }} held<template
            v-if="each.open >= SERIES && each.held >= SERIES"
            >; a series</template
          ></span
        >
      </button>
    </div>
    <ShellTable
      :headers="HEADERS"
      :items="shown"
      item-value="phrase"
      density="compact"
      fixed-header
      class="sheet table"
      tabindex="0"
      aria-label="Open phrases"
      no-data-text="No open phrase in this topic."
      data-test="open-phrases"
    >
      <template #[`item.phrase`]="{ item }">
        <div class="phrase" data-test="open-phrase">
          <NuxtLink
            class="link"
            :to="{ path: '/rivals', query: { phrase: item.phrase, region: ranks.region ?? '' } }"
            title="Who stands there"
            >{{ item.phrase }}</NuxtLink><span
            v-if="item.also.length"
            class="small muted"
            :title="item.also.map(({ phrase, views }) => `${phrase}: ${fewViews(views)} views a month`).join('\n')"
            >and {{ counted(item.also.length, 'phrase') }} with much the same results: {{ item.also[0]!.phrase
            }}<template v-if="item.also.length > 1">, …</template></span
          ><span v-if="item.intent === 'near'" class="small muted"
            >Searched for from everywhere in the region; you win only those near you.</span
          >
        </div>
      </template>
      <template #[`item.searches`]="{ item }"
        ><span class="figure" :title="inFull(item.searches, 'searches a month')">{{
          rounded(item.searches)
        }}</span></template
      >
      <template #[`item.difficulty`]="{ item }"
        ><span class="figure" :title="item.difficulty.toFixed(2)">{{ Math.round(item.difficulty) }}</span></template
      >
      <template #[`item.chance`]="{ item }"
        ><span class="figure" title="To be on page one with a well-worded video of your channel">{{
          chanceText(item.chance)
        }}</span></template
      >
      <template #[`item.views`]="{ item }"
        ><b class="figure" :title="viewsSaid(item)">{{ fewViews(wonTogether(item)) }}</b></template
      >
      <template #[`item.acts`]="{ item }"
        ><v-btn
          size="small"
          variant="outlined"
          :loading="opening === item.phrase"
          data-test="open-brief-new"
          @click="start(item)"
          >Start a brief</v-btn
        ></template
      >
    </ShellTable>
    <p class="small muted">
      Phrases with the words of your titles, assessed, with a chance of a quarter at least, on whose page none of yours
      was found and for which there is no brief. Of {{ counted(open.answer.known, 'phrase') }} known the
      {{ inDigits(open.answer.looked) }} worth most were looked at.
    </p>
  </template>
</template>

<style scoped>
.topics {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.topic {
  display: grid;
  justify-items: start;
  padding: 4px 10px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--surface);
  color: inherit;
  font: inherit;
  cursor: pointer;
}
.topic.here {
  border-color: var(--teal);
  box-shadow: inset 0 0 0 1px var(--teal);
}
.table {
  flex: 1;
  min-height: 180px;
}
.phrase {
  display: grid;
  padding: 3px 0;
}
</style>
