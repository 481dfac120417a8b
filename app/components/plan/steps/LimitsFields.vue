<script setup lang="ts">
import { LESSONS, lessonId } from '../../../../core/course/index'
import { ruleName } from '../../../../core/door'
import { kindOf, kindsOf, OPERATION_NAMES, ruleOf, type Kind, type LimitsForm } from '../../../utils/limitsForm'

/** What problems must and must not have, as a form: only what goes with the operation is asked. */
const form = defineModel<LimitsForm>({ required: true })
const bench = useBench()
const set = <K extends keyof LimitsForm>(key: K, value: LimitsForm[K]): void =>
  void (form.value = { ...form.value, [key]: value })
const kind = computed(() => kindOf(form.value))
const KINDS: Readonly<Record<Kind, string>> = {
  whole: 'whole numbers',
  decimals: 'decimals',
  signs: 'plus and minus numbers',
  fractions: 'fractions',
  beads: 'a rule on beads',
}
const inColumns = computed(
  () => ['whole', 'decimals', 'beads'].includes(kind.value) && !['count', 'compare'].includes(form.value.operation),
)
const isChain = computed(() => form.value.operation === 'add' || form.value.operation === 'subtract')
const COLUMNS = ['any', '0', '1', '2', '3', '4', '5', '6', '7', '8', '9', '1-2', '1-3', '2-3', '2-4', '1-9'] as const
const columnsText = (value: string): string =>
  value === 'any' ? 'any' : value === '0' ? 'none' : value.replace('-', ' to ')

/** Lessons by rule and sign, and one by one; the class calls the complements as it likes. */
const groups = computed(() => {
  const names = bench.abacus.names
  const sign = (way: number): string => (way > 0 ? 'adding' : 'taking away')
  const way = form.value.operation === 'subtract' ? -1 : 1
  const own = LESSONS.filter((l) => l.way === way)
  const rules = [...new Set(own.map((l) => l.rule))].map((rule) => ({
    lessons: own.filter((l) => l.rule === rule).map(lessonId),
    name: `${ruleName(rule, names)}, ${sign(way)}`,
  }))
  const single = own.map((l) => ({
    lessons: [lessonId(l)],
    name: `${ruleName(l.rule, names)}: ${way > 0 ? '+' : '−'}${l.digit}`,
  }))
  const all = [...rules, ...single]
  const now = ruleOf(form.value).lessons
  const known = all.some((g) => g.lessons.join() === now.join())
  return known ? all : [...all, { lessons: now, name: 'as this course has it' }]
})

/** One field of the form: a list to choose from, or a box for text or a number. */
interface Field {
  readonly key: keyof LimitsForm
  readonly label: string
  readonly options?: readonly (readonly [value: string | number, name: string])[]
  readonly box?: 'text' | 'number'
  readonly hint?: string
}
const EITHER = [
  ['any', 'either way'],
  ['yes', 'yes'],
  ['no', 'no'],
] as const
const SIGNS = [
  ['++', 'both plus'],
  ['-+', 'first minus, second plus'],
  ['+-', 'first plus, second minus'],
  ['--', 'both minus'],
] as const
const upTo = (most: number, from = 1): readonly (readonly [number, string])[] =>
  Array.from({ length: most - from + 1 }, (_, i) => [i + from, String(i + from)])

/** The fields that go with the operation and the kind of numbers, in their order. */
const fields = computed((): readonly Field[] => {
  const { operation, addends, columns } = form.value
  const plain = operation === 'count' || operation === 'compare'
  const all: readonly (readonly [shown: boolean, field: Field])[] = [
    [
      operation === 'add' && inColumns.value && kind.value !== 'beads',
      { key: 'addends', label: 'Numbers added', options: upTo(8, 2) },
    ],
    [inColumns.value, { key: 'first', label: 'Digits of the first', options: upTo(9) }],
    [
      inColumns.value,
      {
        key: 'others',
        label: operation === 'add' && addends > 2 ? 'Digits of the others' : 'Digits of the second',
        options: upTo(isChain.value ? 9 : 3),
      },
    ],
    [kind.value === 'decimals', { key: 'decimals', label: 'Decimals', options: upTo(3) }],
    [
      inColumns.value && operation !== 'divide',
      {
        key: 'columns',
        label: operation === 'subtract' ? 'Columns that exchange' : 'Columns that carry',
        options: [...new Set([...COLUMNS, columns])].map((c) => [c, columnsText(c)] as const),
      },
    ],
    [inColumns.value && operation === 'subtract', { key: 'across', label: 'Across a nought', options: EITHER }],
    [
      inColumns.value && isChain.value,
      {
        key: 'near',
        label: 'Near a ten',
        options: [['', 'either way'], ...upTo(4).map(([n]) => [String(n), `within ${n}`] as const)],
      },
    ],
    [inColumns.value && operation === 'divide', { key: 'remainder', label: 'Something left over', options: EITHER }],
    [
      inColumns.value && !isChain.value,
      { key: 'by', label: operation === 'divide' ? 'Only divided by' : 'Only the tables of', box: 'text', hint: 'any' },
    ],
    [
      inColumns.value && isChain.value,
      { key: 'makes', label: operation === 'add' ? 'They make just' : 'It leaves just', box: 'text', hint: 'anything' },
    ],
    [kind.value === 'signs', { key: 'signs', label: 'Signs', options: SIGNS }],
    [kind.value === 'fractions', { key: 'bottoms', label: 'Bottoms', box: 'text' }],
    [
      kind.value === 'fractions' && (isChain.value || operation === 'compare'),
      { key: 'alike', label: 'Bottoms alike', options: EITHER },
    ],
    [kind.value === 'whole' && plain, { key: 'from', label: 'From', box: 'number' }],
    [
      kind.value === 'signs' ||
        (kind.value === 'fractions' && operation === 'multiply') ||
        (kind.value === 'whole' && plain),
      { key: 'upTo', label: kind.value === 'fractions' ? 'Times, up to' : 'Up to', box: 'number' },
    ],
    [
      !plain && operation !== 'rename',
      {
        key: 'below',
        label: operation === 'divide' ? 'Each gets fewer than' : 'Answers below',
        box: 'text',
        hint: 'any',
      },
    ],
  ]
  return all.flatMap(([shown, field]) => (shown ? [field] : []))
})
/** A field's new value, of the type that the form has there. */
function take({ key, box }: Field, element: EventTarget | null): void {
  const { value } = element as HTMLInputElement | HTMLSelectElement
  const isNumber = typeof form.value[key] === 'number'
  form.value = { ...form.value, [key]: box === 'number' ? Math.trunc(Number(value)) : isNumber ? Number(value) : value }
}
</script>

<template>
  <div class="limits">
    <label
      >Operation
      <select
        :value="form.operation"
        @change="set('operation', ($event.target as HTMLSelectElement).value as LimitsForm['operation'])"
      >
        <option v-for="(name, id) in OPERATION_NAMES" :key="id" :value="id">{{ name }}</option>
      </select></label
    >
    <label v-if="kindsOf(form.operation).length > 1"
      >With
      <select :value="kind" @change="set('kind', ($event.target as HTMLSelectElement).value as Kind)">
        <option v-for="k in kindsOf(form.operation)" :key="k" :value="k">{{ KINDS[k] }}</option>
      </select></label
    >
    <label v-if="kind === 'beads'"
      >Rule
      <select
        :value="ruleOf(form).lessons.join()"
        @change="(e) => set('rule', { ...form.rule, lessons: (e.target as HTMLSelectElement).value.split(',') })"
      >
        <option v-for="g in groups" :key="g.lessons.join()" :value="g.lessons.join()">{{ g.name }}</option>
      </select></label
    >
    <label v-for="f in fields" :key="f.key"
      >{{ f.label }}
      <select v-if="f.options" :value="form[f.key]" @change="take(f, $event.target)">
        <option v-for="[value, name] in f.options" :key="value" :value="value">{{ name }}</option>
      </select>
      <input
        v-else
        :value="form[f.key]"
        :type="f.box"
        :maxlength="f.box === 'text' ? 60 : undefined"
        :placeholder="f.hint"
        @input="take(f, $event.target)"
    /></label>
    <label v-if="!['count', 'rename'].includes(form.operation)" class="tick"
      ><input
        type="checkbox"
        :checked="form.lookAlike"
        @change="set('lookAlike', ($event.target as HTMLInputElement).checked)"
      />
      Numbers that look alike</label
    >
    <label v-if="['add', 'multiply', 'compare'].includes(form.operation)" class="tick"
      ><input
        type="checkbox"
        :checked="form.turned"
        @change="set('turned', ($event.target as HTMLInputElement).checked)"
      />
      Turned round it counts as another</label
    >
    <slot />
  </div>
</template>

<style scoped>
.limits {
  display: grid;
  gap: 0.5rem;
}
.limits :deep(label:not(.tick)) {
  display: grid;
  grid-template-columns: 11rem minmax(0, 1fr);
  gap: 0.6rem;
  align-items: center;
}
.limits :deep(.tick) {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  min-height: 44px;
}
@media (max-width: 420px) {
  .limits :deep(label:not(.tick)) {
    grid-template-columns: 8rem minmax(0, 1fr);
  }
}
</style>
