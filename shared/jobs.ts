/** How long work stands. */
export interface JobState {
  id: string
  kind: 'assess' | 'evidence' | 'publish' | 'edit' | 'ranks' | 'views'
  /** What it is about, in words. */
  title: string
  /** `interrupted` is work cut off by the end of the program; it can be taken up again. */
  state: 'running' | 'done' | 'stopped' | 'failed' | 'interrupted'
  done: number
  total: number
  startedAt: number
  endedAt: number | null
  problem: string | null
}
