import { copySources } from '../../../../server/desk/copySources'
import { phrasesFound } from '../../../../server/demand/phrasesFound'
import { briefItemStore } from '../../../../server/data/briefItems'
import { phraseStore } from '../../../../server/data/phrases'
import { resultStore } from '../../../../server/data/results'
import { videoStore } from '../../../../server/data/videos'
import { workspaceItemStore } from '../../../../server/data/workspaceItems'
import { workspaceStore } from '../../../../server/data/workspaces'
import { freshData, standingClock, temporaryFolder } from '../files'
import { pageOf, siteVideo } from '../pages'

const folder = temporaryFolder()
const ID = '0190a000-0000-7000-8000-00000000000'

const told = (id: string, channel: string) => siteVideo(id, channel, { title: `Title ${id}`, description: 'Text' })

function stores() {
  const db = freshData(folder)
  const now = standingClock()
  return {
    db,
    now,
    briefItems: briefItemStore(db, now),
    phrases: phraseStore(db, now),
    results: resultStore(db),
    workspaces: workspaceStore(db, videoStore(db), now),
    workspaceItems: workspaceItemStore(db, now),
  }
}

test('texts on kept pages, each video once, without those of my channel; my blocks are mine', () => {
  const deps = stores()
  const { phrases, results, workspaces, workspaceItems } = deps
  const workspace = workspaces.get()!.id
  workspaces.update(workspace, { channelId: 'mine' })
  workspaceItems.save(workspace, {
    id: `${ID}1`,
    kind: 'block',
    revision: 0,
    value: { name: 'A', text: 'On {lead}', standing: false },
  })
  const keep = (phrase: string, list: ReturnType<typeof told>[]) =>
    results.save([pageOf(phrases.phraseId(phrase, 'en'), list)])
  keep('bike chain', [told('a', 'other'), told('b', 'mine')])
  keep('chain wax', [told('a', 'other'), told('c', 'third')])
  const question = {
    phrases: ['bike chain', ' ', 'chain wax', 'unknown'],
    region: 'GB',
    language: 'en',
    workspace,
    lead: 'wax',
    title: '',
  }
  const { sources, own } = copySources(deps, question)
  expect(sources.map(each => each.videoId)).toEqual(['a', 'c'])
  expect(own).toEqual(['On wax'])
  expect(copySources(deps, { ...question, region: 'DE' }).sources).toEqual([])
})

test('phrases of a text: the searched ones first, then what it is about; nothing known is null, not 0', async () => {
  const { phrases } = stores()
  phrases.save(
    [
      { phrase: 'bike chain', region: 'GB', volume: 90 },
      { phrase: 'clean a bike chain', region: 'GB', volume: 300 },
    ],
    'en',
    { name: 'list.csv', kind: 'import' },
    1000,
  )
  const text = 'Clean a bike chain. The hot pot helps. A hot pot, and the bike chain.'
  expect(await phrasesFound(phrases, text, 'GB', 'en')).toEqual([
    { phrase: 'clean a bike chain', count: 1, volume: 300 },
    { phrase: 'bike chain', count: 2, volume: 90 },
    { phrase: 'hot pot', count: 2, volume: null },
  ])
  expect(await phrasesFound(phrases, '', 'GB', 'en')).toEqual([])
})
