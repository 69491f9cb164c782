import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { likelyPlace, preview, shownIn, SURFACES } from '../../../../core/draft/preview'
import { widthInEms } from '../../../../core/text/width'

const LONG = 'How to index a rear derailleur with one tool, at home, in ten minutes, without a stand and without help'

test('each surface shows what fits its width, and no more', () => {
  for (const surface of SURFACES) {
    const { title } = preview(LONG, '', surface, DEFAULT_PROFILE)
    if (surface === 'watch') expect(title).toEqual({ text: LONG, cut: false })
    else {
      expect(title.cut).toBe(true)
      expect(title.text.endsWith('…')).toBe(true)
      expect(LONG.startsWith(title.text.slice(0, -1))).toBe(true)
      expect(widthInEms(title.text)).toBeLessThanOrEqual(DEFAULT_PROFILE.surfaces.desktopList)
    }
    expect(preview('Short', '', surface, DEFAULT_PROFILE).title).toEqual({ text: 'Short', cut: false })
  }
})

test('no character is cut in two', () => {
  const family = '👩‍👩‍👧‍👦'
  const { text } = shownIn(family.repeat(40), 10)
  expect([...new Intl.Segmenter().segment(text.slice(0, -1))].every(each => each.segment === family)).toBe(true)
})

test('the opening is one line of the first characters, where a surface has one', () => {
  const description = `You learn it.\n\n${'More words. '.repeat(40)}`
  const { opening } = preview('T', description, 'web', DEFAULT_PROFILE)
  expect(opening!.text).toMatch(/^You learn it\. More words\./u)
  expect(opening).toMatchObject({ cut: true })
  expect(preview('T', 'Short.', 'watch', DEFAULT_PROFILE).opening).toEqual({ text: 'Short.', cut: false })
  expect(preview('T', description, 'phone', DEFAULT_PROFILE).opening).toBeNull()
  expect(preview('T', ' \n', 'web', DEFAULT_PROFILE).opening).toBeNull()
})

test('the likely place is the middle of the likely ranks', () => {
  expect([likelyPlace([3, 8]), likelyPlace([1, 1])]).toEqual([6, 1])
})
