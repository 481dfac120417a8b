import type { Act } from '../act/act'
import type { EquationsState } from '../representation/equations/equations'
import { equations } from '../representation/equations/equations'
import { pretty } from '../speech/words'

/** One written line. A line that states an equality carries it as plain ASCII arithmetic for any outside evaluator. */
export interface WrittenLine {
  readonly text: string
  readonly equation?: string
}

/** The lines that an act adds to the running page, and the page after it. */
export function write(
  page: EquationsState,
  act: Act,
): { readonly page: EquationsState; readonly lines: readonly WrittenLine[] } {
  const moves = equations.perform(page, act)
  const next = moves.reduce(equations.apply, page)
  const lines = next.lines
    .slice(page.lines.length)
    .map(({ text }) => (text.includes(' = ') ? { text: pretty(text), equation: text } : { text: pretty(text) }))
  return { page: next, lines }
}
