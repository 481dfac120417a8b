import { attempt } from '../refusal'
import { parseItem, type Item } from './item'

/** Answers of a class as a table: a problem a row, a learner a column. */

/** A row as it was read, with the line that it begins on. */
export interface Row {
  readonly line: number
  readonly cells: readonly string[]
}

/** What is wrong with a line, in words. */
export interface TableTrouble {
  readonly line: number
  readonly reason: string
}

/** A class’s answers: for each learner one for each problem, in the order of the problems. */
export interface ClassTable {
  readonly problems: readonly string[]
  readonly learners: readonly { readonly name: string; readonly answers: readonly string[] }[]
}

export const MOST_PROBLEMS = 60
export const MOST_LEARNERS = 400
/** The longest name that stands at the head of a column. */
const MOST_NAME = 40

/**
 * Reads a table whose first row has the learners’ names after a cell for the problems. Rows that cannot be read are told by line and
 * reason, and left out; whoever wants all or nothing looks whether there were any.
 */
export function readTable(rows: readonly Row[]): {
  readonly table: ClassTable
  readonly troubles: readonly TableTrouble[]
} {
  const troubles: TableTrouble[] = []
  const [head, ...rest] = rows.filter((row) => row.cells.some((c) => c.trim() !== ''))
  const names = (head?.cells.slice(1) ?? []).map((c) => c.trim())
  while (names.at(-1) === '') names.pop()
  const refuse = (line: number, reason: string): void => void troubles.push({ line, reason })
  if (!head)
    refuse(1, 'The table is empty. Its first row has the learners’ names, each row after it a problem and answers.')
  else if (names.length === 0)
    refuse(head.line, 'The first row names no learner. It goes: problem, then a name for each column.')
  const used = new Map<string, number>()
  names.forEach((name, i) => {
    if (name === '') refuse(head!.line, `Column ${i + 2} has no name.`)
    else if (name.length > MOST_NAME)
      refuse(head!.line, `The name of column ${i + 2} is longer than ${MOST_NAME} letters.`)
    else if (used.has(name.toLowerCase()))
      refuse(head!.line, `“${name}” stands in columns ${used.get(name.toLowerCase())! + 2} and ${i + 2}.`)
    else used.set(name.toLowerCase(), i)
  })
  if (names.length > MOST_LEARNERS) refuse(head!.line, `At most ${MOST_LEARNERS} learners go into one table.`)
  const columns = [...used.values()].filter((i) => i < MOST_LEARNERS)
  const problems: string[] = []
  const answers: string[][] = columns.map(() => [])
  for (const { line, cells } of rest) {
    const problem = (cells[0] ?? '').trim()
    const given = columns.map((i) => (cells[i + 1] ?? '').trim())
    const reasons = wrongIn(problem, given, cells, names)
    if (problems.length >= MOST_PROBLEMS) reasons.push(`At most ${MOST_PROBLEMS} problems go into one table.`)
    if (reasons.length > 0) {
      for (const reason of reasons) refuse(line, reason)
      continue
    }
    problems.push(problem)
    given.forEach((answer, i) => answers[i]!.push(answer))
  }
  const learners = columns.map((column, i) => ({ name: names[column]!, answers: answers[i]! }))
  return { table: { problems, learners }, troubles }
}

function wrongIn(
  problem: string,
  given: readonly string[],
  cells: readonly string[],
  names: readonly string[],
): string[] {
  if (problem === '') return ['The first cell has no problem.']
  const asked = attempt(() => parseItem({ problem, answer: '' }))
  if ('refused' in asked) return [`“${problem.slice(0, 40)}”: ${asked.refused.reason}`]
  const extra = cells.slice(names.length + 1).filter((c) => c.trim() !== '').length
  return [
    ...(extra > 0 ? [`There are more answers than names: ${extra} too many.`] : []),
    ...given.flatMap((answer) => {
      const read = attempt(() => parseItem({ problem, answer }))
      return 'refused' in read ? [`“${answer.slice(0, 40)}”: ${read.refused.reason}`] : []
    }),
  ]
}

/** The items of one learner of a table. */
export const itemsOf = ({ problems }: ClassTable, answers: readonly string[]): readonly Item[] =>
  problems.map((problem, i) => parseItem({ problem, answer: answers[i] ?? '' }))
