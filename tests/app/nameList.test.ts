import { badNameIn, namesIn, namesInFile } from '../../app/utils/nameList'

/** Code names as somebody types them, pastes them or has them in a file. */

test('lines, commas, semicolons and tabs all part names; each name comes once', () => {
  expect(namesIn('Wren\nPip, Fen;Ash\tTeal\n\n pip ,')).toEqual(['Wren', 'Pip', 'Fen', 'Ash', 'Teal'])
  expect(namesIn('  \n,')).toEqual([])
})

test('the first name that cannot be one is told with its reason', () => {
  expect(badNameIn('Wren, Pip')).toBeUndefined()
  expect(badNameIn('Wren, <b>, @')).toEqual({ name: '<b>', why: expect.stringMatching(/letters and digits/) })
  expect(badNameIn(`Wren, ${'x'.repeat(25)}`)?.why).toMatch(/24 letters/)
})

test('of a file the first value of each line is taken, and a heading is no name', () => {
  expect(namesInFile('Name,Class\r\n"Wren",3\r\nPip,3\r\n\r\n')).toBe('Wren\nPip')
  expect(namesInFile('Wren\nPip')).toBe('Wren\nPip')
  expect(namesInFile('')).toBe('')
})
