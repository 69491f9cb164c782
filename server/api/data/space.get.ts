import { join } from 'node:path'
import type { SpaceAnswer } from '../../../shared/space'
import { route } from '../../http/route'
import { places } from '../../runtime'
import { measureSpace } from '../../threads/measureSpace'

/** Those who ask together are answered together. */
let underWay: Promise<SpaceAnswer> | null = null

/** What takes space in the data file. */
export default route((): Promise<SpaceAnswer> => {
  const { file, workers } = places()
  return underWay ??= measureSpace(join(workers, 'space.mjs'), file).finally(() => { underWay = null })
})
