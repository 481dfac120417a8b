import {
  after,
  change,
  holds,
  isMaking,
  plainPieces,
  type Act,
  type AmountAct,
  type CompareAct,
  type ExchangeAct,
  type Sum,
} from '../../act/act'
import { add, multiply, negate, sign, sizeOf, subtract, ZERO, type Exact } from '../../number/exact'
import type { Relation } from '../../number/fractions'
import { printExact, type Numeral } from '../../number/numeral'
import { numberText } from '../../number/text'
import { answer, type Problem } from '../../problem/problem'
import type { HandWords } from '../../representation/representation'
import type { Telling } from '../say'
import { capital, pretty, say, sayNumeral, sayWritten, type WordPack } from '../words'
import { figuresInSpanish, listInSpanish, operationInSpanish, piecesInSpanish, VERBS } from './words'

/** What is said of every act, in Spanish. */

const verb = (word: string): string => VERBS[word] ?? word
const amount = (act: AmountAct, pack: WordPack): string => {
  const pieces = plainPieces(act)
  return pieces ? piecesInSpanish(pieces) : say(act.amount, pack)
}

/** “Cincuenta y dos menos treinta y siete”. */
export function askInWords({ first, terms, groups, others = [] }: Problem, pack: WordPack): string {
  const number = (n: Numeral, i: number): string => {
    const group = groups?.[i]
    return group ? `${sayNumeral(group.count, pack)} por ${sayNumeral(group.size, pack)}` : sayNumeral(n, pack)
  }
  return [
    number(first, 0),
    ...terms.map((t, i) => `${operationInSpanish(t.operation)} ${number(t.number, i + 1)}`),
    ...others.map((o) => `o ${askInWords(o, pack)}`),
  ].join(' ')
}

const sumInWords = (sum: Sum, pack: WordPack): string =>
  sum
    .map(({ operation, number, times }, i) => {
      const said = times === undefined ? say(number, pack) : `${say(times, pack)} por ${say(number, pack)}`
      return i === 0 ? said : `${operationInSpanish(operation)} ${said}`
    })
    .join(' ')

const WHERE: Readonly<Record<string, string>> = { mat: 'El tablero', page: 'La hoja', drawing: 'El dibujo' }

/** “Quedan quince”, “queda uno”, “no queda nada”: the verb goes with the number. */
function remaining(n: Exact, pack: WordPack): string {
  if (n === '0') return 'No queda nada.'
  return `${n === '1' ? 'Queda' : 'Quedan'} ${say(n, pack)}.`
}

/** What to say for an act done when `before` stood there. */
export function sayAct(act: Act, before: Exact, { problem, pack, hands, where = 'mat', from = ZERO }: Telling): string {
  const there = after(before, act)
  const now = say(there, pack)
  if (hands?.lands && (act.kind === 'join' || act.kind === 'take')) {
    const by = change(act)
    return `${capital(verb(sign(by) < 0 ? hands.take : hands.join))} ${say(sizeOf(by), pack)}, hasta ${say(add(from, there), pack)}.`
  }
  switch (act.kind) {
    case 'lay': {
      if (act.inHead) return `Guarda ${say(act.amount, pack)} en la cabeza.`
      if (hands) return `${capital(verb(hands.lay))} ${say(act.amount, pack)}.`
      const parts = act.pieces && act.pieces.length > 1 ? `: ${piecesInSpanish(act.pieces)}` : ''
      return `Pon ${say(act.amount, pack)}${parts}.`
    }
    case 'pose':
      return `${capital(act.operation === '+' ? pack.add : pack.take)} ${say(act.amount, pack)}.`
    case 'beside':
      return `Al lado: ${say(act.amount, pack)}.`
    case 'compare':
      return comparisonInWords(act, pack)
    case 'split':
      return `${capital(say(act.whole, pack))} son ${listInSpanish(act.parts.map((n) => say(n, pack)))}.`
    case 'gather':
      return `${capital(act.parts.map((n) => say(n, pack)).join(` ${pack.plus} `))} ${pack.equals} ${say(act.whole, pack)}.`
    case 'rewrite':
      return `${capital(sumInWords(act.left, pack))} ${pack.equals} ${sumInWords(act.right, pack)}.`
    case 'begin': {
      if (act.to === null)
        return `Cuenta de ${say(act.step, pack)} en ${say(act.step, pack)}, ${say(act.times!, pack)} veces.`
      return act.step === '1'
        ? `Cuenta desde ${say(act.from, pack)} hasta ${say(act.to, pack)}.`
        : `Cuenta de ${say(act.step, pack)} en ${say(act.step, pack)} hasta ${say(act.to, pack)}.`
    }
    case 'group':
      return `${capital(say(act.count, pack))} por ${say(act.size, pack)} ${pack.equals} ${say(multiply(act.count, act.size), pack)}. Ahora hay ${now}.`
    case 'count':
      return `${capital(say(act.word, pack))}.`
    case 'join':
      if (act.said) return `${capital(act.said.map((n) => say(n, pack)).join(', '))}. Ahora hay ${now}.`
      return `${capital(hands ? verb(hands.join) : pack.add)} ${hands ? `${say(act.amount, pack)} más` : amount(act, pack)}. Ahora hay ${now}.`
    case 'take':
      if (act.said) return `${capital(act.said.map((n) => say(n, pack)).join(', '))}. ${remaining(there, pack)}`
      return `${capital(hands ? verb(hands.take) : pack.take)} ${hands ? say(act.amount, pack) : amount(act, pack)}. ${sign(there) < 0 ? `Ahora hay ${now}.` : remaining(there, pack)}`
    case 'exchange':
      return exchangeInWords(act, now, pack)
    case 'share':
      return `Reparte ${piecesInSpanish(act.each)} a cada uno de ${say(act.among, pack)}. Por repartir: ${now}.`
    case 'read':
      return readInWords(act, before, now, problem, pack, WHERE[where]!)
  }
}

const RELATIONS: Readonly<Record<Relation, string>> = {
  '<': 'es menor que',
  '=': 'es igual a',
  '>': 'es mayor que',
}
function comparisonInWords(act: CompareAct, pack: WordPack): string {
  const said = act.numbers.map((n) => sayWritten(n, pack))
  const words = listInSpanish(act.relations.map((relation, i) => `${said[i]} ${RELATIONS[relation]} ${said[i + 1]}`))
  return holds(act) ? `${capital(words)}.` : `Mira otra vez: no es cierto que ${words}.`
}

function exchangeInWords(act: ExchangeAct, now: string, { exchange }: WordPack): string {
  const [from, to] = [act.from, act.to].map(piecesInSpanish)
  const does = isMaking(act) ? exchange.verb : exchange.breaks
  return `${capital(does)} ${from} ${exchange.link} ${to}. Sigue habiendo ${now}.`
}

function readInWords(
  act: Extract<Act, { kind: 'read' }>,
  before: Exact,
  now: string,
  problem: Problem,
  pack: WordPack,
  where: string,
): string {
  const right = answer(problem)
  const asked = capital(askInWords(problem, pack))
  if (act.counted && act.value === before && before === right && act.value !== '0') {
    const counted = Array.from({ length: Number(act.value) }, (_, i) => say(i + 1, pack)).join(', ')
    return `Cuenta todo: ${counted}. ${asked} ${pack.equals} ${now}.`
  }
  if (act.value === before && before !== right) return `Leído: ${now}.`
  const read = say(act.value, pack)
  if (before !== right)
    return act.value === right
      ? `${capital(read)} está bien. ${where} todavía muestra ${now}.`
      : `${capital(read)} no es la respuesta. ${where} muestra ${now}.`
  if (act.value === before) return problem.terms.length > 0 ? `${asked} ${pack.equals} ${now}.` : `${asked}.`
  // A wrong reading is compared with what is there, without giving it away.
  const off = subtract(act.value, before)
  const size = sign(off) < 0 ? negate(off) : off
  return `Leído como ${read}: ${say(size, pack)} ${sign(off) < 0 ? 'menos' : 'más'} de lo que hay.`
}

/** A stone's short label: `pon 52`, `cambia 1 decena`, `quita 7 unidades`. */
export function labelOf(act: Act, pack: WordPack, hands?: HandWords): string {
  const number = (n: Exact): string => pretty(numberText(n))
  switch (act.kind) {
    case 'lay':
      return act.inHead ? `guarda ${act.amount}` : `${verb(hands?.lay ?? 'lay')} ${number(act.amount)}`
    case 'split':
      return `parte ${printExact(act.whole)}`
    case 'gather':
      return act.parts.map(printExact).join(' + ')
    case 'rewrite':
      return 'de otro modo'
    case 'begin':
      return act.step === '1' ? `desde ${printExact(act.from)}` : `de ${act.step} en ${act.step}`
    case 'group':
      return pretty(`${printExact(act.count)} * ${printExact(act.size)}`)
    case 'beside':
      return `al lado ${number(act.amount)}`
    case 'compare':
      return act.numbers.join(' · ')
    case 'count':
      return act.word
    case 'pose':
      return pretty(`${act.operation} ${number(act.amount)}`)
    case 'join':
    case 'take': {
      if (hands) {
        const up = sign(change(act)) >= 0
        return `${verb((hands.lands ? up : act.kind === 'join') ? hands.join : hands.take)} ${number(hands.lands ? sizeOf(act.amount) : act.amount)}`
      }
      const pieces = plainPieces(act)
      return `${act.kind === 'join' ? pack.add : pack.take} ${pieces ? figuresInSpanish(pieces) : number(act.amount)}`
    }
    case 'exchange':
      return `${isMaking(act) ? pack.exchange.verb : pack.exchange.breaks} ${figuresInSpanish(act.from)}`
    case 'share':
      return `reparte ${figuresInSpanish(act.each)} a cada uno`
    case 'read':
      return `lee ${number(act.value)}${act.remainder === undefined ? '' : ` r ${printExact(act.remainder)}`}`
  }
}
