import { compare, exact, isWhole, sign, type Exact } from '../number/exact'
import { answer, type Problem } from '../problem/problem'
import { parseProblem } from '../problem/parse'
import { printExact, valueOf } from '../number/numeral'
import { seeded } from '../course/random'
import { Refusal } from '../refusal'
import { say, type WordPack } from '../speech/words'
import { PEOPLE, SCENES, type Scene } from './scene'
import {
  CELLS,
  completed,
  isTrue,
  misleads,
  problemFor,
  sentenceOf,
  solvingOf,
  type Amounts,
  type Cell,
  type Role,
} from './situation'

/** Tells a story: short sentences, one thing in each, with just the numbers that are known, and one question. */

export interface StoryWish {
  /** What is worked to find the answer: `15 - 8`; or the known amounts themselves, by role. */
  readonly problem?: string | Problem
  readonly amounts?: Amounts
  readonly cell: Cell
  readonly scene?: Scene
  readonly seed: number
  /** Numbers in figures, or in a class's words. */
  readonly words?: WordPack
  /** Who is in it; two are chosen. */
  readonly people?: readonly string[]
}

export interface Story {
  readonly cell: Cell
  readonly scene: Scene
  readonly people: readonly [string, string]
  readonly sentences: readonly string[]
  readonly text: string
  /** All three amounts, what is asked among them; only the whole, where both parts are asked. */
  readonly roles: Amounts
  /** What is asked, and in what it is answered. */
  readonly asks: Cell['unknown']
  readonly unit: string
  /** Null where both parts are asked, which has many answers. */
  readonly answer: Exact | null
  /** `? + 8 = 15`, and what is worked: `15 - 8`. */
  readonly sentence: string
  readonly problem: string | null
  readonly misleads: boolean
}

/** The known amounts of a cell from the problem that is worked in it. @throws Refusal where it is worked otherwise. */
function amountsFrom(cell: Cell, typed: string | Problem): Amounts {
  const problem = typeof typed === 'string' ? parseProblem(typed) : typed
  const solving = solvingOf(cell)
  const [term] = problem.terms
  if (!term || problem.terms.length > 1 || problem.others || problem.named || problem.groups)
    throw new Refusal('A story is told of two numbers.', 'Give it as 15 - 8.')
  if (!solving || term.operation !== solving.operation)
    throw new Refusal(
      'That is not what is worked in such a story.',
      `Choose another kind of story for ${term.operation}.`,
    )
  return completed(cell, { [solving.left]: valueOf(problem.first), [solving.right]: valueOf(term.number) })
}

/** Why amounts cannot be told in a scene; empty where they can. */
export function whyNotIn(cell: Cell, roles: Amounts, { thing }: Scene): string {
  const counts: readonly Role[] = ['number']
  for (const [role, amount] of Object.entries(roles) as [Role, Exact][]) {
    if (sign(amount) <= 0) return 'In a story there is something of everything.'
    if ((!thing.measure || counts.includes(role)) && !isWhole(amount))
      return `There is no part of a ${role === 'number' ? 'group' : thing.one}.`
    if (compare(amount, exact(thing.most)) > 0) return `There are no more than ${thing.most} ${thing.many} here.`
    if (role === 'number' && compare(amount, exact(2)) < 0) return 'There are at least two groups.'
  }
  return cell.unknown !== 'both' && !isTrue(cell.situation, roles) ? 'These amounts do not belong together.' : ''
}

/** The scenes in which amounts can be told. */
export const scenesFor = (cell: Cell, roles: Amounts): readonly Scene[] =>
  SCENES.filter((s) => (cell.situation !== 'array' || s.rows) && whyNotIn(cell, roles, s) === '')

/** The kinds of story in which a problem is what is worked, with some scene in which it can be told. */
export const cellsFor = (problem: string | Problem): readonly Cell[] => {
  const read = typeof problem === 'string' ? parseProblem(problem) : problem
  const operation = read.terms[0]?.operation
  return CELLS.filter((cell) => {
    if (solvingOf(cell)?.operation !== operation || read.terms.length !== 1) return false
    return sign(answer(read)) > 0 && scenesFor(cell, amountsFrom(cell, read)).length > 0
  })
}

/** Words for one story: its people, and numbers with what they count. */
interface Telling {
  readonly scene: Scene
  readonly who: string
  readonly other: string
  n(role: Role): string
  /** So many of it: “8 lanterns”, “one lantern”. */
  of(role: Role): string
  is(role: Role): string
}

const SAID: { readonly [S in Cell['situation']]: (cell: Cell, t: Telling) => readonly string[] } = {
  'add-to': (cell, t) => changed(cell, t, t.scene.comes, 'more'),
  'take-from': (cell, t) => changed(cell, t, t.scene.goes, 'of them'),
  together: ({ unknown }, { scene: { thing, where }, n, of, is }) => {
    const [a, b] = thing.kinds
    const all = `There ${is('whole')} ${of('whole')} ${where}.`
    if (unknown === 'whole') {
      const one = (role: Role, kind: string): string => `${n(role)} ${kind} ${nounOf(n(role), thing)}`
      return [
        `There ${is('first')} ${one('first', a)} and ${one('second', b)} ${where}.`,
        `How many ${thing.many} are ${where} altogether?`,
      ]
    }
    if (unknown === 'both')
      return [all, `Some are ${a} and the others are ${b}.`, `How many could be ${a}, and how many ${b}?`]
    const [role, known, asked] = unknown === 'second' ? (['first', a, b] as const) : (['second', b, a] as const)
    return [all, `Of them ${n(role)} ${is(role)} ${known} and the others are ${asked}.`, `How many are ${asked}?`]
  },
  compare: ({ unknown, wording = 'more' }, { scene: { thing }, who, other, of, n }) => {
    // Whoever is named first has the fewer, the other one the more.
    const has = (name: string, role: Role): string => `${name} has ${of(role)}.`
    const longer = `${other} has ${n('difference')} more ${nounOf(n('difference'), thing)} than ${who}.`
    const shorter = `${who} has ${n('difference')} fewer ${nounOf(n('difference'), thing)} than ${other}.`
    if (unknown === 'difference')
      return [
        has(who, 'lesser'),
        has(other, 'greater'),
        wording === 'more'
          ? `How many more ${thing.many} does ${other} have than ${who}?`
          : `How many fewer ${thing.many} does ${who} have than ${other}?`,
      ]
    const [known, asked] =
      unknown === 'greater' ? ([has(who, 'lesser'), other] as const) : ([has(other, 'greater'), who] as const)
    return [known, wording === 'more' ? longer : shorter, `How many ${thing.many} does ${asked} have?`]
  },
  groups: ({ unknown }, { scene: { thing, holder }, n, of, is }) => {
    const [one, many, within] = holder
    if (unknown === 'product')
      return [
        `There are ${n('number')} ${many}.`,
        `${capitalized(within)} each ${one} there ${is('size')} ${of('size')}.`,
        `How many ${thing.many} are there altogether?`,
      ]
    if (unknown === 'size')
      return [
        `There ${is('product')} ${of('product')} ${within} ${n('number')} ${many}.`,
        `There are as many ${within} each.`,
        `How many ${thing.many} are ${within} each ${one}?`,
      ]
    return [
      `There ${is('product')} ${of('product')}.`,
      `${capitalized(within)} each ${one} there ${is('size')} ${n('size')}${thing.measure ? ` ${thing.measure.unit}` : ''}.`,
      `How many ${many} are there?`,
    ]
  },
  array: ({ unknown }, { scene: { thing }, n, of, is }) => {
    if (unknown === 'product')
      return [
        `The ${thing.many} are in ${n('number')} rows.`,
        `In each row there ${is('size')} ${of('size')}.`,
        `How many ${thing.many} are there altogether?`,
      ]
    if (unknown === 'size')
      return [
        `There ${is('product')} ${of('product')} in ${n('number')} rows.`,
        'There are as many in each row.',
        `How many ${thing.many} are in each row?`,
      ]
    return [`There ${is('product')} ${of('product')} in rows of ${n('size')}.`, 'How many rows are there?']
  },
  times: ({ unknown }, { scene: { thing }, who, other, n, of }) => {
    if (unknown === 'greater')
      return [
        `${who} has ${of('lesser')}.`,
        `${other} has ${n('number')} times as many ${thing.many} as ${who}.`,
        `How many ${thing.many} does ${other} have?`,
      ]
    if (unknown === 'lesser')
      return [
        `${other} has ${of('greater')}.`,
        `That is ${n('number')} times as many as ${who} has.`,
        `How many ${thing.many} does ${who} have?`,
      ]
    return [
      `${who} has ${of('lesser')}.`,
      `${other} has ${of('greater')}.`,
      `How many times as many ${thing.many} as ${who} does ${other} have?`,
    ]
  },
}

/** What is said otherwise of something that is measured: it is long, and not many. */
const MEASURED: Partial<typeof SAID> = {
  together: ({ unknown }, { scene: { thing, where }, n }) => {
    const [a, b] = thing.kinds
    const { unit, stuff } = thing.measure!
    const all = `There are ${n('whole')} ${unit} of ${stuff} ${where}.`
    if (unknown === 'whole')
      return [
        `There are ${n('first')} ${unit} of ${a} ${stuff} and ${n('second')} ${unit} of ${b} ${stuff} ${where}.`,
        `How many ${unit} of ${stuff} are ${where} altogether?`,
      ]
    if (unknown === 'both')
      return [all, `Some of it is ${a} and the rest is ${b}.`, `How many ${unit} could be ${a}, and how many ${b}?`]
    const [role, known, asked] = unknown === 'second' ? (['first', a, b] as const) : (['second', b, a] as const)
    return [all, `Of it ${n(role)} ${unit} are ${known} and the rest is ${asked}.`, `How many ${unit} are ${asked}?`]
  },
  compare: ({ unknown, wording = 'more' }, { scene: { thing }, who, other, n }) => {
    const { unit, stuff } = thing.measure!
    const is = (name: string, role: Role): string => `The ${stuff} of ${name} is ${n(role)} ${unit} long.`
    const longer = `The ${stuff} of ${other} is ${n('difference')} ${unit} longer than that of ${who}.`
    const shorter = `The ${stuff} of ${who} is ${n('difference')} ${unit} shorter than that of ${other}.`
    if (unknown === 'difference')
      return [
        is(who, 'lesser'),
        is(other, 'greater'),
        wording === 'more'
          ? `How many ${unit} longer is the ${stuff} of ${other}?`
          : `How many ${unit} shorter is the ${stuff} of ${who}?`,
      ]
    const [known, asked] =
      unknown === 'greater' ? ([is(who, 'lesser'), other] as const) : ([is(other, 'greater'), who] as const)
    return [known, wording === 'more' ? longer : shorter, `How many ${unit} long is the ${stuff} of ${asked}?`]
  },
  times: ({ unknown }, { scene: { thing }, who, other, n }) => {
    const { unit, stuff } = thing.measure!
    const is = (name: string, role: Role): string => `The ${stuff} of ${name} is ${n(role)} ${unit} long.`
    if (unknown === 'greater')
      return [
        is(who, 'lesser'),
        `The ${stuff} of ${other} is ${n('number')} times as long.`,
        `How many ${unit} long is the ${stuff} of ${other}?`,
      ]
    if (unknown === 'lesser')
      return [
        is(other, 'greater'),
        `That is ${n('number')} times as long as the ${stuff} of ${who}.`,
        `How many ${unit} long is the ${stuff} of ${who}?`,
      ]
    return [is(who, 'lesser'), is(other, 'greater'), `How many times as long is the ${stuff} of ${other}?`]
  },
}

/** Some are there, some come or go, and so many are there now. */
function changed(
  { unknown }: Cell,
  { scene, who, n, of, is }: Telling,
  [does, did]: Scene['comes'],
  rest: string,
): readonly string[] {
  const { thing, where } = scene
  const { unit, stuff } = thing.measure ?? {}
  const some = stuff ? `There is some ${stuff} ${where}.` : `There are some ${thing.many} ${where}.`
  const change =
    unknown === 'change'
      ? `${who} ${does} some ${rest === 'more' ? 'more' : stuff ? 'of it' : 'of them'}.`
      : unit
        ? `${who} ${does} ${n('change')} ${unit}${rest === 'more' ? ' more' : ''}.`
        : `${who} ${does} ${n('change')} ${rest}.`
  return [
    unknown === 'start' ? some : `There ${is('start')} ${of('start')} ${where}.`,
    change,
    ...(unknown === 'result' ? [] : [`Now there ${is('result')} ${of('result')} ${where}.`]),
    unknown === 'result'
      ? `How many ${thing.many} are ${where} now?`
      : unknown === 'change'
        ? `How many ${thing.many} did ${who} ${did}?`
        : `How many ${thing.many} were ${where} at first?`,
  ]
}

const capitalized = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1)
const isOne = (number: string): boolean => number === '1' || number === 'one'
const nounOf = (number: string, { one, many }: Scene['thing']): string => (isOne(number) ? one : many)

/** @throws Refusal where the amounts cannot be, in this scene or in any. */
export function tellStory(wish: StoryWish): Story {
  const { cell, seed, words } = wish
  const random = seeded(seed)
  const roles = wish.amounts ? completed(cell, wish.amounts) : amountsFrom(cell, wish.problem ?? '')
  const fit = wish.scene ? [wish.scene] : scenesFor(cell, roles)
  const scene = fit[Math.floor(random() * fit.length)]
  const why = scene ? whyNotIn(cell, roles, scene) : whyNotIn(cell, roles, SCENES[0]!)
  if (!scene || why !== '')
    throw new Refusal(why || 'There is no scene for these amounts.', 'Choose other numbers, or another scene.')
  if (cell.situation === 'array' && !scene.rows)
    throw new Refusal(`${capitalized(scene.thing.many)} do not lie in rows.`)
  const people = wish.people ?? PEOPLE
  const first = Math.floor(random() * people.length)
  const step = 1 + Math.floor(random() * (people.length - 1))
  const [who, other] = [people[first]!, people[(first + step) % people.length]!]
  const n = (role: Role): string => (words ? say(roles[role]!, words) : printExact(roles[role]!))
  const said = (scene.thing.measure && MEASURED[cell.situation]) || SAID[cell.situation]
  const sentences = said(cell, {
    scene,
    who,
    other,
    n,
    of: (role) => `${n(role)} ${nounOf(n(role), scene.thing)}`,
    is: (role) => (isOne(n(role)) && !scene.thing.measure ? 'is' : 'are'),
  })
  const solved = cell.unknown === 'both' ? null : roles[cell.unknown]!
  const unit =
    cell.unknown === 'number'
      ? cell.situation === 'times'
        ? 'times'
        : cell.situation === 'array'
          ? 'rows'
          : scene.holder[1]
      : (scene.thing.measure?.unit ?? scene.thing.many)
  return {
    cell,
    scene,
    people: [who, other],
    sentences,
    text: sentences.join(' '),
    roles,
    asks: cell.unknown,
    unit,
    answer: solved,
    sentence: sentenceOf(cell, roles),
    problem: problemFor(cell, roles) ?? null,
    misleads: misleads(cell),
  }
}
