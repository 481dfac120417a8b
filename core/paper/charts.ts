import type { Choices, Finger } from '../choices'
import { groupedIn } from '../number/grouped'
import { digitsOf } from '../number/places'
import { sizeOf } from '../number/exact'
import { valueOf } from '../number/numeral'
import { parseProblem } from '../problem/parse'
import { Refusal } from '../refusal'
import { setting as rodFor, type AbacusState } from '../representation/abacus/frame'
import { REPRESENTATIONS } from '../representation/index'
import { risingOrder } from '../representation/fingers/order'
import { column, type Block } from './lines'
import { line, moved, POINT, text, type Mark } from './drawing'
import { label } from './marks'
import type { Content, Room } from './page'
import { feltHands } from './pictures/felt'
import { handsPicture, jointsPicture, ninesPicture } from './pictures/hands'
import { beadsPicture } from './pictures/pieces'
import { inRows } from './problems'
import { labelWidth, sizeFor, type Setting } from './setting'
import { jointSpots } from '../representation/joints/layout'

/** Charts of hands, frames to be read, chains to be worked. */

export const FINGER_CHARTS = ['fingers', 'joints', 'nines'] as const
export type FingerChart = (typeof FINGER_CHARTS)[number]
export interface FingersWish {
  readonly kind: 'fingers'
  readonly chart: FingerChart
}

export const FRAMES = ['abacus', 'two-five', 'frame', 'stay-put'] as const
export interface BeadsWish {
  readonly kind: 'beads'
  readonly frame: (typeof FRAMES)[number]
  /** Whole numbers or decimals, as they are typed. */
  readonly numbers: readonly string[]
  readonly shown: 'blank' | 'key'
}

export interface ChainsWish {
  readonly kind: 'chains'
  /** Each from its first number on; what is taken away is below nought. */
  readonly chains: readonly (readonly number[])[]
  readonly shown: 'blank' | 'key'
}

/** A picture with what it shows under it. */
function shownWith(s: Setting, w: number, h: number, marks: readonly Mark[], words: string): Block {
  const size = sizeFor(s, 'learner')
  const high = s.tactile ? 14 : size * POINT * 1.5
  const wide = Math.max(w, words === '' ? 0 : labelWidth(s, words, size))
  const under = words === '' ? [] : [label(s, wide / 2, h + high - (s.tactile ? 1 : 1.5), words, size)]
  return {
    w: wide,
    h: h + high,
    marks: [moved([moved(marks, (wide - w) / 2, 0), ...under], 0, 0, 1, s.tactile ? 'figure' : 'picture')],
  }
}

const empty = {
  out: 0,
  apart: 0,
  taken: 0,
  counted: 0,
  stored: 0,
  head: null,
  begun: null,
  said: [],
  touched: [],
  read: null,
}

function handCells(chart: FingerChart, s: Setting): readonly Block[] {
  const scale = s.big ? 0.3 : 0.145
  if (chart === 'nines')
    return Array.from({ length: 10 }, (_, i) => {
      const p = s.tactile ? feltHands(s.choices, (_, rank) => rank !== i) : ninesPicture(i + 1)
      return shownWith(s, p.w, p.h, p.marks, `${i + 1} × 9 = ${9 * (i + 1)}`)
    })
  if (chart === 'joints') {
    const all = jointSpots(s.choices.joints).length
    return Array.from({ length: all }, (_, i) => {
      const p = jointsPicture({ ...empty, room: all, out: i + 1 }, s.choices)
      const k = s.big ? 1 : 0.75
      return shownWith(s, p.w * k, p.h * k, [moved(p.marks, 0, 0, k)], String(i + 1))
    })
  }
  const order = risingOrder(s.choices)
  return Array.from({ length: order.length + 1 }, (_, n) => {
    const up = (f: Finger): boolean => order.indexOf(f) >= 0 && order.indexOf(f) < n
    const p = s.tactile ? feltHands(s.choices, up) : handsPicture(up, () => '', scale)
    return shownWith(s, p.w, p.h, p.marks, String(n))
  })
}
/** Hands that show every number, in the class's own order of fingers. */
export function fingerSheets({ chart }: FingersWish, room: Room, s: Setting): Content {
  if (s.tactile && chart === 'joints')
    throw new Refusal(
      'The marks on the joints are nearer to one another than fingers can tell apart.',
      'Print the fingers, or marks for the eye.',
    )
  const title = { fingers: 'Numbers on fingers', joints: 'Marks on the joints', nines: 'Nines on ten fingers' }[chart]
  return { title, sheets: inRows(handCells(chart, s), room, s.tactile ? 8 : 5) }
}

/** A frame with a number set on it. @throws Refusal where it has too few rods. */
export function frameWith(frame: BeadsWish['frame'], number: string, choices: Choices): AbacusState {
  const problem = parseProblem(`${number} + 0`)
  const r = REPRESENTATIONS[frame]
  const fit = r.fits(problem, choices)
  if (!fit.fits) throw new Refusal(fit.why)
  const state = r.start(problem, choices) as AbacusState
  const digits = digitsOf(sizeOf(valueOf(problem.first)), state.rods.length, state.decimals)
  return { ...state, rods: state.rods.map((_, i) => rodFor(digits[i] ?? 0, state.beads)) }
}

/** Frames to be read, with room to write what they show. */
export function beadSheets({ frame, numbers, shown }: BeadsWish, room: Room, s: Setting): Content {
  const cells = numbers.map((number, i): Block => {
    const scale = s.tactile || s.big ? 2 : 1.5
    const p = beadsPicture(frameWith(frame, number, s.choices), false, false, s.tactile ? 5 : 2.2)
    const size = sizeFor(s, 'learner')
    const small = sizeFor(s, 'body')
    const base = p.h * scale + (s.tactile ? 12 : size * POINT * 1.4)
    const written = groupedIn(number.trim(), 'comma')
    const w = Math.max(p.w * scale, 30, labelWidth(s, written, size))
    const marks: Mark[] = [moved(p.marks, (w - p.w * scale) / 2, 0, scale, 'picture')]
    if (shown === 'key') marks.push(label(s, w / 2, base - 1, written, size, 'middle', 'bold'))
    else marks.push(line(w / 2 - 12, base, w / 2 + 12, base, { wide: s.tactile ? 1 : 0.3 }))
    const number_: Block = { w: 0, h: 0, marks: s.tactile ? [] : [text(0, small * POINT, `${i + 1}.`, small)] }
    return column([
      number_,
      {
        w: w + (s.tactile ? 0 : 4),
        h: base + 1,
        marks: [moved(marks, s.tactile ? 0 : 4, small * POINT * 0.4, 1, ...(s.tactile ? (['figure'] as const) : []))],
      },
    ])
  })
  return { title: 'Frames to read', sheets: inRows(cells, room, 10), named: shown === 'blank' }
}

/** Chains one beneath another, as they are worked on beads: numbers, a rule, room for the total. */
export function chainSheets({ chains, shown }: ChainsWish, room: Room, s: Setting): Content {
  const size = sizeFor(s, 'learner')
  const high = s.tactile ? 10 : size * POINT * 1.45
  const small = sizeFor(s, 'body')
  const cells = chains.map((chain, i): Block => {
    const total = chain.reduce((a, b) => a + b, 0)
    const written = [
      ...chain.map((n, k) => [k > 0 && n < 0 ? '−' : k > 0 ? '+' : '', Math.abs(n)] as const),
      ['', total] as const,
    ]
    const figures = written.map(([, n]) => groupedIn(String(n), 'comma').replace('-', '−'))
    const widest = Math.max(...figures.map((t) => labelWidth(s, t, size)))
    const lead = s.tactile ? 16 : size * POINT * 0.8
    const w = Math.max(22, widest + lead + 2)
    const top = s.tactile ? 0 : small * POINT * 1.4
    const marks: Mark[] = s.tactile ? [] : [text(0, small * POINT, `${i + 1}.`, small)]
    written.slice(0, -1).forEach(([sign], k) => {
      const y = top + (k + 1) * high - (s.tactile ? 1 : high * 0.2)
      const words = s.tactile ? `${sign}${figures[k]}` : figures[k]!
      marks.push(label(s, w, y, words, size, 'end'))
      if (sign !== '' && !s.tactile) marks.push(text(0, y, sign, size, 'regular'))
    })
    const rule = top + chain.length * high + (s.tactile ? 5 : 0.5)
    marks.push(line(0, rule, w, rule, { wide: s.tactile ? 1.5 : 0.6 }))
    const foot = rule + (s.tactile ? 14 : high)
    if (shown === 'key')
      marks.push(label(s, w, foot - (s.tactile ? 1 : high * 0.2), figures.at(-1)!, size, 'end', 'bold'))
    return { w, h: foot + 1, marks: s.tactile ? [moved(marks, 0, 0, 1, 'figure')] : marks }
  })
  return {
    title: shown === 'key' ? 'Chains: answers' : 'Chains',
    sheets: inRows(cells, room, s.tactile ? 12 : 10),
    named: shown === 'blank',
  }
}
