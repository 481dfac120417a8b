import {
  enter,
  openBench,
  recordOf,
  REPRESENTATION_IDS,
  REPRESENTATIONS,
  spokenMoves,
  exact,
  numbersIn,
  parseProblem,
  predictionOf,
  printNumeral,
  printProblem,
  representationsFor,
  translate,
  answer,
} from '../../../core/index'
import { spokenAct } from '../../../core/record/spoken'
import { features } from '../../../core/problem/features'
import { quotientOf } from '../../../core/problem/problem'
import { approved, saidOf } from './approve'

/** Problems as they are typed, which material holds them, and moves in a class's own words. */

const TYPED = [
  ...[
    '52 - 37',
    '52-37',
    '52 − 37 =',
    '52 – 37 = ?',
    ' 52   -  37 ',
    '52 take away 37',
    '52 minus 37',
    '5 plus 3',
    '6 times 7',
  ],
  ...[
    '24 divided by 6',
    '37 × 24',
    '37·24',
    '37 x 24',
    '612 ÷ 7',
    '612 : 7',
    '612/7',
    '612 / 7',
    '3/8',
    '3/8 + 2/8',
    '1 1/2 + 3/4',
  ],
  ...[
    '3 * 2/5',
    '-3 + (-5)',
    '-3 + -5',
    '-3 - (-5)',
    '(52) - 37',
    '3 × 25 + 2 × 10 + 4 × 1',
    '2/3 = ?/12',
    '3/8 ? 4/8',
  ],
  ...[
    'compare 2/3, 3/4',
    'compare 2/3',
    'order 1/2, 2/3, 3/4',
    '4 with 3 pairs',
    '87 without 50',
    '87 without 50 and 25',
    '3 * 25 ? 60',
  ],
  ...[
    '1,234 + 5',
    '1,23 + 5',
    '0.5 + 0.25',
    '.5 + 1',
    '5. + 1',
    '7.',
    '1.2.3',
    '1/0',
    '1/2/3',
    '2 / 3 / 4',
    '12 - 5 - 3',
    '1 + 2 + 3',
  ],
  ...[
    '',
    '+',
    '5 +',
    '+ 5',
    '5 + + 3',
    '5 5',
    'five plus three',
    '2 ^ 3',
    '5 + x',
    '1234567890 + 1',
    '0 - 0',
    '007 + 1',
    '5 = 5',
    '5 + 3 = 8',
  ],
  ...[
    '1 ? 2 ? 3',
    '2/3 = ?',
    '2/3 = ?/0',
    '?/12 = 2/3',
    '4 with pairs',
    '87 without',
    '87 without 3',
    '1e5',
    '٣ + ٤',
    '5 −−3',
    '5 - - 3',
  ],
  ...[
    '(3 + 4) * 2',
    '3 + 4 * 2',
    '2 * 3 + 4',
    '20 / 4 + 3',
    '3 * -5',
    '-12 / 4',
    '1 - 1/3',
    '100 - 99.99',
    '5 % 2',
    `${'1 + '.repeat(120)}1`,
  ],
]

test('problems as they are typed', () => {
  approved(
    'problems/typed',
    TYPED.flatMap((text) => [
      `${text.slice(0, 60)} → ${saidOf(() => {
        const problem = parseProblem(text)
        const quotient = quotientOf(problem)
        return [
          printProblem(problem),
          answer(problem),
          quotient ? `${quotient.value} r ${quotient.remainder}` : '',
          numbersIn(problem).map(printNumeral).join(' '),
          saidOf(() =>
            features(problem)
              .map((f) => JSON.stringify(f))
              .join(' '),
          ),
        ]
          .join(' | ')
          .slice(0, 300)
      })}`,
    ]),
  )
})

test('which material holds which problem, and why not', () => {
  approved(
    'problems/offers',
    [
      '52 - 37',
      '1.25 - 0.5',
      '37 * 24',
      '612 / 7',
      '3/8 + 2/8',
      '-3 - -5',
      '3 * 25 + 2 * 10',
      '87',
      '2/3 = ?/12',
      '3/8 ? 4/8',
      '123456 + 5',
      '99999 * 99',
      '8 + 7',
      '1/7 + 1/11',
      '9 * 4',
      '4 with 3 pairs',
      '12.345 + 1',
      '0 * 5',
      '5 / 0',
    ].flatMap((text) => [
      `## ${text}`,
      ...saidOf(() =>
        representationsFor(text)
          .map(
            (o) =>
              `${o.title}: ${o.fits ? 'fits' : `${o.why}${o.instead.length > 0 ? ` (${o.instead.join(', ')})` : ''}${o.beside ? ' · beside' : ''}`}`,
          )
          .join('\n'),
      ).split('\n'),
    ]),
  )
})

test('moves in a class’s own words, predictions, and work taken to another material', () => {
  const said = [
    ...[
      'lay 52',
      'set out 7 ones',
      'take away 7 ones',
      'take 7',
      'break 1 ten',
      'exchange 1 ten',
      'regroup 10 ones as 1 ten',
    ],
    ...[
      'add 3',
      'and 8 ones',
      '+3',
      '− 37',
      'keep 52',
      'read 15',
      'read 5/8',
      'answer 15',
      'equals',
      'what',
      'take',
      'add 3 eighths',
    ],
    ...[
      'exchange 1 half for 4 eighths',
      'exchange 1 ten 2 ones',
      'lay one',
      'draw 3.5',
      'write 3 tenths',
      'add 0',
      'take 1 thousand',
    ],
  ]
  const materials = ['blocks', 'columns', 'counters', 'strips', 'signed', 'coins'] as const
  const worked = ['lay 52', 'break ten', 'take 7 ones'].reduce(
    (b, move, i) => enter(b, { at: i, on: 'blocks', move }),
    openBench({ problem: '52 - 37', representation: 'blocks' }, 'together'),
  )
  approved('problems/spoken', [
    ...said.flatMap((text) => [
      ...materials.map(
        (id) => `${id} “${text}”: ${saidOf(() => JSON.stringify(spokenAct(text, REPRESENTATIONS[id].units)))}`,
      ),
      `on the bench “${text}”: ${saidOf(() => JSON.stringify(spokenMoves(worked, text)))}`,
    ]),
    ...REPRESENTATION_IDS.map(
      (id) =>
        `to ${id}: ${saidOf(() =>
          recordOf(translate(worked, { problem: '52 - 37', representation: id }))
            .moves.map((m) => m.move)
            .join(' · '),
        )}`,
    ),
    ...(['join', 'take'] as const).flatMap((kind) =>
      ['5', '-5', '1/2'].flatMap((amount) =>
        ['3', '0', '-3'].map(
          (before) =>
            `${kind} ${amount} at ${before}: ${saidOf(() => JSON.stringify(predictionOf({ kind, amount: exact(amount) }, exact(before))))}`,
        ),
      ),
    ),
  ])
})
