import fc from 'fast-check'
import { BAR, beadSpots, layFrame } from '../../core/representation/abacus/layout'
import { placesOf } from '../../app/utils/lit'
import { DEFAULT_CHOICES } from '../../core/choices'
import { plan } from '../../core/plan/plan'
import { parseProblem } from '../../core/problem/parse'
import { setting, type AbacusState } from '../../core/representation/abacus/frame'
import { REPRESENTATIONS } from '../../core/representation/index'

const FRAMES = ['abacus', 'two-five', 'frame'] as const
const state = fc
  .tuple(fc.constantFrom(...FRAMES), fc.array(fc.nat(9), { minLength: 1, maxLength: 13 }))
  .map(([id, digits]): AbacusState => {
    const choices = { ...DEFAULT_CHOICES, abacus: { ...DEFAULT_CHOICES.abacus, rods: digits.length } }
    const empty = REPRESENTATIONS[id].start(parseProblem('1'), choices) as AbacusState
    return { ...empty, rods: digits.map((d) => setting(d, empty.beads)) }
  })
const space = fc.record({ w: fc.integer({ min: 300, max: 1400 }), h: fc.integer({ min: 260, max: 900 }) })

test('beads never overlap, stay on the frame, and those that count touch the bar', () => {
  fc.assert(
    fc.property(state, space, (s, room) => {
      const layout = layFrame(s, room)
      const spots = beadSpots(s, layout)
      expect(spots).toHaveLength(s.rods.length * (s.beads.upper + s.beads.lower))
      const along = (spot: { x: number; y: number }): number => (layout.across ? spot.x : spot.y)
      for (let rod = 0; rod < s.rods.length; rod++) {
        const own = spots.filter((b) => b.rod === rod).sort((a, b) => along(a) - along(b))
        for (const [i, b] of own.entries()) {
          expect(along(b)).toBeGreaterThanOrEqual(-0.01)
          expect(along(b) + layout.bead).toBeLessThanOrEqual((layout.across ? layout.width : layout.height) + 0.01)
          if (i > 0) expect(along(b) - along(own[i - 1]!)).toBeGreaterThanOrEqual(layout.bead - 0.01)
        }
        // Reading what touches the bar, or what touches what touches it, gives the digit back.
        let [edge, lower] = [layout.bar + BAR, 0]
        for (const b of own.filter((x) => x.bead === 'lower'))
          if (Math.abs(along(b) - edge) < 0.01) {
            lower += 1
            edge += layout.bead
          }
        expect(lower).toBe(s.rods[rod]!.lower)
      }
    }),
  )
})

test('what a finger must hit is at least 44 pixels along or across the rod', () => {
  fc.assert(
    fc.property(state, space, (s, room) => {
      const { rod, bead, across } = layFrame(s, room)
      expect(rod).toBeGreaterThanOrEqual(44)
      if (across) expect(bead).toBeGreaterThanOrEqual(44)
    }),
  )
})

test('a frame that is only looked at fits into little room', () => {
  fc.assert(
    fc.property(state, (s) => {
      if (s.rods.length > 5) return
      const { width, height } = layFrame(s, { w: 330, h: 150 }, false)
      expect(width).toBeLessThanOrEqual(330)
      expect(height).toBeLessThanOrEqual(150)
    }),
  )
})

test('a digit lights its own rod and those that it sets off', () => {
  const lit = plan({ problem: '99 + 1', representation: 'abacus' }).steps.map((s) => [...placesOf(s.act)].sort())
  expect(lit.at(-2)).toEqual([0, 1, 2])
  expect(
    plan({ problem: '33 + 4', representation: 'abacus' })
      .steps.map((s) => placesOf(s.act))
      .at(-2),
  ).toEqual([0])
})
