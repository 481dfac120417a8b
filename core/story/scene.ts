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
  /** Of money: how an amount is written. */
  readonly money?: MoneySigns
  /** The most of it that there can be. */
  readonly most: number
}

/** How amounts of money are written: `£1.35`, or `35p` where there is no large unit. */
export interface MoneySigns {
  readonly large: string
  readonly small: string
  /** A hundred of the small unit make one of the large. */
  readonly hundred: boolean
}

/** A level that goes up and down through nought. `#` is a number, `@` who it is of. */
export interface Level {
  /** Whether somebody stands there; or else it is the level of the place itself. */
  readonly person: boolean
  readonly unit: readonly [one: string, many: string]
  readonly zero: string
  readonly above: string
  readonly below: string
  readonly up: { readonly does: string; readonly asks: string }
  readonly down: { readonly does: string; readonly asks: string }
  readonly now: string
  readonly first: string
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
  readonly level?: Level
}

/** What kind of amounts a scene has, which decides what can happen in it. */
export type SceneKind = 'counted' | 'measured' | 'money' | 'level'
export const kindOf = ({ thing, level }: Scene): SceneKind =>
  level ? 'level' : thing.money ? 'money' : thing.measure ? 'measured' : 'counted'

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
  {
    id: 'stall',
    title: 'Money at the stall',
    thing: {
      one: 'money',
      many: 'money',
      kinds: ['coins', 'notes'],
      money: { large: '£', small: 'p', hundred: true },
      most: 1000,
    },
    where: 'in the cash box',
    comes: ['puts in', 'put in'],
    goes: ['spends', 'spend'],
    holder: ['box', 'boxes', 'in'],
    rows: false,
  },
  {
    id: 'tower',
    title: 'Steps up and down the tower',
    thing: counted('step', 'steps', ['stone', 'wooden'], 200),
    where: 'in the tower',
    comes: ['climbs', 'climb'],
    goes: ['goes down', 'go down'],
    holder: ['floor', 'floors', 'on'],
    rows: false,
    level: {
      person: true,
      unit: ['step', 'steps'],
      zero: 'on the ground',
      above: 'above the ground',
      below: 'below the ground',
      up: { does: 'climbs #', asks: 'How many steps did @ climb?' },
      down: { does: 'goes down #', asks: 'How many steps did @ go down?' },
      now: 'How many steps above or below the ground is @ now?',
      first: 'How many steps above or below the ground was @ at first?',
    },
  },
  {
    id: 'yard',
    title: 'Warmer and colder in the yard',
    thing: counted('degree', 'degrees', ['warm', 'cold'], 60),
    where: 'in the yard',
    comes: ['rises', 'rise'],
    goes: ['falls', 'fall'],
    holder: ['yard', 'yards', 'in'],
    rows: false,
    level: {
      person: false,
      unit: ['degree', 'degrees'],
      zero: 'zero degrees',
      above: 'above zero',
      below: 'below zero',
      up: { does: 'gets # warmer', asks: 'How many degrees warmer did it get?' },
      down: { does: 'gets # colder', asks: 'How many degrees colder did it get?' },
      now: 'How many degrees above or below zero is it now?',
      first: 'How many degrees above or below zero was it at first?',
    },
  },
]

/** What is bought at the stall. */
export const GOODS: readonly (readonly [one: string, many: string])[] = [
  ['lantern', 'lanterns'],
  ['candle', 'candles'],
  ['ribbon', 'ribbons'],
  ['badge', 'badges'],
  ['bell', 'bells'],
  ['wristband', 'wristbands'],
]

/** Somebody in a story. Without a pronoun the name is said again. */
export interface Person {
  readonly name: string
  readonly pronoun?: 'she' | 'he' | 'they'
}

/** The learners of our own scenario, by their code names. */
export const PEOPLE: readonly Person[] = ['Wren', 'Pip', 'Fen', 'Ash', 'Teal', 'Moth'].map((name) => ({ name }))
