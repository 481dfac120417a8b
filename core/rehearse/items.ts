import type { BeadFinger, BeadRule, Direction } from '../act/beads'
import { DEFAULT_CHOICES, type AbacusChoices } from '../choices'
import { exact } from '../number/exact'
import { parseProblem } from '../problem/parse'
import { abacus } from '../representation/abacus/abacus'
import { setting, shows, type AbacusState } from '../representation/abacus/frame'
import { decide, RULES } from '../representation/abacus/rules'
import { workDigit } from '../representation/abacus/work'
import { attempt, Refusal } from '../refusal'

/** What is asked of a digit on a rod: by which rule, with which finger first, or to move the beads; or a whole setting. */
export const KINDS = ['rule', 'finger', 'beads', 'read', 'set'] as const
export type Kind = (typeof KINDS)[number]

/**
 * One thing to rehearse. `rule 6+7`: the rod shows 6, 7 is to be added, by which rule? `finger` asks which finger moves first,
 * `beads` has the beads moved; `read 407` shows a setting to be read, `set 407` a number to be set.
 */
export type Item = DigitItem | { readonly kind: 'read' | 'set'; readonly number: number }

/** A digit on a rod that shows something. */
export interface DigitItem {
  readonly kind: 'rule' | 'finger' | 'beads'
  readonly shown: number
  readonly digit: number
  readonly way: Direction
}

/** Whether something rehearsed is done with beads; facts are in facts.ts. */
export const isBeads = (text: string): boolean => KINDS.some((kind) => text.startsWith(`${kind} `))

export const isDigit = (item: Item): item is DigitItem => item.kind !== 'read' && item.kind !== 'set'

export const printItem = (item: Item): string =>
  isDigit(item) ? `${item.kind} ${item.shown}${item.way > 0 ? '+' : '-'}${item.digit}` : `${item.kind} ${item.number}`

/** The inverse of `printItem`. @throws Refusal for text that is no item. */
export function parseItem(text: string): Item {
  const digit = /^(rule|finger|beads) (\d)([+-])([1-9])$/.exec(text)
  if (digit)
    return {
      kind: digit[1] as 'rule' | 'finger' | 'beads',
      shown: Number(digit[2]),
      digit: Number(digit[4]),
      way: digit[3] === '+' ? 1 : -1,
    }
  const whole = /^(read|set) (\d{1,5})$/.exec(text)
  if (whole) return { kind: whole[1] as 'read' | 'set', number: Number(whole[2]) }
  throw new Refusal(`“${text.slice(0, 40)}” is nothing to rehearse.`, 'Like: rule 6+7, or read 407.')
}

const BEADS = { upper: 1, lower: 4 }

/** The rule by which a digit goes on a rod. */
export const ruleFor = (shown: number, digit: number, way: Direction): BeadRule =>
  decide(setting(shown, BEADS), digit, way, BEADS).rule

/** A frame on which an item is worked: its rod at the ones, with a two on the tens, so that a ten can come or go. */
export function frameFor(item: Item, style: AbacusChoices = DEFAULT_CHOICES.abacus): AbacusState {
  const empty = abacus.start(parseProblem('1'), {
    ...DEFAULT_CHOICES,
    abacus: { ...style, rods: isDigit(item) ? 2 : 5 },
  })
  if (item.kind === 'set') return empty
  const digits = isDigit(item) ? [item.shown, 2] : [...String(item.number)].reverse().map(Number)
  return { ...empty, rods: empty.rods.map((_, i) => setting(digits[i] ?? 0, BEADS)) }
}

/** The finger that moves first on the rod itself, as the class works: its own beads, not those of the next rod. */
export function firstFinger(item: Item, style: AbacusChoices = DEFAULT_CHOICES.abacus): BeadFinger {
  if (!isDigit(item)) throw new Error('only a digit has a first finger')
  const { moves } = workDigit(frameFor(item, style), 0, item.digit, item.way)
  const first = moves.find((m) => m.kind === 'beads' && m.rod === 0)
  return first?.kind === 'beads' ? (first.finger ?? 'thumb') : 'thumb'
}

/** What a number of typed bead moves, `; ` between them, leads to. @throws Refusal at a move that cannot be made. */
export const moved = (start: AbacusState, moves: string): AbacusState =>
  moves
    .split(';')
    .filter((m) => m.trim() !== '')
    .reduce((s, m) => abacus.apply(s, abacus.parse(m.trim())), start)

/** Whether an answer is right. Of beads only where they stand at the end matters; an answer that cannot be is wrong. */
export function isRight(item: Item, given: string): boolean {
  const answer = given.trim()
  if (item.kind === 'read') return /^\d+$/.test(answer) && Number(answer) === item.number
  if (item.kind === 'rule' || item.kind === 'finger') return answer === rightAnswer(item)
  const start = frameFor(item)
  const end = attempt(() => moved(start, answer))
  const wanted = isDigit(item) ? 20 + item.shown + item.way * item.digit : item.number
  return 'ok' in end && shows(end.ok) === exact(wanted)
}

/** The right answer, where it can be said in a word. */
export function rightAnswer(item: Item): string {
  if (!isDigit(item)) return item.kind === 'read' ? String(item.number) : ''
  if (item.kind === 'rule') return ruleFor(item.shown, item.digit, item.way)
  return item.kind === 'finger' ? firstFinger(item) : ''
}

/** Every digit on every setting, adding and taking away, of one kind; only those of some rules where they are given. */
export const digitItems = (
  kind: 'rule' | 'finger' | 'beads',
  rules: readonly BeadRule[] = RULES,
): readonly DigitItem[] =>
  ([1, -1] as const).flatMap((way) =>
    Array.from({ length: 9 }, (_, d) => d + 1).flatMap((digit) =>
      Array.from({ length: 10 }, (_, shown) => ({ kind, shown, digit, way })).filter((i) =>
        rules.includes(ruleFor(i.shown, i.digit, i.way)),
      ),
    ),
  )
