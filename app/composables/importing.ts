import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import type { AnswerOf, CallName, QueryOf } from '../../shared/api'
import type { ImportLine, ImportProgress } from '../../shared/imports'
import { apiResponse, ApiProblem, readLines, type ApiOptions } from '~/composables/api'

/** The imports: their body is a file. */
type ImportName = CallName & (`POST /api/import/${string}` | 'POST /api/data/archive')

const LOST =
  'The connection was lost during the import. The rows read so far are saved. Import the file again to add the rest.'
/** Before so much is done the pace says nothing. */
const TELLING = 0.02

/**
 * Imports of files, one at a time: how far the one at work is, about how long it still takes, and the way to stop it.
 */
export function useImporting() {
  const progress = shallowRef<ImportProgress | null>(null)
  const left = ref<number | null>(null)
  let mine: AbortController | null = null

  /**
   * Sends a file to an import.
   * @param lost what is said when the connection breaks off.
   * @returns its answer, or `null` when it was stopped: what was kept by then stays.
   * @throws ApiProblem
   */
  async function send<Name extends ImportName>(
    name: Name,
    file: File,
    query: QueryOf<Name>,
    lost = LOST,
  ): Promise<AnswerOf<Name> | null> {
    const own = (mine = new AbortController())
    progress.value = { part: null, said: 'Reading the file …' }
    left.value = null
    const startedAt = Date.now()
    try {
      const sent = { file, query, signal: own.signal, accept: 'application/x-ndjson' }
      const response = await apiResponse<ImportName>(name, sent as ApiOptions<ImportName>)
      for await (const line of readLines<ImportLine<AnswerOf<Name>>>(response)) {
        if ('answer' in line) return line.answer
        if ('error' in line) throw new ApiProblem(line.status, line.error.code, line.error.message, line.error.details)
        progress.value = line
        left.value =
          line.part !== null && line.part > TELLING
            ? Math.round((((Date.now() - startedAt) / line.part) * (1 - line.part)) / 1000)
            : null
      }
      throw new ApiProblem(0, 'unreachable', lost, null)
    } catch (error) {
      if (own.signal.aborted) return null
      throw error
    } finally {
      progress.value = null
    }
  }

  const stop = () => mine?.abort()
  onBeforeUnmount(stop)
  return { progress, left, busy: computed(() => progress.value !== null), send, stop }
}
