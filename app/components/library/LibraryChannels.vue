<script setup lang="ts">
import { mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import type { Settings, Workspace } from '../../../shared/workspace'
import { api, messageOf } from '~/composables/api'
import { counted, dateOnly, inFull } from '~/composables/figures'
import type { OwnVideo } from '../../../shared/workspace'
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
const settings = ref<Settings | null>(null)
const ownVideos = ref<OwnVideo[]>([])
const region = computed(() => one.value?.region ?? '')

watch(
  () => one.value?.id,
  async id => {
    if (!id) return
    problem.value = ''
    settings.value = null
    ownVideos.value = []
    try {
      const got = await api('GET /api/workspaces/:id/settings', { params: { id } })
      if (one.value?.id !== id) return
      settings.value = got.settings
      ownVideos.value = got.videos
    } catch (error) {
      if (one.value?.id === id) problem.value = messageOf(error)
    }
  },
  { immediate: true },
)

async function attempt(work: () => Promise<unknown>, text?: string) {
  problem.value = ''
  try {
    await work()
    await workspace.refresh()
    if (text) notices.show(text)
  } catch (error) {
    problem.value = messageOf(error)
  }
}
const patch = (body: Record<string, unknown>, text = 'Saved.') =>
  attempt(async () => {
    const got = await api('PATCH /api/workspaces/:id', { params: { id: one.value!.id }, body })
    if (got.problem) throw new Error(got.problem)
  }, text)
const make = () =>
  attempt(async () => {
    const got = await api('POST /api/workspaces', { body: { name: newName.value } })
    newName.value = ''
    await choose(got.id)
  })
const remove = (each: Workspace) =>
  attempt(async () => {
    await api('DELETE /api/workspaces/:id', { params: { id: each.id } })
    await choose(null)
  }, `“${each.name}” deleted.`)
const put = (body: Partial<Settings>, text: string) =>
  attempt(async () => {
    const got = await api('PUT /api/workspaces/:id/settings', { params: { id: one.value!.id }, body })
    settings.value = got.settings
  }, text)
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
          <ShellLanguage
            :model-value="one.language"
            class="region"
            @update:model-value="patch({ language: $event }, 'Saved. New briefs are in this language.')"
          />
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
      <LibraryChannelChoice :key="one.id" :workspace="one" :videos="ownVideos" :attempt />
      <LibraryFormulas v-if="settings" :key="`${one.id}:${region}`" :settings :region :save="put" />
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
.problem {
  padding: 10px 16px;
  color: var(--plum);
}
</style>
