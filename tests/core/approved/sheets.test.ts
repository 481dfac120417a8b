import { createHash } from 'node:crypto'
import { plan, REPRESENTATIONS, type RepresentationId } from '../../../core/index'
import {
  layOut,
  svgPicture,
  type Mark,
  type PrintItem,
  type PrintSetting,
  type SheetWish,
} from '../../../core/paper/index'
import { feltPictureOf, pictureOf } from '../../../core/paper/pictures/index'
import { besideOf, setUp } from '../../../core/plan/setup'
import { item, PLAIN, printed, SHEETS, STRIPS, TOOLS } from '../press'
import { approved, saidOf } from './approve'

/**
 * Paper: the words on every sheet, and a check sum of its marks to a tenth of a millimetre. A sum says only that something moved: where one
 * changes, the sheet is to be looked at.
 */

const rounded = (text: string): string => text.replace(/-?\d+\.\d+/g, (n) => String(Math.round(Number(n) * 10) / 10))
const sumOf = (text: string): string => createHash('sha256').update(rounded(text)).digest('hex').slice(0, 12)
const words = (marks: readonly Mark[]): string =>
  marks
    .flatMap(function all(mark): string[] {
      if (mark.kind === 'text') return [mark.text]
      return 'marks' in mark ? (mark.marks as readonly Mark[]).flatMap(all) : []
    })
    .join(' ')

const SETTINGS: Readonly<Record<string, Partial<PrintSetting>>> = {
  plain: {},
  'two to a page of Letter': { paper: 'Letter', perPage: 2 },
  big: { big: true },
  felt: { tactile: true },
}

test.each(Object.entries(SETTINGS))('every sheet: %s', (name, setting) => {
  approved(
    `sheets/${name.replaceAll(' ', '-')}`,
    Object.entries(SHEETS).flatMap(([kind, sheet]) =>
      saidOf(() => {
        const { pages, refused, notes } = printed([sheet], setting)
        return [
          `## ${kind}: ${pages.length} pages ${JSON.stringify({ refused, notes })}`,
          ...pages.map(
            (p, i) =>
              `${i + 1} ${p.title} ${p.w} × ${p.h}: ${p.marks.length} marks ${sumOf(JSON.stringify(p.marks))} ${setting.tactile ? '' : words(p.marks)}`,
          ),
        ].join('\n')
      }).split('\n'),
    ),
  )
})

test('names, copies, codes, and what cannot be printed', () => {
  const code = '0FK7-S0A3-M'
  const prints: readonly (readonly [PrintItem[], Partial<PrintSetting>])[] = [
    [[item(SHEETS.squares!, { code, names: ['Wren', 'Pip'], copies: 2 })], {}],
    [[item(SHEETS.squares!, { code, names: ['Wren'] })], { perPage: 2 }],
    [[item(SHEETS.key!, { code })], { big: true }],
    [[item(SHEETS.lines!, { code, names: ['Fen', 'Ash'] })], { tactile: true, paper: 'Letter' }],
    [[item(SHEETS['strips mat']!, { copies: 3 }), item(SHEETS.lesson!, { names: ['Wren', 'Pip'] })], {}],
    [[item(SHEETS.squares!, { copies: 400, names: ['Wren', 'Pip'] }), item(SHEETS.plates!)], {}],
    [[item({ kind: 'steps', problem: 'rubbish', material: 'blocks' } as SheetWish), item(SHEETS.plates!)], {}],
  ]
  approved(
    'sheets/printed',
    prints.flatMap(([items, setting]) => {
      const { pages, refused, notes } = layOut({ ...PLAIN, ...setting }, items, TOOLS)
      return [
        `## ${pages.length} pages; ${JSON.stringify(refused)}; ${notes.join(' ')}`,
        ...pages
          .slice(0, 12)
          .map(
            (p) =>
              `${p.title} ${p.w} × ${p.h}: ${p.marks.length} ${sumOf(JSON.stringify(p.marks))} ${words(p.marks).slice(0, 120)}`,
          ),
      ]
    }),
  )
})

test('every material’s mat after every step, to be seen and to be felt', () => {
  approved(
    'sheets/mats',
    STRIPS.flatMap(([problem, id]) => {
      const r = REPRESENTATIONS[id as RepresentationId]
      const setup = setUp({ problem, representation: r.id })
      let state = r.start(setup.worked, setup.choices, besideOf(setup))
      const lines = [`## ${problem} · ${id}`]
      for (const { moves } of plan({ problem, representation: r.id }).steps) {
        for (const move of moves[r.id] ?? []) state = r.apply(state, move)
        const seen = pictureOf(setup, r.id, state)
        const felt = feltPictureOf(setup, r.id, state, 150)
        lines.push(
          `seen ${seen ? `${seen.w.toFixed(1)} × ${seen.h.toFixed(1)}: ${seen.marks.length} marks ${sumOf(svgPicture(seen))} ${words(seen.marks)}` : 'nothing'}`,
          `felt ${felt === null ? 'nothing' : 'why' in felt ? felt.why : `${felt.w.toFixed(1)} × ${felt.h.toFixed(1)}: ${felt.marks.length} marks ${sumOf(svgPicture(felt))}`}`,
        )
      }
      return lines
    }),
  )
})
