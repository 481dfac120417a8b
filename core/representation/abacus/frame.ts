import type { BeadMove, OweMove } from '../../act/beads'
import type { AbacusChoices } from '../../choices'
import { exact, multiply, subtract, type Exact } from '../../number/exact'
import { isPlace, placeName, unitOf, worth, type Place } from '../../number/places'
import { Refusal } from '../../refusal'

/** The beads of one rod that stand at the bar, where they count: an upper one five, a lower one one. */
export interface Rod {
  readonly upper: number
  readonly lower: number
}

/** How many beads a rod of some kind of frame has, above and below the bar. */
export interface Beads {
  readonly upper: number
  readonly lower: number
}

export interface AbacusState {
  readonly beads: Beads
  /** From the lowest place up: the unit rod stands at index `decimals`. */
  readonly rods: readonly Rod[]
  readonly decimals: number
  /** The index of the rod beyond the highest one that is worked; what is borrowed is borrowed from there. */
  readonly beyond: number
  /** Ones of that rod that were borrowed although they are not there. */
  readonly owed: number
  readonly style: Style
  /** What the frame was last read as; null when it has not been read. */
  readonly read: Exact | null
}

/** What a class has chosen that changes how beads are moved. */
export type Style = Pick<AbacusChoices, 'order' | 'first' | 'hands'> & {
  /** Beads are counted one by one, and a rod that is full is exchanged. */
  readonly counting: boolean
}

export type AbacusMove = BeadMove | OweMove | { readonly kind: 'read'; readonly value: Exact | null }

/** What a rod shows, in its own place. */
export const digitOn = (rod: Rod): number => 5 * rod.upper + rod.lower

/** What each rod shows, the lowest place first. */
export const digitsOn = (s: AbacusState): readonly number[] => s.rods.map(digitOn)

/** What the frame is worth, with what is owed taken off. */
export function shows(s: AbacusState): Exact {
  const beads = worth(digitsOn(s), s.decimals)
  return s.owed === 0 ? beads : subtract(beads, multiply(exact(s.owed), unitOf(s.beyond - s.decimals)))
}

/** A rod of this frame that shows a digit, as it is set: an upper bead for five where there is one. */
export function setting(digit: number, beads: Beads): Rod {
  const upper = beads.upper > 0 && digit >= 5 ? 1 : 0
  return { upper, lower: digit - 5 * upper }
}

/** How many beads a movement takes on each side of the bar; negative where they go away from it. */
export function slide(move: BeadMove): Rod {
  const way = move.to === 'bar' ? 1 : -1
  return {
    upper: move.bead === 'lower' ? 0 : way * (move.bead === 'pinch' ? 1 : move.count),
    lower: move.bead === 'upper' ? 0 : way * move.count,
  }
}

const WORD = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']
const beadsInWords = (n: number, side: string): string => `${WORD[n] ?? n} ${side} bead${n === 1 ? '' : 's'}`

/** Whether a rod can take a movement. @throws Refusal that says how many beads there are. */
function moved(s: AbacusState, rod: Rod, move: BeadMove): Rod {
  const by = slide(move)
  const next = { upper: rod.upper + by.upper, lower: rod.lower + by.lower }
  for (const side of ['upper', 'lower'] as const) {
    const has = s.beads[side]
    if (next[side] >= 0 && next[side] <= has) continue
    const rodName = `the ${placeName(move.rod)} rod`
    const [there, where] = move.to === 'bar' ? [has - rod[side], 'away from the bar'] : [rod[side], 'at the bar']
    if (has === 0) throw new Refusal(`${rodName.replace('the', 'The')} has no ${side} beads.`)
    throw new Refusal(
      `There ${there === 1 ? 'is' : 'are'} ${there === 0 ? 'no' : `only ${WORD[there]}`} ${side} bead${there === 1 ? '' : 's'} ${where} on ${rodName}; ${Math.abs(by[side])} ${Math.abs(by[side]) === 1 ? 'is' : 'are'} wanted.`,
      move.to === 'bar' ? `A rod of this frame has ${beadsInWords(has, side)}.` : '',
    )
  }
  return next
}

/** The frame after a move. @throws Refusal where beads cannot move so. */
export function apply(s: AbacusState, move: AbacusMove): AbacusState {
  if (move.kind === 'read') return { ...s, read: move.value }
  if (move.kind === 'owe') {
    if (s.owed + move.count < 0) throw new Refusal('Nothing is owed: there is nothing to give back.')
    if (s.owed + move.count > 9) throw new Refusal('No more than nine can be owed.')
    return { ...s, owed: s.owed + move.count }
  }
  const index = move.rod + s.decimals
  const rod = s.rods[index]
  if (!rod)
    throw new Refusal(
      `This frame has no ${isPlace(move.rod) ? placeName(move.rod, 1) : 'such'} rod.`,
      `Its rods go from ${placeName(-s.decimals)} to ${placeName(s.rods.length - 1 - s.decimals)}.`,
    )
  const after = moved(s, rod, move)
  return { ...s, rods: s.rods.map((r, i) => (i === index ? after : r)) }
}

export const sameRod = (a: Rod, b: Rod): boolean => a.upper === b.upper && a.lower === b.lower

/** Whether two frames have the same beads at the bar, and owe the same. */
export const sameBeads = (a: AbacusState, b: AbacusState): boolean =>
  a.owed === b.owed && a.rods.every((r, i) => sameRod(r, b.rods[i]!))

/**
 * The movement that a push on one bead makes: it takes along every bead between it and where it goes. Beads are numbered
 * from the bar outwards, from 0.
 */
export function push(s: AbacusState, rod: Place, bead: 'upper' | 'lower', nth: number): BeadMove {
  const at = s.rods[rod + s.decimals]?.[bead] ?? 0
  const [to, count] = nth >= at ? (['bar', nth - at + 1] as const) : (['away', at - nth] as const)
  return { kind: 'beads', rod, bead, count, to, hand: null, finger: null }
}
