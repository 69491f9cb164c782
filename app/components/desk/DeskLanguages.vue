<script setup lang="ts">
import { mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { computed, watch } from 'vue'
import { NO_CONTEXT } from '../../../core/draft/context'
import { fixed, type Fix } from '../../../core/draft/draft'
import { localisedDraft, localisedPhrases } from '../../../core/brief/items/localised'
import { LANGUAGES, languageName } from '~/composables/languages'
import { useBrief } from '~/stores/brief'
import { useLocalised } from '~/stores/localised'
import { useWorkspaceItems } from '~/stores/workspaceItems'

/** The texts of the brief in other languages: each with its own phrases and its own points. */
const brief = useBrief()
const localised = useLocalised()
const items = useWorkspaceItems()
const limits = useLimits()
const route = useRoute()
const address = useAddress()
const open = computed(() => localised.open)
const all = computed(() => localised.items ?? [])
const wanted = computed(() => (all.value.find(each => each.id === route.query.text) ?? all.value[0])?.id ?? null)
watch(wanted, id => void localised.show(id), { immediate: true })
const show = (text: string) => address({ text }, true)

const used = computed(() => new Set([brief.fields!.language, ...all.value.map(each => each.value.language)]))
const offered = computed(() => Object.keys(LANGUAGES).filter(code => !used.value.has(code)))
/** Languages the brief can be in: those in which it has no other texts. */
const ownOnes = computed(() =>
  [...new Set([brief.fields!.language, ...offered.value])].sort((a, b) =>
    languageName(a).localeCompare(languageName(b)),
  ),
)
async function add(language: string) {
  const made = await localised.make(language, LANGUAGES[language] ?? null)
  if (made) await show(made)
}

const { scored, problem } = useScore(
  computed(() => open.value?.id ?? null),
  () =>
    open.value && {
      draft: localisedDraft(open.value),
      phrases: localisedPhrases(open.value),
      ruleSet: items.ruleSetOf(brief.fields!.ruleSet),
      profile: limits.value,
      language: open.value.language,
      context: NO_CONTEXT,
    },
)
function apply(fix: Fix) {
  if (fix.field === 'fileName') return
  void localised.change(`Done: ${fix.label.toLowerCase()}.`, {
    [fix.field]: fixed(localisedDraft(open.value!) as Parameters<typeof fixed>[0], fix),
  })
}

const SIDES = [
  { side: 'phrases', title: 'Phrases and tags' },
  { side: 'points', title: 'Points' },
] as const
const side = computed(() => SIDES.find(each => each.side === route.query.side)?.side ?? 'phrases')
const turn = (to: string) => address({ side: to === 'phrases' ? undefined : to }, true)
</script>

<template>
  <div class="desk-part">
    <h2 class="part-name">Languages</h2>
    <div class="choose">
      <label class="small own"
        >The brief is in
        <select
          :value="brief.fields!.language"
          aria-label="Language of the brief"
          data-test="own-language"
          @change="brief.set('language', ($event.target as HTMLSelectElement).value)"
        >
          <option v-for="code in ownOnes" :key="code" :value="code">{{ languageName(code) }}</option>
        </select></label
      >
      <v-btn
        v-for="each in all"
        :key="each.id"
        size="small"
        :variant="each.id === wanted ? 'tonal' : 'text'"
        :aria-pressed="each.id === wanted"
        data-test="localised"
        @click="show(each.id)"
        >{{ languageName(each.value.language) }}</v-btn
      >
      <v-btn
        v-if="open"
        size="x-small"
        :icon="mdiDeleteOutline"
        :aria-label="`Delete the texts in ${languageName(open.language)}`"
        @click="localised.remove(open, languageName(open.language))"
      />
      <v-menu v-if="offered.length">
        <template #activator="{ props: menu }"
          ><v-btn v-bind="menu" size="small" :prepend-icon="mdiPlus" data-test="language-add">Language</v-btn></template
        >
        <v-list role="menu" density="compact" max-height="360">
          <v-list-item
            v-for="code in offered"
            :key="code"
            role="menuitem"
            :title="languageName(code)"
            :data-test="`language-${code}`"
            @click="add(code)"
          />
        </v-list>
      </v-menu>
    </div>
    <p v-if="localised.problem && !localised.items" role="alert" class="sheet none">
      Could not load the texts. {{ localised.problem }}
      <button class="plain link" @click="localised.load()">Try again</button>
    </p>
    <p v-else-if="localised.openProblem" role="alert" class="sheet none">
      {{ localised.openProblem }} <button class="plain link" @click="localised.loadOpen()">Try again</button>
    </p>
    <div v-else-if="localised.items && !wanted" class="sheet none" data-test="no-language">
      <h3>In {{ languageName(brief.fields!.language) }} alone</h3>
      <p class="muted">
        A site shows title, description and tags in the viewer’s language where there are some. Add a language: its
        phrases are looked up where they would be searched before they count.
      </p>
    </div>
    <v-skeleton-loader v-else-if="!open" type="heading, paragraph@2" />
    <div v-else class="two-columns">
      <DeskLanguagesTexts :text="open" :scored="scored" />
      <div class="right">
        <DeskSides
          :model-value="side"
          :sides="SIDES"
          label="Beside the texts"
          named="language-side"
          @update:model-value="turn"
        />
        <DeskLanguagesPhrases v-if="side === 'phrases'" :key="open.id" :text="open" />
        <DeskPointsSheet
          v-else
          :score="scored?.score ?? null"
          :problem="problem"
          :label="`Points of the texts in ${languageName(open.language)}`"
          data-test="language-points"
          @fix="apply"
        >
          <p class="small muted">
            Rule set {{ items.ruleSetOf(brief.fields!.ruleSet).name }}, limits {{ limits.name }}.
          </p>
        </DeskPointsSheet>
      </div>
    </div>
  </div>
</template>

<style scoped>
.none {
  padding: 24px;
  display: grid;
  gap: 10px;
  justify-items: start;
}
</style>
