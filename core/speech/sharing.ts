import type { Act } from '../act/act'
import { ZERO, type Exact } from '../number/exact'
import { printExact } from '../number/numeral'
import { formOf } from '../number/words'
import { isAnswer, type Problem } from '../problem/problem'
import type { HandWords } from '../representation/representation'
import { capital, say, type WordPack } from './words'

/** What is said of sharing out: plates filled one by one, and how the quotient was read. */

interface OfSharing {
  readonly problem: Problem
  readonly pack: WordPack
  readonly where?: string
  readonly shared?: Exact
  readonly hands?: HandWords | undefined
}

/** Plates filled, and what is left for more of them; a plate that is not full is told as that. */
export function filledInWords({ each, among }: Extract<Act, { kind: 'share' }>, now: string, pack: WordPack): string {
  const [plates, left] = [each[0]?.count ?? 0, `${capital(now)} left in hand.`]
  if (plates < 0) return `A plate is emptied. ${left}`
  if (plates === 1) return `${capital(say(among, pack))} on a plate. ${left}`
  return `${capital(say(plates, pack))} plates with ${say(among, pack)} on each. ${left}`
}
export const fillLabel = ({ each, among }: Extract<Act, { kind: 'share' }>): string =>
  (each[0]?.count ?? 0) < 0 ? 'empty a plate' : `${each[0]?.count ?? 0} × ${printExact(among)} on a plate`

/** How a sharing was read, `asked` being the question in words: right; too early; or not what each has, or what is left. */
export function shareInWords(
  read: Extract<Act, { kind: 'read' }>,
  left: Exact,
  asked: string,
  { problem, pack, where = 'mat', shared = ZERO, hands }: OfSharing,
): string {
  const told = read.remainder ?? ZERO
  const each = hands?.fills ? formOf(Number(read.value), ['group', 'groups']) : 'each'
  const right = isAnswer(problem, read.value, told)
  const over = told === ZERO ? 'nothing left over' : `${say(told, pack)} left over`
  if (right && shared === read.value)
    return `${capital(asked)} ${pack.equals} ${say(read.value, pack)} ${each}, and ${over}.`
  if (right)
    return `${capital(say(read.value, pack))} ${each}, and ${over}, is right. The ${where} does not show it yet.`
  if (read.value === shared && read.remainder === undefined)
    return `${capital(say(read.value, pack))} ${each} is right so far. Say what is left over, too.`
  if (read.value === shared && told === left)
    return `Read: ${say(read.value, pack)} ${each}, and ${over}. There is enough left for more.`
  return `Read as ${say(read.value, pack)} ${each}, and ${over}: that is not what lies there.`
}
