import { statementOf, type TriedOnce } from '../../core/progress/index'
import { csvText } from '../../shared/csv'
import type { RecordSummary } from '../../shared/listing'
import { codeNames } from './files'
import type { Store } from './store'

/** Everything that was tried, the latest first, a page at a time, so that however much there is never lies in memory together. */
function* pagesOf(
  store: Store,
  only: readonly string[] | null,
  learner: string | undefined,
): Generator<readonly RecordSummary[]> {
  let before: string | undefined
  do {
    const page = store.page({ limit: 200, ...(learner ? { learner } : {}), ...(before ? { before } : {}) }, only)
    yield page.records
    before = page.next ?? undefined
  } while (before !== undefined)
}
const COLUMNS = [
  'id',
  'learner',
  'startedAt',
  'kind',
  'problem',
  'material',
  'mode',
  'right',
  'help',
  'durationMs',
  'slips',
  'note',
] as const
/** As CSV (RFC 4180), a line for each, with a head. */
export function* triedAsCsv(store: Store, only: readonly string[] | null = null, learner?: string): Generator<string> {
  const names = codeNames(store)
  yield `${COLUMNS.join(',')}\r\n`
  for (const page of pagesOf(store, only, learner)) {
    if (page.length === 0) continue
    const rows = page.map((r) => [
      r.id,
      names.get(r.learnerId) ?? '',
      r.startedAt,
      r.kind,
      r.problem,
      r.material,
      r.mode,
      r.kind === 'note' ? '' : r.right,
      r.kind === 'note' ? '' : r.help,
      r.durationMs,
      r.slips.join('; '),
      r.note,
    ])
    yield `${csvText(rows)}\r\n`
  }
}

/** As statements of xAPI 1.0.3, a JSON list; notes of a sitting are no answers, and are left out. */
export function* triedAsStatements(
  store: Store,
  only: readonly string[] | null = null,
  learner?: string,
): Generator<string> {
  const names = codeNames(store)
  yield '['
  let first = true
  for (const page of pagesOf(store, only, learner))
    for (const { learnerId, ...r } of page) {
      if (r.kind === 'note') continue
      const once: TriedOnce = { ...r, learner: names.get(learnerId) ?? '' }
      yield (first ? '' : ',\n') + JSON.stringify(statementOf(once))
      first = false
    }
  yield ']\n'
}
