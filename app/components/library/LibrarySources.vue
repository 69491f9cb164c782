<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiDrag, mdiFileUploadOutline } from '@mdi/js'
import { ref, shallowRef } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import type { SourceLine } from '../../../shared/lists'
import { inDigits } from '../../../core/text/inWords'
import { api, messageOf } from '~/composables/api'
import { dateOnly } from '~/composables/figures'
import { useNotices } from '~/stores/notices'

const notices = useNotices()
const sources = shallowRef<SourceLine[] | null>(null)
const problem = ref('')
const busy = ref(false)
const pagesOpen = ref(false)
/** How often another service was chosen: the clock of the simulated ones comes and goes with it. */
const serviceChanges = ref(0)

async function refresh() {
  problem.value = ''
  try {
    sources.value = (await api('GET /api/sources')).sources
  } catch (error) {
    problem.value = messageOf(error)
  }
}
void refresh()

async function order(next: SourceLine[], undo = true) {
  const before = sources.value!
  if (next.map(each => each.id).join() === before.map(each => each.id).join()) return
  sources.value = next
  busy.value = true
  try {
    sources.value = (
      await api('PUT /api/sources/order', {
        body: { ids: next.map(each => each.id) },
      })
    ).sources
    notices.show('Order saved. Figures updated.', undo ? { undo: () => order(before, false) } : {})
  } catch (error) {
    sources.value = before
    notices.show(messageOf(error), { serious: true })
  } finally {
    busy.value = false
  }
}
function move(i: number, by: -1 | 1) {
  const next = [...sources.value!]
  next.splice(i + by, 0, ...next.splice(i, 1))
  void order(next)
}
function closePages() {
  pagesOpen.value = false
  void refresh()
}
</script>

<template>
  <div class="sources">
    <section class="sheet" aria-label="Sources of figures">
      <h2>Sources, in order of preference</h2>
      <p class="small muted">
        When several sources have a figure for a phrase, the first in this list is used. Drag to reorder, or use the
        arrows.
      </p>
      <div v-if="problem" role="alert">
        <p>{{ problem }}</p>
        <v-btn variant="tonal" @click="refresh">Try again</v-btn>
      </div>
      <v-skeleton-loader v-else-if="!sources" type="list-item@3" />
      <p v-else-if="!sources.length" class="muted">
        No figures yet. Search for a seed or import a list on the Demand screen.
      </p>
      <VueDraggable
        v-else
        :model-value="[...sources]"
        tag="ol"
        handle=".handle"
        :animation="120"
        data-test="sources"
        @update:model-value="order($event as SourceLine[])"
      >
        <li v-for="(source, i) in sources" :key="source.id" data-test="source">
          <v-icon class="handle" :icon="mdiDrag" size="18" aria-hidden="true" /><span class="figure muted">{{
            i + 1
          }}</span
          ><strong>{{ source.name }}</strong
          ><span class="small muted">{{ source.kind === 'import' ? 'imported' : 'service' }}</span
          ><span class="small figures"
            ><span class="figure">{{ inDigits(source.figures) }}</span> figures<template v-if="source.newest"
              >, the newest of {{ dateOnly(source.newest) }}</template
            ><strong v-if="source.stale" class="stale"> · stale</strong></span
          >
          <v-btn
            size="x-small"
            :icon="mdiArrowUp"
            :disabled="i === 0 || busy"
            :aria-label="`Move ${source.name} up`"
            @click="move(i, -1)"
          /><v-btn
            size="x-small"
            :icon="mdiArrowDown"
            :disabled="i === sources.length - 1 || busy"
            :aria-label="`Move ${source.name} down`"
            @click="move(i, 1)"
          />
        </li>
      </VueDraggable>
    </section>
    <section class="sheet" aria-label="Real pages">
      <h2>Result pages, videos and channels of your own</h2>
      <p class="small muted">
        Import data from elsewhere: result pages, videos, channel feeds. Rivals, difficulty and your channel then work
        without any service.
      </p>
      <v-btn variant="tonal" :prepend-icon="mdiFileUploadOutline" data-test="pages-open" @click="pagesOpen = true"
        >Import pages, videos or a feed</v-btn
      >
    </section>
    <LibraryServices @changed="serviceChanges++" />
    <LibraryClock :key="serviceChanges" />
    <LazyLibraryPages v-if="pagesOpen" @close="closePages" />
  </div>
</template>

<style scoped>
.sources {
  flex: 1;
  min-height: 0;
  overflow: auto;
  display: grid;
  gap: 10px;
  align-content: start;
}
section {
  padding: 12px 16px;
  display: grid;
  gap: 8px;
  justify-items: start;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  width: 100%;
}
li {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 36px;
  border-bottom: 1px solid var(--line);
}
.figures {
  margin-left: auto;
}
.handle {
  cursor: grab;
  color: var(--muted);
}
.stale {
  color: var(--plum);
}
</style>
