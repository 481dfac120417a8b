import type { Digit } from '../../choices'

/** How a hand is drawn, the left one, palm towards the one who looks, in a box 160 wide and 240 high. The right one is its mirror image. */

/** Where a finger is rooted, how long and wide it is, and how many degrees it leans. */
export interface FingerShape {
  readonly name: Digit
  readonly x: number
  readonly y: number
  readonly length: number
  readonly width: number
  readonly lean: number
}

/** From the little finger to the thumb. */
export const FINGER_SHAPES: readonly FingerShape[] = [
  { name: 'little', x: 18, y: 118, length: 62, width: 21, lean: -14 },
  { name: 'ring', x: 45, y: 98, length: 82, width: 24, lean: -5 },
  { name: 'middle', x: 74, y: 92, length: 92, width: 25, lean: 0 },
  { name: 'index', x: 103, y: 98, length: 84, width: 24, lean: 6 },
  { name: 'thumb', x: 132, y: 150, length: 64, width: 26, lean: 46 },
]

export const PALM = 'M20 128Q22 108 60 104Q112 100 124 122Q142 150 128 196Q118 236 74 238Q28 238 20 196Z'
