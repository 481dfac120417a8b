import type { PartsState } from '../../../../core/representation/parts/state'
import type { StripsRow } from './partsLayout'

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
