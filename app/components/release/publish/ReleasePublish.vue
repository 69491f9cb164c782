<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { mdiFilmstrip, mdiPlay, mdiSendOutline, mdiStop } from '@mdi/js'
import { computed } from 'vue'
import { SHEET_QUESTIONS } from '../../../../core/release/sheet'
import { unsendable } from '../../../../core/release/videoDraft'
import { counted, dateTime, fileSize, percent } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useFilm } from '~/stores/film'
import { usePublish } from '~/stores/publish'
import { useRelease } from '~/stores/release'

/** Out to the site: what is sent, how far it is, and what the site refused; or onto a video that is there. */
const brief = useBrief()
const film = useFilm()
const release = useRelease()
const publish = usePublish()
void publish.load()
const WAYS = [
  { side: 'new', title: 'A new video' },
  { side: 'there', title: 'A video that is there' },
] as const
type Way = (typeof WAYS)[number]['side']
const route = useRoute()
const address = useAddress()
const way = computed<Way>(() => WAYS.find(each => each.side === route.query.onto)?.side ?? 'new')

const { open: choose, onChange } = useFileDialog({ accept: 'video/*', multiple: false, reset: true })
onChange(files => {
  if (files?.[0]) film.open(files[0])
})
const publication = computed(() => publish.answer?.publication ?? null)
const cutOff = computed(() => publication.value?.state === 'sending' && !publish.running && !publish.reading)
const channel = computed(() => publish.answer?.channel ?? null)
/** Worked out here, by the server's own rules: the brief is being worked on. */
const problems = computed(() => unsendable(brief.fields!, release.around?.account.rights ?? null))
const refused = computed(() => (publication.value?.state === 'refused' ? publication.value.problems : []))
const when = computed(() => {
  const { releaseAt } = brief.fields!
  return releaseAt === null ? '' : releaseAt === 'now' ? 'as soon as the site is ready' : release.inWords(releaseAt)
})
const begun = computed(() => publication.value?.state === 'sending' || publication.value?.state === 'out')
const LONG = 160
const short = (text: string) => (text.length > LONG ? `${text.slice(0, LONG)}…` : text)
/** Steps of the hand-over that a person does and a site does not take as text. */
const rows = computed(() => release.steps.filter(({ id }) => id !== 'fileName'))
/** Questions of the sheet are one thing to do, however many are open. */
const owed = computed(() => SHEET_QUESTIONS.filter(({ id }) => problems.value.some(({ field }) => field === id)))
const others = computed(() =>
  owed.value.length > 1
    ? problems.value.filter(({ field }) => !owed.value.some(({ id }) => id === field))
    : problems.value,
)
const partOf: Record<string, string> = { thumbnail: 'thumbnail', cards: 'video', endScreen: 'video' }
const toOf = (field: string) => {
  const own = partOf[field]
  if (own) return { query: { ...route.query, part: own } }
  if (['title', 'description', 'tags', 'captions', 'playlist'].includes(field))
    return { path: '/desk', query: { brief: brief.brief!.id } }
  return { query: { brief: brief.brief!.id } }
}
</script>

<template>
  <div class="publish">
    <DeskSides
      class="ways"
      :model-value="way"
      :sides="WAYS"
      label="Where it goes"
      named="onto"
      @update:model-value="address({ onto: $event === 'new' ? undefined : $event }, true)"
    />
    <ReleasePublishApply v-if="way === 'there'" />
    <ShellFailed v-else-if="publish.problem" :problem="publish.problem" @again="publish.load()" />
    <v-skeleton-loader v-else-if="!publish.answer" type="paragraph@3" />
    <div v-else class="two">
      <section class="sheet sent" aria-label="What is sent" tabindex="0">
        <h2>{{ begun ? 'In the brief' : 'What is sent' }}</h2>
        <dl data-test="sent">
          <template v-for="row in rows" :key="row.id"
            ><dt>{{ row.title }}</dt>
            <dd dir="auto" :title="row.text.length > LONG ? row.text : undefined">{{ short(row.text) }}</dd></template
          >
        </dl>
      </section>
      <section class="sheet way" aria-label="Publish">
        <template v-if="publication?.state === 'out'">
          <h2 data-test="publish-state">Out</h2>
          <p>
            The site has it as <code>{{ publication.video }}</code>.
            <template v-if="publication.visibleFrom"
              >It can be seen from {{ dateTime(publication.visibleFrom) }} on.</template
            >
          </p>
          <p class="muted small">Change texts on the Desk, then take them over under <em>A video that is there</em>.</p>
        </template>
        <template v-else-if="publication?.state === 'sending'">
          <h2 data-test="publish-state">{{ cutOff ? 'Cut off on its way' : 'On its way' }}</h2>
          <p>
            {{ publication.file }}: {{ fileSize(publication.sent) }} of {{ fileSize(publication.bytes) }},
            {{ percent(publication.sent / publication.bytes) }}
          </p>
          <v-progress-linear
            :model-value="(100 * publication.sent) / publication.bytes"
            aria-label="How much of the file the site has"
          />
          <p v-if="cutOff && publish.answer.job?.problem" role="alert">{{ publish.answer.job.problem }}</p>
          <div class="doing">
            <v-btn
              v-if="!cutOff"
              variant="outlined"
              :prepend-icon="mdiStop"
              data-test="publish-stop"
              @click="publish.stop()"
              >Stop</v-btn
            >
            <template v-else
              ><v-btn
                variant="flat"
                color="primary"
                :prepend-icon="mdiPlay"
                data-test="publish-go-on"
                @click="publish.goOn()"
                >Go on</v-btn
              ><v-btn variant="text" data-test="publish-give-up" @click="publish.giveUp()">Give up</v-btn></template
            >
          </div>
          <p v-if="cutOff" class="small muted">It goes on where it was. Nothing is published twice.</p>
        </template>
        <template v-else>
          <h2>Publish</h2>
          <p v-if="!channel">
            <NuxtLink class="link" to="/library?tab=channels">Choose your channel</NuxtLink> first: that is where the
            video goes.
          </p>
          <p v-else>
            On <strong>{{ channel.title }}</strong><template v-if="when">, {{ when }}</template
            >.
            <template v-if="channel.authorised === false">Its owner has not agreed yet that you act for it.</template>
          </p>
          <div v-if="refused.length" role="alert" data-test="refused">
            <p>The site refused it:</p>
            <ul>
              <li v-for="each in refused" :key="each.field + each.message">
                <NuxtLink class="link" :to="toOf(each.field)">{{ each.message }}</NuxtLink>
              </li>
            </ul>
          </div>
          <div v-if="problems.length" data-test="publish-problems">
            <p>Before it can be sent:</p>
            <ul>
              <li v-if="owed.length > 1">
                <NuxtLink class="link" :to="toOf(owed[0]!.id)"
                  >{{ counted(owed.length, 'question') }} of the sheet without an answer</NuxtLink
                >: {{ owed.map(({ title }) => title).join(', ') }}.
              </li>
              <li v-for="each in others" :key="each.field">
                <NuxtLink class="link" :to="toOf(each.field)">{{ each.message }}</NuxtLink>
              </li>
            </ul>
          </div>
          <p v-if="film.file" class="file">
            {{ film.name }}, {{ fileSize(film.file.size) }}
            <button class="plain link" @click="choose()">Another file</button>
          </p>
          <v-btn v-else variant="outlined" :prepend-icon="mdiFilmstrip" data-test="publish-file" @click="choose()"
            >Choose the file of the video</v-btn
          >
          <v-btn
            variant="flat"
            color="primary"
            :prepend-icon="mdiSendOutline"
            :disabled="!film.file || !channel || problems.length > 0 || begun"
            :loading="publish.reading"
            data-test="publish"
            @click="film.file && publish.publish(film.file)"
            >Publish</v-btn
          >
          <p class="small muted">
            Sending can be stopped, and goes on where it was. A brief is published once, however often this is pressed.
          </p>
        </template>
      </section>
    </div>
  </div>
</template>

<style scoped>
.publish {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.ways {
  align-self: start;
  flex: none;
}
.two {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(280px, 1fr);
  gap: 14px;
}
.sent {
  overflow: auto;
  padding: 14px;
}
.way {
  padding: 14px;
  display: grid;
  gap: 12px;
  align-content: start;
  justify-items: start;
  overflow: auto;
}
dl {
  display: grid;
  grid-template-columns: 170px minmax(0, 1fr);
  margin: 8px 0 0;
}
dt,
dd {
  margin: 0;
  padding: 5px 10px 5px 0;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
dt {
  color: var(--muted);
}
dd {
  overflow-wrap: anywhere;
  white-space: pre-wrap;
}
ul {
  margin: 4px 0 0;
  padding-left: 18px;
}
li .link {
  display: inline-block;
  min-height: 24px;
}
.doing {
  display: flex;
  gap: 8px;
}
@media (max-width: 1000px) {
  .two {
    display: flex;
    flex-direction: column-reverse;
    justify-content: flex-end;
  }
  .sent {
    overflow: visible;
  }
  dl {
    grid-template-columns: 1fr;
  }
  dt {
    border: 0;
    padding-bottom: 0;
  }
}
</style>
