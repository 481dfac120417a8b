import type { Choices } from '../choices'
import { packOf, type WordPack } from '../speech/words'
import { brailleWidth, broken } from './braille'
import type { Font } from './drawing'
import { POINT } from './drawing'

/** How sheets are made: for whom, on what, and with which letters. */

export const PAPERS = ['A4', 'Letter'] as const
export type Paper = (typeof PAPERS)[number]

/** Width and height in millimetres, upright: ISO 216, and ANSI/ASME Y14.1 size A (8.5 by 11 inches). */
export const PAPER_SIZES: Readonly<Record<Paper, { readonly w: number; readonly h: number }>> = {
  A4: { w: 210, h: 297 },
  Letter: { w: 215.9, h: 279.4 },
}

/** How wide a text is, in millimetres, in a font at a size in points. */
export type Measure = (text: string, font: Font, size: number) => number

export interface Setting {
  readonly paper: Paper
  /** How many sheets lie on a page, with a line to cut along between two. */
  readonly perPage: 1 | 2
  /** Letters of 24 points and more. */
  readonly big: boolean
  /** To be felt: bold outlines, textures, nothing nearer than 5 mm, braille instead of letters. */
  readonly tactile: boolean
  readonly choices: Choices
  readonly measure: Measure
}

/** The least size of letters in big print, in points (common practice, no source). */
export const BIG = 24

/** Sizes of letters, in points: what is read closely, what is read at arm's length, headings. */
export const SIZES = { small: 9, body: 11, learner: 16, heading: 15 } as const
export const sizeFor = ({ big }: Pick<Setting, 'big'>, of: keyof typeof SIZES): number =>
  big ? Math.max(BIG, SIZES[of] + 11) : SIZES[of]

/** How high a line of text is, in millimetres. */
export const lineHeight = (size: number): number => size * POINT * 1.35

/** How wide a line is drawn: an outline, and a line within a drawing. */
export const bold = ({ tactile }: Pick<Setting, 'tactile'>): number => (tactile ? 1.5 : 0.6)
export const thin = ({ tactile }: Pick<Setting, 'tactile'>): number => (tactile ? 1 : 0.3)

export const wordsOf = ({ choices }: Setting): WordPack => packOf(choices.words)

/** How wide a label is, in letters or in braille. */
export const labelWidth = (s: Setting, label: string, size: number, font: Font = 'regular'): number =>
  s.tactile ? brailleWidth(label) : s.measure(label, font, size)

/** Words broken into lines no wider than a width; a word that is wider stands alone. */
export const wrapped = (measure: Measure, words: string, font: Font, size: number, width: number): readonly string[] =>
  broken(words, (text) => measure(text, font, size) <= width)
