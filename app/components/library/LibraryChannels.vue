<script setup lang="ts">
import { mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { SHARES } from '../../../core/rivals/winnings'
import type { ChannelStats } from '../../../shared/rivals'
import type { Settings, Workspace } from '../../../shared/workspace'
import { api, messageOf } from '~/composables/api'
import { counted, dateOnly, inFull, rounded } from '~/composables/figures'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'

const workspace = useWorkspace()
const notices = useNotices()
const route = useRoute()
const address = useAddress()
/** The workspace looked at, which need not be the one at work. */
const chosen = computed(() => (typeof route.query.of === 'string' ? route.query.of : null))
const choose = (id: string | null) => address({ of: id }, true)
const one = computed(() => workspace.workspaces.find(each => each.id === (chosen.value ?? workspace.id)) ?? null)
const problem = ref('')
const newName = ref('')
const find = ref('')
const found = ref<ChannelStats[]>([])
const channelId = ref('')
const subscribers = ref('')
const byHand = ref('')
const settings = ref<Settings | null>(null)
const weights = ref({ demand: '', ease: '', trend: '' })
const shares = ref('')
const rate = ref({ currency: '', low: '', high: '' })

watch(
  () => one.value?.id,
  async id => {
    if (!id) return
    problem.value = ''
    channelId.value = one.value!.channelId ?? ''
    subscribers.value = one.value!.channelId
      ? ''
      : one.value!.subscribers === null
        ? ''
        : String(one.value!.subscribers)
    found.value = []
    try {
      const got = await api<{ settings: Settings; videos: { title: string; views: number; publishedAt: number }[] }>(
        `/api/workspaces/${id}/settings`,
      )
      if (one.value?.id !== id) return
      show(got.settings)
      byHand.value = got.videos
        .map(video => `${new Date(video.publishedAt).toISOString().slice(0, 10)}; ${video.views}; ${video.title}`)
        .join('\n')
    } catch (error) {
      if (one.value?.id === id) problem.value = messageOf(error)
    }
  },
  { immediate: true },
)
function show(next: Settings) {
  settings.value = next
  weights.value = {
    demand: String(next.weights.demand),
    ease: String(next.weights.ease),
    trend: String(next.weights.trend),
  }
  shares.value = next.shares
    .slice(0, 20)
    .map(share => Number(share.toFixed(4)))
    .join(' ')
  const own = next.rates[one.value?.region ?? ''] ?? next.rates['']
  rate.value = own
    ? { currency: own.currency, low: String(own.lowMicros / 1_000_000), high: String(own.highMicros / 1_000_000) }
    : { currency: 'USD', low: '', high: '' }
}

async function attempt(work: () => Promise<unknown>, text?: string) {
  problem.value = ''
  try {
    await work()
    await workspace.refresh()
    if (text) notices.tell(text)
  } catch (error) {
    problem.value = messageOf(error)
  }
}
const patch = (body: Record<string, unknown>, text = 'Saved.') =>
  attempt(async () => {
    const got = await api<Workspace & { problem: string | null }>(`/api/workspaces/${one.value!.id}`, {
      method: 'PATCH',
      body,
    })
    if (got.problem) throw new Error(got.problem)
  }, text)
const make = () =>
  attempt(async () => {
    const got = await api<Workspace>('/api/workspaces', { method: 'POST', body: { name: newName.value } })
    newName.value = ''
    await choose(got.id)
  })
const remove = (each: Workspace) =>
  attempt(async () => {
    await api(`/api/workspaces/${each.id}`, { method: 'DELETE' })
    await choose(null)
  }, `“${each.name}” deleted.`)
const search = () =>
  attempt(async () => {
    found.value = (await api<{ channels: ChannelStats[] }>('/api/channels', { query: { find: find.value } })).channels
    if (!found.value.length)
      throw new Error(
        'No channel found with this name. Enter its id, import its feed under Sources, or enter its figures by hand.',
      )
  })
const number = (value: string) => (value.trim() === '' ? null : Number(value.replaceAll(/[, ]/gu, '')))

/** One video a line: date; views; title. */
function stated(): { id: string; title: string; views: number; publishedAt: number }[] {
  return byHand.value
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean)
    .map((line, i) => {
      const [date = '', views = '', ...title] = line.split(';').map(part => part.trim())
      const publishedAt = Date.parse(date)
      const count = number(views)
      if (Number.isNaN(publishedAt) || count === null || !(count >= 0))
        throw new Error(`Line ${i + 1} is not “date; views; title”, as in 2026-03-31; 1200; Bar tape in five minutes.`)
      return {
        id: `stated-${i + 1}`,
        title: title.join('; ') || `Video ${i + 1}`,
        views: Math.round(count),
        publishedAt,
      }
    })
}
const saveByHand = () =>
  attempt(async () => {
    const count = number(subscribers.value)
    if (count !== null && !(count >= 0)) throw new Error('Enter a number of subscribers, or leave it empty.')
    await api(`/api/workspaces/${one.value!.id}`, {
      method: 'PATCH',
      body: { channelId: null, subscribers: count, videos: stated() },
    })
  }, 'Channel saved.')
const put = (body: Record<string, unknown>, text: string) =>
  attempt(async () => {
    show(
      (await api<{ settings: Settings }>(`/api/workspaces/${one.value!.id}/settings`, { method: 'PUT', body }))
        .settings,
    )
  }, text)
const saveWeights = () =>
  put(
    {
      weights: {
        demand: Number(weights.value.demand),
        ease: Number(weights.value.ease),
        trend: Number(weights.value.trend),
      },
    },
    'Weights saved. Scores updated.',
  )
const saveShares = () =>
  put(
    {
      shares: shares.value
        .split(/[\s;]+/u)
        .filter(Boolean)
        .map(Number),
    },
    'Curve saved. Views to win updated.',
  )
const saveRate = () =>
  put(
    {
      rates: {
        ...settings.value!.rates,
        [one.value?.region ?? '']: {
          currency: rate.value.currency.toUpperCase(),
          lowMicros: Math.round(Number(rate.value.low) * 1_000_000),
          highMicros: Math.round(Number(rate.value.high) * 1_000_000),
        },
      },
    },
    'Rate saved.',
  )
</script>

<template>
  <div class="channels">
    <nav class="sheet list" aria-label="Workspaces">
      <ul>
        <li v-for="each in workspace.workspaces" :key="each.id" :class="{ here: one?.id === each.id }">
          <button class="plain" data-test="workspace-line" @click="choose(each.id)">
            <strong>{{ each.name }}</strong><span class="small muted"
              >{{ each.channelTitle ?? 'no channel yet' }} · {{ counted(each.briefs, 'brief') }}</span
            ></button
          ><v-btn
            v-if="!each.briefs && workspace.workspaces.length > 1"
            size="x-small"
            :icon="mdiDeleteOutline"
            :aria-label="`Delete ${each.name}`"
            @click="remove(each)"
          />
        </li>
      </ul>
      <form class="new" @submit.prevent="make">
        <v-text-field v-model="newName" label="New workspace" maxlength="120" data-test="workspace-name" /><v-btn
          type="submit"
          size="small"
          :icon="mdiPlus"
          :disabled="!newName.trim()"
          aria-label="Create workspace"
          data-test="workspace-make"
        />
      </form>
      <p class="small muted">A workspace is one channel, yours or a client’s, with its briefs and lists.</p>
    </nav>
    <div v-if="one" class="one">
      <p v-if="problem" class="sheet problem" role="alert" data-test="workspace-problem">{{ problem }}</p>
      <section class="sheet">
        <h2>{{ one.name }}</h2>
        <div class="row">
          <v-text-field
            :model-value="one.name"
            label="Name"
            maxlength="120"
            hide-details
            @change="patch({ name: ($event.target as HTMLInputElement).value })"
          /><ShellRegion :model-value="one.region" class="region" @update:model-value="patch({ region: $event })" />
        </div>
        <p v-if="one.own" data-test="own">
          A video of this channel with the phrase in title and description has strength
          <strong class="figure">{{ one.own.strength.toFixed(3) }}</strong>:
          {{ one.subscribers === null ? 'subscribers unknown' : `${inFull(one.subscribers)} subscribers`
          }}<template v-if="one.own.viewsPerDay !== null"
            >, median {{ inFull(one.own.viewsPerDay) }} views a day of its last {{ one.own.videos }} videos</template
          >, as of {{ dateOnly(one.own.at) }}.
        </p>
        <p v-else class="muted" data-test="own">
          No channel chosen yet. Choose it or enter its figures below to see your chances.
        </p>
      </section>
      <section class="sheet">
        <h2>Which channel</h2>
        <form class="row" @submit.prevent="search">
          <v-text-field
            v-model="find"
            label="Find a channel"
            maxlength="100"
            hide-details
            data-test="channel-find"
          /><v-btn type="submit" :disabled="!find.trim()">Find</v-btn>
        </form>
        <ul v-if="found.length">
          <li v-for="each in found" :key="each.id" class="found">
            <span>{{ each.title }}</span><span class="figure small muted"
              >{{ rounded(each.subscribers) }} subscribers</span
            ><v-btn
              size="small"
              variant="tonal"
              data-test="channel-take"
              @click="
                patch({ channelId: each.id, subscribers: null }, `${each.title} is the channel.`)
                found = []
              "
              >This one</v-btn
            >
          </li>
        </ul>
        <form
          class="row"
          @submit.prevent="patch({ channelId: channelId.trim() || null, subscribers: null }, 'Channel updated.')"
        >
          <v-text-field v-model="channelId" label="Or its id" maxlength="100" hide-details /><v-btn type="submit"
            >Load it</v-btn
          >
        </form>
        <details :open="!one.channelId">
          <summary class="small">Or enter its figures</summary>
          <div class="row mt-3">
            <v-text-field
              v-model="subscribers"
              label="Subscribers"
              inputmode="numeric"
              hide-details
              data-test="own-subscribers"
            />
          </div>
          <div class="row mt-3">
            <v-textarea
              v-model="byHand"
              label="Recent videos, one per line: date; views; title"
              rows="3"
              no-resize
              variant="outlined"
              density="compact"
              hide-details
              data-test="own-videos"
            />
          </div>
          <v-btn class="mt-2" variant="tonal" data-test="own-save" @click="saveByHand">Save</v-btn>
        </details>
      </section>
      <section v-if="settings" class="sheet">
        <h2>Weights for worth</h2>
        <form class="row" @submit.prevent="saveWeights">
          <v-text-field
            v-model="weights.demand"
            label="Demand"
            inputmode="decimal"
            hide-details
            data-test="weight-demand"
          /><v-text-field
            v-model="weights.ease"
            label="Ease or chance"
            inputmode="decimal"
            hide-details
            data-test="weight-ease"
          /><v-text-field v-model="weights.trend" label="Trend" inputmode="decimal" hide-details /><v-btn
            type="submit"
            variant="tonal"
            data-test="weights-save"
            >Save</v-btn
          >
        </form>
        <p class="small muted">
          Set a weight to 0 to ignore that part. To rank by searches alone, set the other two to 0.
        </p>
      </section>
      <section v-if="settings" class="sheet">
        <h2>Views and money</h2>
        <form class="row" @submit.prevent="saveShares">
          <v-text-field
            v-model="shares"
            label="Share of searches each rank gets, starting with rank 1"
            hide-details
          /><v-btn type="submit" variant="tonal">Save</v-btn
          ><v-btn @click="put({ shares: [...SHARES] }, 'Default curve restored.')">Reset to default</v-btn>
        </form>
        <form class="row" @submit.prevent="saveRate">
          <v-text-field v-model="rate.currency" label="Currency" maxlength="3" hide-details /><v-text-field
            v-model="rate.low"
            label="Per 1,000 views"
            inputmode="decimal"
            hide-details
          /><v-text-field v-model="rate.high" label="to" inputmode="decimal" hide-details /><v-btn
            type="submit"
            variant="tonal"
            >Save</v-btn
          >
        </form>
        <p class="small muted">
          The rate applies to {{ one.region ?? 'everywhere' }}. Curve and rate are estimates until you enter your own.
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.channels {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 260px minmax(0, 1fr);
  gap: 10px;
}
.list {
  padding: 10px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  overflow: auto;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.list li {
  display: flex;
  align-items: center;
  border-left: 3px solid transparent;
  padding: 6px 8px;
}
.list li button {
  flex: 1;
  display: grid;
}
.list li.here {
  border-left-color: var(--teal);
  background: var(--paper);
}
.new {
  display: flex;
  gap: 6px;
  align-items: center;
}
.one {
  overflow: auto;
  display: grid;
  gap: 10px;
  align-content: start;
}
section {
  padding: 12px 16px;
  display: grid;
  gap: 10px;
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
}
.region {
  flex: 0 0 220px;
}
.found {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 3px 0;
}
.found span:first-child {
  flex: 1;
}
.problem {
  padding: 10px 16px;
  color: var(--plum);
}
summary {
  cursor: pointer;
  color: var(--teal);
}
</style>
