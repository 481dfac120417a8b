import type { Component } from 'vue'
import {
  type Act,
  type BeadMove,
  decimalsIn,
  type Exact,
  hasMat,
  type Mode,
  packOf,
  printNumeral,
  type RepresentationId,
  type Setup,
  sign,
  type Standing,
  totals,
} from '../core/door'
import type { AbacusState } from '../core/representation/abacus/frame'
import { BLOCKS } from '../core/representation/blocks/blocks'
import { CHIPS } from '../core/representation/chips/chips'
import type { ColumnsState } from '../core/representation/columns/state'
import type { CountingState } from '../core/representation/counting/state'
import type { DrawnState } from '../core/representation/drawn/state'
import type { NinesState } from '../core/representation/nines/nines'
import type { OpenLineState } from '../core/representation/openline/openline'
import type { PlacedMaterial, PlacedState } from '../core/representation/placed/state'
import type { AreaState } from '../core/representation/area/area'
import type { CoinsState } from '../core/representation/coins/coins'
import type { DivisionState } from '../core/representation/division/state'
import type { GroupsState } from '../core/representation/groups/groups'
import type { ProductState } from '../core/representation/product/state'
import type { PlatesState } from '../core/representation/plates/state'
import type { PartsState } from '../core/representation/parts/state'
import type { LineState } from '../core/representation/line/line'
import type { SignedState } from '../core/representation/signed/state'
import type { WritingState } from '../core/representation/writing/writing'
import type { PartsWords } from './components/mats/parts/rows'
import { exchangeIn } from './utils/lit'

/** What there is to be seen of one material: at the bench, beside it, or on a board. */
export interface MatView {
  readonly id: RepresentationId
  readonly state: unknown
  /** The setup as this material sees it. */
  readonly setup: Setup
  readonly standing: Standing
  readonly mode: Mode
  /** What was guessed before the work, or null. */
  readonly guess: Exact | null
  readonly places: number
  readonly litPlaces: readonly number[]
  /** The stone picked out, what was done for it, how many there are, and whether it is the newest. */
  readonly lit: number
  readonly acts: readonly Act[]
  readonly stones: number
  readonly newest: boolean
  /** Beads to point at. */
  readonly pointed: readonly BeadMove[]
  /** Only looked at, in little room. */
  readonly small: boolean
}

/** A mat: the component that draws it, and what of the view it is given. */
export interface Mat {
  readonly component: Component
  readonly props: (view: MatView) => object
  /** How it lies: a sheet of paper in the middle of the room, or over all of it. */
  readonly lies: 'sheet' | 'wide'
  /** Where what is there stands in figures beside the drawing; nowhere, where the mat tells it itself. */
  readonly worth: 'high' | 'low' | 'none'
  /** Whether it can be seen in little room; one that cannot is told by its lines alone. */
  readonly small: boolean
}

type PropsOf<C> = C extends abstract new (...args: never) => { $props: infer P } ? P : never

/** Each mat is loaded when it is first chosen. */
const mat = <C>(
  load: () => Promise<{ default: C }>,
  props: (view: MatView) => PropsOf<C>,
  { lies = 'wide', worth = 'high', small = true }: Partial<Pick<Mat, 'lies' | 'worth' | 'small'>> = {},
): Mat => ({
  component: defineAsyncComponent(load as () => Promise<{ default: Component }>),
  props: props as (view: MatView) => object,
  lies,
  worth,
  small,
})
const does = ({ setup }: MatView, operation: '+' | '-'): boolean =>
  setup.problem.terms.some((t) => t.operation === operation)
const ones = ({ setup }: MatView): string => packOf(setup.choices.words).ones[1]
const movable = ({ mode }: MatView): boolean => mode !== 'show'

const placed = (material: PlacedMaterial): Mat =>
  mat(
    () => import('./components/mats/placed/PlacedMat.vue'),
    (v) => ({
      material,
      state: v.state as PlacedState,
      places: v.places,
      decimals: decimalsIn(v.setup.problem),
      adding: does(v, '+') && !v.small,
      taking: does(v, '-'),
      litPlaces: v.litPlaces,
      newest: v.newest,
      exchange: exchangeIn(v.acts),
      lit: v.lit,
      stones: v.stones,
      ones: ones(v),
    }),
    { worth: 'low' },
  )
const beads = (touch = false): Mat =>
  mat(
    () => import('./components/mats/beads/AbacusMat.vue'),
    (v) => ({
      state: v.state as AbacusState,
      movable: movable(v),
      litPlaces: v.litPlaces,
      newest: v.newest,
      ones: ones(v),
      digits: v.mode !== 'alone',
      touch: touch && !v.small,
      below: totals(v.setup.problem).some((t) => sign(t) < 0),
      small: v.small,
      next: v.pointed,
    }),
  )
/** What a mat is given that draws its state by the problem, and by how far it has come. */
const handled = <State>({ state, setup, standing, mode, newest }: MatView) => ({
  state: state as State,
  setup,
  standing,
  mode,
  newest,
})
/** Things counted one each: one mat, and for every material a drawing of its own. */
const counting = (draw: () => Promise<{ default: Component }>): Mat => {
  const drawing = defineAsyncComponent(draw)
  return mat(
    () => import('./components/mats/counting/CountingMat.vue'),
    (v) => ({ ...handled<CountingState>(v), drawing }),
    { small: false },
  )
}
/** Wholes and parts: one mat, and for each material a drawing of its own. */
const parted = (draw: () => Promise<{ default: Component }>, words: PartsWords): Mat => {
  const drawing = defineAsyncComponent(draw)
  return mat(
    () => import('./components/mats/parts/PartsMat.vue'),
    (v) => ({ ...handled<PartsState>(v), drawing, words }),
    { worth: 'none', small: false },
  )
}
const writing = mat(() => import('./components/mats/writing/WritingMat.vue'), handled<WritingState>)

/** Every material that has a mat. Running equations have none: they are the page. */
const MATS: Readonly<Record<Exclude<RepresentationId, 'equations'>, Mat>> = {
  blocks: placed(BLOCKS),
  chips: placed(CHIPS),
  abacus: beads(),
  'two-five': beads(),
  frame: beads(),
  'stay-put': beads(true),
  drawn: mat(
    () => import('./components/mats/drawn/DrawnMat.vue'),
    (v) => ({
      state: v.state as DrawnState,
      places: v.places,
      movable: movable(v),
      litPlaces: v.litPlaces,
      newest: v.newest,
      ones: ones(v),
    }),
  ),
  signed: mat(
    () => import('./components/mats/signed/SignedMat.vue'),
    (v) => ({
      state: v.state as SignedState,
      movable: movable(v),
      mode: v.mode,
      newest: v.newest,
      taking: v.standing.doing === '-',
    }),
    { worth: 'none', small: false },
  ),
  line: mat(
    () => import('./components/mats/line/NumberLineMat.vue'),
    (v) => ({
      state: v.state as LineState,
      setup: v.setup,
      standing: v.standing,
      mode: v.mode,
      newest: v.newest,
      guess: v.guess,
      small: v.small,
    }),
    { worth: 'none' },
  ),
  openline: mat(
    () => import('./components/mats/line/OpenLineMat.vue'),
    (v) => ({ state: v.state as OpenLineState, setup: v.setup, movable: movable(v), newest: v.newest }),
  ),
  partials: writing,
  friendly: writing,
  splits: writing,
  strips: parted(() => import('./components/mats/parts/StripsDrawing.vue'), {
    row: 'row',
    lay: 'Lay',
    set: 'Set',
    push: 'Push together',
    take: 'Take',
    recut: 'Recut',
  }),
  vessel: parted(() => import('./components/mats/parts/VesselDrawing.vue'), {
    row: 'container',
    lay: 'Pour in',
    set: 'Fill a jug with',
    push: 'Pour together',
    take: 'Pour out',
    recut: 'New level lines',
  }),
  signs: writing,
  'fraction-rule': writing,
  'nine-tricks': writing,
  fingers: counting(() => import('./components/mats/counting/HandsDrawing.vue')),
  joints: counting(() => import('./components/mats/counting/JointsDrawing.vue')),
  tallies: counting(() => import('./components/mats/counting/TalliesDrawing.vue')),
  counters: counting(() => import('./components/mats/counting/CountersDrawing.vue')),
  touch: counting(() => import('./components/mats/counting/TouchDrawing.vue')),
  plates: mat(
    () => import('./components/mats/plates/PlatesMat.vue'),
    (v) => ({
      state: v.state as PlatesState,
      movable: movable(v),
      places: v.places,
      litPlaces: v.litPlaces,
      newest: v.newest,
      ones: ones(v),
    }),
    { worth: 'none', small: false },
  ),
  nines: mat(
    () => import('./components/mats/nines/NinesMat.vue'),
    (v) => ({ state: v.state as NinesState, mode: v.mode, newest: v.newest }),
    { small: false },
  ),
  columns: mat(
    () => import('./components/mats/columns/ColumnSheet.vue'),
    (v) => ({
      state: v.state as ColumnsState,
      writable: movable(v),
      litPlaces: v.litPlaces,
      newest: v.newest,
      large: true,
      choices: v.setup.choices,
      first: printNumeral(v.setup.worked.first),
    }),
    { lies: 'sheet' },
  ),
  coins: mat(() => import('./components/mats/coins/CoinsMat.vue'), handled<CoinsState>, { worth: 'none' }),
  groups: mat(() => import('./components/mats/groups/GroupsMat.vue'), handled<GroupsState>),
  area: mat(() => import('./components/mats/area/AreaMat.vue'), handled<AreaState>, { worth: 'none' }),
  product: mat(() => import('./components/mats/product/ProductMat.vue'), handled<ProductState>, {
    lies: 'sheet',
    worth: 'none',
  }),
  division: mat(() => import('./components/mats/division/DivisionMat.vue'), handled<DivisionState>, { worth: 'none' }),
  'touch-columns': mat(
    () => import('./components/mats/columns/TouchSheet.vue'),
    (v) => ({
      state: v.state as ColumnsState,
      setup: v.setup,
      mode: v.mode,
      litPlaces: v.litPlaces,
      newest: v.newest,
      small: v.small,
    }),
    { lies: 'sheet' },
  ),
}

/** The mat of a material. */
export const matOf = (id: RepresentationId): Mat => MATS[hasMat(id) ? id : 'columns']
