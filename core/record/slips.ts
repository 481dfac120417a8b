import type { Act } from '../act/act'
import { owing, type Standing } from '../act/standing'
import { add, sign, subtract, toCount } from '../number/exact'

/** Slips in counting that practitioners know by name (practice, section 14; common practice, no source). */
export const SLIPS = {
  startSaid: 'started the count on the first number',
  backStartSaid: 'counted back from the first number itself',
  saidTwice: 'counted one thing twice',
  skipped: 'skipped one while counting',
  misread: 'read another number than is there',
  short: 'left some neither counted, joined nor taken',
  over: 'counted, joined or took too many',
} as const

/** The slip in acts done when `before` stood there, by name; empty where there is none. */
export function slipIn(acts: readonly Act[], before: Standing, last: Act | undefined): string {
  const act = acts.at(-1)
  if (act?.kind === 'read') {
    if (act.value !== before.value) return SLIPS.misread
    const left = sign(owing(before))
    return left === 0 ? '' : left > 0 ? SLIPS.short : SLIPS.over
  }
  if (act?.kind !== 'count') return ''
  const forward = act.by === '1'
  const first = last?.kind !== 'count'
  // Words are held against the word before, so that one slip is named once and not at every word after it.
  const said = first ? before.value : last.word
  const step = toCount(subtract(act.word, add(said, act.by))) * (forward ? 1 : -1)
  if (step === 0) return ''
  if (step < 0) return first ? (forward ? SLIPS.startSaid : SLIPS.backStartSaid) : SLIPS.saidTwice
  return SLIPS.skipped
}
