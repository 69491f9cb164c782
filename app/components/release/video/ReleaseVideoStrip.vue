<script setup lang="ts">
import { mdiMagnifyMinusOutline, mdiMagnifyPlusOutline } from '@mdi/js'
import interact from 'interactjs'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import { clock, type Cue } from '../../../../core/captions/cue'
import type { Chapter } from '../../../../core/chapters/lines'
import { nearestStart, ticksOf } from '../../../../core/release/strip'
import { useStripView } from '~/composables/stripView'
import { useVideoLeads } from '~/composables/videoLeads'
import { useFilm } from '~/stores/film'

/** The whole video as one strip: chapters, what is said, cards and the end screen at their times. */
const chosen = defineModel<string | null>('chosen', { required: true })
const props = defineProps<{ seconds: number; cues: readonly Cue[]; chapters: readonly Chapter[] }>()
const film = useFilm()
const leads = useVideoLeads()
const view = ref<HTMLElement | null>(null)
const strip = useStripView(view, () => props.seconds)
const { zoom, scale, width, from, shown, zoomTo, timeAt } = strip
const left = (at: number) => `${at * scale.value}px`
const ticks = computed(() => ticksOf(props.seconds, scale.value, shown.value))
/** More cues than this in a window are a blur: zooming in shows them. */
const MOST_SHOWN = 250
const cuesShown = computed(() => {
  const { start, end } = shown.value
  const here = props.cues.filter(cue => cue.end > start && cue.start < end)
  return here.length > MOST_SHOWN ? null : here
})

// What plays stays in sight.
watch(() => film.at, strip.follow)

/** So near a line of the captions, in pixels, what is dragged begins with it; not while Alt is held. */
const SNAP = 8
/** What is being dragged, where it would stand. */
const held = shallowRef<{ id: string; at: number } | null>(null)
const END = 'end-screen'
const timeOf = (id: string, at: number) => (held.value?.id === id ? held.value.at : at)
const cards = computed(() => leads.cards.value.map(card => ({ ...card, at: timeOf(card.id, card.at) })))
const endFrom = computed(() => (leads.end.value ? timeOf(END, leads.end.value.from) : null))
let interaction: ReturnType<typeof interact> | undefined
onMounted(() => {
  interaction = interact('[data-held]', { context: view.value! }).draggable({
    lockAxis: 'x',
    autoScroll: { container: view.value! },
    listeners: {
      start({ target }: { target: Element }) {
        const id = target.getAttribute('data-held')!
        if (id !== END) chosen.value = id
      },
      move({ target, clientX, altKey }: { target: Element; clientX: number; altKey: boolean }) {
        const id = target.getAttribute('data-held')!
        const at = timeAt(clientX)
        const near = altKey ? null : nearestStart(props.cues, at, SNAP / scale.value)
        held.value = { id, at: near ?? at }
        film.seek(held.value.at)
      },
      end() {
        const now = held.value
        held.value = null
        if (!now) return
        if (now.id === END) leads.moveEnd(now.at)
        else leads.moveCard(now.id, now.at)
      },
    },
  })
})
onBeforeUnmount(() => interaction?.unset())

const FINE = 0.1
function nudge(event: KeyboardEvent, at: number, move: (to: number) => void) {
  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
  if (!by) return
  event.preventDefault()
  const to = Math.min(props.seconds, Math.max(0, at + by * (event.shiftKey ? FINE : 1)))
  move(to)
  film.seek(to)
}
function onCardKey(event: KeyboardEvent, id: string, at: number) {
  if (event.key === 'Delete') leads.removeCard(id)
  else nudge(event, at, to => leads.moveCard(id, to))
}
</script>

<template>
  <section class="strip" aria-label="The video from beginning to end" data-test="video-strip">
    <div class="tools">
      <span class="small muted"
        >Drag a card or the beginning of the end screen; it holds on to the lines that are said, not with Alt. Arrow
        keys move by a second, with Shift by a tenth.</span
      >
      <v-spacer />
      <v-btn
        size="x-small"
        variant="text"
        :icon="mdiMagnifyMinusOutline"
        aria-label="Zoom out"
        :disabled="zoom <= 1"
        @click="zoomTo(zoom / 2, film.at)"
      />
      <v-btn
        size="x-small"
        variant="text"
        :icon="mdiMagnifyPlusOutline"
        aria-label="Zoom in"
        title="Zoom in; also Ctrl with the wheel"
        :disabled="zoom >= strip.most"
        data-test="strip-zoom"
        @click="zoomTo(zoom * 2, film.at)"
      />
    </div>
    <div ref="view" class="view" tabindex="-1" @scroll="from = view!.scrollLeft" @wheel="strip.onWheel">
      <!-- The lanes are pressed to go there; by keys that is done from the things on them and with j and l. -->
      <div class="lanes" :style="{ width: `${width}px` }" @click="film.seek(timeAt($event.clientX))">
        <div class="lane times">
          <span v-for="tick in ticks" :key="tick" class="tick figure" :style="{ left: left(tick) }">{{
            clock(tick)
          }}</span>
        </div>
        <div class="lane chapters">
          <span
            v-for="(chapter, i) in chapters"
            :key="i"
            class="chapter"
            :style="{
              left: left(chapter.seconds),
              width: left(Math.max(0, (chapters[i + 1]?.seconds ?? seconds) - chapter.seconds)),
            }"
            :title="`${clock(chapter.seconds)} ${chapter.title}`"
            >{{ chapter.title }}</span
          >
        </div>
        <div class="lane said">
          <span
            v-for="cue in cuesShown ?? []"
            :key="cue.start"
            class="cue"
            :style="{ left: left(cue.start), width: left(Math.max(0, cue.end - cue.start)) }"
            :title="`${clock(cue.start)} ${cue.text}`"
            >{{ zoom > 4 ? cue.text : '' }}</span
          >
          <span v-if="!cuesShown" class="many" />
        </div>
        <div class="lane leads">
          <button
            v-for="card in cards"
            :key="card.id"
            class="card"
            :class="{ chosen: chosen === card.id, wrong: leads.faultsOfCards.value.get(card.id)?.length }"
            :style="{ left: left(card.at) }"
            :data-held="card.id"
            :aria-label="`Card at ${clock(card.at)}, ${card.teaser || 'no teaser'}; arrow keys move it`"
            :title="`${clock(card.at)} ${card.teaser}`"
            data-test="strip-card"
            @click.stop="((chosen = card.id), film.seek(card.at))"
            @keydown="onCardKey($event, card.id, card.at)"
          />
          <button
            v-if="endFrom !== null"
            class="end"
            :style="{ left: left(endFrom), width: left(Math.max(0, seconds - endFrom)) }"
            :data-held="END"
            :aria-label="`End screen from ${clock(endFrom)}; arrow keys move where it begins`"
            :title="`End screen from ${clock(endFrom)}`"
            data-test="strip-end"
            @click.stop="film.seek(endFrom)"
            @keydown="nudge($event, endFrom, leads.moveEnd)"
          />
        </div>
        <i class="head" :style="{ transform: `translateX(${film.at * scale}px)` }" />
      </div>
    </div>
  </section>
</template>

<style scoped>
.strip {
  flex: none;
  padding: 4px 10px 8px;
}
.tools {
  display: flex;
  align-items: center;
  gap: 6px;
}
.view {
  overflow-x: auto;
  overflow-y: hidden;
}
.lanes {
  position: relative;
  cursor: pointer;
}
.lane {
  position: relative;
  height: 22px;
  overflow: hidden;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
.times {
  height: 15px;
}
.leads {
  height: 30px;
}
.lane > * {
  position: absolute;
  top: 0;
  bottom: 0;
}
.tick {
  font-size: 10px;
  color: var(--muted);
  padding-left: 3px;
  border-left: 1px solid var(--line);
}
.chapter,
.cue {
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  font-size: 11px;
  padding: 2px 4px;
  border-left: 2px solid var(--teal);
}
.cue {
  font-size: 10px;
  padding: 3px 2px;
  border-left: 1px solid var(--muted);
  background: color-mix(in srgb, var(--teal) 10%, transparent);
}
.many {
  left: 0;
  right: 0;
  background: color-mix(in srgb, var(--teal) 14%, transparent);
}
.card {
  width: 22px;
  margin-left: -11px;
  background: none;
}
.card,
.end {
  border: 0;
  padding: 0;
  cursor: ew-resize;
  touch-action: none;
}
.card::before {
  content: '';
  position: absolute;
  left: 4px;
  top: 9px;
  width: 14px;
  height: 14px;
  background: var(--ochre);
  border-radius: 50% 0 50% 50%;
  transform: rotate(-45deg);
}
.card.chosen::before {
  background: var(--teal);
}
.card.wrong::before {
  background: var(--plum);
}
.end {
  background: color-mix(in srgb, var(--plum) 22%, transparent);
  border-left: 4px solid var(--plum);
  min-width: 6px;
}
.head {
  position: absolute;
  top: 0;
  bottom: 0;
  left: 0;
  width: 1px;
  background: var(--ink);
  pointer-events: none;
}
</style>
