import { sessionsToward, suggest } from '../../core/progress/index'
import { dayIn, daysFrom } from '../../shared/days'
import type { Glance, Glanced } from '../../shared/learners'
import { zoneOf } from '../db/open'
import { others } from './progress'
import { rulesOf } from './rules'
import { finderHere } from './standings'
import type { Store } from './store'

/** So many learners are looked at together; the others come on the next page. */
export const AT_A_GLANCE = 40
const SESSIONS = 8
const LOOKED_AT_DAYS = 42
const SEEN_DAYS = 28

/** How each learner of a group has been lately: the days on which they were seen, and of what they tried last, its sessions and what they suggest. */
export async function glanceAt(
  store: Store,
  {
    group,
    after,
    only,
    now,
  }: {
    readonly group?: string | undefined
    readonly after?: string | undefined
    readonly only: readonly string[] | null
    readonly now: number
  },
): Promise<Glance> {
  const all = store
    .learners()
    .filter((l) => !l.archived && (only === null || only.includes(l.id)))
    .filter((l) => group === undefined || l.groups.includes(group))
  const from = after === undefined ? 0 : all.findIndex((l) => l.id === after) + 1
  const here = all.slice(from, from + AT_A_GLANCE)
  const today = dayIn(zoneOf(store.db), now)
  const day = (ago: number): string => daysFrom(today, -ago)
  const finder = finderHere(store)
  const rules = rulesOf(store)
  const learners: Glanced[] = []
  for (const { id } of here) {
    const stepOf = (of: { readonly step: string; readonly problem: string }): string =>
      of.step || finder.find({ problem: of.problem }) || ''
    const rows = store.triedBy(id, day(LOOKED_AT_DAYS))
    const last = store.lastTriedBy(id)
    const step = last ? stepOf(last) : ''
    const goals = store.goals(id).filter((g) => !g.archived)
    const goal = goals.find((g) => g.step === step)
    // Steps are not mixed: an easy one would hide how a hard one goes.
    const tried = rows.filter((r) => stepOf(r) === step).map((r) => ({ ...r, right: r.right === 1 }))
    const sessions = sessionsToward(tried, goal)
    const since = day(SEEN_DAYS - 1)
    learners.push({
      learnerId: id,
      sessions: sessions
        .filter((s) => s.tried >= rules.leastTrials)
        .slice(-SESSIONS)
        .map(({ day, alone, tried }) => ({ day, alone, tried })),
      seen: [...new Set(rows.map((r) => r.day))].filter((d) => d >= since).sort(),
      last: last ? { step, day: last.day } : null,
      suggests: suggest({ sessions, today, rules, ...(goal ? { goal } : {}) })
        .map((s) => s.kind)
        .filter((kind) => kind !== 'stay'),
      goals: goals.length,
    })
    await others()
  }
  return { learners, next: from + AT_A_GLANCE < all.length ? (here.at(-1)?.id ?? null) : null }
}
