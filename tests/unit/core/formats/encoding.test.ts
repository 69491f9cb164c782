import iconv from 'iconv-lite'
import { decodeText } from '../../../../core/formats/encoding'

const text = '1\r\n00:00:01,000 --> 00:00:02,000\r\nÉl engrasó la cadena\r\n'

test.each([
  ['utf-8', 'utf8', false, 'es'],
  ['utf-8', 'utf8', true, 'es'],
  ['utf-16le', 'utf16le', true, 'es'],
  ['utf-16le', 'utf16le', false, 'es'],
  ['utf-16be', 'utf16be', true, 'es'],
  ['windows-1252', 'win1252', false, 'es'],
  ['windows-1252', 'win1252', false, 'xx'],
])('%s is recognised (%s, mark %s)', (encoding, name, addBOM, language) => {
  expect(decodeText(iconv.encode(text, name, { addBOM }), language)).toEqual({ text, encoding })
})

test.each([
  ['ru', 'win1251', 'Смажьте цепь'],
  ['ja', 'shiftjis', 'チェーンを掃除します'],
  ['pl', 'win1250', 'Smaruj łańcuch'],
])('what was usual in %s', (language, name, said) => {
  expect(decodeText(iconv.encode(said, name), language).text).toBe(said)
})

test('what is no text is refused', () => {
  expect(() => decodeText(Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2]), 'en')).toThrow(
    'not text',
  )
  expect(decodeText(new Uint8Array(), 'en').text).toBe('')
})
