import { diagnose, parseItem, printAnswer, type ItemText, type WorkedWith } from '../../core/diagnose/index'
import { attempt, outcome, reopening, type WorkRecord } from '../../core/index'
import type { Said, Worked } from '../../shared/marking'
import type { FieldError } from './problem'
import { others } from './progress'
import type { Store } from './store'

/** As many explanations as are kept of what a page said. */
const MOST_SAID = 3

/** What a page of answers says; else which of them cannot be read. */
export function markPage(page: { readonly items: readonly ItemText[]; readonly with: WorkedWith }): Said | FieldError {
  const items = []
  for (const [i, item] of page.items.entries()) {
    const read = attempt(() => parseItem(item))
    if ('refused' in read) return { pointer: `/items/${i}`, detail: `Line ${i + 1}: ${read.refused.message}` }
    items.push(read.ok)
  }
  const { ranked, none } = diagnose({ items, with: page.with })
  return {
    ranked: ranked.slice(0, MOST_SAID).map(({ bug, probability }) => ({ bug, probability })),
    none: none.probability,
  }
}

/** So many of a learner's latest records are looked at. */
const LATEST = 60
/** Working one record again may not take longer than so many moves; longer ones say little of how an answer came about. */
const MOST_MOVES = 400

/** What a learner answered alone at the Bench lately: what was read there, whether right or not. The oldest first. */
export async function answersAlone(store: Store, learner: string): Promise<Worked['items']> {
  const { records } = store.page({ learner, limit: LATEST })
  const found: Worked['items'][number][] = []
  for (const { id, mode, startedAt } of records) {
    const record = mode === 'alone' ? store.record(id) : undefined
    if (!record || record.work.moves.length > MOST_MOVES) continue
    const item = answerOf(record.work)
    if (item) found.push({ ...item, record: id, at: startedAt })
    await others()
  }
  return found.reverse()
}

/** The problem and the answer read in a record; undefined where none was, or where it is no kind of problem that is marked. */
function answerOf(work: WorkRecord): { readonly problem: string; readonly answer: string } | undefined {
  const done = attempt(() => {
    const steps = reopening(work)
    for (;;) {
      const { done, value } = steps.next()
      if (done) return outcome(value)
    }
  })
  if ('refused' in done || done.ok.read === null) return undefined
  const { read, remainder } = done.ok
  const item = { problem: work.problem, answer: printAnswer({ value: read, ...(remainder ? { remainder } : {}) }) }
  return 'ok' in attempt(() => parseItem(item)) ? item : undefined
}
