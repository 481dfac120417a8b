import type { Session, Phase } from './sessions'
import { PHASES } from './sessions'

/** A report for a review meeting or a family: what was tried, with what help, what changed, what comes next. Only what the figures say. */

export interface Reported {
  readonly learner: string
  /** Days of the period, in words. */
  readonly from: string
  readonly to: string
  /** What was tried, each with its title and its sessions in the period. */
  readonly parts: readonly { readonly title: string; readonly sessions: readonly Session[]; readonly goal?: string }[]
  readonly slips: readonly { readonly slip: string; readonly count: number }[]
  /** What was decided, in words, with its day. */
  readonly decisions: readonly string[]
  /** Samples of work, in words. */
  readonly samples: readonly string[]
}
export interface ReportSection {
  readonly title: string
  readonly text: string
}

const PHASE_WORDS: Readonly<Record<Phase, string>> = {
  held: 'things to hold',
  drawn: 'drawings',
  written: 'writing',
}
const HELP_WORDS: Readonly<Record<string, string>> = {
  independent: 'without help',
  pointed: 'with pointing',
  spoken: 'with a spoken hint',
  shown: 'after it was shown',
  'hand-over-hand': 'hand over hand',
}
const list = (of: readonly string[]): string =>
  of.length < 2 ? (of[0] ?? '') : `${of.slice(0, -1).join(', ')} and ${of.at(-1)}`
const tries = (n: number): string => `${n} ${n === 1 ? 'try' : 'tries'}`
const days = (n: number): string => (n === 1 ? 'one day' : `${n} days`)

function helpOf(sessions: readonly Session[]): string {
  const all: Record<string, number> = {}
  for (const s of sessions) for (const [level, n] of Object.entries(s.help)) all[level] = (all[level] ?? 0) + n
  return list(Object.keys(HELP_WORDS).flatMap((level) => (all[level] ? [`${all[level]} ${HELP_WORDS[level]}`] : [])))
}
function materialsOf(sessions: readonly Session[]): string {
  const used = PHASES.filter((p) => sessions.some((s) => s.phase === p))
  return used.length ? ` Worked with ${list(used.map((p) => PHASE_WORDS[p]))}.` : ''
}

/** Sections as they are proposed; a teacher may change every word. */
export function reportOf({ learner, from, to, parts, slips, decisions, samples }: Reported): readonly ReportSection[] {
  const tried = parts.filter((p) => p.sessions.length > 0)
  const sum = tried.reduce((n, p) => n + p.sessions.reduce((m, s) => m + s.tried, 0), 0)
  const seen = new Set(tried.flatMap((p) => p.sessions.map((s) => s.day))).size
  if (sum === 0) return [{ title: 'What was tried', text: `Nothing is recorded of ${learner} from ${from} to ${to}.` }]
  const changed = tried.map(({ title, sessions }) => {
    const [first, last] = [sessions[0]!, sessions.at(-1)!]
    const once = `${title}: ${first.alone} of ${first.tried} right without help on the one day it was tried.`
    return sessions.length === 1
      ? once
      : `${title}: right without help ${first.alone} of ${first.tried} on the first day, ${last.alone} of ${last.tried} on the last.`
  })
  const goals = parts.flatMap((p) => (p.goal ? [p.goal] : []))
  const section = (title: string, lines: readonly string[]): readonly ReportSection[] =>
    lines.length ? [{ title, text: lines.join('\n') }] : []
  return [
    {
      title: 'What was tried',
      text: `From ${from} to ${to} ${learner} worked on ${days(seen)}: ${tries(sum)}, of ${list(tried.map((p) => p.title))}.`,
    },
    ...section(
      'With what help',
      tried.map(({ title, sessions }) => `${title}: ${helpOf(sessions)}.${materialsOf(sessions)}`),
    ),
    ...section('What changed', changed),
    ...section('Goals', goals),
    ...section(
      'Mistakes that were seen',
      slips.map(({ slip, count }) => `${slip}: ${count === 1 ? 'once' : `${count} times`}.`),
    ),
    ...section('Samples', samples),
    ...section('What was decided', decisions),
    { title: 'Next', text: '' },
  ]
}

/** A report as plain text. */
export const reportText = (head: string, sections: readonly ReportSection[]): string =>
  [head, ...sections.flatMap(({ title, text }) => ['', title.toUpperCase(), text])].join('\n').trimEnd() + '\n'
