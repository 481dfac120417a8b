import { add, subtract, ZERO, type Exact } from '../number/exact'
import { parseNumeral, printExact, valueOf } from '../number/numeral'
import { numbersOf, printPattern, type MissingProblem, type Pattern, type Solution } from '../problem/missing'
import { capital, named, pretty, type WordPack } from './words'

const BOX = '▢'

/** The digits of a solution that belong to one number. */
function ownDigits(p: MissingProblem, solution: Solution, index: number): readonly number[] {
  const counts = numbersOf(p).map((n) => n.pattern.digits.filter((d) => d === null).length)
  const start = counts.slice(0, index).reduce((a, b) => a + b, 0)
  return solution.digits.slice(start, start + counts[index]!)
}

/**
 * Why the missing digits are what they are, in as few sentences as there are: the whole number by the other way round, where
 * only one number has missing digits; else column by column, from the lowest up.
 */
export function sayMissing(p: MissingProblem, solution: Solution, pack: WordPack): readonly string[] {
  const open = numbersOf(p).flatMap((n, i) => (n.pattern.digits.includes(null) ? [i] : []))
  const byColumns = columnReasons(p, solution, pack)
  if (open.length > 1 || byColumns.length === 1) return byColumns
  return [wholeReason(p, solution, open[0]!)]
}

/** The one number with missing digits, found from the others. */
function wholeReason(p: MissingProblem, solution: Solution, index: number): string {
  const all = numbersOf(p)
  const found = valueAt(p, solution, index)
  const others = all.flatMap((n, i) =>
    i === index ? [] : [{ ...n, text: printPattern(n.pattern), value: valueAt(p, solution, i) }],
  )
  // The unknown stands on one side; the greater side comes first: 142 − 75 = 67.
  const flip = all[index]!.way
  const plus = others.filter((o) => o.way !== flip)
  const minus = others.filter((o) => o.way === flip)
  const total = (list: typeof others): Exact => list.reduce((s, o) => add(s, o.value), ZERO)
  const text = `${plus.map((o) => o.text).join(' + ')}${minus.map((o) => ` - ${o.text}`).join('')}`
  const value = subtract(total(plus), total(minus))
  if (value !== found) throw new Error(`${text} is not ${found}`)
  return pretty(`${text} = ${printExact(value)}, so the number is ${printExact(value)}.`)
}

const valueAt = (p: MissingProblem, solution: Solution, index: number): Exact =>
  valueOf(parseNumeral(printPattern(numbersOf(p)[index]!.pattern, ownDigits(p, solution, index))))

/** For each column with a missing digit one sentence, with what comes from the column before. */
function columnReasons(p: MissingProblem, solution: Solution, pack: WordPack): readonly string[] {
  const decimals = Math.max(...numbersOf(p).map((n) => n.pattern.decimals))
  const width = Math.max(...numbersOf(p).map((n) => n.pattern.digits.length + decimals - n.pattern.decimals))
  return Array.from({ length: width }, (_, c) => c).flatMap((c) => {
    const reason = columnReason(p, solution, c, decimals, pack)
    return reason ? [reason] : []
  })
}

function digitAt(pattern: Pattern, column: number, decimals: number): number | null | undefined {
  return pattern.digits[pattern.digits.length - 1 - (column - (decimals - pattern.decimals))]
}

function columnReason(p: MissingProblem, s: Solution, column: number, decimals: number, pack: WordPack): string {
  const all = numbersOf(p)
  const cells = all.map(({ pattern, way }, i) => {
    const at = pattern.digits.length - 1 - (column - (decimals - pattern.decimals))
    const digit = digitAt(pattern, column, decimals)
    const before = pattern.digits.slice(0, Math.max(0, at)).filter((d) => d === null).length
    return {
      way,
      digit,
      found: digit === null ? ownDigits(p, s, i)[before]! : (digit ?? 0),
      there: digit !== undefined,
    }
  })
  if (!cells.some((c) => c.digit === null)) return ''
  const [into, out] = [s.carries[column - 1] ?? 0, s.carries[column] ?? 0]
  const places = named(column - decimals, 2, pack)
  const answer = cells.at(-1)!
  const worked = cells.slice(0, -1).filter((c) => c.there || c === cells[0])
  const open = cells.filter((c) => c.digit === null)
  // What is lent stands with the first number of the column, what is carried on with its result.
  const tenth = (more: number, c: (typeof cells)[number], text: string): string =>
    more === 0 ? text : c.digit === null && text === BOX ? `${more}${BOX}` : String(c.found + 10 * more)
  const carried = into === 0 ? '' : into > 0 ? ` + ${into}` : ` - ${-into}`
  const written = (show: (c: (typeof cells)[number]) => string): string => {
    const first = tenth(Math.max(0, -out), worked[0]!, show(worked[0]!))
    const rest = worked.slice(1).map((c) => ` ${c.way > 0 ? '+' : '-'} ${show(c)}`)
    return `${first}${rest.join('')}${carried} = ${tenth(Math.max(0, out), answer, show(answer))}`
  }
  const boxed = written((c) => (c.digit === null ? BOX : String(c.found)))
  const why = out < 0 ? ` (a ${named(column - decimals + 1, 1, pack)} is ${pack.exchange.done})` : ''
  const end = open.length === 1 ? `so ${BOX} is ${open[0]!.found}` : `and it is ${written((c) => String(c.found))}`
  return pretty(`${capital(places)}: ${boxed}${why}, ${end}.`)
}
