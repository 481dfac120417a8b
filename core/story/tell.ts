import { between, seeded } from '../course/random'
import { compare, exact, isWhole, multiply, sign, ZERO, type Exact } from '../number/exact'
import { printExact } from '../number/numeral'
import type { Problem } from '../problem/problem'
import { Refusal } from '../refusal'
import { say, type WordPack } from '../speech/words'
import { askedIn, readAsked, toldFrom, type Told } from './asked'
import { GOODS, kindOf, PEOPLE, SCENES, type Person, type Scene } from './scene'
import { capitalized, sayingFor, type Said, type Telling } from './sayings/index'
import {
  CELLS,
  completed,
  firstOf,
  handedOn,
  isTrue,
  misleads,
  problemFor,
  sentenceOf,
  SITUATIONS,
  toldOf,
  type Amounts,
  type Cell,
  type Role,
} from './situation'

/** Tells a story: short sentences, one thing in each, with just the numbers that are known, and one question. */

/** How long sentences are: as short as can be; plain; two in one. */
export const LENGTHS = ['short', 'plain', 'joined'] as const
export type Length = (typeof LENGTHS)[number]

export interface StoryWish {
  /** What is worked to find the answer: `15 - 8`; or the known amounts themselves, by role, with those of a first step. */
  readonly problem?: string | Problem
  readonly amounts?: Amounts
  readonly before?: Amounts
  readonly cell: Cell
  readonly scene?: Scene
  /** The scenes that one is chosen from. */
  readonly scenes?: readonly Scene[]
  readonly seed: number
  /** Numbers in figures, or in a class's words. */
  readonly words?: WordPack
  /** Who is in it; two are chosen. */
  readonly people?: readonly Person[]
  readonly length?: Length
  /** A number is told that is not needed. */
  readonly extra?: boolean
  /** One amount is not told, so that nobody can know. */
  readonly missing?: Role
}

export interface Story extends Told {
  readonly cell: Cell
  readonly scene: Scene
  readonly people: readonly [Person, Person]
  readonly sentences: readonly string[]
  readonly text: string
  /** What is asked, and in what it is answered. */
  readonly asks: Cell['unknown']
  readonly unit: string
  /** The answer as it is said, with `#` for its number. */
  readonly said: string
  /** Null where both parts are asked, which has many answers, or where a number is missing. */
  readonly answer: Exact | null
  /** `? + 8 = 15`, and what is worked, one step after the other: `15 - 8`. */
  readonly sentence: string
  readonly problem: string | null
  readonly steps: readonly string[]
  readonly misleads: boolean
  /** The number that is told and not needed. */
  readonly extra?: Exact
  readonly missing?: Role
}

/** Why one amount cannot be told of a thing; empty where it can. */
function whyNotAmount(role: Role, amount: Exact, { thing, level }: Scene): string {
  const below = sign(amount) < 0
  if (role === 'share')
    return below || sign(amount) === 0 || compare(amount, exact(1)) >= 0 ? 'A part is less than the whole.' : ''
  if (level && role !== 'change') {
    if (!isWhole(amount)) return `There is no part of a ${thing.one} here.`
    return compare(amount, exact(thing.most)) > 0 || compare(amount, exact(-thing.most)) < 0
      ? `It does not go beyond ${thing.most} ${thing.many} here.`
      : ''
  }
  if (role !== 'over' && sign(amount) <= 0) return 'In a story there is something of everything.'
  if (role === 'number') {
    if (!isWhole(amount)) return 'There is no part of a group.'
    if (compare(amount, exact(2)) < 0) return 'There are at least two groups.'
  } else if (thing.money) {
    if (!isWhole(multiply(amount, exact(100)))) return 'There is no coin of less than a hundredth.'
  } else if (!thing.measure && !isWhole(amount)) return `There is no part of a ${thing.one}.`
  return compare(amount, exact(thing.most)) > 0
    ? `There ${thing.money ? `is no more than ${thing.most} in money` : `are no more than ${thing.most} ${thing.many}`} here.`
    : ''
}

/** In the stall’s scene whoever pays pays twice, and whoever puts in puts in twice. */
const PAID_TWICE = ['take-from>take-from', 'add-to>add-to', 'groups>enough']

/** Why amounts cannot be told in a scene; empty where they can. */
export function whyNotIn(cell: Cell, { roles, before }: Told, scene: Scene): string {
  const first = firstOf(cell)
  const kind = kindOf(scene)
  const pair = `${cell.after}>${cell.situation}`
  if (
    !sayingFor(kind, cell.situation) ||
    (first && !sayingFor(kind, first.situation)) ||
    (kind === 'money' && first && !PAID_TWICE.includes(pair))
  )
    return 'That does not happen in this scene.'
  if (cell.situation === 'array' && !scene.rows) return `${capitalized(scene.thing.many)} do not lie in rows.`
  for (const [role, amount] of [...Object.entries(roles), ...Object.entries(before ?? {})] as [Role, Exact][]) {
    const why = whyNotAmount(role, amount, scene)
    if (why !== '') return why
  }
  const together =
    (cell.unknown === 'both' || isTrue(cell.situation, roles)) && (!first || isTrue(first.situation, before ?? {}))
  return together ? '' : 'These amounts do not belong together.'
}

/** The scenes in which amounts can be told. */
export const scenesFor = (cell: Cell, told: Told, scenes: readonly Scene[] = SCENES): readonly Scene[] =>
  scenes.filter((s) => whyNotIn(cell, told, s) === '')

/** The kinds of story in which a problem is what is worked, with some scene in which it can be told. */
export const cellsFor = (problem: string | Problem, scenes?: readonly Scene[]): readonly Cell[] => {
  const asked = askedIn(problem)
  return CELLS.filter((cell) => {
    const told = asked && toldFrom(cell, asked)
    return told !== undefined && scenesFor(cell, told, scenes).length > 0
  })
}

/** Amounts that would not read well as “some”: so many times, rows of so many, a share of it. */
const ALWAYS_TOLD: readonly Role[] = ['share', 'over']
/** Which amounts of a kind of story can be left out, so that a number is missing. */
export const leftOut = (cell: Cell, scene: Scene): readonly Role[] =>
  cell.after || cell.unknown === 'both' || kindOf(scene) !== 'counted'
    ? []
    : toldOf(cell).filter(
        (role) =>
          !ALWAYS_TOLD.includes(role) &&
          !(cell.situation === 'times' && role === 'number') &&
          !(cell.situation === 'array' && role === 'size' && cell.unknown === 'number'),
      )

/** Sentences with a number that is not needed. `#` stands for it. */
const NOT_NEEDED = ['There are # people in the hall.', 'The walk is # days away.', 'There are # chairs in the hall.']

const isOne = (number: string): boolean => number === '1' || number === 'one'

/** An amount of money: £1.35, and £2 where all are whole. */
function moneyText(amount: Exact, { thing }: Scene, whole: boolean): string {
  const { large } = thing.money!
  const cents = printExact(multiply(amount, exact(100)))
  if (whole) return `${large}${printExact(amount)}`
  const digits = cents.padStart(3, '0')
  return `${large}${digits.slice(0, -2)}.${digits.slice(-2)}`
}

/** The words of one story: how its numbers are said, with what they count; its amounts are those of one step. */
function tellingOf(
  wish: StoryWish,
  { roles, before }: Told,
  scene: Scene,
  random: () => number,
): (all: Amounts) => Telling {
  const { words, cell } = wish
  const people = wish.people && wish.people.length > 1 ? wish.people : PEOPLE
  const one = Math.floor(random() * people.length)
  const two = (one + 1 + Math.floor(random() * (people.length - 1))) % people.length
  const bought = Math.floor(random() * GOODS.length)
  const sold = (bought + 1 + Math.floor(random() * (GOODS.length - 1))) % GOODS.length
  const { thing, level } = scene
  const amounts = [...Object.entries(before ?? {}), ...Object.entries(roles)].filter(
    ([role]) => role !== 'number' && role !== 'share',
  )
  const wholeMoney = amounts.every(([, amount]) => isWhole(amount))
  const text = (amount: Exact): string => (words ? say(amount, words) : printExact(amount))
  const n = (all: Amounts, role: Role): string => {
    const amount = all[role] ?? ZERO
    if (role === wish.missing) return 'some'
    if (role === 'share') return amount
    return text(role === 'over' && sign(amount) < 0 ? multiply(amount, exact(-1)) : amount)
  }
  const noun = (all: Amounts, role: Role): string => (isOne(n(all, role)) ? thing.one : thing.many)
  const of = (all: Amounts, role: Role): string => {
    const amount = all[role] ?? ZERO
    if (thing.money) return moneyText(amount, scene, wholeMoney)
    if (!level || role === 'change') return `${n(all, role)} ${noun(all, role)}`
    if (amount === ZERO) return level.zero
    const size = text(sign(amount) < 0 ? multiply(amount, exact(-1)) : amount)
    return `${size} ${level.unit[isOne(size) ? 0 : 1]} ${sign(amount) < 0 ? level.below : level.above}`
  }
  return (all) => ({
    scene,
    who: people[one]!,
    other: people[two]!,
    goods: [GOODS[bought]!, GOODS[sold]!],
    where: wish.length === 'short' || cell.after === 'groups' ? '' : ` ${scene.where}`,
    n: (role) => n(all, role),
    of: (role) => of(all, role),
    noun: (role) => noun(all, role),
    is: (role) => (isOne(n(all, role)) ? 'is' : 'are'),
  })
}

/** What is said, of one step or of two: the first one without its question, and the second without what the first one makes. */
function saidOf(cell: Cell, { roles, before = {} }: Told, telling: (all: Amounts) => Telling): Said {
  const t = telling(cell.situation === 'enough' ? { ...before, ...roles } : roles)
  const kind = kindOf(t.scene)
  const said = sayingFor(kind, cell.situation)!(cell, t)
  const first = firstOf(cell)
  if (!first || cell.situation === 'enough') return said
  const begun = sayingFor(kind, first.situation)!(first, telling(before))
  const goesOn = kind === 'money' ? said : sayingFor(kind, cell.situation)!(cell, { ...t, who: t.other, other: t.who })
  return { ...goesOn, tells: [...begun.tells, ...goesOn.tells.slice(1)] }
}

/** The first two sentences as one; a name keeps its capital. */
function joined([one, two, ...rest]: readonly string[]): readonly string[] {
  if (!one || !two) return [one!, ...rest].filter(Boolean)
  const begins = /^(?:There|In|On|Of|Some|The|That|Now|Then|Each|A|It)\b/.test(two)
  return [`${one.slice(0, -1)}, and ${begins ? two.slice(0, 1).toLowerCase() + two.slice(1) : two}`, ...rest]
}

/** In what a story is answered. */
function unitOf({ situation, unknown }: Cell, { thing, holder }: Scene, goods: string): string {
  if (unknown === 'share') return ''
  if (unknown === 'number')
    return situation === 'times' ? 'times' : situation === 'array' ? 'rows' : thing.money ? goods : holder[1]
  return thing.money ? thing.money.large : (thing.measure?.unit ?? thing.many)
}

/** All amounts of what is wished. @throws Refusal where it is worked otherwise in such a story. */
function toldIn({ cell, amounts, before, problem = '' }: StoryWish): Told {
  if (!amounts) {
    const told = toldFrom(cell, readAsked(problem))
    if (!told) throw new Refusal('That is not what is worked in such a story.', 'Choose another kind of story for it.')
    return told
  }
  const first = firstOf(cell)
  if (!first) return { roles: completed(cell, amounts) }
  const begun = completed(first, before ?? {})
  const made = begun[SITUATIONS[first.situation].roles[2]]!
  return { roles: completed(cell, { ...amounts, [handedOn(cell)]: made }), before: begun }
}

/** What is worked as one problem where that can be: two steps of adding and taking away are a chain; or else the last step. */
function inOne({ after, situation }: Cell, steps: readonly string[]): string | undefined {
  const [first, last] = steps
  const chain = after && after !== 'groups' && situation !== 'enough'
  return chain ? first! + last!.slice(last!.indexOf(' ')) : steps.at(-1)
}

/** @throws Refusal where the amounts cannot be, in this scene or in any. */
export function tellStory(wish: StoryWish): Story {
  const { cell, seed } = wish
  const random = seeded(seed)
  const told = toldIn(wish)
  const scenes = wish.scenes ?? SCENES
  const fit = wish.scene ? [wish.scene] : scenesFor(cell, told, scenes)
  const scene = fit[Math.floor(random() * fit.length)]
  const why = whyNotIn(cell, told, scene ?? scenes[0]!)
  if (!scene || why !== '')
    throw new Refusal(why || 'There is no scene for these amounts.', 'Choose other numbers, or another scene.')
  const missing = leftOut(cell, scene).find((role) => role === wish.missing)
  if (wish.missing && !missing)
    throw new Refusal('That number cannot be left out of this story.', 'Leave out another, or choose another scene.')
  const telling = tellingOf(wish, told, scene, random)
  const t = telling(told.roles)
  const said = saidOf(cell, told, telling)
  const known = Object.values({ ...told.before, ...told.roles })
  let extra: Exact | undefined
  if (wish.extra)
    do extra = exact(between(random, 2, 24))
    while (known.includes(extra))
  const tells = wish.length === 'joined' ? joined(said.tells) : said.tells
  const notNeeded = extra
    ? [
        NOT_NEEDED[Math.floor(random() * NOT_NEEDED.length)]!.replace(
          '#',
          wish.words ? say(extra, wish.words) : printExact(extra),
        ),
      ]
    : []
  const sentences = [tells[0]!, ...notNeeded, ...tells.slice(1), said.asks]
  const shown = missing ? { ...told.roles, [missing]: undefined } : told.roles
  const first = firstOf(cell)
  const worked = [...(first ? [problemFor(first, told.before!)!] : []), problemFor(cell, told.roles)]
  const steps = missing ? [] : worked.filter((p) => p !== undefined)
  return {
    cell,
    scene,
    people: [t.who, t.other],
    sentences,
    text: sentences.join(' '),
    roles: told.roles,
    ...(told.before ? { before: told.before } : {}),
    asks: cell.unknown,
    unit: unitOf(cell, scene, t.goods[0][1]),
    said: said.answers,
    answer: missing || cell.unknown === 'both' ? null : told.roles[cell.unknown]!,
    sentence: sentenceOf(cell, shown as Amounts, told.before),
    problem: inOne(cell, steps) ?? null,
    steps,
    misleads: misleads(cell),
    ...(extra === undefined ? {} : { extra }),
    ...(missing ? { missing } : {}),
  }
}
