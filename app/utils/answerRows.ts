/** Rows of a page of answers as they are typed and pasted. */
export interface AnswerRow {
  problem: string
  answer: string
  above: string
}

/** So many lines a page has at the most. */
export const MOST_ROWS = 60

export const emptyRow = (): AnswerRow => ({ problem: '', answer: '', above: '' })
export const isEmptyRow = ({ problem, answer, above }: AnswerRow): boolean =>
  [problem, answer, above].every((text) => text.trim() === '')

/** Rows that have a problem, or should have one, without the empty ones. */
export const filledRows = (rows: readonly AnswerRow[]): AnswerRow[] => rows.filter((row) => !isEmptyRow(row))

const isText = (v: unknown): v is string => typeof v === 'string'
/** What was kept as rows, without whatever is none. */
export const soundRows = (rows: unknown): AnswerRow[] =>
  (Array.isArray(rows) ? (rows as Partial<AnswerRow>[]) : [])
    .filter((r) => r && isText(r.problem) && isText(r.answer))
    .map((r) => ({ problem: r.problem!, answer: r.answer!, above: isText(r.above) ? r.above : '' }))
    .slice(0, MOST_ROWS)

/** Rows as one text, by which two pages are told apart. */
export const linesOf = (rows: readonly AnswerRow[]): string =>
  rows.map(({ problem, answer, above }) => [problem, answer, above].join('\t')).join('\n')

/**
 * One line as a row: cells parted by tabs (from a table), else a problem and what follows its equals sign. A problem that asks for
 * another name of a number has an equals sign of its own (`2/3 = ?/12`).
 */
export function rowOf(line: string): AnswerRow {
  if (line.includes('\t')) {
    const [problem = '', answer = '', above = ''] = line.split('\t').map((c) => c.trim())
    return { problem, answer, above }
  }
  const parts = line.split('=')
  const named = parts.length > 1 && /^\s*\?/.test(parts[1]!)
  const cut = named ? 2 : 1
  return { problem: parts.slice(0, cut).join('=').trim(), answer: parts.slice(cut).join('=').trim(), above: '' }
}

/** Problems with answers as rows. */
export const rowsWith = (problems: readonly string[], answers: readonly string[] = []): AnswerRow[] =>
  problems.map((problem, i) => ({ problem, answer: answers[i] ?? '', above: '' }))

/** Pasted text as rows, an empty line left out. */
export const rowsOf = (text: string): AnswerRow[] =>
  text
    .split(/\r\n|\r|\n/)
    .filter((line) => line.trim() !== '')
    .map(rowOf)
