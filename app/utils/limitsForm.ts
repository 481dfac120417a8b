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

export const OPERATIONS = [
  'count',
  'compare',
  'add',
  'subtract',
  'multiply',
  'divide',
  'rename',
] as const satisfies readonly Limits['operation'][]

/** A form as it was kept; whatever is not what a form has there is as it is at first. */
export function soundForm(kept: unknown): LimitsForm {
  const given = Object.entries((kept ?? {}) as object)
  const sound = given.filter(([key, value]) => typeof value === typeof LIMITS_AT_FIRST[key as keyof LimitsForm])
  const form = { ...LIMITS_AT_FIRST, ...Object.fromEntries(sound) } as LimitsForm
  if (form.rule && !Array.isArray(form.rule.lessons)) form.rule = null
  return OPERATIONS.includes(form.operation) ? form : { ...LIMITS_AT_FIRST }
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

/** One field of the form. Its words are in the catalogue, under `limits`. */
export interface LimitField {
  readonly key: keyof LimitsForm
  /** The limit that it is part of. */
  readonly limit: keyof Limits
  /** What it is called, and what stands before it in the sentence. */
  readonly label: string
  readonly before?: string
  /** What can be chosen, each by the key of its words and the numbers in them; a field without choices is typed. */
  readonly options?: readonly {
    readonly value: string | number
    readonly key: string
    readonly n?: number
    readonly to?: number
  }[]
  /** What stands in an empty box. */
  readonly hint?: string
  /** Rarely asked for: folded away while it is as it usually is. */
  readonly isRare?: true
  readonly usual: string
}
const upTo = (most: number, key: string, from = 1) =>
  Array.from({ length: most - from + 1 }, (_, i) => ({ value: i + from, key, n: i + from }))
const digitChoices = (most: number) => upTo(most, '').map(({ value }) => ({ value, key: `digits.${value}` }))
const EITHER = (['any', 'yes', 'no'] as const).map((value) => ({ value, key: value }))
const MOST_COLUMNS = 9
const COLUMNS = ['any', '0', '1', '2', '3', '4', '5', '6', '7', '8', '9', '1-2', '1-3', '2-3', '2-4', '1-9']
function columnChoices(now: string) {
  return [...new Set([...COLUMNS, now])].map((value) => {
    const [least, most] = numbers(value)
    if (least === undefined) return { value, key: 'columns.any' }
    if (most === undefined) return { value, key: 'columns.exactly', n: least }
    return least === 1 && most === MOST_COLUMNS
      ? { value, key: 'columns.some' }
      : { value, key: 'columns.range', n: least, to: most }
  })
}

/** The fields that go with the operation and the kind of numbers, in the order of the sentence. */
export function fieldsOf(form: LimitsForm): readonly LimitField[] {
  const { operation, addends, columns } = form
  const kind = kindOf(form)
  const isPlain = operation === 'count' || operation === 'compare'
  const isChain = operation === 'add' || operation === 'subtract'
  const inColumns = ['whole', 'decimals', 'beads'].includes(kind) && !isPlain
  const usual = (key: keyof LimitsForm): string => String(LIMITS_AT_FIRST[key])
  const field = (is: boolean, limit: keyof Limits, key: keyof LimitsForm, more: Partial<LimitField>): LimitField[] =>
    is ? [{ limit, key, label: key, usual: usual(key), ...more }] : []
  const rare = { isRare: true } as const
  return [
    ...field(kind === 'signs', 'signs', 'signs', {
      options: (['++', '-+', '+-', '--'] as const).map((value) => ({ value, key: `signs.${value}` })),
    }),
    ...field(inColumns, 'digits', 'first', { options: digitChoices(9) }),
    ...field(inColumns, 'digits', 'others', {
      label: operation === 'add' && addends > 2 ? 'othersMany' : 'others',
      before: operation,
      options: digitChoices(isChain ? 9 : 3),
    }),
    ...field(kind === 'decimals', 'decimals', 'decimals', { options: upTo(3, 'decimals') }),
    ...field(kind === 'fractions', 'denominators', 'bottoms', { before: 'bottoms' }),
    ...field(kind === 'whole' && isPlain, 'from', 'from', { before: 'from' }),
    ...field(
      kind === 'signs' || (kind === 'fractions' && operation === 'multiply') || (kind === 'whole' && isPlain),
      'upTo',
      'upTo',
      { label: kind === 'fractions' ? 'timesUpTo' : 'upTo', before: kind === 'fractions' ? 'timesUpTo' : 'upTo' },
    ),
    ...field(inColumns && operation !== 'divide', operation === 'subtract' ? 'exchanges' : 'carries', 'columns', {
      options: columnChoices(columns),
    }),
    ...field(inColumns && operation === 'divide', 'remainder', 'remainder', {
      options: (['any', 'yes', 'no'] as const).map((value) => ({ value, key: `remainder.${value}` })),
    }),
    ...field(!isPlain && operation !== 'rename', 'below', 'below', {
      label: operation === 'divide' ? 'shareBelow' : 'below',
      before: operation === 'divide' ? 'shareBelow' : 'below',
      hint: 'anyNumber',
    }),
    ...field(operation === 'add' && inColumns && kind !== 'beads', 'addends', 'addends', {
      ...rare,
      options: upTo(8, 'addends', 2),
    }),
    ...field(inColumns && operation === 'subtract', 'acrossNought', 'across', { ...rare, options: EITHER }),
    ...field(inColumns && isChain, 'nearTen', 'near', {
      ...rare,
      options: [{ value: '', key: 'any' }, ...upTo(4, 'within').map((o) => ({ ...o, value: String(o.value) }))],
    }),
    ...field(inColumns && !isChain, 'by', 'by', {
      ...rare,
      label: operation === 'divide' ? 'dividedBy' : 'tables',
      hint: 'anyNumber',
    }),
    ...field(inColumns && isChain, 'makes', 'makes', {
      ...rare,
      label: operation === 'add' ? 'makes' : 'leaves',
      hint: 'anyNumber',
    }),
    ...field(kind === 'fractions' && (isChain || operation === 'compare'), 'alike', 'alike', {
      ...rare,
      options: EITHER,
    }),
  ]
}

/** A form with one of its limits changed, as it was proposed. */
export const withChange = (form: LimitsForm, limit: keyof Limits, to: unknown): LimitsForm => ({
  ...formOf({ ...limitsOf(form), [limit]: to } as Limits),
  // What does not go with the limits now is kept for when it does.
  kind: form.kind,
})
