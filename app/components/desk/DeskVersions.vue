<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef, watch } from 'vue'
import { draftOf } from '../../../core/brief/brief'
import type { Draft } from '../../../core/draft/draft'
import type { Score } from '../../../core/draft/score'
import type { BriefItem } from '../../../shared/briefItems'
import { api, messageOf } from '~/composables/api'
import { dateTime } from '~/composables/figures'
import { pointsText } from '~/composables/points'
import { useBrief } from '~/stores/brief'
import { useChanges } from '~/stores/changes'
import { useNotices } from '~/stores/notices'

/** Named versions of the brief: kept, compared with what stands now, brought back. */
const props = defineProps<{ score: Score | null; scoreOf: (draft: Draft) => Promise<Score> }>()
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
const compared = shallowRef<Score | null>(null)
const against = computed(() => versions.value?.find(each => each.id === open.value) ?? null)
watch([against, () => props.score], async ([version]) => {
  compared.value = version ? await props.scoreOf(draftOf(version.value.fields)) : null
})
/** Checks that stand otherwise now than in the version, the largest difference first. */
const differing = computed(() => {
  const then = new Map((compared.value?.checks ?? []).map(check => [check.id, check]))
  return (props.score?.checks ?? [])
    .map(check => ({ check, by: check.points - (then.get(check.id)?.points ?? 0), then: then.get(check.id) }))
    .filter(({ by, check, then }) => then && (Math.abs(by) > 0.05 || check.outOf !== then.outOf))
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))
})
const signed = (points: number) => `${points < 0 ? '−' : '+'}${pointsText(Math.abs(points))}`
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
      <div v-if="open === version.id && compared && score" class="compare" data-test="version-compared">
        <p class="small">
          Then <span class="figure">{{ pointsText(compared.points) }} of {{ Math.round(compared.outOf) }}</span
          >, now <span class="figure">{{ pointsText(score.points) }} of {{ Math.round(score.outOf) }}</span> points
          under the same rule set.
        </p>
        <table v-if="differing.length" class="small" aria-label="Checks that differ">
          <thead>
            <tr>
              <th>Check</th>
              <th>Then</th>
              <th>Now</th>
              <th>Change</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="{ check, then, by } in differing" :key="check.id">
              <td>{{ check.title }}</td>
              <td class="figure">{{ then!.outOf ? pointsText(then!.points) : '–' }}</td>
              <td class="figure">{{ check.outOf ? pointsText(check.points) : '–' }}</td>
              <td class="figure">{{ signed(by) }}</td>
            </tr>
          </tbody>
        </table>
        <p v-else class="small muted">No check tells them apart.</p>
        <template v-if="version.value.fields.title !== brief.fields!.title">
          <h3>Title</h3>
          <DeskDifference :before="version.value.fields.title" :after="brief.fields!.title" />
        </template>
        <template v-if="version.value.fields.description !== brief.fields!.description">
          <h3>Description</h3>
          <DeskDifference :before="version.value.fields.description" :after="brief.fields!.description" />
        </template>
      </div>
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
.compare {
  display: grid;
  gap: 8px;
  padding: 8px 0;
}
h3 {
  font-size: 13px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  text-align: right;
  padding: 2px 4px;
  border-bottom: 1px solid var(--line);
}
th:first-child,
td:first-child {
  text-align: left;
}
th {
  color: var(--muted);
}
.link {
  color: var(--teal);
}
</style>
