<script setup lang="ts">
/** The learners to choose from, with nobody at the end; searched from eight learners on. */
const SEARCHED_FROM = 8
const classroom = useClassroom()
const { t } = useI18n()
/** A list of PrimeVue's takes no option that is null. */
const NOBODY = ''
const options = computed(() => [
  ...classroom.learners.map(({ id, codeName }) => ({ id, codeName })),
  { id: NOBODY, codeName: t('frame.nobody') },
])
const popover = ref<{ toggle: (event: Event) => void; hide: () => void } | null>(null)
const box = ref<HTMLElement | null>(null)
function choose(id: string | null): void {
  if (id !== null) classroom.learnerId = id || null
  popover.value?.hide()
}
/** The search has the focus, or the list itself. */
const focus = (): void => box.value?.querySelector<HTMLElement>('input, [role="listbox"]')?.focus()
defineExpose({ toggle: (event: Event) => popover.value?.toggle(event) })
</script>

<template>
  <Popover ref="popover" append-to="#main" :aria-label="t('frame.learner')" @show="focus">
    <div ref="box">
      <Listbox
        :model-value="classroom.learnerId ?? NOBODY"
        :options="options"
        option-label="codeName"
        option-value="id"
        :aria-label="t('frame.learner')"
        :filter="classroom.learners.length >= SEARCHED_FROM"
        :filter-placeholder="t('frame.find')"
        @update:model-value="choose"
      >
        <template #option="{ option }">
          <span class="who">
            <LearnerMark v-if="option.id" :name="option.codeName" />
            {{ option.codeName }}
          </span>
        </template>
      </Listbox>
    </div>
  </Popover>
</template>

<style scoped>
:deep(.p-listbox) {
  border: 0;
}
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
</style>
