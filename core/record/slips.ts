import type { Act, AmountAct } from '../act/act'
import { allDone, owing, shareOf, stepsOf, type Standing } from '../act/standing'
import { add, compare, divide, exact, negate, sign, subtract, toCount, ZERO, type Exact } from '../number/exact'
import { isAnswer, type Problem } from '../problem/problem'

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
  shareMisread: 'read the wrong share, or what is left over',
  copied: 'copied the answer without its acts',
  falseLine: 'wrote a line that does not hold',
  misaligned: 'wrote the digits in the wrong columns',
  tenNotReturned: 'moved ten without giving back',
  fiveNotReturned: 'moved five without giving back',
  digitReturned: 'gave back the digit itself',
  clearedAll: 'cleared all lower beads',
  nextForgotten: 'forgot the next rod',
  wrongRod: 'worked on the wrong rod',
} as const

/**
 * The slip in acts that led from one standing to another, by name; empty where there is none. An answer given before the work is
 * done is no misreading: `asked` is the problem as it was asked, `worked` as the way works it.
 */
export function slipIn(
  acts: readonly Act[],
  before: Standing,
  now: Standing,
  last: Act | undefined,
  { asked, worked }: { readonly asked: Problem; readonly worked: Problem },
): string {
  const act = acts.at(-1)
  const started = before.aim.kind === 'total' && before.begun === 1 && before.laid && sign(owing(before)) !== 0
  if (started && acts[0]?.kind === 'take') return SLIPS.wrongStart
  const spoken = acts.find((a): a is AmountAct => (a.kind === 'join' || a.kind === 'take') && a.said !== undefined)
  if (spoken) return slipInWords(spoken.said!.map(Number), spoken.kind === 'take')
  const begun = stepsOf(before)
  if (act?.kind === 'read' && before.aim.kind === 'share') return slipInShare(act, before, before.aim.among)
  if (act?.kind === 'read') {
    if (act.value !== before.value) {
      const done = allDone(worked, before)
      const slip = isAnswer(asked, act.value, act.remainder) ? '' : misreading(act.value, before, last)
      return slip === SLIPS.misread && !done ? '' : slip
    }
    const left = sign(owing(before))
    if (begun && begun.step !== '1') return left === 0 ? '' : left > 0 ? SLIPS.groupsShort : SLIPS.groupsOver
    if (left > 0) return before.doing === '-' && !begun ? SLIPS.notTaken : SLIPS.short
    return left === 0 ? '' : SLIPS.over
  }
  if (act?.kind === 'group') return sign(act.count) > 0 && sign(owing(now)) !== 0 ? SLIPS.wrongFinger : ''
  if (act?.kind !== 'count') return ''
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

/** Of a sharing: what each has is read, and what is left over; more could be dealt as long as there is enough left for all. */
function slipInShare(read: Extract<Act, { kind: 'read' }>, before: Standing, among: Exact): string {
  const told = read.remainder ?? ZERO
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
