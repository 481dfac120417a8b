import type { Exact } from '../number/exact'
import { lowestText, relationOf } from '../number/fractions'
import { printExact } from '../number/numeral'
import { plan, type Plan } from '../plan/plan'
import { besideOf, setUp, type Setup } from '../plan/setup'
import { parseProblem } from '../problem/parse'
import { amountsOf, answer, printProblem, quotientOf, writesFractions, type Problem } from '../problem/problem'
import { productOf } from '../problem/product'
import { attempt } from '../refusal'
import { offersFor, REPRESENTATIONS } from '../representation/index'
import type { ColumnsState } from '../representation/columns/state'
import type { DivisionState } from '../representation/division/state'
import type { ProductState } from '../representation/product/state'
import type { RepresentationId } from '../materials'
import { pretty } from '../speech/words'
import { column, fittedLine, mathLine, paragraph, type Block } from './lines'
import { line, moved, POINT, text, type Mark, type Picture } from './drawing'
import type { Content, Room } from './page'
import { columnsPicture, divisionPicture, productPicture, type Squares } from './pictures/sheets'
import { lineHeight, sizeFor, type Setting } from './setting'

/** Problems to be worked on paper: on squares or on a line each, blank, with the first step done, or with all marks and the answer. */

export const SHOWN = ['blank', 'first', 'key'] as const
export type Shown = (typeof SHOWN)[number]

export interface ProblemsWish {
  readonly kind: 'problems'
  /** Each as it is typed: `52 - 37`. */
  readonly problems: readonly string[]
  readonly layout: 'squares' | 'lines'
  readonly shown: Shown
}
export const MOST_PRINTED = 200

/** On which sheet a problem is written; undefined where it has none. */
function sheetFor(problem: Problem): RepresentationId | undefined {
  const operation = problem.terms[0]?.operation
  const sheet = productOf(problem) ? 'product' : operation === '/' ? 'division' : 'columns'
  return REPRESENTATIONS[sheet].fits(problem).fits ? sheet : undefined
}

/** A sheet as it stands after so many planned steps. */
interface Worked {
  readonly setup: Setup
  readonly plan: Plan
  readonly states: readonly unknown[]
}

/** Every state on the way through a plan, the empty start first. @throws Refusal where the problem cannot be worked there. */
export function statesOf(request: Parameters<typeof setUp>[0]): Worked {
  const setup = setUp(request)
  const r = REPRESENTATIONS[setup.representation]
  const planned = plan(request)
  let state = r.start(setup.worked, setup.choices, besideOf(setup))
  const states = [state]
  for (const step of planned.steps) {
    for (const move of step.moves[r.id] ?? []) state = r.apply(state, move)
    states.push(state)
  }
  return { setup, plan: planned, states }
}

/** How many steps only write the numbers down. */
const written = ({ plan: { steps } }: Worked): number => {
  const first = steps.findIndex(({ act }) => act.kind !== 'lay' && act.kind !== 'pose')
  return first < 0 ? steps.length : first
}

/** The step at which a sheet is shown. */
function standsAt(w: Worked, shown: Shown): number {
  if (shown === 'key') return w.states.length - 1
  const from = written(w)
  if (shown === 'blank') return from
  // The first step is the first that leaves something on the paper.
  const next = w.states.findIndex((s, i) => i > from && s !== w.states[from] && !isHalf(s))
  return next < 0 ? from : next
}

/** Whether a column's whole sum stands on a sheet, and its carry mark is still to come. */
const isHalf = (state: unknown): boolean =>
  'bands' in (state as object) &&
  (state as ColumnsState).rows.slice(1).some((row) => row.some((square) => (square.at(-1)?.digit ?? 0) > 9))

/** A problem on its squares; undefined where it has no sheet of its own. */
function squaresFor(s: Setting, problem: Problem, shown: Shown, unit: number): Picture | undefined {
  const sheet = sheetFor(problem)
  if (!sheet) return undefined
  const sq: Squares = { unit, tactile: s.tactile, asWritten: true }
  const looked = attempt(() => statesOf({ problem, representation: sheet, choices: s.choices }))
  if ('refused' in looked) return undefined
  const w = looked.ok
  const [state, last] = [w.states[standsAt(w, shown)], w.states.at(-1)]
  // A sheet is as high as its answer needs, however little of it is shown.
  if (sheet === 'columns') return columnsPicture(state as ColumnsState, s.choices, sq)
  if (sheet === 'product') {
    const full = productPicture(last as ProductState, sq)
    const now = productPicture(state as ProductState, sq)
    return { ...now, w: Math.max(now.w, full.w), h: Math.max(now.h, full.h) }
  }
  const rows = Math.round(divisionPicture(last as DivisionState, sq).h / sq.unit)
  return divisionPicture(state as DivisionState, sq, rows, false)
}

/** The answer as it stands in a key. */
export function answerText(problem: Problem): string {
  const quotient = quotientOf(problem)
  if (quotient)
    return `${printExact(quotient.value)}${quotient.remainder === '0' ? '' : ` r ${printExact(quotient.remainder)}`}`
  if (problem.others) {
    const amounts = amountsOf(problem)
    return amounts
      .slice(1)
      .map((b, i) => relationOf(amounts[i]!, b))
      .join(' ')
  }
  const value: Exact = answer(problem)
  if (problem.named) return namedAnswer(problem) ?? lowestText(value)
  return writesFractions(problem) ? lowestText(value) : printExact(value)
}

/** What a number is written as, where another form of it is asked: found by working it. */
function namedAnswer(problem: Problem): string | undefined {
  const offer = offersFor(problem).find((o) => o.fits)
  const worked = offer && attempt(() => plan({ problem, representation: offer.representation }))
  const read = worked && 'ok' in worked ? worked.ok.steps.at(-1)?.lines.at(-1)?.text : undefined
  return read?.split('=').at(-1)?.trim()
}

/** The first line that is written for a problem, in whatever it is usually worked with. */
function firstLine(s: Setting, problem: Problem): string | undefined {
  const offer = offersFor(problem).find((o) => o.fits)
  const worked = offer && attempt(() => plan({ problem, representation: offer.representation, choices: s.choices }))
  if (!worked || 'refused' in worked) return undefined
  const { steps } = worked.ok
  const asked = steps.findIndex(({ act }) => act.kind !== 'lay' && act.kind !== 'pose')
  // Where the first step is all there is to do, it would give the answer away.
  const left = steps.slice(Math.max(0, asked)).filter(({ act }) => act.kind !== 'read')
  const lines = left.length > 1 ? left.flatMap((step) => step.lines.map((l) => l.text)) : []
  // What only asks the question once more is no step.
  return lines.find((text) => text !== printProblem(problem) && !text.includes('?'))
}

/** A problem on a line with room for its answer, or with it. */
function onLine(s: Setting, problem: Problem, shown: Shown, width: number): Block {
  const size = sizeFor(s, 'learner')
  const asks = problem.others ? '' : ' ='
  const between = problem.others && shown === 'key' ? answerText(problem).split(' ') : []
  const ascii = `${printProblem(problem).replace(/\?/g, () => between.shift() ?? '?')}${asks}`
  const key = shown === 'key' && !problem.others ? answerText(problem) : ''
  if (s.tactile) {
    const set = paragraph(s, pretty(`${ascii} ${key}`.trim()), width, size, 'regular')
    return { ...set, h: set.h + 14 }
  }
  const set = fittedLine(s, ascii, size, width)
  const result = key === '' ? undefined : mathLine(s, key, size, 'bold')
  const em = size * POINT
  // The answer stands on the line of the fractions, or on the last of several lines.
  const base = set.w < width && set.h > lineHeight(size) + 0.1 ? em * 1.25 : set.h - lineHeight(size) + em * 1.05
  const x = set.w + 2
  const first = shown === 'first' ? firstLine(s, problem) : undefined
  const room: readonly Mark[] = result
    ? [moved(result.marks, x, base - (result.h > lineHeight(size) + 0.1 ? em * 1.25 : em * 1.05))]
    : problem.others
      ? []
      : [line(x, base + 1, x + 26, base + 1, { wide: 0.3 })]
  const top: Block = { w: x + (result?.w ?? (problem.others ? 0 : 26)), h: set.h + 3, marks: [...set.marks, ...room] }
  return first ? column([top, fittedLine(s, first, s.big ? size : size * 0.85, width)], 1) : top
}

/** How large squares are, in millimetres: the largest with which a set still goes on one sheet, else the last. */
const UNITS = [20, 18, 16, 14, 12, 10, 8]
const LARGE = 14
/** How far problems are moved apart where a sheet has room left, in millimetres. */
const GAPS = [36, 30, 24, 18, 14]

function cellsOf(wish: ProblemsWish, room: Room, s: Setting, unit: number): readonly Block[] {
  const number = sizeFor(s, 'body')
  const lead = s.tactile ? 0 : s.measure('199.', 'regular', number) + 1.5
  return wish.problems.map((typed, i): Block => {
    const problem = parseProblem(typed)
    const picture = wish.layout === 'squares' ? squaresFor(s, problem, wish.shown, unit) : undefined
    const body: Block = picture
      ? { w: picture.w, h: picture.h, marks: s.tactile ? [moved(picture.marks, 0, 0, 1, 'figure')] : picture.marks }
      : onLine(s, problem, wish.shown, room.w - lead - (s.tactile ? 0 : 30))
    const label: Mark[] = s.tactile ? [] : [text(0, number * POINT * 1.1, `${i + 1}.`, number)]
    return { w: body.w + lead, h: body.h, marks: [...label, moved(body.marks, lead, 0)] }
  })
}

/** Problems one after another, as many beside each other as there is room for. */
export function problemSheets(wish: ProblemsWish, room: Room, s: Setting): Content {
  const gap = s.tactile ? 10 : wish.layout === 'squares' ? 8 : 10
  let cells: readonly Block[] = []
  let sheets: Content['sheets'] = []
  for (const unit of s.tactile || s.big ? [LARGE] : UNITS) {
    cells = cellsOf(wish, room, s, unit)
    sheets = inRows(cells, room, gap)
    if (sheets.length === 1 || wish.layout === 'lines') break
  }
  // What room is left on the sheets lies between the problems.
  if (!s.tactile)
    for (const down of GAPS) {
      const wider = inRows(cells, room, gap, down)
      if (wider.length > sheets.length) continue
      sheets = wider
      break
    }
  return { title: wish.shown === 'key' ? 'Answers' : 'Problems', sheets, named: wish.shown !== 'key' }
}

/** Cells in rows, in columns as wide as most of them need, so far apart across and down; a wider one takes several columns, and a new sheet is begun where one is full. */
export function inRows(cells: readonly Block[], room: Room, gap: number, down = gap): readonly (readonly Mark[])[] {
  const widths = cells.map((c) => c.w).sort((a, b) => a - b)
  const usual = Math.min(room.w, Math.max(1, widths[Math.ceil(widths.length * 0.7) - 1] ?? 1))
  const across = Math.max(1, Math.floor((room.w + gap) / (usual + gap)))
  const step = (room.w + gap) / across
  const sheets: Mark[][] = [[]]
  let [x, y, high] = [0, 0, 0]
  const row: { block: Block; at: number; scale: number }[] = []
  const put = (): void => {
    if (row.length > 0 && y > 0 && y + high > room.h) {
      sheets.push([])
      y = 0
    }
    for (const { block, at, scale } of row) sheets.at(-1)!.push(moved(block.marks, at * step, y, scale))
    if (row.length > 0) y += high + down
    row.length = 0
    ;[x, high] = [0, 0]
  }
  for (const block of cells) {
    const scale = Math.min(1, room.w / block.w, room.h / block.h)
    const span = Math.min(across, Math.max(1, Math.ceil((block.w * scale + gap) / step - 0.001)))
    if (x + span > across) put()
    row.push({ block, at: x, scale })
    x += span
    high = Math.max(high, block.h * scale)
  }
  put()
  return sheets
}
