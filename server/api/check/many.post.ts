import { setResponseHeader } from 'h3'
import { rm } from 'node:fs/promises'
import { join } from 'node:path'
import { PassThrough } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { v7 as uuid } from 'uuid'
import { checkMany } from '../../desk/checkMany'
import { readToFile } from '../../http/body'
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
  setResponseHeader(event, 'Content-Type', 'application/x-ndjson; charset=utf-8')
  const lines = async function* () {
    for await (const answer of checkMany(runtime, file, set, profile, query.language))
      yield `${JSON.stringify(answer)}\n`
  }
  const sent = new PassThrough()
  void pipeline(lines(), sent)
    .catch((error: NodeJS.ErrnoException) => {
      if (error.code !== 'ERR_STREAM_PREMATURE_CLOSE') console.error('Scoring many texts was broken off:', error)
    })
    .finally(forget)
  return sent
})
