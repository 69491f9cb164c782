<script setup lang="ts">
import {
  acceptChunk,
  getChunks,
  getOriginalDoc,
  goToNextChunk,
  goToPreviousChunk,
  rejectChunk,
  unifiedMergeView,
} from '@codemirror/merge'
import { EditorState, Prec } from '@codemirror/state'
import { EditorView, keymap } from '@codemirror/view'
import { mdiArrowDown, mdiArrowUp } from '@mdi/js'
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { counted } from '~/composables/figures'

/** A text proposed for a field, in its place: added underlined, removed struck, taken whole or piece by piece. */
const props = defineProps<{ before: string; after: string; label: string; singleLine?: boolean }>()
const emit = defineEmits<{
  /** The field's text with a piece, or all of the proposal, in it. */
  take: [text: string]
  /** The proposal without a piece. */
  leave: [text: string]
  drop: []
}>()
const host = ref<HTMLElement | null>(null)
const pieces = ref(0)
let view: EditorView | null = null

/**
 * Both texts are compared with a line break at their end: a last line with more after it would else count as changed.
 */
const END = '\n'
const withoutEnd = (text: string) => (text.endsWith(END) ? text.slice(0, -END.length) : text)
const shown = (state: EditorState) => ({
  before: withoutEnd(getOriginalDoc(state).toString()),
  after: withoutEnd(state.doc.toString()),
})

/** The pieces' own buttons. The editor takes the mouse down for its own otherwise. */
function control(type: 'accept' | 'reject', action: (event: MouseEvent) => void) {
  const button = document.createElement('button')
  button.type = 'button'
  button.textContent = type === 'accept' ? 'Take' : 'Leave'
  button.className = 'piece'
  button.dataset.test = `proposal-${type}`
  button.addEventListener('mousedown', action)
  // A press of Enter or Space has no mouse.
  button.addEventListener('keydown', event => {
    if (event.key !== 'Enter' && event.key !== ' ') return
    event.preventDefault()
    const at = view!.posAtDOM(button)
    if (type === 'accept') acceptChunk(view!, at)
    else rejectChunk(view!, at)
  })
  return button
}
function state() {
  return EditorState.create({
    doc: props.after + END,
    extensions: [
      unifiedMergeView({
        original: props.before + END,
        gutter: false,
        allowInlineDiffs: true,
        syntaxHighlightDeletions: false,
        mergeControls: control,
      }),
      Prec.highest(
        keymap.of([
          { key: 'Mod-Enter', run: () => (emit('take', props.after), true) },
          { key: 'Enter', run: ({ state: { selection } }) => acceptChunk(view!, selection.main.head) || true },
          { key: 'Delete', run: ({ state: { selection } }) => rejectChunk(view!, selection.main.head) || true },
          { key: 'Escape', run: () => (emit('drop'), true) },
          { key: 'Alt-ArrowDown', run: goToNextChunk },
          { key: 'Alt-ArrowUp', run: goToPreviousChunk },
        ]),
      ),
      EditorView.lineWrapping,
      EditorView.contentAttributes.of({ 'aria-label': props.label, 'aria-readonly': 'true' }),
      // Pieces are taken and left, nothing is typed into a proposal.
      EditorState.changeFilter.of(
        transaction => !transaction.isUserEvent('input') && !transaction.isUserEvent('delete'),
      ),
      cspNonce(),
      EditorView.updateListener.of(update => {
        pieces.value = getChunks(update.state)?.chunks.length ?? 0
        const { before, after } = shown(update.state)
        if (before !== props.before) emit('take', before)
        else if (after !== props.after) emit('leave', after)
      }),
    ],
  })
}
onMounted(() => {
  view = new EditorView({ parent: host.value!, state: state() })
  pieces.value = getChunks(view.state)?.chunks.length ?? 0
})
onBeforeUnmount(() => view?.destroy())
watch(
  () => [props.before, props.after],
  ([before, after]) => {
    if (!view) return
    const now = shown(view.state)
    if (now.before === before && now.after === after) return
    view.setState(state())
    pieces.value = getChunks(view.state)?.chunks.length ?? 0
  },
)
function go(command: typeof goToNextChunk) {
  if (!view) return
  command(view)
  view.focus()
}
</script>

<template>
  <div
    class="proposal"
    :class="{ single: singleLine, one: pieces === 1 }"
    :data-test="`proposed-${label.toLowerCase()}`"
  >
    <div class="bar small">
      <span>Proposed, {{ counted(pieces, 'piece') }}</span>
      <v-btn
        size="x-small"
        :icon="mdiArrowUp"
        aria-label="Piece before"
        title="Piece before (Alt ↑)"
        @click="go(goToPreviousChunk)"
      /><v-btn
        size="x-small"
        :icon="mdiArrowDown"
        aria-label="Next piece"
        title="Next piece (Alt ↓)"
        @click="go(goToNextChunk)"
      />
      <v-spacer />
      <button class="piece" title="Ctrl Enter" data-test="proposed-take" @click="emit('take', after)">
        {{ pieces === 1 ? 'Take' : 'Take all' }}</button><button
        class="piece"
        title="Escape"
        data-test="proposed-drop"
        @click="emit('drop')"
      >
        Discard
      </button>
    </div>
    <div ref="host" class="text" />
  </div>
</template>

<style scoped>
.proposal {
  border: 1px solid var(--teal);
  border-radius: 4px;
  background: var(--surface);
  min-height: 0;
  overflow: hidden;
  display: flex;
  flex-direction: column;
}
.bar {
  display: flex;
  gap: 6px;
  align-items: center;
  padding: 3px 8px;
  border-bottom: 1px solid var(--line);
  background: var(--paper);
}
.text {
  flex: 1;
  min-height: 0;
  display: flex;
}
.text :deep(.cm-editor) {
  flex: 1;
  min-width: 0;
  height: 100%;
  outline: none;
}
.text :deep(.cm-scroller) {
  font-family: var(--sans);
  font-size: 14px;
  line-height: 1.65;
  overflow: auto;
}
.text :deep(.cm-content) {
  padding: 8px 0;
}
.text :deep(.cm-line),
.text :deep(.cm-deletedChunk) {
  padding: 0 12px;
}
.single :deep(.cm-scroller) {
  font-size: 16px;
  font-weight: 600;
}
/* Added is underlined, removed is struck; no colour tells it alone. */
.text :deep(.cm-changedLine),
.text :deep(.cm-inlineChangedLine),
.text :deep(.cm-insertedLine),
.text :deep(.cm-deletedChunk) {
  background: none !important;
}
.text :deep(.cm-changedText) {
  background: none !important;
  text-decoration: underline 2px var(--teal);
  text-underline-offset: 3px;
}
.text :deep(.cm-deletedLine),
.text :deep(.cm-deletedText),
.text :deep(del) {
  background: none !important;
  color: var(--muted);
  text-decoration: line-through;
}
.text :deep(.cm-chunkButtons) {
  position: static;
  float: right;
  padding-left: 8px;
}
/* The bar takes or discards the only piece. */
.one .text :deep(.piece) {
  display: none;
}
.proposal :deep(.piece) {
  border: 1px solid var(--teal);
  color: var(--teal);
  background: var(--surface);
  border-radius: 3px;
  padding: 0 7px;
  margin: 0 0 0 4px;
  font-family: var(--sans);
  font-size: 11.5px;
  font-weight: 400;
  line-height: 20px;
  cursor: pointer;
}
</style>
