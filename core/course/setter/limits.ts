import { Refusal } from '../../refusal'
import { lessonOf } from '../chains/lessons'

/** What problems must and must not have. What is left out may be any way. */
export interface Limits {
  readonly operation: (typeof OPERATIONS)[number]
  /** How many digits each number has, in order, decimals included; 1 to 9. */
  readonly digits?: readonly number[]
  /** How many numbers are added, 2 to 8. */
  readonly addends?: number
  /** In how many columns ten are made when adding, or something is carried when multiplying by one digit. */
  readonly carries?: Range
  /** In how many columns something is exchanged when taking away. */
  readonly exchanges?: Range
  /** Whether an exchange comes from beyond a nought. */
  readonly acrossNought?: boolean
  /** The answer (of a division the quotient) is smaller than this. */
  readonly below?: number
  /** The answer is this: numbers that make ten. */
  readonly makes?: number
  /** One multiplies or divides by one of these, as in the tables of two and five. */
  readonly by?: readonly number[]
  /** Lessons on beads of which one comes in it, with nothing that has not been taught before it. */
  readonly rule?: BeadRuleLimit
  /** Some number added, or the one taken away, is so near a ten (1 to 4), but no ten itself. */
  readonly nearTen?: number
  /** Whether the numbers differ in length. */
  readonly ragged?: boolean
  /** Whether numbers of the set look alike: the same digits, or all but one the same. */
  readonly lookAlike?: boolean
  /** Whether something is left over. */
  readonly remainder?: boolean
  /** How many decimals every number has, 0 to 3. */
  readonly decimals?: number
  /** The signs of the two numbers, which go up to `upTo`. */
  readonly signs?: readonly ('+' | '-')[]
  /** Numbers with signs, or to be counted or compared, go from this one (1 where it is not said) … */
  readonly from?: number
  /** … up to this one (10 where it is not said). */
  readonly upTo?: number
  /** Fractions of these bottoms, 2 to 24; alike in both numbers, or not, where `alike` says so. */
  readonly denominators?: readonly number[]
  readonly alike?: boolean
  /** Whether 7 + 5 and 5 + 7 are two problems. */
  readonly turned?: boolean
}

/** Lessons on a frame with one upper and four lower beads, of which one comes: `five+2` (core/course/chains/lessons.ts). */
export interface BeadRuleLimit {
  readonly lessons: readonly string[]
  /** Lessons that have been taught; all that usually come before it where this is left out. */
  readonly taught?: readonly string[]
  /** From the highest rod (as is usual), or from the ones. */
  readonly order?: 'highest' | 'ones'
}

/** A number, or from one to another. */
export type Range = number | readonly [least: number, greatest: number]
export const rangeOf = (range: Range | undefined, most: number): readonly [number, number] =>
  range === undefined ? [0, most] : typeof range === 'number' ? [range, range] : range

/** Adding and so on; counting out a number; saying which of two is more; giving a fraction another name. */
export const OPERATIONS = ['add', 'subtract', 'multiply', 'divide', 'count', 'compare', 'rename'] as const

const isCount = (least: number, most: number) => (v: unknown) =>
  Number.isInteger(v) && Number(v) >= least && Number(v) <= most
const isFlag = (v: unknown): boolean => typeof v === 'boolean'
const isRange = (v: unknown): boolean => {
  if (isCount(0, 9)(v)) return true
  return Array.isArray(v) && v.length === 2 && v.every(isCount(0, 9)) && v[0] <= v[1]
}
const listOf = (fits: (v: unknown) => boolean, least: number, most: number) => (v: unknown) =>
  Array.isArray(v) && v.length >= least && v.length <= most && v.every(fits)

const isRule = (v: unknown): boolean => {
  const { lessons, taught = [], order = 'highest', ...more } = (v ?? {}) as Partial<BeadRuleLimit>
  const isLesson = (id: unknown): boolean => typeof id === 'string' && lessonOf(id) !== undefined
  return (
    listOf(isLesson, 1, 100)(lessons) &&
    listOf(isLesson, 0, 100)(taught) &&
    ['highest', 'ones'].includes(order) &&
    Object.keys(more).length === 0
  )
}

/** Every limit: what it may be, in words, and for which operations it means anything. */
const KNOWN: Readonly<
  Record<keyof Limits, { readonly fits: (v: unknown) => boolean; readonly says: string; readonly of?: string }>
> = {
  operation: {
    fits: (v) => OPERATIONS.includes(v as never),
    says: 'add, subtract, multiply, divide, count, compare or rename',
  },
  digits: {
    fits: listOf(isCount(1, 9), 2, 8),
    says: 'a number of digits for each number, from 1 to 9',
    of: 'add subtract multiply divide',
  },
  addends: { fits: isCount(2, 8), says: 'from 2 to 8', of: 'add' },
  carries: { fits: isRange, says: 'a number of columns, or from one number to another', of: 'add multiply' },
  exchanges: { fits: isRange, says: 'a number of columns, or from one number to another', of: 'subtract' },
  acrossNought: { fits: isFlag, says: 'yes or no', of: 'subtract' },
  below: { fits: isCount(1, 1_000_000_000), says: 'a whole number from 1', of: 'add subtract multiply divide' },
  makes: { fits: isCount(1, 1_000_000_000), says: 'a whole number from 1', of: 'add subtract' },
  by: { fits: listOf(isCount(1, 999), 1, 20), says: 'up to twenty numbers from 1 to 999', of: 'multiply divide' },
  rule: { fits: isRule, says: 'lessons on beads, like five+2, with what has been taught', of: 'add subtract' },
  nearTen: { fits: isCount(1, 4), says: 'from 1 to 4', of: 'add subtract' },
  ragged: { fits: isFlag, says: 'yes or no', of: 'add subtract multiply divide' },
  lookAlike: { fits: isFlag, says: 'yes or no' },
  remainder: { fits: isFlag, says: 'yes or no', of: 'divide' },
  decimals: { fits: isCount(0, 3), says: 'from 0 to 3', of: 'add subtract' },
  signs: {
    fits: listOf((v) => v === '+' || v === '-', 2, 2),
    says: 'a sign for each of two numbers',
    of: 'add subtract',
  },
  from: { fits: isCount(0, 999_999), says: 'from 0 to 999,999', of: 'count compare' },
  upTo: { fits: isCount(1, 999_999), says: 'from 1 to 999,999', of: 'add subtract multiply count compare' },
  denominators: {
    fits: listOf(isCount(2, 24), 1, 8),
    says: 'up to eight bottoms from 2 to 24',
    of: 'add subtract multiply compare rename',
  },
  alike: { fits: isFlag, says: 'yes or no', of: 'add subtract compare' },
  turned: { fits: isFlag, says: 'yes or no' },
}

/** Looks limits through. @throws Refusal naming the one that is not known, not possible, or means nothing beside another. */
export function checkLimits(limits: Limits): Limits {
  const given = Object.entries(limits).filter(([, value]) => value !== undefined)
  for (const [name, value] of given) {
    if (!Object.hasOwn(KNOWN, name))
      throw new Refusal(
        `There is no limit called “${name.slice(0, 30)}”.`,
        `There are: ${Object.keys(KNOWN).join(', ')}.`,
      )
    const known = KNOWN[name as keyof Limits]
    if (!known.fits(value)) throw new Refusal(`The limit “${name}” is ${known.says}.`)
    if (known.of && !known.of.split(' ').includes(limits.operation))
      throw new Refusal(
        `The limit “${name}” means nothing where one is to ${limits.operation}.`,
        `It goes with ${known.of.replaceAll(' ', ', ')}.`,
      )
  }
  if (!OPERATIONS.includes(limits.operation)) throw new Refusal(`Which operation is wanted: ${OPERATIONS.join(', ')}?`)
  const beside = (a: keyof Limits, b: keyof Limits): boolean => limits[a] !== undefined && limits[b] !== undefined
  for (const whole of ['signs', 'denominators'] as const)
    for (const other of [
      'digits',
      'addends',
      'carries',
      'exchanges',
      'acrossNought',
      'nearTen',
      'ragged',
      'decimals',
      'makes',
      'rule',
      'from',
    ] as const)
      if (beside(whole, other))
        throw new Refusal(`The limits “${whole}” and “${other}” do not go together.`, `Leave “${other}” out.`)
  if (beside('signs', 'denominators'))
    throw new Refusal('The limits “signs” and “denominators” do not go together.', 'Choose one of them.')
  if (limits.upTo !== undefined && ['add', 'subtract'].includes(limits.operation) && !limits.signs)
    throw new Refusal('The limit “upTo” goes with “signs” here.', 'Say it with “digits” or “below”.')
  if (limits.upTo !== undefined && limits.operation === 'multiply' && !limits.denominators)
    throw new Refusal('The limit “upTo” goes with “denominators” here.', 'Say it with “digits” or “below”.')
  if (limits.rule)
    for (const other of ['decimals', 'addends'] as const)
      if (beside('rule', other))
        throw new Refusal(`The limits “rule” and “${other}” do not go together.`, `Leave “${other}” out.`)
  const numbers = limits.addends ?? 2
  if (limits.digits && limits.digits.length !== numbers)
    throw new Refusal(
      `There are ${numbers} numbers, and “digits” says it of ${limits.digits.length}.`,
      'Say it for each number.',
    )
  return limits
}
