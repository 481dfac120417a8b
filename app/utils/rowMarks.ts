import { printAnswer, rightOf, type Diagnosis } from '../../core/diagnose/index'
import { parseProblem } from '../../core/door'
import { isEmptyRow, type AnswerRow } from './answerRows'
import { leading } from './saidOf'

/** How an answer stands once the page has been marked. */
export interface RowMark {
  readonly stands: 'right' | 'explained' | 'slip' | 'wrong' | 'blank' | 'unread'
  /** What is right, or why the line cannot be read. */
  readonly says: string
}

/** How each row of a marked page stands; a row that is empty was no item of it. */
export function marksOf(d: Diagnosis, rows: readonly AnswerRow[]): RowMark[] {
  let item = -1
  const top = leading(d)
  return rows.map((row): RowMark => {
    if (isEmptyRow(row)) return { stands: 'blank', says: '' }
    item++
    const problem = parseProblem(row.problem)
    const right = printAnswer(rightOf(problem))
    if (d.blank.includes(item)) return { stands: 'blank', says: 'blank' }
    if (!d.wrong.includes(item)) return { stands: 'right', says: 'right' }
    if (top?.explains.includes(item)) return { stands: 'explained', says: `this way, right: ${right}` }
    return d.slips.includes(item)
      ? { stands: 'slip', says: `a slip, right: ${right}` }
      : { stands: 'wrong', says: `right: ${right}` }
  })
}
