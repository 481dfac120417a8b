import { amountAct, exchangeAct, type Act } from '../act/act'
import { owing, termDone, type Standing } from '../act/standing'
import { compare, negate, sign, ZERO } from '../number/exact'
import { valueOf } from '../number/numeral'
import { countsAt, digitsOf, type Counts, type Place } from '../number/places'
import { isChain, type Problem } from '../problem/problem'
import type { Way } from './way'

/**
 * The two schools of working in places (practice: common practice, no source). They differ only in when exchanges are
 * made, so one function serves both; `together` makes all exchanges of an operation in one go.
 */
function next(problem: Problem, s: Standing, together: boolean, atOnce = false): Act | null {
  if (compare(s.unposed, ZERO) > 0) return { kind: 'pose', operation: s.doing === '-' ? '-' : '+', amount: s.unposed }
  if (!s.laid) return amountAct('lay', s.left, s.decimals)
  const term = problem.terms[s.begun - 1]
  const posed = term && (term.operation === '+' || term.operation === '-')
  if (posed && atOnce && (s.doing === '+' || termDone(s)))
    return { kind: 'pose', operation: '+', amount: valueOf(term.number) }
  if (!termDone(s)) {
    const act = work(s, together)
    if (act) return act
  }
  const full = s.counts.findIndex((n, p) => n > 9 && p < s.counts.length - 1)
  if (full >= 0) return exchangeAct(full + 1 - s.decimals, true, Math.floor(s.counts[full]! / 10))
  if (posed) return { kind: 'pose', operation: term.operation, amount: valueOf(term.number) }
  return s.read === s.value ? null : { kind: 'read', value: s.value }
}

/** What of the number in hand comes next; too much done is given back. */
function work(s: Standing, together: boolean): Act | null {
  const rest = owing(s)
  if (sign(rest) < 0) {
    const back = digitsOf(negate(rest), s.counts.length, s.decimals)
    return s.doing === '-' ? amountAct('join', back, s.decimals) : takeOut(s, back, together)
  }
  // Whole tens too many in one place count towards the next; single ones too many go back first.
  const over = s.left.findIndex((n) => n < 0 && n % 10 !== 0)
  if (over >= 0) return amountAct(s.doing === '-' ? 'join' : 'take', countsAt(over, -s.left[over]! % 10), s.decimals)
  const left = s.left.some((n) => n < 0) ? digitsOf(rest, s.counts.length, s.decimals) : s.left
  if (s.doing === 'lay') return amountAct('join', left, s.decimals)
  return s.doing === '+' ? putIn(s, left, together) : takeOut(s, left, together)
}

/** From the ones up: put this place in, then make a higher one of every ten. */
function putIn(s: Standing, left: Counts, together: boolean): Act | null {
  for (const [place, count] of left.entries()) {
    if (count > 0) return amountAct('join', countsAt(place, count), s.decimals)
    if (!together && s.counts[place]! > 9 && place < s.counts.length - 1)
      return exchangeAct(place + 1 - s.decimals, true, Math.floor(s.counts[place]! / 10))
  }
  return null
}

/** From the ones up: where there are too few, break one of the next place that has any; then take. */
function takeOut(s: Standing, left: Counts, together: boolean): Act | null {
  if (together) {
    for (const [place, count] of left.entries()) if (s.counts[place]! < count) return breakFor(s, place)
  }
  for (const [place, count] of left.entries()) {
    if (count === 0) continue
    return s.counts[place]! < count ? breakFor(s, place) : amountAct('take', countsAt(place, count), s.decimals)
  }
  return null
}

/** Across noughts the hundred is broken to tens first, then a ten to ones: one step nearer each time. */
function breakFor(s: Standing, place: Place): Act {
  const from = s.counts.findIndex((n, p) => p > place && n > 0)
  if (from >= 0) return exchangeAct(from - s.decimals, false)
  // Nothing above to break: what is wanted lies below, in a place with more than nine.
  const full = s.counts.findIndex((n) => n > 9)
  if (full < 0 || full >= place) throw new Error(`nothing to exchange for place ${place} in ${s.value}`)
  return exchangeAct(full + 1 - s.decimals, true)
}

export const onesFirst: Way = {
  id: 'ones-first',
  title: 'ones first',
  school: 'Column by column from the ones; each exchange when it is needed. The usual start.',
  at: 'Blocks, chips and the column sheet: anything with a place for each digit.',
  works: 'places',
  suits: isChain,
  next: (problem, standing) => next(problem, standing, false),
}

export const exchangesFirst: Way = {
  id: 'exchanges-first',
  title: 'exchanges together',
  school: 'All exchanges in one go: before anything is taken away, or after everything is put in.',
  at: 'Where exchanging and taking are kept apart: the column sheet, and blocks beside it.',
  works: 'places',
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
  works: 'places',
  suits: (p) => p.terms.length > 1 && p.terms.length < MOST_ADDENDS && p.terms.every((t) => t.operation === '+'),
  next: (problem, standing) => next(problem, standing, false, true),
}
