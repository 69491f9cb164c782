<script setup lang="ts">
import { mdiDragVertical } from '@mdi/js'
import { computed, nextTick, ref, watch } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import { DEFAULT_PROFILE as profile } from '../../../../core/draft/limits'
import { preview, type Surface } from '../../../../core/draft/preview'
import type { RivalRow } from '../../../../shared/rivals'
import { ageWords, lengthWords, rounded, UNKNOWN } from '~/composables/figures'
import { now } from '~/composables/clock'
import type { SeenLine as Line } from '~/composables/seenLine'
import { useBrief } from '~/stores/brief'
import { useWorkspace } from '~/stores/workspace'

/** Videos one below another as a surface shows them, mine among them; a result opens to its whole texts. */
const lines = defineModel<Line[]>({ required: true })
const props = defineProps<{
  surface: Surface
  dark: boolean
  /** Whether pictures are as large as the surface shows them. */
  real?: boolean
  /** The address of my picture; `null` without one. */
  picture: string | null
  /** Percent of the brief's rule set by video. */
  percents: ReadonlyMap<string, number | null>
}>()
const emit = defineEmits<{ move: [by: number] }>()
const paper = ref<HTMLElement | null>(null)
// Wherever it stands, it is what one looks for.
watch(
  [() => lines.value.findIndex(line => line.mine), () => props.surface],
  async ([at]) => {
    if (at < 0) return
    await nextTick()
    const mine = paper.value?.querySelector<HTMLElement>('.mine')
    if (mine) paper.value!.scrollTop = mine.offsetTop - paper.value!.clientHeight / 3
  },
  { immediate: true },
)
const brief = useBrief()
const workspace = useWorkspace()
const fields = computed(() => brief.fields!)
const shown = (line: Line) =>
  line.mine
    ? preview(fields.value.title, fields.value.description, props.surface, profile)
    : preview(line.row.title, line.row.description ?? '', props.surface, profile)
const pictureOf = (line: Line) => (line.mine ? props.picture : line.row.thumbnail)
const secondsOf = (line: Line) => (line.mine ? fields.value.seconds : line.row.durationSeconds)
const facts = ({ channel, views, publishedAt }: RivalRow) =>
  [
    channel.title,
    views === null ? null : `${rounded(views)} views`,
    publishedAt === null ? null : `${ageWords((now() - publishedAt) / 86_400_000)} old`,
  ]
    .filter(Boolean)
    .join(' · ')

const open = ref<string | null>(null)
const percentOf = (id: string) => {
  const found = props.percents.get(id)
  return found == null ? UNKNOWN : `${Math.floor(found)} %`
}
</script>

<template>
  <div ref="paper" class="paper" :class="[surface, { dark, real }]" data-test="seen-list">
    <VueDraggable v-model="lines" tag="ol" handle=".grip" :animation="120">
      <li
        v-for="line in lines"
        :key="line.key"
        :class="{ mine: line.mine }"
        :data-test="line.mine ? 'seen-mine' : 'seen-rival'"
      >
        <button
          v-if="line.mine"
          class="plain grip"
          aria-label="Move my video; arrow keys move it"
          data-test="seen-grip"
          @keydown.up.prevent="emit('move', -1)"
          @keydown.down.prevent="emit('move', 1)"
        >
          <v-icon :icon="mdiDragVertical" size="18" />
        </button>
        <span class="tile" aria-hidden="true">
          <img v-if="pictureOf(line)" :src="pictureOf(line)!" alt="" loading="lazy" />
          <span v-if="secondsOf(line) !== null" class="length figure">{{ lengthWords(secondsOf(line)) }}</span>
        </span>
        <div class="words">
          <p class="title">
            <template v-if="line.mine">{{ shown(line).title.text || 'No title yet' }}</template><button
              v-else
              class="plain"
              :aria-expanded="open === line.key"
              data-test="seen-open"
              @click="open = open === line.key ? null : line.key"
            >
              {{ shown(line).title.text }}
            </button>
          </p>
          <p class="facts">
            <template v-if="line.mine"
              >{{ workspace.current?.channelTitle ?? workspace.current?.name }} · just now</template
            ><template v-else
              >{{ facts(line.row) }} ·
              <span title="What your rule set gives its texts for this phrase">{{
                percentOf(line.key)
              }}</span></template
            >
          </p>
          <p v-if="shown(line).opening" class="opening">{{ shown(line).opening!.text }}</p>
          <DeskSeenFull v-if="!line.mine && open === line.key" :row="line.row" />
        </div>
      </li>
    </VueDraggable>
  </div>
</template>

<style scoped>
/* The preview has its own light: what is seen elsewhere does not follow this window's theme. */
.paper {
  --back: #fff;
  --fore: #1d2733;
  --soft: #5c6773;
  --edge: #e3ddd0;
  --own: #eef5f4;
  position: relative;
  overflow-y: auto;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--back);
  color: var(--fore);
}
.paper.dark {
  --back: #161b20;
  --fore: #eceae4;
  --soft: #a5adb5;
  --edge: #2c343c;
  --own: #1f3435;
}
ol {
  list-style: none;
  margin: 0;
  padding: 6px 10px;
}
li {
  display: flex;
  align-items: flex-start;
  gap: 12px;
  padding: 8px 4px;
  border-bottom: 1px solid var(--edge);
  position: relative;
}
.mine {
  background: var(--own);
}
.grip {
  cursor: grab;
  color: var(--soft);
  margin: 0 -8px 0 -6px;
}
.tile {
  flex: none;
  width: 128px;
  aspect-ratio: 16 / 9;
  background: var(--edge);
  position: relative;
  overflow: hidden;
  border-radius: 3px;
}
.tile img {
  width: 100%;
  height: 100%;
  object-fit: cover;
}
.length {
  position: absolute;
  right: 3px;
  bottom: 3px;
  font-size: 10px;
  padding: 0 4px;
  background: rgb(22 27 32 / 80%);
  color: #fff;
}
.words {
  min-width: 0;
  flex: 1;
}
.title {
  font-weight: 600;
  line-height: 1.3;
  overflow-wrap: anywhere;
}
.facts,
.opening {
  font-size: 12px;
  color: var(--soft);
  overflow-wrap: anywhere;
}
.opening {
  margin-top: 3px;
}
.phone ol {
  max-width: 380px;
  margin: 0 auto;
}
.phone li {
  flex-direction: column;
  gap: 6px;
}
.phone .tile {
  width: 100%;
}
.column ol,
.playlist ol {
  max-width: 360px;
}
.column .tile,
.playlist .tile {
  width: 108px;
}
.column .title,
.playlist .title {
  font-size: 13px;
}
.watch li:not(.mine) {
  display: none;
}
.watch li {
  flex-direction: column;
}
.watch .tile {
  width: 100%;
}
.watch .title {
  font-size: 18px;
}
.web li {
  flex-direction: row-reverse;
}
.web .tile {
  width: 96px;
}
.real.list .tile {
  width: min(300px, 50%);
}
.real.column .tile {
  width: 168px;
}
.real.playlist .tile {
  width: 120px;
}
.real.web .tile {
  width: 144px;
}
.real.watch ol {
  max-width: 854px;
}
.real.column ol,
.real.playlist ol {
  max-width: 420px;
}
</style>
