import Papa from 'papaparse'
import type { ClassTable, Diagnosis, Row, TableTrouble } from '../../core/diagnose/index'
import { leading, nameOfBug } from './saidOf'

/** A class's answers from CSV (RFC 4180) or from a table copied out of a spreadsheet, and what was marked as CSV again. */

/** The longest text that is read as a table, in characters. */
export const MOST_TEXT = 600_000
/** After so many broken lines the rest is not looked at: something else than a table was given. */
const MOST_BROKEN = 50

/** Text as rows with the line that each begins on. A line with a broken quotation mark is told, and reading goes on after it. */
function parsed(text: string): { readonly rows: readonly Row[]; readonly broken: readonly TableTrouble[] } {
  const rows: Row[] = []
  const broken: TableTrouble[] = []
  // What parts the cells is found once, from the whole text.
  const { delimiter } = Papa.parse(text, { preview: 5 }).meta
  let [line, from] = [1, 0]
  while (from < text.length && broken.length < MOST_BROKEN) {
    const start = from
    let stopped = false
    Papa.parse<string[]>(text.slice(start), {
      delimiter,
      newline: '\n',
      step: ({ data, errors, meta }, parser) => {
        const error = errors.find((e) => e.type === 'Quotes')
        if (error) {
          broken.push({ line, reason: sentenceOf(error.code) })
          const end = text.indexOf('\n', from)
          from = end < 0 ? text.length : end + 1
          line++
          stopped = true
          parser.abort()
          return
        }
        rows.push({ line, cells: data })
        line += text.slice(from, start + meta.cursor).split('\n').length - 1
        from = start + meta.cursor
      },
    })
    if (!stopped) break
  }
  return { rows, broken }
}
const sentenceOf = (code: string): string =>
  code === 'MissingQuotes'
    ? 'A quotation mark that opens a cell here is never closed.'
    : 'There is a quotation mark inside a cell that does not begin with one.'

/** A table's text as rows to be read, with the lines that are broken. */
export function rowsIn(text: string): { readonly rows: readonly Row[]; readonly broken: readonly TableTrouble[] } {
  if (text.length > MOST_TEXT)
    return {
      rows: [],
      broken: [{ line: 1, reason: 'That is more than a table of answers: at most 600,000 letters are read.' }],
    }
  // Some programs write a mark of their encoding first.
  return parsed(text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n'))
}

/** How the answers of a class stand, a learner a row, as CSV. */
export function marksAsCsv(table: ClassTable, said: readonly Diagnosis[]): string {
  const rows = table.learners.map(({ name, answers }, i) => {
    const d = said[i]!
    const top = leading(d)
    const right = answers.length - d.wrong.length - d.blank.length
    return [
      name,
      right,
      d.wrong.length,
      d.blank.length,
      top ? nameOfBug(top.bug) : '',
      top ? top.probability.toFixed(2) : '',
    ]
  })
  return Papa.unparse([['learner', 'right', 'wrong', 'blank', 'way of working', 'how likely'], ...rows], {
    newline: '\r\n',
  })
}
