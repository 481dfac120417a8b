import type { BeadRuleLimit, Limits } from '../../core/course/index'

/** Limits as a form has them: words for “any way”, and only what goes with the operation. */
export interface LimitsForm {
  operation: Limits['operation']
  kind: Kind
  /** Digits of the first number and of the others. */
  first: number
  others: number
  addends: number
  /** Columns that exchange or carry: 'any', a number, or from one to another: '1-2'. */
  columns: string
  across: Told
  remainder: Told
  ragged: Told
  below: string
  makes: string
  near: string
  decimals: number
  signs: '++' | '+-' | '-+' | '--'
  from: number
  upTo: number
  bottoms: string
  alike: Told
  /** Tables that one multiplies or divides by: '2 5'; empty for any. */
  by: string
  lookAlike: boolean
  turned: boolean
  rule: BeadRuleLimit | null
}
export type Kind = 'whole' | 'decimals' | 'signs' | 'fractions' | 'beads'
type Told = 'any' | 'yes' | 'no'

export const LIMITS_AT_FIRST: LimitsForm = {
  operation: 'subtract',
  kind: 'whole',
  first: 2,
  others: 2,
  addends: 2,
  columns: '1',
  across: 'any',
  remainder: 'no',
  ragged: 'any',
  below: '',
  makes: '',
  near: '',
  decimals: 1,
  signs: '-+',
  from: 1,
  upTo: 10,
  bottoms: '2 4 8',
  alike: 'any',
  by: '',
  lookAlike: false,
  turned: false,
  rule: null,
}

export const OPERATION_NAMES = {
  count: 'Counting out',
  compare: 'Comparing',
  add: 'Adding',
  subtract: 'Taking away',
  multiply: 'Multiplying',
  divide: 'Dividing',
  rename: 'Other names of fractions',
} as const satisfies Record<Limits['operation'], string>

/** A form as it was kept; whatever is not what a form has there is as it is at first. */
export function soundForm(kept: unknown): LimitsForm {
  const given = Object.entries((kept ?? {}) as object)
  const sound = given.filter(([key, value]) => typeof value === typeof LIMITS_AT_FIRST[key as keyof LimitsForm])
  const form = { ...LIMITS_AT_FIRST, ...Object.fromEntries(sound) } as LimitsForm
  if (form.rule && !Array.isArray(form.rule.lessons)) form.rule = null
  return Object.hasOwn(OPERATION_NAMES, form.operation) ? form : { ...LIMITS_AT_FIRST }
}

const flag = (text: Told): boolean | undefined => (text === 'any' ? undefined : text === 'yes')
const told = (v: unknown): Told => (v === undefined ? 'any' : v ? 'yes' : 'no')
const count = (text: string): number | undefined => (String(text).trim() === '' ? undefined : Number(text))
const numbers = (text: string): number[] => (String(text).match(/\d+/g) ?? []).map(Number)

/** The kinds of numbers that an operation is set with. */
export function kindsOf(operation: Limits['operation']): readonly Kind[] {
  if (operation === 'add' || operation === 'subtract') return ['whole', 'decimals', 'signs', 'fractions', 'beads']
  if (operation === 'multiply' || operation === 'compare') return ['whole', 'fractions']
  return operation === 'rename' ? ['fractions'] : ['whole']
}
/** The kind that a form is about; the first of its operation where the form's is not among them. */
export const kindOf = ({ operation, kind }: LimitsForm): Kind =>
  kindsOf(operation).includes(kind) ? kind : kindsOf(operation)[0]!

/** A number of columns, or from one to another. */
function columnsOf(text: string): number | readonly [number, number] | undefined {
  const [least, most] = numbers(text)
  if (least === undefined) return undefined
  return most === undefined ? least : [least, most]
}
const columnsText = (range: Limits['carries']): string =>
  range === undefined ? 'any' : typeof range === 'number' ? String(range) : range.join('-')

/** Limits without those that are left open. */
const given = (limits: { readonly [K in keyof Limits]: Limits[K] | undefined }): Limits =>
  Object.fromEntries(Object.entries(limits).filter(([, v]) => v !== undefined)) as unknown as Limits

/** The rule on beads that a form asks for; a lesson of adding means nothing where one takes away, and the other way round. */
export function ruleOf({ operation, rule }: LimitsForm): BeadRuleLimit {
  const sign = operation === 'subtract' ? '-' : '+'
  return rule?.lessons.some((l) => l.includes(sign)) ? rule : { lessons: [`five${sign}1`] }
}

/** What a form asks for, without what is left open or does not go with the operation. */
export function limitsOf(form: LimitsForm): Limits {
  const { operation } = form
  const kind = kindOf(form)
  const common = {
    operation,
    lookAlike: form.lookAlike || undefined,
    turned: (form.turned && operation !== 'rename') || undefined,
  }
  if (operation === 'count') return given({ operation, from: form.from === 1 ? undefined : form.from, upTo: form.upTo })
  const below = count(form.below)
  if (kind === 'fractions') {
    const denominators = numbers(form.bottoms)
    if (operation === 'rename') return { operation, denominators }
    if (operation === 'multiply')
      return given({ ...common, below, denominators, upTo: form.upTo === 10 ? undefined : form.upTo })
    return given({
      ...common,
      below: operation === 'compare' ? undefined : below,
      denominators,
      alike: flag(form.alike),
    })
  }
  if (operation === 'compare')
    return given({ ...common, from: form.from === 1 ? undefined : form.from, upTo: form.upTo })
  if (kind === 'signs') return given({ ...common, below, signs: [...form.signs] as ('+' | '-')[], upTo: form.upTo })
  const addends = operation === 'add' && kind !== 'beads' ? form.addends : 2
  const columns = columnsOf(form.columns)
  const chain = operation === 'add' || operation === 'subtract'
  const by = numbers(form.by)
  return given({
    ...common,
    below,
    digits: [form.first, ...new Array<number>(addends - 1).fill(form.others)],
    addends: addends > 2 ? addends : undefined,
    decimals: kind === 'decimals' ? form.decimals : undefined,
    carries: operation === 'add' || operation === 'multiply' ? columns : undefined,
    exchanges: operation === 'subtract' ? columns : undefined,
    acrossNought: operation === 'subtract' ? flag(form.across) : undefined,
    remainder: operation === 'divide' ? flag(form.remainder) : undefined,
    ragged: flag(form.ragged),
    nearTen: chain ? count(form.near) : undefined,
    makes: chain ? count(form.makes) : undefined,
    by: !chain && by.length > 0 ? by : undefined,
    rule: kind === 'beads' ? ruleOf(form) : undefined,
  })
}

/** The form that asks for some limits. */
export function formOf(limits: Limits): LimitsForm {
  const { operation, digits = [], signs, denominators, rule, decimals } = limits
  const [first = operation === 'multiply' || operation === 'divide' ? 2 : LIMITS_AT_FIRST.first] = digits
  const kind: Kind = denominators ? 'fractions' : signs ? 'signs' : rule ? 'beads' : decimals ? 'decimals' : 'whole'
  const text = (n: number | undefined): string => (n === undefined ? '' : String(n))
  return {
    ...LIMITS_AT_FIRST,
    operation,
    kind,
    first,
    others: digits[1] ?? (operation === 'multiply' || operation === 'divide' ? 1 : LIMITS_AT_FIRST.others),
    addends: limits.addends ?? 2,
    columns: columnsText(limits.carries ?? limits.exchanges),
    across: told(limits.acrossNought),
    remainder: told(limits.remainder),
    ragged: told(limits.ragged),
    below: text(limits.below),
    makes: text(limits.makes),
    near: text(limits.nearTen),
    decimals: decimals ?? LIMITS_AT_FIRST.decimals,
    signs: signs ? (signs.join('') as LimitsForm['signs']) : LIMITS_AT_FIRST.signs,
    from: limits.from ?? 1,
    upTo: limits.upTo ?? 10,
    bottoms: denominators?.join(' ') ?? LIMITS_AT_FIRST.bottoms,
    alike: told(limits.alike),
    by: limits.by?.join(' ') ?? '',
    lookAlike: limits.lookAlike ?? false,
    turned: limits.turned ?? false,
    rule: rule ?? null,
  }
}

/** A limit as the form calls it. */
export const LIMIT_NAMES: Readonly<Partial<Record<keyof Limits, string>>> = {
  digits: 'how many digits there are',
  addends: 'how many numbers are added',
  carries: 'in how many columns is carried',
  exchanges: 'in how many columns is exchanged',
  acrossNought: 'across a nought',
  below: 'answers below',
  makes: 'what they make',
  by: 'the tables',
  rule: 'the rule on beads',
  nearTen: 'near a ten',
  ragged: 'numbers of different length',
  remainder: 'something left over',
  decimals: 'decimals',
  denominators: 'the bottoms',
  alike: 'bottoms alike',
  lookAlike: 'numbers that look alike',
  turned: 'turned round',
  from: 'from',
  upTo: 'up to',
  signs: 'the signs',
}

/** A form with one of its limits changed, as it was proposed. */
export const withChange = (form: LimitsForm, limit: keyof Limits, to: unknown): LimitsForm => ({
  ...formOf({ ...limitsOf(form), [limit]: to } as Limits),
  // What does not go with the limits now is kept for when it does.
  kind: form.kind,
})
