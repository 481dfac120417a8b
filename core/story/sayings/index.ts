import type { SceneKind } from '../scene'
import type { SituationId } from '../situation'
import { counted } from './counted'
import { level } from './level'
import { measured } from './measured'
import { money } from './money'
import type { Saying, Sayings } from './telling'

/** The sentences of every situation, by what kind of amounts a scene has: short, plain, one thing in each, and one question. */

/** Which situations a kind of scene has, and how each is told. */
const SAYINGS: Readonly<Record<SceneKind, Sayings>> = {
  counted,
  measured: { ...counted, ...measured },
  money,
  level,
}
export const sayingFor = (kind: SceneKind, situation: SituationId): Saying | undefined => SAYINGS[kind][situation]
export { capitalized, type Said, type Telling } from './telling'
