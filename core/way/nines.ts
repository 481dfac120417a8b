import { isRead, owing } from '../act/standing'
import { divide, exact, negate, sign } from '../number/exact'
import { fingerOf } from '../problem/nines'
import type { Way } from './way'

/**
 * The nines on ten fingers: fold the finger of the number; those before it are tens, those after it ones, since
 * 9n = 10(n − 1) + (10 − n) (practice, section 2; common practice, no source).
 */
export const nines: Way = {
  id: 'nines',
  title: 'fold a finger',
  school: 'Fold the finger of the number: the fingers before it are tens, those after it ones.',
  at: 'Ten fingers, numbered from the left; it holds for nines and for nothing else.',
  sort: 'nines',
  aim: 'groups',
  suits: (p) => fingerOf(p) !== undefined,
  next: (problem, s) => {
    const nine = exact(9)
    const n = fingerOf(problem)!
    if (sign(s.value) === 0) return { kind: 'group', count: exact(n), size: nine }
    // Another finger than the one asked for is unfolded first.
    if (sign(owing(s)) !== 0) return { kind: 'group', count: negate(divide(s.value, nine)), size: nine }
    return isRead(s) ? null : { kind: 'read', value: s.value }
  },
}
