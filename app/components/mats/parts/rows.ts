import type { PartsState } from '../../../../core/representation/parts/state'
import type { StripsRow } from '../../../../core/representation/parts/layout'

/** What hands do with a material of parts, as its buttons say it. */
export interface PartsWords {
  readonly row: string
  readonly lay: string
  readonly set: string
  readonly push: string
  readonly take: string
  readonly recut: string
}

/** The rows of a mat of parts, from the top: what lies there, the number beside it, and what it is held against. */
export function rowsOf(s: PartsState, word = 'row'): readonly (StripsRow & { readonly caption: string })[] {
  return [
    { row: 'main', pieces: s.lies, caption: `${word} 1` },
    ...(s.posed
      ? [{ row: 'posed', pieces: s.posed.pieces, caption: s.posed.sign === '+' ? 'to put in' : 'to take away' }]
      : []),
    ...s.others.map((pieces, i) => ({ row: String(i + 1), pieces, caption: `${word} ${i + 2}` })),
  ]
}
