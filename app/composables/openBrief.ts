import { computed, ref, watch, type Ref } from 'vue'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'
import { queryAhead, useAddress } from './address'
import { messageOf } from './api'
import { briefToOpen, firstAnswers, screenReady } from './firstAnswers'

/** Whether the address names a brief that has not come yet: what is typed now would go into the one shown before it. */
export function useBriefComing() {
  const route = useRoute()
  const brief = useBrief()
  return computed(() => !!brief.brief && typeof route.query.brief === 'string' && route.query.brief !== brief.brief.id)
}

/**
 * The brief named by the address (`?brief=`), whose workspace is then at work. Without one, the last open or the newest
 * of the workspace at work takes its place in the address, so that every view can be linked to; one without briefs has
 * none open.
 * @returns whether it has been told once which brief is open, or that none is.
 */
export function useOpenBrief(): Ref<boolean> {
  const route = useRoute()
  const address = useAddress({ ofScreen: false })
  const brief = useBrief()
  const library = useLibrary()
  const notices = useNotices()
  const workspace = useWorkspace()
  const { briefs, workspaces } = firstAnswers()
  const settled = ref(false)
  const named = computed(() => (typeof route.query.brief === 'string' ? route.query.brief : null))

  async function open() {
    if (named.value) {
      try {
        await Promise.all([briefs, brief.load(named.value)])
        if (brief.brief) workspace.choose(brief.brief.workspaceId)
        await screenReady()
        settled.value = true
        return
      } catch (error) {
        notices.show(messageOf(error), { serious: true })
      }
    }
    await Promise.all([briefs, workspaces])
    if (typeof route.query.workspace === 'string') workspace.choose(route.query.workspace)
    const next = briefToOpen()
    // One that is on its way into the address is opened when it is there.
    const ahead = queryAhead().brief
    if (ahead && ahead !== named.value) return
    // With its name in the address it is opened.
    if (next && next !== named.value) return address({ brief: next })
    brief.close()
    settled.value = true
  }
  watch(named, () => void open(), { immediate: true })
  // Where all briefs could not be loaded at first, none is open.
  watch(
    () => library.state,
    now => {
      if (now === 'ready' && settled.value && !named.value && !brief.brief) void open()
    },
  )
  // A screen left before the brief was known may have led to one that names none either.
  watch(
    () => route.path,
    () => {
      if (!named.value) void open()
    },
  )
  return settled
}
