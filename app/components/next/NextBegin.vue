<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue'
import type { VTextField } from 'vuetify/components'
import type { ChannelStats } from '../../../shared/rivals'
import type { PhraseRow } from '../../../shared/phrases'
import { closest } from '../../../core/demand/closest'
import { emptyFields } from '../../../core/brief/brief'
import { goTo } from '~/composables/address'
import { api, messageOf } from '~/composables/api'
import { inFull, rounded } from '~/composables/figures'
import { remember } from '~/composables/remember'
import { useLibrary } from '~/stores/library'
import { useWorkspace } from '~/stores/workspace'

/** The first brief: what the video is about, whose channel it is for, and the phrase it is to be found by. */
const SHOWN = 8
/** Of so many the closest are shown: the most searched ones of all say little of a topic. */
const READ = 300
const library = useLibrary()
const workspace = useWorkspace()

const topic = ref('')
const topicField = useTemplateRef<VTextField>('topicField')
// Not `autofocus`: that waits until the field is seen, and takes the focus from another one meanwhile.
watch(topicField, field => field?.focus(), { flush: 'post' })
const region = ref<string | null>(workspace.current?.region ?? null)
const language = ref(workspace.current?.language ?? 'en')
const topicProblem = ref('')

const named = ref('')
const channels = shallowRef<ChannelStats[] | null>(null)
/** The channel chosen; `null` for none yet, `undefined` until it is said. */
const channel = ref<string | null | undefined>(
  workspace.current?.channelId ? workspace.current.channelTitle : undefined,
)
const channelProblem = ref('')

const rows = shallowRef<PhraseRow[] | null>(null)
const near = ref<string[]>([])
const lead = ref<string | null>(null)
const phraseProblem = ref('')
const looking = ref(false)
const busy = ref(false)
const phrases = useTemplateRef<HTMLElement>('phrases')
/** What the phrases are of: another topic or region asks anew. */
const lookedFor = ref('')
const question = computed(() => [topic.value.trim(), region.value, language.value].join('\n'))
const stale = computed(() => rows.value !== null && lookedFor.value !== question.value)

async function look() {
  const seed = topic.value.trim().toLowerCase().slice(0, 200)
  if (!seed) return void (topicProblem.value = 'Enter a topic in a few words.')
  const of = question.value
  looking.value = true
  phraseProblem.value = ''
  try {
    const query = { seed, region: region.value, language: language.value, limit: READ, sort: 'volume:desc' }
    const got = await api('GET /api/phrases', { query })
    // A phrase nobody searches for is answered too, without figures.
    rows.value = closest(
      seed,
      got.rows.filter(({ volume }) => volume !== null),
      language.value,
      SHOWN,
    )
    near.value = rows.value.length ? [] : got.near.slice(0, SHOWN).map(({ phrase }) => phrase)
    lead.value = rows.value[0]?.phrase ?? near.value[0] ?? seed
    lookedFor.value = of
    await nextTick()
    phrases.value?.querySelector<HTMLElement>('input:checked')?.focus()
  } catch (error) {
    phraseProblem.value = messageOf(error)
  } finally {
    looking.value = false
  }
}
/** What can be chosen: what people search for, what is near it, or the topic as it was typed. */
const choices = computed(() => {
  const typed = topic.value.trim().toLowerCase().slice(0, 200)
  const found = [
    ...(rows.value ?? []).map(({ phrase, volume }) => ({ phrase, volume, typed: false })),
    ...near.value.map(phrase => ({ phrase, volume: null, typed: false })),
  ]
  return found.some(({ phrase }) => phrase === typed) ? found : [...found, { phrase: typed, volume: null, typed: true }]
})

const setChannel = (channelId: string | null) =>
  api('PATCH /api/workspaces/:id', { params: { id: workspace.id! }, body: { channelId, subscribers: null } })

/** Makes it the workspace's channel; one the site does not know is not kept. */
async function takeChannel(id: string) {
  channelProblem.value = ''
  try {
    const got = await setChannel(id)
    if (!got.channelTitle) {
      await setChannel(null)
      channelProblem.value =
        got.problem ?? 'No channel has this name or id. You can name it later in the Library, under Channels.'
      return
    }
    await workspace.refresh()
    channel.value = got.channelTitle
    channels.value = null
  } catch (error) {
    channelProblem.value = messageOf(error)
  }
}
/** By its name among those seen on result pages; else what was typed is asked for as its id. */
async function findChannel() {
  channelProblem.value = ''
  try {
    channels.value = (await api('GET /api/channels', { query: { find: named.value } })).channels
    if (!channels.value.length) await takeChannel(named.value.trim())
  } catch (error) {
    channelProblem.value = messageOf(error)
  }
}

async function begin() {
  busy.value = true
  phraseProblem.value = ''
  try {
    const brief = await library.create({
      topic: topic.value.trim().slice(0, 300),
      region: region.value,
      language: language.value,
      tray: { ...emptyFields().tray, lead: lead.value },
    })
    remember('fonetra.region', region.value ?? '')
    await goTo({ path: '/demand', query: { brief: brief.id, seed: lead.value ?? brief.fields.topic } })
  } catch (error) {
    phraseProblem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="begin sheet" data-test="begin">
    <form class="question" @submit.prevent="look">
      <h2>What is your next video about?</h2>
      <p class="muted">A few words are enough. They start a brief, where all texts of the video are kept.</p>
      <div class="row">
        <v-text-field
          ref="topicField"
          v-model="topic"
          label="Topic"
          maxlength="300"
          class="wide"
          :error-messages="topicProblem"
          data-test="begin-topic"
          @update:model-value="topicProblem = ''"
        /><ShellRegion v-model="region" class="narrow" /><ShellLanguage v-model="language" class="narrow" />
        <v-btn type="submit" color="primary" variant="flat" :loading="looking" data-test="begin-look"
          >See what people search for</v-btn
        >
      </div>
    </form>

    <form class="question" @submit.prevent="findChannel">
      <h2>Which channel is it for?</h2>
      <p v-if="channel !== undefined" data-test="begin-channel">
        {{ channel ?? 'None yet. You can name it later in the Library, under Channels.' }}
        <button type="button" class="plain link" @click="channel = undefined">Change</button>
      </p>
      <template v-else>
        <p class="muted">Fonetra then tells the chances of your own channel, and knows its videos.</p>
        <div class="row">
          <v-text-field
            v-model="named"
            label="Name or id of the channel"
            maxlength="100"
            class="wide"
            :error-messages="channelProblem"
            data-test="begin-named"
          /><v-btn type="submit" :disabled="!named.trim() || !workspace.id" data-test="begin-find">Find</v-btn
          ><v-btn data-test="begin-none" @click="channel = null">None yet</v-btn>
        </div>
        <ul v-if="channels?.length">
          <li v-for="each in channels" :key="each.id">
            <span>{{ each.title }}</span><span class="figure small muted"
              >{{ rounded(each.subscribers) }} subscribers</span
            ><v-btn size="small" variant="tonal" data-test="begin-take" @click="takeChannel(each.id)">This one</v-btn>
          </li>
        </ul>
      </template>
    </form>

    <div v-if="rows || phraseProblem" ref="phrases" class="question" :class="{ stale }">
      <h2>Which phrase should people find it by?</h2>
      <ShellFailed v-if="phraseProblem" :problem="phraseProblem" @again="rows && !stale ? begin() : look()" />
      <template v-if="rows">
        <p v-if="stale" class="muted" role="status">
          The topic has changed.
          <button type="button" class="plain link" @click="look">Look again</button>
        </p>
        <p v-else-if="!rows.length" class="muted" role="status">
          No searches are known for this topic{{ near.length ? '. These phrases are near it' : '' }}. Searches can be
          imported from a list later.
        </p>
        <p v-else class="muted">
          What people search for that is closest to it. The one you choose becomes the lead; it can be changed at any
          time, and others support it.
        </p>
        <fieldset :disabled="stale">
          <legend class="unseen">Phrases</legend>
          <label v-for="each in choices" :key="each.phrase" class="choice" data-test="begin-phrase">
            <input v-model="lead" type="radio" name="lead" :value="each.phrase" />
            <span>{{ each.phrase }}<span v-if="each.typed" class="muted">, as typed</span></span>
            <span class="figure small muted" :title="inFull(each.volume, 'searches a month')"
              >{{ rounded(each.volume) }} a month</span
            >
          </label>
        </fieldset>
        <div>
          <v-btn
            color="primary"
            variant="flat"
            :disabled="stale || !lead"
            :loading="busy"
            data-test="begin-go"
            @click="begin"
            >Begin the brief</v-btn
          >
        </div>
      </template>
    </div>
  </div>
</template>

<style scoped>
.begin {
  padding: 20px 24px;
  display: grid;
  gap: 28px;
  max-width: 940px;
  align-content: start;
}
.question {
  display: grid;
  gap: 10px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: start;
}
/* As high as the fields beside them, which grow downwards by what is wrong with them. */
.row > .v-btn {
  height: 40px;
}
.wide {
  flex: 1 1 260px;
}
.narrow {
  flex: 0 1 170px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 4px;
}
li {
  display: flex;
  gap: 12px;
  align-items: center;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: grid;
}
.choice {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 10px;
  align-items: center;
  padding: 5px 4px;
  border-bottom: 1px solid var(--line);
  max-width: 560px;
  cursor: pointer;
}
.choice input {
  accent-color: var(--teal);
  width: 16px;
  height: 16px;
}
.stale .choice {
  opacity: 0.6;
}
</style>
