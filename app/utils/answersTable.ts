import Papa from 'papaparse'
import {
  itemsOf,
  readTable,
  type ClassTable,
  type Diagnosis,
  type Row,
  type TableTrouble,
} from '../../core/diagnose/index'
import { leading, nameOfBug } from './saidOf'

/** A class's answers from CSV (RFC 4180) or from a table copied out of a spreadsheet, and what was marked as CSV again. */

/** The longest text that is read as a table, in characters. */
export const MOST_TEXT = 2_000_000

/** Text as rows with the line that each begins on; what is broken in it is told by line. */
function rowsIn(text: string): { readonly rows: readonly Row[]; readonly broken: readonly TableTrouble[] } {
  const rows: Row[] = []
  const broken: TableTrouble[] = []
  let [line, from] = [1, 0]
  Papa.parse<string[]>(text, {
    skipEmptyLines: false,
    step: ({ data, errors, meta }) => {
      const [error] = errors.filter((e) => e.type === 'Quotes')
      if (error) broken.push({ line, reason: sentenceOf(error.code) })
      else rows.push({ line, cells: data })
      line += text.slice(from, meta.cursor).split(/\r\n|\r|\n/).length - 1
      from = meta.cursor
    },
  })
  return { rows, broken }
}
const sentenceOf = (code: string): string =>
  code === 'MissingQuotes'
    ? 'A quotation mark that opens a cell here is never closed.'
    : 'There is a quotation mark inside a cell that does not begin with one.'

/** A table with all that is wrong in it, by line. */
export function tableOf(text: string): { readonly table: ClassTable; readonly troubles: readonly TableTrouble[] } {
  if (text.length > MOST_TEXT)
    return {
      table: { problems: [], learners: [] },
      troubles: [{ line: 1, reason: 'That is more than a table of answers: at most 2 MB are read.' }],
    }
  // Some programs write a mark of their encoding first.
  const { rows, broken } = rowsIn(text.replace(/^\uFEFF/, ''))
  const { table, troubles } = readTable(rows)
  return { table, troubles: [...broken, ...troubles].sort((a, b) => a.line - b.line) }
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
export { itemsOf }
