import type { Act } from '../../core/act/act'
import type { Owed } from '../../core/representation/representation'
import { sayOwed } from '../../core/speech/owed'
import { EXCHANGE_WORDS, WORD_SETS } from '../../core/choices'
import { inClassWords } from '../../core/speech/classWords'
import { packOf } from '../../core/speech/words'
import { exact, ZERO } from '../../core/number/exact'
import { AMERICAN, BRITISH, inWords } from '../../core/number/words'
import { plan } from '../../core/index'
import { predictionOf } from '../../core/speech/predict'

test.each([
  ['0', 'nought', 'zero'],
  ['304', 'three hundred and four', 'three hundred four'],
  ['1004', 'one thousand and four', 'one thousand four'],
  ['9999', 'nine thousand nine hundred and ninety-nine', 'nine thousand nine hundred ninety-nine'],
  [
    '999999999',
    'nine hundred and ninety-nine million nine hundred and ninety-nine thousand nine hundred and ninety-nine',
    'nine hundred ninety-nine million nine hundred ninety-nine thousand nine hundred ninety-nine',
  ],
  ['-4', 'negative four', 'negative four'],
  ['5/6', 'five sixths', 'five sixths'],
  ['1/2', 'one half', 'one half'],
])('%s in words', (value, british, american) => {
  expect(inWords(exact(value), BRITISH)).toBe(british)
  expect(inWords(exact(value), AMERICAN)).toBe(american)
})

test('each word pack says the same acts in its own words', () => {
  const said = (words: 'exchange' | 'regroup') =>
    plan({ problem: '52 - 37', representation: 'blocks', choices: { words } }).steps.map((s) => s.say)
  expect(said('exchange')).toEqual([
    'Lay fifty-two: five tens and two ones.',
    'Take away thirty-seven.',
    'Exchange one ten for ten ones. Still fifty-two.',
    'Take away seven ones. Forty-five left.',
    'Take away three tens. Fifteen left.',
    'Fifty-two take away thirty-seven equals fifteen.',
  ])
  expect(said('regroup')[2]).toBe('Regroup one ten as ten ones. Still fifty-two.')
  expect(said('regroup')[5]).toBe('Fifty-two minus thirty-seven equals fifteen.')
})

test('a prediction says the way it goes and the columns that change', () => {
  const foretold = (problem: string, way?: 'hops') => {
    const { steps } = plan({ problem, representation: 'blocks', ...(way ? { way } : {}) })
    return steps.map((s, i) => predictionOf(s.act, steps[i - 1]?.shows ?? ZERO))
  }
  const acts = foretold('52 - 37')
  expect(acts[2]).toEqual({ direction: 'same', kinds: ['10', '1'], why: '' })
  expect(acts[3]).toEqual({ direction: 'down', kinds: ['1'], why: '' })
  // A number worked whole changes the columns whose digit is another afterwards: 95 + 20 = 115.
  expect(foretold('95 + 20', 'hops')[2]).toEqual({ direction: 'up', kinds: ['100', '10'], why: '' })
})

test('an American room hears zero where a British one hears nought', () => {
  const text = 'Nought pieces cannot be moved: 3 - 5 is below nought, and noughts stay.'
  expect(inClassWords(text, packOf('exchange'))).toBe(text)
  expect(inClassWords(text, packOf('regroup'))).toBe(
    'Zero pieces cannot be moved: 3 - 5 is below zero, and zeros stay.',
  )
})

test('every choice of words says an exchange in plain English, and words are chosen one by one', () => {
  const said = (exchange: (typeof EXCHANGE_WORDS)[number], problem = '52 - 37'): string =>
    plan({
      problem,
      representation: 'blocks',
      choices: { words: { ...WORD_SETS.exchange, exchange, ones: 'units' } },
    }).steps.find((s) => s.act.kind === 'exchange')!.say
  expect(EXCHANGE_WORDS.map((w) => said(w))).toEqual([
    'Exchange one ten for ten units. Still fifty-two.',
    'Regroup one ten as ten units. Still fifty-two.',
    'Trade one ten for ten units. Still fifty-two.',
    'Swap one ten for ten units. Still fifty-two.',
    'Rename one ten as ten units. Still fifty-two.',
    'Unbundle one ten into ten units. Still fifty-two.',
  ])
  expect(said('bundle', '17 + 5')).toBe('Bundle ten units into one ten. Still twenty-two.')
})

/** What an unfinished move still needs, word for word, when 52 stood there before. */
const OWED: readonly (readonly [object, string])[] = [
  [
    { kind: 'put-back', pieces: [{ count: 10, unit: '1' }] },
    'That takes 10 away: 42 now. Put back 10 ones to finish the exchange.',
  ],
  [
    { kind: 'carry-off', pieces: [{ count: 1, unit: '10' }] },
    'That brings 10 more: 62 now. Carry 1 ten to the store to finish the exchange.',
  ],
  [{ kind: 'laid', there: '60', asked: '52' }, 'Sixty is there now; the problem starts with fifty-two.'],
  [{ kind: 'false-line', left: '30 + 40', wrote: '60' }, 'Look again: 30 + 40 is not 60.'],
  [{ kind: 'align', by: 1 }, 'Ones under ones: this number stands too far to the left. Pull it 1 square to the right.'],
  [
    { kind: 'align', by: -2 },
    'Ones under ones: this number stands too far to the right. Pull it 2 squares to the left.',
  ],
  [{ kind: 'copy', place: 0, wrote: 6, amount: '37' }, 'Look again at the ones: the number is 37, the square says 6.'],
  [{ kind: 'uneven', plates: [2, 3], short: null }, 'Not the same on every plate yet: plates 2 and 3 wait.'],
  [
    { kind: 'uneven', plates: [4], short: { count: 0, unit: '10' } },
    'That does not go round: plate 4 waits, and no tens are left. Take back what was dealt, and exchange.',
  ],
  [
    { kind: 'uneven', plates: [3, 4], short: { count: 1, unit: '1' } },
    'That does not go round: plates 3 and 4 wait, and one is left. Take back what was dealt, and exchange.',
  ],
  [{ kind: 'mark', mark: 'lessened', place: 1 }, 'The tens digit is struck. Write above it what is left.'],
  [
    { kind: 'mark', mark: 'small-one', place: 0 },
    'One less is written. Put the small 1 before the ones to finish the exchange.',
  ],
  [
    { kind: 'mark', mark: 'strike', place: 1 },
    'Ten more are used here than the column had. Strike the tens digit and write one less, to finish the exchange.',
  ],
  [
    { kind: 'lessen', place: 1, was: 5, wrote: 3 },
    'Look again at the tens: one less than 5 is wanted, the square says 3.',
  ],
  [{ kind: 'carry', place: 1, count: 1, stands: null }, 'The ten is not written yet. Put a carry mark over the tens.'],
  [
    { kind: 'carry', place: 1, count: 2, stands: null },
    'The 2 tens are not written yet. Put a carry mark of 2 over the tens.',
  ],
  [
    { kind: 'carry', place: 1, count: 1, stands: 7 },
    'The ten is not in the answer yet. Strike the 7 in the tens and write one more.',
  ],
  [
    { kind: 'carry', place: 1, count: 2, stands: 7 },
    'The 2 tens are not in the answer yet. Strike the 7 in the tens and write 2 more.',
  ],
  [{ kind: 'carried', place: 0 }, 'A carry mark stands. Write the ones that stay.'],
  [
    { kind: 'carry-unowed', place: 1, column: [3, 4] },
    'Look again at the mark over the tens: the column before it says 3 + 4.',
  ],
  [
    { kind: 'carry-unowed', place: 1, column: [] },
    'Look again at the mark over the tens: the column before it says 0.',
  ],
  [
    { kind: 'look-again', place: 0, wrote: 5, above: 2, operation: '-', below: 7, column: [2, 7] },
    'Look again at the ones: the column says 2 − 7, the square says 5. There are too few to take 7 from: exchange first.',
  ],
  [
    { kind: 'look-again', place: 0, wrote: 5, above: 9, operation: '-', below: 7, column: [9, 7] },
    'Look again at the ones: the column says 9 − 7, the square says 5.',
  ],
  [
    { kind: 'look-again', place: 1, wrote: 5, above: 4, operation: '-', below: 0, column: [4] },
    'Look again at the tens: the column says 4, the square says 5.',
  ],
  [
    { kind: 'look-again', place: 0, wrote: 5, above: 2, operation: '+', below: 7, column: [1, 2, 7] },
    'Look again at the ones: the column says 1 + 2 + 7, the square says 5.',
  ],
  [
    { kind: 'half-pair', plus: 4, minus: 3 },
    '1 plus went without a partner: 52 now. Clear 1 minus with it, or put it back.',
  ],
  [
    { kind: 'half-pair', plus: 1, minus: 3 },
    '2 minuses went without a partner: 52 now. Clear 2 pluses with them, or put them back.',
  ],
  [
    { kind: 'loose-arrow', from: '0', here: '4' },
    'The arrow starts at 0, and one stands at 4. Slide it: each arrow starts where the one before it ends.',
  ],
  [{ kind: 'nothing' }, ''],
]
test.each(OWED)('owed: %j', (owed, said) => {
  const ten = { amount: exact(10), pieces: [{ count: 1, unit: exact(10) }] }
  const kind = (owed as Owed).kind
  const soFar: readonly Act[] =
    kind === 'put-back' ? [{ kind: 'take', ...ten }] : kind === 'carry-off' ? [{ kind: 'join', ...ten }] : []
  expect(sayOwed(owed as Owed, soFar, exact(52), packOf('exchange'))).toBe(said)
})
