<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed, ref } from 'vue'
import { standingFor, withPhrase, type Localised, type LocalisedPhrase } from '../../../../core/brief/items/localised'
import { gapsOf } from '../../../../core/descriptions/gaps'
import { tidyTags } from '../../../../core/draft/limits'
import { phraseKey } from '../../../../core/text/words'
import { counted, inFull, regionName, rounded } from '~/composables/figures'
import { languageName } from '~/composables/languages'
import type { Revised } from '~/composables/savedItem'
import { useBrief } from '~/stores/brief'
import { useLocalised } from '~/stores/localised'
import { useTray } from '~/stores/tray'

/** Phrases and tags of the brief at the left, what stands for each in the other language at the right. */
const props = defineProps<{ text: Revised<Localised> }>()
const brief = useBrief()
const tray = useTray()
const localised = useLocalised()
const fields = computed(() => brief.fields!)
const { translate, busy, may, note, problem } = useTranslation(
  computed(() => fields.value.language),
  computed(() => props.text.language),
)
const order = computed(() => tray.phrases.map(each => each.phrase))
const rows = computed(() =>
  tray.phrases.map(({ mark, phrase }) => ({ mark, phrase, there: standingFor(props.text, phrase) })),
)
/** Those that stand for nothing of the brief. */
const own = computed(() => props.text.phrases.filter(({ from }) => from === null || !order.value.includes(from)))

const { figureOf, stateOf } = useLocalisedLook(
  computed(() => props.text),
  phrases => localised.set({ phrases }),
)
const put = (from: string, text: string) =>
  localised.set({ phrases: withPhrase(props.text.phrases, from, text, order.value) })
const count = (phrase: LocalisedPhrase, counts: boolean) =>
  localised.set({
    phrases: props.text.phrases.map(each => (each === phrase ? { ...each, counts } : each)),
  })
const added = ref('')
function addOwn() {
  const text = added.value.trim()
  if (text && !props.text.phrases.some(each => phraseKey(each.text) === phraseKey(text)))
    localised.set({ phrases: [...props.text.phrases, { text, from: null, counts: false }] })
  added.value = ''
}
const drop = (phrase: LocalisedPhrase) =>
  localised.change(`“${phrase.text}” taken out.`, { phrases: props.text.phrases.filter(each => each !== phrase) })

/** Translates what has nothing standing for it yet. */
async function translatePhrases() {
  const of = props.text.id
  const open = rows.value.filter(row => !row.there).map(row => row.phrase)
  if (!open.length) return
  const found = await translate(open)
  if (!found || of !== localised.open?.id) return
  let next: LocalisedPhrase[] = [...props.text.phrases]
  open.forEach((from, i) => {
    next = withPhrase(next, from, found[i]!.slice(0, 200), order.value)
  })
  await localised.change(`${counted(open.length, 'phrase')} translated; they count once they are looked up.`, {
    phrases: next,
  })
}
async function translateTags() {
  const of = props.text.id
  const found = await translate([...fields.value.tags])
  if (!found || of !== localised.open?.id) return
  const whole = found.filter(tag => !gapsOf(tag).length)
  const tags = tidyTags([...props.text.tags, ...whole])
  const left = found.length - whole.length
  await localised.change(
    `${counted(tags.length - props.text.tags.length, 'tag')} added${left ? `; ${left} with words that are not known were left out` : ''}.`,
    { tags },
  )
}
const hasTag = (tag: string) => props.text.tags.some(each => phraseKey(each) === phraseKey(tag))
</script>

<template>
  <section class="phrases sheet" aria-label="Phrases and tags in both languages" data-test="localised-phrases">
    <div class="bar">
      <ShellRegion class="region" :model-value="text.region" @update:model-value="localised.set({ region: $event })" />
      <v-spacer />
      <v-btn
        v-if="may"
        size="small"
        variant="tonal"
        :loading="busy"
        data-test="translate-phrases"
        @click="translatePhrases"
        >Translate phrases</v-btn
      >
    </div>
    <p v-if="may && note" class="small muted" data-test="translation-note">{{ note }}</p>
    <p v-else-if="problem" class="small" role="alert">The translation service cannot be used now. {{ problem }}</p>
    <p v-else-if="!may" class="small muted">
      No translation service knows {{ languageName(fields.language) }} to {{ languageName(text.language) }}: carry the
      phrases over by hand.
    </p>
    <table>
      <thead>
        <tr>
          <th scope="col" class="from">{{ languageName(fields.language) }}</th>
          <th scope="col">{{ languageName(text.language) }}</th>
          <th scope="col" class="num" :title="`Searches a month, ${regionName(text.region)}`">Searches</th>
          <th scope="col">Counts</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.phrase" data-test="localised-row">
          <td>
            <strong class="figure mark">{{ row.mark }}</strong> {{ row.phrase }}
          </td>
          <td>
            <ShellTyped
              class="field"
              dir="auto"
              :value="row.there?.text ?? ''"
              maxlength="200"
              :aria-label="`${row.phrase} in ${languageName(text.language)}`"
              @typed="put(row.phrase, $event)"
            />
          </td>
          <td class="num figure">
            <span v-if="row.there" :title="inFull(figureOf(row.there)?.volume, 'searches a month')">{{
              rounded(figureOf(row.there)?.volume)
            }}</span>
          </td>
          <td>
            <label v-if="row.there" class="small"
              ><input
                type="checkbox"
                :checked="row.there.counts"
                :disabled="gapsOf(row.there.text).length > 0"
                :aria-label="`${row.there.text} counts`"
                @change="count(row.there, !row.there.counts)"
              />
              <span v-if="!row.there.counts" class="muted">{{ stateOf(row.there) }}</span></label
            >
          </td>
        </tr>
        <tr v-for="phrase in own" :key="phrase.text" data-test="localised-own">
          <td class="muted">
            <v-btn size="x-small" :icon="mdiClose" :aria-label="`Take out ${phrase.text}`" @click="drop(phrase)" />
            {{ phrase.from ?? 'its own' }}
          </td>
          <td dir="auto">{{ phrase.text }}</td>
          <td class="num figure">{{ rounded(figureOf(phrase)?.volume) }}</td>
          <td>
            <input
              type="checkbox"
              :checked="phrase.counts"
              :aria-label="`${phrase.text} counts`"
              @change="count(phrase, !phrase.counts)"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <form class="bar" @submit.prevent="addOwn">
      <v-text-field
        v-model="added"
        :label="`Another phrase in ${languageName(text.language)}`"
        maxlength="200"
        hide-details
        dir="auto"
        data-test="localised-add"
      />
    </form>
    <div class="bar">
      <h3>Tags of the brief</h3>
      <v-spacer />
      <v-btn
        v-if="may && fields.tags.length"
        size="small"
        variant="tonal"
        :loading="busy"
        data-test="translate-tags"
        @click="translateTags"
        >Translate tags</v-btn
      >
    </div>
    <ul class="small tags">
      <li v-for="tag in fields.tags" :key="tag" :class="{ muted: hasTag(tag) }">
        {{ tag }}
        <button
          v-if="!hasTag(tag)"
          class="plain link"
          :aria-label="`Take ${tag} as it is`"
          @click="localised.set({ tags: tidyTags([...text.tags, tag]) })"
        >
          as it is
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.phrases {
  overflow: auto;
  padding: 10px 14px 14px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.bar {
  display: flex;
  gap: 8px;
  align-items: center;
}
.region {
  flex: 0 0 190px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  white-space: nowrap;
  text-align: start;
  font-size: 12px;
  color: var(--muted);
}
th,
td {
  padding: 4px 6px 4px 0;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
  overflow-wrap: anywhere;
}
.from {
  width: 34%;
}
.num {
  text-align: end;
}
.mark {
  color: var(--teal);
}
.field {
  width: 100%;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  color: var(--ink);
  font: inherit;
  min-height: 28px;
}
h3 {
  font-size: 13px;
}
.tags {
  list-style: none;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
.link {
  color: var(--teal);
}
input[type='checkbox'] {
  accent-color: var(--teal);
}
</style>
