import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { nextAt, weekHour } from '../../core/release/audience'
import { processingTime } from '../../core/release/processing'
import { localHour } from '../../core/release/inZone'
import { waiting } from '../../core/release/waiting'
import type { AudienceAnswer } from '../../shared/release'
import type { PhraseSheet } from '../../shared/phrases'
import type { ChannelVideo, RivalRow } from '../../shared/rivals'
import { api, ApiProblem, messageOf } from '~/composables/api'
import { now } from '~/composables/clock'
import { useBrief } from './brief'
import { useChanges } from './changes'
import { useNotices } from './notices'
import { useWorkspace } from './workspace'

/** What speaks for an hour of release: when viewers are there, when others released, and the season of the lead. */
export const useWhen = defineStore('when', () => {
  const brief = useBrief()
  const workspace = useWorkspace()
  const changes = useChanges()
  const notices = useNotices()
  const audience = shallowRef<AudienceAnswer | null>(null)
  const sheet = shallowRef<PhraseSheet | null>(null)
  const rivals = shallowRef<RivalRow[] | null>(null)
  const own = shallowRef<ChannelVideo[] | null>(null)
  const problem = ref('')
  const asking = ref(false)
  const lead = computed(() => brief.fields?.tray.lead ?? '')
  const zone = computed(() => audience.value?.timeZone ?? workspace.current?.timeZone ?? 'UTC')

  /** What is kept; `null` where nothing is. */
  async function kept<Answer>(ask: () => Promise<Answer>): Promise<Answer | null> {
    try {
      return await ask()
    } catch (error) {
      if (error instanceof ApiProblem && error.status === 404) return null
      throw error
    }
  }

  async function load() {
    const of = brief.brief?.id
    const home = workspace.current
    if (!of || !home) return
    const query = {
      phrase: lead.value,
      region: brief.fields!.region,
      language: brief.fields!.language,
      workspace: home.id,
    }
    const { channelId } = home
    try {
      const [hours, phrase, page, channel] = await Promise.all([
        api('GET /api/audience', { query: { workspace: home.id } }),
        query.phrase ? kept(() => api('GET /api/phrases/sheet', { query })) : null,
        query.phrase ? kept(() => api('GET /api/results', { query })) : null,
        channelId
          ? kept(() => api('GET /api/channels/:id', { params: { id: channelId }, query: { workspace: home.id } }))
          : null,
      ])
      if (brief.brief?.id !== of) return
      audience.value = hours
      sheet.value = phrase
      rivals.value = page?.rows ?? null
      own.value = channel?.rows ?? null
      problem.value = ''
    } catch (error) {
      if (brief.brief?.id === of) problem.value = messageOf(error)
    }
  }
  /** Looked at anew while a screen shows it. */
  function useWhileShown() {
    watch(
      [() => brief.brief?.id, lead, () => workspace.current?.timeZone, () => changes.revisions.workspaces],
      () => void load(),
      { immediate: true },
    )
  }

  /** Runs what changes the audience's hours. */
  async function attempt(work: (query: { workspace?: string }) => Promise<AudienceAnswer>) {
    asking.value = true
    try {
      audience.value = await work({ workspace: workspace.id })
      return true
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
      return false
    } finally {
      asking.value = false
    }
  }

  const hoursOf = (list: readonly { publishedAt: number | null }[] | null) => {
    const counts = new Map<number, number>()
    for (const { publishedAt } of list ?? []) {
      if (publishedAt === null) continue
      const hour = weekHour(publishedAt, zone.value)
      counts.set(hour, (counts.get(hour) ?? 0) + 1)
    }
    return counts
  }

  return {
    audience,
    problem,
    asking,
    zone,
    lead,
    load,
    useWhileShown,
    askAnew: () => attempt(query => api('POST /api/audience', { query: { ...query, anew: '1' } })),
    async readIn(file: File) {
      if (await attempt(query => api('POST /api/import/audience', { query, file })))
        notices.show('Your table is used from now on.', { undo: async () => void (await forget()) })
    },
    forget,
    /** How many of my videos, and of those on the lead's page, came out in each hour of the week. */
    ownHours: computed(() => hoursOf(own.value)),
    rivalHours: computed(() => hoursOf(rivals.value)),
    /** What the lead's season says of releasing now; `null` where that is not known. */
    season: computed(() => {
      if (!sheet.value) return null
      const month = Number(localHour(now(), zone.value).date.slice(5, 7)) - 1
      return waiting(sheet.value, month)
    }),
    /** The next time an hour of the week comes for which the site has time enough. */
    nextTime: (hour: number): number => nextAt(hour, zone.value, now() + processingTime(brief.fields!)),
  }

  function forget() {
    return attempt(query => api('DELETE /api/audience', { query }))
  }
})
