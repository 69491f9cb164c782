<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef, watch } from 'vue'
import {
  FILMING_KINDS,
  filmingNotes,
  type FilmingKind,
  type FilmingNote,
} from '../../../../core/brief/items/filmingNote'
import type { BriefItem } from '../../../../shared/briefItems'
import { api, messageOf } from '~/composables/api'
import { useBrief } from '~/stores/brief'
import { useChanges } from '~/stores/changes'
import { useNotices } from '~/stores/notices'

/** What to film and to bring, ticked off on the day. */
type Saved = BriefItem<'filming'>
const brief = useBrief()
const notices = useNotices()
const notes = shallowRef<Saved[] | null>(null)
const problem = ref('')
const NAMES: Record<FilmingKind, string> = { shot: 'Shots', tool: 'Tools', place: 'Places', person: 'People' }
const ADD: Record<FilmingKind, string> = {
  shot: 'Add a shot; a list can be pasted',
  tool: 'Add a tool',
  place: 'Add a place',
  person: 'Add somebody',
}

async function load() {
  const of = brief.brief!.id
  try {
    const { items } = await api('GET /api/briefs/:id/items', { params: { id: of }, query: { kind: 'filming' } })
    if (brief.brief?.id === of) notes.value = items as Saved[]
    problem.value = ''
  } catch (error) {
    problem.value = messageOf(error)
  }
}
watch([() => brief.brief?.id, () => useChanges().revisions.briefs], () => void load(), { immediate: true })
const groups = computed(() =>
  FILMING_KINDS.map(about => ({ about, notes: (notes.value ?? []).filter(note => note.value.about === about) })),
)
const done = computed(() => (notes.value ?? []).filter(note => note.value.done).length)

async function put(item: string, value: FilmingNote, revision: number) {
  await api('PUT /api/briefs/:id/items/:item', {
    params: { id: brief.brief!.id, item },
    body: { kind: 'filming', revision, value },
  })
}
async function attempt(work: () => Promise<unknown>) {
  try {
    await work()
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
  await load()
}
const typed = ref<Record<FilmingKind, string>>({ shot: '', tool: '', place: '', person: '' })
const add = (about: FilmingKind) =>
  attempt(async () => {
    const found = filmingNotes(typed.value[about], about)
    for (const note of found) await put(uuid(), note, 0)
    typed.value[about] = ''
  })
const tick = ({ id, value, revision }: Saved) => attempt(() => put(id, { ...value, done: !value.done }, revision))
const remove = ({ id, value, revision }: Saved) =>
  attempt(async () => {
    await api('DELETE /api/briefs/:id/items/:item', { params: { id: brief.brief!.id, item: id } })
    notices.show(`“${value.text}” removed.`, {
      undo: async () => {
        await put(id, value, revision + 1)
        await load()
      },
    })
  })
function paste(event: ClipboardEvent, about: FilmingKind) {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (!text.includes('\n')) return
  event.preventDefault()
  typed.value[about] = text
  void add(about)
}
</script>

<template>
  <section class="filming" aria-label="Filming" data-test="filming">
    <p v-if="problem" role="alert" class="small">
      Could not load the notes. {{ problem }} <button class="plain link" @click="load">Try again</button>
    </p>
    <v-skeleton-loader v-else-if="!notes" type="list-item@4" />
    <template v-else>
      <p class="small muted" role="status">
        {{ notes.length ? `${done} of ${notes.length} done.` : 'List shots, tools, places and people.' }}
      </p>
      <section v-for="group in groups" :key="group.about">
        <h2>{{ NAMES[group.about] }}</h2>
        <ul>
          <li v-for="note in group.notes" :key="note.id" :class="{ done: note.value.done }">
            <label
              ><input type="checkbox" :checked="note.value.done" @change="tick(note)" />
              <span>{{ note.value.text }}</span></label
            >
            <button class="plain small link" :aria-label="`Remove ${note.value.text}`" @click="remove(note)">
              Remove
            </button>
          </li>
        </ul>
        <form @submit.prevent="add(group.about)">
          <input
            v-model="typed[group.about]"
            :placeholder="ADD[group.about]"
            :aria-label="ADD[group.about]"
            maxlength="1000"
            :data-test="`filming-${group.about}`"
            @paste="paste($event, group.about)"
          />
        </form>
      </section>
    </template>
  </section>
</template>

<style scoped>
.filming {
  overflow: auto;
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 10px 14px;
}
h2 {
  padding: 10px 0 4px;
  border-bottom: 1px solid var(--line);
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  gap: 10px;
  align-items: baseline;
  justify-content: space-between;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
label {
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 5px 0;
  overflow-wrap: anywhere;
}
.done span {
  text-decoration: line-through;
  color: var(--muted);
}
.link {
  color: var(--teal);
}
form input {
  width: 100%;
  border: 0;
  background: transparent;
  color: inherit;
  font: inherit;
  min-height: 30px;
}
</style>
