import { JSONParser } from '@streamparser/json'
import { BROKEN_JSON, NO_CONTENT, refuse } from './problem'

/** So many bytes are read at once, in a millisecond or two. */
const PIECE = 16_384

/** A thing of a file's list, and how many bytes of the file have been read with it. */
interface Found {
  readonly thing: unknown
  readonly read: number
}

/**
 * The things of a file's list, found while its bytes are read, so that a long file is never in memory as a whole; what has been read is let
 * go of. Whatever else stands in the file is put into `head`, the list itself as an empty one. Refuses what is no JSON.
 */
export function* thingsIn(chunks: Buffer[], list: string, head: Record<string, unknown>): Generator<Found> {
  let things: unknown[] = []
  let read = 0
  const parser = new JSONParser({ paths: ['$.*', `$.${list}.*`], keepStack: false })
  parser.onValue = ({ value, key, stack, parent }) => {
    if (stack.length > 1) {
      things.push(value)
      // The parser would hold all of the list until its end.
      if (Array.isArray(parent)) parent.length = 0
    } else if (typeof key === 'string') head[key] = key === list && Array.isArray(value) ? [] : value
  }
  for (let chunk = chunks.shift(); chunk !== undefined; chunk = chunks.shift())
    for (let at = 0; at < chunk.length; at += PIECE) {
      const piece = chunk.subarray(at, at + PIECE)
      try {
        parser.write(piece)
      } catch {
        refuse(400, BROKEN_JSON)
      }
      read += piece.length
      for (const thing of things) yield { thing, read }
      things = []
    }
  if (read === 0) refuse(400, NO_CONTENT)
  if (!parser.isEnded) refuse(400, BROKEN_JSON)
}
