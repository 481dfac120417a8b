import { asNumber, exact } from '../number/exact'
import { printExact } from '../number/numeral'
import type { Story } from './tell'
import type { Role } from './situation'

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
}

/** More equal parts than this are not drawn one by one. */
const MOST_PARTS = 24

/** @throws nothing: where both parts are asked, the whole is parted in the middle, with a question mark in each. */
export function barsOf(story: Pick<Story, 'cell' | 'roles' | 'people'>): readonly Bar[] {
  const { cell, roles, people } = story
  const asked = (role: Role): boolean => role === cell.unknown || (cell.unknown === 'both' && role !== 'whole')
  const text = (role: Role): string => (asked(role) ? '?' : printExact(roles[role]!))
  const size = (role: Role): number => asNumber(roles[role] ?? exact(1))
  const part = (role: Role, from: number, to: number, gap = false): BarPart => ({
    from,
    to,
    text: text(role),
    asked: asked(role),
    gap,
  })
  const parted = (first: Role, second: Role, whole: Role): readonly Bar[] => {
    const at = cell.unknown === 'both' ? 0.5 : size(first) / size(whole)
    return [{ name: '', parts: [part(first, 0, at), part(second, at, 1)], over: text(whole), overAsked: asked(whole) }]
  }
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
        {
          name: people[0],
          parts: [part('lesser', 0, at), part('difference', at, 1, true)],
          over: '',
          overAsked: false,
        },
        { name: people[1], parts: [part('greater', 0, 1)], over: '', overAsked: false },
      ]
    }
    case 'groups':
    case 'array':
      return [
        {
          name: '',
          parts: equal(size('number'), text('size'), asked('size'), asked('number')),
          over: text('product'),
          overAsked: asked('product'),
        },
      ]
    case 'times': {
      const n = size('number')
      return [
        { name: people[0], parts: [part('lesser', 0, 1 / n)], over: '', overAsked: false },
        {
          name: people[1],
          parts: equal(n, '', false, asked('number')),
          over: text('greater'),
          overAsked: asked('greater'),
        },
      ]
    }
  }
}

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
