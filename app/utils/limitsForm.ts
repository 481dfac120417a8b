import type { Limits } from '../../core/course/index'

/** Limits as a form has them: words for “any way”, and only what goes with the operation. */
export interface LimitsForm {
  operation: Limits['operation']
  kind: 'whole' | 'decimals' | 'signs' | 'fractions'
  /** Digits of the first number and of the others. */
  first: number
  others: number
  addends: number
  /** Columns that exchange or carry: 'any' or a number. */
  columns: string
  across: 'any' | 'yes' | 'no'
  remainder: 'any' | 'yes' | 'no'
  below: string
  near: string
  decimals: number
  signs: '++' | '+-' | '-+' | '--'
  upTo: number
  bottoms: string
  alike: 'any' | 'yes' | 'no'
  lookAlike: boolean
}

export const LIMITS_AT_FIRST: LimitsForm = {
  operation: 'subtract',
  kind: 'whole',
  first: 2,
  others: 2,
  addends: 2,
  columns: '1',
  across: 'any',
  remainder: 'no',
  below: '',
  near: '',
  decimals: 1,
  signs: '-+',
  upTo: 10,
  bottoms: '2 4 8',
  alike: 'any',
  lookAlike: false,
}

/** A form as it was kept; whatever is not what a form has there is as it is at first. */
export function soundForm(kept: unknown): LimitsForm {
  const given = Object.entries((kept ?? {}) as object)
  const sound = given.filter(([key, value]) => typeof value === typeof LIMITS_AT_FIRST[key as keyof LimitsForm])
  const form = { ...LIMITS_AT_FIRST, ...Object.fromEntries(sound) } as LimitsForm
  return ['add', 'subtract', 'multiply', 'divide'].includes(form.operation) ? form : { ...LIMITS_AT_FIRST }
}

const flag = (text: 'any' | 'yes' | 'no'): boolean | undefined => (text === 'any' ? undefined : text === 'yes')
const count = (text: string): number | undefined => (String(text).trim() === '' ? undefined : Number(text))

/** The kinds of numbers that an operation is set with. */
export const kindsOf = (operation: Limits['operation']): readonly LimitsForm['kind'][] =>
  operation === 'add' || operation === 'subtract' ? ['whole', 'decimals', 'signs', 'fractions'] : ['whole']

/** What a form asks for, without what is left open or does not go with the operation. */
export function limitsOf(form: LimitsForm): Limits {
  const { operation } = form
  const kind = kindsOf(operation).includes(form.kind) ? form.kind : 'whole'
  const below = count(form.below)
  const common = {
    operation,
    ...(below === undefined ? {} : { below }),
    ...(form.lookAlike ? { lookAlike: true } : {}),
  }
  if (kind === 'signs') return { ...common, signs: [...form.signs] as ('+' | '-')[], upTo: form.upTo }
  if (kind === 'fractions') {
    const alike = flag(form.alike)
    const denominators = (form.bottoms.match(/\d+/g) ?? []).map(Number)
    return { ...common, denominators, ...(alike === undefined ? {} : { alike }) }
  }
  const addends = operation === 'add' ? form.addends : 2
  const digits = [form.first, ...new Array<number>(addends - 1).fill(form.others)]
  const columns = form.columns === 'any' ? undefined : Number(form.columns)
  const nearTen = count(form.near)
  const [across, remainder] = [flag(form.across), flag(form.remainder)]
  const chain = operation === 'add' || operation === 'subtract'
  return {
    ...common,
    digits,
    ...(operation === 'add' && addends > 2 ? { addends } : {}),
    ...(kind === 'decimals' ? { decimals: form.decimals } : {}),
    ...(columns === undefined || operation === 'divide'
      ? {}
      : operation === 'subtract'
        ? { exchanges: columns }
        : { carries: columns }),
    ...(operation === 'subtract' && across !== undefined ? { acrossNought: across } : {}),
    ...(operation === 'divide' && remainder !== undefined ? { remainder } : {}),
    ...(chain && nearTen !== undefined ? { nearTen } : {}),
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
  nearTen: 'near a ten',
  remainder: 'something left over',
  decimals: 'decimals',
  denominators: 'the bottoms',
  alike: 'bottoms alike',
  lookAlike: 'numbers that look alike',
  upTo: 'up to',
  signs: 'the signs',
}

/** A form with one of its limits changed, as it was proposed. */
export function withChange(form: LimitsForm, limit: keyof Limits, to: unknown): LimitsForm {
  const told = (v: unknown): 'any' | 'yes' | 'no' => (v === undefined ? 'any' : v ? 'yes' : 'no')
  if (limit === 'carries' || limit === 'exchanges') return { ...form, columns: to === undefined ? 'any' : String(to) }
  if (limit === 'acrossNought') return { ...form, across: told(to) }
  if (limit === 'remainder') return { ...form, remainder: told(to) }
  if (limit === 'alike') return { ...form, alike: told(to) }
  if (limit === 'digits' && Array.isArray(to)) return { ...form, first: Number(to[0]), others: Number(to[1]) }
  if (limit === 'below') return { ...form, below: to === undefined ? '' : String(to) }
  if (limit === 'nearTen') return { ...form, near: to === undefined ? '' : String(to) }
  if (limit === 'lookAlike') return { ...form, lookAlike: to === true }
  return form
}
