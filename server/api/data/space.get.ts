import { route } from '../../http/route'

/** What takes space in the data file. */
export default route('GET /api/data/space', (_event, { fileWork }) => fileWork.space())
