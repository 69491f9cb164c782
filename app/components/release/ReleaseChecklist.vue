<script setup lang="ts">
import { mdiClose, mdiDragVertical, mdiPlus } from '@mdi/js'
import { v4 as uuid } from 'uuid'
import { computed, nextTick, ref } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import {
  FIRST_CHECKLIST,
  inOrder,
  readChecklist,
  writeChecklist,
  type Checklist,
} from '../../../core/release/checklist'
import { POINT_GROUPS, readiness, type PointGroup } from '../../../core/release/readiness'
import { emptyFields } from '../../../core/brief/brief'
import { saveFile } from '~/composables/saveFile'
import { settingsFileName, useSettingsFile } from '~/composables/settingsFile'
import { useRelease } from '~/stores/release'
import { useWorkspace } from '~/stores/workspace'

/** The channel's checklist: which points are asked for, in which order, and points of its own. */
const open = defineModel<boolean>({ required: true })
const release = useRelease()
const workspace = useWorkspace()
const limits = useLimits()
interface Row {
  id: string
  title: string
  group: PointGroup
  on: boolean
}
/** Every point there can be, those switched off too. */
const rowsOf = (checklist: Checklist): Row[] => {
  const all = readiness({
    fields: emptyFields(),
    profile: limits.value,
    playlists: [],
    pictures: [],
    rights: null,
    checklist: { own: checklist.own, off: [], order: [] },
    now: 0,
    inWords: String,
  })
  return inOrder(all, checklist).map(({ id, title, group }) => ({ id, title, group, on: !checklist.off.includes(id) }))
}
const rows = ref(rowsOf(release.around!.checklist))
const groups = computed(() =>
  POINT_GROUPS.map(({ id, title }) => ({ id, title, rows: rows.value.filter(row => row.group === id) })),
)
function setGroup(group: PointGroup, next: Row[]) {
  rows.value = [...rows.value.filter(row => row.group !== group), ...next]
}
async function move(row: Row, by: number, focused: EventTarget | null) {
  const list = groups.value.find(({ id }) => id === row.group)!.rows
  const from = list.indexOf(row)
  const to = from + by
  if (to < 0 || to >= list.length) return
  const next = [...list]
  next.splice(to, 0, next.splice(from, 1)[0]!)
  setGroup(row.group, next)
  // A row that is moved loses the focus.
  await nextTick()
  if (focused instanceof HTMLElement) focused.focus()
}
const own = ref<HTMLElement | null>(null)
async function add() {
  rows.value = [...rows.value, { id: uuid(), title: '', group: 'own', on: true }]
  await nextTick()
  own.value?.querySelector<HTMLElement>('li:last-child input[type=text]')?.focus()
}
function remove(row: Row) {
  rows.value = rows.value.filter(each => each !== row)
}
const checklist = computed<Checklist>(() => ({
  own: rows.value
    .filter(({ group, title }) => group === 'own' && title.trim())
    .map(({ id, title }) => ({ id, text: title.trim() })),
  off: rows.value.filter(({ on }) => !on).map(({ id }) => id),
  order: groups.value.flatMap(group => group.rows.map(({ id }) => id)),
}))
async function save() {
  if (await release.setChecklist(checklist.value)) open.value = false
}
async function first() {
  rows.value = rowsOf(FIRST_CHECKLIST)
  await nextTick()
}
const keep = () =>
  saveFile(
    settingsFileName(workspace.current?.name ?? 'channel', 'checklist'),
    writeChecklist(checklist.value),
    'application/json',
  )
/** What came of opening a file; a notice would cover the buttons. */
const said = ref('')
const { faults, choose } = useSettingsFile(async text => {
  said.value = ''
  rows.value = rowsOf(readChecklist(text))
  said.value = 'Checklist read. Save it to use it.'
})
</script>

<template>
  <v-dialog v-model="open" aria-label="Checklist" max-width="640" scrollable>
    <v-card :title="`Checklist of ${workspace.current?.name ?? 'the channel'}`">
      <v-card-text>
        <p class="muted">It holds for every brief of this channel. Alt and the arrow keys move a point.</p>
        <p role="status" data-test="checklist-said">{{ said }}</p>
        <ul v-if="faults.length" role="alert" class="faults">
          <li v-for="fault in faults" :key="fault">{{ fault }}</li>
        </ul>
        <section v-for="group in groups" :key="group.id">
          <h3>{{ group.title }}</h3>
          <div :ref="el => group.id === 'own' && (own = el as HTMLElement)">
            <VueDraggable
              :model-value="group.rows"
              tag="ul"
              handle=".grip"
              :animation="120"
              @update:model-value="setGroup(group.id, $event)"
            >
              <li
                v-for="row in group.rows"
                :key="row.id"
                :data-test="`row-${row.id}`"
                @keydown.alt.up.prevent="move(row, -1, $event.target)"
                @keydown.alt.down.prevent="move(row, 1, $event.target)"
              >
                <v-icon class="grip" :icon="mdiDragVertical" size="16" />
                <input
                  :id="`on-${row.id}`"
                  v-model="row.on"
                  type="checkbox"
                  :aria-label="`Asked for: ${row.title || 'new point'}`"
                />
                <template v-if="group.id === 'own'"
                  ><input
                    v-model="row.title"
                    type="text"
                    class="words"
                    maxlength="200"
                    aria-label="What is to be done"
                    placeholder="What is to be done" /><v-btn
                    size="x-small"
                    variant="text"
                    :icon="mdiClose"
                    :aria-label="`Remove: ${row.title || 'new point'}`"
                    @click="remove(row)"
                /></template>
                <label v-else :for="`on-${row.id}`" :class="{ muted: !row.on }">{{ row.title }}</label>
              </li>
            </VueDraggable>
          </div>
          <v-btn
            v-if="group.id === 'own'"
            size="small"
            variant="text"
            :prepend-icon="mdiPlus"
            data-test="add-point"
            @click="add"
            >Add a point</v-btn
          >
        </section>
      </v-card-text>
      <v-card-actions>
        <v-btn size="small" @click="choose">Open a file</v-btn>
        <v-btn size="small" @click="keep">Save as a file</v-btn>
        <v-btn size="small" @click="first">As at first</v-btn>
        <v-spacer />
        <v-btn @click="open = false">Cancel</v-btn>
        <v-btn color="primary" variant="flat" data-test="save-checklist" @click="save">Save</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
section {
  padding-top: 10px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 28px;
}
.grip {
  cursor: grab;
  color: var(--muted);
}
input[type='checkbox'] {
  accent-color: var(--teal);
}
.words {
  flex: 1;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  color: inherit;
  font: inherit;
  min-height: 26px;
}
.faults {
  padding: 8px 0;
}
</style>
