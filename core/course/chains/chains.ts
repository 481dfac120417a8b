import type { BeadRule } from '../../act/beads'
import type { ComplementNames } from '../../choices'
import { placeName } from '../../number/places'
import { ruleName } from '../../speech/beads'
import { spokenList } from '../../speech/words'
import { Refusal } from '../../refusal'
import { seeded } from '../random'
import { needs } from './classify'
import { countWays, sample, world } from './exact'
import { LESSONS, lessonId, numberOf, type Lesson } from './lessons'
import { search } from './search'
import type { ChainWish } from './wish'

/** Chains found, and how many there are at all. */
export interface Chains {
  /** Each chain's numbers, the first and then the signed others. */
  readonly chains: readonly (readonly number[])[]
  /** How many such chains exist; null where there are too many to be counted here. */
  readonly total: number | null
  /** Whether `total` is counted to the last, or beyond 2^53 and so only about right. */
  readonly counted: boolean
  /** Why none, or fewer than asked; empty elsewhere. */
  readonly why: string
}

/** The limits of a wish. */
export const MOST_TERMS = 12
export const MOST_TERM_DIGITS = 5
export const MOST_CHAINS = 500
/** Up to this many steps, of pairs of total and number times numbers, are counted through at once. */
const AT_ONCE = 2_000_000
/** Larger worlds are searched first; up to this many pairs are counted through where a search finds too few. */
const IF_NEEDED = 3_000_000

/** Checks a wish. @throws Refusal with the reason. */
function check(w: ChainWish): void {
  const whole = (n: number, low: number, high: number, what: string): void => {
    if (!Number.isInteger(n) || n < low || n > high)
      throw new Refusal(
        `${what} ${Number.isFinite(n) ? `cannot be ${n}` : 'is wanted'}.`,
        `From ${low} to ${high.toLocaleString('en-GB')}.`,
      )
  }
  whole(w.terms, 2, MOST_TERMS, 'The numbers in a chain')
  whole(w.digits, 1, MOST_TERM_DIGITS, 'The digits of a number')
  whole(w.count, 1, MOST_CHAINS, 'How many chains')
  whole(w.least, 0, 999_999_998, 'The least total')
  whole(w.greatest, w.least + 1, 999_999_999, 'The greatest total')
  if (numberOf(w.lesson) < 0) throw new Refusal(noSuchRule(w.lesson, w.names))
}

const signed = ({ way, digit }: Lesson): string => `${way > 0 ? '+' : '−'}${digit}`
const carries = ({ rule }: Lesson): boolean => rule === 'ten' || rule === 'mixed'

/** A lesson in the class's words: `+3 direct`, `+2 with the five complement`, `+7 with both complements`. */
function named(lesson: Lesson, names: ComplementNames): string {
  const rule = ruleName(lesson.rule, names)
  if (lesson.rule === 'direct') return `${signed(lesson)} ${rule}`
  return `${signed(lesson)} with ${rule.startsWith('both') ? rule : `the ${rule}`}`
}

function noSuchRule(lesson: Lesson, names: ComplementNames): string {
  const digits = lesson.rule === 'five' ? '1 to 4' : lesson.rule === 'mixed' ? '6 to 9' : '1 to 9'
  return `There is no ${named(lesson, names)}: only the digits ${digits} go so.`
}

/** What shuts a wish out before anything is searched; empty where nothing does. */
export function impossible(w: ChainWish): string {
  const { lesson, rod, names } = w
  const rods = rod === 'any' ? Array.from({ length: w.digits }, (_, i) => i) : [rod]
  if (w.beads.upper === 0 && (lesson.rule === 'five' || lesson.rule === 'mixed'))
    return `A frame of single beads has no fives, and so no ${ruleName('five', names)}.`
  if (w.signs !== 'both' && (w.signs === '+') !== lesson.way > 0)
    return `${signed(lesson)} ${lesson.way > 0 ? 'adds' : 'takes away'}, and these chains only ${w.signs === '+' ? 'add' : 'take away'}.`
  if (rod !== 'any' && rod >= w.digits && lesson.digit !== 1)
    return `Numbers of ${w.digits} ${w.digits === 1 ? 'digit' : 'digits'} never move ${lesson.digit} on the ${placeName(rod)} rod.`
  if (carries(lesson) && rods.every((r) => w.greatest < 10 ** (r + 1)))
    return `${named(lesson, names)} needs a ten on the next rod, and totals go only to ${w.greatest}.`
  const ones = ['direct', 'five', 'ten'].map((rule) => lessonId({ rule: rule as BeadRule, way: lesson.way, digit: 1 }))
  if (carries(lesson) && !ones.some((id) => w.taught.includes(id) || id === lessonId(lesson)))
    return `${named(lesson, names)} moves one on the next rod, and ${lesson.way > 0 ? '+1' : '−1'} has not been taught.`
  if (10 ** (w.digits - 1) > w.greatest) return `No number of ${w.digits} digits fits into totals up to ${w.greatest}.`
  return ''
}

/**
 * Sets chains for a rule: each needs the lesson of the day at its rod, once or at least once, and nothing that has not been
 * taught; totals stay in their range; no chain comes twice. The same seed sets the same chains.
 * @throws Refusal for a wish that makes no sense; a wish that nothing can fulfil is answered with no chains and the reason.
 */
export function setChains(wish: ChainWish): Chains {
  check(wish)
  const shut = impossible(wish)
  if (shut) return { chains: [], total: 0, counted: true, why: shut }
  const pairs = (wish.greatest - wish.least + 1) * 18 * 10 ** (wish.digits - 1)
  if (pairs * wish.terms <= AT_ONCE) return countedThrough(wish)
  const found = search(wish, seeded(wish.seed))
  if (found.length < wish.count && pairs <= IF_NEEDED) return countedThrough(wish)
  return { chains: found, total: null, counted: false, why: whyFew(found.length, wish.count) }
}

function countedThrough(wish: ChainWish): Chains {
  const small = world(wish)
  const ways = countWays(small, wish.terms)
  if (ways.total === 0) return { chains: [], total: 0, counted: true, why: whyNone(wish) }
  const chains = sample(small, ways, wish.terms, wish.count, seeded(wish.seed))
  const few = chains.length < wish.count
  return {
    chains,
    total: ways.total,
    counted: ways.total < 2 ** 53,
    why: few ? `There ${ways.total === 1 ? 'is only 1' : `are only ${ways.total}`} of this kind.` : '',
  }
}

function whyFew(found: number, wanted: number): string {
  if (found === 0) return 'None was found in a long search. More numbers, a wider range or more rules taught may help.'
  return found < wanted ? `Only ${found} were found in a long search.` : ''
}

/** Why a small world has no such chain: which one wish, given up, would let some exist. */
function whyNone(wish: ChainWish): string {
  const some = (over: Partial<ChainWish>): boolean =>
    countWays(world({ ...wish, ...over }), over.terms ?? wish.terms).total > 0
  const where = wish.rod === 'any' ? '' : ` on the ${placeName(wish.rod)}`
  const what = `${named(wish.lesson, wish.names)}${where}`
  if (wish.times === 'once' && some({ times: 'some' }))
    return `In ${wish.terms} numbers ${what} cannot come just once; at least once it can.`
  if (!wish.undoing && some({ undoing: true }))
    return `In every chain for ${what} a number takes back the one before it. Where it may, there are such chains.`
  const missing = untaught(wish)
  if (missing.length > 0) {
    const needed = spokenList(
      missing.map((l) => `${named(l, wish.names)}${isOf(l, wish.lesson) ? ' on other rods' : ''}`),
    )
    return `A chain for ${what} would also need ${needed}, which ${missing.length === 1 ? 'has' : 'have'} not been taught.`
  }
  const wider = 10 ** (wish.digits + 1) - 1
  if ((wish.greatest < wider || wish.least > 0) && some({ least: 0, greatest: Math.min(wider, 999) }))
    return `Totals from ${wish.least} to ${wish.greatest} leave no room for ${what}.`
  if (wish.signs !== 'both' && some({ signs: 'both' }))
    return `Only ${wish.signs === '+' ? 'adding' : 'taking away'}, ${what} never comes. With both signs it does.`
  return `With ${wish.terms} numbers of ${wish.digits} ${wish.digits === 1 ? 'digit' : 'digits'} no chain comes to ${what}.`
}

const isOf = (a: Lesson, b: Lesson): boolean => lessonId(a) === lessonId(b)

/** So many chains that need whatever they need are looked at for the one that lacks least. */
const LOOKED_AT = 2000

/** The fewest lessons found that would have to be taught besides, in teaching order; none where even that would not do. */
function untaught(wish: ChainWish): readonly Lesson[] {
  const free = world({ ...wish, taught: LESSONS.map(lessonId) })
  const ways = countWays(free, wish.terms)
  if (ways.total === 0) return []
  const needed = needs(wish)
  const wanting = sample(free, ways, wish.terms, Math.min(LOOKED_AT, ways.total), seeded(wish.seed)).map(needed)
  const least = wanting.reduce((least, more) => (more.length < least.length ? more : least))
  return LESSONS.filter((l) => least.includes(l))
}

/** A chain as a problem is written. */
export const chainText = (numbers: readonly number[]): string =>
  numbers.map((n, i) => (i === 0 ? String(n) : n < 0 ? `- ${-n}` : `+ ${n}`)).join(' ')
