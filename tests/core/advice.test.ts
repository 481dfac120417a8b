import fc from 'fast-check'
import { enter, openBench } from '../../core/record/bench'
import type { Bench } from '../../core/record/moment'
import { columns } from '../../core/representation/columns/columns'
import { plan } from '../../core/plan/plan'
import { placeName } from '../../core/number/places'
import { valueOf } from '../../core/number/numeral'
import { parseProblem } from '../../core/problem/parse'
import { printProblem, type Problem } from '../../core/problem/problem'
import type { ColumnsMove } from '../../core/representation/columns/state'

/** What is said of a wrong digit on the column sheet: always of its own column, and only what is so. */

const work = (bench: Bench, ...moves: string[]): Bench =>
  moves.reduce((b, move) => enter(b, { at: b.log.length, on: 'columns', move }), bench)
/** The problem written on the sheet, nothing worked yet. */
const sheet = (problem: string): Bench => {
  const { first, terms } = parseProblem(problem)
  const [{ operation, number }] = terms as [(typeof terms)[0]]
  const bench = openBench({ problem, representation: 'columns' }, 'together')
  return work(bench, `write ${valueOf(first)}`, `under ${operation} ${valueOf(number)}`)
}
const said = (b: Bench): string => b.now.stones.last!.say

/** Sums of two to four numbers and differences of two, up to four digits. */
const sheets = fc.oneof(
  fc
    .array(fc.integer({ min: 1, max: 9999 }), { minLength: 2, maxLength: 4 })
    .map((numbers) => parseProblem(numbers.map(String).join(' + '))),
  fc.tuple(fc.nat(9999), fc.nat(9999)).map(([a, b]) => parseProblem(`${Math.max(a, b)} - ${Math.min(a, b)}`)),
)

/** The digits of a column, worked out anew from the numbers alone: the carry first. */
function columnOf(problem: Problem, place: number): { readonly digits: readonly number[]; readonly carry: number } {
  const numbers = [problem.first, ...problem.terms.map((t) => t.number)].map((n) => Number(valueOf(n)))
  const below = 10 ** place
  const carry = Math.floor(numbers.reduce((s, n) => s + (n % below), 0) / below)
  return { digits: numbers.map((n) => Math.floor(n / below) % 10), carry }
}

test('every wrong digit in every column of 2,000 sheets is answered with that column, its digits, and no exchange that is not owed', () => {
  let asked = 0
  fc.assert(
    fc.property(sheets, (problem) => {
      const adds = problem.terms[0]!.operation === '+'
      const way = problem.terms.length > 1 ? 'by-column' : 'ones-first'
      let bench = openBench({ problem, representation: 'columns', way }, 'together')
      const moves = plan({ problem, representation: 'columns', way }).steps.flatMap(
        (s) => s.moves.columns as readonly ColumnsMove[],
      )
      for (const move of moves) {
        if (move.kind === 'answer') {
          const { digits, carry } = columnOf(problem, move.place)
          const below = digits.slice(1).reduce((a, b) => a + b, 0)
          const right = adds ? (digits[0]! + below + carry) % 10 : move.digit
          for (let wrong = 0; wrong <= 9 && below > 0; wrong++) {
            if (wrong === right) continue
            const stone = work(bench, `answer ${wrong} ${placeName(move.place)}`).now.stones.last!
            asked += 1
            const named = [printProblem(problem), placeName(move.place), wrong, stone.say]
            const [, column = '', square] = /: the column says (.*), the square says (\d)\./.exec(stone.say) ?? []
            const parts = column.split(adds ? ' + ' : ' − ').map(Number)
            const told = {
              kind: stone.owedKind,
              here: stone.say.startsWith(`Look again at the ${placeName(move.place)}:`),
              square,
              exchange: /exchange|carry|small 1|strike/i.test(stone.say),
              column: adds ? parts : parts[0]! - parts[1]!,
            }
            const wanted = adds ? [carry, ...digits].filter((d) => d > 0) : right
            expect([...named, told]).toEqual([
              ...named,
              { kind: 'look-again', here: true, square: String(wrong), exchange: false, column: wanted },
            ])
          }
        }
        bench = work(bench, columns.print(move))
      }
    }),
    { numRuns: 2000 },
  )
  expect(asked).toBeGreaterThan(20_000)
})

test('an exchange that is owed is named where it is owed, and its digit where that is wrong too', () => {
  fc.assert(
    fc.property(fc.nat(9), fc.integer({ min: 1, max: 9 }), fc.nat(9), (a, b, wrote) => {
      fc.pre(a < b)
      const text = said(work(sheet(`5${a} - 3${b}`), `answer ${wrote} ones`))
      if (wrote === 10 + a - b) expect(text).toContain('Strike the tens digit and write one less')
      else expect(text).toContain(`the column says ${a} − ${b}, the square says ${wrote}. There are too few`)
    }),
  )
})

test.each([
  [
    '27 + 35',
    ['answer 2 ones', 'carry 1 tens', 'answer 5 tens'],
    'Look again at the tens: the column says 1 + 2 + 3, the square says 5.',
  ],
  [
    '27 + 35',
    ['answer 2 ones', 'carry 1 tens', 'answer 7 tens'],
    'Look again at the tens: the column says 1 + 2 + 3, the square says 7.',
  ],
  ['87 - 23', ['answer 4 ones', 'answer 5 tens'], 'Look again at the tens: the column says 8 − 2, the square says 5.'],
  ['87 - 23', ['answer 4 ones', 'answer 7 tens'], 'Look again at the tens: the column says 8 − 2, the square says 7.'],
  ['87 - 23', ['answer 14 ones'], 'Look again at the ones: the column says 7 − 3, the square says 14.'],
  [
    '52 - 37',
    ['strike tens', 'above 4 tens', 'one ones', 'answer 5 ones', 'answer 2 tens'],
    'Look again at the tens: the column says 4 − 3, the square says 2.',
  ],
  ['52 - 37', ['strike tens', 'above 3 tens'], 'Look again at the tens: one less than 5 is wanted, the square says 3.'],
  [
    '95 + 17',
    ['answer 2 ones', 'carry 1 tens', 'answer 1 tens'],
    'The hundred is not written yet. Put a carry mark over the hundreds.',
  ],
  ['26 + 31', ['carry 1 tens'], 'Look again at the mark over the tens: the column before it says 6 + 1.'],
  [
    '27 + 35',
    ['answer 2 ones', 'carry 2 tens'],
    'Look again at the mark over the tens: the column before it says 7 + 5.',
  ],
  [
    '27 + 35',
    ['answer 5 tens', 'answer 2 ones'],
    'The ten is not in the answer yet. Strike the 5 in the tens and write one more.',
  ],
  [
    '304 - 178',
    ['answer 6 ones'],
    'Ten more are used here than the column had. Strike the hundreds digit and write one less, to finish the exchange.',
  ],
  [
    '304 - 178',
    ['answer 6 ones', 'strike hundreds', 'above 2 hundreds'],
    'One less is written. Put the small 1 before the tens to finish the exchange.',
  ],
])('%s, after %j', (problem, moves, words) => expect(said(work(sheet(problem), ...moves))).toBe(words))

test('several tens carried at once are counted', () => {
  const b = openBench({ problem: '9 + 8 + 7 + 5', representation: 'columns', way: 'by-column' }, 'together')
  const done = work(b, 'write 9', 'under + 8', 'under + 7', 'under + 5', 'answer 9 ones')
  expect(said(done)).toBe('The 2 tens are not written yet. Put a carry mark of 2 over the tens.')
})

test('a ten carried or lessened in the head is right, and its mark is asked for', () => {
  const added = work(sheet('27 + 35'), 'answer 2 ones', 'answer 6 tens')
  expect(said(added)).toBe('The ten is not written yet. Put a carry mark over the tens.')
  const marked = work(added, 'carry 1 tens')
  expect(marked.now.stones.last!.owed).toBe('')
  expect(marked.now.standing.value).toBe('62')
  const taken = work(sheet('52 - 37'), 'answer 5 ones', 'answer 1 tens')
  expect(said(taken)).toContain('Strike the tens digit and write one less')
})
