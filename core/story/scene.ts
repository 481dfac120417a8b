/** Where stories take place: what there is, how many of it there can be, and what people do with it. The scenes are Sett's own. */

/** Something that is counted, or measured in a unit. */
export interface Thing {
  /** One and several of it: “lantern”, “lanterns”; of something measured both are the same: “cm of ribbon”. */
  readonly one: string
  readonly many: string
  /** Two kinds that it comes in, for the two parts of a whole. */
  readonly kinds: readonly [string, string]
  /** Of something measured: its unit, and what it is. Of what is counted there are only whole ones. */
  readonly measure?: { readonly unit: string; readonly stuff: string }
  /** The most of it that there can be. */
  readonly most: number
}

/** What happens to it: as somebody does it, and as one asks about it: “hangs up”, “hang up”. */
export type Doing = readonly [does: string, did: string]

export interface Scene {
  readonly id: string
  readonly title: string
  readonly thing: Thing
  /** Where it is: “on the line”. */
  readonly where: string
  readonly comes: Doing
  readonly goes: Doing
  /** What it is held in where there are several: “box”, “boxes”, “in”; what lies in rows has rows. */
  readonly holder: readonly [one: string, many: string, within: string]
  readonly rows: boolean
}

const counted = (one: string, many: string, kinds: readonly [string, string], most: number): Thing => ({
  one,
  many,
  kinds,
  most,
})

export const SCENES: readonly Scene[] = [
  {
    id: 'lanterns',
    title: 'Lanterns on the line',
    thing: counted('lantern', 'lanterns', ['red', 'yellow'], 1000),
    where: 'on the line',
    comes: ['hangs up', 'hang up'],
    goes: ['takes down', 'take down'],
    holder: ['line', 'lines', 'on'],
    rows: true,
  },
  {
    id: 'beads',
    title: 'Beads on a lantern string',
    thing: counted('bead', 'beads', ['round', 'long'], 2000),
    where: 'on the string',
    comes: ['threads', 'thread'],
    goes: ['slides off', 'slide off'],
    holder: ['string', 'strings', 'on'],
    rows: false,
  },
  {
    id: 'tea-lights',
    title: 'Tea-lights in their boxes',
    thing: counted('tea-light', 'tea-lights', ['warm', 'white'], 2000),
    where: 'in the box',
    comes: ['puts in', 'put in'],
    goes: ['takes out', 'take out'],
    holder: ['box', 'boxes', 'in'],
    rows: true,
  },
  {
    id: 'tokens',
    title: 'Tokens at the stall',
    thing: counted('token', 'tokens', ['large', 'small'], 10_000),
    where: 'in the tin',
    comes: ['drops in', 'drop in'],
    goes: ['pays out', 'pay out'],
    holder: ['tin', 'tins', 'in'],
    rows: false,
  },
  {
    id: 'reeds',
    title: 'Reeds for the frames',
    thing: counted('reed', 'reeds', ['green', 'dry'], 1000),
    where: 'in the bucket',
    comes: ['brings', 'bring'],
    goes: ['uses', 'use'],
    holder: ['bundle', 'bundles', 'in'],
    rows: true,
  },
  {
    id: 'ribbon',
    title: 'Ribbon on the roll',
    thing: {
      one: 'cm of ribbon',
      many: 'cm of ribbon',
      kinds: ['blue', 'silver'],
      measure: { unit: 'cm', stuff: 'ribbon' },
      most: 5000,
    },
    where: 'on the roll',
    comes: ['winds on', 'wind on'],
    goes: ['cuts off', 'cut off'],
    holder: ['roll', 'rolls', 'on'],
    rows: false,
  },
]

/** The learners of our own scenario, by their code names. */
export const PEOPLE = ['Wren', 'Pip', 'Fen', 'Ash', 'Teal', 'Moth'] as const
