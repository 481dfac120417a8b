import { exact, type Exact } from '../../core/index'
import { between, seeded } from '../../core/course/random'
import {
  completed,
  firstOf,
  kindOf,
  SCENES,
  SITUATIONS,
  toldOf,
  whyNotIn,
  type Amounts,
  type Told,
  type Cell,
  type Scene,
} from '../../core/story/index'

/** Amounts that belong together, for every situation and kind of number, and where each is told at all. */

export type Kind = 'small' | 'to a hundred' | 'hundreds' | 'decimals' | 'prices'
const MOST = { small: 9, 'to a hundred': 60, hundreds: 400, decimals: 60, prices: 900 }
const AS = { small: 1, 'to a hundred': 1, hundreds: 1, decimals: 10, prices: 100 }

/** Three amounts that belong together; of two steps those of the first besides. */
export function amountsFor(cell: Cell, kind: Kind, seed: number): Told {
  const random = seeded(seed)
  const n = (low = 1): number => between(random, low, MOST[kind])
  const amount = (k: number): Exact => exact(`${k}/${AS[kind]}`)
  const product = (): [number: number, size: number] => [between(random, 2, kind === 'small' ? 5 : 12), n()]
  const [x, y] = [n(), n()]
  if (cell.after) {
    const [number, size] = product()
    const makes = { 'add-to': x + y, together: x + y, 'take-from': x, groups: number * size }[cell.after as 'groups']
    const before: Amounts = {
      'add-to': { start: amount(x), change: amount(y), result: amount(makes) },
      together: { first: amount(x), second: amount(y), whole: amount(makes) },
      'take-from': { start: amount(x + y), change: amount(y), result: amount(makes) },
      groups: { number: exact(number), size: amount(size), product: amount(makes) },
    }[cell.after as 'groups']
    const other = n()
    const whole = makes + other
    if (cell.situation === 'enough') {
      const there = between(random, 1, makes * 2)
      return { before, roles: { there: amount(there), wanted: amount(makes), over: amount(there - makes) } }
    }
    return cell.situation === 'add-to'
      ? { before, roles: { start: amount(makes), change: amount(other), result: amount(whole) } }
      : { before, roles: { start: amount(makes), change: amount(between(random, 1, makes)), result: '' as Exact } }
  }
  const roles = (c: number, a = x, b = y): Amounts => {
    const [one, two, three] = SITUATIONS[cell.situation].roles
    return { [one]: amount(a), [two]: amount(b), [three]: amount(c) }
  }
  switch (cell.situation) {
    case 'take-from':
      return { roles: roles(y, x + y, x) }
    case 'enough':
      return { roles: roles(x - y) }
    case 'rise':
      return { roles: roles(x - y - 5, -y - 5, x) }
    case 'fall':
      return { roles: roles(x - y, x, y) }
    case 'part': {
      const of = between(random, 2, 12)
      const taken = between(random, 1, of - 1)
      const share = exact(`${taken}/${of}`)
      const [a, b] = [amount(of * x), amount(taken * x)]
      return { roles: { whole: a, share, part: b } }
    }
    default: {
      if (SITUATIONS[cell.situation].sign === '+') return { roles: roles(x + y) }
      const [number, size] = product()
      const [one, two, three] = SITUATIONS[cell.situation].roles
      return { roles: { [one]: exact(number), [two]: amount(size), [three]: amount(number * size) } }
    }
  }
}
export const nameOf = ({ situation, unknown, wording, after }: Cell): string =>
  `${after ? `${after}, then ` : ''}${situation}, ${unknown} asked ${wording ?? ''}`.trim()
export const kindsFor = (scene: Scene): readonly Kind[] =>
  ({
    counted: ['small', 'to a hundred', 'hundreds'] as const,
    measured: ['small', 'decimals'] as const,
    money: ['small', 'prices'] as const,
    level: ['small'] as const,
  })[kindOf(scene)]
/** The amounts that are told, each step by itself. */
export function knownOf(cell: Cell, { roles, before }: Told): Told {
  const first = firstOf(cell)
  const pick = (of: Cell, from: Amounts): Amounts => Object.fromEntries(toldOf(of).map((r) => [r, from[r]!]))
  return { roles: pick(cell, roles), ...(first && before ? { before: pick(first, before) } : {}) }
}
/** Scenes in which a kind of story is told at all. */
export const scenesOf = (cell: Cell): readonly Scene[] =>
  SCENES.filter((scene) =>
    kindsFor(scene).some((kind) =>
      Array.from({ length: 10 }, (_, seed) => completeTold(cell, amountsFor(cell, kind, seed))).some(
        (told) => whyNotIn(cell, told, scene) === '',
      ),
    ),
  )
export const completeTold = (cell: Cell, told: Told): Told => ({
  ...told,
  roles: cell.unknown === 'both' ? { whole: told.roles.whole! } : completed(cell, told.roles),
})
