import { features } from '../problem/features'
import { parseProblem } from '../problem/parse'
import { Refusal } from '../refusal'
import { changedPlaces, type Place } from '../number/places'
import { exact } from '../number/exact'
import { seeded } from './random'

/** What a spinner does to a number card, and what may come of it (practice, section 6; common practice, no source). */
export interface SpinnerRules {
  /** What each sector adds (above nought) or takes away (below): 10, −20. */
  readonly sectors: readonly number[]
  /** The least and the greatest number that may come out. */
  readonly least: number
  readonly greatest: number
  /** Whether exchanges are kept out, let in, or all that is wanted. */
  readonly exchanges: 'none' | 'any' | 'only'
}

export interface SpinPair {
  readonly card: number
  readonly sector: number
}

export const MAX_SECTORS = 12
export const MAX_CARDS = 30

/** Checks rules. @throws Refusal saying what cannot be. */
export function checkRules({ sectors, least, greatest }: SpinnerRules): void {
  if (sectors.length < 2 || sectors.length > MAX_SECTORS)
    throw new Refusal(`A spinner has 2 to ${MAX_SECTORS} sectors; this has ${sectors.length}.`)
  const odd = sectors.find((s) => !Number.isInteger(s) || s === 0 || Math.abs(s) > 9999)
  if (odd !== undefined) throw new Refusal(`${odd} is no sector: a sector adds or takes a whole number up to 9,999.`)
  if (!Number.isInteger(least) || !Number.isInteger(greatest) || least < 0 || greatest > 9999 || least >= greatest)
    throw new Refusal('The range goes from a whole number, nought or more, up to a greater one, at most 9,999.')
}

/** A spin as a problem: `54 - 20`. */
export const spinProblem = ({ card, sector }: SpinPair): string =>
  `${card} ${sector < 0 ? '-' : '+'} ${Math.abs(sector)}`

/** Why a pair of card and sector will not do; empty where it does. */
export function whyNot({ card, sector }: SpinPair, rules: SpinnerRules): string {
  const result = card + sector
  const asked = spinProblem({ card, sector }).replace('-', '−')
  if (result < rules.least) return `${asked} ${sector < 0 ? 'goes' : 'stays'} below ${rules.least}.`
  if (result > rules.greatest) return `${asked} ${sector > 0 ? 'goes' : 'stays'} above ${rules.greatest}.`
  const exchanged = features(parseProblem(spinProblem({ card, sector })))[0]!.exchanges.length > 0
  if (exchanged && rules.exchanges === 'none') return `${asked} needs an exchange.`
  if (!exchanged && rules.exchanges === 'only') return `${asked} needs no exchange.`
  return ''
}

/** All pairs of card and sector that the rules allow. */
export const allowedPairs = (cards: readonly number[], rules: SpinnerRules): readonly SpinPair[] =>
  cards
    .flatMap((card) => [...new Set(rules.sectors)].map((sector) => ({ card, sector })))
    .filter((p) => !whyNot(p, rules))

/** The numbers of the range on which every sector may fall, so that no spin has to be spun again. */
export function safeCards(rules: SpinnerRules): readonly number[] {
  checkRules(rules)
  const all: number[] = []
  for (let card = rules.least; card <= rules.greatest; card++)
    if (rules.sectors.every((sector) => !whyNot({ card, sector }, rules))) all.push(card)
  return all
}

/**
 * So many number cards, spread over the range and dealt by a seed: those on which every sector may fall where there are
 * enough, else those with the most sectors that may.
 */
export function dealCards(rules: SpinnerRules, count: number, seed: number): readonly number[] {
  const safe = safeCards(rules)
  const next = seeded(seed)
  const shuffle = (list: readonly number[]): number[] =>
    list
      .map((card) => ({ card, key: next() }))
      .sort((a, b) => a.key - b.key)
      .map((x) => x.card)
  if (safe.length >= count)
    return shuffle(safe)
      .slice(0, count)
      .sort((a, b) => a - b)
  const others: number[] = []
  for (let card = rules.least; card <= rules.greatest; card++)
    if (!safe.includes(card) && allowedPairs([card], rules).length > 0) others.push(card)
  const useful = (card: number): number => allowedPairs([card], rules).length
  const rest = shuffle(others).sort((a, b) => useful(b) - useful(a))
  return [...safe, ...rest].slice(0, count).sort((a, b) => a - b)
}

const same = (a: SpinPair, b: SpinPair): boolean => a.card === b.card && a.sector === b.sector

/** The next spin: one of the pairs that are allowed and have not come yet; null when all have. The same seed spins the same. */
export function spin(
  cards: readonly number[],
  rules: SpinnerRules,
  seed: number,
  past: readonly SpinPair[],
): SpinPair | null {
  const left = allowedPairs(cards, rules).filter((p) => !past.some((q) => same(p, q)))
  if (left.length === 0) return null
  const next = seeded(seed + past.length * 7919)
  return left[Math.floor(next() * left.length)]!
}

/** The columns whose digit is another after than before, the greatest first. */
export const changedColumns = (before: number, after: number): readonly Place[] =>
  changedPlaces(exact(before), exact(after))
