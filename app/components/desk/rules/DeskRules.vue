<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { RuleSet } from '../../../../core/draft/ruleset'
import { readRuleSet, writeRuleSet } from '../../../../core/draft/ruleSetFile'
import type { Score } from '../../../../core/draft/score'
import type { EvidencePages } from '../../../../shared/evidence'
import type { WeightProposal } from '../../../../core/evidence/weights'
import { useEvidence } from '~/composables/evidence'
import { counted } from '~/composables/figures'
import type { RulesPlace } from '~/composables/rulesPlace'
import { saveFile } from '~/composables/saveFile'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'
import { useWorkspaceItems } from '~/stores/workspaceItems'

/** The rules by which texts are scored: read, compared, copied, changed, shared. */
const chosen = defineModel<string>('ruleSet', { required: true })
const props = defineProps<{ /** What is looked at. */ at: RulesPlace; scoreUnder: (set: RuleSet) => Promise<Score> }>()
const emit = defineEmits<{
  /** To something else, or `null` for away from the rules. */ turn: [at: RulesPlace | null]
}>()
const items = useWorkspaceItems()
const notices = useNotices()

const brief = useBrief()
/** The limit profile of the brief. */
const profile = computed({
  get: () => items.profileOf(brief.fields?.profile ?? '').id,
  set: (id: string) => {
    brief.set('profile', id)
  },
})
/** The limit profile that is looked at instead of a rule set. */
const limits = computed({
  get: () => ('limits' in props.at ? (props.at.limits ? items.profileOf(props.at.limits).id : profile.value) : null),
  set: id => {
    if (id !== null) emit('turn', { limits: id })
  },
})
/** The rule set that is looked at, or was before the limits. */
const last = ref(chosen.value)
watch(
  () => props.at,
  at => {
    if ('set' in at) last.value = at.set || chosen.value
  },
  { immediate: true },
)
const shown = computed({
  get: () => items.ruleSetOf(last.value).id,
  set: id => {
    emit('turn', { set: id })
  },
})
const saved = computed(() => items.ownRuleSets.find(each => each.id === shown.value) ?? null)
/** The set as it is worked on here; kept with Save. */
const draft = ref<RuleSet>(copy(items.ruleSetOf(shown.value)))
function copy(set: RuleSet): RuleSet {
  return JSON.parse(JSON.stringify(set)) as RuleSet
}
watch([shown, () => items.ruleSets], () => {
  draft.value = copy(items.ruleSetOf(shown.value))
})
const changed = computed(() => JSON.stringify(draft.value) !== JSON.stringify(copy(items.ruleSetOf(shown.value))))

/** What each of two sets gives the open text. */
const other = ref<string | null>(null)
const scores = shallowRef<{ own: Score; other: Score | null } | null>(null)
let asked = 0
watch(
  [draft, other],
  async () => {
    const mine = ++asked
    const beside = other.value === null ? null : items.ruleSetOf(other.value)
    const found = {
      own: await props.scoreUnder(draft.value),
      other: beside && (await props.scoreUnder(beside)),
    }
    if (mine === asked) scores.value = found
  },
  { immediate: true, deep: true },
)
const percentOf = (score: Score | null | undefined) =>
  score?.percent == null ? '–' : `${Math.floor(score.percent + 1e-9)} %`

const pages = ref<EvidencePages>({ region: null })
const { answer: evidence, job, problem: evidenceProblem, load: loadEvidence, work, stop } = useEvidence(shown, pages)
function take(weights: readonly WeightProposal[]) {
  const checks = { ...draft.value.checks }
  for (const { id, after } of weights) checks[id] = { ...checks[id], weight: after }
  draft.value = { ...draft.value, checks }
}

async function duplicate() {
  const { name, note, checks } = draft.value
  const id = await items.addRuleSet({ name: `${name} (copy)`.slice(0, 100), note, checks })
  if (id) shown.value = id
}
async function save() {
  if (!saved.value) return
  const { name, note, checks } = draft.value
  if (await items.setRuleSet(saved.value, { name, note, checks })) notices.show(`Rule set “${name}” saved.`)
}
async function remove() {
  const set = saved.value!
  if (chosen.value === set.id) chosen.value = items.ruleSets[0]!.id
  shown.value = items.ruleSets[0]!.id
  await items.removeRuleSet(set)
}
const file = () => saveFile(settingsFileName(draft.value.name, 'rules'), writeRuleSet(draft.value), 'application/json')
const { faults, choose } = useSettingsFile(async text => {
  const { set, unknown, changed: other } = readRuleSet(text)
  const id = await items.addRuleSet(set)
  if (!id) return
  shown.value = id
  const left = unknown.length ? ` Left out, not known here: ${unknown.join(', ')}.` : ''
  const differ = other.length
    ? ` ${counted(other.length, 'check')} changed since it was made: ${other.join(', ')}.`
    : ''
  notices.show(`Rule set “${set.name}” read.${left}${differ}`)
})
</script>

<template>
  <v-dialog :model-value="true" max-width="1040" scrollable @update:model-value="emit('turn', null)">
    <v-card data-test="rules">
      <v-card-title>Rules</v-card-title>
      <v-card-text class="body">
        <nav aria-label="Rule sets">
          <button
            v-for="set in items.ruleSets"
            :key="set.id"
            class="plain set"
            :class="{ shown: !limits && set.id === shown }"
            :aria-current="!limits && set.id === shown"
            data-test="rules-set"
            @click="shown = set.id"
          >
            {{ set.name }}<span v-if="set.id === chosen" class="small muted"> in use</span>
          </button>
          <button class="plain link small" data-test="rules-import" @click="choose()">Open a file</button>
          <ul v-if="faults.length" role="alert" class="small faults" data-test="rules-faults">
            <li v-for="fault in faults.slice(0, 20)" :key="fault">{{ fault }}</li>
          </ul>
          <h4 class="small muted">Limits</h4>
          <button
            v-for="each in items.profiles"
            :key="each.id"
            class="plain set"
            :class="{ shown: limits === each.id }"
            :aria-current="limits === each.id"
            data-test="limits-set"
            @click="limits = each.id"
          >
            {{ each.name }}<span v-if="each.id === profile" class="small muted"> in use</span>
          </button>
        </nav>
        <DeskRulesLimits v-if="limits" v-model:shown="limits" v-model="profile" />
        <div v-else class="rules">
          <template v-if="saved">
            <v-text-field v-model="draft.name" label="Name" maxlength="100" hide-details data-test="rules-name" />
            <v-textarea v-model="draft.note" label="Who it is for" rows="2" maxlength="2000" hide-details auto-grow />
          </template>
          <template v-else>
            <h3>{{ draft.name }}</h3>
            <p class="small">{{ draft.note }}</p>
            <p class="small muted">It ships with Fonetra. Duplicate it to change it.</p>
          </template>
          <div class="bar">
            <v-btn
              size="small"
              variant="tonal"
              :disabled="shown === chosen"
              data-test="rules-use"
              @click="chosen = shown"
              >Use for this brief</v-btn
            >
            <v-btn size="small" data-test="rules-duplicate" @click="duplicate">Duplicate</v-btn>
            <v-btn size="small" data-test="rules-export" @click="file">Save as a file</v-btn>
            <v-btn v-if="saved" size="small" data-test="rules-delete" @click="remove">Delete</v-btn>
            <v-spacer />
            <v-select
              v-model="other"
              :items="items.ruleSets.filter(each => each.id !== shown)"
              item-title="name"
              item-value="id"
              label="Compare with"
              clearable
              hide-details
              class="other"
              data-test="rules-other"
            />
          </div>
          <p class="small" data-test="rules-percent">
            This text earns {{ percentOf(scores?.own) }} under it<template v-if="scores?.other"
              >, {{ percentOf(scores.other) }} under “{{ items.ruleSetOf(other!).name }}”</template
            >.
          </p>
          <DeskRulesEvidence
            v-model="pages"
            :answer="evidence"
            :job="job"
            :problem="evidenceProblem"
            :region="brief.fields?.region || null"
            :language="brief.fields?.language ?? 'en'"
            :lead="brief.fields?.tray.lead ?? ''"
            :fixed="!saved"
            @work="work"
            @stop="stop"
            @retry="loadEvidence"
            @take="take"
          />
          <DeskRulesChecks
            v-model="draft"
            :fixed="!saved"
            :score="scores?.own ?? null"
            :other="other === null ? null : items.ruleSetOf(other)"
            :other-score="scores?.other ?? null"
            :evidence="evidence?.checks ?? []"
          />
        </div>
      </v-card-text>
      <v-card-actions>
        <v-spacer />
        <v-btn v-if="saved && changed && !limits" @click="draft = copy(items.ruleSetOf(shown))">Discard changes</v-btn>
        <v-btn
          v-if="saved && !limits"
          variant="flat"
          color="primary"
          :disabled="!changed || !draft.name.trim()"
          data-test="rules-save"
          @click="save"
          >Save</v-btn
        >
        <v-btn data-test="rules-close" @click="emit('turn', null)">Close</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.body {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 18px;
  align-items: start;
}
nav {
  display: grid;
  gap: 2px;
  position: sticky;
  top: 0;
}
.set {
  padding: 6px 8px;
  border-radius: 3px;
  border-left: 3px solid transparent;
}
.shown {
  border-left-color: var(--teal);
  background: color-mix(in srgb, var(--teal) 9%, transparent);
}
.link {
  color: var(--teal);
  padding: 6px 8px;
}
.faults {
  padding-left: 16px;
  overflow-wrap: anywhere;
}
.rules {
  display: grid;
  gap: 8px;
}
.bar {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.other {
  max-width: 220px;
  min-width: 180px;
}
h4 {
  padding: 10px 8px 0;
  border-top: 1px solid var(--line);
  margin-top: 6px;
}
h3 {
  font-size: 15px;
}
@media (max-width: 700px) {
  .body {
    grid-template-columns: 1fr;
  }
  nav {
    position: static;
  }
}
</style>
