import { rm } from 'node:fs/promises'
import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import { checkMany } from '../../desk/checkMany'
import { readToFile } from '../../http/body'
import { ndjson } from '../../http/ndjson'
import { route } from '../../http/route'
import { profileOf, ruleSetOf } from '../../http/scoring'

/** Some ten thousand full texts. */
const MOST = 100 * 1024 * 1024

/** Scores many texts, a line each: NDJSON in, NDJSON out in the same order. */
export default route('POST /api/check/many', async (event, runtime, { query }) => {
  const [set, profile] = [ruleSetOf(runtime, query.ruleSet), profileOf(runtime, query.profile)]
  const file = join(runtime.uploads, `upload-${uuid()}.tmp`)
  const forget = () => rm(file, { force: true })
  try {
    await readToFile(event, MOST, file)
  } catch (error) {
    await forget()
    throw error
  }
  return ndjson(event, 'Scoring many texts', () => checkMany(runtime, file, set, profile, query.language), forget)
})
