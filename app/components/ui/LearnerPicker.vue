<script setup lang="ts">
/** Who is at the Bench and at practice: one of the learners, or nobody. The list is fetched when it is first opened. */
const classroom = useClassroom()
const { t } = useI18n()
const wanted = ref(false)
const list = ref<{ toggle: (event: Event) => void } | null>(null)
const button = ref<{ $el: HTMLElement } | null>(null)
const name = computed(() => classroom.learner?.codeName ?? t('frame.nobody'))
function toggle({ currentTarget }: Event): void {
  const open = (): void => list.value?.toggle({ currentTarget } as Event)
  if (list.value) return open()
  watch(list, open, { once: true, flush: 'post' })
  wanted.value = true
}
defineExpose({ open: () => button.value?.$el.click() })
</script>

<template>
  <Button
    ref="button"
    severity="secondary"
    class="learner-picker"
    aria-haspopup="dialog"
    :aria-label="t('frame.learnerIs', { name })"
    @click="toggle"
  >
    <LearnerMark v-if="classroom.learner" :name="name" />
    <strong>{{ name }}</strong>
    <IconChevronDown />
  </Button>
  <LazyLearnerList v-if="wanted" ref="list" />
</template>

<style scoped>
.learner-picker {
  max-width: 16rem;
  padding: 4px 10px 4px 6px;
}
.learner-picker strong {
  overflow: hidden;
  text-overflow: ellipsis;
}
.mark {
  width: 34px;
  height: 34px;
  border-radius: 9px;
}
</style>
