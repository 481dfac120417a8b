import { CYLINDER, fitsCylinder } from '../../core/kit/index'

/** The cylinder for small parts: US 16 CFR 1501.4, figure 1 (from memory): 1.25 inches across, 1 to 2.25 inches deep. */

test('the cylinder in inches is the cylinder in millimetres', () => {
  expect(CYLINDER.across).toBeCloseTo(1.25 * 25.4, 0)
  expect(CYLINDER.depth[0]).toBeCloseTo(1 * 25.4, 1)
  expect(CYLINDER.depth[1]).toBeCloseTo(2.25 * 25.4, 0)
})

/** Worked by hand: what goes whole into a tube of 31.7 mm, 57.1 mm deep at its deepest. */
test.each([
  ['a cube of 10 mm', [10, 10, 10], true],
  ['a cube of 22 mm, its face 31.1 mm from corner to corner', [22, 22, 22], true],
  ['a cube of 23 mm, its face 32.5 mm from corner to corner', [23, 23, 23], false],
  ['a rod of 10 by 10 by 50 mm', [10, 10, 50], true],
  ['a rod of 10 by 10 by 100 mm, which stands out of it', [10, 10, 100], false],
  ['a card of 25 by 40 mm, upright', [0.5, 25, 40], true],
  ['a disc of 31 mm', { across: 31, thick: 2 }, true],
  ['a disc of 32 mm', { across: 32, thick: 2 }, false],
] as const)('%s', (_, size, small) => {
  expect(fitsCylinder(size)).toBe(small)
})
