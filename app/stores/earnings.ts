import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { EarnedKind } from '../../core/formats/earnedColumns'
import { counted } from '../../core/text/inWords'
import type { EarnedAnswer, ToldLine } from '../../shared/earned'
import { api } from '~/composables/api'
import { latestAnswer } from '~/composables/latestAnswer'
import { useMutation } from '~/composables/mutation'
import { useChanges } from './changes'
import { useNotices } from './notices'
import { useWorkspace } from './workspace'

/** What phrases brought beside views: clicks, calls, coupons and orders. */
export const useEarnings = defineStore('earnings', () => {
  const workspace = useWorkspace()
  const notices = useNotices()
  const { revisions } = useChanges()
  const kind = ref<EarnedKind | null>(null)
  /** `yyyy-mm-dd`; '' for all that is told. */
  const from = ref('')
  const to = ref('')
  const { follow: watched, ...kept } = latestAnswer(() =>
    api('GET /api/earned', {
      query: {
        workspace: workspace.id,
        kind: kind.value ?? undefined,
        from: from.value || undefined,
        to: to.value || undefined,
      },
    }),
  )
  const changed = useMutation(() => kept.load())
  const put = ({ value, ...line }: ToldLine) =>
    api('POST /api/earned', { body: { ...line, value, workspace: workspace.id } })
  const drop = ({ videoId, day, kind: of, link }: ToldLine) =>
    api('DELETE /api/earned', { query: { videoId, day, kind: of, link, workspace: workspace.id } })
  return {
    ...kept,
    kind,
    from,
    to,
    /** Shows it for the workspace, from now on. @returns how to stop. */
    follow: () => watched([() => workspace.id, kind, from, to], [() => revisions.ranks]),
    /** Tells what a video brought on a day; it replaces what was told of that day. @returns whether it is saved. */
    tell: async (line: ToldLine): Promise<boolean> => {
      let saved = false
      await changed(async () => {
        const { before } = await put(line)
        saved = true
        notices.show(before ? 'Saved. It replaces what was entered for this day.' : 'Saved.', {
          undo: async () => {
            await (before ? put(before) : drop(line))
            await kept.load()
          },
        })
      })
      return saved
    },
    remove: (line: ToldLine) =>
      changed(async () => {
        await drop(line)
        notices.show(`Removed: ${counted(line.count, line.kind)} of this day.`, {
          undo: async () => {
            await put(line)
            await kept.load()
          },
        })
      }),
    /** Sets the currency, or what one of each kind is worth; a kind that is left out is worth what was told. */
    setWorth: (change: { currency?: string; each?: EarnedAnswer['set'] }) =>
      changed(async () => {
        const { currency, set } = kept.answer.value!
        const body = { earnings: { currency, each: set, ...change } }
        await api('PUT /api/workspaces/:id/settings', { params: { id: workspace.id! }, body })
      }),
  }
})
