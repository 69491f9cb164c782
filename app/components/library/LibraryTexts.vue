<script setup lang="ts">
import { mdiFileUploadOutline } from '@mdi/js'
import { useDropZone, useEventListener, useFileDialog } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { CHECKS } from '../../../core/draft/checks'
import { inDigits } from '../../../core/text/inWords'
import { messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { useManyTexts } from '~/stores/manyTexts'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'
import { useWorkspaceItems } from '~/stores/workspaceItems'
import type { TextChange } from '~/workers/texts.worker'

/** Many texts under one rule set: which are worth an hour, and one fix for all that need it. */
const many = useManyTexts()
const items = useWorkspaceItems()
const workspace = useWorkspace()
const notices = useNotices()
if (!many.source && !many.running) void many.loadBriefs()

const { open: choose, onChange } = useFileDialog({
  accept: '.csv,.tsv,.json,.jsonl,.jsonld,.xml,.atom,.rss',
  multiple: true,
  reset: true,
})
onChange(files => {
  if (files?.length) void many.loadFiles([...files])
})
const zone = ref<HTMLElement | null>(null)
const { isOverDropZone } = useDropZone(zone, {
  onDrop: files => {
    if (files?.length) void many.loadFiles(files)
  },
})
useEventListener(document, 'paste', (event: ClipboardEvent) => {
  const { target } = event
  if (target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement) return
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (text.trim()) void many.loadText(text)
})

const set = computed({
  get: () => many.ruleSet,
  set(id: string) {
    many.ruleSet = id
    void many.score()
  },
})
const beside = computed({
  get: () => many.beside,
  set(id: string | null) {
    many.beside = id
    void many.score()
  },
})
const profile = computed({
  get: () => many.profile,
  set(id: string) {
    many.profile = id
    void many.score()
  },
})
/** The check that is looked at: how much it lacks, and what mends it. */
const check = ref<string | null>(null)
const titles = new Map(CHECKS.map(({ id, title }) => [id, title]))
const choices = computed(() => {
  if (many.running) return []
  const sums = new Map<string, { points: number; texts: number }>()
  for (const { points } of many.rows)
    for (const [id, left] of Object.entries(points?.left ?? {})) {
      const sum = sums.get(id) ?? { points: 0, texts: 0 }
      sums.set(id, { points: sum.points + left, texts: sum.texts + 1 })
    }
  return [...sums]
    .sort(([, a], [, b]) => b.points - a.points)
    .map(([value, { texts }]) => ({ value, title: `${titles.get(value)} (${inDigits(texts)})` }))
})
const chosen = ref<number[]>([])
const changes = shallowRef<TextChange[] | null>(null)
const proposing = ref(false)
async function propose() {
  if (!check.value) return
  const which = chosen.value.length
    ? chosen.value
    : many.rows.filter(row => row.points?.left[check.value!] !== undefined).map(row => row.at)
  proposing.value = true
  try {
    const found = await many.changes(which, check.value)
    if (found.length) changes.value = found
    else notices.show(`No fix of “${titles.get(check.value)}” helps these texts. It takes a person.`)
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  } finally {
    proposing.value = false
  }
}
async function apply(taken: TextChange[]) {
  changes.value = null
  await many.apply(taken)
}
async function makeBriefs() {
  const list = [...chosen.value]
  try {
    for (const at of list) await many.makeBrief(at)
    notices.show(`${counted(list.length, 'brief')} made. They are under Briefs.`)
    chosen.value = []
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}

const known = computed(() => many.rows.filter(row => row.points?.percent != null))
/** Scored, and without a percent all the same. */
const unled = computed(() => many.rows.filter(row => row.points && row.points.percent === null).length)
const unscored = computed(() => many.rows.filter(row => !row.points).length)
const mean = computed(() =>
  known.value.length
    ? Math.round(known.value.reduce((sum, row) => sum + row.points!.percent!, 0) / known.value.length)
    : null,
)
</script>

<template>
  <div ref="zone" class="texts" :class="{ over: isOverDropZone }" data-test="texts">
    <div class="head">
      <v-btn size="small" variant="tonal" data-test="texts-briefs" @click="many.loadBriefs()">My briefs</v-btn>
      <v-btn
        v-if="workspace.current?.channelId"
        size="small"
        variant="tonal"
        data-test="texts-videos"
        @click="many.loadVideos()"
        >My videos</v-btn
      >
      <v-btn size="small" variant="tonal" :prepend-icon="mdiFileUploadOutline" data-test="texts-file" @click="choose()"
        >From files</v-btn
      >
      <ShellRuleSet v-model="set" class="set" data-test="texts-set" />
      <v-select
        v-model="beside"
        :items="items.ruleSets.filter(each => each.id !== many.ruleSet)"
        item-title="name"
        item-value="id"
        label="Compare with"
        clearable
        hide-details
        class="set"
        data-test="texts-beside"
      />
      <v-select
        v-if="items.profiles.length > 1"
        v-model="profile"
        :items="items.profiles"
        item-title="name"
        item-value="id"
        label="Limits"
        hide-details
        class="set"
        data-test="texts-limits"
      />
      <v-select
        v-model="check"
        :items="choices"
        label="Lacks points for"
        clearable
        hide-details
        class="check"
        data-test="texts-check"
      />
      <v-btn
        v-if="check"
        size="small"
        variant="flat"
        color="primary"
        :loading="proposing"
        data-test="texts-propose"
        @click="propose"
        >Fix in {{ chosen.length ? counted(chosen.length, 'text') : 'all that lack it' }}</v-btn
      >
      <v-btn
        v-else-if="chosen.length && many.source !== 'briefs'"
        size="small"
        data-test="texts-brief"
        @click="makeBriefs"
        >Make {{ counted(chosen.length, 'brief') }}</v-btn
      >
      <v-spacer />
      <LibraryTextsSave />
    </div>
    <p class="small" role="status" data-test="texts-told">
      <template v-if="many.reading">Reading…</template>
      <template v-else-if="many.running"
        >{{ inDigits(many.scored) }} of {{ counted(many.rows.length, 'text') }} scored.
        <button class="plain link" @click="many.stop()">Stop</button></template
      >
      <template v-else-if="many.rows.length"
        >{{ counted(many.rows.length, 'text') }} from {{ many.source
        }}<template v-if="mean !== null">, {{ mean }} % on average, by title, description and tags alone</template
        ><template v-if="unled">; no percent without a lead phrase: {{ counted(unled, 'text') }}</template
        ><template v-if="unscored">; not scored: {{ counted(unscored, 'text') }}</template
        >.</template
      >
    </p>
    <details v-if="many.refused.length" class="small" data-test="texts-refused">
      <summary>{{ counted(many.refused.length, 'record') }} could not be read</summary>
      <ul>
        <li v-for="each in many.refused.slice(0, 100)" :key="each.line">
          <span class="figure muted">{{ each.line }}</span> {{ each.reason }}
        </li>
      </ul>
    </details>
    <div v-if="many.problem" class="sheet state" role="alert">
      <h2>Could not read the texts</h2>
      <p>{{ many.problem }}</p>
      <v-btn variant="tonal" @click="many.loadBriefs()">Show my briefs</v-btn>
    </div>
    <v-skeleton-loader v-else-if="many.reading" type="table-row@5" class="sheet" />
    <div v-else-if="!many.rows.length" class="sheet state">
      <h2>No texts here</h2>
      <p>
        Drop a file, paste, or open one: CSV with a title column, JSON, JSON Lines, JSON-LD with VideoObject, or a
        channel’s Atom or RSS feed.
      </p>
    </div>
    <LibraryTextsTable
      v-else
      v-model="chosen"
      :rows="many.rows"
      :check="check"
      :beside="many.beside === null ? null : items.ruleSetOf(many.beside).name"
      @lead="(at, lead) => many.setLead(at, lead)"
    />
    <LazyLibraryTextsChanges
      v-if="changes"
      :changes="changes"
      :rows="many.rows"
      @close="changes = null"
      @apply="apply"
    />
  </div>
</template>

<style scoped>
.texts {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.over {
  outline: 2px dashed var(--teal);
  outline-offset: 4px;
}
.head {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
}
.set {
  min-width: 150px;
  max-width: 190px;
}
.check {
  max-width: 330px;
  min-width: 240px;
}
.link {
  color: var(--teal);
}
.state {
  padding: 24px;
  display: grid;
  gap: 8px;
}
</style>
