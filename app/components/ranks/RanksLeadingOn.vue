<script setup lang="ts">
import { onBeforeUnmount } from 'vue'
import type { LeadingOn } from '../../../core/ranks/leadingOn'
import { counted, inFull, percent, rounded, UNKNOWN } from '~/composables/figures'
import { useLeadingOn } from '~/stores/leadingOn'

/** Where should viewers of each of my videos go on to? */
const leading = useLeadingOn()
onBeforeUnmount(leading.follow())
const HEADERS = [
  { key: 'title', title: 'Video', width: '34%' },
  {
    key: 'views',
    title: 'Views, 28 days',
    align: 'end',
    width: 140,
    nowrap: true,
    value: (row: LeadingOn) => row.views ?? -1,
  },
  { key: 'to', title: 'Lead its viewers on to', sortable: false },
  { key: 'acts', title: '', sortable: false, width: 150 },
] as const
/** So many playlists are named; the others are counted. */
const MOST = 3
const furtherOf = (lists: LeadingOn['playlists']) =>
  lists
    .slice(MOST)
    .map(({ title }) => title)
    .join('\n')
</script>

<template>
  <ShellFailed v-if="leading.problem" :problem="leading.problem" @again="leading.load()" />
  <v-skeleton-loader v-else-if="!leading.answer" type="table-row@6" class="sheet" />
  <div v-else-if="!leading.answer.rows.length" class="sheet state" data-test="leading-empty">
    <h2>No leads to add</h2>
    <p v-if="leading.answer.videos > 1">
      No two of your {{ counted(leading.answer.videos, 'video') }} are about the same, or each leads to the others
      already; and no playlist lacks one.
    </p>
    <p v-else-if="leading.answer.videos">Only one video of your channel is known. It takes two.</p>
    <ShellChooseChannel v-else />
  </div>
  <template v-else>
    <ShellTable
      :headers="HEADERS"
      :items="leading.answer.rows"
      item-value="video"
      density="compact"
      fixed-header
      class="sheet table"
      tabindex="0"
      aria-label="Where my videos should lead"
      data-test="leading"
    >
      <template #[`item.title`]="{ item }"
        ><NuxtLink
          class="link"
          :to="{ path: '/ranks', query: { video: item.video, view: 'views' } }"
          title="Its views"
          data-test="leading-row"
          >{{ item.title }}</NuxtLink
        ></template
      >
      <template #[`item.views`]="{ item }"
        ><span
          class="figure"
          :title="item.views === null ? 'Not known: see its views once' : inFull(item.views, 'views')"
          >{{ item.views === null ? UNKNOWN : rounded(item.views) }}</span
        ></template
      >
      <template #[`item.to`]="{ item }">
        <ul>
          <li v-for="each in item.to" :key="each.video">
            {{ each.title }}{{ ' '
            }}<span
              class="figure small muted"
              title="How much of what the two titles say is the same; rare words count more"
              >{{ percent(each.closeness) }}</span
            >
          </li>
          <li v-for="list in item.playlists.slice(0, MOST)" :key="list.id">
            <span class="muted">Add it to the playlist</span>{{ ' '
            }}<NuxtLink
              class="link"
              :to="{ path: '/library', query: { tab: 'playlists', playlist: list.id } }"
              data-test="leading-playlist"
              >{{ list.title }}</NuxtLink
            >
          </li>
          <li v-if="item.playlists.length > MOST" class="muted" :title="furtherOf(item.playlists)">
            and {{ counted(item.playlists.length - MOST, 'more playlist') }}
          </li>
        </ul>
      </template>
      <template #[`item.acts`]="{ item }"
        ><NuxtLink
          v-if="item.brief"
          class="link small"
          :to="{ path: '/release', query: { brief: item.brief, part: 'video' } }"
          data-test="leading-brief"
          >Cards and end screen</NuxtLink
        ><NuxtLink v-else class="link small" :to="{ path: '/ranks', query: { view: 'mend', video: item.video } }"
          >Open it to mend</NuxtLink
        ></template
      >
    </ShellTable>
    <p class="small muted">
      Those watched most first: a link there is seen by most. By the words of titles; what a description, or cards and
      end screen of a brief lead to already is left out. A playlist is named whose phrase the title says. The site does
      not tell cards of videos made elsewhere.
    </p>
  </template>
</template>

<style scoped>
.table {
  flex: 1;
  min-height: 180px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 4px 0;
}
.figure {
  white-space: nowrap;
}
</style>
