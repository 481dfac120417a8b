import type { ExchangeAct, ShareAct } from '../act/act'
import type { DivisionChoices } from '../choices'
import { exact, multiply, subtract, timesIn, type Exact } from '../number/exact'
import { digitsOf, placeOfUnit } from '../number/places'
import { quotientOf, type Problem } from '../problem/problem'
import type { Owed } from '../representation/representation'
import { capital, named, say, type WordPack } from './words'

/** What is said of long division: the four steps of its loop in the class's own names (practice, section 13). */

/** What these words are chosen by. */
interface Loop {
  readonly problem: Problem
  readonly pack: WordPack
  readonly steps?: DivisionChoices['steps']
  /** What each has so far; undefined before anything has been shared. */
  readonly shared?: Exact
}

const USUAL: DivisionChoices['steps'] = ['divide', 'multiply', 'subtract', 'bring down']

/** One turn: “Divide: eight sevens in sixty-one. Multiply: eight sevens are fifty-six. Subtract: five left.” */
export function turnInWords({ each, among }: ShareAct, before: Exact, { pack, steps = USUAL }: Loop): string {
  const [only] = each
  if (!only) return ''
  const stands = exact(timesIn(before, only.unit).times)
  const count = exact(only.count)
  if (only.count < 0) return `Strike it: ${say(exact(-only.count), pack)} fewer over this digit.`
  const product = multiply(count, among)
  const [groups, by] = [say(count, pack), say(among, pack)]
  return [
    `${capital(steps[0])}: how many times ${by} in ${say(stands, pack)}? ${capital(groups)}.`,
    `${capital(steps[1])}: ${groups} times ${by} ${pack.equals} ${say(product, pack)}.`,
    `${capital(steps[2])}: ${say(stands, pack)} ${pack.take} ${say(product, pack)} ${pack.equals} ${say(subtract(stands, product), pack)}.`,
  ].join(' ')
}

/** The card moves on: what is worked next, and the 0 that stands where no group fitted. */
export function broughtInWords(
  { to }: ExchangeAct,
  before: Exact,
  { problem, pack, steps = USUAL, shared }: Loop,
): string {
  const quotient = quotientOf(problem)
  const [lower] = to
  if (!quotient || !lower) return ''
  const next = say(exact(timesIn(before, lower.unit).times), pack)
  const place = placeOfUnit(lower.unit)! + 1
  const stands = say(exact(timesIn(before, multiply(lower.unit, exact(10))).times), pack)
  const none = (digitsOf(quotient.value, place + 1)[place] ?? 0) === 0
  const by = say(quotient.by, pack)
  if (none && shared === undefined) return `${capital(stands)} is less than ${by}: the card moves on. Now ${next}.`
  const zero = none ? `${capital(stands)} is less than ${by}: write ${say(exact(0), pack)} in the quotient. ` : ''
  return `${zero}${capital(steps[3])} the next digit: ${next}.`
}

type OfDivision = Extract<Owed, { kind: 'turn' | 'too-many' | 'still-fits' | 'zero-left' }>
export const isOfDivision = (owed: Owed): owed is OfDivision =>
  ['turn', 'too-many', 'still-fits', 'zero-left'].includes(owed.kind)

/** What a turn still needs, or what is wrong with it. */
export function sayTurnOwed(owed: OfDivision, pack: WordPack, steps: DivisionChoices['steps'] = USUAL): string {
  switch (owed.kind) {
    case 'turn':
      return owed.step === 'multiply'
        ? `${capital(steps[1])}: ${owed.digit} × ${owed.by}, and write it under ${owed.stands}.`
        : `${capital(steps[2])}: ${owed.stands} − ${owed.digit * owed.by}.`
    case 'too-many':
      return `${owed.product} is more than ${owed.stands}: that is a group too many. Take the last finger back.`
    case 'still-fits':
      return `${owed.left} is left, and another ${owed.by} still fits into it: the remainder has to be smaller than ${owed.by}.`
    case 'zero-left':
      return `Nothing stands over the ${named(owed.place, 2, pack)}. Between digits of the quotient a 0 keeps the place.`
  }
}
