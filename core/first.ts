import type { Introduced } from './introduce'
import { blocks } from './representation/blocks/blocks'
import { chips } from './representation/chips/chips'
import { columns, touchColumns } from './representation/columns/columns'
import { equations } from './representation/equations/equations'
import type { Representation } from './representation/representation'
import { byColumn, exchangesFirst, onesFirst } from './way/places'

/**
 * What a Bench opens with: enough for the first problem to be worked at once. The rest (`whole.ts`) is fetched when it is wanted, so
 * that a further material costs the first load nothing.
 */
export const FIRST: Introduced = {
  materials: [blocks, chips, columns, touchColumns, equations] as readonly Representation[],
  ways: [onesFirst, exchangesFirst, byColumn],
}
