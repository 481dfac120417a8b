import { add, divide, multiply, subtract, type Exact } from '../number/exact'
import type { Story } from './tell'
import { solvingOf, suggests, toldOf, type Operation } from './situation'

/**
 * What an answer to a story says of how it was understood: right; chosen by a word that misleads; one of the numbers that were told
 * already; the right numbers worked another way; or none of these (common practice, no source).
 */
export type Understood = 'right' | 'by the word' | 'told already' | 'worked otherwise' | 'otherwise'

const WORK: Readonly<Record<Operation, (a: Exact, b: Exact) => Exact>> = {
  '+': add,
  '-': subtract,
  '*': multiply,
  '/': divide,
}

export function understood(story: Story, given: Exact): Understood {
  const { cell, roles, answer } = story
  const known = toldOf(cell).map((role) => roles[role]!)
  if (answer === null) {
    const whole = roles.whole!
    const rest = subtract(whole, given)
    return rest.startsWith('-') || given.startsWith('-') ? 'otherwise' : 'right'
  }
  if (given === answer) return 'right'
  const [a, b] = known
  const worked = (operation: Operation): readonly Exact[] =>
    a === undefined || b === undefined
      ? []
      : [
          ...(b === '0' && operation === '/' ? [] : [WORK[operation](a, b)]),
          ...(a === '0' && operation === '/' ? [] : [WORK[operation](b, a)]),
        ]
  const word = suggests(cell)
  if (word !== solvingOf(cell)!.operation && worked(word).includes(given)) return 'by the word'
  if (known.includes(given)) return 'told already'
  return (['+', '-', '*', '/'] as const).some((operation) => worked(operation).includes(given))
    ? 'worked otherwise'
    : 'otherwise'
}
