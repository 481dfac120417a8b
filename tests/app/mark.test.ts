import fc from 'fast-check'
import { markOf, MARK_GROUNDS } from '../../core/mark'

/** A learner's mark: four stones in two courses, the same for the same name. */

test('every name has four stones that lie apart within the square, one of them of another colour', () => {
  fc.assert(
    fc.property(fc.string({ minLength: 1, maxLength: 24 }), (name) => {
      const { stones, other, ground } = markOf(name)
      expect(stones).toHaveLength(4)
      expect(stones[other]).toBeDefined()
      expect(ground).toBeGreaterThanOrEqual(0)
      expect(ground).toBeLessThan(MARK_GROUNDS)
      for (const { x, width } of stones) {
        expect(x).toBeGreaterThanOrEqual(5)
        expect(x + width).toBeLessThanOrEqual(37.01)
        expect(width).toBeGreaterThan(5)
      }
      for (const a of stones)
        for (const b of stones)
          if (a !== b && a.y === b.y) expect(a.x + a.width <= b.x || b.x + b.width <= a.x).toBe(true)
      expect(markOf(name)).toEqual({ stones, other, ground })
    }),
  )
})

test('of thirty names hardly any two have the same mark', () => {
  const names = Array.from({ length: 30 }, (_, i) => `Learner ${i}`)
  expect(new Set(names.map((n) => JSON.stringify(markOf(n)))).size).toBeGreaterThanOrEqual(26)
})
