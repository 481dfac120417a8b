import { FAMILIES, WORKED_WITH, type Family, type WorkedWith } from '../../core/diagnose/index'
import { emptyRow, filledRows, linesOf, MOST_ROWS, soundRows, type AnswerRow } from '../utils/answerRows'

/** How often a learner is taken to slip; found from the page itself where nothing is known. */
export const SLIP_RATES = { found: undefined, seldom: 0.03, sometimes: 0.1, often: 0.2 } as const

const isText = (v: unknown): v is string => typeof v === 'string'

/** The page of answers that is being marked, as this browser keeps it. Whatever takes its place puts it aside, to be brought back. */
export function useAnswerPage() {
  const kept = useLocalStorage('sett.marking', {
    rows: [] as AnswerRow[],
    aside: [] as AnswerRow[],
    /** The lines as they were saved last with a learner, so that it shows whether these are. */
    saved: '',
    with: 'paper' as WorkedWith,
    above: false,
    slips: 'found' as keyof typeof SLIP_RATES,
    family: 'taking away' as Family,
    most: 999,
  })
  // What was kept by an earlier Sett, or by hand, may be no page at all.
  const now = kept.value
  kept.value = {
    rows: soundRows(now.rows),
    aside: soundRows(now.aside),
    saved: isText(now.saved) ? now.saved : '',
    with: WORKED_WITH.includes(now.with) ? now.with : 'paper',
    above: now.above === true,
    slips: now.slips in SLIP_RATES ? now.slips : 'found',
    family: FAMILIES.includes(now.family) ? now.family : 'taking away',
    most: Number.isInteger(now.most) ? now.most : 999,
  }

  /** Puts other lines in the place of those that are there, which are kept aside. */
  function replace(rows: readonly AnswerRow[]): void {
    const had = filledRows(kept.value.rows)
    if (had.some((r) => r.answer.trim() !== '')) kept.value.aside = had
    kept.value.rows = rows.length > 0 ? rows.slice(0, MOST_ROWS) : [emptyRow()]
  }
  /** Puts lines below those that are there. */
  const add = (rows: readonly AnswerRow[]): void =>
    void (kept.value.rows = [...filledRows(kept.value.rows), ...rows].slice(0, MOST_ROWS))
  /** Brings back what was put aside, and puts what is there aside. */
  function bringBack(): void {
    const rows = kept.value.aside
    kept.value.aside = filledRows(kept.value.rows)
    kept.value.rows = rows
  }
  /** Remembers that the lines as they are now are saved. */
  const markSaved = (): void => void (kept.value.saved = linesOf(filledRows(kept.value.rows)))
  return { kept, replace, add, bringBack, markSaved }
}
