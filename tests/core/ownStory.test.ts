import { toWords } from 'number-to-words'
import { exact, printExact } from '../../core/index'
import {
  keyWordsIn,
  numbersFound,
  ownStory,
  rolesOf,
  tellStory,
  CELLS,
  toldOf,
  type Cell,
  type Role,
} from '../../core/story/index'

/** A teacher's own story: numbers are found however they are written, and nothing is guessed from key words. */

const found = (text: string): readonly (readonly [string, string, string])[] =>
  numbersFound(text).map((n) => [n.text, n.value, n.unit])

test('numbers in figures: thousands, decimals, fractions, mixed numbers, money', () => {
  expect(found('Wren has 1,250 beads, 3.5 m of ribbon, 2 1/2 rolls, 3/4 of a box and $4.50; Pip has £2.')).toEqual([
    ['1,250', '1250', 'beads'],
    ['3.5', '7/2', 'm'],
    ['2 1/2', '5/2', 'rolls'],
    ['3/4', '3/4', 'of'],
    ['$4.50', '9/2', '$'],
    ['£2', '2', '£'],
  ])
  expect(found('No number, only 5/0 and someone.')).toEqual([])
})

test('numbers in words, and words that only look like numbers', () => {
  expect(
    found('Twenty-three lanterns, one hundred and four tea-lights, a dozen reeds, half a roll, and none left'),
  ).toEqual([
    ['Twenty-three', '23', 'lanterns'],
    ['one hundred and four', '104', 'tea-lights'],
    ['dozen', '12', 'reeds'],
    ['half', '1/2', 'a'],
  ])
  // “someone”, “often”, “weight” and “stone” have number names in them, and are none.
  expect(found('Someone often weighs the stone; the weight is even.')).toEqual([])
  expect(found('three and then four')).toEqual([
    ['three', '3', 'and'],
    ['four', '4', ''],
  ])
})

test('every number that another library names is found with its value (number-to-words)', () => {
  for (let n = 0; n <= 1_200_000; n = n < 1300 ? n + 1 : n * 2 + 7) {
    const name = toWords(n).replaceAll(',', '')
    expect([name, found(`There are ${name} beads here`)]).toEqual([name, [[name, String(n), 'beads']]])
  }
})

test('every story that Sett tells is found again: its numbers, and which amount each of them is', () => {
  for (const cell of CELLS.filter((c) => c.unknown !== 'both' && !c.after)) {
    const problem = [
      '12 + 5',
      '17 - 5',
      '6 * 4',
      '24 / 6',
      '20 * 3/4',
      '15 / 3/4',
      '15 / 20',
      '-3 + 5',
      '2 - -3',
      '2 - 5',
    ]
    const story = problem.flatMap((p) => {
      try {
        return [tellStory({ problem: p, cell, seed: 2 })]
      } catch {
        return []
      }
    })[0]!
    const numbers = numbersFound(story.text)
    const marks = Object.fromEntries(
      toldOf(cell).map((role) => [role, numbers.findIndex((n) => n.value === story.roles[role]!.replace('-', ''))]),
    ) as Partial<Record<Role, number>>
    const own = ownStory({ text: story.text, cell, marks })
    expect(own).toMatchObject({ answer: story.answer, sentence: story.sentence, problem: story.problem, extra: [] })
  }
})

describe('A story that was typed', () => {
  const text = 'Wren has 15 tokens. That is 8 more than Pip has. The stall opens at 10. How many has Pip?'
  const cell: Cell = { situation: 'compare', unknown: 'lesser', wording: 'more' }
  test('is checked by what its teacher says each number is; the word that misleads is named, and what is not needed', () => {
    const own = ownStory({ text, cell, marks: { greater: 0, difference: 1 } })
    expect(own).toMatchObject({ answer: '7', sentence: '? + 8 = 15', problem: '15 - 8' })
    expect(own.misleading.map((w) => w.text)).toEqual(['more'])
    expect(own.extra.map((n) => n.text)).toEqual(['10'])
  })
  test('what is not said yet is asked for, by its name', () => {
    expect(() => ownStory({ text, cell, marks: { greater: 0 } })).toThrow('which number is the difference')
    expect(() => ownStory({ text, cell, marks: { greater: 0, difference: 0 } })).toThrow(
      'One number cannot be two amounts',
    )
    expect(rolesOf(cell).map(([, name]) => name)).toEqual(['the smaller amount', 'the difference', 'the larger amount'])
  })
  test('what cannot be is refused: less than none, a part of a group', () => {
    expect(() => ownStory({ text, cell, marks: { greater: 1, difference: 0 } })).toThrow('less than none')
    const boxes = 'There are 23 tea-lights, 4 in each box. How many boxes are full?'
    expect(() =>
      ownStory({ text: boxes, cell: { situation: 'groups', unknown: 'number' }, marks: { product: 0, size: 1 } }),
    ).toThrow('a part of a group')
  })
  test('the same words mislead in one story and not in another', () => {
    const more = 'There are 7 lanterns. Fen hangs up 5 more. How many are there now?'
    const own = ownStory({
      text: more,
      cell: { situation: 'add-to', unknown: 'result' },
      marks: { start: 0, change: 1 },
    })
    expect(own.misleading).toEqual([])
    expect(keyWordsIn(more).map((w) => [w.text, w.suggests])).toEqual([['more', '+']])
    expect(printExact(own.answer!)).toBe('12')
    expect(own.roles.result).toBe(exact(12))
  })
  test('a very long text is looked through to its end of a thousand letters, quickly', () => {
    expect(numbersFound('one hundred and '.repeat(5000))).toEqual([])
    expect(found(`${'word '.repeat(100)} ninety-nine million`)).toEqual([['ninety-nine million', '99000000', '']])
    expect(numbersFound('9'.repeat(100_000))).toHaveLength(1)
  })
})
