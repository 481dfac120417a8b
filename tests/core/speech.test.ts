import { EXCHANGE_WORDS, WORD_SETS } from '../../core/choices'
import { inEnglish, packOf } from '../../core/speech/words'
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
  expect(inEnglish(text, packOf('exchange'))).toBe(text)
  expect(inEnglish(text, packOf('regroup'))).toBe('Zero pieces cannot be moved: 3 - 5 is below zero, and zeros stay.')
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
