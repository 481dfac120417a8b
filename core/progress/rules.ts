import { WEEK_MS } from '../days'
import { aimAt, aimLine, type Goal } from './aim'
import type { Session } from './sessions'

/** When to move on, to go back to something held, to change or raise the goal, to look again (practice, section 15; common practice). */
export interface Rules {
  /** Move on at this share without help … */
  readonly moveOnShare: number
  /** … in so many sessions running. */
  readonly moveOnSessions: number
  /** Make it more concrete below this share … */
  readonly concreteShare: number
  readonly concreteSessions: number
  /** So many sessions running on one side of the aim line; the four-point rule of curriculum-based measurement. */
  readonly aimSessions: number
  /** Look again so many weeks after moving on. */
  readonly checkWeeks: readonly number[]
  /** Too few trials make no session. */
  readonly leastTrials: number
}
export const RULES_AT_FIRST: Rules = {
  moveOnShare: 0.8,
  moveOnSessions: 3,
  concreteShare: 0.5,
  concreteSessions: 3,
  aimSessions: 4,
  checkWeeks: [1, 4],
  leastTrials: 3,
}

export const SUGGESTED = ['move-on', 'fade', 'concrete', 'change', 'raise', 'check', 'mark', 'stay'] as const
export type SuggestionKind = (typeof SUGGESTED)[number]
/** What follows from some sessions, with the figures it follows from. */
export interface Suggestion {
  readonly kind: SuggestionKind
  readonly sessions: readonly Pick<Session, 'day' | 'alone' | 'tried'>[]
  /** The rule in words, and where it is from. */
  readonly rule: string
  /** The mistake that Marking should look at, where there is one. */
  readonly slip?: string
}

const percent = (share: number): string => `${Math.round(100 * share)} of 100`
const weeksBetween = (a: string, b: string): number => (Date.parse(b) - Date.parse(a)) / WEEK_MS

export interface Looked {
  readonly sessions: readonly Session[]
  readonly goal?: Goal
  /** Mistakes of these sessions by name, with how often each was seen. */
  readonly slips?: readonly { readonly slip: string; readonly count: number }[]
  readonly today: string
  readonly rules?: Rules
}

/** What follows; the most telling first. Nothing but “stay” where the figures say nothing else. */
export function suggest({
  sessions: all,
  goal,
  slips = [],
  today,
  rules = RULES_AT_FIRST,
}: Looked): readonly Suggestion[] {
  const sessions = all.filter((s) => s.tried >= rules.leastTrials)
  const last = (n: number): readonly Session[] => sessions.slice(-n)
  const running = (n: number, holds: (s: Session) => boolean): readonly Session[] | undefined =>
    sessions.length >= n && last(n).every(holds) ? last(n) : undefined
  const found: Suggestion[] = []
  const put = (kind: SuggestionKind, of: readonly Session[] | undefined, rule: string, slip?: string): void => {
    if (of)
      found.push({
        kind,
        sessions: of.map(({ day, alone, tried }) => ({ day, alone, tried })),
        rule,
        ...(slip === undefined ? {} : { slip }),
      })
  }
  const moved = running(rules.moveOnSessions, (s) => s.share >= rules.moveOnShare)
  const moveRule = `${percent(rules.moveOnShare)} or more without help in ${rules.moveOnSessions} sessions running`
  // With something held or drawn, the material is faded first.
  const phase = sessions.at(-1)?.phase
  put(phase === 'held' || phase === 'drawn' ? 'fade' : 'move-on', moved, moveRule)
  // A day with few tries is still a day on which it was tried.
  const since = all.at(-1)?.day
  if (moved && since) {
    const weeks = weeksBetween(since, today)
    const due = rules.checkWeeks.filter((w) => weeks >= w).at(-1)
    if (due !== undefined)
      put('check', moved, `it stood, and nothing was tried for ${due} ${due === 1 ? 'week' : 'weeks'} or longer`)
  }
  put(
    'concrete',
    running(rules.concreteSessions, (s) => s.share < rules.concreteShare),
    `below ${percent(rules.concreteShare)} without help in ${rules.concreteSessions} sessions running`,
  )
  const aim = goal && aimLine(sessions, goal)
  if (aim) {
    const n = rules.aimSessions
    put(
      'change',
      running(n, (s) => s.share < aimAt(aim, s.day)),
      `${n} sessions running below the aim line`,
    )
    put(
      'raise',
      running(n, (s) => s.share > aimAt(aim, s.day)),
      `${n} sessions running above the aim line`,
    )
  }
  const [worst] = [...slips].sort((a, b) => b.count - a.count)
  if (worst && worst.count >= 3) put('mark', last(3), `the same mistake ${worst.count} times`, worst.slip)
  if (found.length === 0) put('stay', last(3), 'no rule says otherwise')
  return found
}
