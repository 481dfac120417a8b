import { change, holds, type Act, type AmountAct } from '../act/act'
import { allDone, owing, shareOf, stepsOf, type Standing } from '../act/standing'
import {
  add,
  compare,
  divide,
  exact,
  isWhole,
  negate,
  sign,
  sizeOf,
  subtract,
  toCount,
  ZERO,
  type Exact,
} from '../number/exact'
import type { Choices } from '../choices'
import { keepsLast, largerForMore, looksMore } from '../mistakes/coins'
import { comparisonMistake } from '../mistakes/fractions'
import { procedureFor } from '../mistakes/index'
import { dropsSign, operationAsOwn } from '../mistakes/signed'
import { currencyOf } from '../number/money'
import { countOf } from '../number/units'
import type { Sort } from '../problem/fit'
import { answer, isAnswer, type Problem } from '../problem/problem'
import { takesFromOther } from './laying'

/** Slips in counting that practitioners know by name (practice, section 14; common practice, no source). */
export const SLIPS = {
  startSaid: 'started the count on the first number',
  backStartSaid: 'counted back from the first number itself',
  saidTwice: 'counted one thing twice',
  skipped: 'skipped one while counting',
  touchedTwice: 'touched one notch twice',
  touchMissed: 'passed over a notch',
  notTaken: 'left some neither taken nor returned',
  wrongStart: 'set out another number than asked',
  misread: 'read another number than is there',
  short: 'left some neither counted, joined nor taken',
  over: 'counted, joined or took too many',
  wordRead: 'read the last number said, not how many steps it was',
  stepsRead: 'read how many steps it was, not the last number said',
  wrongStep: 'said a number that the step does not lead to',
  groupsShort: 'stopped a group too early',
  groupsOver: 'counted a group too many',
  wrongFinger: 'folded the wrong finger',
  shareShort: 'stopped sharing out too early',
  countsOnes: 'counted on by one, not by the coin',
  priceAdded: 'added what was paid to the price',
  wrongEnd: 'counted the change from what was paid, not from the price',
  noughtAfterPoint: 'wrote 1.5 for 1.05',
  groupSize: 'made a group of another size',
  remainderLarge: 'left a remainder that is not smaller than the divisor',
  shareMisread: 'read the wrong share, or what is left over',
  pairAsTwo: 'counted a pair as two',
  pairAsOne: 'counted a pair as one',
  halfPair: 'brought in pairs and forgot the other half',
  unlikeCleared: 'cleared unlike numbers of the two signs',
  wrongWay: 'drew the arrow the wrong way',
  arrowFromNought: 'started the second arrow at nought',
  arrowApart: 'started an arrow where none ends',
  copied: 'copied the answer without its acts',
  falseLine: 'wrote a line that does not hold',
  misaligned: 'wrote the digits in the wrong columns',
  tenNotReturned: 'moved ten without giving back',
  fiveNotReturned: 'moved five without giving back',
  digitReturned: 'gave back the digit itself',
  clearedAll: 'cleared all lower beads',
  nextForgotten: 'forgot the next rod',
  wrongRod: 'worked on the wrong rod',
  otherForm: 'wrote it another way than was asked',
} as const

/** What a slip is told from besides the acts: the question, as it was asked and as it is worked, and what the way has next. */
interface Asked {
  readonly asked: Problem
  readonly worked: Problem
  readonly next: Act | null
  readonly sort: Sort
  readonly choices: Choices
}

/** Slips of plus and minus: a half pair, a sign taken for another, an arrow the wrong way. */
function slipInSigns([act, more]: readonly Act[], before: Standing, next: Act | null, sort: Sort): string {
  if (more || !act || (act.kind !== 'join' && act.kind !== 'take') || before.begun < 2) return ''
  if (sort === 'pairs') {
    const [only, other] = act.pieces ?? []
    if (!only || other) return ''
    const brings = next?.kind === 'exchange' && next.from.length === 0
    const adds = (act.kind === 'join') === (before.doing === '+')
    if (brings && act.kind === 'join' && before.doing === '-' && only.unit !== owedUnit(before)) return ''
    if (brings && act.kind === 'join') return SLIPS.halfPair
    if (!adds || sign(owing(before)) === 0 || sign(act.amount) === sign(owing(before))) return ''
    return before.doing === '-' && sign(act.amount) < 0 ? operationAsOwn.name : dropsSign.name
  }
  if (sort !== 'arrows' || !next || (next.kind !== 'join' && next.kind !== 'take')) return ''
  return sign(change(act)) === -sign(change(next)) ? SLIPS.wrongWay : ''
}

/** Of which kind counters are still owed. */
const owedUnit = (s: Standing): Exact | undefined => s.left[0]?.unit

/** Pairs left standing that were counted with the rest, each as two or as one. */
function pairsMiscounted(read: Exact, { held }: Standing): string {
  const [plus, minus] = [countOf(held, exact(1)), countOf(held, exact(-1))]
  if (plus <= 0 || minus <= 0) return ''
  if (!isWhole(read)) return ''
  const size = toCount(sizeOf(read))
  if (size === plus + minus) return SLIPS.pairAsTwo
  return size === Math.max(plus, minus) ? SLIPS.pairAsOne : ''
}

/**
 * The slip in acts that led from one standing to another, by name; empty where there is none. An answer given before the work is
 * done is no misreading: `asked` is the problem as it was asked, `worked` as the way works it.
 */
export function slipIn(
  acts: readonly Act[],
  before: Standing,
  now: Standing,
  last: Act | undefined,
  { asked, worked, next, sort, choices }: Asked,
): string {
  const act = acts.at(-1)
  if (act?.kind === 'compare') return holds(act) ? '' : comparisonMistake(act)
  const ofSigns = slipInSigns(acts, before, next, sort)
  if (ofSigns) return ofSigns
  const ofCoins = sort === 'coins' ? slipInKind(acts, next, choices) : ''
  if (ofCoins) return ofCoins
  if (takesFromOther(before, acts)) return SLIPS.wrongStart
  const spoken = acts.find((a): a is AmountAct => (a.kind === 'join' || a.kind === 'take') && a.said !== undefined)
  if (spoken && sort === 'coins') return slipInCoin(spoken, before, last)
  if (spoken) return slipInWords(spoken.said!.map(Number), spoken.kind === 'take')
  const begun = stepsOf(before)
  if (act?.kind === 'read' && before.aim.kind === 'share')
    return slipInShare(act, before, before.aim.among, asked, sort)
  if (act?.kind === 'read') {
    if (act.value !== before.value) {
      const done = allDone(worked, before)
      if (asked.named && act.value === answer(asked) && !isAnswer(asked, act.value, null, act.as))
        return SLIPS.otherForm
      if (isAnswer(asked, act.value, act.remainder)) return ''
      if (sort === 'coins' && begun?.to && act.value === add(begun.to, begun.from)) return SLIPS.priceAdded
      if (sort === 'coins' && act.value === withoutNought(answer(asked))) return SLIPS.noughtAfterPoint
      const slip =
        pairsMiscounted(act.value, before) ||
        procedureFor(asked, act.value, choices)?.name ||
        misreading(act.value, before, last)
      return slip === SLIPS.misread && !done ? '' : slip
    }
    if (asked.named && act.value === answer(asked))
      return isAnswer(asked, act.value, null, act.as) ? '' : SLIPS.otherForm
    const left = sign(owing(before))
    if (begun && begun.step !== '1') return left === 0 ? '' : left > 0 ? SLIPS.groupsShort : SLIPS.groupsOver
    if (left > 0) return before.doing === '-' && !begun ? SLIPS.notTaken : SLIPS.short
    return left === 0 ? '' : SLIPS.over
  }
  if (act?.kind === 'group')
    return sort === 'nines' && sign(act.count) > 0 && sign(owing(now)) !== 0 ? SLIPS.wrongFinger : ''
  if (act?.kind !== 'count') return ''
  if (sort === 'groups' && begun && sizeOf(act.by) !== begun.step) return SLIPS.groupSize
  const forward = sign(act.by) > 0
  const first = last?.kind !== 'count'
  // Words are held against the word before, so that one slip is named once and not at every word after it.
  const said = first ? (begun?.from ?? before.value) : last.word
  const size = begun?.step ?? exact(1)
  const step = toCount(subtract(act.word, add(said, forward ? size : negate(size)))) * (forward ? 1 : -1)
  if (step === 0) return ''
  if (size !== '1' && act.word !== said) return SLIPS.wrongStep
  if (step < 0) return first ? (forward ? SLIPS.startSaid : SLIPS.backStartSaid) : SLIPS.saidTwice
  return SLIPS.skipped
}

/** A coin that is larger to the eye counted before one of more value; wherever else one begins is no slip. */
function slipInKind([act, more]: readonly Act[], next: Act | null, { money }: Choices): string {
  const kindOf = (a: Act | null | undefined): number =>
    a?.kind === 'lay' || (a?.kind === 'join' && !more) ? Number(a.pieces?.[0]?.unit ?? 0) : 0
  const [counted, wanted] = [kindOf(act), kindOf(next)]
  return counted > 0 && looksMore(currencyOf(money), counted, wanted) ? largerForMore.name : ''
}

/** What an amount becomes where the nought after the point is lost: 1.05 is 1.5. Only of an amount that has one. */
function withoutNought(amount: Exact): Exact | undefined {
  const [whole, small] = [Math.floor(Number(amount) / 100), Number(amount) % 100]
  return whole > 0 && small > 0 && small < 10 ? exact(100 * whole + 10 * small) : undefined
}

/** The word said for a coin, held against the word before it: on by the coin before, by one, or somewhere else. */
function slipInCoin(act: AmountAct, before: Standing, last: Act | undefined): string {
  const coin = last?.kind === 'lay' || last?.kind === 'join' ? last : undefined
  const begun = stepsOf(before)
  const said = act.said![0]!
  const step = subtract(said, coin?.said?.[0] ?? add(before.value, begun?.from ?? ZERO))
  if (step === act.amount) return ''
  if (coin && step === coin.amount) return keepsLast.name
  if (begun?.to && sizeOf(subtract(said, subtract(begun.to, before.value))) === act.amount) return SLIPS.wrongEnd
  if (begun?.to && said === add(begun.to, add(before.value, act.amount))) return SLIPS.wrongEnd
  return step === '1' ? SLIPS.countsOnes : SLIPS.wrongStep
}

/** Of a sharing: what each has is read, and what is left over; more could be dealt as long as there is enough left for all. */
function slipInShare(
  read: Extract<Act, { kind: 'read' }>,
  before: Standing,
  among: Exact,
  asked: Problem,
  sort: Sort,
): string {
  const told = read.remainder ?? ZERO
  if (isAnswer(asked, read.value, told)) return ''
  const known = read.value === shareOf(before) ? undefined : procedureFor(asked, read.value)
  if (known) return known.name
  if (compare(told, among) >= 0 && (sort === 'division' || read.value !== shareOf(before))) return SLIPS.remainderLarge
  if (compare(before.value, among) >= 0) return SLIPS.shareShort
  return read.value === shareOf(before) && told === before.value ? '' : SLIPS.shareMisread
}

/** Of a count in steps there are two numbers, the last word and how many steps; the other one is easily read. */
function misreading(read: Exact, before: Standing, last: Act | undefined): string {
  const begun = stepsOf(before)
  if (begun?.to != null && last?.kind === 'count' && read === last.word) return SLIPS.wordRead
  if (begun?.times != null && read === divide(before.value, begun.step)) return SLIPS.stepsRead
  return SLIPS.misread
}

/** A slip in the words said for one column alone: where they do not follow one another. */
export function slipInWords(words: readonly number[], back: boolean): string {
  for (const [i, word] of words.slice(1).entries()) {
    const step = (word - words[i]!) * (back ? -1 : 1)
    if (step < 1) return SLIPS.saidTwice
    if (step > 1) return SLIPS.skipped
  }
  return ''
}

/** A slip in a column that did not come out: the number begun from was said too, or the words themselves slip. */
export function slipInColumn(said: readonly number[], above: number, below: number, back: boolean): string {
  const starts = back ? [above] : [above, below]
  const found = slipInWords(said, back)
  if (found) return found
  if (said.length > 0 && starts.includes(said[0]!)) return back ? SLIPS.backStartSaid : SLIPS.startSaid
  return ''
}
