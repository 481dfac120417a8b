import { REPRESENTATIONS } from '../../core/representation/index'
import { placed } from '../../core/representation/placed/placed'
import type { PlacedMaterial } from '../../core/representation/placed/state'
import type { Representation, RepresentationId } from '../../core/representation/representation'
import { exact } from '../../core/number/exact'

/** A material that is only for tests: pens singly, in dozens and in grosses. Nothing outside this file knows of it. */
const PENS: PlacedMaterial = {
  id: 'pens' as RepresentationId,
  title: 'pens',
  name: 'the pen rack',
  pieces: 'Pens',
  units: {
    worths: [exact(144), exact(12), exact(1)],
    names: { '144': ['gross', 'grosses'], '12': ['dozen', 'dozens'], '1': ['pen', 'pens'] },
  },
  decimals: 0,
  greatest: 12 * 144 - 1,
  because: 'twelve grosses have no box of their own',
  instead: ['chips'],
  sized: false,
}

export const pens = placed(PENS)
export const PENS_ID = pens.id

/** Puts the pens among the materials, as a line in the list would. */
export const withPens = (): void => void Object.assign(REPRESENTATIONS, { [PENS_ID]: pens as Representation })
