import { attempt, Refusal } from '../refusal'
import { beadSheets, chainSheets, fingerSheets, type BeadsWish, type ChainsWish, type FingersWish } from './charts'
import { LIES_ACROSS, matSheets, type MatWish } from './mats'
import { framed, imposed, roomOn, type Code, type Content, type Leaf, type Page, type Room } from './page'
import { pieceSheets, type PiecesWish } from './pieces'
import { problemSheets, type ProblemsWish } from './problems'
import type { Setting } from './setting'
import { lyingSheets, stepSheets, type LyingWish, type StepsWish } from './steps'
import { storySheets, type StoriesWish } from './stories'
import { tactileTroubles } from './tactile'
import { wordSheets, type WordsWish } from './words'

/** From what is wanted to pages for the printer. */

export type SheetWish =
  | ProblemsWish
  | MatWish
  | PiecesWish
  | FingersWish
  | BeadsWish
  | ChainsWish
  | StepsWish
  | LyingWish
  | StoriesWish
  | WordsWish

export interface PrintItem {
  readonly sheet: SheetWish
  /** How many of it, for each of those it is for. */
  readonly copies: number
  /** Whose names stand on it; nobody's, and a line for the name, where this is empty. */
  readonly names: readonly string[]
  /** The letters by which its problems are found again. */
  readonly code?: string
}

export type PrintSetting = Omit<Setting, 'measure'>
/** What only the place where sheets are made can do: measure letters, and draw a QR code. */
export interface Tools {
  readonly measure: Setting['measure']
  readonly squares: (letters: string) => Code['squares']
}

/** The most pages of one print. */
export const MOST_PAGES = 400

export interface Print {
  readonly pages: readonly Page[]
  /** What could not be made, by the number of its item; the others are. */
  readonly refused: readonly { readonly item: number; readonly why: string }[]
  /** What was made otherwise than wished, and what fingers may find hard. */
  readonly notes: readonly string[]
  /** The number of each item's first page, from 0; null where it was refused. */
  readonly firsts: readonly (number | null)[]
}

const acrossOf = (sheet: SheetWish): boolean =>
  (sheet.kind === 'mat' && LIES_ACROSS.includes(sheet.mat)) || (sheet.kind === 'fingers' && sheet.chart === 'nines')

function contentOf(sheet: SheetWish, room: Room, s: Setting): Content {
  switch (sheet.kind) {
    case 'problems':
      return problemSheets(sheet, room, s)
    case 'mat':
      return matSheets(sheet, room, s)
    case 'pieces':
      return pieceSheets(sheet, room, s)
    case 'fingers':
      return fingerSheets(sheet, room, s)
    case 'beads':
      return beadSheets(sheet, room, s)
    case 'chains':
      return chainSheets(sheet, room, s)
    case 'steps':
      return stepSheets(sheet, room, s)
    case 'lying':
      return lyingSheets(sheet, room, s)
    case 'stories':
      return storySheets(sheet, room, s)
    case 'words':
      return wordSheets(sheet, room, s)
  }
}

/** One item's sheets. Where they do not fit on half a page, they have a whole one. @throws Refusal where they fit on none. */
function made(sheet: SheetWish, coded: boolean, s: Setting): { readonly content: Content; readonly s: Setting } {
  const across = acrossOf(sheet)
  const half = attempt(() => contentOf(sheet, roomOn(s, across, coded), s))
  if ('ok' in half) return { content: half.ok, s }
  if (s.perPage === 1) throw half.refused
  const whole: Setting = { ...s, perPage: 1 }
  return { content: contentOf(sheet, roomOn(whole, across, coded), whole), s: whole }
}

/** Lays out a print, item by item; between two of them others may be answered, or it is stopped. */
export function* layingOut(
  setting: PrintSetting,
  items: readonly PrintItem[],
  tools: Tools,
): Generator<number, Print, void> {
  const pages: Page[] = []
  const refused: { item: number; why: string }[] = []
  const notes: string[] = []
  const firsts: (number | null)[] = []
  for (const [i, { sheet, copies, names, code }] of items.entries()) {
    yield i
    const coded = code ? { letters: code, squares: tools.squares(code) } : null
    const laid = attempt(() => {
      const { content, s } = made(sheet, coded !== null, { ...setting, measure: tools.measure })
      if (s.perPage !== setting.perPage)
        notes.push(`${content.title}: one to a page, since it does not fit on half of one.`)
      const across = acrossOf(sheet)
      const about = (marks: (typeof content.sheets)[number], number: number, name: string | null): Leaf => ({
        title: name ? `${content.title}, ${name}` : content.title,
        landscape: across,
        marks: framed(s, across, marks, { title: content.title, name, code: coded, number, of: content.sheets.length }),
      })
      // What nobody writes a name on has one only where it is one learner's own; of a mat each has one.
      const given = names.length === 1 ? names : names.length === 0 ? [null] : names.map(() => null)
      const whose = content.named ? (names.length > 0 ? names : ['']) : given
      const count = whose.length * copies * content.sheets.length
      if (pages.length + count / s.perPage > MOST_PAGES)
        throw new Refusal(`That would be more than ${MOST_PAGES} pages.`, 'Print it in parts, or fewer copies.')
      const leaves = whose.flatMap((name) =>
        Array.from({ length: copies }, () => content.sheets.map((marks, k) => about(marks, k + 1, name))).flat(),
      )
      if (s.tactile)
        for (const why of new Set(leaves.slice(0, content.sheets.length).flatMap((l) => tactileTroubles(l.marks))))
          notes.push(`${content.title}: ${why}`)
      return imposed(s, leaves)
    })
    firsts.push('ok' in laid ? pages.length : null)
    if ('ok' in laid) pages.push(...laid.ok)
    else refused.push({ item: i, why: laid.refused.message })
  }
  return { pages, refused, notes, firsts }
}

/** The same in one go. */
export function layOut(setting: PrintSetting, items: readonly PrintItem[], tools: Tools): Print {
  const steps = layingOut(setting, items, tools)
  for (;;) {
    const { done, value } = steps.next()
    if (done) return value
  }
}
