import { setResponseHeader } from 'h3'
import { inZone } from '../../core/release/inZone'
import { route } from '../http/route'
import { workspaceOf } from '../http/workspaceOf'
import { releaseCalendar } from '../release/calendar'

/** The releases of a workspace that have an hour, or of one brief, as an iCalendar file. */
export default route('GET /api/calendar.ics', (event, runtime, { query }) => {
  const { id, name, channelTitle, timeZone } = workspaceOf(runtime, query.workspace)
  const releases = runtime.briefReleases.planned(id).filter(each => !query.brief || each.id === query.brief)
  setResponseHeader(event, 'Content-Type', 'text/calendar; charset=utf-8')
  setResponseHeader(event, 'Content-Disposition', 'attachment; filename="releases.ics"')
  return releaseCalendar(releases, channelTitle ?? name, at => inZone(at, timeZone))
})
