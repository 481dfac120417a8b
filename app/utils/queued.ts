import { isRepresentation, isWay, type Mode, type RepresentationId, type WayId } from '../../core/door'

/** Problems that wait to be worked, as this browser keeps them. */

/** A problem that was set beforehand; in a lesson also whose turn it is, and how it is to be worked. */
export interface Queued {
  readonly problem: string
  readonly mode?: Mode
  readonly way?: WayId
  readonly material?: RepresentationId
  /** Whose turn it is; null for nobody in particular. As it is where this is left out. */
  readonly learner?: string | null
  /** The lesson that it is of. */
  readonly lesson?: string
}
/** What is on the bench of those set beforehand, if anything, and what comes after it. */
export interface Line {
  readonly now: Queued | null
  readonly next: readonly Queued[]
}
export const NO_LINE: Line = { now: null, next: [] }

const MODES: readonly Mode[] = ['show', 'together', 'alone']

/** What an earlier Sett kept, or somebody by hand, read with doubt: a problem alone is text. */
function waiting(kept: unknown): Queued | null {
  if (typeof kept === 'string') return { problem: kept }
  const { problem, learner, lesson, material, way, mode } = (kept ?? {}) as Record<string, unknown>
  if (typeof problem !== 'string') return null
  return {
    problem,
    ...(typeof learner === 'string' || learner === null ? { learner } : {}),
    ...(typeof lesson === 'string' ? { lesson } : {}),
    ...(typeof material === 'string' && isRepresentation(material) ? { material } : {}),
    ...(typeof way === 'string' && isWay(way) ? { way } : {}),
    ...(MODES.includes(mode as Mode) ? { mode: mode as Mode } : {}),
  }
}
const several = (kept: unknown): readonly Queued[] =>
  Array.isArray(kept) ? kept.flatMap((one) => waiting(one) ?? []) : []

export const keptLine = {
  read: (text: string): Line => {
    try {
      const kept = JSON.parse(text) as { now?: unknown; next?: unknown } | null
      if (Array.isArray(kept)) return { now: null, next: several(kept) }
      return { now: waiting(kept?.now), next: several(kept?.next) }
    } catch {
      return NO_LINE
    }
  },
  write: (line: Line): string => JSON.stringify(line),
}
