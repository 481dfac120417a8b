import { breakAct, makeAct, piecesAct, type Act } from '../act/act'
import { fullPiles } from '../act/unfold'
import { isRead, owing, termDone, type Standing } from '../act/standing'
import { compare, negate, sign, ZERO, type Exact } from '../number/exact'
import { valueOf } from '../number/numeral'
import { countOf, ladderOf, piecesFor, type Pieces } from '../number/units'
import { isChain, type Problem } from '../problem/problem'
import type { Way } from './way'

/**
 * The two schools of working with exchanges (practice: common practice, no source). They differ only in when exchanges are made,
 * so one function serves both; `together` makes all exchanges of an operation in one go. Nothing here knows what the kinds are
 * worth: only that so many of one make one of the next.
 */
function next(problem: Problem, s: Standing, together: boolean, atOnce = false): Act | null {
  if (compare(s.unposed, ZERO) > 0) return { kind: 'pose', operation: s.doing === '-' ? '-' : '+', amount: s.unposed }
  if (!s.laid) return piecesAct('lay', s.left)
  const term = problem.terms[s.begun - 1]
  const posed = term && (term.operation === '+' || term.operation === '-')
  if (posed && atOnce && (s.doing === '+' || termDone(s)))
    return { kind: 'pose', operation: '+', amount: valueOf(term.number) }
  if (!termDone(s)) {
    const act = work(s, together)
    if (act) return act
  }
  const [full] = fullPiles(s.held, s.units)
  if (full) return full
  if (posed) return { kind: 'pose', operation: term.operation, amount: valueOf(term.number) }
  return isRead(s) ? null : { kind: 'read', value: s.value }
}

/** A number as pieces of the material, where its pieces make it. */
const asPieces = (value: Exact, s: Standing): readonly Pieces[] => piecesFor(value, s.units) ?? []

/** What of the number in hand comes next; too much done is given back. */
function work(s: Standing, together: boolean): Act | null {
  const rest = owing(s)
  if (sign(rest) < 0) {
    const back = asPieces(negate(rest), s)
    return s.doing === '-' ? piecesAct('join', back) : takeOut(s, back, together)
  }
  // Whole piles too many of one kind count towards the next; single ones too many go back first.
  for (const { count, unit } of [...s.left].reverse()) {
    const pile = ladderOf(s.units)?.find((r) => r.lower === unit)?.times
    const over = -count % (pile ?? Infinity)
    if (over > 0) return piecesAct(s.doing === '-' ? 'join' : 'take', [{ count: over, unit }])
  }
  const left = s.left.some((p) => p.count < 0) ? asPieces(rest, s) : s.left
  if (s.doing === 'lay') return piecesAct('join', left)
  return s.doing === '+' ? putIn(s, left, together) : takeOut(s, left, together)
}

const upwards = (s: Standing): readonly Exact[] => [...s.units.worths].reverse()

/** From the lowest kind up: put this kind in, then make one of the next of every full pile. */
function putIn(s: Standing, left: readonly Pieces[], together: boolean): Act | null {
  for (const unit of upwards(s)) {
    const count = countOf(left, unit)
    if (count > 0) return piecesAct('join', [{ count, unit }])
    const rung = together ? undefined : ladderOf(s.units)?.find((r) => r.lower === unit)
    const times = rung ? Math.floor(countOf(s.held, unit) / rung.times) : 0
    if (rung && times > 0) return makeAct(rung, times)
  }
  return null
}

/** From the lowest kind up: where there are too few, break one of the next kind that has any; then take. */
function takeOut(s: Standing, left: readonly Pieces[], together: boolean): Act | null {
  const wanted = upwards(s).flatMap((unit) => {
    const count = countOf(left, unit)
    return count > 0 ? [{ count, unit, short: countOf(s.held, unit) < count }] : []
  })
  const short = wanted.find((w) => w.short)
  if (together && short) return breakFor(s, short.unit)
  const [first] = wanted
  if (!first) return null
  return first.short ? breakFor(s, first.unit) : piecesAct('take', [{ count: first.count, unit: first.unit }])
}

/** Across noughts the hundred is broken to tens first, then a ten to ones: one step nearer each time. */
function breakFor(s: Standing, unit: Exact): Act | null {
  const above = (ladderOf(s.units) ?? []).filter((r) => compare(r.unit, unit) > 0)
  const from = above.find((r) => countOf(s.held, r.unit) > 0)
  if (from) return breakAct(from)
  // Nothing above to break: what is wanted lies below, in a full pile.
  const [full] = fullPiles(s.held, s.units)
  // Where hands have left too little, nothing is exchanged: what is owed stands as it is.
  return full && compare(full.from[0]!.unit, unit) < 0 ? full : null
}

export const onesFirst: Way = {
  id: 'ones-first',
  title: 'ones first',
  school: 'Column by column from the ones; each exchange when it is needed. The usual start.',
  at: 'Blocks, chips and the column sheet: anything with a place for each digit.',
  sort: 'places',
  suits: isChain,
  next: (problem, standing) => next(problem, standing, false),
}

export const exchangesFirst: Way = {
  id: 'exchanges-first',
  title: 'exchanges together',
  school: 'All exchanges in one go: before anything is taken away, or after everything is put in.',
  at: 'Where exchanging and taking are kept apart: the column sheet, and blocks beside it.',
  sort: 'places',
  suits: isChain,
  next: (problem, standing) => next(problem, standing, true),
}

/** As many addends as are written beneath one another (practice, section 7). */
const MOST_ADDENDS = 8

export const byColumn: Way = {
  id: 'by-column',
  title: 'all numbers at once',
  school: 'All addends are written beneath one another and added column by column, ones first.',
  at: 'The column sheet, with up to eight addends; blocks and chips where all of them lie beside one another.',
  sort: 'places',
  suits: (p) => p.terms.length > 1 && p.terms.length < MOST_ADDENDS && p.terms.every((t) => t.operation === '+'),
  next: (problem, standing) => next(problem, standing, false, true),
}
