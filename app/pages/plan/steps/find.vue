<script setup lang="ts">
import type { Placed } from '../../../../core/course/index'
import type { TellSteps } from '../../../../shared/courses'

/** Finds the step of the learner chosen above by a few questions. */
const classroom = useClassroom()
const courses = useCourses()
const { t } = useI18n()
const { all, look, standings, known, tell, trouble } = useStandings()
const { trouble: failed, tried } = useTrouble()
const { say } = useSaidOfSteps(tell)
await tried(() => courses.load())
const earlier = shallowRef<readonly Placed[]>([])
watch(
  () => [classroom.learnerId, courses.course.id] as const,
  async ([id]) => {
    earlier.value = []
    if (!id) return
    await look([id])
    const placed = await placedFrom(all.value.get(id)?.marked ?? [])
    if (id === classroom.learnerId) earlier.value = placed
  },
  { immediate: true },
)
/** The step that was worked last, near which the first question is asked. */
const near = computed(() => {
  const { learnerId } = classroom
  if (!learnerId || !known(learnerId)) return null
  return standings(learnerId).reduce((a, b) => ((b.last ?? '') > (a.last ?? '') ? b : a)).step
})
const accept = (told: TellSteps): Promise<void> =>
  tried(async () => {
    await say(t('steps.accepted', { name: classroom.learner!.codeName }), told, true)
    await navigateTo('/plan/steps')
  })
useHead({ title: () => `${t('steps.find')} – Sett` })
</script>

<template>
  <div class="place">
    <PageHeader
      :title="classroom.learner ? t('find.title', { name: classroom.learner.codeName }) : t('steps.find')"
      :facts="t('find.facts')"
    />
    <p v-if="failed || trouble" class="trouble" role="alert">{{ failed || trouble }}</p>
    <PlacingForm
      v-if="classroom.learner"
      :key="classroom.learner.id"
      :learner="classroom.learner.id"
      :name="classroom.learner.codeName"
      :steps="courses.steps"
      :earlier="earlier"
      :near="near"
      @accept="accept"
    />
    <section v-else class="card"><EmptyState :title="t('find.whose')" /></section>
  </div>
</template>
