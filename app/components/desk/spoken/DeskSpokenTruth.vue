<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { v7 as uuid } from 'uuid'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import { draftOf } from '../../../../core/brief/brief'
import type { CopiedStretch } from '../../../../core/draft/copied'
import type { FieldRange } from '../../../../core/draft/draft'
import type { Truth } from '../../../../core/draft/truth'
import type { BriefItem } from '../../../../shared/briefItems'
import { api, messageOf } from '~/composables/api'
import { counted, percent } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useChanges } from '~/stores/changes'
import { useNotices } from '~/stores/notices'
import { useSpoken } from '~/stores/spoken'

/** Promises of the texts that are never spoken, and stretches copied from other videos. */
const emit = defineEmits<{ show: [range: FieldRange] }>()
const brief = useBrief()
const spoken = useSpoken()
const fields = computed(() => brief.fields!)
const truth = shallowRef<Truth | null>(null)
const problem = ref('')
watchDebounced(
  () => JSON.stringify(draftOf(fields.value)),
  async () => {
    try {
      const of = brief.brief!.id
      const found = await spoken
        .remote()
        .truth(JSON.parse(JSON.stringify(draftOf(fields.value))), fields.value.language)
      if (brief.brief?.id === of) truth.value = found
      problem.value = ''
    } catch (error) {
      problem.value = messageOf(error)
    }
  },
  { debounce: 300, immediate: true },
)
/** Promises that stay though they are never spoken, with the reason why. */
type Kept = BriefItem<'kept'>
const kept = shallowRef<Kept[]>([])
const changes = useChanges()
const notices = useNotices()
async function loadKept() {
  const of = brief.brief!.id
  try {
    const { items } = await api('GET /api/briefs/:id/items', { params: { id: of }, query: { kind: 'kept' } })
    if (brief.brief?.id === of) kept.value = items as Kept[]
  } catch (error) {
    problem.value = messageOf(error)
  }
}
watch([() => brief.brief?.id, () => changes.revisions.briefs], () => void loadKept(), { immediate: true })
const isKept = (text: string) => kept.value.some(each => each.value.text === text)
const unsupported = computed(() => (truth.value?.unsupported ?? []).filter(each => !isKept(each.text)))
/** Those kept whose words still stand. */
const standing = computed(() =>
  kept.value.filter(each => truth.value?.unsupported.some(({ text }) => text === each.value.text)),
)
const keeping = ref<string | null>(null)
const reason = ref('')
const reasonField = ref<HTMLInputElement[] | null>(null)
async function keep(text: string) {
  keeping.value = text
  reason.value = ''
  await nextTick()
  reasonField.value?.[0]?.focus()
}
async function put(item: string, value: Kept['value'], revision: number) {
  await api('PUT /api/briefs/:id/items/:item', {
    params: { id: brief.brief!.id, item },
    body: { kind: 'kept', revision, value },
  })
  await loadKept()
}
async function confirm() {
  const text = keeping.value!
  if (!reason.value.trim()) return
  try {
    await put(uuid(), { text, reason: reason.value.trim() }, 0)
    keeping.value = null
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}
async function mend({ id, value, revision }: Kept) {
  try {
    await api('DELETE /api/briefs/:id/items/:item', { params: { id: brief.brief!.id, item: id } })
    await loadKept()
    notices.show(`“${value.text}” is listed again.`, { undo: () => put(id, value, revision + 1) })
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}
const FIELD_NAMES: Partial<Record<FieldRange['field'], string>> = {
  title: 'Title',
  description: 'First line',
  tags: 'Tag',
}
/** A number that is not what is counted; one that cannot be counted is told apart. */
const numbers = computed(() =>
  (truth.value?.numbers ?? []).map(number => ({
    ...number,
    words:
      number.found === null
        ? `The title says ${number.says}; nothing numbered was found to count.`
        : number.found === number.says
          ? `The title says ${number.says}, and there are ${number.found}.`
          : `The title says ${number.says}, but ${number.found} can be counted.`,
    state:
      number.found === null ? ('n/a' as const) : number.found === number.says ? ('met' as const) : ('missing' as const),
  })),
)

const copied = shallowRef<{ stretches: CopiedStretch[]; compared: number } | null>(null)
const busy = ref(false)
async function compare() {
  busy.value = true
  problem.value = ''
  const of = brief.brief!.id
  const { title, description, tray, region, language } = fields.value
  try {
    const found = await api('POST /api/copied', {
      body: {
        draft: { title, description },
        phrases: { lead: tray.lead ?? '', support: [...tray.support] },
        region,
        language,
        workspace: brief.brief!.workspaceId,
      },
    })
    if (brief.brief?.id === of) copied.value = found
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
watchDebounced(
  () => [fields.value.title, fields.value.description, JSON.stringify(fields.value.tray)],
  () => void compare(),
  { debounce: 800, immediate: true },
)
const stretchText = ({ field, start, end }: CopiedStretch) =>
  fields.value[field as 'title' | 'description'].slice(start, end)
</script>

<template>
  <section class="truth sheet" aria-label="Is it true" data-test="truth">
    <p v-if="problem" role="alert" class="small">{{ problem }}</p>
    <h3>Promised and spoken</h3>
    <p v-if="truth && !truth.compared" class="small muted" data-test="truth-none">
      Nothing is spoken yet, so nothing can be compared. Load captions or write an outline.
    </p>
    <p v-else-if="truth && !unsupported.length" class="small" data-test="truth-kept">
      All that title, first line and tags say is spoken{{ standing.length ? ', or kept on purpose' : '' }}.
    </p>
    <ul v-else-if="truth">
      <li v-for="(each, i) in unsupported" :key="i" data-test="unsupported">
        <span class="small muted">{{ FIELD_NAMES[each.field] }}</span>
        <button class="plain" title="Go there" @click="emit('show', each)">“{{ each.text }}” is never spoken</button>
        <form v-if="keeping === each.text" class="why" @submit.prevent="confirm" @keydown.escape.stop="keeping = null">
          <input
            ref="reasonField"
            v-model="reason"
            maxlength="300"
            placeholder="Why it stays"
            :aria-label="`Why “${each.text}” stays`"
            data-test="keep-reason"
          />
        </form>
        <button v-else class="plain link small" data-test="keep" @click="keep(each.text)">Keep</button>
      </li>
    </ul>
    <template v-if="standing.length">
      <h3>Kept on purpose</h3>
      <ul>
        <li v-for="each in standing" :key="each.id" data-test="kept">
          <span>“{{ each.value.text }}”</span> <span class="small muted">{{ each.value.reason }}</span>
          <button class="plain link small" data-test="unkeep" @click="mend(each)">List it again</button>
        </li>
      </ul>
    </template>
    <template v-if="numbers.length">
      <h3>Numbers</h3>
      <ul>
        <li v-for="(number, i) in numbers" :key="i" data-test="number">
          <ShellShape class="shape" :state="number.state" :label="number.words" />
          <button class="plain" @click="emit('show', number)">{{ number.words }}</button>
        </li>
      </ul>
    </template>
    <h3>Also in the texts of others</h3>
    <p v-if="!copied" class="small muted">{{ busy ? 'Comparing …' : '' }}</p>
    <p v-else-if="!copied.compared" class="small muted" data-test="copied-none">
      No result page of these phrases is known yet. Open one in Rivals.
    </p>
    <p v-else-if="!copied.stretches.length" class="small" data-test="copied-free">
      No stretch of eight words or more stands in the {{ counted(copied.compared, 'text') }} on the pages of your
      phrases.
    </p>
    <ul v-else>
      <li v-for="(each, i) in copied.stretches" :key="i" data-test="copied">
        <button class="plain stretch" title="Go there" @click="emit('show', each)">“{{ stretchText(each) }}”</button>
        <span class="small muted"
          >{{ each.exact ? 'word for word' : 'nearly' }} in “{{ each.title }}”, {{ each.channel }};
          {{ percent(each.share) }} of your {{ each.field }}</span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.truth {
  overflow-y: auto;
  min-height: 0;
  padding: 10px 14px 14px;
  display: flex;
  flex-direction: column;
  gap: 6px;
}
h3 {
  font-size: 13px;
  margin-top: 6px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: baseline;
  padding: 5px 0;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
.why {
  flex: 1;
}
.why input {
  width: 100%;
  border: 0;
  border-bottom: 1px solid var(--teal);
  background: none;
  color: var(--ink);
  min-height: 24px;
}
.link {
  color: var(--teal);
  min-height: 24px;
}
.shape {
  color: var(--teal);
  align-self: center;
}
.stretch {
  overflow-wrap: anywhere;
}
</style>
