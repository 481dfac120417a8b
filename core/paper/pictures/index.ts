import { asNumber, toCount } from '../../number/exact'
import { valueOf } from '../../number/numeral'
import type { RepresentationId } from '../../materials'
import type { Setup } from '../../plan/setup'
import { totals } from '../../problem/problem'
import type { AbacusState } from '../../representation/abacus/frame'
import type { AreaState } from '../../representation/area/area'
import { BLOCKS } from '../../representation/blocks/blocks'
import { CHIPS } from '../../representation/chips/chips'
import type { CoinsState } from '../../representation/coins/coins'
import type { ColumnsState } from '../../representation/columns/state'
import type { CountingState } from '../../representation/counting/state'
import type { DivisionState } from '../../representation/division/state'
import type { DrawnState } from '../../representation/drawn/state'
import type { GroupsState } from '../../representation/groups/groups'
import { points, type LineState } from '../../representation/line/line'
import type { NinesState } from '../../representation/nines/nines'
import type { OpenLineState } from '../../representation/openline/openline'
import type { PartsState } from '../../representation/parts/state'
import type { PlacedState } from '../../representation/placed/state'
import type { PlatesState } from '../../representation/plates/state'
import type { ProductState } from '../../representation/product/state'
import type { SignedState } from '../../representation/signed/state'
import type { Picture } from '../drawing'
import { countersPicture, fingersPicture, jointsPicture, ninesPicture, talliesPicture, touchPicture } from './hands'
import { linePicture, openLinePicture, reaches, rulingParts, stripsPicture, vesselPicture } from './measures'
import { beadsPicture, coinsPicture, groupsPicture, signedPicture } from './pieces'
import { drawnPicture, placedPicture, platesPicture } from './placed'
import { areaPicture, columnsPicture, divisionPicture, productPicture } from './sheets'

type Draw = (state: never, setup: Setup) => Picture
const draw = <S>(picture: (state: S, setup: Setup) => Picture): Draw => picture as Draw

const columns = draw<ColumnsState>((s, { choices }) => columnsPicture(s, choices))
const beads = draw<AbacusState>((s) => beadsPicture(s, true))
/** The digits that are touched and counted, in order. */
const digitsOf = ({ problem }: Setup): readonly number[] =>
  [problem.first, ...problem.terms.map((t) => t.number)].flatMap((n) => Array.from(String(toCount(valueOf(n))), Number))
const placesOf = ({ worked }: Setup): number =>
  Math.max(1, ...totals(worked).map((t) => String(Math.trunc(Math.abs(asNumber(t)))).length))

/** How each material's mat is drawn on paper. What is written in lines only has no picture: its lines stand there anyway. */
const PICTURES: Readonly<Partial<Record<RepresentationId, Draw>>> = {
  blocks: draw<PlacedState>((s, setup) => placedPicture(BLOCKS, s, placesOf(setup))),
  chips: draw<PlacedState>((s, setup) => placedPicture(CHIPS, s, placesOf(setup))),
  drawn: draw<DrawnState>(drawnPicture),
  fingers: draw<CountingState>((s, { choices }) => fingersPicture(s, choices)),
  nines: draw<NinesState>((s) => ninesPicture(s.folded)),
  counters: draw<CountingState>(countersPicture),
  signed: draw<SignedState>(signedPicture),
  tallies: draw<CountingState>(talliesPicture),
  plates: draw<PlatesState>(platesPicture),
  groups: draw<GroupsState>(groupsPicture),
  area: draw<AreaState>(areaPicture),
  coins: draw<CoinsState>((s, { choices }) => coinsPicture(s, choices.money)),
  strips: draw<PartsState>(stripsPicture),
  vessel: draw<PartsState>(vesselPicture),
  joints: draw<CountingState>((s, { choices }) => jointsPicture(s, choices)),
  touch: draw<CountingState>((s, setup) => touchPicture(s, digitsOf(setup))),
  'touch-columns': columns,
  columns,
  product: draw<ProductState>((s) => productPicture(s)),
  division: draw<DivisionState>((s) => divisionPicture(s)),
  line: draw<LineState>((s, setup) => {
    const numbers = reaches(setup, points(s))
    return linePicture(s, numbers, rulingParts(numbers, setup.choices))
  }),
  openline: draw<OpenLineState>(openLinePicture),
  abacus: beads,
  'two-five': beads,
  frame: beads,
  'stay-put': beads,
}

/** A material as it stands, as a picture on paper; null where it is written in lines only. */
export const pictureOf = (setup: Setup, id: RepresentationId, state: unknown): Picture | null =>
  PICTURES[id]?.(state as never, setup) ?? null
export { feltPictureOf } from './feltMats'
