import type { SpaceAnswer } from '../../../shared/space'
import { route } from '../../http/route'

/** What takes space in the data file. */
export default route((_event, { fileWork }): Promise<SpaceAnswer> => fileWork.space())
