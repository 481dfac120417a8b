import { REPRESENTATIONS } from '../../core/representation/index'
import type { RepresentationId } from '../../core/representation/representation'

/** Materials of which there is one. */
const ONE: readonly RepresentationId[] = ['columns', 'openline', 'splits', 'abacus', 'two-five', 'frame', 'stay-put']

/** A material within a sentence: “chips”, but “the abacus”. */
export const materialName = (id: RepresentationId): string =>
  `${ONE.includes(id) ? 'the ' : ''}${REPRESENTATIONS[id].title}`
