import { comesTo, parseItem, rightOf, type WorkedWith } from '../../core/diagnose/index'
import { attempt, type RepresentationId } from '../../core/index'
import { TRIED_AT, type Progress, type TriedAt } from '../../shared/progress'
import { dayIn } from '../../shared/days'
import { zoneOf } from '../db/open'
import type { TriedRow } from '../db/progress'
import { finderHere } from './standings'
import { others } from './progress'
import type { Store } from './store'

/** As many marked pages are looked at, the latest. */
const MOST_PAGES = 200

/** Answers on marked pages were given alone, in writing or with what the page was worked with. */
const MARKED_WITH: Readonly<Record<WorkedWith, RepresentationId>> = {
  paper: 'columns',
  counting: 'counters',
  beads: 'abacus',
}

/** What was answered on marked pages that stand, a row for each answer. */
async function markedBy(store: Store, learner: string, from: string): Promise<readonly TriedRow[]> {
  const rows: TriedRow[] = []
  for (const page of store.markings(learner, MOST_PAGES)) {
    const day = dayIn(zoneOf(store.db), page.markedAt)
    if (page.withdrawn !== null || day < from) continue
    for (const item of page.items) {
      const read = attempt(() => parseItem(item))
      if (!('ok' in read) || read.ok.answer === null) continue
      rows.push({
        day,
        problem: item.problem,
        step: '',
        material: MARKED_WITH[page.with],
        help: 'independent',
        right: comesTo(read.ok.answer, rightOf(read.ok.problem)) ? 1 : 0,
        count: 1,
        ms: 0,
        at: 'marking',
      })
    }
    await others()
  }
  return rows
}

/** Attempts of a day that came out alike with the same help and material are told together. */
function alike(rows: readonly TriedRow[]): Progress['tried'][number][] {
  const groups = new Map<string, Progress['tried'][number]>()
  for (const { day, right, help, material, count, ms } of rows) {
    const key = `${day} ${right} ${help} ${material}`
    const there = groups.get(key)
    groups.set(key, {
      day,
      right: right === 1,
      help,
      material,
      count: count + (there?.count ?? 0),
      ms: ms + (there?.ms ?? 0),
    })
  }
  return [...groups.values()]
}

/**
 * What a learner tried, day by day, of one step or of all; looked through in slices, so that others are answered in between. Cards that
 * are rehearsed are many and quick, so they are told by themselves and never among the rest.
 */
export async function progressOf(
  store: Store,
  learner: string,
  { step, from = '', at }: { readonly step?: string; readonly from?: string; readonly at?: TriedAt } = {},
): Promise<Progress> {
  const finder = finderHere(store)
  const worked = [...store.triedBy(learner, from), ...(await markedBy(store, learner, from))].sort((a, b) =>
    a.day < b.day ? 1 : a.day > b.day ? -1 : 0,
  )
  const rehearsed = store.rehearsedBy(learner, from).map((r): TriedRow => ({
    ...r,
    problem: '',
    step: '',
    material: '',
    help: 'independent',
    at: 'rehearsing',
  }))
  const steps: string[] = []
  const found: TriedRow[] = []
  for (const [i, row] of worked.entries()) {
    const of = row.step || finder.find({ problem: row.problem }) || ''
    if (of && !steps.includes(of)) steps.push(of)
    if ((step === undefined || of === step) && (at === undefined || row.at === at)) found.push(row)
    if (i % 40 === 39) await others()
  }
  const there = new Set([...worked, ...rehearsed].map((r) => r.at))
  return {
    tried: alike(at === 'rehearsing' ? rehearsed : found).reverse(),
    places: TRIED_AT.filter((p) => there.has(p)),
    seen: [...new Set([...worked, ...rehearsed].map((r) => r.day))].sort(),
    slips: store.slipsBy(learner, from),
    goals: store.goals(learner),
    decisions: store.decisions(learner),
    steps,
  }
}
