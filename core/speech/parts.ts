import { holds, type Act, type CompareAct } from '../act/act'
import { sign, sizeOf, subtract, ZERO, type Exact } from '../number/exact'
import { lowestText, type Relation } from '../number/fractions'
import { parseNumeral, valueOf } from '../number/numeral'
import { partsName } from '../number/words'
import { answer, isAnswer, type Naming, type Problem } from '../problem/problem'
import { capital, say, sayNumeral, sayWritten, spokenList, type WordPack } from './words'

/** What is said of parts of a whole: how a number is to be written, and how amounts compare. */

/** How a number is to be written, in words. */
export function namedInWords(named: Naming, pack: WordPack): string {
  switch (named.kind) {
    case 'parts':
      return `in ${partsName(BigInt(named.of), pack.numbers, true)}`
    case 'simplest':
      return 'in simplest form'
    case 'decimal':
      return 'as a decimal'
    case 'fraction':
      return 'as a fraction'
    case 'others':
      return 'by other names'
  }
}

/** A comparison, held or not; of two amounts also how much is left or lacking, and on a line where the one lies of the other. */
export function comparisonInWords(act: CompareAct, pack: WordPack, alongLine = false): string {
  const said = act.numbers.map((n) => sayWritten(n, pack))
  const pairs = act.relations.map((relation, i) => `${said[i]} ${RELATION_WORDS[relation]} ${said[i + 1]}`)
  const words = spokenList(pairs)
  if (!holds(act)) return `Look again: it is not so that ${words}.`
  const [a, b, more] = act.numbers.map((n) => valueOf(parseNumeral(n)))
  const off = more === undefined ? subtract(a!, b!) : ZERO
  const rest = off === ZERO ? '' : `: ${say(sizeOf(off), pack)} ${sign(off) > 0 ? 'left' : 'lacking'}`
  const [relation] = act.relations
  if (alongLine && off !== ZERO)
    return `${capital(said[0]!)} lies ${relation === '>' ? 'right' : 'left'} of ${said[1]}, so it is ${relation === '>' ? 'more' : 'less'}${rest}.`
  return `${capital(words)}${rest}.`
}

const RELATION_WORDS: Readonly<Record<Relation, string>> = {
  '<': 'is less than',
  '=': 'is as much as',
  '>': 'is more than',
}

/** A number written another way: as was asked, as much but not so, or another number. */
export function namingInWords(
  act: Extract<Act, { kind: 'read' }>,
  before: Exact,
  { problem, pack }: { readonly problem: Problem; readonly pack: WordPack },
): string {
  const written = sayWritten(act.as ?? lowestText(act.value), pack)
  if (problem.named?.kind === 'others' && act.value === answer(problem))
    return `All of these are names of ${sayNumeral(problem.first, pack)}.`
  if (isAnswer(problem, act.value, null, act.as ?? null))
    return `${capital(sayNumeral(problem.first, pack))} is as much as ${written}.`
  if (act.value === answer(problem))
    return `${capital(written)} is as much, but it is not written ${namedInWords(problem.named!, pack)}.`
  return act.value === before
    ? `Read: ${written}.`
    : `${capital(written)} is not as much as ${sayNumeral(problem.first, pack)}.`
}
