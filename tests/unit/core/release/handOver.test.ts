import { copiedFields, emptyFields, type BriefFields } from '../../../../core/brief/brief'
import { handedState, handOverSteps } from '../../../../core/release/handOver'
import { EMPTY_SHEET } from '../../../../core/release/sheet'
import { stageOf } from '../../../../core/release/stage'

const inWords = (at: number) => `at ${at}`
const fields = (more: Partial<BriefFields> = {}): BriefFields => ({ ...emptyFields(), ...more })
const steps = (of: BriefFields, playlists: string[] = []) => handOverSteps(of, { playlists, rights: null, inWords })

describe('handing over', () => {
  test('file, texts, answers and hour in the order of use; what is empty is left out', () => {
    const all = steps(
      fields({
        fileName: 'chain.mp4',
        title: 'Clean a chain',
        tags: ['chain', 'Chain ', 'oil'],
        sheet: { ...EMPTY_SHEET, visibility: 'public', premiere: false },
        captions: 'WEBVTT',
        releaseAt: 5,
      }),
      ['Chains', 'Gears'],
    )
    expect(all.map(({ title, text, how }) => [title, text, how])).toEqual([
      ['File name', 'chain.mp4', 'paste'],
      ['Title', 'Clean a chain', 'paste'],
      ['Tags', 'chain, oil', 'paste'],
      ['Playlists', 'Chains\nGears', 'choose'],
      ['Visible to', 'Everybody', 'choose'],
      ['As a premiere', 'No', 'choose'],
      ['Captions', 'WEBVTT', 'file'],
      ['Hour of release', 'at 5', 'choose'],
    ])
    expect(steps(fields())).toEqual([])
  })

  test('an answer that does not apply any more, or to what is not allowed, is not handed on', () => {
    const sheet = {
      ...EMPTY_SHEET,
      visibility: 'unlisted' as const,
      premiere: true,
      monetised: false,
      adverts: 'before' as const,
    }
    expect(steps(fields({ sheet })).map(({ id }) => id)).toEqual(['visibility', 'monetised'])
    const earning = fields({ sheet: { ...sheet, monetised: true } })
    expect(handOverSteps(earning, { playlists: [], rights: [], inWords }).map(({ id }) => id)).toEqual(['visibility'])
  })

  test('a text that changed since it was handed over is seen', () => {
    const before = fields({ title: 'Clean a chain' })
    const [title] = steps(before)
    const handed = { title: { at: 1, digest: title!.digest } }
    expect(handedState(title!, before)).toBe('left')
    expect(handedState(title!, { handed })).toBe('done')
    expect(handedState(steps({ ...before, title: 'Clean the chain' })[0]!, { handed })).toBe('changed')
  })
})

test('a copy has neither hour, ticks, hand-over nor address', () => {
  const { releaseAt, ticked, handed, videoAddress, title } = copiedFields(
    fields({
      title: 'Clean a chain',
      releaseAt: 5,
      ticked: { a: 1 },
      handed: { title: { at: 1, digest: '' } },
      videoAddress: 'https://videos.example/a',
    }),
  )
  expect({ releaseAt, ticked, handed, videoAddress, title }).toEqual({
    releaseAt: null,
    ticked: {},
    handed: {},
    videoAddress: '',
    title: 'Clean a chain',
  })
})

test('the stage follows from what is there', () => {
  const state = (left: number, handedOver = false, published = false) => ({
    left: () => left,
    handedOver: () => handedOver,
    published,
  })
  const settled = fields({ tray: { lead: 'chain', support: [], setAside: [] } })
  const written = { ...settled, title: 'Chain', description: 'A chain.', tags: ['chain'] }
  expect(stageOf(fields(), state(5))).toBe('collecting')
  expect(stageOf(settled, state(5))).toBe('settled')
  expect(stageOf(written, state(5))).toBe('written')
  expect(stageOf({ ...written, description: 'A chain of […].' }, state(0))).toBe('settled')
  expect(stageOf(written, state(0))).toBe('ready')
  expect(stageOf(written, state(0, true))).toBe('handed over')
  expect(stageOf(settled, state(0, true))).toBe('settled')
  expect(stageOf({ ...written, videoAddress: 'https://videos.example/a' }, state(5))).toBe('out')
  expect(stageOf(settled, state(5, false, true))).toBe('out')
})
