import { serviceError, type Services, type SiteProblem, type VideoDraft } from '../../../../server/services/contract'

/** A site that does what it is asked once for each request, and counts what it was asked. */
export function actingSite(owner: string, clock: () => number) {
  const state = {
    uploads: new Map<string, { bytes: number; received: number }>(),
    videos: new Map<string, { draft: VideoDraft; at: number | null }>(),
    playlists: new Map<string, string>(),
    parts: 0,
    /** Parts after which the connection breaks off for good. */
    breaksAfter: Infinity,
    refuses: [] as SiteProblem[],
  }
  const say = <Data>(data: Data) => Promise.resolve({ source: 'site', at: clock(), complete: true, data })
  const uploadOf = (id: string) => ({ id, ...state.uploads.get(id)! })
  const calls = {
    startUpload: (request: string, _: string, { bytes }: { bytes: number }) => {
      if (!state.uploads.has(request)) state.uploads.set(request, { bytes, received: 0 })
      return say({ upload: uploadOf(request), problems: [] })
    },
    sendPart: (id: string, offset: number, bytes: string) => {
      if (state.parts >= state.breaksAfter) return Promise.reject(serviceError('NotAsked', 'The connection broke off.'))
      state.parts++
      const upload = state.uploads.get(id)!
      if (offset === upload.received) upload.received += Buffer.from(bytes, 'base64').length
      return say({ upload: uploadOf(id), problems: [] })
    },
    publish: (request: string, _: string, draft: VideoDraft, at: number | null) => {
      if (state.refuses.length) return say({ id: null, visibleFrom: null, problems: state.refuses })
      if (!state.videos.has(request)) state.videos.set(request, { draft, at })
      return say({ id: `v-${request}`, visibleFrom: clock(), problems: [] })
    },
    savePlaylist: (request: string) => {
      state.playlists.set(request, `p-${request}`)
      return say({ id: `p-${request}`, problems: [] })
    },
    video: (id: string) => {
      const video = state.videos.get(id.slice(2))
      const channel = { id: owner, title: 'Own', subscribers: 1 }
      return say(video ? { id, channel, views: 0, ...video.draft } : null)
    },
    captions: (id: string) => say(state.videos.get(id.slice(2))?.draft.captions ?? null),
    update: (id: string, patch: Partial<VideoDraft>) => {
      if (state.refuses.length) return say({ id: null, visibleFrom: null, problems: state.refuses })
      Object.assign(state.videos.get(id.slice(2))!.draft, patch)
      return say({ id, visibleFrom: clock(), problems: [] })
    },
  }
  return { state, services: { site: calls } as unknown as Services }
}
