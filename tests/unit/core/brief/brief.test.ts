import {
  BRIEF_FIELDS,
  briefFieldsSchema,
  draftOf,
  emptyFields,
  exportedText,
  fieldOf,
  shownValue,
  upgraded,
} from '../../../../core/brief/brief'

const written = () => ({
  ...emptyFields(),
  title: 'True a wheel',
  tags: ['wheel', 'true'],
  tray: { lead: 'true a wheel', support: ['bent wheel', 'spoke key'], setAside: ['cheap wheel'] },
})

test('what is empty fits its field and is nobody else’s', () => {
  expect(briefFieldsSchema.parse(emptyFields())).toEqual(emptyFields())
  const one = emptyFields()
  one.tags.push('wheel')
  one.tray.support.push('spoke')
  expect(emptyFields()).toMatchObject({ tags: [], tray: { support: [] } })
})

test('texts have a history, choices have none', () => {
  const kept = BRIEF_FIELDS.filter(field => fieldOf(field).history)
  expect(kept).toEqual(['topic', 'tray', 'title', 'description', 'tags', 'fileName', 'outline'])
})

test('the draft holds what is scored; a file name nobody gave does not apply', () => {
  expect(draftOf(written())).toEqual({ title: 'True a wheel', description: '', tags: ['wheel', 'true'] })
  expect(draftOf({ ...written(), fileName: 'wheel.mp4' })).toMatchObject({ fileName: 'wheel.mp4' })
})

test('what is exported has headings, what is pasted first, and nothing that is empty', () => {
  expect(exportedText(written())).toBe(
    [
      'TITLE\nTrue a wheel\n',
      'TAGS\nwheel, true\n',
      'LEAD PHRASE\ntrue a wheel\n',
      'SUPPORT PHRASES\nbent wheel\nspoke key\n',
    ].join('\n'),
  )
  expect(exportedText(emptyFields())).toBe('')
})

test('a value is shown in words that can be compared', () => {
  expect(shownValue('tray', written().tray)).toBe(
    'Lead: true a wheel\nSupport: bent wheel, spoke key\nSet aside: cheap wheel',
  )
  expect(shownValue('title', '')).toBe('(empty)')
  expect(shownValue('region', null)).toBe('Everywhere')
  expect(shownValue('tags', ['a', 'b'])).toBe('a, b')
})

test('a value stored in an older form is turned into today’s', () => {
  const title = fieldOf('title')
  const { format, upgrade } = title
  Object.assign(title, { format: 2, upgrade: (value: unknown, from: number) => `${value as string} (from ${from})` })
  try {
    expect(upgraded('title', 'True a wheel', 1)).toBe('True a wheel (from 1)')
    expect(upgraded('title', 'True a wheel', 2)).toBe('True a wheel')
  } finally {
    Object.assign(title, { format, upgrade })
  }
})
