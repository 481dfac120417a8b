import fc from 'fast-check'
import { evaluate } from 'mathjs'
import { enter, openBench } from '../../core/record/bench'
import type { Bench } from '../../core/record/moment'
import { recordOf, reopen } from '../../core/record/record'
import { listed } from '../../core/number/trail'
import { attempt } from '../../core/refusal'
import { REPRESENTATIONS } from '../../core/representation/index'
import type { RepresentationId } from '../../core/representation/representation'

/** Whatever a material allows a hand to do, the bench takes down, with true lines. */

const place = fc.constantFrom('ones', 'tens', 'hundreds')
const count = fc.integer({ min: 1, max: 14 })
const verbs = (...list: string[]): fc.Arbitrary<string> =>
  fc.tuple(fc.constantFrom(...list), count, place).map(([verb, n, where]) => `${verb} ${n} ${where}`)
const number = (verb: string): fc.Arbitrary<string> => fc.nat(199).map((n) => `${verb} ${n}`)

const HANDS: readonly (readonly [RepresentationId, fc.Arbitrary<string>])[] = [
  ...(['blocks', 'chips'] as const).map(
    (id) =>
      [
        id,
        fc.oneof(
          verbs('lay', 'return', 'set', 'push', 'pull', 'take', 'give'),
          verbs('break', 'tie'),
          fc.constantFrom('lay 52', 'take 37', 'break ten', 'tie ten'),
          number('read'),
        ),
      ] as const,
  ),
  [
    'drawn',
    fc.oneof(verbs('draw', 'cross'), fc.constantFrom('break ten', 'ring ten', 'break hundred'), number('read')),
  ],
  ...(['fingers', 'counters', 'tallies', 'joints'] as const).map((id) => {
    const { lay, join, take } = REPRESENTATIONS[id].verbs!
    return [
      id,
      fc.tuple(fc.constantFrom(lay, join, take), fc.integer({ min: 1, max: 6 })).map((m) => m.join(' ')),
    ] as const
  }),
  [
    'openline',
    fc.oneof(
      fc.constantFrom('start 52', 'start 37'),
      fc.integer({ min: -60, max: 60 }).map((n) => `hop ${n < 0 ? '' : '+'}${n}`),
    ),
  ],
  [
    'abacus',
    fc
      .tuple(place, fc.constantFrom('upper 1', 'lower 1', 'lower 3'), fc.constantFrom('to bar', 'away'))
      .map((m) => m.join(' ')),
  ],
  [
    'columns',
    fc.oneof(
      fc.constantFrom('write 52', 'under - 37', 'strike tens', 'one ones'),
      fc.tuple(fc.constantFrom('answer', 'above', 'carry'), fc.nat(12), place).map((m) => m.join(' ')),
    ),
  ],
]

/** A problem each of them holds. */
const problemFor = (id: RepresentationId): string =>
  ['fingers', 'counters', 'tallies', 'joints'].includes(id) ? '9 - 4' : '52 - 37'

test.each(HANDS)('%s: what it accepts, the bench accepts, every line holds, and the record replays', (id, move) => {
  let taken = 0
  fc.assert(
    fc.property(fc.array(move, { maxLength: 14 }), (moves) => {
      let b: Bench = openBench(
        { problem: problemFor(id), representation: id, also: ['equations', 'columns'] },
        'together',
      )
      const r = REPRESENTATIONS[id]
      for (const text of moves) {
        const allowed = attempt(() => r.apply(b.now.states[id], r.parse(text)))
        if ('refused' in allowed) continue
        // No attempt here: a refusal would fail the law, as it should.
        b = enter(b, { at: b.log.length, on: id, move: text })
        taken += 1
        expect(b.now.standing.value).toBe(id === 'columns' ? b.now.standing.value : r.shows(b.now.states[id]))
        expect(b.now.page.value).toBe(b.now.standing.value)
      }
      for (const { equation } of listed(b.now.stones).flatMap((s) => s.lines))
        if (equation) expect([equation, evaluate(equation.replace('=', '=='))]).toEqual([equation, true])
      expect(reopen(recordOf(b)).now.standing).toEqual(b.now.standing)
    }),
    { numRuns: 300 },
  )
  expect(taken).toBeGreaterThan(200)
})

test('what a follower has missed stays short, however long it waits, and undo goes back over all of it', () => {
  let b = openBench({ problem: '952 - 37', representation: 'blocks', also: ['columns', 'equations'] }, 'together')
  const detour = ['take 7 tens', 'give 7 tens', 'break hundred', 'take 3 hundreds', 'give 3 hundreds', 'tie hundred']
  const moves = ['lay 953', ...Array.from({ length: 300 }, (_, i) => detour[i % detour.length]!)]
  for (const move of moves) {
    const done = attempt(() => enter(b, { at: b.log.length, on: 'blocks', move }))
    if ('ok' in done) b = done.ok
    expect(b.now.followers.columns?.missed.length ?? 0).toBeLessThanOrEqual(6)
  }
  expect(b.log.length).toBeGreaterThan(150)
  expect(listed(b.log).map((entry) => entry.at)).toEqual(Array.from({ length: b.log.length }, (_, i) => i))
  const { length } = b.log
  while (b.past.length > 0) b = enter(b, { at: length, on: 'bench', move: 'undo' })
  expect(b.now.stones.length).toBe(0)
  expect(recordOf(b).moves).toHaveLength(b.log.length)
})
