import { change, isMaking, type Act } from '../act/act'
import type { PartsChoices, SignedChoices } from '../choices'
import { compare, divide, exact, ZERO, type Exact } from '../number/exact'
import { currencyOf, moneyText, type Currency } from '../number/money'
import { printExact } from '../number/numeral'
import { placeName, placeOfUnit, unitOf, type Place } from '../number/places'
import { plainArithmetic } from '../number/text'
import { backwards, since, type Trail } from '../number/trail'
import type { Pieces } from '../number/units'
import type { EquationsState, Line } from '../representation/equations/equations'
import { equations } from '../representation/equations/equations'
import { REPRESENTATIONS } from '../representation/index'
import type { BeadDetail } from '../speech/beads'
import { sumOrder } from '../speech/columnSum'
import { carryNote, lineInWords } from '../speech/index'
import { inUnitForm, named, packOf, pretty, type WordPack } from '../speech/words'
import { wayById } from '../way/index'
import type { Setup } from './setup'

/** One written line. A line that states an equality carries it as plain ASCII arithmetic for any outside evaluator. */
export interface WrittenLine {
  readonly text: string
  readonly equation?: string
  /** It stands beside the line before it: the rule by which a digit went. */
  readonly beside?: boolean
}

/** A line as the page shows it: which steps wrote it, the first and the last, and the rule that stands beside it. */
export interface PageLine extends WrittenLine {
  readonly from: number
  readonly to: number
  readonly rule: string
}

/** Whether a line goes on with the line before: a count with more words, or numbers asked one after another. */
function goesOn(line: WrittenLine, last: WrittenLine): boolean {
  const asks = !last.equation && !line.equation && / [+−] /.test(last.text)
  return (last.text.includes(' · ') || asks) && line.text.startsWith(`${last.text} `)
}

/**
 * The lines of some steps as a page shows them: of a line that grows only its last state, and a sentence that stands already is not
 * written twice, only read. A rule stands beside the total that it made, and stays there.
 */
export function onPage(steps: readonly { readonly lines: readonly WrittenLine[] }[]): readonly PageLine[] {
  const page: PageLine[] = []
  for (const [step, { lines }] of steps.entries()) {
    const rule = lines.find((l) => l.beside)?.text ?? ''
    const above = page.at(-1)
    if (rule && above && lines.every((l) => l.beside)) page[page.length - 1] = { ...above, to: step, rule }
    for (const line of lines.filter((l) => !l.beside)) {
      const last = page.at(-1)
      const same = last !== undefined && (goesOn(line, last) || line.text === last.text)
      if (same) page.pop()
      page.push({ ...line, from: same ? last.from : step, to: step, rule: rule || (same ? last.rule : '') })
    }
  }
  return page
}

/** A count as it stands on the page: the number counted from, a point, and the words so far (`8 · 9 10 11`). */
function sequence(lines: Trail<Line>): string {
  const words: Exact[] = []
  let from: Exact = ZERO
  for (const { act, valueBefore } of backwards(lines)) {
    if (act.kind !== 'count') return `${act.kind === 'begin' ? act.from : from} · ${words.join(' ')}`
    words.unshift(act.word)
    from = valueBefore
  }
  return `${from} · ${words.join(' ')}`
}

/** How a class writes its lines. */
export interface LineStyle {
  readonly ownSign?: SignedChoices['ownSign']
  readonly form?: PartsChoices['form']
  /** The class's money, where coins are counted. */
  readonly money?: Currency
  readonly words?: WordPack
}
export const styleOf = ({ choices, way }: Pick<Setup, 'choices' | 'way'>): LineStyle => ({
  ownSign: choices.signed.ownSign,
  form: choices.parts.form,
  words: packOf(choices.words),
  ...(wayById(way).sort === 'coins' ? { money: currencyOf(choices.money) } : {}),
})

/** The lines that an act has added to the running page. */
export function linesOf(
  next: EquationsState,
  page: EquationsState,
  act: Act,
  style: LineStyle = {},
): readonly WrittenLine[] {
  const lines = since(next.lines, page.lines).map(({ text, act: made }): WrittenLine => {
    if (made.kind === 'count' && text.startsWith('·')) return { text: sequence(next.lines) }
    const written = pretty(text, style.ownSign)
    const plain = style.words ? lineInWords(written, style.words) : written
    const shown = style.form === 'units' ? inUnitForm(plain) : plain
    return / [=<>] /.test(text) && !text.startsWith('read ')
      ? { text: shown, equation: plainArithmetic(text) }
      : { text: shown }
  })
  return [...lines, ...checkLine(lines, act), ...moneyLine(act, style), ...ruleLine(act)]
}

/** An amount of a whole and more as it is written in the large unit: `135¢ = $1.35`. */
function moneyLine(act: Act, { money }: LineStyle): readonly WrittenLine[] {
  if (!money?.hundred || act.kind !== 'read' || compare(act.value, exact(100)) < 0) return []
  return [{ text: `${act.value}${money.small} = ${moneyText(Number(act.value), money)}` }]
}

/** A division that came out is checked by multiplying; one with a remainder is written so already. */
function checkLine(lines: readonly WrittenLine[], act: Act): readonly WrittenLine[] {
  if (act.kind !== 'read' || act.remainder !== ZERO) return []
  const [, of, by, each] = /^(\d+) \/ (\d+) = (\d+)$/.exec(lines.at(-1)?.equation ?? '') ?? []
  return of ? [{ text: `${of} = ${by} × ${each}`, equation: `${of} = ${by} * ${each}` }] : []
}

/** An act written on the running page: the page after it, and the lines that it adds. */
export function write(
  page: EquationsState,
  act: Act,
  style?: LineStyle,
): { readonly page: EquationsState; readonly lines: readonly WrittenLine[] } {
  const next = equations.write(page, act)
  return { page: next, lines: linesOf(next, page, act, style) }
}

/**
 * The lines of a sum worked by columns, as it is said: each column's digits as they are added, then what stays and what is carried.
 * `usual` is what the page would write otherwise. Undefined for acts that are no part of a column.
 */
export function columnLines(
  setup: Setup,
  state: unknown,
  act: Act,
  usual: readonly WrittenLine[],
): readonly WrittenLine[] {
  const { sums } = REPRESENTATIONS[setup.representation]
  if (!sums || (act.kind !== 'join' && act.kind !== 'exchange' && act.kind !== 'read')) return usual
  const line = (digits: readonly number[]): WrittenLine => {
    const text = `${sumOrder(digits, setup.choices.columnSum).join(' + ')} = ${sum(digits)}`
    return { text, equation: text }
  }
  const unit = act.kind === 'exchange' ? onlyUnit(act.from) : act.kind === 'join' ? onlyUnit(act.pieces) : undefined
  const place = unit && placeOfUnit(unit)
  if (place === undefined) return act.kind === 'read' ? [...sums.carriedInto(state).map(line), ...usual] : usual
  const digits = sums.digits(state, place)
  if (!digits) return usual
  if (act.kind !== 'exchange') return [...sums.carriedInto(state, place).map(line), line(digits)]
  const carried = act.to[0]?.count ?? 0
  const stays = sum(digits) - 10 * carried
  if (!isMaking(act) || stays < 0 || stays > 9) return usual
  // Nine and a carry mark with nothing beneath: the column has had no line of its own yet.
  const own = sums.carriedInto(state, place + 1).slice(sums.carriedInto(state, place).length)
  return [...own.map(line), { text: carryNote(stays, carried, packOf(setup.choices.words)), beside: true }]
}

const sum = (digits: readonly number[]): number => digits.reduce((a, b) => a + b, 0)
const onlyUnit = (pieces: readonly Pieces[] = []): Exact | undefined =>
  pieces.length === 1 ? pieces[0]!.unit : undefined

/** What is written of a digit on its way on beads: the rule under way, not the half that is done. */
export function underWay({ digits: [digit] }: BeadDetail, pack: WordPack): readonly WrittenLine[] {
  if (!digit) return []
  const rod = digit.rod === named(0, 2, pack) ? '' : `${digit.rod}: `
  const equation = digit.formula.replaceAll('−', '-')
  return digit.rule === 'direct'
    ? [{ text: `${rod}direct`, beside: true }]
    : [{ text: `${rod}${digit.formula}`, equation, beside: true }]
}

/** How a digit went on beads, as it is noted beside the running total: `+7 = +10 − 3`, with the rod where it is not the ones. */
function ruleLine(act: Act): readonly WrittenLine[] {
  if ((act.kind !== 'join' && act.kind !== 'take') || !act.rule) return []
  const place = placeOfAmount(act.amount)
  const rod = place === 0 ? '' : `${placeName(place)}: `
  if (act.rule === 'direct' || !act.parts)
    return [{ text: `${rod}direct${act.parts ? ', then exchanged' : ''}`, beside: true }]
  const unit = unitOf(place)
  const inUnits = (a: Act): Exact => divide(change(a), unit)
  const moved = act.parts.filter((a) => change(a) !== ZERO)
  const sides = (sign: (n: Exact) => string): string =>
    `${sign(inUnits(act))} = ${moved.map((a) => sign(inUnits(a))).join(' ')}`
  const signed = (n: Exact): string => (n.startsWith('-') ? n : `+${n}`)
  return [{ text: `${rod}${pretty(sides(signed))}`, equation: sides(signed), beside: true }]
}

/** The place of the digit that an amount is. */
function placeOfAmount(amount: Exact): Place {
  const [whole, point = ''] = printExact(amount).split('.')
  return point ? -point.length : whole!.length - 1
}
