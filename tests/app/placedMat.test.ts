import { DEFAULT_CHOICES } from '../../core/choices'
import { layOut, unitFor, blockSize } from '../../app/components/mats/placed/matLayout'
import { NOTHING_OUT, track } from '../../app/components/mats/placed/pieces'
import { gesture } from '../../core/representation/placed/gesture'
import { BLOCKS, blocks } from '../../core/representation/blocks/blocks'
import { parseProblem } from '../../core/problem/parse'

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
    // What no verb names is refused as well.
    for (const [from, to] of [
      ['taken', 'beside'],
      ['beside', 'taken'],
    ] as const)
      expect(() => meant({ zone: from, place: 0 }, 1, { zone: to, place: 0 })).toThrow(
        / do not go from .+ straight to /,
      )
  })
})
