import type { RepresentationId } from '../materials'

/** Trials of one day, put together: a session. */

/** What is held, what is drawn, what is written (practice, section 15; common practice, no source). */
export const PHASES = ['held', 'drawn', 'written'] as const
export type Phase = (typeof PHASES)[number]
const DRAWN: readonly RepresentationId[] = [
  'drawn',
  'line',
  'openline',
  'groups',
  'area',
  'touch',
  'touch-columns',
  'tallies',
]
const WRITTEN: readonly RepresentationId[] = [
  'columns',
  'product',
  'division',
  'partials',
  'friendly',
  'splits',
  'signs',
  'fraction-rule',
  'nine-tricks',
  'equations',
]
/** The phase that a material belongs to; undefined where none is named. */
export function phaseOf(material: string): Phase | undefined {
  if (material === '') return undefined
  const id = material as RepresentationId
  return WRITTEN.includes(id) ? 'written' : DRAWN.includes(id) ? 'drawn' : 'held'
}

/** So many alike trials of one day. */
export interface Tried {
  /** Day as YYYY-MM-DD. */
  readonly day: string
  readonly right: boolean
  /** The most help used, as its level is called. */
  readonly help: string
  readonly material: string
  readonly count: number
  /** All of them together, in milliseconds. */
  readonly ms: number
}

export interface Session {
  readonly day: string
  readonly tried: number
  readonly right: number
  /** Right without help. */
  readonly alone: number
  /** Right without help, as a share of all that was tried: 0 to 1. */
  readonly share: number
  /** Right in a minute, where the time is known; else null. */
  readonly perMinute: number | null
  /** How many trials had each level of help as their most. */
  readonly help: Readonly<Record<string, number>>
  /** The phase of most of its trials; null where no material was named. */
  readonly phase: Phase | null
}

/** Levels of help, least to most (practice, section 15). */
export const HELP_ORDER = ['independent', 'pointed', 'spoken', 'shown', 'hand-over-hand'] as const

/** Sessions as a goal counts them: with its material, right with at most the help it allows. Without a goal, all, and without help. */
export const sessionsToward = (
  tried: readonly Tried[],
  { material, help }: { readonly material: string; readonly help: string } = { material: '', help: 'independent' },
): readonly Session[] => sessionsOf(material === '' ? tried : tried.filter((t) => t.material === material), help)

/** Sessions in the order of their days. What counts as right without help may be right with at most `upTo`, where a goal says so. */
export function sessionsOf(tried: readonly Tried[], upTo = 'independent'): readonly Session[] {
  const enough = HELP_ORDER.slice(0, (HELP_ORDER as readonly string[]).indexOf(upTo) + 1) as readonly string[]
  const days = new Map<string, Tried[]>()
  for (const t of tried) days.set(t.day, [...(days.get(t.day) ?? []), t])
  return [...days]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([day, all]) => {
      const sum = (of: (t: Tried) => number, only: (t: Tried) => boolean = () => true): number =>
        all.reduce((n, t) => n + (only(t) ? of(t) : 0), 0)
      const count = (only: (t: Tried) => boolean): number => sum((t) => t.count, only)
      const triedAll = count(() => true)
      const right = count((t) => t.right)
      const alone = count((t) => t.right && enough.includes(t.help))
      const ms = sum((t) => t.ms)
      const help: Record<string, number> = {}
      for (const t of all) help[t.help] = (help[t.help] ?? 0) + t.count
      const phases = PHASES.map((p) => [p, count((t) => phaseOf(t.material) === p)] as const)
      const [phase, most] = phases.reduce((a, b) => (b[1] > a[1] ? b : a))
      return {
        day,
        tried: triedAll,
        right,
        alone,
        share: triedAll === 0 ? 0 : alone / triedAll,
        perMinute: ms > 0 ? (right * 60_000) / ms : null,
        help,
        phase: most > 0 ? phase : null,
      }
    })
}
