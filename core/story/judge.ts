import { multiply, exact, sign, subtract, type Exact } from '../number/exact'
import { WORK, firstOf, handedOn, SITUATIONS, solvingOf, suggests, toldOf, type Operation } from './situation'
import type { Story } from './tell'

/**
 * What an answer to a story says of how it was understood (common practice, no source):
 *
 * - `by the word`: worked as a word suggests that misleads
 * - `told already`: one of the numbers that are told
 * - `first step`: what the first of two steps makes
 * - `not needed`: worked with a number that is not needed
 * - `other side`: right but for the side of nought
 * - `made up`: a number, where nobody can know because one is missing
 * - `worked otherwise`: the right numbers worked another way
 */
export const UNDERSTOOD = [
  'right',
  'by the word',
  'told already',
  'first step',
  'not needed',
  'other side',
  'made up',
  'worked otherwise',
  'otherwise',
] as const
export type Understood = (typeof UNDERSTOOD)[number]

const OPERATIONS: readonly Operation[] = ['+', '-', '*', '/']

/** All that two numbers come to, worked one way, in either order. */
const worked = (operation: Operation, a: Exact, b: Exact): readonly Exact[] =>
  [
    [a, b],
    [b, a],
  ].flatMap(([x, y]) => (operation === '/' && sign(y!) === 0 ? [] : [WORK[operation](x!, y!)]))

/** What a story tells that an answer can be made of. */
export type Judged = Pick<Story, 'cell' | 'roles' | 'before' | 'answer' | 'extra' | 'missing'>

/** The numbers that are told: those of the first step too, and one that is not needed. */
export function toldNumbers({ cell, roles, before, missing }: Judged): readonly Exact[] {
  const first = firstOf(cell)
  return [
    ...(first && before ? toldOf(first).map((role) => before[role]!) : []),
    ...toldOf(cell)
      .filter((role) => role !== missing)
      .map((role) => roles[role]!),
  ]
}

/** `given` is null where it was said that nobody can know. */
export function understood(story: Judged, given: Exact | null): Understood {
  const { cell, roles, before, answer, extra, missing } = story
  if (missing) return given === null ? 'right' : 'made up'
  if (given === null) return 'otherwise'
  if (answer === null) {
    const rest = subtract(roles.whole!, given)
    return sign(rest) < 0 || sign(given) < 0 ? 'otherwise' : 'right'
  }
  // What is over and what is missing are both told without a sign.
  if (given === answer || (cell.situation === 'enough' && multiply(given, exact(-1)) === answer)) return 'right'
  const known = toldNumbers(story)
  const first = firstOf(cell)
  if (first && before && given === before[SITUATIONS[first.situation].roles[2]]) return 'first step'
  const [a, b] = SITUATIONS[cell.situation].roles.filter((role) => role !== cell.unknown).map((role) => roles[role]!)
  const word = suggests(cell)
  if (word !== solvingOf(cell)!.operation && worked(word, a!, b!).includes(given)) return 'by the word'
  if (cell.situation === 'rise' || cell.situation === 'fall')
    if (multiply(given, exact(-1)) === answer) return 'other side'
  if (known.includes(given)) return 'told already'
  if (extra !== undefined) {
    const made = [...known, ...(first ? [roles[handedOn(cell)]!] : []), answer]
    if (given === extra || made.some((x) => OPERATIONS.some((o) => worked(o, x, extra).includes(given))))
      return 'not needed'
  }
  return OPERATIONS.some((o) => worked(o, a!, b!).includes(given)) ? 'worked otherwise' : 'otherwise'
}
