<script setup lang="ts">
import { computed } from 'vue'
import { useAccess } from '~/stores/access'

useHead({ title: 'Library · Fonetra' })
const route = useRoute()
const address = useAddress()
const TABS = [
  { tab: 'briefs', title: 'Briefs' },
  { tab: 'texts', title: 'Many texts' },
  { tab: 'playlists', title: 'Playlists' },
  { tab: 'lists', title: 'Phrase lists' },
  { tab: 'sources', title: 'Sources' },
  { tab: 'places', title: 'Places' },
  { tab: 'channels', title: 'Channels' },
  { tab: 'data', title: 'Data' },
  { tab: 'access', title: 'Access' },
] as const
const access = useAccess()
/** Keys are the owner's matter. */
const tabs = computed(() => TABS.filter(each => each.tab !== 'access' || access.owns))
const tab = computed(() => TABS.find(each => each.tab === route.query.tab)?.tab ?? 'briefs')
const show = (next: string) =>
  address({ tab: next === 'briefs' ? undefined : next, list: undefined, playlist: undefined, side: undefined }, true)
</script>

<template>
  <div class="screen">
    <div class="head">
      <h1>Library</h1>
      <v-btn-toggle
        :model-value="tab"
        mandatory
        density="compact"
        variant="outlined"
        color="primary"
        divided
        aria-label="What is shown"
        ><v-btn
          v-for="each in tabs"
          :key="each.tab"
          :value="each.tab"
          :aria-pressed="tab === each.tab"
          size="small"
          :data-test="`library-${each.tab}`"
          @click="show(each.tab)"
          >{{ each.title }}</v-btn
        ></v-btn-toggle
      >
    </div>
    <LibraryBriefs v-if="tab === 'briefs'" />
    <LazyLibraryTexts v-else-if="tab === 'texts'" />
    <LazyLibraryPlaylists v-else-if="tab === 'playlists'" />
    <LazyLibraryLists v-else-if="tab === 'lists'" />
    <LazyLibrarySources v-else-if="tab === 'sources'" />
    <LazyLibraryPlaces v-else-if="tab === 'places'" />
    <LazyLibraryChannels v-else-if="tab === 'channels'" />
    <LazyLibraryData v-else-if="tab === 'data'" />
    <LazyLibraryAccess v-else />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  gap: 20px;
  align-items: center;
}
</style>
