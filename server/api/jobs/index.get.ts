import { route } from '../../http/route'

/** The newest long work, whoever began it: what a window shows that was opened later. */
export default route('GET /api/jobs', (_event, { jobs }) => ({ jobs: jobs.list() }))
