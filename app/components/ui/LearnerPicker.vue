<script setup lang="ts">
/** Who is at the Bench and at practice: one of the learners, or nobody. Searched from eight learners on. */
const SEARCHED_FROM = 8
const classroom = useClassroom()
const { t } = useI18n()
/** A list of PrimeVue's takes no option that is null. */
const NOBODY = ''
const options = computed(() => [
  ...classroom.learners.map(({ id, codeName }) => ({ id, codeName })),
  { id: NOBODY, codeName: t('frame.nobody') },
])
const chosen = computed({
  get: () => classroom.learnerId ?? NOBODY,
  set: (id: string) => void (classroom.learnerId = id || null),
})
const select = ref<{ show: () => void; $el: HTMLElement } | null>(null)
defineExpose({
  open: () => {
    select.value?.$el.querySelector<HTMLElement>('[role="combobox"]')?.focus()
    select.value?.show()
  },
})
</script>

<template>
  <Select
    ref="select"
    v-model="chosen"
    class="learner-picker"
    append-to="self"
    :options="options"
    option-label="codeName"
    option-value="id"
    :aria-label="t('frame.learner')"
    :filter="classroom.learners.length >= SEARCHED_FROM"
    :filter-placeholder="t('frame.find')"
    auto-filter-focus
  >
    <template #value>
      <span class="who">
        <LearnerMark v-if="classroom.learner" :name="classroom.learner.codeName" />
        <strong>{{ classroom.learner?.codeName ?? t('frame.nobody') }}</strong>
      </span>
    </template>
    <template #option="{ option }">
      <span class="who">
        <LearnerMark v-if="option.id" :name="option.codeName" />
        {{ option.codeName }}
      </span>
    </template>
  </Select>
</template>

<style scoped>
.who {
  display: inline-flex;
  align-items: center;
  gap: 10px;
  min-height: 32px;
}
.who .mark {
  width: 32px;
  height: 32px;
  border-radius: 9px;
}
.learner-picker :deep(.p-select-label) {
  padding-block: 4px;
  padding-left: 6px;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
