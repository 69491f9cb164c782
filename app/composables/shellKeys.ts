import { onBeforeUnmount, onMounted } from 'vue'
import { useNotices } from '~/stores/notices'

/** Keys that work on every screen, as the list of keys shows them. */
export const SHELL_KEYS = [
  { keys: 'Ctrl + K', does: 'Find anything: a brief, a video, a phrase, a list, a screen' },
  { keys: 'g then 0 … 6', does: 'Go to What next, Demand, Rivals, Desk, Release, Ranks, Library' },
  { keys: '/', does: 'To the seed box, or to the title on the Desk' },
  { keys: 'n', does: 'New brief' },
  { keys: 't', does: 'Show or hide the tray' },
  { keys: 'Ctrl + Z', does: 'Undo the last step (in a text: the last edit)' },
  { keys: 'Alt + ↑ ↓', does: 'Move a phrase of the tray' },
  { keys: '↑ ↓ in the table', does: 'From row to row; also Page Up and Down, Home, End' },
  { keys: 'Space, Shift + click', does: 'Select a row, or all up to it' },
  { keys: 'Tab, Enter in a row', does: 'Its seed, its working or its sheet' },
  {
    keys: '1 … 7',
    does: 'The views of Demand, Rivals and Ranks, the parts of the Desk and of Release, in their order',
  },
  { keys: 'j, k, e, x', does: 'Under Ranks, To mend: next video, the one before, to the Desk, put off' },
  { keys: 'c', does: 'When handing over: copy the next text and tick it' },
  { keys: 'Esc', does: 'Close a dialog, then the sheet' },
  { keys: '?', does: 'This list' },
]

interface ViewActions {
  views: (() => unknown)[]
  escape?: () => unknown
}
/** What the screen that is shown does with its own keys. */
let screen: ViewActions | null = null

/** Gives a screen keys of its own: a digit a view, Escape to close what stands beside. */
export function useViewKeys(actions: ViewActions) {
  onMounted(() => {
    screen = actions
  })
  onBeforeUnmount(() => {
    if (screen === actions) screen = null
  })
}

interface ShellActions {
  areas: (() => unknown)[]
  keys: () => void
  tray: () => void
  create: () => void
  find: () => void
}

/** Whether keys are a text that is typed. */
export const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  !(target instanceof HTMLInputElement && /^(?:checkbox|radio|button)$/u.test(target.type)) &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/u.test(target.tagName))

/** What a dialog covers does not answer. */
const isCovered = () => document.querySelector('.v-dialog.v-overlay--active, .v-menu.v-overlay--active') !== null

/** Listens for the keys of the shell; none but the one to find works while something is typed. */
export function useShellKeys(actions: ShellActions) {
  const notices = useNotices()
  let going = 0
  function onKey(event: KeyboardEvent) {
    if (event.defaultPrevented) return
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
      event.preventDefault()
      return void (isCovered() || actions.find())
    }
    if (typing(event.target)) return
    if ((event.ctrlKey || event.metaKey) && event.key === 'z' && notices.current?.undo) {
      event.preventDefault()
      return void notices.undo()
    }
    if (event.ctrlKey || event.metaKey || event.altKey || isCovered()) return
    if (going > Date.now() - 1500 && /^[0-6]$/u.test(event.key)) actions.areas[Number(event.key)]?.()
    else if (/^[1-9]$/u.test(event.key) && screen?.views[Number(event.key) - 1]) screen.views[Number(event.key) - 1]!()
    else if (event.key === 'Escape' && screen?.escape) screen.escape()
    else if (event.key === '?') actions.keys()
    else if (event.key === 't') actions.tray()
    else if (event.key === 'n') actions.create()
    else if (event.key === '/')
      document
        .querySelector<HTMLElement>(
          '[data-first-field] input:not([type=hidden]), [data-first-field] [contenteditable=true]',
        )
        ?.focus()
    else {
      going = event.key === 'g' ? Date.now() : 0
      return
    }
    going = 0
    event.preventDefault()
  }
  onMounted(() => window.addEventListener('keydown', onKey))
  onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
}
