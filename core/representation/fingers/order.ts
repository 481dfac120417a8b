import type { Choices, Digit, Finger } from '../../choices'

const FROM_LITTLE: readonly Digit[] = ['little', 'ring', 'middle', 'index', 'thumb']
const ORDERS: Readonly<Record<Choices['firstFinger'], readonly Digit[]>> = {
  little: FROM_LITTLE,
  thumb: [...FROM_LITTLE].reverse(),
  index: ['index', 'middle', 'ring', 'little', 'thumb'],
}

/**
 * The fingers in the order in which they rise, those that are away left out (practice: the left little finger is one
 * unless the class says otherwise). From the little finger one counts straight on across both thumbs.
 */
export function risingOrder(choices: Choices): readonly Finger[] {
  const [first, second] = choices.firstHand === 'left' ? (['left', 'right'] as const) : (['right', 'left'] as const)
  const across = choices.firstFinger === 'little' ? ORDERS.thumb : ORDERS[choices.firstFinger]
  const all = [
    ...ORDERS[choices.firstFinger].map((d): Finger => `${first}-${d}`),
    ...across.map((d): Finger => `${second}-${d}`),
  ]
  return all.filter((f) => !choices.away.includes(f))
}
