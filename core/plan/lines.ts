import type { Act } from '../act/act'
import type { EquationsState, Line } from '../representation/equations/equations'
import { equations } from '../representation/equations/equations'
import { pretty } from '../speech/words'

/** One written line. A line that states an equality carries it as plain ASCII arithmetic for any outside evaluator. */
export interface WrittenLine {
  readonly text: string
  readonly equation?: string
}

/** Whether a line goes on with the count of the line before, which then need not be shown on its own. */
export const goesOn = (line: WrittenLine): boolean => line.text.includes(' · ')

/** A count as it stands on the page: the number counted from, a point, and the words so far (`8 · 9 10 11`). */
function sequence(lines: readonly Line[], upTo: number): string {
  let from = upTo
  while (from > 0 && lines[from - 1]!.act.kind === 'count') from -= 1
  const words = lines.slice(from, upTo + 1).map((l) => (l.act.kind === 'count' ? l.act.word : ''))
  const begun = lines[from - 1]?.act
  return `${begun?.kind === 'begin' ? begun.from : lines[from]!.valueBefore} · ${words.join(' ')}`
}

/** The lines that an act adds to the running page, and the page after it. */
export function write(
  page: EquationsState,
  act: Act,
): { readonly page: EquationsState; readonly lines: readonly WrittenLine[] } {
  const moves = equations.perform(page, act)
  const next = moves.reduce(equations.apply, page)
  const lines = next.lines.slice(page.lines.length).map(({ text, act: made }, i): WrittenLine => {
    if (made.kind === 'count') return { text: sequence(next.lines, page.lines.length + i) }
    return text.includes(' = ') ? { text: pretty(text), equation: text } : { text: pretty(text) }
  })
  return { page: next, lines }
}
