<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import type { PlaylistAnswer, PlaylistPageAnswer } from '../../../shared/playlists'
import { api, messageOf } from '~/composables/api'
import { ago, counted, inFull, rounded } from '~/composables/figures'
import { useAccess } from '~/stores/access'
import { usePlaylists } from '~/stores/playlists'

/** The playlists that search finds for the lead: what this one stands among. */
const props = defineProps<{ playlist: PlaylistAnswer }>()
const access = useAccess()
const playlists = usePlaylists()
const page = shallowRef<PlaylistPageAnswer | null>(null)
const problem = ref('')
const busy = ref(false)
let asked = 0
async function load(anew = false) {
  const { lead: phrase, region, language } = props.playlist
  const mine = ++asked
  problem.value = ''
  if (!phrase) {
    page.value = null
    return
  }
  busy.value = true
  try {
    const query = { phrase, region, language, workspace: undefined, ...(anew ? { anew: '1' as const } : {}) }
    // By POST, which may ask a live service; who only reads is shown what is kept.
    const found = await (access.reads
      ? api('GET /api/playlists/page', { query })
      : api('POST /api/playlists/page', { query }))
    if (mine !== asked) return
    page.value = found
    if (found.difficulty !== props.playlist.difficulty) await Promise.all([playlists.loadOpen(), playlists.load()])
  } catch (error) {
    if (mine === asked) problem.value = messageOf(error)
  } finally {
    if (mine === asked) busy.value = false
  }
}
watch(
  () => [props.playlist.id, props.playlist.lead, props.playlist.region, props.playlist.language],
  () => void load(),
  { immediate: true },
)
</script>

<template>
  <section class="found sheet" aria-label="Playlists found for the lead" data-test="playlist-found">
    <p v-if="!playlist.lead" class="muted">Write a lead phrase to see which playlists are found for it.</p>
    <p v-else-if="problem" role="alert">{{ problem }} <button class="plain link" @click="load()">Try again</button></p>
    <v-skeleton-loader v-else-if="!page" type="list-item-two-line@5" />
    <template v-else>
      <p class="small">
        <strong class="figure">{{ rounded(page.difficulty) }}</strong> of 100:
        {{
          page.difficulty === null
            ? 'the difficulty is not known.'
            : 'difficulty, computed from the words of these playlists and the size of their channels.'
        }}
        <span v-if="page.at" class="muted">Looked at {{ ago(page.at) }}.</span>{{ ' ' }}
        <button v-if="!access.reads" class="plain link" :disabled="busy" @click="load(true)">Look again</button>
      </p>
      <p v-if="page.problem" class="small" role="alert">{{ page.problem }}</p>
      <p v-if="!page.rows.length && page.at" class="muted">
        No playlist is found for “{{ page.phrase }}”. A new one has no rivals here, but nobody knows whether people look
        for one.
      </p>
      <ol>
        <li v-for="row in page.rows" :key="row.id" :class="{ mine: row.mine }" data-test="found-playlist">
          <span class="figure small muted">{{ row.rank }}</span>
          <div>
            <strong>{{ row.title }}</strong>
            <p class="small muted">
              {{ row.channel }}<template v-if="row.mine"> (mine)</template>,
              <span :title="inFull(row.subscribers, 'subscribers')">{{ rounded(row.subscribers) }} subscribers</span>,
              {{ counted(row.videos, 'video') }}
            </p>
            <p v-if="row.description" class="small said">{{ row.description }}</p>
          </div>
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
.found {
  overflow: auto;
  padding: 10px 14px;
}
ol {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 22px 1fr;
  padding: 7px 0;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
.mine {
  border-inline-start: 3px solid var(--teal);
  padding-inline-start: 6px;
}
.said {
  overflow-wrap: anywhere;
}
.link {
  color: var(--teal);
}
</style>
