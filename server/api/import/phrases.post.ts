import { createWriteStream } from 'node:fs'
import { rm } from 'node:fs/promises'
import { join } from 'node:path'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { v7 as uuid } from 'uuid'
import { z } from 'zod'
import { LIST_COLUMNS, type ColumnMap, type ListColumn } from '../../../core/formats/phraseList'
import { languageInput, regionInput } from '../../../shared/text'
import { importPhrases } from '../../demand/importPhrases'
import { Problem } from '../../http/problem'
import { queryOf, route } from '../../http/route'

const MAX_FILE = 300 * 1024 * 1024

/** `phrase:0,volume:2`: the meaning and index of columns mapped by hand. */
const columnsInput = z.string().max(200).optional().transform((value, context): ColumnMap | null => {
  if (!value) return null
  const map: ColumnMap = {}
  for (const pair of value.split(',')) {
    const [column, index] = pair.split(':')
    if (!LIST_COLUMNS.includes(column as ListColumn) || !/^\d{1,3}$/u.test(index ?? '')) {
      context.addIssue({ code: 'custom', message: `Map columns as in phrase:0,volume:2. Known are ${LIST_COLUMNS.join(', ')}.` })
      return z.NEVER
    }
    map[column as ListColumn] = Number(index)
  }
  if (map.phrase === undefined) context.addIssue({ code: 'custom', message: 'Say which column holds the phrase.' })
  return map
})

const question = z.object({ region: regionInput, language: languageInput.default('en'), columns: columnsInput, name: z.string().max(120).default('Imported list') })

export default route(async (event, { phrases, listThread, uploads }) => {
  const { region, language, columns, name } = queryOf(event, question)
  const file = join(uploads, `upload-${uuid()}.tmp`)
  let size = 0
  const bounded = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      size += chunk.length
      done(size > MAX_FILE ? new Problem(413, 'too-long', `A list can be ${MAX_FILE / 1024 / 1024} MB at most. Split it.`) : null, chunk)
    },
  })
  try {
    await pipeline(event.node.req, bounded, createWriteStream(file))
    const result = await importPhrases(phrases, listThread, { file, columns, region: region ?? '', language, source: name })
      .catch((error: Error & { code?: string }) => { throw error.code?.startsWith('SQLITE') ? error : new Problem(422, 'unreadable', error.message) })
    if (result.kind === 'imported') return result.answer
    throw new Problem(422, 'unknown-columns', 'No column header names a phrase. Say which column holds what.', { headers: result.headers, sample: result.sample })
  } finally {
    await rm(file, { force: true })
  }
})
