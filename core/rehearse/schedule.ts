import { createEmptyCard, fsrs, Rating, type Card } from 'ts-fsrs'
import type { BeadRule } from '../act/beads'
import { between, seeded } from '../course/random'
import { digitItems, isBeads, isDigit, parseItem, printItem, type Item, type Kind } from './items'

/** One answer, as it is kept. Cards, strengths and the grid are found again by replaying the answers. */
export interface Answer {
  /** When, in milliseconds since 1970. */
  readonly at: number
  readonly item: string
  readonly right: boolean
  /** How long it took, in milliseconds. */
  readonly ms: number
}

/** What is rehearsed. */
export interface Rehearsal {
  readonly kinds: readonly Kind[]
  readonly rules: readonly BeadRule[]
  /** How many digits the numbers to read and set have. */
  readonly digits: number
  readonly seed: number
}

// Without chance in it, so that the same answers always come to the same cards.
const scheduler = fsrs({ enable_fuzz: false, enable_short_term: true })

/** Slower than this, a right answer counts as hard, in milliseconds; quicker than the other as easy. */
const SLOW = 8000
const QUICK = 2500

const rating = ({ right, ms }: Answer) =>
  !right ? Rating.Again : ms > SLOW ? Rating.Hard : ms < QUICK ? Rating.Easy : Rating.Good

/** What was replayed last: answers only grow, so that as a rule the newest alone is new, also after years of them. */
let replayed: { readonly answers: readonly Answer[]; readonly cards: ReadonlyMap<string, Card> } = {
  answers: [],
  cards: new Map(),
}

/** The card of everything answered so far, by item. */
export function cardsOf(answers: readonly Answer[]): ReadonlyMap<string, Card> {
  const grown = replayed.answers.every((a, i) => a === answers[i])
  const cards = new Map(grown ? replayed.cards : [])
  for (const a of grown ? answers.slice(replayed.answers.length) : answers) {
    const card: Card = cards.get(a.item) ?? (createEmptyCard(new Date(a.at)) as Card)
    // A clock may have been put back; for the card time only goes on.
    const at = new Date(Math.max(a.at, card.last_review?.getTime() ?? 0))
    cards.set(a.item, scheduler.next(card, at, rating(a)).card)
  }
  replayed = { answers: [...answers], cards }
  return cards
}

/** So many others come between before something missed comes back. */
const OTHERS_BETWEEN = 3

/**
 * The next thing to rehearse: what was missed, once a few others have come between; then what is due; then something new; and
 * when all has been seen, what is due soonest. Never the same twice running, where there is anything else.
 */
export function nextItem(answers: readonly Answer[], wanted: Rehearsal, now: number): Item | undefined {
  const pool = new Map(poolOf(wanted, answers.length).map((item) => [printItem(item), item]))
  for (const { item } of answers) if (!pool.has(item) && fits(item, wanted)) pool.set(item, parseItem(item))
  return nextOf(answers, pool, wanted.seed, now)
}

/** The next of whatever may come, by its name. */
export function nextOf<T>(
  answers: readonly Answer[],
  pool: ReadonlyMap<string, T>,
  seed: number,
  now: number,
): T | undefined {
  const last = answers.at(-1)?.item
  const cards = cardsOf(answers)
  const open = [...pool.keys()].filter((id) => id !== last || pool.size === 1)
  const lastAt = new Map(answers.map(({ item }, at) => [item, at]))
  const missed = open.find((id) => {
    const at = lastAt.get(id)
    return at !== undefined && !answers[at]!.right && answers.length - 1 - at >= OTHERS_BETWEEN
  })
  if (missed) return pool.get(missed)
  const due = (id: string): number => cards.get(id)!.due.getTime()
  const seen = open.filter((id) => cards.has(id)).sort((a, b) => due(a) - due(b))
  if (seen[0] !== undefined && due(seen[0]) <= now) return pool.get(seen[0])
  const fresh = open.filter((id) => !cards.has(id))
  if (fresh.length > 0) return pool.get(fresh[between(seeded(seed + answers.length), 0, fresh.length - 1)]!)
  return seen[0] === undefined ? undefined : pool.get(seen[0])
}

/** How many new numbers to read or set are dealt at a time. */
const NUMBERS = 12

/** Everything that may come: the digits on their settings, and some numbers by chance. */
function poolOf({ kinds, rules, digits, seed }: Rehearsal, answered: number): readonly Item[] {
  const random = seeded(seed + answered)
  const [low, high] = [digits === 1 ? 0 : 10 ** (digits - 1), 10 ** digits - 1]
  return kinds.flatMap((kind): readonly Item[] =>
    kind === 'read' || kind === 'set'
      ? Array.from({ length: NUMBERS }, () => ({ kind, number: between(random, low, high) }))
      : digitItems(kind, rules),
  )
}

/** Whether something answered before belongs to this rehearsal. */
function fits(id: string, { kinds, digits }: Rehearsal): boolean {
  if (!isBeads(id)) return false
  const item = parseItem(id)
  return !isDigit(item) && kinds.includes(item.kind) && String(item.number).length === digits
}
