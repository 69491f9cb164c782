<script setup lang="ts">
import { computed, watch } from 'vue'
import { playlistDraft, playlistLimits, playlistPhrases, PLAYLIST_RULES } from '../../../core/playlist/score'
import { NO_CONTEXT } from '../../../core/draft/context'
import { fixed, type Fix } from '../../../core/draft/draft'
import { usePlaylists } from '~/stores/playlists'
import { useWorkspaceItems } from '~/stores/workspaceItems'

/** One playlist: its texts at the left; what is in it, what they earn and who else is found at the right. */
const props = defineProps<{ id: string; brief?: string; profile?: string }>()
const playlists = usePlaylists()
const items = useWorkspaceItems()
watch(
  () => props.id,
  id => void playlists.show(id),
  { immediate: true },
)
const open = computed(() => playlists.open)
const limits = computed(() => playlistLimits(items.profileOf(props.profile ?? '')))
const phrases = computed(() =>
  open.value ? playlistPhrases(open.value.lead, open.value.rows) : { lead: '', support: [] },
)
const { scored, problem } = useScore(
  computed(() => open.value?.id ?? null),
  () =>
    open.value && {
      draft: playlistDraft(open.value),
      phrases: phrases.value,
      ruleSet: PLAYLIST_RULES,
      profile: limits.value,
      language: open.value.language,
      context: NO_CONTEXT,
    },
)
function apply(fix: Fix) {
  if (fix.field !== 'title' && fix.field !== 'description') return
  void playlists.change(`Done: ${fix.label.toLowerCase()}.`, {
    [fix.field]: fixed({ title: open.value!.title, description: open.value!.description }, fix) as string,
  })
}

const SIDES = [
  { side: 'videos', title: 'Videos' },
  { side: 'points', title: 'Points' },
  { side: 'found', title: 'Found' },
  { side: 'suggested', title: 'Suggested' },
] as const
const route = useRoute()
const address = useAddress()
const side = computed(() => SIDES.find(each => each.side === route.query.side)?.side ?? 'videos')
const turn = (to: string) => address({ side: to === 'videos' ? undefined : to }, true)
</script>

<template>
  <div v-if="playlists.openProblem" class="sheet state" role="alert">
    <p>{{ playlists.openProblem }}</p>
    <v-btn variant="tonal" @click="playlists.loadOpen()">Try again</v-btn>
  </div>
  <v-skeleton-loader v-else-if="!open" type="heading, paragraph@2, table-row@3" class="sheet" />
  <div v-else class="two-columns" data-test="playlist">
    <div class="left">
      <PlaylistTexts :playlist="open" :scored="scored" :phrases="phrases" />
    </div>
    <div class="right">
      <DeskSides
        :model-value="side"
        :sides="SIDES"
        label="Beside the playlist"
        named="playlist-side"
        @update:model-value="turn"
      />
      <PlaylistEntries v-if="side === 'videos'" :playlist="open" />
      <PlaylistFound v-else-if="side === 'found'" :playlist="open" />
      <PlaylistSuggested v-else-if="side === 'suggested'" :where="open" :brief="brief" />
      <DeskPointsSheet
        v-else
        :score="scored?.score ?? null"
        :problem="problem"
        label="Points of the playlist"
        data-test="playlist-points"
        @fix="apply"
      />
    </div>
  </div>
</template>

<style scoped>
.state {
  padding: 28px;
  display: grid;
  gap: 10px;
  justify-items: start;
}
</style>
