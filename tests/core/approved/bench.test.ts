import {
  enter,
  exact,
  sayAct,
  standingFor,
  tellingOf,
  handsOf,
  isToldIn,
  matchOf,
  sayMatch,
  WORD_SETS,
  type Act,
  listed,
  nextAct,
  openBench,
  outcome,
  parseProblem,
  plan,
  REPRESENTATION_IDS,
  REPRESENTATIONS,
  slipsOf,
  waysFor,
  type Bench,
  type Choices,
  type RepresentationId,
} from '../../../core/index'
import { performIn } from '../../../core/representation/representation'
import { labelOf } from '../../../core/speech/index'
import { nextOf } from '../../../core/way/index'
import { packFor, setUp } from '../../../core/plan/setup'
import { approved, chances, saidOf } from './approve'

/** Every material as a teacher would read it: what each way does, and what hands do that stray from it. */

const PROBLEMS = [
  ...['52 - 37', '38 + 47', '304 - 178', '1.25 - 0.5', '8 + 7', '12 - 5', '476 + 358 + 9', '6.4 + 0.85'],
  ...['612 / 7', '96 / 4', '37 * 24', '7 * 8', '9 * 4', '3 * 25 + 2 * 10', '3/8 + 2/8', '1/2 + 1/3', '2 2/5 - 1 3/4'],
  ...['-3 - -5', '-3 + 7', '4 with 3 pairs', '2/3 = ?/12', '3/8 ? 4/8', '3 * 25 ? 60', '87', '87 without 50'],
]
const SPANISH: Partial<Choices> = { words: { ...WORD_SETS.exchange, language: 'es' } }
/** Everything that a class may choose, otherwise than at first. */
const OTHERWISE: Partial<Choices> = {
  words: {
    exchange: 'trade',
    ones: 'units',
    plus: 'plus',
    minus: 'minus',
    equals: 'makes',
    english: 'american',
    negative: 'minus',
  },
  signed: {
    bring: 'number',
    pairs: 'stand',
    from: 'nought',
    marks: 'blank',
    ruled: 0,
    ownSign: 'raised',
    story: 'tower',
    estimate: true,
  },
  parts: { common: 'product', form: 'units', estimate: true },
  abacus: { rods: 0, right: 1, order: 'ones', first: 'complement', hands: 'both', names: 'partner', frameBeads: 9 },
}

const held = (id: RepresentationId): readonly string[] =>
  PROBLEMS.filter((p) => REPRESENTATIONS[id].fits(parseProblem(p)).fits && waysFor(p, id).length > 0)

/** A plan as it is read out, with what a page and a column sheet beside it do. */
function planned(problem: string, representation: RepresentationId, way: string, choices?: Partial<Choices>): string[] {
  const request = { problem, representation, way: way as never, also: ['equations', 'columns'] as const, choices }
  const lines = [`## ${problem} · ${way}${choices ? ' · otherwise' : ''}`]
  try {
    const setup = setUp(request as never)
    for (const { act, say, lines: written, moves, waiting, detail } of plan(request as never).steps) {
      lines.push(`${labelOf(act, packFor(setup), handsOf(setup), setup.units)}: ${say}`)
      for (const { text, equation, beside } of written)
        lines.push(`    ${beside ? '… ' : ''}${text}${equation && equation !== text ? `   [${equation}]` : ''}`)
      for (const [id, made] of Object.entries(moves))
        if (id !== 'equations' && made.length > 0)
          lines.push(`    ${id}: ${made.map((m) => REPRESENTATIONS[id as RepresentationId].print(m)).join(' · ')}`)
      for (const [id, why] of Object.entries(waiting)) lines.push(`    ${id} waits: ${why}`)
      if (detail) lines.push(`    ${JSON.stringify(detail)}`)
    }
  } catch (error) {
    lines.push(`✗ ${(error as Error).message}`)
  }
  return lines
}

/** What a hand does that knows the words and not the work: what is made of each move, or why it is refused. */
function strayed(problem: string, id: RepresentationId, seed: number, count: number): string[] {
  const pick = chances(seed)
  const r = REPRESENTATIONS[id]
  const own = [...r.example.split(' · '), 'read 15', 'unread']
  let bench: Bench = openBench({ problem, representation: id, also: ['equations'] }, seed % 2 ? 'together' : 'alone')
  const lines = [`## ${problem} · a hand that strays`]
  for (let i = 0; i < count; i++) {
    // Every third move is what the way asks for.
    const act = i % 3 === 0 ? nextAct(bench) : null
    const [planned] = act ? movesOf(r, bench.now.states[id], act) : []
    const move =
      planned ?? pick(own).replace(/\d+/g, () => pick(['0', '1', '2', '3', '4', '5', '7', '8', '9', '10', '12', '15']))
    const said = saidOf(() => {
      const before = bench.now.stones.length
      bench = enter(bench, { at: i, on: id, move })
      const stone = bench.now.stones.last
      if (!stone) return 'nothing yet'
      const { label, say, lines: written, step, slip, owed } = stone
      return [
        `${bench.now.stones.length > before ? '' : '(the same) '}${label}${step === 'planned' ? '' : `, ${step}`}`,
        say === owed ? '' : say,
        owed && `owed: ${owed}`,
        written.map((l) => l.text).join('; '),
        slip && `slip: ${slip}`,
      ]
        .filter(Boolean)
        .join(' | ')
    })
    lines.push(`${move} → ${said}`)
  }
  const { finished, right } = outcome(bench)
  lines.push(`${finished ? (right ? 'right' : 'wrong') : 'not finished'}: ${slipsOf(bench).join(', ') || 'no slips'}`)
  lines.push(listed(bench.now.stones).length + ' stones')
  return lines
}

function movesOf(r: (typeof REPRESENTATIONS)[RepresentationId], state: unknown, act: Act): string[] {
  try {
    return performIn(r, state, act).map((m) => r.print(m))
  } catch {
    return []
  }
}

/** What every other material does that can stand beside, as the plan goes. */
function inStep(problem: string, id: RepresentationId): string[] {
  const setup = setUp({ problem, representation: id, also: REPRESENTATION_IDS.filter((other) => other !== id) })
  const lines = [`## ${problem} · in step`]
  for (const { act, moves, waiting } of plan({ problem, representation: id, also: setup.all }).steps) {
    lines.push(labelOf(act, packFor(setup), handsOf(setup), setup.units))
    for (const [other, made] of Object.entries(moves) as [RepresentationId, readonly unknown[]][])
      if (made.length > 0) lines.push(`    ${other}: ${made.map((m) => REPRESENTATIONS[other].print(m)).join(' · ')}`)
    for (const [other, why] of Object.entries(waiting)) lines.push(`    ${other} waits: ${why}`)
  }
  return lines
}

/** Two materials by hand, one of which strays: what is said of how they agree. */
function inBoth(
  problem: string,
  main: RepresentationId,
  both: RepresentationId,
  seed: number,
  choices?: Partial<Choices>,
): string[] {
  const pick = chances(seed)
  let bench = openBench({ problem, representation: main, both, ...(choices ? { choices } : {}) }, 'together')
  const lines = [`## ${problem} · ${main} and ${both}`]
  for (let i = 0; i < 60; i++) {
    const on = pick([main, both])
    const r = REPRESENTATIONS[on]
    const moment = on === main ? bench.now : bench.now.second!
    const act = pick([true, true, false]) ? nextOf(bench.setup, moment.standing) : null
    const [planned] = act ? movesOf(r, moment.states[on], act) : []
    const move =
      planned ?? pick(r.example.split(' · ')).replace(/\d+/g, () => pick(['1', '2', '3', '5', '7', '15', '52']))
    const said = saidOf(() => {
      bench = enter(bench, { at: i, on, move })
      const found = matchOf(bench)
      return found ? sayMatch(found, packFor(bench.setup)).join(' / ') : ''
    })
    lines.push(`${on}: ${move} → ${said}`)
  }
  return lines
}

/** Acts of every kind, said and labelled. */
const ACTS: readonly Act[] = [
  { kind: 'lay', amount: exact(52) },
  { kind: 'lay', amount: exact(8), inHead: true },
  { kind: 'join', amount: exact(7), pieces: [{ count: 7, unit: exact(1) }] },
  { kind: 'join', amount: exact(7), said: [exact(9), exact(10)] },
  { kind: 'take', amount: exact(30), pieces: [{ count: 3, unit: exact(10) }] },
  { kind: 'take', amount: exact('-5') },
  { kind: 'pose', operation: '+', amount: exact(7) },
  { kind: 'pose', operation: '-', amount: exact('-7') },
  { kind: 'pose', operation: '-', amount: exact(37), leaves: true },
  { kind: 'exchange', from: [{ count: 1, unit: exact(10) }], to: [{ count: 10, unit: exact(1) }] },
  { kind: 'exchange', from: [{ count: 20, unit: exact(1) }], to: [{ count: 2, unit: exact(10) }] },
  {
    kind: 'exchange',
    from: [],
    to: [
      { count: 2, unit: exact(1) },
      { count: 2, unit: exact(-1) },
    ],
  },
  { kind: 'exchange', from: [{ count: 1, unit: exact('1/2') }], to: [{ count: 4, unit: exact('1/8') }], aside: 0 },
  { kind: 'split', whole: exact(52), parts: [exact(50), exact(2)] },
  { kind: 'gather', whole: exact(52), parts: [exact(50), exact(2)] },
  { kind: 'read', value: exact(15) },
  { kind: 'read', value: exact(87), remainder: exact(3) },
  { kind: 'read', value: exact('2/3'), as: '8/12' },
  { kind: 'begin', from: exact(8), step: exact(1), to: exact(15), times: null },
  { kind: 'begin', from: exact(0), step: exact(7), to: null, times: exact(8) },
  { kind: 'begin', from: exact(56), step: exact(-7), to: exact(0), times: null },
  { kind: 'count', by: exact(7), word: exact(14) },
  { kind: 'count', by: exact(-1), word: exact(3) },
  { kind: 'group', count: exact(7), size: exact(8) },
  { kind: 'group', count: exact(-1), size: exact(8) },
  { kind: 'share', each: [{ count: 8, unit: exact(10) }], among: exact(7) },
  { kind: 'beside', amount: exact('1/2'), pieces: [{ count: 2, unit: exact('1/4') }], row: 1 },
  { kind: 'compare', numbers: ['3/8', '4/8'], relations: ['<'] },
  { kind: 'compare', numbers: ['1/2', '2/4', '1/4'], relations: ['=', '>'] },
]

test('acts of every kind, said in every class', () => {
  const classes: Readonly<Record<string, Partial<Choices> | undefined>> = {
    usual: undefined,
    otherwise: OTHERWISE,
    spanish: SPANISH,
  }
  const benches = [
    ['52 - 37', 'blocks'],
    ['8 + 7', 'counters'],
    ['-3 - -5', 'signed'],
    ['3/8 + 2/8', 'strips'],
    ['612 / 7', 'plates'],
    ['52 - 37', 'openline'],
    ['3 * 25 + 2 * 10', 'coins'],
  ] as const
  approved(
    'acts',
    Object.entries(classes).flatMap(([name, choices]) =>
      benches.flatMap(([problem, representation]) => {
        const setup = setUp({ problem, representation, ...(choices ? { choices } : {}) })
        const standing = standingFor(setup)
        const pack = packFor(setup)
        return [
          `## ${name} · ${problem} · ${representation}`,
          ...ACTS.map((act) =>
            saidOf(() => {
              const label = labelOf(act, pack, handsOf(setup), setup.units)
              const told = (before: string): string =>
                sayAct(act, exact(before), { ...tellingOf(setup, standing, act), where: 'mat' })
              return `${label} | ${told('0')} | ${told('52')}`
            }),
          ),
        ]
      }),
    ),
  )
})

test('two by hand', () => {
  approved('both', [
    ...inBoth('52 - 37', 'blocks', 'columns', 1),
    ...inBoth('38 + 47', 'chips', 'openline', 2),
    ...inBoth('1.25 - 0.5', 'abacus', 'columns', 3),
    ...inBoth('-3 - -5', 'signed', 'line', 4),
    ...inBoth('3/8 + 2/8', 'strips', 'vessel', 5),
    ...inBoth('8 + 7', 'counters', 'fingers', 6),
    ...inBoth('52 - 37', 'blocks', 'columns', 7, SPANISH),
    ...inBoth('38 + 47', 'columns', 'chips', 8, SPANISH),
    ...inBoth('304 - 178', 'drawn', 'blocks', 9),
  ])
})

test.each(REPRESENTATION_IDS.filter((id) => id !== 'equations'))('%s', (id) => {
  const problems = held(id)
  const lines = problems
    .slice(0, 4)
    .flatMap((problem, i) =>
      waysFor(problem, id).flatMap(({ way }) => [
        ...planned(problem, id, way),
        ...(i === 0 ? planned(problem, id, way, OTHERWISE) : []),
      ]),
    )
  for (const [i, problem] of problems.slice(0, 3).entries()) lines.push(...strayed(problem, id, i + 1, 36))
  if (problems[0]) lines.push(...inStep(problems[0], id))
  if (isToldIn('es', id))
    for (const problem of problems.slice(0, 2))
      lines.push(...planned(problem, id, waysFor(problem, id)[0]!.way, SPANISH))
  approved(`bench/${id}`, lines)
})
