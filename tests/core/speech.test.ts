import { DEFAULT_CHOICES, EXCHANGE_WORDS, WORD_SETS } from '../../core/choices'
import { inEnglish, packOf } from '../../core/speech/words'
import { exact, ZERO } from '../../core/number/exact'
import { AMERICAN, BRITISH, inWords } from '../../core/number/words'
import { plan } from '../../core/index'
import { predictionOf } from '../../core/speech/predict'
import { layOut, unitFor, blockSize } from '../../app/components/mats/placed/matLayout'
import { NOTHING_OUT, track } from '../../app/components/mats/placed/pieces'
import { gesture } from '../../core/representation/placed/gesture'
import { BLOCKS, blocks } from '../../core/representation/blocks/blocks'
import { parseProblem } from '../../core/problem/parse'

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
  expect(acts[2]).toEqual({ direction: 'same', kinds: ['10', '1'] })
  expect(acts[3]).toEqual({ direction: 'down', kinds: ['1'] })
  // A number worked whole changes the columns whose digit is another afterwards: 95 + 20 = 115.
  expect(foretold('95 + 20', 'hops')[2]).toEqual({ direction: 'up', kinds: ['100', '10'] })
})

describe('the mat', () => {
  const box = { x: 100, y: 50, w: 260, h: 330 }
  test.each([0, 1, 2, 3])('blocks of place %i stay inside their column, however many', (place) => {
    for (const count of [1, 5, 9, 15, 19, 60, 200]) {
      const unit = unitFor([{ place, box, most: Math.max(15, count) }])
      const size = blockSize(place, unit)
      for (const { x, y } of layOut(place, count, box, unit)) {
        expect(x).toBeGreaterThanOrEqual(box.x)
        expect(y).toBeGreaterThanOrEqual(box.y)
        expect(x + size.x).toBeLessThanOrEqual(box.x + box.w)
        expect(y + size.y).toBeLessThanOrEqual(box.y + box.h)
      }
    }
  })

  test('a block carried over keeps its identity; the ones of a broken ten come out of it', () => {
    const start = blocks.start(parseProblem('52 - 37'), DEFAULT_CHOICES)
    const laid = blocks.apply(start, blocks.parse('lay 52'))
    const one = track(NOTHING_OUT, laid)
    const two = track(one, blocks.apply(laid, blocks.parse('break ten')))
    const ten = one.pieces.filter((p) => p.place === 1).at(-1)!
    expect(two.pieces.filter((p) => p.from === ten.id)).toHaveLength(10)
    const held = two.pieces.find((p) => p.place === 0)!
    const three = track(
      two,
      blocks.apply(blocks.apply(laid, blocks.parse('break ten')), blocks.parse('take one')),
      new Set([held.id]),
    )
    expect(three.pieces.find((p) => p.id === held.id)?.zone).toBe('taken')
  })

  test('a gesture is the move a hand means', () => {
    const state = blocks.apply(blocks.start(parseProblem('52 - 37'), DEFAULT_CHOICES), blocks.parse('lay 62'))
    const meant = (...args: [Parameters<typeof gesture>[2], number, Parameters<typeof gesture>[4]]) => {
      const move = gesture(BLOCKS, state, ...args)
      return move && blocks.print(move)
    }
    expect(meant({ zone: 'mat', place: 1 }, 1, { zone: 'mat', place: 0 })).toBe('break ten')
    expect(meant({ zone: 'mat', place: 0 }, 2, { zone: 'taken', place: 1 })).toBe('take 2 ones')
    expect(meant({ zone: 'store', place: 1 }, 1, { zone: 'mat', place: 0 })).toBe('lay 1 ten')
    expect(meant({ zone: 'mat', place: 0 }, 1, { zone: 'mat', place: 0 })).toBeNull()
    expect(() => meant({ zone: 'mat', place: 0 }, 1, { zone: 'mat', place: 1 })).toThrow(
      'It takes 10 ones to make one ten; the mat has 2.',
    )
    expect(() => meant({ zone: 'mat', place: 2 }, 1, { zone: 'mat', place: 0 })).toThrow('not next to each other')
    expect(() => meant({ zone: 'store', place: 0 }, 1, { zone: 'taken', place: 0 })).toThrow(
      'Bring them to the mat first',
    )
  })
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
