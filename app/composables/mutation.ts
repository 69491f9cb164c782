import { messageOf } from '~/composables/api'
import { useNotices } from '~/stores/notices'

/** For what changes something kept: does it, reads anew what is shown, and tells what failed. */
export function useMutation(refresh: () => Promise<void> = () => Promise.resolve()) {
  const notices = useNotices()
  return async (work: () => Promise<unknown>): Promise<void> => {
    try {
      await work()
      await refresh()
    } catch (error) {
      notices.tell(messageOf(error), { serious: true })
    }
  }
}
