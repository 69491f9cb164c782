<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { PlaylistSuggestions } from '../../../shared/playlists'
import { api, messageOf } from '~/composables/api'
import { counted, inFull, rounded } from '~/composables/figures'
import { useChanges } from '~/stores/changes'
import { usePlaylists } from '~/stores/playlists'
import { useWorkspace } from '~/stores/workspace'

/** Where a brief belongs, and playlists that could be made. */
const props = defineProps<{ where: { region: string | null; language: string }; brief?: string }>()
const emit = defineEmits<{ made: [id: string] }>()
const playlists = usePlaylists()
const workspace = useWorkspace()
const changes = useChanges()
const found = shallowRef<PlaylistSuggestions | null>(null)
const problem = ref('')
const question = computed(() => ({
  region: props.where.region,
  language: props.where.language,
  workspace: workspace.id,
  ...(props.brief ? { brief: props.brief } : {}),
}))
async function load() {
  const of = question.value
  try {
    const answer = await api('GET /api/playlists/suggest', { query: of })
    if (of === question.value) found.value = answer
    problem.value = ''
  } catch (error) {
    problem.value = messageOf(error)
  }
}
watch([() => JSON.stringify(question.value), () => playlists.lines, () => changes.revisions.pages], () => void load(), {
  immediate: true,
})
const isIn = computed(() => playlists.lines?.some(({ entries }) => entries.some(({ id }) => id === props.brief)))
const because = ({ shared, with: near, words }: PlaylistSuggestions['belongs'][number]) =>
  shared
    ? `Its lead and “${near}” have ${counted(shared, 'result')} in common.`
    : words === 1
      ? 'Its phrases cover the playlist’s lead, or its title where it has none.'
      : ''
async function make({ title, lead, entries }: PlaylistSuggestions['groups'][number]) {
  const { region, language } = props.where
  const id = await playlists.make({
    title,
    lead,
    region,
    language,
    entries: entries.map(({ kind, id: of }) => ({ kind, id: of })),
  })
  if (id) emit('made', id)
}
</script>

<template>
  <section class="suggested sheet" aria-label="Suggested playlists" data-test="playlist-suggested">
    <p v-if="problem" role="alert">{{ problem }} <button class="plain link" @click="load">Try again</button></p>
    <v-skeleton-loader v-else-if="!found" type="list-item-two-line@3" />
    <template v-else>
      <template v-if="brief">
        <h2>Where this brief belongs</h2>
        <p v-if="!found.belongs.length" class="small muted">
          No playlist is near its phrases{{ isIn ? ', but for those it is in' : '' }}.
        </p>
        <ul>
          <li v-for="each in found.belongs" :key="each.playlist" data-test="belongs">
            <div>
              <strong>{{ each.title || 'Untitled' }}</strong>
              <p class="small muted">{{ because(each) }}</p>
            </div>
            <v-btn
              size="x-small"
              variant="tonal"
              @click="playlists.hold({ id: each.playlist, title: each.title }, { kind: 'brief', id: brief }, true)"
              >Add</v-btn
            >
          </li>
        </ul>
      </template>
      <h2>Playlists that could be made</h2>
      <p v-if="!found.groups.length" class="small muted">
        None: a playlist is proposed where three or more of your briefs and videos stand for phrases with results in
        common.
      </p>
      <ul>
        <li v-for="group in found.groups" :key="group.lead" data-test="group">
          <div>
            <strong>{{ group.title }}</strong>
            <p class="small muted">
              <span :title="inFull(group.searches, 'searches a month')">{{ rounded(group.searches) }} searches</span> in
              {{ counted(group.phrases.length, 'phrase') }} won together;
              {{ counted(group.entries.length, 'video') }} of mine
            </p>
            <details class="small">
              <summary>Which</summary>
              <ul class="of">
                <li v-for="entry in group.entries" :key="entry.id">
                  {{ entry.title }} <span class="muted">{{ entry.kind }}</span>
                </li>
              </ul>
            </details>
          </div>
          <v-btn size="x-small" variant="tonal" data-test="group-make" @click="make(group)">Make</v-btn>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.suggested {
  overflow: auto;
  padding: 4px 14px 14px;
}
h2 {
  padding: 10px 0 4px;
  border-bottom: 1px solid var(--line);
}
ul {
  list-style: none;
  padding: 0;
}
ul > li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 8px;
  align-items: start;
  padding: 7px 0;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
.of > li {
  display: block;
  padding: 2px 0;
  border: 0;
}
.link {
  color: var(--teal);
}
</style>
