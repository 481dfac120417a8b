import { add, negate, sign, sizeOf, type Exact } from '../number/exact'
import { valueOf } from '../number/numeral'
import { answer, isChain, WORKED, type Problem } from '../problem/problem'
import { comingTo, type Procedure } from './procedure'

/** Mistaken ways of adding and taking away plus and minus (practice, sections 10 and 14; common practice, no source). */

/** The two numbers of a problem of one step, with its operation. */
function step(problem: Problem): { readonly a: Exact; readonly b: Exact; readonly operation: '+' | '-' } | null {
  const [term, more] = problem.terms
  if (!isChain(problem) || !term || more) return null
  return { a: valueOf(problem.first), b: valueOf(term.number), operation: term.operation as '+' | '-' }
}

/** What a mistaken way comes to; only where some number or the answer is below nought. */
const wrongly =
  (work: (of: { a: Exact; b: Exact; operation: '+' | '-' }) => readonly (Exact | null)[]): Procedure['computes'] =>
  (problem) => {
    const of = step(problem)
    return of && [of.a, of.b, answer(problem)].some((n) => sign(n) < 0) ? comingTo(work(of)) : []
  }

export const operationAsOwn: Procedure = {
  id: 'operation-as-own',
  name: 'took the operation sign for the number’s own sign',
  computes: wrongly(({ a, b, operation }) => (operation === '-' && sign(b) > 0 ? [WORKED['-'](a, negate(b))] : [])),
}
export const ownAsOperation: Procedure = {
  id: 'own-as-operation',
  name: 'took the number’s own sign for the operation sign',
  computes: wrongly(({ a, b, operation }) => (operation === '-' && sign(b) < 0 ? [WORKED['-'](a, sizeOf(b))] : [])),
}
export const signOfFirst: Procedure = {
  id: 'sign-of-first',
  name: 'gave the answer the sign of the first number',
  computes: wrongly(({ a, b, operation }) => {
    const right = WORKED[operation](a, b)
    return sign(a) === 0 || sign(right) === sign(a) ? [] : [negate(right)]
  }),
}
export const addsSizes: Procedure = {
  id: 'adds-sizes',
  name: 'added the sizes although the signs differ',
  computes: wrongly(({ a, b, operation }) => {
    const plus = operation === '-' ? negate(b) : b
    const both = add(sizeOf(a), sizeOf(b))
    return sign(a) * sign(plus) < 0 ? [both, negate(both)] : []
  }),
}
export const dropsSign: Procedure = {
  id: 'drops-sign',
  name: 'dropped a sign',
  computes: wrongly(({ a, b, operation }) => {
    const work = WORKED[operation]
    const right = work(a, b)
    return [work(sizeOf(a), sizeOf(b)), work(sizeOf(a), b), work(a, sizeOf(b)), sizeOf(right)]
  }),
}
