import { route } from '../../http/route'

/** The texts of all briefs that are meant for search, each with the revisions to change it from. */
export default route('GET /api/briefs/texts', (event, { briefs }, { query }) => ({
  briefs: briefs.list(query.workspace).lines.flatMap(({ id }) => {
    const { fields, revisions } = briefs.get(id)!
    if (!fields.forSearch) return []
    const { topic, title, description, tags, tray, language } = fields
    return {
      id,
      topic,
      title,
      description,
      tags,
      language,
      lead: tray.lead ?? '',
      support: tray.support,
      revisions: { title: revisions.title, description: revisions.description, tags: revisions.tags },
    }
  }),
}))
