import { languageInput } from '../../../../core/text/inputs'

test.each(['en', 'en-GB', 'zh-Hant-TW', 'fil', 'zz-ZZ'])('%s is a language', code => {
  expect(languageInput.safeParse(code).success).toBe(true)
  expect(() => new Intl.DisplayNames(code, { type: 'region' })).not.toThrow()
})

test.each(['', 'EN', 'english', 'en_GB', 'zz-ZZ-zz', 'en-a', 'en-GB-GB', 'x'.repeat(30)])('%j is none', code => {
  expect(
    languageInput
      .safeParse(code)
      .error?.issues.map(({ message }) => message)
      .join(),
  ).toMatch(/code|20/u)
})
