import { statSync } from 'node:fs'
import { basename } from 'node:path'
import { pictureFolder, pictureStore } from '../../data/pictures'
import { listBackups } from '../../data/backups'
import { closedRoute } from '../../http/route'
import { places } from '../../folders'
import { useRuntime } from '../../runtime'

/** The data file and its backups; also while the file cannot be opened. */
export default closedRoute('GET /api/data', () => {
  const { file } = places()
  let problem: string | null
  try {
    problem = useRuntime().backups.problem()
  } catch (error) {
    problem = (error as Error).message
  }
  const bytes = ['', '-wal'].reduce(
    (sum, ending) => sum + (statSync(file + ending, { throwIfNoEntry: false })?.size ?? 0),
    0,
  )
  return {
    file: basename(file),
    bytes,
    backups: listBackups(file),
    pictures: pictureStore(pictureFolder(file)).space(),
    problem,
  }
})
