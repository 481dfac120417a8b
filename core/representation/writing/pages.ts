import { after, change, countsOf, type Act, type AmountAct } from '../../act/act'
import { wholly } from '../../act/unfold'
import { owing, stand } from '../../act/standing'
import { add, exact, multiply, sign, sizeOf, type Exact } from '../../number/exact'
import { printExact } from '../../number/numeral'
import { onlyPlace, unitOf, type Counts } from '../../number/places'
import { parted } from '../parted'
import { writing, type WritingState } from './writing'

const number = printExact
const signOf = (act: AmountAct): string => (act.kind === 'take' ? '-' : '+')

/** What is written alike everywhere: the numbers as they are asked, and the sentence at the end. */
function common(s: WritingState, act: Act): string | undefined {
  const { value } = s.standing
  switch (act.kind) {
    case 'lay':
      return number(act.amount)
    case 'pose':
      return `${number(value)} ${act.operation} ${number(act.amount)}`
    case 'split':
      return `${number(act.whole)} = ${act.parts.map(number).join(' + ')}`
    case 'gather':
      // One part alone is written whole already.
      return act.parts.length < 2 ? '' : `${act.parts.map(number).join(' + ')} = ${number(act.whole)}`
    case 'read':
      return act.value === value ? `${s.asked} = ${number(value)}` : `read ${number(act.value)}`
    // A page has no line for words: what is counted is added or taken as it comes.
    case 'count':
    case 'group':
      return running(s, wholly(act))
    case 'begin':
      return ''
    default:
      return undefined
  }
}

/** The value with an amount, as one running line. */
const running = (s: WritingState, act: AmountAct): string =>
  `${number(s.standing.value)} ${signOf(act)} ${number(act.amount)} = ${number(after(s.standing.value, act))}`

/**
 * Counts parted into places, tens of one place as so many of it, the least place first: `10 * 1 + 20`. In the usual order
 * `10 + 10 * 1 = 20` would also be ten ones joined to ten ones.
 */
const tenfold = (counts: Counts, decimals: number): string =>
  counts
    .flatMap((n, p) => {
      const unit = number(unitOf(p - decimals))
      return n > 9 ? [`${n} * ${unit}`] : n > 0 ? [number(multiply(exact(n), unitOf(p - decimals)))] : []
    })
    .join(' + ')

/** Part with part, each of its own place: `30 + 40 = 70`; changing the parting: `80 + 5 = 70 + 15`. */
function byParts(s: WritingState, act: Act): string {
  const shared = common(s, act)
  if (shared !== undefined) return shared
  const { counts: held, decimals } = s.standing
  if (act.kind === 'exchange') {
    const { counts } = stand(s.problem, s.standing, act)
    // What was gathered in one line needs no further line for each of its exchanges.
    if (counts.some((n) => n < 0)) return ''
    const is = parted(counts, decimals)
    // A made ten that leaves one number alone would look like a sum of two parts; it is written as ten ones.
    return `${is.includes(' + ') ? parted(held, decimals) : tenfold(held, decimals)} = ${is}`
  }
  if (act.kind !== 'join' && act.kind !== 'take') return ''
  const come = act.pieces && countsOf(act.pieces, held.length, decimals)
  const place = come && onlyPlace(come)
  if (place === undefined) return running(s, act)
  const unit = unitOf(place - decimals)
  const part: Exact = multiply(exact(held[place] ?? 0), unit)
  // More than nine of a place are written as so many of it; as a number they would be parted otherwise.
  const amount = come![place]! > 9 ? `${come![place]} * ${number(unit)}` : number(act.amount)
  return `${number(part)} ${signOf(act)} ${amount} = ${number(add(part, change(act)))}`
}

/** The question as it stands before and after an act, worth the same: `29 + 46 = 30 + 45`, `304 - 178 = 124 + 2`. */
function balance(s: WritingState, act: Act): string {
  const now = stand(s.problem, s.standing, act)
  const side = (value: Exact, owed: Exact): string => {
    const plus = (s.standing.doing === '+') === sign(owed) > 0
    return `${number(value)} ${plus ? '+' : '-'} ${number(sizeOf(owed))}`
  }
  return `${side(s.standing.value, owing(s.standing))} = ${side(now.value, owing(now))}`
}

/** The whole question each time, worth the same throughout: `29 + 46 = 30 + 45`. */
function byBalance(s: WritingState, act: Act): string {
  const shared = common(s, act)
  if (shared !== undefined) return shared
  if (act.kind !== 'join' && act.kind !== 'take') return ''
  const [left, rest] = [owing(s.standing), owing(stand(s.problem, s.standing, act))]
  // The last step, or one that goes over and is put right after: `304 - 180 = 124`, then `124 + 2 = 126`.
  if (sign(rest) <= 0 || sign(left) === 0 || s.standing.doing === 'lay') return running(s, act)
  return balance(s, act)
}

/** A step that goes over may be written as a balance too: `304 - 178 = 124 + 2`. */
const overBalance = (s: WritingState, act: Act): string | undefined =>
  (act.kind === 'join' || act.kind === 'take') && s.standing.doing !== 'lay' ? balance(s, act) : undefined

/** Partial sums: tens with tens, ones with ones, then all together. */
export const partials = writing({
  id: 'partials',
  title: 'partial sums',
  name: 'the page',
  works: ['parts'],
  allows: (way) => way === 'apart',
  line: byParts,
})

/** The friendly page: the question is changed until it is easy, and stays worth the same. */
export const friendly = writing({
  id: 'friendly',
  title: 'friendly numbers',
  name: 'the page',
  works: ['whole'],
  allows: (way) => way === 'make-friendly' || way === 'over-and-back',
  line: byBalance,
  also: overBalance,
  cannotShow: (act) =>
    act.kind === 'exchange' || act.kind === 'gather'
      ? 'Numbers stay whole on this page: their parts are not written.'
      : '',
})

/** The split diagram: a number with its parts under it, and what becomes of each part. */
export const splits = writing({
  id: 'splits',
  title: 'split diagram',
  name: 'the diagram',
  works: ['parts', 'whole'],
  allows: (way) => way === 'apart' || way === 'make-friendly' || way === 'hops',
  line: byParts,
})
