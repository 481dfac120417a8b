import {
  type AbacusChoices,
  DEFAULT_CHOICES,
  isRepresentation,
  type RepresentationId,
  type WorkRecord,
} from '../../core/door'
import type { Queued } from './queued'

/** How things are kept in the browser as text, and read again with doubt: what is no such thing any more is let go. */

/** Work that is not saved yet, so that a closed lid loses nothing. */
export interface Draft {
  readonly id: string
  readonly startedAt: string
  readonly work: WorkRecord
  /** Whose it is, from its first move on; null where nobody was chosen, absent in what an earlier Sett kept. */
  readonly learner?: string | null
  /** Whether hands did some of it; in Show Sett may have done it all. Absent in what an earlier Sett kept. */
  readonly byHand?: boolean
  /** The turn of a lesson that it is, as it was asked. */
  readonly turn?: Queued | null
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}
const isDraft = (json: unknown): json is Draft =>
  typeof json === 'object' && json !== null && ['id', 'startedAt', 'work'].every((k) => k in json)

export const keptId = {
  read: (text: string): RepresentationId | null => (isRepresentation(text) ? text : null),
  write: (id: RepresentationId | null): string => id ?? '',
}

/** Passes the same door as the room's choices: all of them must be there. */
export const keptAbacus = {
  read: (text: string): AbacusChoices | null => {
    const json = parsed(text)
    const known = json && typeof json === 'object' && Object.keys(DEFAULT_CHOICES.abacus).every((k) => k in json)
    return known ? { ...DEFAULT_CHOICES.abacus, ...(json as AbacusChoices) } : null
  },
  write: (choices: AbacusChoices | null): string => JSON.stringify(choices),
}

export const keptDraft = {
  read: (text: string): Draft | null => {
    const json = parsed(text)
    return isDraft(json) ? json : null
  },
  write: (draft: Draft | null): string => JSON.stringify(draft),
}

export const keptDrafts = {
  read: (text: string): readonly Draft[] => {
    const json = parsed(text)
    return Array.isArray(json) ? json.filter(isDraft) : []
  },
  write: (drafts: readonly Draft[]): string => JSON.stringify(drafts),
}
