import { piecesAct, stepWorth, type Act, type AmountAct } from '../../act/act'
import { exact, negate, sign, ZERO, type Exact } from '../../number/exact'
import { parseNumeral, printExact, valueOf } from '../../number/numeral'
import { backwards } from '../../number/trail'
import { numberText } from '../../number/text'
import { piecesFor, worthOf } from '../../number/units'
import { Refusal } from '../../refusal'
import { exchangesIn } from '../inParts'
import { ruleSteps } from '../../act/signRule'
import { fractionActs } from './fractions'
import { lineFor } from './lines'
import type { EquationsState } from './state'

const NUMBER = String.raw`(-?\d+(?:\.\d+)?)`
const LAY = new RegExp(`^${NUMBER}(?: = (.+))?$`)
const HEAD = /^(\d+) in the head$/
const POSE = new RegExp(`^${NUMBER}(?: [+-] ${NUMBER})*? ([+-]) ${NUMBER}$`)
const WORK = new RegExp(`^${NUMBER} ([+-]) ${NUMBER}(?: \\* (\\d+|0\\.0*1))? = ${NUMBER}$`)
/** One number said while counting on or back. */
const WORD = /^· (\d+)$/
const PARTS = /^-?[\d.]+(?: \+ -?[\d.]+)*$/
const READ = new RegExp(`^read ${NUMBER}$`)
/** `from 8 to 14`, `from 3.7 to 5.2`, `from 0 to 12 in steps of 4`, `from 0 3 steps of 4`. */
const BEGIN = /^from (\d+(?:\.\d+)?)(?: to (\d+(?:\.\d+)?))?(?: in steps of (\d+)|, (\d+) steps of (\d+))?$/
const SHARE = /^(\d+) - (\d+) \* (\d+) = /
const GROUP = /^(-?\d+) \* (\d+) = /

/** The act of the last line of one of some kinds. */
function lastOf(s: EquationsState, ...kinds: Act['kind'][]): Act | undefined {
  for (const { act } of backwards(s.lines)) if (kinds.includes(act.kind)) return act
  return undefined
}

/** What each word counts: one, or the step of the count that was begun. */
function stepOf(s: EquationsState): Exact {
  const begun = lastOf(s, 'begin')
  return begun?.kind === 'begin' ? stepWorth(begun) : exact(1)
}

/** Which way one counts here: as the number last asked says, or as the words have gone so far. */
function counting(s: EquationsState): 'on' | 'back' | null {
  const asked = lastOf(s, 'pose', 'count', 'begin')
  if (asked?.kind === 'begin') return null
  if (asked?.kind === 'pose') return asked.operation === '+' ? 'on' : 'back'
  return asked?.kind === 'count' ? (sign(asked.by) > 0 ? 'on' : 'back') : null
}

/** All the parts that stand, put together in one line. */
function* gatherings(s: EquationsState, line: string): Generator<Act> {
  const parts = s.held.map((p) => worthOf([p]))
  const made: Act = { kind: 'gather', whole: s.value, parts }
  if (parts.length > 1 && line === lineFor(s, made)) yield made
}

/** So many dealt to each, where the line says so. */
function* sharings(s: EquationsState, line: string): Generator<Act> {
  const [, , among, each] = SHARE.exec(line) ?? []
  const dealt = each && piecesFor(valueOf(parseNumeral(each)), s.units)
  if (among && dealt && among === s.quotient?.by) yield { kind: 'share', each: dealt, among: exact(among) }
  const q = s.quotient
  if (q) yield { kind: 'read', value: q.value, remainder: q.remainder }
}

/** Every act that a line could be, the likeliest first; each is tried against what Sett itself would write for it. */
function* candidates(s: EquationsState, line: string): Generator<Act> {
  const number = (text: string): Exact => valueOf(parseNumeral(text))
  const inPieces = (kind: AmountAct['kind'], n: Exact): Act => {
    const pieces = piecesFor(n, s.units)
    if (pieces) return piecesAct(kind, pieces)
    // What no piece here is worth of its own sign is a number worked whole.
    if (sign(n) < 0) return { kind, amount: n }
    throw new Refusal(`${printExact(n)} goes further after the point than this page.`)
  }
  if (s.units.fractions || s.named || /[?<>]/.test(line)) yield* fractionActs(s, line)
  if (s.units.fractions) return
  const sentence: Act = { kind: 'read', value: s.value }
  // Once a difference is hopped up, the sentence of the problem is no taking from where one stands.
  if (s.from !== ZERO && line === lineFor(s, sentence)) yield sentence
  if (s.rewrites) {
    const asked = lastOf(s, 'pose', 'join', 'take')
    if (asked?.kind === 'pose') yield* ruleSteps(s.value, asked.operation, asked.amount)
  }
  const work = WORK.exec(line)
  if (work && !/^[0.]+$/.test(work[3]!)) {
    const [, , operation, amount, unit] = work
    const kind = operation === '+' ? 'join' : 'take'
    if (unit) yield piecesAct(kind, [{ count: Number(amount), unit: number(unit) }])
    else yield s.whole ? { kind, amount: number(amount!) } : inPieces(kind, number(amount!))
  }

  const word = WORD.exec(line)
  if (word)
    for (const by of [stepOf(s), negate(stepOf(s))])
      if (sign(by) > 0 ? counting(s) !== 'back' : counting(s) !== 'on')
        yield { kind: 'count', by, word: number(word[1]!) }
  const begin = BEGIN.exec(line)
  if (begin) {
    const [, from, to, step = '1', times, each] = begin
    yield times === undefined
      ? { kind: 'begin', from: number(from!), step: number(step), to: number(to ?? from!), times: null }
      : { kind: 'begin', from: number(from!), step: number(each!), to: null, times: number(times) }
  }
  const group = GROUP.exec(line)
  if (group && s.value === ZERO) yield { kind: 'group', count: number(group[1]!), size: number(group[2]!) }
  const pose = POSE.exec(line)
  if (pose) yield { kind: 'pose', operation: pose[3] as '+' | '-', amount: number(pose[4]!) }
  const begunHere = s.value !== ZERO || lastOf(s, 'lay') !== undefined
  const head = HEAD.exec(line)
  if (head && !begunHere) yield { kind: 'lay', amount: number(head[1]!), inHead: true }
  const lay = LAY.exec(line)
  if (lay && !begunHere) yield inPieces('lay', number(lay[1]!))
  if (s.parts) yield* gatherings(s, line)
  const read = READ.exec(line)
  yield { kind: 'read', value: read ? number(read[1]!) : s.value }
  yield* sharings(s, line)
  yield* exchangesIn(line, s.held, s.units)
  if (!s.parts) return
  const [left = '', right = ''] = line.split(' = ')
  if (PARTS.test(right) && PARTS.test(left)) {
    const [whole, parts] = [left.split(' + ').map(number), right.split(' + ').map(number)]
    if (whole.length === 1) yield { kind: 'split', whole: whole[0]!, parts }
  }
}

/** The act that a line writes. @throws Refusal when it does not follow from what stands. */
export function actOf(s: EquationsState, line: string): Act {
  // `7 - 3 = 4` is both a taking and, once the 3 are gone, the final sentence: only one of them starts from what stands.
  for (const act of candidates(s, line)) if (lineFor(s, act) === line) return act
  const sides = line.split(' = ')
  if (sides.length === 2)
    throw new Refusal(
      `“${line}” does not follow from what stands, ${numberText(s.value, s.units, s.held)}.`,
      `A true line starts from ${numberText(s.value, s.units, s.held)}.`,
    )
  throw new Refusal(`“${line.slice(0, 40)}” is not a line of this writing.`, `Like: ${s.value} - 7 = …`)
}
