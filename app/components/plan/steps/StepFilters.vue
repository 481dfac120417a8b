<script setup lang="ts">
import { REPRESENTATION_IDS, type RepresentationId } from '../../../../core/door'
import type { Step } from '../../../../core/course/index'
import { NO_FILTER, yearsOf, type StepFilter } from '../../../composables/useStones'

/** Which steps of the map are shown. */
const { steps } = defineProps<{ steps: readonly Step[] }>()
const filter = defineModel<StepFilter>({ required: true })
const classroom = useClassroom()
const { t } = useI18n()
const { strand: nameOfStrand } = useNames()
interface Option {
  readonly label: string
  readonly value: string
}
const withAll = (options: readonly Option[]): Option[] => [{ label: t('steps.all'), value: '' }, ...options]
const plain = (values: Iterable<string>): Option[] =>
  [...new Set(values)]
    .sort((a, b) => a.localeCompare(b, 'en', { numeric: true }))
    .map((value) => ({ label: value, value }))
const fields = computed(
  (): readonly { readonly key: keyof StepFilter; readonly label: string; readonly options: Option[] }[] => [
    {
      key: 'shown',
      label: t('steps.shownSteps'),
      options: [
        { label: t('steps.showAll'), value: 'all' },
        { label: t('steps.showBegun'), value: 'begun' },
        ...(classroom.learner
          ? [
              { label: t('steps.showSecure'), value: 'secure' },
              { label: t('steps.showLater'), value: 'open' },
            ]
          : []),
      ],
    },
    {
      key: 'strand',
      label: t('steps.strand'),
      options: withAll([...new Set(steps.map((s) => s.strand))].map((s) => ({ label: nameOfStrand(s), value: s }))),
    },
    {
      key: 'material',
      label: t('steps.material'),
      options: withAll(
        REPRESENTATION_IDS.filter((id) => steps.some((s) => s.materials.includes(id))).map((id: RepresentationId) => ({
          label: nameOfMaterial(id),
          value: id,
        })),
      ),
    },
    { key: 'year', label: t('steps.year'), options: withAll(plain(steps.flatMap(yearsOf))) },
    { key: 'statement', label: t('steps.statement'), options: withAll(plain(steps.flatMap((s) => s.serves))) },
  ],
)
const take = (key: keyof StepFilter, value: unknown): void =>
  void (filter.value = { ...filter.value, [key]: String(value) })
</script>

<template>
  <div class="filters">
    <label v-for="f in fields" :key="f.key" class="field">
      <span>{{ f.label }}</span>
      <Select
        :model-value="filter[f.key]"
        :options="f.options"
        option-label="label"
        option-value="value"
        :filter="f.options.length > 12"
        :placeholder="t('steps.all')"
        :aria-label="f.label"
        @update:model-value="(value) => take(f.key, value)"
      />
    </label>
    <Button severity="secondary" :label="t('steps.clear')" @click="filter = NO_FILTER" />
  </div>
</template>

<style scoped>
.filters {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 11rem), 1fr));
  gap: 12px;
  align-items: end;
}
</style>
