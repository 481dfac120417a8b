import plan from '../../app/locales/en/plan.json'
import {
  fieldsOf,
  formOf,
  kindsOf,
  LIMITS_AT_FIRST,
  limitsOf,
  OPERATIONS,
  soundForm,
  withChange,
} from '../../app/utils/limitsForm'
import { checkLimits, conflictIn, countProblems, STEPS, type Limits } from '../../core/course/index'
import '../../core/index'

test.each(STEPS.map((s) => [s.id, s.limits] as const))('%s: the form asks for just its limits', (_, limits) => {
  const form = formOf(limits)
  expect(countProblems(checkLimits(limitsOf(form)))).toBe(countProblems(limits))
  expect(formOf(limitsOf(form))).toEqual(form)
})

const conflicts: readonly Limits[] = [
  { operation: 'add', digits: [2, 2], carries: 2, below: 100 },
  { operation: 'subtract', digits: [2, 2], exchanges: 0, acrossNought: true },
  { operation: 'add', digits: [2, 2], ragged: true },
  { operation: 'subtract', digits: [1, 2] },
  { operation: 'add', denominators: [4], alike: false },
  { operation: 'divide', digits: [1, 2] },
  { operation: 'multiply', digits: [1, 1], by: [12] },
  { operation: 'add', digits: [1, 1], makes: 40 },
  { operation: 'count', from: 12, upTo: 10 },
  { operation: 'add', digits: [1, 1], carries: 1, rule: { lessons: ['five+2'] } },
]
test.each(conflicts.map((l) => [JSON.stringify(l), l] as const))(
  '%s: the change that is proposed can be made in the form, and leaves as many as was said',
  (_, limits) => {
    const form = formOf(limits)
    const { change } = conflictIn(limitsOf(form))!
    expect(change).not.toBeNull()
    const changed = withChange(form, change!.limit, change!.to)
    expect(countProblems(checkLimits(limitsOf(changed)))).toBe(change!.leaves)
  },
)

test('a rule on beads goes with the operation: none of adding where one takes away', () => {
  const adding = formOf({ operation: 'add', digits: [1, 1], rule: { lessons: ['ten+9'] } })
  expect(limitsOf(adding).rule).toEqual({ lessons: ['ten+9'] })
  const taking = limitsOf({ ...adding, operation: 'subtract' })
  expect(taking.rule).toEqual({ lessons: ['five-1'] })
  expect(countProblems(checkLimits(taking))).toBeGreaterThan(0n)
})

test('what was kept by an earlier Sett, or by hand, is taken with doubt', () => {
  expect(soundForm(null)).toEqual(LIMITS_AT_FIRST)
  expect(soundForm({ operation: 'root' })).toEqual(LIMITS_AT_FIRST)
  expect(soundForm({ operation: 'add', first: '3', rule: { lessons: 5 } })).toEqual({
    ...LIMITS_AT_FIRST,
    operation: 'add',
  })
  expect(soundForm({ ...LIMITS_AT_FIRST, first: 4 })).toEqual({ ...LIMITS_AT_FIRST, first: 4 })
})

test.each(OPERATIONS)('every field and choice of “%s” has its words', (operation) => {
  const known = new Set(Object.keys(plan))
  for (const kind of kindsOf(operation))
    for (const columns of ['any', '0', '3', '1-9', '3-4'])
      for (const field of fieldsOf({ ...LIMITS_AT_FIRST, operation, kind, columns, addends: 3 })) {
        const wanted = [
          `limits.label.${field.label}`,
          `limits.name.${field.limit}`,
          ...(field.before ? [`limits.before.${field.before}`] : []),
          ...(field.hint ? [`limits.${field.hint}`] : []),
          ...(field.options ?? []).map(({ key }) => `limits.${key}`),
        ]
        expect(wanted.filter((key) => !known.has(key))).toEqual([])
      }
})
