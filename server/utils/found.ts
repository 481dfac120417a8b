import type { RecordPage, RecordQuery, RecordSummary } from '../../shared/listing'
import { finderHere } from './standings'
import { others } from './progress'
import type { Store } from './store'

/** So much is looked through for one page; what lies further back is asked for again. */
const MOST_LOOKED_AT = 2000
const A_LOOK = 200

/**
 * A page of the Daybook that is narrowed to a step of the course. Which step a problem is on depends on the course, so what was worked is
 * looked through, in slices, and no further than so far; a page may have fewer lines than it could, and still go on.
 */
export async function pageOfStep(
  store: Store,
  { step, ...query }: RecordQuery & { readonly step: string },
  only: readonly string[] | null,
): Promise<Omit<RecordPage, 'known'>> {
  const finder = finderHere(store)
  const found: RecordSummary[] = []
  let before = query.before
  for (let looked = 0; looked < MOST_LOOKED_AT; looked += A_LOOK) {
    const page = store.page({ ...query, limit: A_LOOK, ...(before === undefined ? {} : { before }) }, only)
    for (const line of page.records) {
      const noted = line.kind === 'bench' ? '' : store.stepNoted(line.id)
      const of = noted || finder.find({ problem: line.problem })
      if (of !== step) continue
      found.push(line)
      if (found.length === query.limit) return { records: found, next: `${line.startedAt}_${line.id}` }
    }
    if (page.next === null) return { records: found, next: null }
    before = page.next
    await others()
  }
  return { records: found, next: before ?? null }
}
