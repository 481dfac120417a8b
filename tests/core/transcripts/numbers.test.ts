import {
  COMMONS,
  enter,
  openBench,
  recordOf,
  REPRESENTATION_IDS,
  REPRESENTATIONS,
  spokenMoves,
  exact,
  everyPayment,
  fewestCoins,
  grouped,
  groupedAlike,
  isDecimal,
  moneyText,
  numbersIn,
  packOf,
  parseNumeral,
  parseProblem,
  predictionOf,
  pretty,
  printExact,
  printNumeral,
  printProblem,
  representationsFor,
  say,
  sayNumeral,
  sayWritten,
  toLatex,
  toMathML,
  translate,
  valueOf,
  waysToPay,
  WORD_SETS,
  amountIn,
  answer,
  CURRENCIES,
  lowestText,
} from '../../../core/index'
import {
  brailleLine,
  CODES,
  readBrf,
  spatialAddition,
  spatialSubtraction,
  toAscii,
  toBrf,
} from '../../../core/braille/index'
import { spokenAct } from '../../../core/record/spoken'
import { features } from '../../../core/problem/features'
import { quotientOf } from '../../../core/problem/problem'
import { inWords } from '../../../core/number/words'
import { fractionText, inCommon, numberText, plainArithmetic } from '../../../core/number/text'
import { approved, saidOf } from './approved'

/** Numbers and problems, as they are typed, written and said. */

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
    'numbers/problems',
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
    'numbers/offers',
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

const VALUES = [
  '0',
  '1',
  '2',
  '7',
  '10',
  '11',
  '13',
  '15',
  '19',
  '20',
  '21',
  '30',
  '45',
  '99',
  '100',
  '101',
  '110',
  '111',
  '200',
  '999',
  '1000',
  '1001',
  '1010',
  '1100',
  '10000',
  '12345',
  '100000',
  '999999',
  '1000000',
  '1000001',
  '20030040',
  '999999999',
  '-1',
  '-21',
  '-300',
  '1/2',
  '1/4',
  '3/4',
  '2/3',
  '5/2',
  '-7/5',
  '7/100',
  '1/10',
  '3/1000',
  '11/12',
  '21/20',
  '1/21',
  '5/100',
]

test('numbers written and said', () => {
  const packs = [
    packOf(WORD_SETS.exchange),
    packOf(WORD_SETS.regroup),
    packOf({ ...WORD_SETS.exchange, english: 'american', negative: 'minus' }),
    packOf({ ...WORD_SETS.exchange, language: 'es' }),
  ]
  approved('numbers/words', [
    ...VALUES.map(
      (v) =>
        `${v}: ${packs.map((p) => say(exact(v), p)).join(' | ')} | ${inWords(exact(v))} | ${printExact(exact(v))} | ${lowestText(exact(v))} | ${isDecimal(exact(v))}`,
    ),
    ...[
      '4/8',
      '1 2/3',
      '2/2',
      '0/5',
      '12/8',
      '-3/4',
      '0.50',
      '7.40',
      '0.05',
      '100.001',
      '1,000',
      '007',
      '-0.5',
      '3 1/4',
      '1/2',
      '6/3',
    ].map(
      (t) =>
        `${t}: ${saidOf(() => packs.map((p) => `${sayNumeral(parseNumeral(t), p)} / ${sayWritten(t, p)}`).join(' | '))} | ${saidOf(() => `${valueOf(parseNumeral(t))} ${printNumeral(parseNumeral(t))}`)}`,
    ),
    ...['', '1..2', '1/', '/2', '--3', '12,34', '1 2', '1234567890', '1/0', 'x'].map(
      (t) => `${t}: ${saidOf(() => printNumeral(parseNumeral(t)))}`,
    ),
    ...['1234567', '1234.5', '-12345', '999', '1000', '0.12345', '12345 + 678'].map(
      (t) =>
        `${t}: ${(['comma', 'thin', 'none'] as const).map((s) => grouped(t, s)).join(' | ')} ; ${groupedAlike([t, '5'], 'comma').join(' ')}`,
    ),
    `${COMMONS.join()} ${inCommon(['5/8', '3/4', '1/2'].map((v) => exact(v))).join(' ')} ${inCommon(['-7/5', '2', '1/3'].map((v) => exact(v))).join(' ')}`,
    ...(
      [
        ['1/2', [['4', '1/8']]],
        [
          '5/4',
          [
            ['1', '1'],
            ['1', '1/4'],
          ],
        ],
        [
          '5/8',
          [
            ['1', '1/2'],
            ['1', '1/8'],
          ],
        ],
        ['-3/4', [['-3', '1/4']]],
        ['3/4', [['1', '1/2']]],
        ['2', [['8', '1/4']]],
      ] as const
    ).map(
      ([v, ps]) =>
        `${v}: ${fractionText(
          exact(v),
          ps.map(([c, u]) => ({ count: Number(c), unit: exact(u) })),
        )}`,
    ),
    ...['740', '5', '-25', '1/2', '100'].map((v) => numberText(exact(v), { worths: [], decimals: 2 })),
    ...['2 2/5 + 1 3/4 = 4 3/20', '1 - -1/2', '2 * 3/4', '3 / 1/2', '5 + 3'].map(plainArithmetic),
  ])
})

const LINES = [
  '52 - 37 = 15',
  '3 × 25',
  '1/2 + 1/3 = 5/6',
  '-3 - -5 = 2',
  '2 2/5',
  '612 = 7 * 87 + 3',
  '5 ? 3',
  '4 > 3',
  '7.40 + 0.5',
  '(1 * 3)/(2 * 3) = 3/6',
  '8 · 9 10 11',
  'read 7',
  'from 37 to 52',
  '1234567 + 1',
  '3 tenths',
  '50 % of 4',
  '½ + x',
]

test('lines in other forms', () => {
  approved(
    'numbers/lines',
    LINES.flatMap((line) => [
      `## ${line}`,
      `${pretty(line)} | ${pretty(line, 'raised')} | ${toLatex(line)}`,
      saidOf(() => toMathML(line)),
      ...CODES.map((code) =>
        saidOf(() => {
          const { cells, unknown } = brailleLine(line, code)
          return `${code}: ${toAscii(cells)} | unknown ${unknown.join(' ')}`
        }),
      ),
      `money ${saidOf(() => String(amountIn(line)))}`,
    ]).concat(
      [
        ['52', '37'],
        ['304', '178'],
        ['7.4', '2.65'],
        ['1000', '1'],
        ['5', '12'],
      ].flatMap(([a, b]) => [
        saidOf(() => JSON.stringify(spatialAddition([a!, b!, '7']))),
        saidOf(() => JSON.stringify(spatialSubtraction(a!, b!))),
      ]),
      JSON.stringify(
        toBrf([
          [['1', '12', '14'], []],
          Array.from({ length: 30 }, () => Array.from({ length: 55 }, (_, i) => (i % 7 === 6 ? '' : '145'))),
        ]),
      ),
      saidOf(() => JSON.stringify(readBrf('ABC\nDE\fGH'))),
      saidOf(() => JSON.stringify(readBrf(`${'A'.repeat(41)}\n`))),
      saidOf(() => JSON.stringify(readBrf('é'))),
    ),
  )
})

test('money', () => {
  const coins = [100, 50, 25, 10, 5, 1]
  approved('numbers/money', [
    ...[0, 1, 4, 5, 37, 99, 100, 137, 999].map(
      (n) =>
        `${n}: ${JSON.stringify(fewestCoins(n, coins))} ${waysToPay(n, coins)} ${JSON.stringify(fewestCoins(n, [50, 20]))}`,
    ),
    ...[7, 30].map((n) => saidOf(() => JSON.stringify(everyPayment(n, coins, 12 as never)))),
    ...Object.entries(CURRENCIES).flatMap(([id, currency]) =>
      [0, 5, 45, 100, 250, 1999].map((n) => `${id} ${n}: ${saidOf(() => moneyText(n as never, currency as never))}`),
    ),
    ...['£2.50', '2.50', '$3', '45p', '45 c', '€1,20', '7', '', 'x', '1.234', '-5', '0.05', '12 tokens'].map(
      (t) => `${t}: ${saidOf(() => String(amountIn(t)))}`,
    ),
  ])
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
  approved('numbers/spoken', [
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
