import {
  COMMONS,
  exact,
  everyPayment,
  fewestCoins,
  grouped,
  groupedAlike,
  isDecimal,
  moneyText,
  packOf,
  parseNumeral,
  pretty,
  printExact,
  printNumeral,
  say,
  sayNumeral,
  sayWritten,
  toLatex,
  toMathML,
  valueOf,
  waysToPay,
  WORD_SETS,
  amountIn,
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
import { inWords } from '../../../core/number/words'
import { fractionText, inCommon, numberText, plainArithmetic } from '../../../core/number/text'
import { approved, saidOf } from './approve'

/** Numbers, lines and money, as they are written and said. */

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
