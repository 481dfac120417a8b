import { listed } from '../number/trail'
import { printProblem } from '../problem/problem'
import { pretty } from '../speech/words'
import { besideOf, type Setup } from '../plan/setup'
import { reopen, type WorkRecord } from '../record/record'
import { REPRESENTATIONS } from '../representation/index'
import type { RepresentationId } from '../materials'
import type { WayId } from '../way/way'
import { circle, fitted, moved, POINT, text, type Mark, type Picture } from './drawing'
import { column, fittedLine, flowed, paragraph, type Block } from './lines'
import type { Content, Room } from './page'
import { feltPictureOf, pictureOf } from './pictures/index'
import { statesOf } from './problems'
import { LEAST_APART } from './tactile'
import { Refusal } from '../refusal'
import { lineHeight, sizeFor, type Setting } from './setting'
import { writingLines } from './words'

/** A problem worked step by step, as pictures of the mat after each move with its line and what is said: one page for whoever steps in. */

export interface StepsWish {
  readonly kind: 'steps'
  readonly problem: string
  readonly material: RepresentationId
  readonly way?: WayId | null
  /** What a hand did, instead of what is planned. */
  readonly record?: WorkRecord
}

/** The mat as it lies after what a hand did: one picture as large as the sheet lets it be, with the line that stands last. */
export interface LyingWish {
  readonly kind: 'lying'
  readonly record: WorkRecord
}

/** One step: what the mat looks like after it, what is written, what is said. */
interface Shown {
  readonly state: unknown
  readonly lines: readonly string[]
  readonly say: string
}

interface Strip {
  readonly setup: Setup
  /** The mat before anything was done. */
  readonly start: unknown
  readonly steps: readonly Shown[]
}

function ofRecord(record: WorkRecord): Strip {
  const bench = reopen(record)
  const { setup } = bench
  const r = REPRESENTATIONS[setup.representation]
  const start = r.start(setup.worked, setup.choices, besideOf(setup))
  let state = start
  const steps = listed(bench.now.stones).map((stone): Shown => {
    for (const move of stone.moves[r.id] ?? []) state = r.apply(state, move)
    return {
      state,
      lines: stone.lines.map((l) => l.text),
      say: stone.owed === '' ? stone.say : `${stone.say} ${stone.owed}`,
    }
  })
  return { setup, start, steps }
}

function ofPlan({ problem, material, way }: StepsWish, s: Setting): Strip {
  const { setup, plan, states } = statesOf({
    problem,
    representation: material,
    choices: s.choices,
    ...(way ? { way } : {}),
  })
  return {
    setup,
    start: states[0],
    steps: plan.steps.map((step, i) => ({ state: states[i + 1], lines: step.lines.map((l) => l.text), say: step.say })),
  }
}

/** A step of a strip by itself: what the mat looks like after it, where it changed; what is written; what is said. */
export interface StripStep {
  readonly picture: Picture | null
  readonly lines: readonly string[]
  readonly say: string
}
/** What a hand did, step by step, as pictures. @throws Refusal where the record cannot be worked. */
export function stripOfRecord(record: WorkRecord): readonly StripStep[] {
  const { setup, steps } = ofRecord(record)
  let before = ''
  return steps.map(({ state, lines, say }) => {
    const now = JSON.stringify(state)
    const picture = now === before ? null : pictureOf(setup, setup.representation, state)
    before = now
    return { picture: picture && picture.w > 0.1 ? picture : null, lines, say }
  })
}

/** The steps of a strip, each as a block so wide. A picture is shown where something changed; one is no higher than `most`. */
function cells(s: Setting, { setup, steps }: Strip, width: number, most: number): readonly Block[] {
  const size = sizeFor(s, 'body')
  const small = sizeFor(s, 'small')
  const lead = small * POINT * 2.2
  let before = ''
  const changed = steps.map(({ state }) => {
    const now = JSON.stringify(state)
    const is = now !== before
    before = now
    return is
  })
  if (s.tactile) return steps.map((step, i) => feltStep(s, setup, step, changed[i]!, { w: width, h: most }))
  const pictures = steps.map(({ state }, i) => {
    const picture = changed[i] ? pictureOf(setup, setup.representation, state) : null
    return picture && picture.w > 0.1 ? picture : null
  })
  // One scale for all of them, so that a ten is as long in the last picture as in the first.
  const widest = Math.max(0.1, ...pictures.map((p) => p?.w ?? 0))
  const highest = Math.max(0.1, ...pictures.map((p) => p?.h ?? 0))
  const scale = Math.min(1.6, (width * 0.52) / widest, most / highest)
  const words = lead + widest * scale + 4
  return steps.map(({ lines, say }, i): Block => {
    const picture = pictures[i]
    const beside = picture || words < width * 0.6 ? words : lead
    const room = width - beside
    const written = lines.map((t) => fittedLine(s, t, size * 1.15, room, 'bold'))
    const told = column([...written, ...(say === '' ? [] : [paragraph(s, say, room, size)])], 0.8)
    const high = Math.max(told.h, picture ? picture.h * scale : 0, lead) + 2
    const r = small * POINT * 0.85
    const marks: Mark[] = [
      circle(r, r, r, { wide: 0.25 }),
      text(r, r + small * POINT * 0.34, String(i + 1), small, 'bold', 'middle'),
      ...(picture ? [moved(picture.marks, lead, 0, scale, 'picture')] : []),
      moved(told.marks, beside, 0),
    ]
    return { w: width, h: high, marks }
  })
}

/** A step for fingers: the mat over its lines and words, where it changed and fits; else a word that it is not drawn. */
function feltStep(
  s: Setting,
  setup: Setup,
  { state, lines, say }: Shown,
  changed: boolean,
  { w: width, h: most }: Room,
): Block {
  const small = sizeFor(s, 'small')
  const felt = changed ? feltPictureOf(setup, setup.representation, state, width) : null
  const seen = felt && !('why' in felt) && felt.h > 0 && felt.h <= most ? felt : null
  const without = felt !== null && !seen && !('h' in felt && felt.h === 0)
  const told = [
    ...lines.map((t) => fittedLine(s, t, small, width)),
    ...(say === '' ? [] : [paragraph(s, say, width, small)]),
    ...(without ? [paragraph(s, '(The mat is not drawn: it would not fit.)', width, small)] : []),
  ]
  return column([...(seen ? [{ ...seen, h: seen.h + LEAST_APART }] : []), ...told], 2.5)
}

/** The least room for notes on a strip. */
const NOTES = 22

/** Two columns of steps, down the left one first. */
function inColumns(blocks: readonly Block[], room: Room, gap: number, least: number): readonly (readonly Mark[])[] {
  const across = blocks.length > 0 && blocks[0]!.w < room.w * 0.6 ? 2 : 1
  const step = (room.w + 6) / across
  const columns = flowed(blocks, room.h - least, gap)
  const sheets: Mark[][] = []
  columns.forEach((marks, i) => {
    if (i % across === 0) sheets.push([])
    sheets.at(-1)!.push({ kind: 'group', x: (i % across) * step, y: 0, scale: 1, marks })
  })
  return sheets
}

/** @throws Refusal where the problem or the record cannot be worked. */
export function stepSheets(wish: StepsWish, room: Room, s: Setting): Content {
  const strip = wish.record ? ofRecord(wish.record) : ofPlan(wish, s)
  const { setup } = strip
  const size = sizeFor(s, 'small')
  const notes = s.tactile ? 0 : NOTES
  const half = s.big || s.tactile || room.w < 150 ? room.w : (room.w - 6) / 2
  // As large as one sheet lets them be, in one column or two; where they need more than one, as large as can still be read well.
  const tries: readonly (readonly [number, number])[] = [
    ...(s.tactile ? [] : [62, 50, 42, 34].map((most) => [room.w, most] as const)),
    ...(s.tactile ? [room.h * 0.7] : [44, 36, 30, 25]).map((most) => [half, most] as const),
  ]
  const laid = ([w, most]: readonly [number, number]) => inColumns(cells(s, strip, w, most), room, 2.5, notes)
  let sheets = laid(tries[0]!)
  for (const t of tries.slice(1)) if (sheets.length > 1) sheets = laid(t)
  if (sheets.length > 1 && !s.tactile) sheets = laid([half, 36])
  const about = `${pretty(printProblem(setup.problem))} · ${REPRESENTATIONS[setup.representation].title}`
  const left = s.tactile ? [] : writingLines(s, 2, room.w)
  const last: Mark[] = [
    ...(s.tactile ? [] : [text(0, room.h - NOTES + lineHeight(size), 'Notes', size, 'bold')]),
    ...left.map((b, i): Mark => ({ kind: 'group', x: 0, y: room.h - 2 * b.h + i * b.h, scale: 1, marks: b.marks })),
  ]
  return { title: about, sheets: sheets.map((marks, i) => (i === sheets.length - 1 ? [...marks, ...last] : marks)) }
}

/** @throws Refusal where the record cannot be worked, the material has no mat to be drawn, or fingers could not tell apart what lies there. */
export function lyingSheets({ record }: LyingWish, room: Room, s: Setting): Content {
  const { setup, start, steps } = ofRecord(record)
  const last = steps.at(-1)
  const state = last?.state ?? start
  const { title } = REPRESENTATIONS[setup.representation]
  const size = sizeFor(s, 'learner')
  const written = last?.lines.at(-1)
  const under = written === undefined ? [] : [fittedLine(s, written, size, room.w, 'bold')]
  const high = room.h - under.reduce((h, b) => h + b.h + 8, 0)
  const seen = s.tactile
    ? feltPictureOf(setup, setup.representation, state, room.w)
    : pictureOf(setup, setup.representation, state)
  if (seen === null)
    throw new Refusal(
      `The ${title.toLowerCase()} has nothing to be drawn: its lines are what lies there.`,
      'Print it step by step.',
    )
  if ('why' in seen)
    throw new Refusal(`The mat cannot be drawn for fingers. ${seen.why}`, 'Its steps in words are there too.')
  if (s.tactile && seen.h > high)
    throw new Refusal(
      `More lies there than fits on one sheet for fingers: things are ${LEAST_APART} mm apart.`,
      'Exchange for larger pieces first, or take smaller numbers.',
    )
  const drawn: Mark = s.tactile
    ? { kind: 'group', x: 0, y: 0, scale: 1, marks: seen.marks }
    : fitted(seen, 0, 0, room.w, high, { most: 3, at: 'left' })
  const used = s.tactile
    ? seen.h
    : Math.min(high, seen.h * Math.min(3, room.w / Math.max(seen.w, 0.1), high / Math.max(seen.h, 0.1)))
  return {
    title: `${pretty(printProblem(setup.problem))} · ${title}`,
    sheets: [[drawn, ...under.map((b): Mark => ({ kind: 'group', x: 0, y: used + 8, scale: 1, marks: b.marks }))]],
  }
}
