import { asNumber, exact, parts as inParts, subtract, type Exact } from '../number/exact'
import { firstOf, handedOn, printAmount, type Amounts, type Cell, type Role } from './situation'
import type { Told } from './asked'

/** The bars of a story: amounts as lengths, at one scale, so that what is asked can be seen as a part, a whole or a difference. */

export interface BarPart {
  /** Where it begins and ends, as shares of the longest bar. */
  readonly from: number
  readonly to: number
  /** What stands in it: a number, `?` for what is asked, nothing in repeated parts. */
  readonly text: string
  readonly asked: boolean
  /** Not there itself: what one bar lacks of the other. */
  readonly gap: boolean
}
export interface Bar {
  /** Whose or what it is, where there are two. */
  readonly name: string
  readonly parts: readonly BarPart[]
  /** What the whole bar is, written over it; empty where its one part says so. */
  readonly over: string
  readonly overAsked: boolean
  /** Where nought is, in bars of a level that goes below it. */
  readonly nought?: number
}

/** What bars are drawn of: a kind of story with its amounts, and whose they are. */
export interface Barred extends Told {
  readonly cell: Cell
  readonly people: readonly { readonly name: string }[]
}

/** More equal parts than this are not drawn one by one. */
const MOST_PARTS = 24
/** What stands for the amount that the first of two steps makes, in its own bars and in those of the second. */
export const MADE_FIRST = '①'

/** The bars of each step, one after the other. */
export function barsOfSteps(story: Barred): readonly (readonly Bar[])[] {
  const first = firstOf(story.cell)
  return first && story.before
    ? [barsOf({ cell: first, roles: story.before, people: story.people }, first.unknown), barsOf(story)]
    : [barsOf(story)]
}

/** @throws nothing: where both parts are asked, the whole is parted in the middle, with a question mark in each. */
export function barsOf({ cell, roles, people }: Barred, made?: Cell['unknown']): readonly Bar[] {
  const handed = made ?? (cell.after ? handedOn(cell) : undefined)
  const asked = (role: Role): boolean => role === cell.unknown || (cell.unknown === 'both' && role !== 'whole')
  const text = (role: Role): string =>
    role === handed ? MADE_FIRST : asked(role) || roles[role] === undefined ? '?' : printAmount(role, roles[role])
  const size = (role: Role): number => asNumber(roles[role] ?? exact(1))
  const part = (role: Role, from: number, to: number, gap = false): BarPart => ({
    from,
    to,
    text: text(role),
    asked: asked(role),
    gap,
  })
  const plain = (name: string, parts: readonly BarPart[]): Bar => ({ name, parts, over: '', overAsked: false })
  const under = (role: Role, parts: readonly BarPart[], name = ''): Bar => ({
    name,
    parts,
    over: text(role),
    overAsked: asked(role),
  })
  const parted = (first: Role, second: Role, whole: Role): readonly Bar[] => {
    const at = cell.unknown === 'both' ? 0.5 : size(first) / size(whole)
    return [under(whole, [part(first, 0, at), part(second, at, 1)])]
  }
  const [one = '', other = ''] = people.map((p) => p.name)
  switch (cell.situation) {
    case 'add-to':
      return parted('start', 'change', 'result')
    case 'take-from':
      return parted('result', 'change', 'start')
    case 'together':
      return parted('first', 'second', 'whole')
    case 'compare': {
      const at = size('lesser') / size('greater')
      return [
        plain(one, [part('lesser', 0, at), part('difference', at, 1, true)]),
        plain(other, [part('greater', 0, 1)]),
      ]
    }
    case 'enough': {
      const [there, wanted] = [size('there'), size('wanted')]
      const most = Math.max(there, wanted)
      const lacks = (role: Role): readonly BarPart[] => {
        const at = size(role) / most
        return at < 1 ? [part(role, 0, at), part('over', at, 1, true)] : [part(role, 0, 1)]
      }
      const bars = [plain('there', lacks('there')), plain('wanted', lacks('wanted'))]
      // Where just as many are there as are wanted, what is asked is said all the same.
      return there === wanted ? [bars[0]!, { ...bars[1]!, over: text('over'), overAsked: true }] : bars
    }
    case 'groups':
    case 'array':
      return [under('product', equal(size('number'), text('size'), asked('size'), asked('number')))]
    case 'times': {
      const n = size('number')
      return [plain(one, [part('lesser', 0, 1 / n)]), under('greater', equal(n, '', false, asked('number')), other)]
    }
    case 'part': {
      const { numerator, denominator } = inParts(roles.share ?? exact('1/2'))
      const [parts, of] = [Number(numerator), Number(denominator)]
      const at = parts / of
      const whole = cell.unknown === 'share' || of > MOST_PARTS ? [part('share', 0, at), rest(at)] : pieces(parts, of)
      return [under('whole', whole), plain('', [part('part', 0, at), rest(at)])]
    }
    case 'rise':
    case 'fall':
      return levels(roles, text, asked)
  }
}

/** What is left of a whole beside a part of it. */
const rest = (from: number): BarPart => ({ from, to: 1, text: '', asked: false, gap: true })
/** A whole cut into equal parts, of which some are taken. */
const pieces = (taken: number, of: number): readonly BarPart[] =>
  Array.from({ length: of }, (_, i) => ({
    from: i / of,
    to: (i + 1) / of,
    text: '',
    asked: false,
    gap: i >= taken,
  }))

/** So many equal parts, the first with its number; where it is asked how many there are, only the first and a gap for the others. */
function equal(count: number, text: string, asked: boolean, howMany: boolean): readonly BarPart[] {
  const share = 1 / count
  const first: BarPart = { from: 0, to: share, text, asked, gap: false }
  if (howMany || count > MOST_PARTS)
    return [first, { from: share, to: 1, text: howMany ? '? in all' : `${count} in all`, asked: howMany, gap: true }]
  return Array.from({ length: count }, (_, i) => ({
    ...first,
    from: i * share,
    to: (i + 1) * share,
    text: i === 0 ? text : '',
  }))
}

/** A level at first and now, each from nought, and between them how far it went. */
function levels(roles: Amounts, text: (role: Role) => string, asked: (role: Role) => boolean): readonly Bar[] {
  const [start, now] = [roles.start ?? exact(0), roles.result ?? exact(0)]
  const ends = [0, asNumber(start), asNumber(now)]
  const [low, high] = [Math.min(...ends), Math.max(...ends)]
  const at = (x: Exact): number => (asNumber(x) - low) / (high - low)
  const nought = at(exact(0))
  const bar = (name: string, role: Role, a: number, b: number, gap: boolean): Bar => ({
    name,
    parts: [{ from: Math.min(a, b), to: Math.max(a, b), text: text(role), asked: asked(role), gap }],
    over: '',
    overAsked: false,
    nought,
  })
  const up = !subtract(now, start).startsWith('-')
  return [
    bar('at first', 'start', nought, at(start), false),
    bar(up ? 'up' : 'down', 'change', at(start), at(now), true),
    bar('now', 'result', nought, at(now), false),
  ]
}
