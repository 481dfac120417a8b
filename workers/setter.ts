import { conflictIn, countProblems, setProblems, type Conflict, type Limits, type SetWish } from '../core/course/index'
import { attempt } from '../core/door'

/** Problems are to be counted, and some of them set. */
export type SetterWish = Extract<SetWish, { readonly limits: Limits }>
/** How many there are, with the problems; or why there are none. Counts are text, since they may be longer than a number holds. */
export interface SetterAnswer {
  readonly count: string
  readonly problems: readonly string[]
  readonly conflict: {
    readonly between: Conflict['between']
    readonly change: Omit<NonNullable<Conflict['change']>, 'leaves'> | null
    readonly leaves: string
  } | null
  readonly refused: string
}

const NOTHING: SetterAnswer = { count: '0', problems: [], conflict: null, refused: '' }

self.onmessage = ({ data }: MessageEvent<SetterWish>): void => {
  const done = attempt((): SetterAnswer => {
    const count = countProblems(data.limits)
    if (count > 0n) return { ...NOTHING, count: String(count), problems: setProblems(data) }
    const conflict = conflictIn(data.limits)
    if (!conflict) return NOTHING
    const { between, change } = conflict
    return {
      ...NOTHING,
      conflict: {
        between,
        change: change && { limit: change.limit, to: change.to },
        leaves: String(change?.leaves ?? 0),
      },
    }
  })
  self.postMessage('ok' in done ? done.ok : { ...NOTHING, refused: done.refused.message })
}
