/** The door to the cupboard: how many pieces a lesson needs, what they are like, and what to be careful about. */
export { otherMaterials, type OtherMaterial } from './instead'
export {
  kitFor,
  momentsOf,
  MOST_KIT_LEARNERS,
  MOST_KIT_PROBLEMS,
  type Kit,
  type KitItem,
  type KitWish,
  type Pack,
} from './kit'
export {
  cautionsFor,
  CYLINDER,
  fitsCylinder,
  HAND_NEEDS,
  handsSay,
  MADE_OF,
  type Caution,
  type HandNeed,
  type MadeOf,
  type Size,
  type Users,
} from './safety'
export { cuttingMinutes, pieceKind, type PieceKind } from './standins'
