import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import { EMPTY_SHEET } from '../../../../core/release/sheet'
import { FIRST_CHECKLIST } from '../../../../core/release/checklist'
import { CHANNEL_RIGHTS } from '../../../../core/release/rights'
import { DAY } from '../../../../core/time'
import { accountStore } from '../../../../server/data/accountChannels'
import { askedStore } from '../../../../server/data/asked'
import { briefReleaseStore } from '../../../../server/data/briefReleases'
import { briefStore } from '../../../../server/data/briefs'
import { publicationStore } from '../../../../server/data/publications'
import { phraseStore } from '../../../../server/data/phrases'
import { pictureStore } from '../../../../server/data/pictures'
import { briefItemStore } from '../../../../server/data/briefItems'
import { resultStore } from '../../../../server/data/results'
import { videoStore } from '../../../../server/data/videos'
import { workspaceItemStore } from '../../../../server/data/workspaceItems'
import { workspaceStore } from '../../../../server/data/workspaces'
import { lookAtAccount } from '../../../../server/release/account'
import { readinessAnswer } from '../../../../server/release/readiness'
import { serviceError, type OwnedChannel, type Services } from '../../../../server/services/contract'
import { pageOf, siteVideo } from '../pages'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const UNASKED = { channel: null, told: false, problem: null }
const OWN: OwnedChannel = {
  id: 'ch-own',
  title: 'Own',
  authorised: true,
  rights: ['publish', 'update'],
  limits: { uploadsLeft: 3, bytes: 1e9, seconds: 900 },
}

/** A site whose account has these channels, and counts how often it was asked. */
function site(channels: () => OwnedChannel[]) {
  const asked = { times: 0 }
  const account = () => {
    asked.times++
    return Promise.resolve({ source: 'site', at: clock(), complete: true, data: { channels: channels() } })
  }
  return { asked, services: { site: { account } } as unknown as Pick<Services, 'site'> }
}
const clock = standingClock()
function stores() {
  const db = freshData(folder)
  return {
    db,
    accounts: accountStore(db),
    asked: askedStore(db, clock),
    briefs: briefStore(db, clock),
    briefReleases: briefReleaseStore(db),
    workspaces: workspaceStore(db, videoStore(db), clock),
    workspaceItems: workspaceItemStore(db, clock),
    briefItems: briefItemStore(db, clock),
    pictures: pictureStore(join(folder, 'pictures')),
    publications: publicationStore(db, clock),
    phrases: phraseStore(db),
    results: resultStore(db),
    now: clock,
  }
}

describe('what the account may do', () => {
  test('is asked once and kept for an hour; asking again replaces what was told', async () => {
    const given = stores()
    let told = [OWN]
    const { asked, services } = site(() => told)
    const look = (anew = false) => lookAtAccount({ ...given, services }, 'ch-own', anew)
    expect(await look()).toMatchObject({ told: true, problem: null, channel: { rights: ['publish', 'update'] } })
    expect((await look()).channel).toMatchObject({ title: 'Own', authorised: true, limits: OWN.limits, source: 'site' })
    expect(asked.times).toBe(1)
    told = []
    expect((await look(true)).channel).toBeNull()
    expect(asked.times).toBe(2)
  })

  test('a site that fails is not asked again for a minute, and says why; what it told before still holds', async () => {
    const given = stores()
    const { services } = site(() => [OWN])
    await lookAtAccount({ ...given, services }, 'ch-own')
    let times = 0
    const failing = {
      site: {
        account: () => {
          times++
          return Promise.reject(serviceError('NotAsked', 'The key is not known.'))
        },
      },
    } as unknown as Pick<Services, 'site'>
    const later = { ...given, services: failing, now: () => clock() + DAY }
    expect(await lookAtAccount(later, 'ch-own')).toMatchObject({ problem: 'The key is not known.', channel: OWN })
    const before = times
    expect(await lookAtAccount(later, 'ch-own')).toMatchObject({ problem: 'The key is not known.' })
    expect(times).toBe(before)
  })

  test('half a list is not kept: of a channel left out it would say that nothing is allowed', async () => {
    const given = stores()
    const account = () => Promise.resolve({ source: 'site', at: clock(), complete: false, data: { channels: [] } })
    const services = { site: { account } } as unknown as Pick<Services, 'site'>
    expect(await lookAtAccount({ ...given, services }, 'ch-own')).toMatchObject({
      told: false,
      problem: expect.stringMatching(/only a part/u),
    })
  })

  test('another site is asked anew', async () => {
    const given = stores()
    const { asked, services } = site(() => [OWN])
    await lookAtAccount({ ...given, services }, 'ch-own')
    given.accounts.forget()
    expect(given.accounts.get('ch-own')).toBeNull()
    await lookAtAccount({ ...given, services }, 'ch-own')
    expect(asked.times).toBe(2)
  })

  test('without a channel, without a service, or without leave to ask, nobody is asked', async () => {
    const given = stores()
    const { asked, services } = site(() => [OWN])
    const nothing = { channel: null, told: false, problem: null }
    expect(await lookAtAccount({ ...given, services }, null)).toEqual(nothing)
    expect(await lookAtAccount({ ...given, services, mayAsk: false }, 'ch-own')).toEqual(nothing)
    expect(await lookAtAccount({ ...given, services, ownDataOnly: true }, 'ch-own')).toEqual(nothing)
    expect(asked.times).toBe(0)
    // What was told of other channels says nothing of a channel that no site knows.
    await lookAtAccount({ ...given, services }, 'ch-own')
    expect(await lookAtAccount({ ...given, services }, null)).toEqual(nothing)
  })
})

describe('the readiness of a brief', () => {
  test('usual answers come from the other briefs of the workspace, deleted ones left out', () => {
    const given = stores()
    const { briefs, workspaces } = given
    const home = { workspace: workspaces.list()[0]!.id }
    const other = workspaces.create({ name: 'A client' })
    const sheet = (comments: 'open' | 'closed') => ({ sheet: { ...EMPTY_SHEET, comments } })
    briefs.create(sheet('open'), undefined, home)
    briefs.create(sheet('open'), undefined, home)
    briefs.remove(briefs.create(sheet('closed'), undefined, home).id)
    briefs.create(sheet('closed'), undefined, { workspace: other.id })
    const mine = briefs.create({ sheet: { ...EMPTY_SHEET, comments: 'closed' } }, undefined, home)
    const answer = readinessAnswer(given, mine, UNASKED)
    expect(answer.usual).toEqual({ comments: { value: 'open', times: 2 } })
    expect(answer.points.find(({ id }) => id === 'comments')).toMatchObject({ state: 'done', message: 'Closed' })
    expect(answer.left).toBe(answer.points.filter(({ state }) => state === 'open' || state === 'unanswered').length)
  })

  test('an account that does not name the channel may do nothing for it; one that was never asked is unknown', () => {
    const given = stores()
    const brief = given.briefs.create({ sheet: { ...EMPTY_SHEET, monetised: true } }, undefined, {
      workspace: given.workspaces.list()[0]!.id,
    })
    const monetised = (told: boolean) => {
      const { account, points } = readinessAnswer(given, brief, { ...UNASKED, told })
      return [account.authorised, account.rights, points.find(({ id }) => id === 'monetised')!.state]
    }
    expect(monetised(false)).toEqual([null, null, 'done'])
    expect(monetised(true)).toEqual([false, [], 'not-allowed'])
    const channel = { ...OWN, rights: [...CHANNEL_RIGHTS], source: 'site', at: 5 }
    expect(readinessAnswer(given, brief, { channel, told: true, problem: null }).account).toEqual({
      authorised: true,
      rights: CHANNEL_RIGHTS,
      at: 5,
      problem: null,
    })
  })

  test('the channel’s checklist and clock are its own', () => {
    const given = stores()
    const home = given.workspaces.list()[0]!.id
    given.workspaces.update(home, { timeZone: 'Asia/Kathmandu' })
    const releaseAt = clock() + DAY
    const brief = given.briefs.create({ releaseAt, seconds: 60 }, undefined, { workspace: home })
    expect(readinessAnswer(given, brief, UNASKED).checklist).toEqual(FIRST_CHECKLIST)
    given.workspaces.putSettings(home, { checklist: { own: [{ id: 'a', text: 'Ask Ina' }], off: ['tags'], order: [] } })
    const { points } = readinessAnswer(given, brief, UNASKED)
    expect(points.map(({ id }) => id)).not.toContain('tags')
    expect(points.at(-1)).toMatchObject({ id: 'a', title: 'Ask Ina', state: 'open' })
    const local = new Date(releaseAt + 5.75 * 3_600_000).toISOString().slice(11, 16)
    expect(points.find(({ id }) => id === 'hour')!.message).toContain(local)
  })

  test('playlists that hold it are named', () => {
    const given = stores()
    const home = given.workspaces.list()[0]!.id
    const { id } = given.briefs.create({}, undefined, { workspace: home })
    const playlist = (title: string, ...briefs: string[]) => ({
      title,
      description: briefs.length ? '' : `Not this one: ${id}`,
      lead: '',
      region: null,
      language: 'en',
      order: 'hand' as const,
      entries: briefs.map(brief => ({ kind: 'brief' as const, id: brief })),
    })
    for (const value of [playlist('Chains', id), playlist('Others')])
      given.workspaceItems.save(home, { id: uuid(), kind: 'playlist', revision: 0, value })
    expect(readinessAnswer(given, given.briefs.get(id)!, UNASKED).playlists).toEqual(['Chains'])
  })
})

test('the category that most of the lead’s page use is offered; of a page nobody read nothing is', () => {
  const given = stores()
  const home = given.workspaces.list()[0]!.id
  const told = ['Sport', null, 'Workshop', 'Workshop', 'Workshop', 'Workshop']
  const videos = told.map((category, i) => siteVideo(`v${i}`, 'other', { category }))
  given.results.save([pageOf(given.phrases.phraseId('bike chain', 'en'), videos)])
  const brief = (lead: string) =>
    given.briefs.create({ tray: { lead, support: [], setAside: [] }, region: 'GB' }, undefined, { workspace: home })
  expect(readinessAnswer(given, brief('Bike Chain'), UNASKED).proposedCategory).toEqual({
    value: 'Workshop',
    times: 4,
    of: 6,
  })
  expect(readinessAnswer(given, brief('bike pump'), UNASKED).proposedCategory).toBeNull()
})
