import { DEFAULT_CHOICES } from '../../core/choices'
import { heldBy, holdersOf, parseProblem } from '../../core/index'

/** Which material is offered first for a problem. */

test.each([
  ['84 / 6', 'plates'],
  ['12 * 4', 'groups'],
  ['1/2 + 1/3', 'strips'],
  ['6 * 4', 'fingers'],
] as const)('for %s it is %s', (problem, first) => {
  expect(heldBy(parseProblem(problem), DEFAULT_CHOICES)[0]).toBe(first)
})

test('fingers keep fourteen steps with a ten in the head, and are offered last for it', () => {
  const held = heldBy(parseProblem('84 / 6'), DEFAULT_CHOICES)
  expect(held.at(-1)).toBe('fingers')
  expect(holdersOf(parseProblem('84 / 6'), 'blocks', DEFAULT_CHOICES)[0]).not.toBe('fingers')
})
