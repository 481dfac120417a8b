<script setup lang="ts">
import { LESSONS, lessonId, type Limits } from '../../../../core/course/index'
import { inClassWords, ruleName } from '../../../../core/door'
import {
  fieldsOf,
  kindOf,
  kindsOf,
  OPERATIONS,
  ruleOf,
  type Kind,
  type LimitField,
  type LimitsForm,
} from '../../../utils/limitsForm'

/** What problems must and must not have, as a sentence of choices; what is rarely asked for is folded away. */
const { conflict = [] } = defineProps<{
  /** Limits that do not go together. */
  conflict?: readonly (keyof Limits)[]
}>()
const form = defineModel<LimitsForm>({ required: true })
const bench = useBench()
const { t } = useI18n()
const { pack } = useNames()
const said = (key: string, n?: number, to?: number): string =>
  inClassWords(n === undefined ? t(key) : t(key, { n, to }, n), pack.value)
const set = <K extends keyof LimitsForm>(key: K, value: LimitsForm[K]): void =>
  void (form.value = { ...form.value, [key]: value })
const kind = computed(() => kindOf(form.value))
const operations = computed(() => OPERATIONS.map((value) => ({ value, label: said(`limits.operation.${value}`) })))
const kinds = computed(() =>
  kindsOf(form.value.operation).map((value) => ({ value, label: said(`limits.kind.${value}`) })),
)

/** Lessons by rule and sign, and one by one; the class calls the complements as it likes. */
const groups = computed(() => {
  const names = bench.abacus.names
  const sign = (way: number): string => t(way > 0 ? 'limits.adding' : 'limits.taking')
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
  return known ? all : [...all, { lessons: now, name: t('limits.asCourse') }]
})

/** A field as it is shown: its choices in words, and what stands before it in the sentence. */
interface Shown {
  readonly field: LimitField
  readonly label: string
  readonly before: string
  readonly options: readonly { readonly value: string | number; readonly label: string }[] | null
  readonly isInvalid: boolean
}
const shown = computed((): readonly Shown[] =>
  fieldsOf(form.value).map((field) => ({
    field,
    label: said(`limits.label.${field.label}`),
    before: field.before ? said(`limits.before.${field.before}`) : '',
    options: field.options?.map(({ value, key, n, to }) => ({ value, label: said(`limits.${key}`, n, to) })) ?? null,
    isInvalid: conflict.includes(field.limit),
  })),
)
const main = computed(() => shown.value.filter(({ field }) => !field.isRare))
const rare = computed(() => shown.value.filter(({ field }) => field.isRare))
const ticks = computed(() => [
  ...(['count', 'rename'].includes(form.value.operation) ? [] : (['lookAlike'] as const)),
  ...(['add', 'multiply', 'compare'].includes(form.value.operation) ? (['turned'] as const) : []),
])
/** What is rare is unfolded at first where something in it is asked for, and always where it does not go together with the rest. */
const unfolded = ref<boolean | null>(null)
const mustShow = computed(() => rare.value.some(({ isInvalid }) => isInvalid))
const isAsked = computed(
  () =>
    rare.value.some(({ field }) => String(form.value[field.key]) !== field.usual) ||
    ticks.value.some((key) => form.value[key]),
)
const open = computed(() => mustShow.value || (unfolded.value ?? isAsked.value))
/** A field's new value, of the type that the form has there. */
function take({ key }: LimitField, value: unknown): void {
  const isNumber = typeof form.value[key] === 'number'
  form.value = { ...form.value, [key]: isNumber ? Math.trunc(Number(value)) : String(value ?? '') }
}
</script>

<template>
  <div class="limits">
    <div class="sentence">
      <Select
        :model-value="form.operation"
        :options="operations"
        option-label="label"
        option-value="value"
        :aria-label="t('limits.label.operation')"
        @update:model-value="(id) => set('operation', id as LimitsForm['operation'])"
      />
      <Select
        v-if="kinds.length > 1"
        :model-value="kind"
        :options="kinds"
        option-label="label"
        option-value="value"
        :aria-label="t('limits.label.kind')"
        @update:model-value="(id) => set('kind', id as Kind)"
      />
      <Select
        v-if="kind === 'beads'"
        :model-value="ruleOf(form).lessons.join()"
        :options="groups.map((g) => ({ value: g.lessons.join(), label: g.name }))"
        option-label="label"
        option-value="value"
        :aria-label="t('limits.label.rule')"
        @update:model-value="(lessons) => set('rule', { ...form.rule, lessons: String(lessons).split(',') })"
      />
      <LimitBox
        v-for="s in main"
        :key="s.field.key"
        :shown="s"
        :value="form[s.field.key]"
        @take="(v) => take(s.field, v)"
      />
    </div>
    <Button
      v-if="(rare.length || ticks.length) && !mustShow"
      severity="secondary"
      text
      class="more"
      :aria-expanded="open"
      @click="unfolded = !open"
      ><IconChevronDown /> {{ t('limits.rare') }}</Button
    >
    <div v-if="open" class="sentence rare">
      <LimitBox
        v-for="s in rare"
        :key="s.field.key"
        :shown="s"
        :value="form[s.field.key]"
        labelled
        @take="(v) => take(s.field, v)"
      />
      <label v-for="key in ticks" :key="key" class="tick"
        ><Checkbox
          :model-value="form[key]"
          binary
          :aria-label="t(`limits.label.${key}`)"
          @update:model-value="(v) => set(key, v)"
        />
        {{ t(`limits.label.${key}`) }}</label
      >
    </div>
    <slot />
  </div>
</template>

<style scoped>
.limits {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  justify-items: start;
}
.sentence {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.rare {
  align-items: end;
}
.more {
  margin-left: -14px;
}
.more[aria-expanded='true'] :deep(svg) {
  transform: rotate(180deg);
}
.tick {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
</style>
