import { inUnits, type Act } from '../../act/act'
import { ZERO } from '../../number/exact'
import { MAX_DIGITS, printNumeral } from '../../number/numeral'
import { extended, START } from '../../number/trail'
import { decimal, ones } from '../../number/units'
import { fitWholes, type Sort } from '../../problem/fit'
import { fitParts, MOST_WRITTEN, partsOfProblem } from '../../problem/fitParts'
import {
  answer,
  asksMore,
  decimalsIn,
  MAX_NUMBERS,
  MOST_COMPARED,
  printProblem,
  quotientOf,
  writesFractions,
  type Problem,
} from '../../problem/problem'
import { Refusal } from '../../refusal'
import { plainly } from '../text'
import type { Recognised, Representation } from '../representation'
import { rowsAfter } from './fractions'
import { after, lineFor } from './lines'
import { actOf } from './read'
import type { EquationsMove, EquationsState } from './state'

export type { EquationsMove, EquationsState, Line } from './state'

/** The page with one more line on it. */
const withLine = (s: EquationsState, act: Act, text: string): EquationsState => ({
  ...s,
  ...after(s, act),
  rows: rowsAfter(s, act),
  from: act.kind === 'begin' && act.to !== null && act.step === '1' && s.whole ? act.from : s.from,
  lines: extended(s.lines, { text, act, valueBefore: s.value }),
})

/** An act written down at once. Whatever a material allows can be written; only what a person types is read, and may be refused. */
function write(s: EquationsState, made: Act): EquationsState {
  const act = inUnits(made, s.units)
  const text = act ? lineFor(s, act) : ''
  return act && text !== '' ? withLine(s, act, text) : s
}

function apply(s: EquationsState, move: EquationsMove): EquationsState {
  return withLine(s, actOf(s, move.line), move.line)
}

function recognise(before: EquationsState, moves: readonly EquationsMove[]): Recognised {
  const [only] = moves
  return moves.length === 1 && only ? [actOf(before, only.line)] : undefined
}

function parse(text: string): EquationsMove {
  if (/^rub\b/i.test(text.trim())) throw new Refusal('Nothing is rubbed out here.', 'Strike it, or undo.')
  const line = /^write (.+)$/i.exec(text.trim())?.[1]
  if (!line) throw new Refusal('A line is written with: write 52 - 7 = 45.', '', { at: 0, length: text.length })
  return { kind: 'write', line: plainly(line) }
}

/** Sorts of ways in which numbers are worked whole, so that the page does not part them by itself. */
const WHOLE: readonly Sort[] = ['whole', 'beads', 'arrows', 'signs', 'nine-tricks', 'groups', 'products', 'coins']

/** Sorts of ways in which numbers are parted and gathered in writing. */
const PARTING: readonly Sort[] = ['parts', 'whole', 'arrows', 'groups', 'products']

/** Running equations: one true line for each act. */
export const equations: Representation<EquationsState, EquationsMove> & { write: typeof write } = {
  id: 'equations',
  title: 'running equations',
  called: 'running equations',
  kind: 'written',
  units: decimal(MAX_DIGITS, MAX_DIGITS),
  sorts: ['places'],
  // Digits are written from the lowest place up.
  allows: (way) => way !== 'by-places',
  example: 'write 52 - 7 = 45',
  fits: (problem: Problem) =>
    writesFractions(problem) || asksMore(problem)
      ? fitParts(problem, {
          name: 'the page',
          wholes: 999_999,
          because: 'larger mixed numbers are hard to read',
          parts: MOST_WRITTEN,
          decimals: 4,
          amounts: MOST_COMPARED,
          signed: true,
          instead: [],
        })
      : fitWholes(problem, {
          name: 'the page',
          greatest: 999_999_999,
          because: `numbers here have up to ${MAX_DIGITS} digits`,
          instead: [],
          groups: true,
          signed: true,
          numbers: MAX_NUMBERS,
          decimals: 9,
        }),
  follows: (problem) => problem.groups !== undefined,
  start: (problem, _choices, beside) => {
    const whole = beside !== undefined && WHOLE.includes(beside.sort)
    const counted = beside?.sort === 'counting'
    // Pairs that lie with a number change nothing of what it is worth: they are no part of its sentence.
    const { pairs: _, ...asked } = beside?.asked ?? problem
    return {
      problem: printProblem(asked),
      answer: answer(asked),
      quotient: quotientOf(asked),
      value: ZERO,
      units:
        beside?.units ??
        (writesFractions(problem)
          ? partsOfProblem(problem)
          : counted
            ? ones(['one', 'ones'])
            : decimal(MAX_DIGITS, decimalsIn(problem))),
      held: [],
      rows: [],
      first: printNumeral(problem.first),
      named: problem.named !== undefined,
      lines: START,
      plain: counted || whole,
      parts: PARTING.some((sort) => sort === beside?.sort),
      repeats: beside?.sort === 'groups' || beside?.way === 'fill-plates',
      rewrites: beside?.sort === 'signs',
      whole,
      from: ZERO,
    }
  },
  apply,
  shows: (s) => s.value,
  perform: (s, made) => {
    const act = inUnits(made, s.units)
    const line = act ? lineFor(s, act) : ''
    return line === '' ? [] : [{ kind: 'write', line }]
  },
  write,
  recognise,
  print: (move) => `write ${move.line}`,
  parse,
}
