<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { TrendingAnswer } from '../../../shared/rivals'
import { now } from '~/composables/clock'
import { api, EVERY_REGION, messageOf } from '~/composables/api'
import { ago, dateOnly, inFull, lengthWords, rounded, UNKNOWN } from '~/composables/figures'
import { useAccess } from '~/stores/access'

const props = defineProps<{ region: string | null; language: string }>()
const access = useAccess()
const route = useRoute()
const address = useAddress()
const contains = computed(() => (typeof route.query.trending === 'string' ? route.query.trending : ''))
const answer = shallowRef<TrendingAnswer | null>(null)
const problem = ref('')
/** Answers that come late are to a question nobody asks any more. */
let asked = 0

async function load(anew = false) {
  problem.value = ''
  const mine = ++asked
  try {
    const got = await api(`${access.askMethod} /api/trending`, {
      query: {
        region: props.region ?? EVERY_REGION,
        language: props.language,
        contains: contains.value,
        anew: anew ? '1' : undefined,
      },
    })
    if (mine === asked) answer.value = got
  } catch (error) {
    if (mine === asked) problem.value = messageOf(error)
  }
}
watch(
  () => [props.region, contains.value],
  () => void load(),
  { immediate: true },
)
const { typed, type } = useDebouncedFields(
  () => ({ contains: contains.value }),
  texts => address({ trending: texts.contains || undefined }),
)
</script>

<template>
  <div class="sheet frame" data-test="trending">
    <div class="head">
      <v-text-field
        label="Title or tags contain"
        :model-value="typed.contains"
        maxlength="200"
        density="compact"
        class="find"
        data-test="trending-find"
        @update:model-value="type('contains', $event)"
      /><span v-if="answer?.at" class="small muted"
        >{{ answer.rows.length }} of {{ answer.total }}, {{ answer.source }}, seen {{ ago(answer.at, now()) }}.
        <button class="plain link" @click="load(true)">Look again</button></span
      ><span v-if="answer?.problem" class="small missing">{{ answer.problem }}</span>
    </div>
    <div v-if="problem" class="empty" role="alert">
      <p>{{ problem }}</p>
      <v-btn variant="tonal" @click="load()">Try again</v-btn>
    </div>
    <v-skeleton-loader v-else-if="!answer" type="table-row@6" />
    <p v-else-if="!answer.rows.length" class="empty muted">
      {{ contains ? 'No trending video contains these words.' : 'No trending videos in this region.' }}
    </p>
    <table v-else aria-label="Trending">
      <thead>
        <tr>
          <th scope="col">Rank</th>
          <th scope="col" class="title">Title and channel</th>
          <th scope="col">Subscribers</th>
          <th scope="col">Views</th>
          <th scope="col">A day</th>
          <th scope="col">Length</th>
          <th scope="col">Published</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in answer.rows" :key="row.videoId" data-test="trend">
          <td class="figure">{{ row.rank }}</td>
          <td class="title">
            <div class="line">
              <img v-if="row.thumbnail" :src="row.thumbnail" alt="" width="57" height="32" />
              <div>
                {{ row.title }}
                <div class="small">
                  <NuxtLink :to="{ query: { ...route.query, tab: 'channels', channel: row.channel.id } }">{{
                    row.channel.title
                  }}</NuxtLink>
                </div>
              </div>
            </div>
          </td>
          <td class="figure">{{ rounded(row.channel.subscribers) }}</td>
          <td class="figure" :title="inFull(row.views)">{{ rounded(row.views) }}</td>
          <td class="figure">{{ row.viewsPerDay === null ? UNKNOWN : rounded(Math.round(row.viewsPerDay)) }}</td>
          <td class="figure">{{ lengthWords(row.durationSeconds) }}</td>
          <td class="figure">{{ row.publishedAt === null ? UNKNOWN : dateOnly(row.publishedAt) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.frame {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
.head {
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 8px 12px;
}
.find {
  max-width: 260px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 4px 10px;
  text-align: end;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
th {
  position: sticky;
  top: 0;
  background: var(--paper);
  color: var(--muted);
  font-size: 12px;
  z-index: 1;
}
.title {
  text-align: start;
  white-space: normal;
}
.line {
  display: flex;
  gap: 8px;
  align-items: center;
}
.line img {
  border-radius: 2px;
}
.empty {
  padding: 24px;
}
.link,
.missing {
  color: var(--teal);
}
.missing {
  color: var(--plum);
}
a {
  color: var(--muted);
}
</style>
