<script setup lang="ts">
import { mdiCardPlusOutline, mdiLightbulbOnOutline } from '@mdi/js'
import { computed, ref, shallowRef } from 'vue'
import { clock, secondsOf } from '../../../../core/captions/cue'
import { KIND_NAMES, TARGET_KINDS, type Card, type TargetKind } from '../../../../core/release/cards'
import type { Moment } from '../../../../core/release/moments'
import { messageOf } from '~/composables/api'
import { percent } from '~/composables/figures'
import { useLeadTargets, type LeadTarget } from '~/composables/leadTargets'
import { useVideoLeads } from '~/composables/videoLeads'
import { useBrief } from '~/stores/brief'
import { useFilm } from '~/stores/film'
import { useSpoken } from '~/stores/spoken'

/** The cards by their time: where each leads and what it says; moments at which a video of mine is mentioned. */
const chosen = defineModel<string | null>('chosen', { required: true })
const brief = useBrief()
const film = useFilm()
const spoken = useSpoken()
const leads = useVideoLeads()
const targets = useLeadTargets()
const cards = computed(() => leads.cards.value.toSorted((one, other) => one.at - other.at))
const KINDS = TARGET_KINDS.map(value => ({ value, title: KIND_NAMES[value] }))
const open = (card: Card) => {
  chosen.value = chosen.value === card.id ? null : card.id
  film.seek(card.at)
}
function setTime(card: Card, text: string) {
  const at = secondsOf(text)
  if (at !== null) leads.moveCard(card.id, at)
}

interface Mention extends LeadTarget {
  kind: TargetKind
}
const moments = shallowRef<Moment<Mention>[] | null>(null)
const problem = ref('')
const busy = ref(false)
/** Titles that are mentioned in what is spoken and have no card yet. */
async function suggest() {
  busy.value = true
  problem.value = ''
  try {
    await targets.ready()
    const known = new Set(leads.cards.value.map(({ target }) => target))
    const mentions: Mention[] = [
      ...targets.videos.value.map(video => ({ ...video, kind: 'video' as const })),
      ...targets.playlists.value.map(list => ({ ...list, kind: 'playlist' as const })),
    ].filter(({ id }) => !known.has(id))
    const found = await spoken.remote().moments(mentions, [...spoken.captions.cues], brief.fields!.language)
    moments.value = found as Moment<Mention>[]
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
const SHOWN = 8
function take({ target, at }: Moment<Mention>) {
  const { id, kind, title } = target
  moments.value = moments.value!.filter(each => each.target.id !== id)
  const room = leads.limits.value.cards.text
  const teaser = [...title].length <= room ? title : ''
  chosen.value = leads.addCard({ at, kind, target: id, title, teaser })
  film.seek(at)
}
</script>

<template>
  <section aria-label="Cards" data-test="cards">
    <h2>
      Cards <span class="small muted">{{ cards.length }} of {{ leads.limits.value.cards.most }}</span>
      <v-spacer />
      <v-btn
        size="small"
        variant="text"
        :prepend-icon="mdiLightbulbOnOutline"
        :loading="busy"
        :disabled="!spoken.captions.cues.length"
        title="Where a video of yours, or a playlist, is mentioned in what is spoken"
        data-test="card-moments"
        @click="suggest"
        >Find moments</v-btn
      >
      <v-btn
        size="small"
        variant="tonal"
        color="primary"
        :prepend-icon="mdiCardPlusOutline"
        title="Add a card where the video stands (a)"
        data-test="card-add"
        @click="chosen = leads.addCard()"
        >Add at {{ clock(film.at) }}</v-btn
      >
    </h2>
    <p v-if="problem" role="alert" class="small">{{ problem }}</p>
    <div v-if="moments" class="moments" data-test="moments">
      <p v-if="!moments.length" class="small muted">Nothing of yours is mentioned in what is spoken.</p>
      <button
        v-for="moment in moments.slice(0, SHOWN)"
        :key="moment.target.id"
        class="plain moment"
        :title="`${percent(moment.share)} of what the title tells is said there: “${moment.text}”`"
        data-test="moment"
        @click="take(moment)"
      >
        <span class="figure">{{ clock(moment.at) }}</span> {{ moment.target.title }}
      </button>
    </div>
    <p v-if="!cards.length && !moments" class="small muted">
      A card leads to something else while the video plays. It is pressed most where that is mentioned.
    </p>
    <ol>
      <ReleaseVideoLine
        v-for="card in cards"
        :key="card.id"
        :open="chosen === card.id"
        :faults="leads.faultsOfCards.value.get(card.id) ?? []"
        :removes="`Remove the card at ${clock(card.at)}`"
        data-test="card"
        @open="open(card)"
        @remove="leads.removeCard(card.id)"
      >
        <template #sum
          ><span class="figure">{{ clock(card.at) }}</span>
          {{ card.title || card.target || KIND_NAMES[card.kind] }}</template
        >
        <div class="edit">
          <label class="small">
            At
            <ShellTyped
              class="figure typed"
              :value="clock(card.at)"
              size="7"
              aria-label="Time of the card"
              @typed="setTime(card, $event)"
          /></label>
          <v-select
            :model-value="card.kind"
            :items="KINDS"
            label="Leads to"
            density="compact"
            variant="underlined"
            hide-details
            data-test="card-kind"
            @update:model-value="leads.setCard(card.id, { kind: $event, target: '', title: '' })"
          />
          <ReleaseVideoTarget
            class="wide"
            :kind="card.kind"
            :target="card.target"
            :title="card.title"
            :label="KIND_NAMES[card.kind]"
            @choose="(target, title) => leads.setCard(card.id, { target, title })"
          />
          <v-text-field
            class="wide"
            :model-value="card.teaser"
            label="Teaser"
            density="compact"
            variant="underlined"
            hide-details="auto"
            :counter="leads.limits.value.cards.text"
            data-test="card-teaser"
            @update:model-value="leads.typeCard(card.id, { teaser: $event })"
          />
          <v-text-field
            class="wide"
            :model-value="card.message"
            label="Message, once it is opened"
            density="compact"
            variant="underlined"
            hide-details="auto"
            :counter="leads.limits.value.cards.text"
            data-test="card-message"
            @update:model-value="leads.typeCard(card.id, { message: $event })"
          />
        </div>
      </ReleaseVideoLine>
    </ol>
  </section>
</template>

<style scoped>
h2 {
  display: flex;
  align-items: center;
  gap: 6px;
  flex-wrap: wrap;
}
h2 .small {
  font-weight: 400;
}
ol {
  list-style: none;
  margin: 4px 0 12px;
  padding: 0;
}
.typed {
  width: 70px;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  color: inherit;
}
.edit {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 6px 14px;
  align-items: end;
  padding: 6px 0 8px;
}
.wide {
  grid-column: 1 / -1;
}
.moments {
  display: grid;
  gap: 2px;
  padding: 4px 0 8px;
}
.moment {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  color: var(--teal);
}
</style>
