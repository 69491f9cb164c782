import { createPinia, setActivePinia } from 'pinia'
import { BRIEF_FIELDS, emptyFields, type BriefField } from '../../../core/brief/brief'
import type { Brief } from '../../../shared/brief'
import { useBrief } from '../../../app/stores/brief'
import { useChanges } from '../../../app/stores/changes'
import { useNotices } from '../../../app/stores/notices'

type Answer = { status: number; body: unknown }
interface Patch {
  editId: string
  fields: Partial<Record<BriefField, { revision: number; value: unknown }>>
}

/** A server of briefs as far as the store asks for it: revisions a field, conflicts, edits told apart by their ids. */
function fakeServer(...topics: string[]) {
  const briefs = new Map(
    topics.map((topic, i): [string, Brief] => [
      `b${i}`,
      {
        id: `b${i}`,
        workspaceId: 'w',
        seriesId: null,
        seriesPlace: null,
        createdAt: 1,
        updatedAt: 1,
        deletedAt: null,
        fields: { ...emptyFields(), topic },
        revisions: Object.fromEntries(BRIEF_FIELDS.map(field => [field, 0])) as Brief['revisions'],
      },
    ]),
  )
  const patches: Patch[] = []
  /** The briefs that were asked for. */
  const asked: string[] = []
  const seen = new Map<string, Answer>()
  /** What answers instead, once each; `lost` answers nothing although the edit was taken. */
  const instead: ('refused' | 'lost' | 'gone')[] = []
  function patch(brief: Brief, given: Patch): Answer {
    const known = seen.get(given.editId)
    if (known) return known
    const conflicts = Object.fromEntries(
      Object.entries(given.fields)
        .filter(([field, change]) => change.revision !== brief.revisions[field as BriefField])
        .map(([field, change]) => [
          field,
          {
            revision: brief.revisions[field as BriefField],
            theirs: brief.fields[field as BriefField],
            yours: change.value,
            savedAt: 5,
          },
        ]),
    )
    if (Object.keys(conflicts).length)
      return {
        status: 409,
        body: { error: { code: 'conflict', message: 'Changed in another window.', details: { conflicts } } },
      }
    const revisions: Partial<Record<BriefField, number>> = {}
    for (const [field, change] of Object.entries(given.fields) as [BriefField, { value: unknown }][]) {
      Object.assign(brief.fields, { [field]: change.value })
      revisions[field] = ++brief.revisions[field]
    }
    const answer = { status: 200, body: { savedAt: 9, revisions } }
    seen.set(given.editId, answer)
    return answer
  }
  async function answerTo(path: string, method: string, body: string | undefined): Promise<Answer> {
    await Promise.resolve()
    const id = /^\/api\/briefs\/(\w+)/u.exec(path)?.[1] ?? ''
    if (method === 'GET') asked.push(id)
    const brief = briefs.get(id)
    if (!brief)
      return {
        status: 404,
        body: { error: { code: 'no-such-brief', message: 'This brief no longer exists.', details: null } },
      }
    if (method !== 'PATCH') return { status: 200, body: structuredClone(brief) }
    const given = JSON.parse(body!) as Patch
    patches.push(given)
    const next = instead.shift()
    if (next === 'refused') throw new TypeError('connection refused')
    if (next === 'gone')
      return {
        status: 404,
        body: { error: { code: 'no-such-brief', message: 'This brief no longer exists.', details: null } },
      }
    const answer = patch(brief, given)
    if (next === 'lost') throw new TypeError('connection reset')
    return answer
  }
  globalThis.fetch = (async (input: string, { method = 'GET', body }: { method?: string; body?: string } = {}) => {
    const { status, body: told } = await answerTo(input, method, body)
    return new Response(JSON.stringify(told), { status })
  }) as unknown as typeof fetch
  return { briefs, patches, asked, instead, of: (id: string) => briefs.get(id)! }
}

/** The browser's storage, as far as it is asked for. */
function fakeStorage(): Record<string, string> {
  const kept: Record<string, string> = {}
  const methods = {
    getItem: (key: string) => kept[key] ?? null,
    setItem: (key: string, value: string) => {
      kept[key] = value
    },
    removeItem: (key: string) => {
      delete kept[key]
    },
  }
  const target = new Proxy(methods, {
    ownKeys: () => Object.keys(kept),
    getOwnPropertyDescriptor: (_, key) =>
      key in kept ? { enumerable: true, configurable: true, value: kept[key as string] } : undefined,
  })
  Object.defineProperty(globalThis, 'localStorage', { value: target, configurable: true })
  // Without locks, as under a plain address of a network.
  Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true })
  return kept
}

let kept: Record<string, string>
beforeEach(() => {
  jest.useFakeTimers()
  kept = fakeStorage()
})
afterEach(() => {
  jest.useRealTimers()
})

/** A window of its own: its stores share nothing with another's but the server and the storage. */
async function windowOn(id: string) {
  setActivePinia(createPinia())
  const [brief, changes, notices] = [useBrief(), useChanges(), useNotices()]
  await brief.load(id)
  return { brief, changes, notices }
}
const pause = () => jest.advanceTimersByTimeAsync(600)

describe('opening', () => {
  test('asked for again while it is on its way, it is asked for once', async () => {
    const server = fakeServer('One', 'Two')
    setActivePinia(createPinia())
    const brief = useBrief()
    await Promise.all([brief.load('b0'), brief.load('b0')])
    expect([brief.brief?.id, server.asked]).toEqual(['b0', ['b0']])
    await Promise.all([brief.load('b1'), brief.load('b0'), brief.load('b1')])
    expect(brief.brief?.id).toBe('b1')
  })

  test('one that is gone is told to everybody who asked, and asked for anew', async () => {
    const server = fakeServer('One')
    setActivePinia(createPinia())
    const brief = useBrief()
    const told = await Promise.allSettled([brief.load('b9'), brief.load('b9')])
    expect(told.map(each => each.status)).toEqual(['rejected', 'rejected'])
    await expect(brief.load('b9')).rejects.toThrow('no longer exists')
    expect(server.asked).toEqual(['b9', 'b9'])
  })
})

describe('saving', () => {
  test('what is typed is sent once the typing rests, as one edit against the revision it was made from', async () => {
    const server = fakeServer('One')
    const { brief } = await windowOn('b0')
    for (const text of ['T', 'Ti', 'Title']) brief.set('title', text)
    expect(brief.status).toBe('waiting')
    expect(server.patches).toEqual([])
    await pause()
    expect(server.patches).toMatchObject([{ fields: { title: { revision: 0, value: 'Title' } } }])
    expect([brief.status, brief.savedAt, server.of('b0').fields.title]).toEqual(['saved', 9, 'Title'])
    expect(kept).not.toHaveProperty(Object.keys(kept).find(key => key.startsWith('fonetra.unsaved')) ?? 'none')
  })

  test('while typing goes on it is sent all the same, at the latest after two and a half seconds', async () => {
    const server = fakeServer('One')
    const { brief } = await windowOn('b0')
    for (let i = 0; i < 20; i++) {
      brief.set('title', 'x'.repeat(i + 1))
      await jest.advanceTimersByTimeAsync(200)
    }
    expect(server.patches.length).toBeGreaterThanOrEqual(1)
  })

  test.each(['refused', 'lost'] as const)(
    'an edit that was %s is sent again with its own id, and saved once',
    async how => {
      const server = fakeServer('One')
      server.instead.push(how)
      const { brief } = await windowOn('b0')
      brief.set('title', 'Title')
      await pause()
      expect(brief.status).toBe('problem')
      await jest.advanceTimersByTimeAsync(1500)
      expect(brief.status).toBe('saved')
      expect(new Set(server.patches.map(each => each.editId)).size).toBe(1)
      expect(server.of('b0').revisions.title).toBe(1)
    },
  )

  test('a brief that is gone is told, and not asked for again and again', async () => {
    const server = fakeServer('One')
    server.instead.push('gone', 'gone', 'gone')
    const { brief } = await windowOn('b0')
    brief.set('title', 'Title')
    await pause()
    await jest.advanceTimersByTimeAsync(20_000)
    expect(brief.problem).toContain('no longer exists')
    expect(server.patches).toHaveLength(1)
  })

  test('unsaved text of a window that is gone is taken up by the next', async () => {
    const server = fakeServer('One')
    server.instead.push('refused')
    const first = await windowOn('b0')
    first.brief.set('title', 'Nearly lost')
    await pause()
    // The window is gone: its timers with it.
    jest.clearAllTimers()
    const second = await windowOn('b0')
    expect(second.brief.fields?.title).toBe('Nearly lost')
    await pause()
    expect(server.of('b0').fields.title).toBe('Nearly lost')
  })
})

describe('two windows', () => {
  test('different fields go together; the same one is a conflict that overwrites nothing until one says which', async () => {
    const server = fakeServer('One')
    const mine = await windowOn('b0')
    const theirs = await windowOn('b0')
    theirs.brief.set('title', 'Theirs')
    theirs.brief.set('description', 'Also theirs')
    await pause()
    mine.brief.set('title', 'Mine')
    mine.brief.set('fileName', 'mine.mp4')
    await pause()
    expect(mine.brief.conflicts).toMatchObject({ title: { theirs: 'Theirs', revision: 1 } })
    expect(server.of('b0').fields).toMatchObject({ title: 'Theirs', fileName: '' })
    mine.brief.settle('title', 'mine')
    await pause()
    expect(server.of('b0').fields).toMatchObject({ title: 'Mine', description: 'Also theirs', fileName: 'mine.mp4' })
    expect(mine.brief.conflicts).toBeNull()
  })

  test('fields nobody types in follow what the other window saved', async () => {
    fakeServer('One')
    const mine = await windowOn('b0')
    const theirs = await windowOn('b0')
    theirs.brief.set('title', 'Theirs')
    await pause()
    mine.brief.set('description', 'Being typed')
    mine.changes.changed('briefs', ['b0'])
    await jest.advanceTimersByTimeAsync(0)
    expect(mine.brief.fields).toMatchObject({ title: 'Theirs', description: 'Being typed' })
  })
})

describe('a change with a way back', () => {
  test('an edit is applied where it was worked out for, and undone in its own brief', async () => {
    const server = fakeServer('One', 'Two')
    const { brief, notices } = await windowOn('b0')
    brief.set('title', 'a wheel')
    await pause()
    brief.edit('Done.', { label: 'Lead', field: 'title', edits: [{ start: 0, end: 0, insert: 'True ' }] }, 'a wheel')
    expect(brief.fields?.title).toBe('True a wheel')
    await pause()
    await brief.load('b1')
    await notices.undo()
    expect(server.of('b0').fields.title).toBe('a wheel')
    expect(server.of('b1').fields.title).toBe('')
  })

  test('one that was worked out for another text changes nothing, and says so', async () => {
    fakeServer('One')
    const { brief, notices } = await windowOn('b0')
    brief.set('title', 'something new')
    brief.edit('Done.', { label: 'Lead', field: 'title', edits: [{ start: 0, end: 9, insert: '' }] }, 'a wheel')
    expect(brief.fields?.title).toBe('something new')
    expect(notices.current?.text).toContain('has changed since')
  })

  test('an undo leaves what was typed since', async () => {
    fakeServer('One')
    const { brief, notices } = await windowOn('b0')
    brief.change('Done.', 'tags', ['one', 'two'])
    brief.set('tags', ['one', 'two', 'three'])
    await notices.undo()
    expect(brief.fields?.tags).toEqual(['one', 'two', 'three'])
    expect(notices.current?.text).toContain('changed since')
  })
})
