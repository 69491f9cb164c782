import { PROFILES } from '../../../../core/draft/limits'
import { readProfile, writeProfile } from '../../../../core/draft/profileFile'
import { FileFault } from '../../../../core/formats/jsonFile'

const faultsOf = (text: string): readonly string[] => {
  try {
    readProfile(text)
  } catch (error) {
    expect(error).toBeInstanceOf(FileFault)
    return (error as FileFault).lines
  }
  return []
}

test.each(PROFILES.map(profile => [profile.name, profile] as const))(
  '%s comes back as it was written',
  (_, profile) => {
    const { format: __, id: ___, ...own } = profile
    expect(readProfile(writeProfile(profile))).toEqual(own)
  },
)

test('a file that is none is refused with the line and the reason', () => {
  const text = writeProfile(PROFILES[0]!)
  expect(faultsOf('{')).toEqual([expect.stringContaining('not JSON')])
  expect(faultsOf('[]')).toEqual([expect.stringContaining('the file')])
  expect(faultsOf(text.replace('"format": 1', '"format": 2'))).toEqual([
    'Line 2, format: This limit profile has an unknown format.',
  ])
  const wrong = faultsOf(text.replace(/"leastSeconds": \d+/u, '"leastSeconds": -3'))
  expect(wrong).toEqual([expect.stringMatching(/^Line \d+, chapters › leastSeconds: A limit is 0 or more\.$/u)])
})

test('one without a name gets one', () => {
  expect(readProfile(writeProfile({ ...PROFILES[0]!, name: '  ' })).name).toBe('Limits')
})
