import type { BeadRule, Direction } from '../act/beads'
import { isBeads, isDigit, parseItem, ruleFor } from './items'
import { cardsOf, type Answer } from './schedule'

/** One digit on one setting: how it goes, and how it has gone. */
export interface Cell {
  readonly shown: number
  readonly digit: number
  readonly way: Direction
  readonly rule: BeadRule
  /** How often it was answered, and how often rightly. */
  readonly tries: number
  readonly right: number
  /** The last answers, the newest last, at most five. */
  readonly last: readonly boolean[]
  /** `new`; `missed` where the last answer was wrong; `due` where it is time again; `sure` until then. */
  readonly state: 'new' | 'missed' | 'due' | 'sure'
}

/** The results by digit (rows, 1 to 9) and rod setting (columns, 0 to 9), of whatever was asked of them. */
export function grid(answers: readonly Answer[], way: Direction, now: number): readonly (readonly Cell[])[] {
  const cards = cardsOf(answers)
  const byCell = new Map<string, Answer[]>()
  for (const a of answers) {
    if (!isBeads(a.item)) continue
    const item = parseItem(a.item)
    if (!isDigit(item) || item.way !== way) continue
    const key = `${item.digit} ${item.shown}`
    const own = byCell.get(key)
    if (own) own.push(a)
    else byCell.set(key, [a])
  }
  return Array.from({ length: 9 }, (_, d) =>
    Array.from({ length: 10 }, (_, shown): Cell => {
      const digit = d + 1
      const own = byCell.get(`${digit} ${shown}`) ?? []
      const due = own.some((a) => cards.get(a.item)!.due.getTime() <= now)
      return {
        shown,
        digit,
        way,
        rule: ruleFor(shown, digit, way),
        tries: own.length,
        right: own.filter((a) => a.right).length,
        last: own.slice(-5).map((a) => a.right),
        state: own.length === 0 ? 'new' : !own.at(-1)!.right ? 'missed' : due ? 'due' : 'sure',
      }
    }),
  )
}

/** Results by rule: how often asked, how often right. */
export function byRule(answers: readonly Answer[]): Readonly<Record<BeadRule, { tries: number; right: number }>> {
  const sums = { direct: [0, 0], five: [0, 0], ten: [0, 0], mixed: [0, 0] }
  for (const a of answers) {
    if (!isBeads(a.item)) continue
    const item = parseItem(a.item)
    if (!isDigit(item)) continue
    const sum = sums[ruleFor(item.shown, item.digit, item.way)]
    sum[0]! += 1
    sum[1]! += a.right ? 1 : 0
  }
  const of = ([tries, right]: number[]): { tries: number; right: number } => ({ tries: tries!, right: right! })
  return { direct: of(sums.direct), five: of(sums.five), ten: of(sums.ten), mixed: of(sums.mixed) }
}
