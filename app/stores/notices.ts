import { defineStore } from 'pinia'
import { ref } from 'vue'
import { messageOf } from '~/composables/api'

export interface Notice {
  id: number
  text: string
  /** The way back. It throws why there is none any more. */
  undo?: () => void | Promise<void>
  /** What the way back is called; “Undo” unless given. */
  undoLabel?: string
  serious?: boolean
  /** What most people do next. */
  next?: { label: string; to: () => unknown }
}

/** What was just done or went wrong, said once, with a way back where there is one. */
export const useNotices = defineStore('notices', () => {
  const current = ref<Notice | null>(null)
  const spoken = ref('')
  let next = 1

  function show(text: string, more: Pick<Notice, 'undo' | 'undoLabel' | 'serious' | 'next'> = {}) {
    current.value = { id: next++, text, ...more }
    spoken.value = text
  }

  return {
    current,
    /** For screen readers: the last thing said. */
    spoken,
    show,
    /** Says something to screen readers alone. */
    say: (text: string) => {
      spoken.value = text
    },
    clear: () => {
      current.value = null
    },
    goNext() {
      const notice = current.value
      current.value = null
      void notice?.next?.to()
    },
    async undo() {
      const notice = current.value
      current.value = null
      if (!notice?.undo) return
      try {
        await notice.undo()
        spoken.value = 'Undone.'
      } catch (error) {
        show(messageOf(error), { serious: true })
      }
    },
  }
})
