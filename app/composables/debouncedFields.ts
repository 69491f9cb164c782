import { useDebounceFn } from '@vueuse/core'
import { reactive, watch } from 'vue'

/** Typed text is passed on this long after the last letter, in milliseconds. */
const REST = 250

export interface Typing<Name extends string> {
  /** What each text comes to where it is told; itself unless given. */
  meant?: (name: Name, text: string) => string
}

/**
 * Texts that are typed here and kept elsewhere, as filters are in the address: told once the typing rests. What was
 * told comes back a moment later; letters typed by then stay. Only what another changed (the back button, a link) takes
 * their place.
 * @param shown the texts as they are kept.
 */
export function useDebouncedFields<Name extends string>(
  shown: () => Record<Name, string>,
  send: (texts: Partial<Record<Name, string>>) => unknown,
  { meant = (_, text) => text }: Typing<Name> = {},
) {
  const first = shown()
  const names = Object.keys(first) as Name[]
  const typed = reactive({ ...first }) as Record<Name, string>
  const waiting = new Set<Name>()
  /** Told and not come back yet, in the order told: one on its way may be overtaken by the next. */
  const sent = Object.fromEntries(names.map(name => [name, []])) as unknown as Record<Name, string[]>

  const rest = useDebounceFn(() => {
    const texts: Partial<Record<Name, string>> = {}
    const saved = shown()
    for (const name of waiting) {
      const text = (texts[name] = meant(name, typed[name]))
      if (text !== (sent[name].at(-1) ?? saved[name])) sent[name].push(text)
    }
    waiting.clear()
    if (Object.keys(texts).length) send(texts)
  }, REST)

  watch(shown, (now, before) => {
    for (const name of names) {
      if (now[name] === before[name]) continue
      const own = sent[name].indexOf(now[name])
      sent[name] = sent[name].slice(own + 1)
      if (own >= 0 || waiting.has(name)) continue
      sent[name] = []
      typed[name] = now[name]
    }
  })

  return {
    typed,
    type(name: Name, text: string | null) {
      typed[name] = text ?? ''
      waiting.add(name)
      void rest()
    },
    /** Puts texts in place of what is typed, told or not, as a button does that clears them. */
    take(texts: Partial<Record<Name, string>>) {
      for (const name of names) {
        const text = texts[name]
        if (text === undefined) continue
        typed[name] = text
        waiting.delete(name)
      }
    },
  }
}
