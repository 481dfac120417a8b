import type { KeptLearner } from '../../shared/learners'
import type { Classroom } from '../../shared/schemas'
import { request } from './request'

/** What the server says of the room. */
export interface RoomAnswer {
  readonly classroom: Classroom | null
  readonly learners: readonly KeptLearner[]
  /** The school's time zone; an answer kept by an earlier Sett has none. */
  readonly zone?: string
}

const ask = (): Promise<RoomAnswer> => request<RoomAnswer>('/api/classroom')
let begun: Promise<RoomAnswer> | null = null

/** Asks for the room before anybody needs it. A failure is told when it is needed. */
export function beginRoom(): void {
  begun = ask()
  begun.catch(() => undefined)
}

/** The room as it was asked for early, the first time; asked anew after that. */
export function roomAnswer(): Promise<RoomAnswer> {
  const first = begun
  begun = null
  return first ?? ask()
}
