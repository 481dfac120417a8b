import type { Introduced } from './introduce'
import { MATERIALS } from './representation/all'
import { WAYS } from './way/all'

/** All that Sett knows. A browser fetches it when a hand first touches the page; what a Bench opens with is in `first.ts`. */
export const WHOLE: Introduced = { materials: Object.values(MATERIALS), ways: Object.values(WAYS) }
