import { diagnose, parseItem, printAnswer, type ItemText, type WorkedWith } from '../../core/diagnose/index'
import { attempt, withDefaults, type WorkRecord } from '../../core/index'
import type { AnsweredAlone, Said } from '../../shared/marking'
import type { Classroom } from '../../shared/schemas'
import type { FieldError } from './problem'
import { isTrouble, replayed } from './replaying'
import type { Store } from './store'

/** As many explanations as are kept of what a page said. */
const MOST_SAID = 3

interface Page {
  readonly items: readonly ItemText[]
  readonly with: WorkedWith
  readonly slipRate?: number | undefined
}

/** What a page of answers says, with a room's own choices; else which of them cannot be read. */
export function markPage({ slipRate, ...page }: Page, room?: Pick<Classroom, 'hands'> | null): Said | FieldError {
  const items = []
  for (const [i, item] of page.items.entries()) {
    const read = attempt(() => parseItem(item))
    if ('refused' in read) return { pointer: `/items/${i}`, detail: `Line ${i + 1}: ${read.refused.message}` }
    items.push(read.ok)
  }
  const { ranked, none } = diagnose({
    items,
    with: page.with,
    choices: withDefaults(room?.hands),
    ...(slipRate === undefined ? {} : { prior: { slipRate } }),
  })
  return {
    ranked: ranked.slice(0, MOST_SAID).map(({ bug, probability }) => ({ bug, probability })),
    none: none.probability,
  }
}

/** So many of a learner's latest records are looked at. */
const LATEST = 60

/** What a learner answered alone at the Bench lately: what was read there, whether right or not. The oldest first. */
export async function answersAlone(store: Store, learner: string): Promise<AnsweredAlone['items']> {
  const { records } = store.page({ learner, limit: LATEST })
  const found: AnsweredAlone['items'][number][] = []
  for (const { id, mode, startedAt } of records) {
    const record = mode === 'alone' ? store.record(id) : undefined
    const item = record && (await answerOf(record.work))
    if (item) found.push({ ...item, record: id, at: startedAt })
  }
  return found.reverse()
}

/** The problem and the answer read in a record; undefined where none was, or where it is no kind of problem that is marked. */
async function answerOf(work: WorkRecord): Promise<{ readonly problem: string; readonly answer: string } | undefined> {
  const found = await replayed(work)
  if (isTrouble(found) || found.read === null) return undefined
  const item = { problem: work.problem, answer: printAnswer(found.read as Parameters<typeof printAnswer>[0]) }
  return 'ok' in attempt(() => parseItem(item)) ? item : undefined
}
