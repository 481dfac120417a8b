import fc from 'fast-check'
import { listed } from '../../core/number/trail'
import { parseProblem } from '../../core/problem/parse'
import { enter, openBench } from '../../core/record/bench'
import { outcome, slipsOf } from '../../core/record/outcome'
import { recordOf, reopen } from '../../core/record/record'
import { attempt } from '../../core/refusal'
import { REPRESENTATIONS } from '../../core/representation/index'
import { REPRESENTATION_IDS, type RepresentationId } from '../../core/representation/representation'
import { waysOf } from '../../core/way/index'

/** Whatever is typed as a move, on any material: it is made, or refused in a sentence. Anything else is a fault of Sett's own. */

const PROBLEMS = [
  ...['52 - 37', '612 / 7', '7 * 8', '37 * 24', '3/8 + 2/8', '-3 - -5', '0.5 + 0.25', '1.25 - 0.5', '9 * 4'],
  ...['3 * 25 + 2 * 10', '87', '200 - 135', '476 + 358 + 9', '2/3 = ?/12', '3/8 ? 4/8', '8 + 7', '4 with 3 pairs'],
  ...['3 * 2/5', '3 * 25 ? 60', '1 1/2 + 3/4', '87 without 50'],
]
const WORDS = [...new Set(Object.values(REPRESENTATIONS).flatMap((r) => r.example.split(/[\s·]+/)))]
const NUMBERS = [
  '0',
  '1',
  '2',
  '3',
  '5',
  '9',
  '10',
  '12',
  '37',
  '75',
  '100',
  '999',
  '-1',
  '0.5',
  '+0.5',
  '3/8',
  '999999999',
]
const word = fc.constantFrom(
  ...WORDS,
  ...NUMBERS,
  ...['one', 'tens', 'half', '<', '>', '=', 'to', 'by', 'saying', '1e9', '.5', '__proto__'],
)

/** Where the example goes on from a sheet that is begun, how one begins it. */
const BEGUN: Partial<Record<RepresentationId, readonly string[]>> = {
  columns: ['write 52', 'under - 37'],
  'touch-columns': ['write 52', 'under - 37', 'write 8', 'under + 7', 'say 8 ones'],
}

/** A move of a material's own example: as it is, with other numbers, with a word put in place of another; or any words at all. */
const moves = (id: RepresentationId): fc.Arbitrary<string> => {
  const own = fc.constantFrom(...(BEGUN[id] ?? []), ...REPRESENTATIONS[id].example.split(' · '))
  const numbers = fc.array(fc.constantFrom(...NUMBERS), { minLength: 4, maxLength: 4 })
  return fc.oneof(
    own,
    fc.tuple(own, numbers).map(([move, all]) => {
      let i = 0
      return move.replace(/\d+/g, () => all[i++ % all.length]!)
    }),
    fc.tuple(own, fc.nat(5), word).map(([move, at, put]) => {
      const words = move.split(' ')
      return words.map((w, i) => (i === at % words.length ? put : w)).join(' ')
    }),
    fc.array(word, { minLength: 1, maxLength: 4 }).map((all) => all.join(' ')),
  )
}

test.each(REPRESENTATION_IDS)('%s: every move is made or refused, and the record replays', (id) => {
  const r = REPRESENTATIONS[id]
  const held = PROBLEMS.filter((p) => r.fits(parseProblem(p)).fits && waysOf(parseProblem(p), r).length > 0)
  if (id === 'equations' || held.length === 0) return expect(['equations', 'touch', 'fraction-rule']).toContain(id)
  let made = 0
  fc.assert(
    fc.property(
      fc.constantFrom(...held),
      fc.nat(9),
      fc.constantFrom('together', 'alone'),
      fc.array(moves(id), { maxLength: 30 }),
      (problem, nth, mode, texts) => {
        const ways = waysOf(parseProblem(problem), r)
        const { way } = ways[nth % ways.length]!
        let bench = openBench({ problem, representation: id, way, also: ['equations'] }, mode)
        for (const move of texts) {
          // A Refusal is an answer; anything else is thrown on, and fails the test.
          const done = attempt(() => enter(bench, { at: 0, on: id, move }))
          if ('ok' in done) {
            bench = done.ok
            made += 1
          } else expect(done.refused.message.length).toBeGreaterThan(5)
        }
        slipsOf(bench)
        outcome(bench)
        // Words are made when they are asked for: every one of them can be.
        for (const { label, say, detail } of listed(bench.now.stones)) {
          expect(`${label} ${say} ${JSON.stringify(detail)}`).not.toMatch(/undefined|NaN|\[object/)
          expect(label).not.toBe('')
        }
        expect(reopen(recordOf(bench)).now.standing).toEqual(bench.now.standing)
      },
    ),
    { numRuns: 100 },
  )
  expect(made).toBeGreaterThan(20)
})

test('what hands have left too little for can still be gone on from', () => {
  const bench = openBench(
    { problem: '200 - 135', representation: 'columns', way: 'ones-first', also: ['equations'] },
    'together',
  )
  const begun = enter(bench, { at: 0, on: 'columns', move: 'write 3' })
  expect(Object.keys(attempt(() => enter(begun, { at: 1, on: 'bench', move: 'go on' })))).toHaveLength(1)
})

test('a fault while a record is replayed is told with its move, and its cause is kept', () => {
  const record = recordOf(openBench({ problem: '8 + 7', representation: 'blocks', also: [] }, 'together'))
  const { parse } = REPRESENTATIONS.blocks
  const fault = new TypeError('undefined is not a function')
  const spoilt = jest.spyOn(REPRESENTATIONS.blocks, 'parse').mockImplementation((text) => {
    if (text === 'lay 8') throw fault
    return parse(text)
  })
  const moves = ['lay 3', 'lay 8'].map((move) => ({ at: 0, on: 'blocks' as const, move }))
  const told = attempt(() => reopen({ ...record, moves }))
  spoilt.mockRestore()
  expect(told).toMatchObject({
    refused: {
      reason: 'Move 2, “lay 8”, cannot be made: Sett does not know what to do with it.',
      span: { at: 1 },
      cause: fault,
    },
  })
})
