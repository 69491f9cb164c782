<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { v4 as uuid } from 'uuid'
import { fieldOf, shownValue, type BriefField } from '../../../core/brief/brief'
import type { Since } from '../../../core/brief/briefFile'
import { MOST_PICTURE_BYTES } from '../../../core/thumbnail/picture'
import { exportedLocalised, type Localised } from '../../../core/brief/items/localised'
import type { ReturnedBrief } from '../../../shared/brief'
import { goTo } from '~/composables/address'
import { api, ApiProblem, messageOf } from '~/composables/api'
import { counted, dateTime, regionName } from '~/composables/figures'
import { languageName } from '~/composables/languages'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'

/** A brief's file that was opened: what it would change here, taken field by field; or a brief that is not here yet. */
const file = defineModel<File | null>({ required: true })
const open = useBrief()
const library = useLibrary()
const notices = useNotices()
const workspace = useWorkspace()
/** A file larger than this is not read, in characters. */
const LONGEST = 3_500_000
const returned = shallowRef<ReturnedBrief | null>(null)
const problem = ref('')
const busy = ref(false)

/** One thing that differs, as it is shown. */
interface Row {
  key: string
  name: string
  here: string
  file: string
  said: string
}
/** A list is compared one by one, each on a line. */
const inLines = (field: BriefField, value: unknown) =>
  Array.isArray(value) ? value.join('\n') || '(empty)' : shownValue(field, value)
function textOf(value: Localised | null) {
  if (!value) return '(none)'
  const phrases = value.phrases.map(({ text, counts }) => (counts ? text : `${text} (does not count)`))
  return `${exportedLocalised([value], languageName)}\nPHRASES, ${regionName(value.region)}\n${phrases.join('\n')}`
}
const SAID: Record<Since, (at: string) => string> = {
  there: () => '',
  both: at => `You changed it too since it was sent, ${at}.`,
  earlier: at => `This is how it was before it was changed here, ${at}.`,
  unknown: at => `The file does not say when it was sent. Changed here ${at}.`,
}
const keyOf = ({ language }: Localised) => `localised ${language}`
const rows = computed<Row[]>(() => [
  ...(returned.value?.changes ?? []).map(({ field, here, file: after, since, changedAt }) => ({
    key: field,
    name: fieldOf(field).label,
    here: inLines(field, here),
    file: inLines(field, after),
    said: SAID[since](dateTime(changedAt)),
  })),
  ...(returned.value?.localised ?? []).map(({ here, file: after, since, changedAt }) => ({
    key: keyOf(after),
    name: `Texts in ${languageName(after.language)}`,
    here: textOf(here),
    file: textOf(after),
    said: SAID[since](changedAt === null ? '' : dateTime(changedAt)),
  })),
])
const taken = ref<string[]>([])

/** The picture that came in a package. */
const picture = shallowRef<Blob | null>(null)
/** Keeps it here as one of the brief's. */
async function keepPicture(id: string) {
  if (picture.value)
    await api('POST /api/briefs/:id/thumbnails', {
      params: { id },
      query: { name: 'Thumbnail' },
      file: picture.value,
    })
}

/** The text of a brief's file, also where it stands in a package; `null` where it is too large to be one. */
async function briefTextOf(from: File): Promise<string | null> {
  picture.value = null
  // A character takes four bytes at most.
  const most = LONGEST * 4
  if (!(await isPackage(from))) return from.size > most ? null : from.text()
  if (from.size > most + MOST_PICTURE_BYTES) return null
  const { readPackage } = await import('../../../core/release/package')
  const content = readPackage(new Uint8Array(await from.arrayBuffer()))
  if (content.picture) picture.value = new Blob([content.picture as Uint8Array<ArrayBuffer>])
  return content.brief
}
/** Whether a file begins like a ZIP file. */
const isPackage = async (from: File) => (await from.slice(0, 2).text()) === 'PK'

/** What the file would change of the brief as it is now. */
async function compare() {
  const now = file.value
  returned.value = null
  problem.value = ''
  if (!now) return
  const large = `“${now.name}” is too large to be a brief.`
  try {
    const text = await briefTextOf(now)
    if (text === null || text.length > LONGEST) throw new Error(large)
    if (open.brief) await open.flush()
    returned.value = await api('POST /api/returned', { body: { file: text } })
    // Only what was changed in the file alone is taken unless the person says so.
    taken.value = rows.value.filter(row => !row.said).map(row => row.key)
  } catch (error) {
    problem.value = messageOf(error)
  }
}
watch(file, compare, { immediate: true })

/** Writes fields of a brief over what stood there at some revisions. @returns the revisions they have now. */
async function write(id: string, values: Record<string, unknown>, revisions: Partial<Record<BriefField, number>>) {
  const fields = Object.fromEntries(
    Object.entries(values).map(([field, value]) => [field, { revision: revisions[field as BriefField]!, value }]),
  )
  return (await api('PATCH /api/briefs/:id', { params: { id }, body: { editId: uuid(), fields } })).revisions
}
const writeLocalised = (id: string, item: string, revision: number, value: Localised) =>
  api('PUT /api/briefs/:id/items/:item', { params: { id, item }, body: { kind: 'localised', revision, value } })

async function take() {
  const { brief, changes, localised } = returned.value!
  const { id, fields: here, revisions } = brief!
  const fields = changes.filter(({ field }) => taken.value.includes(field))
  const texts = localised.filter(({ file: value }) => taken.value.includes(keyOf(value)))
  /** The way back, piece by piece. */
  const back: (() => Promise<unknown>)[] = []
  busy.value = true
  try {
    if (fields.length) {
      // The picture first: a thumbnail that is named has to be there.
      if (fields.some(({ field }) => field === 'thumbnail')) await keepPicture(id)
      // What was changed elsewhere since it was compared is not written over.
      const written = await write(
        id,
        Object.fromEntries(fields.map(({ field, file: value }) => [field, value])),
        revisions,
      )
      const before = Object.fromEntries(fields.map(({ field, here: value }) => [field, value]))
      back.push(() => write(id, before, written))
    }
    for (const { item: known, here: own, file: value } of texts) {
      const item = known?.id ?? uuid()
      const { revision } = await writeLocalised(id, item, known?.revision ?? 0, value)
      back.push(() =>
        own
          ? writeLocalised(id, item, revision, own)
          : api('DELETE /api/briefs/:id/items/:item', { params: { id, item } }),
      )
    }
    await library.refresh()
    notices.show(`${counted(fields.length + texts.length, 'change')} taken into “${here.topic || 'Untitled'}”.`, {
      undo: async () => {
        for (const each of back) await each()
      },
    })
    file.value = null
    await goTo({ path: '/desk', query: { brief: id } })
  } catch (error) {
    if (!(error instanceof ApiProblem) || error.status !== 409) problem.value = messageOf(error)
    else {
      notices.show('It was changed in another window meanwhile and is compared anew.', { serious: true })
      await compare()
    }
  } finally {
    busy.value = false
  }
}

async function add() {
  const { file: given } = returned.value!
  busy.value = true
  try {
    const body = { fields: given.fields, workspace: workspace.id }
    // Under its own id, so that it is known again when it goes back; one that was deleted here gets another.
    let made = await api('POST /api/briefs', { body: { id: given.id, ...body } })
    if (made.deletedAt !== null) made = await api('POST /api/briefs', { body: { id: uuid(), ...body } })
    await keepPicture(made.id)
    for (const value of given.localised) await writeLocalised(made.id, uuid(), 0, value)
    // Its picture and its texts in other languages have changed it: taking it back asks for it as it is now.
    if (given.localised.length || picture.value) made = await api('GET /api/briefs/:id', { params: { id: made.id } })
    await library.refresh()
    notices.show(`“${made.fields.topic || 'Untitled'}” added.`, { undo: () => library.takeBack([made]) })
    file.value = null
    await goTo({ path: '/desk', query: { brief: made.id } })
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <v-dialog
    :model-value="file !== null"
    max-width="860"
    scrollable
    aria-labelledby="returned-title"
    @update:model-value="file = null"
  >
    <v-card data-test="returned">
      <v-card-title id="returned-title">{{
        returned?.brief
          ? `What came back for “${returned.brief.fields.topic || 'Untitled'}”`
          : returned
            ? 'A brief that is not here yet'
            : 'A brief from a file'
      }}</v-card-title>
      <v-card-text>
        <p v-if="problem" role="alert" class="problem" data-test="returned-problem">{{ problem }}</p>
        <v-skeleton-loader v-else-if="!returned" type="paragraph@2" />
        <p v-else-if="!returned.brief">
          “{{ returned.file.fields.topic || returned.file.fields.title || 'Untitled' }}” is added with all its phrases
          and texts.
        </p>
        <p v-else-if="!rows.length" data-test="returned-same">Nothing in it differs from the brief here.</p>
        <template v-else>
          <p class="mb-2">
            Nothing is changed until you take it. Title, description, tags and the tray stay in their history; captions,
            choices and texts in other languages do not.
          </p>
          <section v-for="row in rows" :key="row.key" :data-test="`returned-${row.key}`">
            <v-checkbox v-model="taken" :value="row.key" density="compact" hide-details :label="row.name" />
            <p v-if="row.said" class="small said">{{ row.said }}</p>
            <DeskDifference class="sheet" :before="row.here" :after="row.file" />
          </section>
        </template>
      </v-card-text>
      <v-card-actions>
        <v-spacer />
        <v-btn @click="file = null">{{ rows.length ? 'Leave all' : 'Close' }}</v-btn>
        <v-btn
          v-if="returned && !returned.brief"
          variant="flat"
          color="primary"
          :loading="busy"
          data-test="returned-add"
          @click="add"
          >Add it</v-btn
        >
        <v-btn
          v-else-if="rows.length"
          variant="flat"
          color="primary"
          :loading="busy"
          :disabled="!taken.length"
          data-test="returned-take"
          @click="take"
          >Take {{ counted(taken.length, 'change') }}</v-btn
        >
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
section {
  border-top: 1px solid var(--line);
  padding: 4px 0 10px;
}
.sheet {
  padding: 8px 12px;
  max-height: 260px;
  overflow: auto;
}
.said {
  color: var(--plum);
  padding: 0 0 6px 32px;
}
.problem {
  white-space: pre-line;
}
</style>
