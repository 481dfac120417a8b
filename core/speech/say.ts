import {
  after,
  change,
  isMaking,
  plainPieces,
  type Act,
  type AmountAct,
  printComparison,
  type BeginAct,
  type ExchangeAct,
  type RewriteAct,
  type RewriteRule,
  type Sum,
} from '../act/act'
import { add, multiply, negate, sign, sizeOf, subtract, ZERO, type Exact } from '../number/exact'
import { digitsOf } from '../number/places'
import { numberText } from '../number/text'
import { pieceName, type Pieces, type Units } from '../number/units'
import { printExact, type Numeral } from '../number/numeral'
import type { DivisionChoices } from '../choices'
import type { Currency } from '../number/money'
import { answer, type Problem } from '../problem/problem'
import type { HandWords } from '../representation/representation'
import { broughtInWords, turnInWords } from './division'
import { fillLabel, filledInWords, shareInWords } from './sharing'
import { coinsInWords } from './coins'
import { comparisonInWords, namedInWords, namingInWords } from './parts'
import { formOf } from '../number/words'
import { capital, spokenList, operationWord, pretty, say, sayMade, sayNumeral, type WordPack } from './words'

/** What words are chosen by: the question, the class's words, and what the main material brings of its own. */
export interface Telling {
  readonly problem: Problem
  readonly pack: WordPack
  readonly units?: Units
  readonly hands?: HandWords | undefined
  /** Where a difference that is hopped or counted up began. */
  readonly from?: Exact
  /** What shows the value: the mat, the page, the drawing. */
  readonly where?: string
  /** Of a sharing, what each has before the act. */
  readonly shared?: Exact
  /** What the class calls the four steps of long division. */
  readonly steps?: DivisionChoices['steps']
  /** The class's money. */
  readonly money?: Currency
  /** Which pieces lie there before the act and after it, where numbers are called by them. */
  readonly held?: readonly [readonly Pieces[], readonly Pieces[]]
}

/** Pieces in words, by the names that their material gives them: “five tens and two ones”. */
export function piecesInWords(pieces: readonly Pieces[], pack: WordPack, units?: Units): string {
  const said = pieces.map((p) =>
    // “Take away one”, never “one one”.
    p.unit === '1' && p.count === 1 && !units?.names?.['1']
      ? say(1, pack)
      : `${say(p.count, pack)} ${pieceName(p.unit, p.count, units, pack.ones)}`,
  )
  return said.length === 0 ? pack.numbers.zero : spokenList(said)
}

const amountInWords = (act: AmountAct, pack: WordPack, units?: Units): string => {
  const pieces = plainPieces(act)
  return pieces ? piecesInWords(pieces, pack, units) : say(act.amount, pack)
}

/** Pieces in figures: “10 ones”. */
export const piecesInFigures = (pieces: readonly Pieces[], pack: WordPack, units?: Units): string =>
  pieces.map((p) => `${p.count} ${pieceName(p.unit, p.count, units, pack.ones)}`).join(' ')

const PAIR = ['pair', 'pairs'] as const

/** The whole question in words: “fifty-two take away thirty-seven”; of equal groups, “three times twenty-five add two times ten”. */
export function askInWords(problem: Problem, pack: WordPack): string {
  const { first, terms, groups, others = [], named, pairs } = problem
  const number = (n: Numeral, i: number): string => {
    const group = groups?.[i]
    return group ? `${sayNumeral(group.count, pack)} times ${sayNumeral(group.size, pack)}` : sayNumeral(n, pack)
  }
  return [
    number(first, 0),
    ...terms.map((t, i) => `${operationWord(t.operation, pack)} ${number(t.number, i + 1)}`),
    ...others.map((o) => `or ${askInWords(o, pack)}`),
    ...(named ? [namedInWords(named, pack)] : []),
    ...(pairs ? [`with ${say(pairs, pack)} zero ${formOf(pairs, PAIR)}`] : []),
  ].join(' ')
}

/** A wrong reading is compared with what is there, without giving it away. */
function misread(read: Exact, there: Exact, pack: WordPack): string {
  const off = subtract(read, there)
  const size = sign(off) < 0 ? negate(off) : off
  return `Read as ${say(read, pack)}: ${say(size, pack)} ${sign(off) < 0 ? 'fewer' : 'more'} than is there.`
}

/** The words of one column, as they were said with each touch. */
const countedOut = (said: readonly Exact[], pack: WordPack): string =>
  `${capital(said.map((n) => say(n, pack)).join(', '))}.`

/** One, two, three … as they are said while counting all. */
const countedTo = (n: number, pack: WordPack): string =>
  Array.from({ length: n }, (_, i) => say(i + 1, pack)).join(', ')

function beginInWords({ from, step, to, times }: BeginAct, pack: WordPack): string {
  if (to === null) return `Count in steps of ${say(step, pack)}, ${say(times!, pack)} of them`
  return step === '1'
    ? `Count up from ${say(from, pack)} to ${say(to, pack)}`
    : `Count in steps of ${say(step, pack)} up to ${say(to, pack)}`
}

const RULE_LABELS: Readonly<Record<RewriteRule, string>> = {
  opposite: 'add the opposite',
  commute: 'change places',
  'same-signs': 'add the sizes',
  'different-signs': 'difference of the sizes',
  'one-less': 'one less',
  'to-nine': 'what it lacks to nine',
  turn: 'turn it round',
  'split-groups': 'split',
}

/** Why something may be written so (practice, section 10; common practice, no source). */
function ruleInWords({ rule, right }: RewriteAct, pack: WordPack): string {
  switch (rule) {
    case 'opposite': {
      const below = sign(right.at(-1)!.number) < 0
      return below ? 'taking away a plus is adding a minus' : 'taking away a minus is adding a plus'
    }
    case 'commute':
      return 'in adding, the numbers may change places'
    case 'same-signs':
      return `the signs are the same, so ${pack.add} the sizes and keep the sign`
    case 'one-less':
      return 'nine times is ten times less one time, so the tens are one less'
    case 'to-nine':
      return 'tens and ones of nine times a number make nine, so the ones are what the tens lack'
    case 'turn':
      return 'turned round it is as much: rows are columns now'
    case 'split-groups':
      return 'in easier parts'
    case 'different-signs':
      return 'the signs are different, so take the difference of the sizes, with the sign of the longer arrow'
  }
}

const sumInWords = (sum: Sum, pack: WordPack): string =>
  sum
    .map(({ operation, number, times }, i) => {
      const said = times === undefined ? say(number, pack) : `${say(times, pack)} times ${say(number, pack)}`
      return i === 0 ? said : `${operationWord(operation, pack)} ${said}`
    })
    .join(' ')

const rewriteInWords = (act: RewriteAct, pack: WordPack): string =>
  `${capital(ruleInWords(act, pack))}: ${sumInWords(act.left, pack)} ${pack.equals} ${sumInWords(act.right, pack)}.`

/** A part of a product, and what there is with it. */
function groupInWords({ count, size }: Extract<Act, { kind: 'group' }>, before: Exact, pack: WordPack): string {
  const [by, there] = [multiply(count, size), add(before, multiply(count, size))]
  if (sign(by) < 0) return `Take back ${say(negate(by), pack)}. ${capital(say(there, pack))} now.`
  const part = `${capital(say(count, pack))} times ${say(size, pack)} ${pack.equals} ${say(by, pack)}.`
  return sign(before) === 0 ? part : `${part} ${capital(say(there, pack))} now.`
}

/** A hop or an arrow, and where it lands; what was asked the other way round (taking away a minus) is said before it. */
function landing(act: AmountAct, before: Exact, { pack, hands, from = ZERO }: Telling): string {
  const by = change(act)
  const there = say(add(from, after(before, act)), pack)
  const move = `${sign(by) < 0 ? hands!.take : hands!.join} ${say(sizeOf(by), pack)}, to ${there}.`
  const asked = act.kind === 'take' ? pack.take : pack.add
  return sign(act.amount) < 0 ? `${capital(asked)} ${say(act.amount, pack)}: ${move}` : capital(move)
}

/** What to say for an act done when `before` stood there. */
export function sayAct(act: Act, before: Exact, telling: Telling): string {
  const { problem, pack, hands, units, where = 'mat', shared } = telling
  const now = sayMade(after(before, act), telling.held?.[1], pack, units)
  if (hands?.coins) {
    const said = coinsInWords(act, before, telling)
    if (said !== undefined) return said
  }
  if (hands?.lands && (act.kind === 'join' || act.kind === 'take')) return landing(act, before, telling)
  switch (act.kind) {
    case 'lay': {
      if (hands?.loop) return `Write ${say(act.amount, pack)} down. The card covers all but its first digit.`
      if (act.inHead) return `Keep ${say(act.amount, pack)} in the head.`
      if (hands) return `${capital(hands.lay)} ${sayMade(act.amount, act.pieces, pack, units)}.`
      if (units?.fractions) return `Lay ${sayMade(act.amount, act.pieces, pack, units)}.`
      const parts = act.pieces && act.pieces.length > 1 ? `: ${piecesInWords(act.pieces, pack, units)}` : ''
      return `Lay ${say(act.amount, pack)}${parts}.`
    }
    case 'pose':
      return `${capital(act.operation === '+' ? pack.add : pack.take)} ${sayMade(act.amount, act.pieces, pack, units)}.`
    case 'beside':
      return `Beside it: ${sayMade(act.amount, act.pieces, pack, units)}.`
    case 'compare':
      return comparisonInWords(act, pack, hands?.lands ?? false)
    case 'split':
      return `${capital(say(act.whole, pack))} is ${spokenList(act.parts.map((n) => say(n, pack)))}.`
    case 'gather':
      return `${capital(act.parts.map((n) => say(n, pack)).join(` ${pack.plus} `))} ${pack.equals} ${say(act.whole, pack)}.`
    case 'rewrite':
      return rewriteInWords(act, pack)
    case 'begin':
      return `${beginInWords(act, pack)}.`
    case 'group': {
      if (act.pieces || units?.fractions) {
        const size = sayMade(act.size, act.pieces, pack, units)
        if (act.count !== '1') return `${capital(say(act.count, pack))} times ${size}: ${now} now.`
        return before === ZERO ? `Lay ${size}.` : `${capital(size)} once more. ${capital(now)} now.`
      }
      if (!hands?.folds) return groupInWords(act, before, pack)
      const [tens, ones] = [say(digitsOf(after(before, act), 2)[1]!, pack), say(digitsOf(after(before, act))[0]!, pack)]
      return sign(act.count) < 0
        ? `Unfold it. ${capital(now)} now.`
        : `Fold finger ${say(act.count, pack)}: ${tens} tens before it, ${ones} ones after it. ${capital(now)}.`
    }
    case 'count':
      return `${capital(say(act.word, pack))}.`
    case 'join':
      if (act.said) return `${countedOut(act.said, pack)} ${capital(now)} now.`
      if (hands) return `${capital(hands.join)} ${say(act.amount, pack)} more. ${capital(now)} now.`
      return `${capital(pack.add)} ${amountInWords(act, pack, units)}. ${capital(now)} now.`
    case 'take':
      if (act.said) return `${countedOut(act.said, pack)} ${capital(now)} left.`
      if (hands) return `${capital(hands.take)} ${say(act.amount, pack)}. ${capital(now)} left.`
      return `${capital(pack.take)} ${amountInWords(act, pack, units)}. ${capital(now)} ${sign(change(act)) < 0 && sign(after(before, act)) >= 0 ? 'left' : 'now'}.`
    case 'exchange':
      if (hands?.loop && !isMaking(act)) return broughtInWords(act, before, telling)
      return exchangeInWords(act, now, pack, units)
    case 'share': {
      if (hands?.loop) return turnInWords(act, before, telling)
      if (hands?.fills) return filledInWords(act, now, pack)
      const each = piecesInWords(act.each, pack, units)
      return `Deal ${each} to each of ${say(act.among, pack)}. ${capital(now)} left to share.`
    }
    case 'read':
      if (problem.named) return namingInWords(act, before, telling)
      if (act.remainder !== undefined || shared !== undefined)
        return shareInWords(act, before, askInWords(problem, pack), telling)
      if (act.counted && act.value === before && before === answer(problem) && act.value !== '0')
        return `Count all: ${countedTo(Number(act.value), pack)}. ${capital(askInWords(problem, pack))} ${pack.equals} ${now}.`
      if (act.value === before && before !== answer(problem)) return `Read: ${now}.`
      // An answer may be given before the work is done: it is right or not by itself, and the mat is another matter.
      if (before !== answer(problem))
        return act.value === answer(problem)
          ? `${capital(say(act.value, pack))} is right. The ${where} still shows ${now}.`
          : `${capital(say(act.value, pack))} is not the answer. The ${where} shows ${now}.`
      return act.value === before
        ? `${capital(askInWords(problem, pack))} ${problem.terms.length > 0 ? `${pack.equals} ${now}` : ''}`.trim() +
            '.'
        : misread(act.value, before, pack)
  }
}

const exchangeVerb = (act: ExchangeAct, { exchange }: WordPack): string =>
  isMaking(act) ? exchange.verb : exchange.breaks

/** How many zero pairs an exchange brings or clears; 0 where it is another exchange. */
const pairsIn = ({ from, to }: ExchangeAct): number =>
  from.length === 0 || to.length === 0 ? ([...from, ...to][0]?.count ?? 0) : 0

/** An exchange; what comes or goes for nothing goes in zero pairs. */
function exchangeInWords(act: ExchangeAct, now: string, pack: WordPack, units?: Units): string {
  const pairs = pairsIn(act)
  if (pairs > 0) {
    const [verb, said] = [act.from.length === 0 ? 'Bring in' : 'Clear away', say(pairs, pack)]
    return `${verb} ${said} zero ${formOf(pairs, PAIR)}: worth ${pack.numbers.zero}. Still ${now}.`
  }
  const [from, to] = [act.from, act.to].map((side) => piecesInWords(side, pack, units))
  // Parts are not given for others: they are cut anew, and stay as much.
  if (units?.fractions || act.aside !== undefined) {
    const is = act.from.length === 1 && act.from[0]!.count === 1 ? 'is' : 'are'
    return `${capital(from!)} ${is} as much as ${to}. ${act.aside === undefined ? `Still ${now}.` : 'Nothing has changed.'}`
  }
  return `${capital(exchangeVerb(act, pack))} ${from} ${pack.exchange.link} ${to}. Still ${now}.`
}

/** A stone's short label, in the classroom's words and in figures: `lay 52`, `exchange 1 ten`, `take 7 ones`. */
export function labelOf(act: Act, pack: WordPack, hands?: HandWords, units?: Units): string {
  switch (act.kind) {
    case 'lay':
      return act.inHead
        ? `keep ${act.amount}`
        : `${hands?.lay ?? 'lay'} ${pretty(numberText(act.amount, units, act.pieces))}`
    case 'split':
      return `part ${printExact(act.whole)}`
    case 'gather':
      return act.parts.map(printExact).join(' + ')
    case 'rewrite':
      return RULE_LABELS[act.rule]
    case 'begin':
      return act.step === '1' ? `from ${printExact(act.from)}` : `in ${act.step}s`
    case 'group':
      if (act.pieces) return `${act.count} × ${numberText(act.size, units, act.pieces)}`
      if (hands?.folds) return sign(act.count) < 0 ? 'unfold' : `fold ${act.count}`
      return pretty(`${printExact(act.count)} * ${printExact(act.size)}`)
    case 'beside':
      return `beside ${numberText(act.amount, units, act.pieces)}`
    case 'compare':
      return printComparison(act)
    case 'count':
      return act.word
    case 'pose':
      return pretty(`${act.operation} ${numberText(act.amount, units, act.pieces)}`)
    case 'join':
    case 'take': {
      if (hands) {
        const up = sign(change(act)) >= 0
        return `${(hands.lands ? up : act.kind === 'join') ? hands.join : hands.take} ${numberText(hands.lands ? sizeOf(act.amount) : act.amount, units, hands.lands && sign(act.amount) < 0 ? undefined : act.pieces)}`
      }
      const verb = act.kind === 'join' ? 'add' : pack.take.split(' ')[0]!
      const pieces = plainPieces(act)
      return `${verb} ${pieces ? piecesInFigures(pieces, pack, units) : numberText(act.amount, units)}`
    }
    case 'exchange':
      if (pairsIn(act) > 0)
        return `${act.from.length === 0 ? 'bring' : 'clear'} ${pairsIn(act)} ${formOf(pairsIn(act), PAIR)}`
      if (units?.fractions) return `${piecesInFigures(act.from, pack, units)} = ${piecesInFigures(act.to, pack, units)}`
      if (hands?.loop && !isMaking(act)) return `bring down`
      return `${exchangeVerb(act, pack)} ${piecesInFigures(act.from, pack, units)}`
    case 'share':
      if (hands?.fills) return fillLabel(act)
      return hands?.loop
        ? act.each
            .map((p) => `${printExact(act.among)} × ${p.count} ${pieceName(p.unit, p.count, units, pack.ones)}`)
            .join(' ')
        : `deal ${piecesInFigures(act.each, pack, units)} each`
    case 'read':
      return `read ${pretty(act.as ?? numberText(act.value, units))}${act.remainder === undefined ? '' : ` r ${printExact(act.remainder)}`}`
  }
}
