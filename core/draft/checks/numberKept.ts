import { defineCheck, met, missing, notApplicable } from '../check'
import { truthOf } from '../truth'

/** As many things as the title counts are there. */
export const numberKept = defineCheck({
  id: 'number-kept',
  version: 1,
  field: 'title',
  question: 'kept',
  title: 'The number in the title',
  why: 'Five fixes promised and four shown is what comments are about.',
  needs: ['title'],
  settings: {},
  run: ({ draft, language }) => {
    const { numbers } = truthOf(draft, language)
    const known = numbers.filter(each => each.found !== null)
    if (!known.length)
      return notApplicable(numbers.length ? 'Nothing numbered was found to count.' : 'The title counts nothing.')
    const wrong = known.find(each => each.found !== each.says)
    if (!wrong) return met('There are as many as the title says.')
    return missing(`The title says ${wrong.says}, but ${wrong.found} can be counted.`, {
      ranges: [{ field: 'title', start: wrong.start, end: wrong.end }],
    })
  },
})
