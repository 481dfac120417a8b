import { levelParts, mathTokens } from '../number/markup'
import { pretty } from '../speech/words'
import { braille, brailleLines, brailleWidth, BRAILLE_HEIGHT, CELL } from './braille'
import { circle, line, moved, POINT, text, type Font, type GroupMark, type Mark } from './drawing'
import { lineHeight, wrapped, type Setting } from './setting'

/** Lines of words and of mathematics on a sheet. */

/** What was set, and how much room it took. */
export interface Block {
  readonly w: number
  readonly h: number
  readonly marks: readonly Mark[]
}

/** Words in lines, from their top left; in braille on a sheet to be felt. */
export function paragraph(s: Setting, words: string, width: number, size: number, font: Font = 'regular'): Block {
  if (s.tactile) {
    const set = brailleLines(words, width)
    return {
      w: width,
      h: set.length * CELL.line + 3,
      marks: [
        moved(
          set.map((t, i) => braille(t, 0, i * CELL.line)),
          0,
          0,
          1,
          'figure',
        ),
      ],
    }
  }
  const set = wrapped(s.measure, words, font, size, width)
  const high = lineHeight(size)
  return {
    w: width,
    h: set.length * high,
    marks: set.flatMap((t, i) => (t === '' ? [] : [text(0, i * high + size * POINT * 1.05, t, size, font)])),
  }
}

/** Signs that stand with room on both sides. */
const SPACED = /[+−×÷=<>·?]/u

/** A line of mathematics with its fractions built up, from its top left; `ascii` as the core writes it. */
export function mathLine(s: Setting, ascii: string, size: number, font: Font = 'regular'): Block {
  const shown = pretty(ascii, s.choices.signed.ownSign)
  if (s.tactile) return { w: 0, h: BRAILLE_HEIGHT + 3, marks: shown.trim() === '' ? [] : [braille(shown, 0, 0)] }
  const em = size * POINT
  const small = size * 0.72
  const tokens = mathTokens(shown)
  const tall = tokens.some((t) => t.kind === 'fraction')
  if (!tall && !shown.includes('?'))
    return {
      w: s.measure(shown, font, size),
      h: lineHeight(size),
      marks: shown.trim() === '' ? [] : [text(0, em * 1.05, shown, size, font)],
    }
  const base = tall ? em * 1.25 : em * 1.05
  const marks: Mark[] = []
  let x = 0
  const put = (t: string): void => {
    marks.push(text(x, base, t, size, font))
    x += s.measure(t, font, size)
  }
  let last = ''
  for (const [i, t] of tokens.entries()) {
    if (t.kind === 'fraction') {
      if (t.whole) {
        put(t.whole)
        x += em * 0.12
      }
      const [top, bottom] = [t.top, t.bottom].map((level) =>
        levelParts(level)
          .map((p) => p.text)
          .join(' '),
      ) as [string, string]
      const w = Math.max(s.measure(top, font, small), s.measure(bottom, font, small)) + em * 0.15
      const mid = base - em * 0.32
      marks.push(
        text(x + w / 2, mid - em * 0.16, top, small, font, 'middle'),
        line(x, mid, x + w, mid, { wide: em * 0.06 }),
        text(x + w / 2, mid + em * 0.72, bottom, small, font, 'middle'),
      )
      x += w
      last = 'number'
      continue
    }
    const spaced = t.kind === 'sign' && SPACED.test(t.text) && i > 0 && last !== '(' && last !== 'sign'
    if (spaced) x += em * 0.22
    if (t.kind === 'word' && i > 0) x += em * 0.25
    if (t.text === '?') {
      // Where a sign is to be written there is a ring for it.
      marks.push(circle(x + em * 0.55, base - em * 0.34, em * 0.55, { wide: 0.3 }))
      x += em * 1.1
    } else put(t.text)
    if (spaced || (t.kind === 'word' && tokens[i + 1] !== undefined)) x += em * 0.22
    last = t.kind !== 'sign' || t.text === ')' ? 'number' : t.text === '(' ? '(' : 'sign'
  }
  return { w: x, h: tall ? em * 2.2 : lineHeight(size), marks }
}

/** A line of mathematics no wider than a width: one that is longer is broken like words. */
export function fittedLine(s: Setting, ascii: string, size: number, width: number, font: Font = 'regular'): Block {
  const set = mathLine(s, ascii, size, font)
  return set.w > width || s.tactile ? paragraph(s, pretty(ascii, s.choices.signed.ownSign), width, size, font) : set
}

/** Things under one another. */
export function column(blocks: readonly Block[], gap = 0): Block {
  const marks: Mark[] = []
  let y = 0
  for (const b of blocks) {
    if (b.marks.length > 0) marks.push({ kind: 'group', x: 0, y, scale: 1, marks: b.marks })
    y += b.h + gap
  }
  return { w: Math.max(0, ...blocks.map((b) => b.w)), h: Math.max(0, y - gap), marks }
}

/** Things one after another down a sheet, a new sheet begun where the next has no room; what is taller than a sheet has one alone. */
export function flowed(blocks: readonly Block[], height: number, gap = 0): readonly (readonly Mark[])[] {
  const sheets: Mark[][] = [[]]
  let y = 0
  for (const b of blocks) {
    if (y > 0 && y + b.h > height) {
      sheets.push([])
      y = 0
    }
    if (b.marks.length > 0) sheets.at(-1)!.push({ kind: 'group', x: 0, y, scale: 1, marks: b.marks })
    y += b.h + gap
  }
  return sheets
}

/** A number on a mat with its middle at a place: built up where it is a fraction, in braille where it is to be felt. */
export function numberMark(s: Setting, cx: number, cy: number, ascii: string, size: number): GroupMark {
  if (s.tactile) return braille(pretty(ascii), cx - brailleWidth(pretty(ascii)) / 2, cy - BRAILLE_HEIGHT / 2)
  const set = mathLine(s, ascii, size)
  return moved(set.marks, cx - set.w / 2, cy - (ascii.includes('/') ? size * POINT * 0.95 : size * POINT * 0.72))
}
/** How wide it is. */
export const numberWidth = (s: Setting, ascii: string, size: number): number =>
  s.tactile ? brailleWidth(pretty(ascii)) : mathLine(s, ascii, size).w
