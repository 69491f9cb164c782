/** Milliseconds that the pointer or the focus stays on a link before its screen's code is fetched. */
const STAYS = { pointerover: 80, focusin: 300 } as const

/**
 * Fetches a screen's code while somebody is about to follow a link to it. Whoever only passes by a link, with the
 * pointer or from one to the next with Tab, does not wait for code that runs meanwhile.
 */
export default defineNuxtPlugin(() => {
  const router = useRouter()
  let timer: ReturnType<typeof setTimeout> | undefined
  const leave = () => {
    clearTimeout(timer)
  }
  const meet = (event: Event) => {
    leave()
    const link = event.target instanceof Element ? event.target.closest('a') : null
    // Files and other sites are no screens.
    if (!link || link.origin !== location.origin || link.target || link.hasAttribute('download')) return
    timer = setTimeout(
      () => {
        // What cannot be fetched now is fetched, and told, when the link is followed.
        preloadRouteComponents(link.pathname, router).catch(() => undefined)
      },
      STAYS[event.type as keyof typeof STAYS],
    )
  }
  for (const type of Object.keys(STAYS)) document.addEventListener(type, meet, { passive: true })
  for (const type of ['pointerdown', 'keydown', 'focusout']) document.addEventListener(type, leave, { passive: true })
})
