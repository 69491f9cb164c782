<script setup lang="ts">
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands'
import { highlightSelectionMatches, search, searchKeymap } from '@codemirror/search'
import { EditorState, StateEffect, StateField, type Range } from '@codemirror/state'
import { Decoration, EditorView, keymap, placeholder, type DecorationSet } from '@codemirror/view'
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { textEdits } from '../../../core/draft/edits'
import type { Underline } from '../../../core/draft/underlines'
import { useAccess } from '~/stores/access'

const props = defineProps<{
  modelValue: string
  label: string
  singleLine?: boolean
  underlines: Underline[]
  phrases: string[]
  marks: string[]
  hint: string
}>()
const emit = defineEmits<{ 'update:modelValue': [text: string] }>()
const access = useAccess()
const host = ref<HTMLElement | null>(null)
let view: EditorView | null = null

const setUnderlines = StateEffect.define<{ underlines: Underline[]; phrases: string[]; marks: string[] }>()
const underlineField = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(decorations, transaction) {
    let next = decorations.map(transaction.changes)
    for (const effect of transaction.effects) {
      if (!effect.is(setUnderlines)) continue
      const length = transaction.newDoc.length
      const ranges: Range<Decoration>[] = effect.value.underlines
        .filter(each => each.end <= length && each.end > each.start)
        .map(each =>
          Decoration.mark({
            class: each.exact ? 'match-exact' : 'match-close',
            attributes: {
              'data-mark': effect.value.marks[each.phrase] ?? '',
              'title': `${each.exact ? 'exactly' : 'close to'} “${effect.value.phrases[each.phrase] ?? ''}”`,
            },
          }).range(each.start, each.end),
        )
      next = Decoration.set(ranges, true)
    }
    return next
  },
  provide: field => EditorView.decorations.from(field),
})

/** Line breaks in a title become spaces, however they arrive. */
const oneLine = EditorState.transactionFilter.of(transaction => {
  if (!transaction.docChanged || transaction.newDoc.lines === 1) return transaction
  const text = transaction.newDoc
    .toString()
    .split(/[\r\n]+/u)
    .map(line => line.trim())
    .join(' ')
  return {
    changes: { from: 0, to: transaction.startState.doc.length, insert: text },
    selection: { anchor: Math.min(text.length, transaction.newSelection.main.head) },
  }
})

onMounted(() => {
  view = new EditorView({
    parent: host.value!,
    state: EditorState.create({
      doc: props.modelValue,
      extensions: [
        history(),
        keymap.of([
          ...(props.singleLine ? [] : searchKeymap),
          ...defaultKeymap.filter(binding => binding.key !== 'Mod-/'),
          ...historyKeymap,
        ]),
        ...(props.singleLine ? [] : [search({ top: true }), highlightSelectionMatches({ minSelectionLength: 3 })]),
        EditorView.lineWrapping,
        underlineField,
        placeholder(props.hint),
        EditorView.contentAttributes.of({
          'aria-label': props.label,
          'spellcheck': 'true',
          // Text from right to left begins at the right.
          'dir': 'auto',
          'tabindex': '0',
          ...(props.singleLine ? { 'aria-multiline': 'false' } : {}),
        }),
        cspNonce(),
        ...(props.singleLine ? [oneLine] : []),
        ...(access.reads ? [EditorState.readOnly.of(true)] : []),
        EditorView.updateListener.of(update => {
          if (update.docChanged) emit('update:modelValue', update.state.doc.toString())
        }),
      ],
    }),
  })
  draw()
})
onBeforeUnmount(() => view?.destroy())

function draw() {
  view?.dispatch({
    effects: setUnderlines.of({ underlines: props.underlines, phrases: props.phrases, marks: props.marks }),
  })
}
watch(() => [props.underlines, props.phrases, props.marks], draw)
watch(
  () => props.modelValue,
  text => {
    if (!view || text === view.state.doc.toString()) return
    // Only what differs is changed, so that the cursor and the editor's own history stay.
    const edits = textEdits(view.state.doc.toString(), text)
    view.dispatch({ changes: edits.map(({ start, end, insert }) => ({ from: start, to: end, insert })) })
  },
)

/** Puts the cursor on a stretch of the text and brings it into view. */
function show(start: number, end: number) {
  if (!view) return
  const length = view.state.doc.length
  view.dispatch({ selection: { anchor: Math.min(start, length), head: Math.min(end, length) }, scrollIntoView: true })
  view.focus()
}
defineExpose({ show })
</script>

<template>
  <div ref="host" class="text" :class="{ single: singleLine }" />
</template>

<style scoped>
.text {
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--surface);
  min-height: 0;
  overflow: hidden;
  display: flex;
}
.text:focus-within {
  border-color: var(--teal);
  box-shadow: 0 0 0 1px var(--teal);
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
  caret-color: var(--ink);
}
.text :deep(.cm-line) {
  unicode-bidi: plaintext;
  padding: 0 12px;
}
.text :deep(.cm-placeholder) {
  color: var(--muted);
}
/* Three lines; a title pasted by mistake scrolls. */
.single {
  flex: none;
  max-height: 90px;
}
.single :deep(.cm-scroller) {
  font-size: 16px;
  font-weight: 600;
  line-height: 1.5;
}
.text :deep(.cm-panels) {
  background: var(--paper);
  color: var(--ink);
  border-color: var(--line);
  font-size: 12px;
}
.text :deep(.cm-search) :is(input, button, label) {
  font-family: var(--sans);
  font-size: 12px;
}
.text :deep(.cm-search button) {
  background: none;
  border: 1px solid var(--line);
  border-radius: 3px;
  color: var(--ink);
}
.text :deep(.cm-search input[type='text']) {
  background: var(--surface);
  border: 1px solid var(--line);
  color: var(--ink);
}
.text :deep(.cm-cursor) {
  border-left-color: var(--ink);
}
</style>
