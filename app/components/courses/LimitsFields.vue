<script setup lang="ts">
import { LESSONS, lessonId } from '../../../core/course/index'
import { ruleName } from '../../../core/door'
import { kindOf, kindsOf, OPERATION_NAMES, type Kind, type LimitsForm } from '../../utils/limitsForm'

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
const columns = computed(() => [...new Set([...COLUMNS, form.value.columns])])
const EITHER = [
  ['any', 'either way'],
  ['yes', 'yes'],
  ['no', 'no'],
] as const

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
  const now = form.value.rule?.lessons
  const known = !now || all.some((g) => g.lessons.join() === now.join())
  return known ? all : [...all, { lessons: now, name: 'as this course has it' }]
})
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
        :value="(form.rule?.lessons ?? groups[0]!.lessons).join()"
        @change="(e) => set('rule', { ...form.rule, lessons: (e.target as HTMLSelectElement).value.split(',') })"
      >
        <option v-for="g in groups" :key="g.lessons.join()" :value="g.lessons.join()">{{ g.name }}</option>
      </select></label
    >
    <template v-if="inColumns">
      <label v-if="form.operation === 'add' && kind !== 'beads'"
        >Numbers added
        <select :value="form.addends" @change="set('addends', Number(($event.target as HTMLSelectElement).value))">
          <option v-for="n in 7" :key="n" :value="n + 1">{{ n + 1 }}</option>
        </select></label
      >
      <label
        >Digits of the first
        <select :value="form.first" @change="set('first', Number(($event.target as HTMLSelectElement).value))">
          <option v-for="n in 9" :key="n" :value="n">{{ n }}</option>
        </select></label
      >
      <label
        >{{ form.operation === 'add' && form.addends > 2 ? 'Digits of the others' : 'Digits of the second' }}
        <select :value="form.others" @change="set('others', Number(($event.target as HTMLSelectElement).value))">
          <option v-for="n in isChain ? 9 : 3" :key="n" :value="n">{{ n }}</option>
        </select></label
      >
      <label v-if="kind === 'decimals'"
        >Decimals
        <select :value="form.decimals" @change="set('decimals', Number(($event.target as HTMLSelectElement).value))">
          <option v-for="n in 3" :key="n" :value="n">{{ n }}</option>
        </select></label
      >
      <label v-if="form.operation !== 'divide'"
        >{{ form.operation === 'subtract' ? 'Columns that exchange' : 'Columns that carry' }}
        <select :value="form.columns" @change="set('columns', ($event.target as HTMLSelectElement).value)">
          <option v-for="c in columns" :key="c" :value="c">{{ columnsText(c) }}</option>
        </select></label
      >
      <label v-if="form.operation === 'subtract'"
        >Across a nought
        <select
          :value="form.across"
          @change="set('across', ($event.target as HTMLSelectElement).value as LimitsForm['across'])"
        >
          <option v-for="[v, name] in EITHER" :key="v" :value="v">{{ name }}</option>
        </select></label
      >
      <label v-if="isChain"
        >Near a ten
        <select :value="form.near" @change="set('near', ($event.target as HTMLSelectElement).value)">
          <option value="">either way</option>
          <option v-for="n in 4" :key="n" :value="String(n)">within {{ n }}</option>
        </select></label
      >
      <label v-if="form.operation === 'divide'"
        >Something left over
        <select
          :value="form.remainder"
          @change="set('remainder', ($event.target as HTMLSelectElement).value as LimitsForm['remainder'])"
        >
          <option v-for="[v, name] in EITHER" :key="v" :value="v">{{ name }}</option>
        </select></label
      >
      <label v-if="!isChain"
        >{{ form.operation === 'divide' ? 'Only divided by' : 'Only the tables of' }}
        <input
          :value="form.by"
          type="text"
          maxlength="60"
          placeholder="any"
          @input="set('by', ($event.target as HTMLInputElement).value)"
      /></label>
      <label v-if="isChain"
        >{{ form.operation === 'add' ? 'They make just' : 'It leaves just' }}
        <input
          :value="form.makes"
          type="text"
          inputmode="numeric"
          maxlength="10"
          placeholder="anything"
          @input="set('makes', ($event.target as HTMLInputElement).value)"
      /></label>
    </template>
    <label v-if="kind === 'signs'"
      >Signs
      <select
        :value="form.signs"
        @change="set('signs', ($event.target as HTMLSelectElement).value as LimitsForm['signs'])"
      >
        <option value="++">both plus</option>
        <option value="-+">first minus, second plus</option>
        <option value="+-">first plus, second minus</option>
        <option value="--">both minus</option>
      </select></label
    >
    <template v-if="kind === 'fractions'">
      <label
        >Bottoms
        <input
          :value="form.bottoms"
          type="text"
          maxlength="40"
          @input="set('bottoms', ($event.target as HTMLInputElement).value)"
      /></label>
      <label v-if="isChain || form.operation === 'compare'"
        >Bottoms alike
        <select
          :value="form.alike"
          @change="set('alike', ($event.target as HTMLSelectElement).value as LimitsForm['alike'])"
        >
          <option v-for="[v, name] in EITHER" :key="v" :value="v">{{ name }}</option>
        </select></label
      >
    </template>
    <label v-if="kind === 'whole' && ['count', 'compare'].includes(form.operation)"
      >From
      <input
        :value="form.from"
        type="number"
        min="0"
        max="999999"
        @input="set('from', Math.trunc(Number(($event.target as HTMLInputElement).value)))"
    /></label>
    <label
      v-if="
        kind === 'signs' ||
        (kind === 'fractions' && form.operation === 'multiply') ||
        (kind === 'whole' && ['count', 'compare'].includes(form.operation))
      "
      >{{ kind === 'fractions' ? 'Times, up to' : 'Up to' }}
      <input
        :value="form.upTo"
        type="number"
        min="1"
        max="999999"
        @input="set('upTo', Math.trunc(Number(($event.target as HTMLInputElement).value)))"
    /></label>
    <label v-if="!['count', 'compare', 'rename'].includes(form.operation)"
      >{{ form.operation === 'divide' ? 'Each gets fewer than' : 'Answers below' }}
      <input
        :value="form.below"
        type="text"
        inputmode="numeric"
        maxlength="10"
        placeholder="any"
        @input="set('below', ($event.target as HTMLInputElement).value)"
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
