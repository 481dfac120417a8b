import { change, piecesAct, printComparison, type Act, type AmountAct, type CompareAct } from '../../act/act'
import { amountIn, currencyOf, fewestCoins, largestAmount, moneyText, PIECE_VALUES, someOf } from '../../number/money'
import { compare, exact, isWhole, negate, sign, toCount, type Exact } from '../../number/exact'
import { printExact, valueOf } from '../../number/numeral'
import { addPieces, coins as coinUnits, worthOf, type Pieces } from '../../number/units'
import { DEFAULT_CHOICES, type Choices } from '../../choices'
import { FITS, type Fit } from '../../problem/fit'
import { heapOf, kindsFor, MOST_COINS, priceOf } from '../../problem/heap'
import { asksMore, totals, type Problem } from '../../problem/problem'
import { Refusal } from '../../refusal'
import { performAll, type Recognised, type Representation, type RepresentationId } from '../representation'
import { comparisonIn, nothingAfter, numberAt, spanOf, wordsOf, type Word } from '../text'

/** The largest amount that a move names, in the small unit. */
const LARGEST_AMOUNT = 20_000

const names = Object.fromEntries(PIECE_VALUES.map((v) => [String(v), [`${v} coin`, `${v} coins`] as const]))
export const UNITS = coinUnits(PIECE_VALUES, names)

export interface CoinsState {
  /** The coins of this class, the greatest first. */
  readonly values: readonly number[]
  /** What lies in the heap, not counted yet, in the order in which it fell; null where coins come from the till as they are wanted. */
  readonly heap: readonly number[] | null
  /** What has been counted, in order. */
  readonly counted: readonly number[]
  /** Where change is counted up, the price it is counted from. */
  readonly from: Exact | null
  readonly to: Exact | null
  readonly read: Exact | null
  /** What has been counted, held against what it should pay. */
  readonly compared: Omit<CompareAct, 'kind'> | null
}

export type CoinsMove =
  /** A coin is counted: it moves over. With the number said for it, where one was. */
  | { readonly kind: 'count'; readonly value: number; readonly word: number | null }
  | { readonly kind: 'back'; readonly value: number }
  /** One of the coins counted for others of the same worth from the till, or the other way round. */
  | { readonly kind: 'swap'; readonly from: readonly number[]; readonly to: readonly number[] }
  /** Change is counted up from a price to what was paid. */
  | { readonly kind: 'from'; readonly price: Exact; readonly paid: Exact }
  /** Whether what was counted is enough: the two amounts, and how they stand to each other. */
  | { readonly kind: 'compare'; readonly numbers: CompareAct['numbers']; readonly relations: CompareAct['relations'] }
  | { readonly kind: 'read'; readonly value: Exact | null }

const piecesIn = (values: readonly number[]): readonly Pieces[] =>
  values.reduce<readonly Pieces[]>((all, v) => addPieces(all, [{ count: 1, unit: exact(v) }]), [])

/** What has been counted so far. */
export const shows = ({ counted }: CoinsState): Exact => worthOf(piecesIn(counted))

/** A list without one of a value, the last of them; undefined where there is none. */
function without(values: readonly number[], value: number): readonly number[] | undefined {
  const at = values.lastIndexOf(value)
  return at < 0 ? undefined : values.filter((_, i) => i !== at)
}

function known({ values }: CoinsState, value: number): void {
  if (!values.includes(value))
    throw new Refusal(`There is no coin of ${value} here.`, `The coins are ${values.join(', ')}.`)
}

function apply(before: CoinsState, move: CoinsMove): CoinsState {
  // What was said of it holds no longer, once something changes.
  const s = before.compared && move.kind !== 'compare' ? { ...before, compared: null } : before
  switch (move.kind) {
    case 'compare':
      if (move.numbers.length !== 2)
        throw new Refusal('What was counted is held against one amount.', 'Like: compare 95 < 99.')
      return { ...s, compared: { numbers: move.numbers, relations: move.relations } }
    case 'read':
      return { ...s, read: move.value }
    case 'from':
      if (s.from !== null || s.counted.length > 0) throw new Refusal('Counting up begins before any coin lies there.')
      if (compare(move.price, move.paid) >= 0)
        throw new Refusal('There is change only where more was paid than the price.')
      return { ...s, from: move.price, to: move.paid }
    case 'count': {
      known(s, move.value)
      if (s.counted.length >= 2 * MOST_COINS) throw new Refusal('There is no room for more coins.')
      if (s.heap === null) return { ...s, counted: [...s.counted, move.value] }
      const heap = without(s.heap, move.value)
      if (!heap)
        throw new Refusal(`There is no coin of ${move.value} left in the heap.`, 'All of them have been counted.')
      return { ...s, heap, counted: [...s.counted, move.value] }
    }
    case 'back': {
      const counted = without(s.counted, move.value)
      if (!counted) throw new Refusal(`No coin of ${move.value} has been counted.`)
      return { ...s, counted, heap: s.heap && [...s.heap, move.value] }
    }
    case 'swap': {
      ;[...move.from, ...move.to].forEach((v) => known(s, v))
      const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0)
      if (sum(move.from) !== sum(move.to))
        throw new Refusal(
          `${move.from.join(' + ')} is ${sum(move.from)}, and ${move.to.join(' + ')} is ${sum(move.to)}: that is no fair exchange.`,
        )
      let counted: readonly number[] | undefined = s.counted
      for (const value of move.from) counted = counted && without(counted, value)
      if (!counted) throw new Refusal('Those coins have not been counted out yet.')
      return { ...s, counted: [...counted, ...move.to] }
    }
  }
}

/** Just these coins, one after another; or where none are named, as few as make the amount. */
function coinsFor(s: CoinsState, amount: Exact, pieces: readonly Pieces[] | undefined): readonly number[] {
  const own = pieces?.every((p) => p.count > 0 && s.values.includes(Number(p.unit)))
  if (pieces && own) return pieces.flatMap((p) => new Array<number>(p.count).fill(Number(p.unit)))
  const values = s.heap ? [...new Set(s.heap)].sort((a, b) => b - a) : s.values
  const whole = isWhole(amount) && compare(amount, exact(LARGEST_AMOUNT)) <= 0
  const found = whole ? fewestCoins(toCount(amount), values) : undefined
  if (!found) throw new Refusal(`The coins here do not make ${printExact(amount)}.`)
  return found
}

/** Coins that go back; where none of those counted make the amount, one of them is exchanged first. */
function taking(s: CoinsState, { amount, pieces }: AmountAct): readonly CoinsMove[] {
  if (!isWhole(amount) || compare(amount, shows(s)) > 0)
    throw new Refusal(`${printExact(amount)} is not there to be taken back.`)
  const gone = pieces?.flatMap((p) => new Array<number>(Math.max(0, p.count)).fill(Number(p.unit)))
  const back = (list: readonly number[]): readonly CoinsMove[] => list.map((value) => ({ kind: 'back', value }))
  if (gone?.every((value) => s.values.includes(value)) && worthOf(piecesIn(gone)) === amount) {
    const left = gone.reduce<readonly number[] | undefined>((all, v) => all && without(all, v), s.counted)
    if (left) return back(gone)
  }
  const wanted = toCount(amount)
  const own = someOf(wanted, s.counted)
  if (own) return back(own)
  // As much as can be from what is there; the rest from a coin that is exchanged.
  let [rest, left] = [wanted, s.counted]
  const taken: number[] = []
  for (const value of [...s.counted].sort((a, b) => b - a))
    if (value <= rest) {
      taken.push(value)
      left = without(left, value)!
      rest -= value
    }
  const whole = [...left].sort((a, b) => a - b).find((value) => value > rest)
  const [parts, over] = [
    fewestCoins(rest, s.values),
    whole === undefined ? undefined : fewestCoins(whole - rest, s.values),
  ]
  if (whole === undefined || !parts || !over) throw new Refusal(`The coins here do not make ${printExact(amount)}.`)
  return [{ kind: 'swap', from: [whole], to: [...parts, ...over] }, ...back([...taken, ...parts])]
}

function perform(s: CoinsState, act: Act): readonly CoinsMove[] {
  switch (act.kind) {
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'compare':
      return [{ kind: 'compare', numbers: act.numbers, relations: act.relations }]
    case 'begin':
      if (act.step !== '1' || act.to === null) throw new Refusal('Coins count up from a price, and in no equal steps.')
      return [{ kind: 'from', price: act.from, paid: act.to }]
    case 'lay':
    case 'join': {
      if (sign(act.amount) <= 0) return []
      const [word] = act.said ?? []
      const moves = coinsFor(s, act.amount, act.pieces).map((value): CoinsMove => ({
        kind: 'count',
        value,
        word: word === undefined ? null : toCount(word),
      }))
      moves.reduce(apply, s)
      return moves
    }
    case 'take': {
      const moves = taking(s, act)
      moves.reduce(apply, s)
      return moves
    }
    case 'count':
    case 'group':
    case 'share': {
      const by = change(act)
      return by === '0'
        ? []
        : performAll(perform, apply, s, [
            { kind: sign(by) < 0 ? 'take' : 'join', amount: sign(by) < 0 ? negate(by) : by },
          ])
    }
    case 'exchange': {
      if (act.aside !== undefined) return []
      const list = (side: readonly Pieces[]): readonly number[] =>
        side.flatMap((p) => new Array<number>(Math.abs(p.count)).fill(Number(p.unit)))
      if (![...act.from, ...act.to].every((p) => isWhole(p.unit))) throw new Refusal('There are no such coins.')
      const move: CoinsMove = { kind: 'swap', from: list(act.from), to: list(act.to) }
      if (move.from.length === 0 || move.to.length === 0) return []
      apply(s, move)
      return [move]
    }
    default:
      return []
  }
}

function recognise(before: CoinsState, moves: readonly CoinsMove[]): Recognised {
  const [move, more] = moves
  if (!move || more) return undefined
  switch (move.kind) {
    case 'read':
      return move.value === null ? undefined : [{ kind: 'read', value: move.value }]
    case 'compare':
      return [{ kind: 'compare', numbers: move.numbers, relations: move.relations }]
    case 'from':
      return [{ kind: 'begin', from: move.price, step: exact(1), to: move.paid, times: null }]
    case 'count': {
      const first = before.counted.length === 0 && before.from === null
      const said = move.word === null ? {} : { said: [exact(move.word)] }
      return [{ ...piecesAct(first ? 'lay' : 'join', [{ count: 1, unit: exact(move.value) }]), ...said }]
    }
    case 'back':
      return [piecesAct('take', [{ count: 1, unit: exact(move.value) }])]
    case 'swap':
      return [{ kind: 'exchange', from: piecesIn(move.from), to: piecesIn(move.to) }]
  }
}

function print(move: CoinsMove): string {
  switch (move.kind) {
    case 'read':
      return move.value === null ? 'unread' : `read ${printExact(move.value)}`
    case 'compare':
      return `compare ${printComparison(move)}`
    case 'count':
      return `count ${move.value}${move.word === null ? '' : ` saying ${move.word}`}`
    case 'back':
      return `back ${move.value}`
    case 'from':
      return `from ${printExact(move.price)} to ${printExact(move.paid)}`
    case 'swap':
      return `swap ${move.from.join(' ')} for ${move.to.join(' ')}`
  }
}

/** A number, or an amount as money is written. @throws Refusal at the word. */
function amountAt(word: Word | undefined, text: string): Exact {
  const amount = word && amountIn(word.text)
  return amount === undefined ? (numberAt(word, text) as Exact) : exact(amount)
}

/** Reads `count 25`, `count 10 saying 85`, `back 25`, `swap 25 for 10 10 5`, `from 135 to 200`, `compare 95 < 99`, `read 99`, `read 1.05`. @throws Refusal at the word. */
function parse(text: string): CoinsMove {
  const words = wordsOf(text)
  const [verb, first, second, third] = words
  const only = (n: number): void => nothingAfter(words, n)
  const at = (i: number): number => Number(numberAt(words[i], text))
  switch (verb?.text) {
    case 'unread':
      only(1)
      return { kind: 'read', value: null }
    case 'read':
      only(2)
      return { kind: 'read', value: amountAt(first, text) }
    case 'compare':
      return { kind: 'compare', ...comparisonIn(text.slice(verb.at + verb.text.length)) }
    case 'back':
      only(2)
      return { kind: 'back', value: at(1) }
    case 'count':
      if (words.length <= 2) return { kind: 'count', value: at(1), word: null }
      if (second!.text !== 'saying')
        throw new Refusal('A coin is counted one by one.', 'Like: count 25 saying 100.', spanOf(second!))
      only(4)
      return { kind: 'count', value: at(1), word: at(3) }
    case 'from':
      if (second?.text !== 'to') throw new Refusal('Say from which price to what was paid.', 'Like: from 135 to 200.')
      only(4)
      return { kind: 'from', price: numberAt(first, text) as Exact, paid: numberAt(third, text) as Exact }
    case 'swap': {
      const middle = words.findIndex((w) => w.text === 'for')
      if (middle < 2 || middle === words.length - 1)
        throw new Refusal('Coins are exchanged for others.', 'Like: swap 25 for 10 10 5.', spanOf(verb))
      if (words.length > 30) throw new Refusal('Those are too many coins for one exchange.')
      const values = (list: typeof words): readonly number[] => list.map((w) => Number(numberAt(w, text)))
      return { kind: 'swap', from: values(words.slice(1, middle)), to: values(words.slice(middle + 1)) }
    }
  }
  throw new Refusal(
    verb ? `Coins have no move “${verb.text}”.` : 'There is no move yet.',
    'They know count, back, swap, from, compare and read.',
    verb && spanOf(verb),
  )
}

function fits(problem: Problem, { money }: Choices = DEFAULT_CHOICES): Fit {
  const no = (why: string, instead: readonly RepresentationId[] = ['blocks', 'chips']): Fit => ({
    fits: false,
    why,
    instead,
  })
  const values = kindsFor(problem, money)
  const most = largestAmount(money)
  const tooMuch = (amount: Exact): Fit =>
    no(`${moneyText(toCount(amount), currencyOf(money))} is more than is counted out here.`)
  const heap = heapOf(problem)
  if (heap) {
    const strange = heap.find((k) => !values.includes(k.value))
    if (strange) return no(`There is no coin of ${strange.value} among this class’s coins: ${values.join(', ')}.`, [])
    const count = heap.reduce((n, k) => n + k.count, 0)
    if (count < 1) return no('There is no coin in that heap.')
    const price = exact(priceOf(problem) ?? 0)
    if (compare(price, exact(most)) > 0) return tooMuch(price)
    return count > MOST_COINS
      ? no(`${count} coins are too many to be told apart; a heap has up to ${MOST_COINS}.`)
      : FITS
  }
  const { first, terms } = problem
  const adds = terms.every((t) => t.operation === '+')
  const change = terms.length === 1 && terms[0]!.operation === '-'
  if (asksMore(problem) || problem.pairs || terms.length > 3 || (!adds && !change))
    return no('Coins are counted, paid, or given as change, like 3 × 25 + 2 × 10, 87, 45 + 42, or 200 − 135.')
  const numbers = [first, ...terms.map((t) => t.number)].map(valueOf)
  if (!numbers.every((n) => isWhole(n) && sign(n) >= 0))
    return no('Coins are counted in the small unit, in whole numbers: write 1.35 as 135, or as $1.35, £1.35 or €1.35.')
  const too = [...numbers, ...totals(problem)].find((n) => compare(n, exact(most)) > 0)
  if (too) return tooMuch(too)
  const parts = change ? totals(problem).slice(-1) : numbers
  if (parts.some((n) => sign(n) <= 0) || (change && sign(numbers[1]!) === 0))
    return no(change ? 'There is change only where more was paid than the price.' : 'Nothing is paid with no coins.')
  let count = 0
  for (const amount of parts) {
    const fewest = fewestCoins(toCount(amount), values)
    if (!fewest) return no(`These coins do not make ${printExact(amount)}.`)
    count += fewest.length
  }
  return count > MOST_COINS ? no(`That takes ${count} coins; ${MOST_COINS} are the most here.`) : FITS
}

/** A heap as it falls: every coin, mixed, the same each time for the same heap. */
function fallen(values: readonly number[]): readonly number[] {
  return values
    .map((value, i) => ({ value, at: (i * 7919 + value * 104729 + 31 * i * value) % 997 }))
    .sort((a, b) => a.at - b.at)
    .map((c) => c.value)
}

/** Coins with nothing on them but their value (practice, section 12; common practice, no source). */
export const coins: Representation<CoinsState, CoinsMove> = {
  id: 'coins',
  title: 'coins',
  called: 'coins',
  kind: 'concrete',
  units: UNITS,
  sorts: ['coins'],
  verbs: { lay: 'count', join: 'count', take: 'take back', thing: ['coin', 'coins'], coins: true },
  opening: 'count the first coin, the greatest kind first',
  example: 'count 25 · count 10 saying 85 · swap 25 for 10 10 5 · read 99',
  fits,
  start: (problem, { money } = DEFAULT_CHOICES) => {
    const lie = heapOf(problem)?.flatMap((k) => new Array<number>(k.count).fill(k.value))
    return {
      values: kindsFor(problem, money),
      heap: lie ? fallen(lie) : null,
      counted: [],
      from: null,
      to: null,
      read: null,
      compared: null,
    }
  },
  apply,
  shows,
  out: ({ heap, counted }) => piecesIn([...(heap ?? []), ...counted]),
  perform,
  recognise,
  print,
  parse,
}
