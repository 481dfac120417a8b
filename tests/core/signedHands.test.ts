import fc from 'fast-check'
import { evaluate } from 'mathjs'
import { DEFAULT_CHOICES, type SignedChoices } from '../../core/choices'
import { procedureFor } from '../../core/mistakes/index'
import type { Exact } from '../../core/number/exact'
import { listed } from '../../core/number/trail'
import { plan } from '../../core/plan/plan'
import { parseProblem } from '../../core/problem/parse'
import { printProblem } from '../../core/problem/problem'
import { nextAct, nextMoves } from '../../core/record/ahead'
import { enter, openBench } from '../../core/record/bench'
import type { Bench, Mode } from '../../core/record/moment'
import { outcome, slipsOf } from '../../core/record/outcome'
import { recordOf, reopen } from '../../core/record/record'
import { attempt } from '../../core/refusal'
import { directionReason, fieldOf, predictionOf } from '../../core/speech/predict'
import { REPRESENTATIONS } from '../../core/representation/index'
import type { RepresentationId } from '../../core/representation/representation'
import { onMat, ROOM, type SignedState } from '../../core/representation/signed/state'
import { tried } from './worlds'

/** Plus and minus counters and the ruled line by hand: what is told, refused, named and said. */

const open = (
  problem: string,
  id: RepresentationId,
  mode: Mode = 'alone',
  signed: Partial<SignedChoices> = {},
): Bench =>
  openBench(
    { problem, representation: id, choices: { signed: { ...DEFAULT_CHOICES.signed, ...signed } }, also: ['equations'] },
    mode,
  )
const work = (b: Bench, on: RepresentationId, moves: string): Bench =>
  moves.split('; ').reduce((now, move) => enter(now, { at: 0, on, move }), b)
const last = (b: Bench) => b.now.stones.last!

describe('counters by hand', () => {
  test('a pair is lined up, seen to be worth nothing, and cleared; or left standing', () => {
    let b = work(open('5 + -3', 'signed', 'together'), 'signed', 'lay 5 pluses; lay 3 minuses')
    const before = b.now.stones.length
    b = work(b, 'signed', 'pair 2')
    expect([b.now.stones.length, b.now.standing.value]).toEqual([before, '2'])
    expect(b.now.states.signed).toMatchObject({ plus: 3, minus: 1, pairs: 2 })
    b = work(b, 'signed', 'pair 1; clear 3')
    expect(last(b)).toMatchObject({ step: 'planned', shows: '2' })
    expect(last(b).lines.map((l) => l.equation)).toEqual(['5 + -3 = 2'])
    expect(last(b).say).toContain('Clear away three zero pairs: worth nought.')
    b = work(b, 'signed', 'read 2')
    expect([outcome(b).right, slipsOf(b)]).toEqual([true, []])
    const stands = work(open('5 + -3', 'signed'), 'signed', 'lay 5 pluses; lay 3 minuses; read 2')
    expect([outcome(stands).right, slipsOf(stands)]).toEqual([true, []])
  })

  test('what lies in pairs can be taken, and its other half stays', () => {
    const b = work(open('-3 - 5', 'signed', 'together'), 'signed', 'lay 3 minuses; bring 5 pairs; take 5 pluses')
    expect(b.now.states.signed).toMatchObject({ plus: 0, minus: 8, pairs: 0, taken: { plus: 5, minus: 0 } })
    expect(listed(b.now.stones).map((s) => s.step)).toEqual(['planned', 'planned', 'planned', 'planned'])
    expect(nextAct(b)).toEqual({ kind: 'read', value: '-8' })
  })

  test('as many as are taken are brought in, where the class has it so; enough lie there already: none', () => {
    const acts = (problem: string, signed: Partial<SignedChoices>): readonly string[] =>
      plan({
        problem,
        representation: 'signed',
        choices: { signed: { ...DEFAULT_CHOICES.signed, ...signed } },
      }).steps.flatMap(({ act }) =>
        act.kind === 'exchange' ? [`${act.from[0]?.count ?? 0}-${act.to[0]?.count ?? 0}`] : [],
      )
    expect(acts('3 - 5', {})).toEqual(['0-2'])
    expect(acts('3 - 5', { bring: 'number' })).toEqual(['0-5', '3-0'])
    expect(acts('7 - 5', {})).toEqual([])
    expect(acts('5 + -3', { pairs: 'stand' })).toEqual([])
  })

  test('a number is laid with its pairs, and read as it is', () => {
    const b = work(open('4 with 3 pairs', 'signed'), 'signed', 'lay 7 pluses 3 minuses')
    expect([last(b).step, b.now.standing.value]).toEqual(['planned', '4'])
    const read = work(b, 'signed', 'read 4')
    expect([outcome(read).right, last(read).say]).toEqual([true, 'Four with three zero pairs.'])
    expect(slipsOf(work(b, 'signed', 'read 10'))).toEqual(['counted a pair as two'])
    expect(slipsOf(work(b, 'signed', 'read 7'))).toEqual(['counted a pair as one'])
    expect(attempt(() => open('4 with 3 pairs', 'line'))).toMatchObject({ refused: { reason: /zero pairs/ } })
    expect(printProblem(parseProblem('-4, shown with one pair'))).toBe('-4 with 1 pair')
    expect(attempt(() => parseProblem('4 with 40 pairs'))).toMatchObject({ refused: { reason: /no number of pairs/ } })
  })

  test('too few of a sign, too many for the mat, unlike numbers of both: each is told', () => {
    const b = work(open('-3 - 5', 'signed', 'together'), 'signed', 'lay 3 minuses')
    const refused = (move: string) => attempt(() => enter(b, { at: 0, on: 'signed', move }))
    expect(refused('take 5 pluses')).toMatchObject({
      refused: {
        reason: 'There are no pluses on the mat; 5 are wanted.',
        hint: 'Bring in zero pairs first: bring 5 pairs.',
      },
    })
    expect(refused('bring 19 pairs')).toMatchObject({ refused: { reason: /room for 40/ } })
    expect(refused('pair 1')).toMatchObject({ refused: { reason: /a plus and a minus/ } })
    expect(refused('clear 1')).toMatchObject({ refused: { hint: 'Line them up first: pair 1.' } })
    expect(attempt(() => open('-3 - 25', 'signed'))).toMatchObject({
      refused: { reason: /the line and the rule go further/ },
    })
  })
})

describe('slips have their names in the Daybook', () => {
  test.each([
    [
      '-3 - 5',
      'lay 3 minuses; bring 2 pairs; take 5 minuses; read 2',
      'took the operation sign for the number’s own sign',
    ],
    ['8 - (-4)', 'lay 8 pluses; take 4 pluses; read 4', 'dropped a sign'],
    ['-3 - 5', 'lay 3 minuses; lay 5 pluses; read 2', 'brought in pairs and forgot the other half'],
    [
      '6 + -4',
      'lay 6 pluses; lay 4 minuses; return 4 pluses; return 3 minuses; read 1',
      'cleared unlike numbers of the two signs',
    ],
    ['6 + -4', 'lay 6 pluses; lay 4 minuses; read 10', 'counted a pair as two'],
    ['6 + -4', 'lay 6 pluses; lay 4 minuses; read 6', 'counted a pair as one'],
  ])('%s: %s', (problem, moves, slip) => {
    const b = work(open(problem, 'signed'), 'signed', moves)
    expect(slipsOf(b)).toContain(slip)
    expect(outcome(b).right).toBe(false)
    expect(slipsOf(reopen(recordOf(b)))).toEqual(slipsOf(b))
  })

  test.each([
    ['-3 - 5', 'stand -3; arrow +5; read 2', 'drew the arrow the wrong way'],
    ['4 - 7', 'stand 4; arrow -7 from 0', 'started the second arrow at nought'],
    ['4 - 7', 'stand 4; arrow -7 from 5', 'started an arrow where none ends'],
  ])('on the line, %s: %s', (problem, moves, slip) => {
    expect(slipsOf(work(open(problem, 'line'), 'line', moves))).toContain(slip)
  })

  test('a loose arrow counts for nothing until it is slid to where one stands', () => {
    let b = work(open('4 - 7', 'line', 'together'), 'line', 'stand 4; arrow -7 from 0')
    expect([b.now.standing.value, last(b).owed]).toEqual(['4', expect.stringContaining('Slide it')])
    b = work(b, 'line', 'slide')
    expect([b.now.standing.value, last(b).step, last(b).lines.map((l) => l.equation)]).toEqual([
      '-3',
      'planned',
      ['4 - 7 = -3'],
    ])
  })

  test('an arrow up is just what taking away a minus asks for', () => {
    const b = work(open('8 - (-4)', 'line', 'together'), 'line', 'stand 8; arrow +4')
    expect([last(b).step, last(b).lines.map((l) => l.text)]).toEqual(['planned', ['8 − (−4) = 12']])
    expect(last(b).say).toBe('Take away negative four: up four, to twelve.')
  })

  test.each([
    ['-3 - 5', '2', 'took the operation sign for the number’s own sign'],
    ['8 - (-4)', '4', 'took the number’s own sign for the operation sign'],
    ['-7 + 9', '-2', 'gave the answer the sign of the first number'],
    ['-7 + 3', '10', 'added the sizes although the signs differ'],
    ['-3 + -5', '8', 'dropped a sign'],
    ['-3 - 5', '-8', undefined],
    ['9 - 4', '13', undefined],
  ])('%s answered %s', (problem, given, name) => {
    expect(procedureFor(parseProblem(problem), given as Exact)?.name).toBe(name)
  })
})

test('a guess is kept, held against the answer, replayed, and taken only before it is read', () => {
  let b = open('-3 - 5', 'line', 'together')
  b = enter(b, { at: 0, on: 'bench', move: 'guess -10' })
  b = work(b, 'line', 'stand -3; arrow -5; read -8')
  expect(last(b).say).toContain('The guess was negative ten: two away.')
  expect(reopen(recordOf(b)).now.guess).toBe('-10')
  expect(attempt(() => enter(b, { at: 0, on: 'bench', move: 'guess 3' }))).toMatchObject({
    refused: { reason: /read already/ },
  })
  expect(enter(b, { at: 0, on: 'bench', move: 'undo' }).now.guess).toBe('-10')
  expect(attempt(() => enter(open('1 + 1', 'line'), { at: 0, on: 'bench', move: 'guess much' }))).toMatchObject({
    refused: { reason: /not a number/ },
  })
})

test('whatever hands do on counters and line, the bench accepts what the material does, and Sett finds back', () => {
  const sign = fc.constantFrom('pluses', 'minuses')
  const n = fc.integer({ min: 1, max: 6 })
  const counters = fc.oneof(
    fc.tuple(fc.constantFrom('lay', 'return', 'take', 'give'), n, sign).map(([v, k, s]) => `${v} ${k} ${s}`),
    fc.tuple(fc.constantFrom('pair', 'part', 'clear', 'bring'), n).map(([v, k]) => `${v} ${k}`),
  )
  const arrows = fc.oneof(
    fc
      .tuple(fc.integer({ min: -9, max: 9 }), fc.integer({ min: -9, max: 9 }))
      .map(([by, from]) => `arrow ${by} from ${from}`),
    fc.integer({ min: -9, max: 9 }).map((by) => `arrow ${by}`),
    fc.integer({ min: -9, max: 9 }).map((at) => `stand ${at}`),
    fc.constant('slide'),
  )
  const smaller = fc
    .tuple(fc.integer({ min: -6, max: 6 }), fc.constantFrom('+', '-'), fc.integer({ min: -6, max: 6 }))
    .map(([a, op, b]) => `${a} ${op} (${b})`)
  for (const [id, hand] of [
    ['signed', counters],
    ['line', arrows],
  ] as const)
    fc.assert(
      fc.property(smaller, fc.array(hand, { maxLength: 8 }), (problem, moves) => {
        let b = open(problem, id, 'together')
        for (const move of moves) b = tried(b, id, move)
        if (id === 'signed') expect(onMat(b.now.states.signed as SignedState)).toBeLessThanOrEqual(ROOM)
        expect(REPRESENTATIONS[id].shows(b.now.states[id])).toBe(b.now.standing.value)
        for (const s of listed(b.now.stones))
          for (const { equation } of s.lines)
            if (equation) expect([equation, evaluate(equation.replace('=', '=='))]).toEqual([equation, true])
        // From there the way leads to the end, as far as the mat has room.
        for (let i = 0; i < 40 && nextAct(b); i++) {
          const found = attempt(() => nextMoves(b))
          if ('refused' in found || found.ok.length === 0) break
          for (const move of found.ok) b = tried(b, id, REPRESENTATIONS[id].print(move))
        }
        if (nextAct(b) === null) expect(b.now.standing.read).toBe(b.now.standing.value)
      }),
      { numRuns: 150 },
    )
})

test('what cannot hold a number below nought says so, and what would', () => {
  for (const id of ['blocks', 'chips', 'columns', 'abacus', 'partials', 'fingers'] as const)
    expect([id, attempt(() => open('-3 - 5', id))]).toMatchObject([id, { refused: { reason: /below nought/ } }])
  expect(attempt(() => open('-3 - 5', 'blocks'))).toMatchObject({
    refused: { hint: 'It would fit on: plus and minus counters, number line, open number line.' },
  })
})

test('what Sett says aloud may be typed, and a wrong word is told at its place', () => {
  const b = open('-3 - 5', 'signed', 'together')
  const done = work(b, 'signed', 'put in 3 minuses; bring in 5 zero pairs; take away 5 pluses; read -8')
  expect([outcome(done).right, slipsOf(done)]).toEqual([true, []])
  const paired = work(
    open('2 + -2', 'signed', 'together'),
    'signed',
    'lay 2; lay -2; line up 2 pairs; clear away 2 pairs',
  )
  expect(paired.now.states.signed).toMatchObject({ plus: 0, minus: 0, pairs: 0 })
  for (const [move, why] of [
    ['jump 3', 'have no move “jump”'],
    ['lay 3 tens', '“tens” is not a place here'],
    ['lay', 'does not say how many'],
    ['bring 0', '0 is no number of pairs'],
    ['pair 2 pairs now', '“now” is one word too many'],
    ['read x', 'is not a whole number'],
  ])
    expect([move, attempt(() => enter(b, { at: 0, on: 'signed', move: move! }))]).toMatchObject([
      move,
      { refused: { reason: expect.stringContaining(why!) } },
    ])
})

test('each of the four is foretold up or down, with its reason', () => {
  const foretold = (problem: string) =>
    plan({ problem, representation: 'line' })
      .steps.filter((s) => s.act.kind === 'join' || s.act.kind === 'take')
      .map((s) => [fieldOf(s.act), predictionOf(s.act, '1' as Exact).direction, directionReason(s.act)])
  expect(['2 + 3', '2 + -3', '2 - 3', '2 - -3'].flatMap(foretold)).toEqual([
    ['add-plus', 'up', 'More pluses: up.'],
    ['add-minus', 'down', 'More minuses: down.'],
    ['take-plus', 'down', 'Fewer pluses: down.'],
    ['take-minus', 'up', 'Fewer minuses: up. What pulled down is gone.'],
  ])
  const [, , bring] = plan({ problem: '-3 - 5', representation: 'signed' }).steps
  expect(predictionOf(bring!.act, '-3' as Exact)).toEqual({
    direction: 'same',
    kinds: ['1', '-1'],
    why: 'A plus and a minus together are worth nothing.',
  })
})

test('each story tells the same acts in its own words', () => {
  const told = (story: SignedChoices['story'], problem: string): string =>
    plan({
      problem,
      representation: 'line',
      choices: { signed: { ...DEFAULT_CHOICES.signed, story } },
    }).steps.map((s) => s.say)[2]!
  expect(told('tower', '8 - (-4)')).toContain('Four steps down are taken back: twelve above the ground.')
  expect(told('tower', '3 + -5')).toContain('Down the tower by five: two below the ground.')
  expect(told('tokens', '3 + -5')).toContain('Five tokens more are owed: two owed.')
  expect(told('lamp', '3 - 3')).toContain('A charge of three is undone: neither charged nor short.')
  expect(told('none', '3 - 3')).toBe('Down three, to nought.')
})

test('a number’s own sign is drawn in brackets after an operation, or raised everywhere', () => {
  const lines = (ownSign: SignedChoices['ownSign']): readonly string[] =>
    plan({
      problem: '-3 - -5',
      representation: 'line',
      choices: { signed: { ...DEFAULT_CHOICES.signed, ownSign } },
    }).steps.flatMap((s) => s.lines.map((l) => l.text))
  expect(lines('brackets')).toEqual(['−3', '−3 − (−5)', '−3 − (−5) = 2', '−3 − (−5) = 2'])
  expect(lines('raised')).toEqual(['⁻3', '⁻3 − ⁻5', '⁻3 − ⁻5 = 2', '⁻3 − ⁻5 = 2'])
  expect(printProblem(parseProblem('⁻3 − ⁻5'))).toBe('-3 - -5')
})
