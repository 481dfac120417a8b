import { introduceMaterials } from './representation/index'
import type { Representation } from './representation/representation'
import { introduceWays } from './way/index'
import type { Way } from './way/way'

/** Materials and ways that are made known together. */
export interface Introduced {
  readonly materials: readonly Representation[]
  readonly ways: readonly Way[]
}

/** Makes materials and ways known: what has not been introduced is not offered, and nothing can be worked with it. */
export function introduce({ materials, ways }: Introduced): void {
  introduceMaterials(materials)
  introduceWays(ways)
}
