import { marksOf, type JointMarks } from '../../choices'

/** How an open hand with marks inside its fingers is drawn, in a box 420 wide and 380 high whose top is at −18. */

export const JOINT_FINGERS = [
  { x: 92, y: 168, length: 104, lean: -16 },
  { x: 142, y: 138, length: 126, lean: -6 },
  { x: 196, y: 130, length: 136, lean: 0 },
  { x: 250, y: 140, length: 124, lean: 7 },
  { x: 306, y: 214, length: 104, lean: 46 },
] as const
export const JOINT_PALM = 'M72 190Q74 150 120 148L270 150Q300 170 304 216Q300 300 262 344L118 344Q70 296 72 190Z'

/** Marks from the tip down, finger after finger: which finger (`i`), and how far above its root. */
export const jointSpots = (
  joints: JointMarks,
): readonly { readonly n: number; readonly i: number; readonly y: number }[] =>
  marksOf(joints).flatMap((count, i, all) => {
    const before = all.slice(0, i).reduce((sum, n) => sum + n, 0)
    const { length } = JOINT_FINGERS[i]!
    return Array.from({ length: count }, (_, j) => ({
      n: before + j,
      i,
      y: -length + 20 + (j * (length - 8)) / Math.max(1, count - 0.2),
    }))
  })
