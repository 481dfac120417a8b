import {
  cautionsFor,
  cuttingMinutes,
  handsSay,
  HAND_NEEDS,
  kitFor,
  MADE_OF,
  momentsOf,
  otherMaterials,
  pieceKind,
} from '../../../core/kit/index'
import { REPRESENTATION_IDS, type RepresentationId } from '../../../core/index'
import {
  aimAt,
  aimLine,
  daysNotSeen,
  HELP_ORDER,
  phaseOf,
  reportOf,
  reportText,
  RULES_AT_FIRST,
  sessionsOf,
  sessionsToward,
  slipsByWeek,
  statementOf,
  suggest,
  theilSen,
  toldOfProgress,
  toldOfSeen,
  type Tried,
} from '../../../core/progress/index'
import { byRule, factGrid, grid, nextFact, nextItem, parseFact, printFact } from '../../../core/rehearse/index'
import { factAnswer, FACT_KINDS } from '../../../core/rehearse/facts'
import { firstFinger, isRight, parseItem, printItem, rightAnswer } from '../../../core/rehearse/items'
import { approved, saidOf } from './approve'

/** Kits, rehearsing and progress, as they are told. */

const ASKED: Partial<Record<RepresentationId, string[]>> = {
  plates: ['612 / 7', '96 / 4'],
  coins: ['3 * 25 + 2 * 10', '52 - 37'],
  signed: ['-3 - -5', '-3 + 7'],
  strips: ['3/8 + 2/8', '1/2 + 1/3'],
  groups: ['7 * 8'],
  area: ['37 * 24'],
  counters: ['8 + 7', '9 - 4'],
}

test('kits', () => {
  approved('cupboard/kits', [
    ...REPRESENTATION_IDS.flatMap((id) => {
      const problems = [...(ASKED[id] ?? ['52 - 37', '304 - 178', '38 + 47']), 'rubbish', '1/7 + 1/11']
      const wish = {
        problems,
        representation: id,
        learners: 6,
        sharing: 2,
        spare: 0.1,
        have: { ten: 20, one: 3, plus: 2 },
        packs: [{ name: 'a box', kinds: ['ten', 'one'], size: 50 }],
      }
      return [
        `## ${id}`,
        ...saidOf(() => {
          const kit = kitFor(wish)
          return [
            ...kit.items.map((i) => `${JSON.stringify(i)} ${JSON.stringify(pieceKind(id, i.kind))}`),
            `${kit.sets} sets; ${JSON.stringify(kit.packs)}; short ${JSON.stringify(kit.short)}; cannot ${JSON.stringify(kit.cannot)}; cut ${cuttingMinutes(id, kit.items)}`,
            `instead ${otherMaterials({ ...wish, problems: problems.slice(0, 1) }, () => ({ ten: 5 }))
              .map((o) => `${o.representation}${o.pieces ? '' : ' (no pieces)'}`)
              .join(', ')}`,
            `moments ${momentsOf({ representation: id }, problems[0]!).length}`,
          ].join('\n')
        }).split('\n'),
        ...HAND_NEEDS.map((need) => `${need}: ${JSON.stringify(handsSay(id, [need]))}`),
        `all: ${JSON.stringify(handsSay(id, HAND_NEEDS))}`,
      ]
    }),
    ...[[], Array(201).fill('1 + 1')].map((problems) =>
      saidOf(() => JSON.stringify(kitFor({ problems, representation: 'blocks', learners: 2 }))),
    ),
    ...[0, 401, 1.5].map((learners) =>
      saidOf(() => JSON.stringify(kitFor({ problems: ['1 + 1'], representation: 'blocks', learners }).sets)),
    ),
    ...[{ sharing: 0 }, { spare: -1 }, { spare: 2 }].map((odd) =>
      saidOf(() => JSON.stringify(kitFor({ problems: ['12 + 9'], representation: 'blocks', learners: 3, ...odd }))),
    ),
  ])
})

test('what to be careful about', () => {
  const sizes = [
    null,
    { across: 10, thick: 10 },
    { across: 44, thick: 3 },
    { across: 32, thick: 25 },
    { across: 20, thick: 57 },
    { across: 31.7, thick: 57.1 },
  ]
  approved(
    'cupboard/cautions',
    sizes.flatMap((size) =>
      MADE_OF.flatMap((madeOf) =>
        [2, 3, 5, 6].flatMap((youngest) =>
          [true, false].map(
            (mouths) =>
              `${JSON.stringify(size)} ${madeOf} ${youngest} ${mouths}: ${cautionsFor(size as never, madeOf, {
                youngest,
                mouths,
                allergies: youngest === 5,
              })
                .map((c) => `${c.level} ${c.says} (${c.source})`)
                .join(' ')}`,
          ),
        ),
      ),
    ),
  )
})

const NOW = Date.UTC(2026, 9, 20, 9)
const ITEMS = [
  'rule 6+7',
  'finger 6+7',
  'beads 4+3',
  'rule 3-8',
  'read 407',
  'set 52',
  'fact 7*8',
  'skip 14+7',
  'double 8',
  'half 16',
  'to-10 7',
  'to-100 63',
  'back 12-5',
]
const answers = (n: number) =>
  Array.from({ length: n }, (_, i) => ({
    at: NOW - (n - i) * 3_600_000,
    item: ITEMS[(i * 5) % ITEMS.length]!,
    right: i % 4 !== 1,
    ms: 1500 + ((i * 1700) % 9000),
  }))

test('rehearsing', () => {
  approved('cupboard/rehearsing', [
    ...[...ITEMS, 'rule 0+0', 'read', 'read 0', 'set 123456', 'finger 10+1', 'x'].map((text) =>
      saidOf(() => {
        const item = parseItem(text)
        return `${printItem(item)}: ${saidOf(() => rightAnswer(item))}; ${saidOf(() => firstFinger(item))}; ${['407', 'five', 'ten', 'mixed', 'thumb', 'index', 'rod 0 lower 3 to bar'].map((given) => saidOf(() => String(isRight(item, given)))).join(' ')}`
      }),
    ),
    ...[
      ...ITEMS,
      'fact 0*5',
      'fact 13*2',
      'skip 7+0',
      'skip 201+7',
      'skip 3-7',
      'half 15',
      'to-10 11',
      'to-100 101',
      'back 5-9',
      'double 51',
      'fact  7*8',
    ].map((text) => saidOf(() => `${printFact(parseFact(text))} ${factAnswer(parseFact(text))}`)),
    ...[0, 1, 5, 12, 30].flatMap((n) =>
      FACT_KINDS.map(
        (kind) =>
          `${n} ${kind}: ${saidOf(() => {
            const next = nextFact(answers(n), { kinds: [kind], tables: [2, 7, 9], upTo: 12, range: 15, seed: n }, NOW)
            return next ? printFact(next) : 'none'
          })}`,
      ),
    ),
    ...[0, 1, 5, 12, 30].flatMap((n) =>
      (['rule', 'finger', 'beads', 'read', 'set'] as const).map(
        (kind) =>
          `${n} ${kind}: ${saidOf(() => {
            const next = nextItem(answers(n), { kinds: [kind], rules: ['five', 'ten'], digits: 2, seed: n }, NOW)
            return next ? printItem(next) : 'none'
          })}`,
      ),
    ),
    ...[10, 12].map((upTo) =>
      factGrid(answers(40), upTo as 10, NOW)
        .map((row) => row.map((c) => `${c.tries}/${c.right}${c.state[0]}`).join(' '))
        .join('\n'),
    ),
    ...([1, -1] as const).map((way) =>
      grid(answers(40), way, NOW)
        .map((row) => row.map((c) => JSON.stringify(c)).join(''))
        .join('\n'),
    ),
    JSON.stringify(byRule(answers(40))),
  ])
})

const tried = (shares: readonly number[], help = 'independent', step = 2): Tried[] =>
  shares.flatMap((share, i) => {
    const day = new Date(Date.UTC(2026, 8, 1 + i * step)).toISOString().slice(0, 10)
    return [
      { day, right: true, help, material: i % 2 ? 'blocks' : 'columns', count: share, ms: share * 20_000 },
      { day, right: false, help: 'spoken', material: 'drawn', count: 10 - share, ms: i === 1 ? 0 : 60_000 },
    ].filter((t) => t.count > 0)
  })

test('progress', () => {
  const runs: Readonly<Record<string, Tried[]>> = {
    rising: tried([2, 4, 5, 7, 8, 9, 9]),
    held: tried([8, 9, 8, 10]),
    falling: tried([9, 7, 5, 4, 3, 2]),
    low: tried([3, 4, 2]),
    helped: tried([9, 9, 9, 9], 'pointed'),
    once: tried([5]),
    none: [],
    flat: tried([6, 6, 6, 6, 6, 6, 6, 6]),
  }
  approved('cupboard/progress', [
    ...Object.entries(runs).flatMap(([name, all]) => {
      const sessions = sessionsOf(all)
      const goal = { step: '', share: 0.9, by: '2026-10-01' }
      const line = aimLine(sessions, goal)
      const trend = theilSen(sessions.map((s, x) => ({ x, y: s.share })))
      return [
        `## ${name}`,
        ...sessions.map((s) => JSON.stringify(s)),
        `toward ${sessionsToward(all, { material: 'blocks', help: 'pointed' })
          .map((s) => `${s.alone}/${s.tried}`)
          .join(' ')}; ${sessionsOf(all, 'spoken')
          .map((s) => s.alone)
          .join(' ')}`,
        `aim ${JSON.stringify(line)} ${line ? ['2026-09-01', '2026-09-10', '2026-12-01'].map((d) => aimAt(line, d).toFixed(4)).join(' ') : ''}`,
        `trend ${JSON.stringify(trend)}`,
        toldOfProgress(sessions, trend),
        toldOfProgress(sessions, trend, 20),
        ...[undefined, goal].flatMap((g) =>
          ['2026-09-20', '2026-11-20'].map((today) =>
            JSON.stringify(
              suggest({
                sessions,
                ...(g ? { goal: g } : {}),
                today,
                slips: [
                  { slip: 'forgot the carry', count: 5 },
                  { slip: 'dropped a sign', count: 1 },
                ],
                rules: RULES_AT_FIRST,
              }),
            ),
          ),
        ),
        reportText(
          name,
          reportOf({
            learner: 'Wren',
            from: '1 September',
            to: '1 October',
            parts: [
              { title: 'Add within 20', sessions, goal: '9 of 10 alone' },
              { title: 'Nothing', sessions: [] },
            ],
            slips: [
              { slip: 'forgot the carry', count: 2 },
              { slip: 'dropped a sign', count: 1 },
            ],
            decisions: ['1 September: stay'],
            samples: ['52 − 37 on blocks'],
          }),
        ),
      ]
    }),
    ...[[], ['2026-09-07'], ['2026-09-01', '2026-09-02', '2026-09-21', '2026-09-12']].flatMap((seen) =>
      [
        ['2026-09-01', '2026-09-25'],
        ['2026-09-05', '2026-09-06'],
        ['2020-01-01', '2026-09-25'],
      ].map(([from, to]) => {
        const found = daysNotSeen(seen, from!, to!)
        return `${JSON.stringify(found)} ${toldOfSeen(found, (d) => d)}`
      }),
    ),
    JSON.stringify(slipsByWeek([])),
    ...[2, 6].map((most) =>
      JSON.stringify(
        slipsByWeek(
          ['2026-09-01', '2026-09-09', '2026-09-30', '2026-09-09'].flatMap((day, i) =>
            ['a', 'b', 'c'].map((slip, k) => ({ slip, day, count: i + k })),
          ),
          { most, weeks: 4 },
        ),
      ),
    ),
    JSON.stringify(
      statementOf({
        id: 'x',
        learner: 'Wren',
        startedAt: '2026-09-01T09:00:00Z',
        kind: 'note',
        problem: '',
        material: '',
        mode: 'alone',
        right: true,
        help: HELP_ORDER[1]!,
        durationMs: 12_345,
        slips: [],
      }),
    ),
    JSON.stringify(
      statementOf({
        id: 'x',
        learner: 'Wren',
        startedAt: '2026-09-01T09:00:00Z',
        kind: 'bench',
        problem: '52 - 37',
        material: 'blocks',
        mode: 'together',
        right: false,
        help: 'shown',
        durationMs: 0,
        slips: ['forgot'],
      }),
    ),
    ...[...REPRESENTATION_IDS, '', 'clay'].map((m) => `${m}: ${phaseOf(m)}`),
  ])
})
