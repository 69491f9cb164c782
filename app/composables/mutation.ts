import { ref } from 'vue'
import { messageOf } from '~/composables/api'
import { useNotices } from '~/stores/notices'

/** For saved data: makes the change, reloads what is shown, and reports what failed. */
export function useMutation(refresh: () => Promise<void> = () => Promise.resolve()) {
  const notices = useNotices()
  return async (work: () => Promise<unknown>): Promise<void> => {
    try {
      await work()
      await refresh()
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    }
  }
}

/** The same for buttons that wait until it is done. */
export function useBusyMutation() {
  const busy = ref(false)
  const mutate = useMutation()
  async function act(work: () => Promise<unknown>): Promise<void> {
    busy.value = true
    await mutate(work)
    busy.value = false
  }
  return { busy, act }
}
