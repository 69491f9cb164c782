import { computed, watch } from 'vue'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useNotices } from '~/stores/notices'
import { messageOf } from './api'

/**
 * The brief named by the address (`?brief=`). Without one, the last open or the newest takes its
 * place in the address, so that every view can be linked to.
 */
export function useOpenBrief() {
  const route = useRoute()
  const router = useRouter()
  const brief = useBrief()
  const library = useLibrary()
  const notices = useNotices()
  const named = computed(() => typeof route.query.brief === 'string' ? route.query.brief : null)

  async function open() {
    if (library.state === 'new') await library.refresh()
    const known = (id: string | null) => id !== null && library.briefs.some(each => each.id === id)
    if (named.value) {
      try {
        await brief.load(named.value)
        return
      } catch (error) {
        notices.tell(messageOf(error), { serious: true })
      }
    }
    const last = localStorage.getItem('fonetra.brief')
    const next = known(last) ? last : library.briefs[0]?.id ?? null
    if (next) await router.replace({ query: { ...route.query, brief: next } })
    else brief.close()
  }
  watch(named, () => void open(), { immediate: true })
}
