import { after, change, type Act, type AmountAct } from '../../act/act'
import { wholly } from '../../act/unfold'
import { owing, stand } from '../../act/standing'
import { add, sign, sizeOf, type Exact } from '../../number/exact'
import { printExact } from '../../number/numeral'
import { countOf, ladderOf, worthOf, type Pieces, type Units } from '../../number/units'
import { inParts } from '../inParts'
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
    case 'share':
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
const tenfold = (pieces: readonly Pieces[], units: Units): string =>
  [...pieces]
    .reverse()
    .map((p) => (isPile(p, units) ? `${p.count} * ${number(p.unit)}` : number(worthOf([p]))))
    .join(' + ')

/** Whether there are so many of a kind that they could be one of the next. */
const isPile = ({ count, unit }: Pieces, units: Units): boolean =>
  count >= (ladderOf(units)?.find((r) => r.lower === unit)?.times ?? 10)

/** Part with part, each of its own place: `30 + 40 = 70`; changing the parting: `80 + 5 = 70 + 15`. */
function byParts(s: WritingState, act: Act): string {
  const shared = common(s, act)
  if (shared !== undefined) return shared
  const { held, units } = s.standing
  if (act.kind === 'exchange') {
    const now = stand(s.problem, s.standing, act).held
    // What was gathered in one line needs no further line for each of its exchanges.
    if (now.some((p) => p.count < 0)) return ''
    const is = inParts(now, units)
    // A made ten that leaves one number alone would look like a sum of two parts; it is written as ten ones.
    return `${is.includes(' + ') ? inParts(held, units) : tenfold(held, units)} = ${is}`
  }
  if (act.kind !== 'join' && act.kind !== 'take') return ''
  const [come, more] = act.pieces ?? []
  if (!come || more) return running(s, act)
  const part = worthOf([{ ...come, count: countOf(held, come.unit) }])
  // More than nine of a place are written as so many of it; as a number they would be parted otherwise.
  const amount = isPile(come, units) ? `${come.count} * ${number(come.unit)}` : number(act.amount)
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
  example: 'write 30 + 40 = 70',
  name: 'the page',
  sorts: ['parts'],
  allows: (way) => way === 'apart',
  line: byParts,
})

/** The friendly page: the question is changed until it is easy, and stays worth the same. */
export const friendly = writing({
  id: 'friendly',
  title: 'friendly numbers',
  example: 'write 29 + 46 = 30 + 45',
  name: 'the page',
  sorts: ['whole'],
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
  diagram: true,
  title: 'split diagram',
  called: 'the split diagram',
  example: 'write 45 = 40 + 5',
  name: 'the diagram',
  sorts: ['parts', 'whole'],
  allows: (way) => way === 'apart' || way === 'make-friendly' || way === 'hops',
  line: byParts,
})
