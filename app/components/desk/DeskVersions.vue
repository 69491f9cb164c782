<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef, watch } from 'vue'
import { draftOf, type BriefFields } from '../../../core/brief/brief'
import type { DraftTexts } from '../../../core/draft/draft'
import type { Score } from '../../../core/draft/score'
import type { BriefItem } from '../../../shared/briefItems'
import { api, messageOf } from '~/composables/api'
import { dateTime } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useChanges } from '~/stores/changes'
import { useNotices } from '~/stores/notices'

/** Named versions of the brief: kept, compared with what stands now, brought back. */
const props = defineProps<{ score: Score | null; scoreOf: (draft: DraftTexts) => Promise<Score> }>()
type Version = BriefItem<'snapshot'>
const brief = useBrief()
const changes = useChanges()
const notices = useNotices()
const id = computed(() => brief.brief!.id)
const versions = shallowRef<Version[] | null>(null)
const problem = ref('')
const name = ref('')

async function load() {
  const of = id.value
  try {
    const { items } = await api('GET /api/briefs/:id/items', { params: { id: of }, query: { kind: 'snapshot' } })
    if (of !== id.value) return
    versions.value = (items as Version[]).reverse()
    problem.value = ''
  } catch (error) {
    problem.value = messageOf(error)
  }
}
watch([id, () => changes.revisions.briefs], () => void load(), { immediate: true })

async function put(item: string, value: Version['value'], revision: number) {
  await api('PUT /api/briefs/:id/items/:item', {
    params: { id: id.value, item },
    body: { kind: 'snapshot', revision, value },
  })
  await load()
}
async function keep() {
  try {
    await put(uuid(), { name: name.value, fields: JSON.parse(JSON.stringify(brief.fields)) }, 0)
    notices.show(`Version “${name.value}” saved.`)
    name.value = ''
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}
async function remove({ id: item, value, revision }: Version) {
  try {
    await api('DELETE /api/briefs/:id/items/:item', { params: { id: id.value, item } })
    await load()
    notices.show(`Version “${value.name}” deleted.`, { undo: () => put(item, value, revision + 1) })
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}
/** Brings the texts back; topic, region and phrases stay as they are. */
function restore({ value: { name, fields } }: Version) {
  const { title, description, tags, fileName } = fields
  brief.changeAll(`Version “${name}” restored.`, { title, description, tags, fileName })
}

const open = ref<string | null>(null)
const against = computed(() => versions.value?.find(each => each.id === open.value) ?? null)
/** The other side of the comparison: `now`, or another version. */
const other = ref('now')
watch(open, () => {
  other.value = 'now'
})
const others = computed(() => [
  { value: 'now', title: 'What stands now' },
  ...(versions.value ?? [])
    .filter(each => each.id !== open.value)
    .map(each => ({ value: each.id, title: each.value.name })),
])
interface Side {
  name: string
  fields: BriefFields
  score: Score
}
const sides = shallowRef<[Side, Side] | null>(null)
let asked = 0
watch([against, other, () => props.score], async ([version, to, score]) => {
  const mine = ++asked
  if (!version || !score) {
    sides.value = null
    return
  }
  const side = async ({ value: { name, fields } }: Version): Promise<Side> => ({
    name,
    fields,
    score: await props.scoreOf(draftOf(fields)),
  })
  const second = versions.value?.find(each => each.id === to)
  const found: [Side, Side] = [
    await side(version),
    second ? await side(second) : { name: 'Now', fields: brief.fields!, score },
  ]
  if (mine === asked) sides.value = found
})
</script>

<template>
  <section class="versions sheet" aria-label="Versions" data-test="versions">
    <form class="bar" @submit.prevent="keep">
      <v-text-field
        v-model="name"
        label="Keep what stands now under a name"
        hide-details
        maxlength="120"
        data-test="version-name"
      /><v-btn type="submit" variant="tonal" :disabled="!name.trim()" data-test="version-keep">Keep</v-btn>
    </form>
    <p v-if="problem" role="alert" class="small">
      {{ problem }} <button class="plain link" @click="load()">Try again</button>
    </p>
    <v-skeleton-loader v-else-if="!versions" type="list-item@2" />
    <p v-else-if="!versions.length" class="small muted">
      No versions yet. Keep one before you try something else; every field has its history besides.
    </p>
    <article v-for="version in versions ?? []" :key="version.id" data-test="version">
      <div class="bar">
        <strong>{{ version.value.name }}</strong>
        <span class="small muted">{{ dateTime(version.createdAt) }}</span>
        <v-spacer />
        <v-btn
          size="x-small"
          variant="tonal"
          :aria-expanded="open === version.id"
          data-test="version-compare"
          @click="open = open === version.id ? null : version.id"
          >Compare</v-btn
        ><v-btn size="x-small" data-test="version-restore" @click="restore(version)">Restore</v-btn
        ><v-btn size="x-small" @click="remove(version)">Delete</v-btn>
      </div>
      <template v-if="open === version.id">
        <v-select v-if="others.length > 1" v-model="other" :items="others" label="Compare with" hide-details />
        <DeskVersionsCompared v-if="sides" :before="sides[0]" :after="sides[1]" />
      </template>
    </article>
  </section>
</template>

<style scoped>
.versions {
  overflow-y: auto;
  min-height: 0;
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
article {
  border-top: 1px solid var(--line);
  padding: 8px 0 0;
}
.link {
  color: var(--teal);
}
</style>
