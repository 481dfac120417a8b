import { countAll, countBack, countOn, countOnFromGreater, countUp, skipCount, takeAway } from './counting'
import { arrows, combineOpposites, decompose } from './arrows'
import { compensate, countBeads } from './beads'
import {
  byPlaces,
  commonParts,
  edgeToEdge,
  numberRule,
  otherNames,
  repeatedParts,
  sameParts,
  wholesApart,
} from './fractions'
import { nines } from './nines'
import { byDigit, byParts, equalGroups, splitGroups } from './products'
import { changeUp, pairsFirst, payFewest, sortAndCount, stackAndAdd } from './coins'
import { oneLess, tenLess } from './nineTricks'
import { zeroPairs } from './pairs'
import { dealRounds, fillPlates, longDivision, shareOut } from './sharing'
import { signRule } from './signRule'
import { byColumn, exchangesFirst, onesFirst } from './places'
import { apartWay, hops, hopUp, makeFriendly, overAndBack } from './whole'
import type { Way, WayId } from './way'

/** Every way. */
export const WAYS: Readonly<Record<WayId, Way>> = {
  'ones-first': onesFirst,
  'exchanges-first': exchangesFirst,
  'by-column': byColumn,
  apart: apartWay,
  hops,
  'make-friendly': makeFriendly,
  'over-and-back': overAndBack,
  'hop-up': hopUp,
  'count-all': countAll,
  'count-on': countOn,
  'count-on-from-greater': countOnFromGreater,
  'take-away': takeAway,
  'count-back': countBack,
  'count-up': countUp,
  'skip-count': skipCount,
  'share-out': shareOut,
  'deal-rounds': dealRounds,
  'fill-plates': fillPlates,
  'long-division': longDivision,
  'equal-groups': equalGroups,
  'split-groups': splitGroups,
  'by-digit': byDigit,
  'by-parts': byParts,
  'sort-and-count': sortAndCount,
  'pairs-first': pairsFirst,
  'stack-and-add': stackAndAdd,
  'pay-fewest': payFewest,
  'change-up': changeUp,
  'wholes-apart': wholesApart,
  'same-parts': sameParts,
  'common-parts': commonParts,
  'edge-to-edge': edgeToEdge,
  'other-names': otherNames,
  'repeated-parts': repeatedParts,
  'by-places': byPlaces,
  'number-rule': numberRule,
  pairs: zeroPairs,
  arrows,
  'combine-opposites': combineOpposites,
  decompose,
  'sign-rule': signRule,
  nines,
  'one-less': oneLess,
  'ten-less': tenLess,
  compensate,
  'count-beads': countBeads,
}
