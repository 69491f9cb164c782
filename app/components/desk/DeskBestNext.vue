<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { withPiece, type Cover, type CoverEdit } from '../../../core/draft/cover'
import type { FieldRange, Fix } from '../../../core/draft/draft'
import type { Score } from '../../../core/draft/score'
import { api, messageOf } from '~/composables/api'
import { leftOf, pointsText, STATE_NAMES } from '~/composables/points'
import { useBrief } from '~/stores/brief'
import { useChanges } from '~/stores/changes'
import { useNotices } from '~/stores/notices'
import { useProposal, type ProposedField } from '~/stores/proposal'

/** What brings most next, all phrases in their places at once, and whether it is enough. */
const props = defineProps<{ score: Score; cover: () => Promise<Cover> }>()
const emit = defineEmits<{ fix: [fix: Fix]; show: [range: FieldRange] }>()
const brief = useBrief()
const notices = useNotices()
const changes = useChanges()

/** So many of the best steps stand on top, once there are more to choose from. */
const BEST = 3
/** For each check its best fix, or what is left of it where nothing is ready-made. */
const best = computed(() =>
  props.score.checks
    .filter(check => leftOf(check) > 0.05)
    .map(check => {
      const fix = [...check.fixes].sort((a, b) => (b.gain ?? 0) - (a.gain ?? 0))[0]
      return { check, fix, brings: fix?.gain ?? leftOf(check) }
    })
    .sort((a, b) => b.brings - a.brings),
)

/** Percent that is good enough for the person; `null` for none. */
const target = ref<number | null>(null)
const workspace = computed(() => brief.brief?.workspaceId ?? '')
watch(
  [workspace, () => changes.revisions.workspaces],
  async ([id]) => {
    if (!id) return
    try {
      target.value = (await api('GET /api/workspaces/:id/settings', { params: { id } })).settings.target
    } catch {
      // Without it everything open is shown, as without a target.
      target.value = null
    }
  },
  { immediate: true },
)
async function setTarget(text: string) {
  const wanted = text.trim() === '' ? null : Number(text)
  if (wanted === target.value) return
  // A text that is not a number would be saved as no target.
  if (Number.isNaN(wanted))
    return notices.show('Enter a number from 0 to 100, or nothing for no target.', { serious: true })
  try {
    target.value = (
      await api('PUT /api/workspaces/:id/settings', { params: { id: workspace.value }, body: { target: wanted } })
    ).settings.target
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}
const isEnough = computed(
  () => target.value !== null && props.score.percent !== null && props.score.percent >= target.value,
)

const covered = shallowRef<Cover | null>(null)
const proposal = useProposal()
const SAID = 'Phrases put in their places.'
/** The text as it would be with some pieces, taken from the last so that the places of the others stay right. */
function withPieces(edits: readonly CoverEdit[]) {
  const { title, description, tags } = brief.fields!
  return [...edits].reverse().reduce(withPiece, { title, description, tags: [...tags] })
}
/** Proposed as a list with points here, and as a difference in title and description themselves. */
async function propose(fields: readonly ProposedField[] = ['title', 'description']) {
  covered.value = await props.cover()
  const proposed = withPieces(covered.value.edits)
  for (const field of fields) proposal.show(field, proposed[field]!, SAID)
}
function drop() {
  if (!covered.value) return
  covered.value = null
  proposal.drop('title')
  proposal.drop('description')
}
onBeforeUnmount(drop)
// A proposal belongs to the text it was made for.
watch(
  () => [brief.fields?.title, brief.fields?.description, brief.fields?.tags],
  () => {
    // What was dropped in the text does not come back unasked.
    if (covered.value) void propose(Object.keys(proposal.proposals) as ProposedField[])
  },
  { deep: true },
)
const FIELD_NAMES = { title: 'Title', description: 'Description', tags: 'Tags' }
const removed = ({ field, start, end }: CoverEdit) =>
  field === 'tags' ? brief.fields!.tags.slice(start, end).join(', ') : brief.fields![field].slice(start, end)
function take(edits: readonly CoverEdit[]) {
  const { title, description, tags } = withPieces(edits)
  const all = edits.length === covered.value?.edits.length
  brief.changeAll(edits.length === 1 ? 'Done.' : SAID, { title: title!, description: description!, tags: tags! })
  if (all) drop()
}
</script>

<template>
  <section aria-label="Best next" data-test="best-next" @keydown.escape="drop">
    <h2>
      <span>Best next</span><span class="asks" /><label class="small enough"
        >Enough at
        <ShellTyped
          class="figure"
          :value="target === null ? '' : String(target)"
          inputmode="numeric"
          size="3"
          maxlength="3"
          placeholder="–"
          aria-label="Percent that is enough"
          data-test="target"
          @typed="setTarget"
        />
        %</label
      >
    </h2>
    <p v-if="isEnough" class="small" data-test="enough">
      Enough: {{ Math.floor(score.percent!) }} % of your {{ target }} %. What is left is below.
    </p>
    <template v-else>
      <ul v-if="best.length > BEST">
        <li v-for="{ check, fix, brings } in best.slice(0, BEST)" :key="check.id" class="point">
          <ShellShape class="shape" :state="check.state" :label="STATE_NAMES[check.state]" />
          <div>
            <p class="name" :title="check.message">{{ check.title }}</p>
            <button v-if="fix" class="fix small" @click="emit('fix', fix)">{{ fix.label }}</button>
            <button
              v-else-if="check.ranges.length"
              class="fix small"
              data-test="best-show"
              @click="emit('show', check.ranges[0]!)"
            >
              Go there
            </button>
          </div>
          <span class="figure small points">+{{ pointsText(brings) }}</span>
        </li>
      </ul>
      <p class="small">
        <button class="fix" data-test="cover" @click="propose()">Put every phrase in its place</button>
      </p>
    </template>
    <div v-if="covered" class="proposal small" data-test="covered">
      <p v-if="!covered.edits.length">
        Every phrase is where this rule set asks for it, as far as ready-made edits go.
      </p>
      <template v-else>
        <div v-for="(edit, i) in covered.edits" :key="i" class="piece">
          <div>
            <p class="muted">{{ FIELD_NAMES[edit.field] }}</p>
            <p class="change">
              <del v-if="removed(edit)">{{ removed(edit) }}</del>{{ ' ' }}<ins>{{ edit.insert.trim() }}</ins>
            </p>
          </div>
          <button class="fix" data-test="cover-piece" @click="take([edit])">
            Take, +{{ pointsText(edit.points) }}
          </button>
        </div>
        <p>
          <button class="fix" data-test="cover-take" @click="take(covered.edits)">
            Take all, +{{ pointsText(covered.after - covered.before) }}
          </button>
          <button class="plain" @click="drop">Discard</button>
        </p>
      </template>
    </div>
  </section>
</template>

<style scoped>
h2 {
  display: flex;
  align-items: baseline;
  gap: 8px;
  padding: 12px 0 4px;
  border-bottom: 1px solid var(--line);
}
.asks {
  flex: 1;
}
.enough {
  font-weight: 400;
  color: var(--muted);
}
.enough input {
  width: 34px;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  color: var(--ink);
  text-align: right;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 18px 1fr auto;
  gap: 6px;
  padding: 7px 0;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
.proposal {
  border: 1px solid var(--teal);
  border-radius: 4px;
  padding: 6px 10px 8px;
  margin-top: 8px;
  display: grid;
  gap: 6px;
}
.piece {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px;
  align-items: start;
}
.change {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
ins {
  text-decoration: underline 2px var(--teal);
  text-underline-offset: 3px;
}
del {
  color: var(--muted);
}
</style>
