import { join } from 'node:path'
import { brailleLine, spatialAddition, spatialSubtraction, toAscii, toUnicode } from '../../core/braille/index'

/**
 * Written lines in braille against a general library (speech-rule-engine, its own rules of the Nemeth code), and against examples of the
 * codes as their books print them (The Nemeth Braille Code for Mathematics and Science Notation, 1972 revision; Rules of Unified English
 * Braille; from memory).
 */
interface Engine {
  setupEngine(of: Record<string, unknown>): Promise<unknown>
  engineReady(): Promise<unknown>
  toSpeech(mathml: string): string
}
let engine: Engine
beforeAll(async () => {
  const root = join(process.cwd(), 'node_modules/speech-rule-engine/lib')
  process.env.SRE_JSON_PATH = join(root, 'mathmaps')
  // eslint-disable-next-line @typescript-eslint/no-require-imports -- the library comes in this form only
  engine = require(join(root, 'sre.js')) as Engine
  await engine.setupEngine({ locale: 'nemeth', modality: 'braille', domain: 'default' })
  await engine.engineReady()
})
/** A line as MathML, for the library: numbers, fractions and signs one after another. */
const mathml = (line: string): string =>
  `<math xmlns="http://www.w3.org/1998/Math/MathML">${line
    .split(' ')
    .map((t) =>
      /^\d+\/\d+$/.test(t)
        ? `<mfrac><mn>${t.split('/')[0]}</mn><mn>${t.split('/')[1]}</mn></mfrac>`
        : /^[\d.]+$/.test(t)
          ? `<mn>${t}</mn>`
          : `<mo>${t.replace('<', '&lt;')}</mo>`,
    )
    .join('')}</math>`
const nemeth = (line: string): string => toUnicode(brailleLine(line, 'nemeth').cells)
const ueb = (line: string): string => toUnicode(brailleLine(line, 'ueb').cells)

test.each([
  '52 − 37 = 15',
  '8 + 7 + 5 = 20',
  '3 × 4 = 12',
  '84 ÷ 7 = 12',
  '2.5 + 0.75 = 3.25',
  '3/4 + 1/8 = 7/8',
  '3 < 5',
  '64 > 46',
  '1000 − 1 = 999',
])('the library writes %s as Sett does', (line) => {
  expect(nemeth(line)).toBe(engine.toSpeech(mathml(line)))
})

test('examples of the Nemeth code', () => {
  // Signs of operation stand close and need no further numeric indicator; a sign of comparison stands between spaces.
  expect(nemeth('3 + 4 = 7')).toBe('⠼⠒⠬⠲⠀⠨⠅⠀⠼⠶')
  expect(nemeth('12 − 5')).toBe('⠼⠂⠆⠤⠢')
  expect(nemeth('6 × 8')).toBe('⠼⠖⠈⠡⠦')
  expect(nemeth('12 ÷ 4')).toBe('⠼⠂⠆⠨⠌⠲')
  expect(nemeth('1/2')).toBe('⠹⠂⠌⠆⠼')
})

test('examples of Unified English Braille', () => {
  expect(ueb('3 + 4 = 7')).toBe('⠼⠉⠀⠐⠖⠀⠼⠙⠀⠐⠶⠀⠼⠛')
  expect(ueb('12 − 5')).toBe('⠼⠁⠃⠀⠐⠤⠀⠼⠑')
  expect(ueb('6 × 8')).toBe('⠼⠋⠀⠐⠦⠀⠼⠓')
  expect(ueb('12 ÷ 4')).toBe('⠼⠁⠃⠀⠐⠌⠀⠼⠙')
  expect(ueb('2.75')).toBe('⠼⠃⠲⠛⠑')
  expect(ueb('3/8')).toBe('⠼⠉⠌⠓')
})

test('columns in space, cell by cell: a sum with a carried one, a difference with an exchange', () => {
  // 47 + 38: the carried one above a line of dots 2-3-5-6, the sum under a line of dots 2-5.
  expect(spatialAddition(['47', '38']).map(toUnicode)).toEqual(['⠀⠀⠂⠀⠀', '⠶⠶⠶⠶⠶', '⠀⠀⠲⠶⠀', '⠀⠬⠒⠦⠀', '⠒⠒⠒⠒⠒', '⠀⠀⠦⠢⠀'])
  // 52 − 37: both digits are cancelled, with 4 and 12 above them.
  expect(spatialSubtraction('52', '37').map(toUnicode)).toEqual([
    '⠀⠀⠀⠀⠲⠀⠂⠆⠀',
    '⠀⠀⠪⠢⠻⠪⠆⠻⠀',
    '⠀⠤⠀⠀⠒⠀⠀⠶⠀',
    '⠒⠒⠒⠒⠒⠒⠒⠒⠒',
    '⠀⠀⠀⠀⠂⠀⠀⠢⠀',
  ])
  expect(spatialAddition(['21', '34']).map(toUnicode)).toEqual(['⠀⠀⠆⠂⠀', '⠀⠬⠒⠲⠀', '⠒⠒⠒⠒⠒', '⠀⠀⠢⠢⠀'])
})

test('the characters of an embosser’s file are those of North American Braille ASCII', () => {
  // Its letters are the print letters; the signs are those that such files begin numbers and capitals with (from memory).
  expect(toAscii(['1', '12', '14', '145', '15'])).toBe('ABCDE')
  expect(toAscii(['3456', '6', '', '36', '123456'])).toBe('#, -=')
})
