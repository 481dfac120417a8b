<script setup lang="ts">
import { rolesOf, toldNumbers, type Workable } from '../../../../core/story/index'
import { numberText } from '../../../utils/storyText'

/** Which numbers are needed, what is asked, and whether a number is missing. */
const { story } = defineProps<{ story: Workable }>()
const emit = defineEmits<{ give: [given: string] }>()
const { t } = useI18n()
const numbers = computed(() => {
  const all = [...toldNumbers(story), ...(story.extra === undefined ? [] : [story.extra])]
  // Beside each other in the order of size, so that the one that is not needed does not stand out.
  return [...new Set(all)]
    .map((value) => ({ value, label: numberText(value) }))
    .sort((a, b) => parseFloat(a.label) - parseFloat(b.label))
})
const needs = ref<string[]>([])
const asked = ref('')
const missing = ref(false)
const asks = computed(() => [
  ...rolesOf(story.cell).map(([value, label]) => ({ value: value as string, label })),
  ...(story.cell.unknown === 'both' ? [{ value: 'both', label: t('story.both') }] : []),
])
const twice = computed(() => {
  // Where a number is told twice, it is needed twice.
  const all = toldNumbers(story)
  return needs.value.flatMap((n) => Array.from({ length: Math.max(1, all.filter((m) => m === n).length) }, () => n))
})
const id = useId()
const give = (): void =>
  emit(
    'give',
    [
      `needs=${twice.value.join()}`,
      ...(missing.value ? ['missing=yes'] : []),
      ...(asked.value ? [`asked=${asked.value}`] : []),
    ].join(' '),
  )
</script>

<template>
  <form class="stage" @submit.prevent="give">
    <div class="field">
      <span :id="`${id}-needs`">{{ t('story.needs') }}</span>
      <SelectButton
        v-model="needs"
        multiple
        class="learner"
        :options="numbers"
        option-label="label"
        option-value="value"
        :aria-labelledby="`${id}-needs`"
      />
    </div>
    <div class="field">
      <span :id="`${id}-asks`">{{ t('story.asks') }}</span>
      <SelectButton
        v-model="asked"
        :options="asks"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        :aria-labelledby="`${id}-asks`"
      />
    </div>
    <label class="in-row"
      ><Checkbox v-model="missing" binary :aria-label="t('story.missing')" /> {{ t('story.missing') }}</label
    >
    <Button type="submit" :label="t('story.check')" :disabled="!asked" />
  </form>
</template>

<style scoped src="./stage.css"></style>
