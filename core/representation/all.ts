import type { RepresentationId } from '../materials'
import { abacus, beadFrame, stayPut, twoFive } from './abacus/abacus'
import { area } from './area/area'
import { blocks } from './blocks/blocks'
import { chips } from './chips/chips'
import { coins } from './coins/coins'
import { columns, touchColumns } from './columns/columns'
import { counters } from './counters/counters'
import { division } from './division/division'
import { drawn } from './drawn/drawn'
import { equations } from './equations/equations'
import { fingers } from './fingers/fingers'
import { line } from './line/line'
import { nines } from './nines/nines'
import { openline } from './openline/openline'
import { groups } from './groups/groups'
import { joints } from './joints/joints'
import { signed } from './signed/signed'
import { strips } from './strips/strips'
import { tallies } from './tallies/tallies'
import { product } from './product/product'
import { plates } from './plates/plates'
import { touch } from './touch/touch'
import { vessel } from './vessel/vessel'
import { friendly, partials, splits } from './writing/pages'
import { nineTricks } from './writing/nineTricks'
import { rule } from './writing/rule'
import { signs } from './writing/signs'
import type { Representation } from './representation'

/** Every material. One without its line here does not compile. */
export const MATERIALS: Readonly<Record<RepresentationId, Representation>> = {
  blocks: blocks as Representation,
  chips: chips as Representation,
  drawn: drawn as Representation,
  fingers: fingers as Representation,
  nines: nines as Representation,
  counters: counters as Representation,
  signed: signed as Representation,
  tallies: tallies as Representation,
  plates: plates as Representation,
  groups: groups as Representation,
  area: area as Representation,
  coins: coins as Representation,
  strips: strips as Representation,
  vessel: vessel as Representation,
  joints: joints as Representation,
  touch: touch as Representation,
  'touch-columns': touchColumns as Representation,
  columns: columns as Representation,
  product: product as Representation,
  division: division as Representation,
  line: line as Representation,
  openline: openline as Representation,
  partials: partials as Representation,
  friendly: friendly as Representation,
  splits: splits as Representation,
  'nine-tricks': nineTricks as Representation,
  'fraction-rule': rule as Representation,
  signs: signs as Representation,
  abacus: abacus as Representation,
  'two-five': twoFive as Representation,
  frame: beadFrame as Representation,
  'stay-put': stayPut as Representation,
  equations: equations as Representation,
}
