import Papa from 'papaparse'
import { statementOf, type TriedOnce } from '../../core/progress/index'
import type { RecordSummary } from '../../shared/listing'
import { codeNames } from './files'
import type { Store } from './store'

/** Everything that was tried, the latest first, a page at a time, so that however much there is never lies in memory together. */
function* pagesOf(store: Store, learner: string | undefined): Generator<readonly RecordSummary[]> {
  let before: string | undefined
  do {
    const page = store.page({ limit: 200, ...(learner ? { learner } : {}), ...(before ? { before } : {}) })
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
/** Text that a spreadsheet would work out instead of showing it: a quotation mark before it keeps it text. */
const asText = (text: string): string => (/^[=+@\t\r-]/.test(text) ? `'${text}` : text)

/** As CSV (RFC 4180), a line for each, with a head. */
export function* triedAsCsv(store: Store, learner?: string): Generator<string> {
  const names = codeNames(store)
  yield `${COLUMNS.join(',')}\r\n`
  for (const page of pagesOf(store, learner)) {
    if (page.length === 0) continue
    const rows = page.map((r) => [
      r.id,
      names.get(r.learnerId) ?? '',
      r.startedAt,
      r.kind,
      asText(r.problem),
      r.material,
      r.mode,
      r.kind === 'note' ? '' : r.right,
      r.kind === 'note' ? '' : r.help,
      r.durationMs,
      asText(r.slips.join('; ')),
      asText(r.note),
    ])
    yield `${Papa.unparse(rows, { newline: '\r\n' })}\r\n`
  }
}

/** As statements of xAPI 1.0.3, a JSON list; notes of a sitting are no answers, and are left out. */
export function* triedAsStatements(store: Store, learner?: string): Generator<string> {
  const names = codeNames(store)
  yield '['
  let first = true
  for (const page of pagesOf(store, learner))
    for (const { learnerId, ...r } of page) {
      if (r.kind === 'note') continue
      const once: TriedOnce = { ...r, learner: names.get(learnerId) ?? '' }
      yield (first ? '' : ',\n') + JSON.stringify(statementOf(once))
      first = false
    }
  yield ']\n'
}
